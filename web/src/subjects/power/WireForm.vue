<script setup lang="ts">
/** One wire by number: from what to what, how thick, its fuse, its way. Each field saves itself. */
import { computed } from 'vue'
import type { Figures, Thing } from '@/api/client'
import { CHOICES } from '@/api/words'
import { numberIn } from '@/kit/heard'
import CellInput from '@/kit/CellInput.vue'
import FromBowInput from '@/kit/FromBowInput.vue'
import QuantityInput from '@/kit/QuantityInput.vue'
import { show, type Units } from '@/kit/units'
import { GAUGES, HELD_WORDS, type Wire } from './wiring'
import TickBox from '@/kit/TickBox.vue'

type Lies = NonNullable<Figures['power']>['conductors'][number]
const props = defineProps<{
  wire: Wire
  lies: Lies | null
  things: Record<string, Thing>
  bow_x_m: number
  units: Units
}>()
const emit = defineEmits<{ change: [fields: Partial<Wire>]; remove: [] }>()

const AREAS = [0.75, 1, 1.5, 2.5, 4, 6, 10, 16, 25]
const FUSES = [1, 2, 3, 4, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 70, 80, 100]
const size = computed(() =>
  props.wire.awg == null ? `mm${props.wire.area_mm2}` : `awg${props.wire.awg}`,
)
function setSize(text: string): void {
  const wire = text.startsWith('awg')
    ? { awg: Number(text.slice(3)) as Wire['awg'], area_mm2: null }
    : { awg: null, area_mm2: Number(text.slice(2)) }
  emit('change', wire)
}
const value = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value
function setJoints(milliohm: number | null): void {
  emit('change', { joints_ohm: milliohm === null ? null : milliohm / 1000 })
}
function setPoint(at: number, fields: Partial<Wire['points'][number]>): void {
  const points = props.wire.points.map((point, i) => (i === at ? { ...point, ...fields } : point))
  emit('change', { points })
}
const without = (at: number) =>
  emit('change', { points: props.wire.points.filter((_, i) => i !== at) })
/** A point more, half way to the next one on the way. */
function addPoint(): void {
  const way = props.lies?.points ?? []
  const last = props.wire.points.length
  const [a, b] = [way[last], way[last + 1]]
  if (!a || !b) return
  const [x_m, y_m, z_m] = a.map((from, i) => (from + b[i]!) / 2) as [number, number, number]
  emit('change', { points: [...props.wire.points, { x_m, y_m, z_m, by: 'clip' }] })
}
const HELD = CHOICES.RoutePoint.by
</script>

