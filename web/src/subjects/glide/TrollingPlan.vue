<script setup lang="ts">
/** Lines behind the boat, straight and in a turn, from above; each rod's length, and the turn. */
import { computed } from 'vue'
import type { Schemas, Thing, GlidePlan } from '@/api/client'
import { path } from '@/drawing/sheet'
import QuantityInput from '@/kit/QuantityInput.vue'
import { show, type Units } from '@/kit/units'

const props = defineProps<{
  trolling: Schemas['Trolling'] | null
  rods: readonly (readonly [id: number, thing: Thing])[]
  plan: GlidePlan
  units: Units
}>()
const emit = defineEmits<{
  take: [fields: { lines?: Record<string, number | null>; turn_m?: number }]
}>()

const USUAL_M = 20
const [WIDTH, HEIGHT] = [420, 230]
const length = (id: number): number | null => props.plan.lines[String(id)] ?? null
const crossed = computed(() => new Set((props.trolling?.crossing ?? []).flat()))
const box = computed(() => {
  const points = (props.trolling?.lines ?? []).flatMap((one) => [one.tip, one.lure, ...one.turning])
  const xs = points.map((p) => p[0]!)
  const ys = points.map((p) => p[1]!)
  const [x0, x1] = [Math.min(-1, ...xs), Math.max(4, ...xs)]
  const [y0, y1] = [Math.min(-2, ...ys), Math.max(2, ...ys)]
  const scale = Math.min((WIDTH - 30) / (x1 - x0), (HEIGHT - 30) / (y1 - y0))
  return {
    x: (x: number) => 15 + (x1 - x) * scale,
    y: (y: number) => HEIGHT / 2 + ((y0 + y1) / 2 - y) * -scale,
    scale,
  }
})
const at = (p: readonly number[]): [number, number] => [box.value.x(p[0]!), box.value.y(p[1]!)]
</script>

<template>
  <div class="card pad" data-testid="trolling">
    <h2>Lines behind the boat</h2>
    <div class="rows">
      <label v-for="[id, thing] in rods" :key="id" class="row">
        <input
          type="checkbox"
          :checked="length(id) !== null"
          :aria-label="`${thing.name} trails a line`"
          @change="emit('take', { lines: { [id]: length(id) === null ? USUAL_M : null } })"
        />
        <span>{{ thing.name }}</span>
        <QuantityInput
          v-if="length(id) !== null"
          :model-value="length(id)!"
          :label="`${thing.name}: line out`"
          kind="far"
          :units="units"
          @update:model-value="emit('take', { lines: { [id]: $event } })"
        />
      </label>
      <label class="row"
        ><span /><span>Turn, radius</span>
        <QuantityInput
          :model-value="plan.turn_m"
          label="Radius of the turn"
          kind="far"
          :units="units"
          testid="turn-radius"
          @update:model-value="emit('take', { turn_m: $event })"
      /></label>
    </div>
    <template v-if="trolling">
      <svg
        :width="WIDTH"
        :height="HEIGHT"
        :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
        role="img"
        aria-label="Lines behind the boat from above; dashed in the turn"
      >
        <ellipse
          class="hull"
          :cx="box.x(1.8)"
          :cy="box.y(0)"
          :rx="1.8 * box.scale"
          :ry="0.4 * box.scale"
        />
        <g
          v-for="one in trolling.lines"
          :key="one.thing_id"
          :class="{ cross: crossed.has(one.thing_id) }"
        >
          <path class="line" :d="path([at(one.tip), at(one.lure)])" />
          <path class="turn" :d="path(one.turning.map(at))" />
          <circle class="lure" r="3" :cx="at(one.lure)[0]" :cy="at(one.lure)[1]" />
        </g>
      </svg>
      <p>
        {{ show(trolling.spread_m, 'length', units, 0) }} apart.
        <span v-if="trolling.crossing.length" class="watch">Lines cross in this turn.</span>
        <template v-else>No lines cross in this turn.</template>
        {{
          trolling.least_turn_m == null
            ? 'They cross in any turn under 500\u00a0m.'
            : `They stay clear from a radius of ${show(trolling.least_turn_m, 'far', units)} on.`
        }}
      </p>
    </template>
    <p v-else class="soft">Tick a rod to let its line trail.</p>
  </div>
</template>

<style scoped>
.card {
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.pad {
  padding: 10px 12px;
}
h2 {
  margin: 0 0 4px;
}
.rows {
  display: grid;
  gap: 4px;
}
.row {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr) 110px;
  gap: 6px;
  align-items: center;
  min-height: 26px;
}
svg {
  display: block;
  max-width: 100%;
}
.hull {
  fill: var(--hull);
  stroke: var(--ink);
}
.line,
.turn {
  fill: none;
  stroke: var(--pick);
  stroke-width: 1.5;
}
.turn {
  stroke-dasharray: 4 3;
}
.cross .turn {
  stroke: var(--fix-mark);
}
.lure {
  fill: var(--pick);
}
p {
  margin: 4px 0 0;
}
</style>
