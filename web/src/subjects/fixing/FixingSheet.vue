<script setup lang="ts">
/** The boat from above with the bases of its mounts, their bolts, and every hole. */
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { Drawing, Figures, Setup, Thing } from '@/api/client'
import FittingMarks from '@/drawing/FittingMarks.vue'
import HullPlan from '@/drawing/HullPlan.vue'
import RulerMarks from '@/drawing/RulerMarks.vue'
import ThingShape from '@/drawing/ThingShape.vue'
import { layOut, path, planY, toX, type Point } from '@/drawing/sheet'
import { rowsById } from '@/drawing/stands'
import type { Drawn } from '@/drawing/types'
import { show, type Units } from '@/kit/units'

const props = defineProps<{
  setup: Setup
  drawing: Drawing
  figures: Figures
  things: Record<string, Thing>
  units: Units
  /** what is looked at: mounts, or holes with their height over the water */
  holes: boolean
}>()
const chosen = defineModel<string | null>({ required: true })

const frame = useTemplateRef<HTMLDivElement>('frame')
const { width } = useElementSize(frame)
const sheet = computed(() => {
  const x = props.drawing.x_m
  return layOut(Math.max(320, width.value), 520, x[0]!, x.at(-1)!)
})
const fixing = computed(() => props.figures.fixing)
const drawn = computed<Drawn[]>(() =>
  [...rowsById(props.figures)].flatMap(([id, aboard]) => {
    const thing = props.things[String(id)]
    if (!thing) return []
    const flags = { selected: false, ghost: true, holds: 0, hidden: false }
    return [{ id, thing, stand: aboard, aboard, depth: aboard.depth, ...flags }]
  }),
)
const at = (point: readonly number[]): Point => [
  toX(sheet.value, point[0]!),
  planY(sheet.value, point[1]!),
]
const mounts = computed(() =>
  (fixing.value?.mounts ?? []).map((one) => ({
    ...one,
    middle: at(one.at),
    rim: path(one.corners.map(at), true),
    radius: (one.length_m / 2) * sheet.value.scale,
    spots: one.bolts.map(at),
  })),
)
const CROWD_PX = 34
/** Of holes that stand close together only the lowest has its height beside it. */
const spots = computed(() => {
  const all = (fixing.value?.holes ?? []).map((one) => ({
    ...one,
    spot: at(one.at),
    radius: Math.max(3, (one.d_mm / 2000) * sheet.value.scale),
    words:
      one.over_m === null
        ? one.name
        : `${one.name}: ${show(one.over_m, 'length', props.units)} above the water`,
  }))
  const lower = (a: (typeof all)[number], b: (typeof all)[number]) =>
    (b.over_m ?? Infinity) < (a.over_m ?? Infinity) || (b.over_m === a.over_m && b.name < a.name)
  return all.map((one) => ({
    ...one,
    told: !all.some(
      (other) =>
        other !== one &&
        Math.hypot(other.spot[0] - one.spot[0], other.spot[1] - one.spot[1]) < CROWD_PX &&
        lower(one, other),
    ),
  }))
})
</script>

<template>
  <div ref="frame" class="sheet">
    <svg
      v-if="width > 0"
      :width="sheet.width"
      :height="sheet.planBottom + 10"
      role="group"
      aria-label="The boat from above with its mounts and holes"
      @pointerdown.self="chosen = null"
    >
      <RulerMarks
        :sheet="sheet"
        :length_m="drawing.x_m.at(-1)! - drawing.x_m[0]!"
        :imperial="units === 'imperial'"
      />
      <HullPlan :sheet="sheet" :drawing="drawing" :boat="setup.boat" />
      <FittingMarks :sheet="sheet" :fittings="setup.boat.fittings" view="plan" />
      <g class="faint" aria-hidden="true">
        <ThingShape
          v-for="one in drawn"
          :key="one.id"
          :sheet="sheet"
          :drawn="one"
          view="plan"
          label=""
        />
      </g>
      <g v-if="!holes">
        <g
          v-for="one in mounts"
          :key="one.key"
          class="mount"
          :class="[one.verdict, { guessed: one.usual, chosen: chosen === one.key }]"
          role="button"
          tabindex="0"
          :aria-label="`${one.name}: ${one.verdict}`"
          :data-mount="one.key"
          @click="chosen = one.key"
          @keydown.enter.prevent="chosen = one.key"
          @keydown.space.prevent="chosen = one.key"
        >
          <circle
            v-if="one.shape === 'round'"
            :cx="one.middle[0]"
            :cy="one.middle[1]"
            :r="one.radius"
          />
          <path v-else :d="one.rim" />
          <circle
            v-for="(spot, i) in one.spots"
            :key="i"
            class="bolt"
            :cx="spot[0]"
            :cy="spot[1]"
            r="2"
          />
          <title>{{ one.name }}</title>
        </g>
      </g>
      <g v-else>
        <g
          v-for="one in spots"
          :key="one.name + (one.template ?? '')"
          class="hole"
          :class="[one.verdict, one.state]"
        >
          <circle :cx="one.spot[0]" :cy="one.spot[1]" :r="one.radius" />
          <text
            v-if="one.over_m !== null && one.told"
            :x="one.spot[0] + one.radius + 3"
            :y="one.spot[1] + 4"
          >
            {{ show(one.over_m, 'length', units, 0) }}
          </text>
          <title>{{ one.words }}</title>
        </g>
      </g>
      <text class="view" x="12" :y="sheet.planTop + 17">From above</text>
    </svg>
  </div>
</template>

<style scoped>
.sheet {
  overflow: hidden;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
svg {
  display: block;
}
.faint {
  opacity: 0.45;
  pointer-events: none;
}
.view {
  fill: var(--soft);
  font-size: 11px;
}
.mount {
  color: var(--fine);
  cursor: pointer;
  outline: none;
}
.mount > path,
.mount > circle:not(.bolt) {
  fill: color-mix(in srgb, currentcolor 22%, transparent);
  stroke: currentcolor;
  stroke-width: 1.6;
}
.mount.guessed > path,
.mount.guessed > circle:not(.bolt) {
  fill: none;
  stroke-dasharray: 3 2;
  stroke: var(--soft);
}
.mount.watch,
.hole.watch {
  color: var(--watch);
}
.mount.fix,
.hole.fix {
  color: var(--fix-mark);
}
.mount.stop,
.hole.stop {
  color: var(--stop);
}
.mount.chosen > path,
.mount.chosen > circle:not(.bolt),
.mount:focus-visible > path,
.mount:focus-visible > circle:not(.bolt) {
  stroke: var(--pick);
  stroke-width: 3;
}
.bolt {
  fill: var(--ink);
}
.hole {
  color: var(--fine);
}
.hole circle {
  fill: var(--card);
  stroke: currentcolor;
  stroke-width: 2;
}
.hole.planned circle {
  stroke-dasharray: 2 2;
}
.hole.filled circle {
  fill: currentcolor;
}
.hole text {
  fill: var(--ink);
  font-size: 11px;
  font-family: var(--mono);
}
</style>