<template>
  <section class="wire" aria-label="The selected wire">
    <h2>
      {{ things[String(wire.start)]?.name }} to {{ things[String(wire.end)]?.name }}
      <el-button size="small" data-testid="remove-wire" @click="emit('remove')">Remove</el-button>
    </h2>
    <dl v-if="lies">
      <div>
        <dt>Length with slack</dt>
        <dd data-testid="wire-length">{{ show(lies.length_m, 'length', units, 0) }}</dd>
      </div>
      <div>
        <dt>At full draw</dt>
        <dd>{{ show(lies.full_a, 'current', units) }}</dd>
      </div>
      <div>
        <dt>Carries, usual</dt>
        <dd>{{ show(lies.ampacity_a, 'current', units) }}</dd>
      </div>
      <div>
        <dt>Lost in it</dt>
        <dd data-testid="wire-drop">
          {{ show(lies.drop_v, 'voltage', units) }} · {{ show(lies.drop_share, 'ratio', units, 1) }}
        </dd>
      </div>
      <div>
        <dt>Loop</dt>
        <dd>{{ show(lies.resistance_ohm, 'resistance', units) }}</dd>
      </div>
      <div>
        <dt>Copper</dt>
        <dd>{{ show(lies.copper_kg, 'mass', units, 2) }}</dd>
      </div>
    </dl>
    <div class="fields">
      <label>
        Gauge
        <select
          :value="size"
          class="pick"
          data-testid="wire-gauge"
          @change="setSize(value($event))"
        >
          <option v-for="one in GAUGES" :key="one" :value="`awg${one}`">AWG {{ one }}</option>
          <option v-for="one in AREAS" :key="one" :value="`mm${one}`">{{ one }} mm²</option>
        </select>
      </label>
      <label>
        Fuse
        <select
          :value="wire.fuse_a ?? ''"
          class="pick"
          data-testid="wire-fuse"
          @change="emit('change', { fuse_a: value($event) === '' ? null : Number(value($event)) })"
        >
          <option value="">none</option>
          <option v-for="one in FUSES" :key="one" :value="one">{{ one }} A</option>
        </select>
      </label>
      <label>
        Fuse, from the battery
        <QuantityInput
          :model-value="wire.fuse_at_m"
          label="Wire before the fuse"
          kind="length"
          :units="units"
          testid="wire-fuse-at"
          @update:model-value="emit('change', { fuse_at_m: $event })"
        />
      </label>
      <label>
        Insulation bears
        <select
          :value="wire.insulation_c"
          class="pick"
          @change="emit('change', { insulation_c: Number(value($event)) as Wire['insulation_c'] })"
        >
          <option v-for="one in CHOICES.Conductor.insulation_c" :key="one" :value="one">
            {{ one }} °C
          </option>
        </select>
      </label>
      <label>
        Disconnects
        <CellInput
          class="pick"
          type="number"
          min="0"
          max="10"
          :value="wire.disconnects"
          @take="emit('change', { disconnects: Math.round(numberIn($event) ?? 0) })"
        />
      </label>
      <label>
        Joints measured, mΩ
        <CellInput
          class="pick"
          type="number"
          min="0"
          placeholder="typical"
          :value="wire.joints_ohm == null ? null : 1000 * wire.joints_ohm"
          @take="setJoints(numberIn($event))"
        />
      </label>
      <label>
        Length measured
        <QuantityInput
          :model-value="wire.length_m ?? null"
          label="Length measured"
          kind="length"
          :units="units"
          optional
          placeholder="from its way"
          testid="wire-length-m"
          @update:model-value="emit('change', { length_m: $event })"
        />
      </label>
      <label>
        Wires in its bundle
        <CellInput
          class="pick"
          type="number"
          min="1"
          max="100"
          :value="wire.bundled"
          @take="emit('change', { bundled: Math.round(numberIn($event) ?? 1) })"
        />
      </label>
      <TickBox :on="wire.loom" @tick="emit('change', { loom: $event })">in loom</TickBox>
    </div>
    <table class="way">
      <caption>
        Its way
        <el-button size="small" data-testid="add-point" @click="addPoint">Add a point</el-button>
      </caption>
      <thead>
        <tr>
          <th scope="col">From the bow</th>
          <th scope="col">To port</th>
          <th scope="col">Height</th>
          <th scope="col">Held by</th>
          <th aria-label="Remove" />
        </tr>
      </thead>
      <tbody>
        <tr v-for="(point, at) in wire.points" :key="at">
          <td>
            <FromBowInput
              :model-value="point.x_m"
              :bow_x_m="bow_x_m"
              :units="units"
              :label="`Point ${at + 1}, from the bow`"
              @update:model-value="setPoint(at, { x_m: $event })"
            />
          </td>
          <td>
            <QuantityInput
              :model-value="point.y_m"
              :label="`Point ${at + 1}, to port`"
              kind="length"
              :units="units"
              :testid="`point-${at}-y`"
              @update:model-value="setPoint(at, { y_m: $event })"
            />
          </td>
          <td>
            <QuantityInput
              :model-value="point.z_m"
              :label="`Point ${at + 1}, height`"
              kind="length"
              :units="units"
              @update:model-value="setPoint(at, { z_m: $event })"
            />
          </td>
          <td>
            <select
              :value="point.by"
              class="pick"
              :aria-label="`Point ${at + 1}, held by`"
              @change="setPoint(at, { by: value($event) as Wire['points'][number]['by'] })"
            >
              <option v-for="one in HELD" :key="one" :value="one">{{ HELD_WORDS[one] }}</option>
            </select>
          </td>
          <td>
            <button
              type="button"
              class="gone"
              :aria-label="`Remove point ${at + 1}`"
              @click="without(at)"
            >
              ×
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.wire {
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
h2 {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  margin: 0 0 6px;
  font-size: 14px;
}
dl {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 4px 10px;
  margin: 0 0 8px;
}
dt {
  color: var(--soft);
  font-size: 11px;
}
dd {
  margin: 0;
  font-family: var(--mono);
  font-size: 12px;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 6px 10px;
}
label {
  display: grid;
  gap: 2px;
  align-content: start;
  color: var(--soft);
  font-size: 11px;
}
.tick {
  display: flex;
  gap: 5px;
  align-items: end;
  padding-bottom: 4px;
  font-size: 13px;
}
.pick {
  width: 100%;
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 13px;
}
.way {
  width: 100%;
  margin-top: 8px;
  border-collapse: collapse;
}
.way caption {
  padding-bottom: 4px;
  text-align: left;
}
.way th {
  color: var(--soft);
  font-size: 11px;
  font-weight: 400;
  text-align: left;
}
.way td {
  padding: 1px 4px 1px 0;
}
.gone {
  border: 0;
  background: none;
  color: var(--soft);
  font-size: 15px;
  cursor: pointer;
}
</style>
