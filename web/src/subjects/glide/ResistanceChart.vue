<script setup lang="ts">
/** Resistance by speed, stacked by cause; the bare boat and another setup as lines over it. */
import { computed } from 'vue'
import type { FullGlide, Schemas } from '@/api/client'
import { path, type Point } from '@/drawing/sheet'
import { axis, onto, tick } from '@/kit/scale'
import { number, unitOf, type Units } from '@/kit/units'
import { CAUSES } from './causes'

const props = defineProps<{
  full: FullGlide
  other: FullGlide | null
  at: Schemas['Newtons'] | null
  units: Units
  width: number
  height: number
}>()
const [LEFT, RIGHT, TOP, BOTTOM] = [40, 96, 22, 32]

const shown = (n: number) => Number(number(n, 'force', props.units, 3))
const quick = (u: number) => Number(number(u, 'speed', props.units, 3))
// To a good way past the effort's speed: what no body drives would flatten all the rest.
const curve = computed(() => {
  const most = Math.max(1.4, 1.45 * (props.at?.speed_m_s ?? 1.2))
  const within = props.full.curve.filter((one) => one.speed_m_s <= most)
  return within.length > 3 ? within : props.full.curve
})
const fastest = computed(() => curve.value.at(-1)!.speed_m_s)
const xs = computed(() => {
  const low = quick(curve.value[0]!.speed_m_s)
  const high = quick(fastest.value)
  return { low, high, ticks: axis(low, high, 6).ticks.filter((u) => u >= low && u <= high) }
})
const lines = computed(() => [
  { key: 'bare', name: 'bare boat', rows: props.full.bare },
  ...(props.other ? [{ key: 'other', name: props.other.name, rows: props.other.curve }] : []),
])
const within = (rows: readonly Schemas['Newtons'][]) =>
  rows.filter((one) => one.speed_m_s <= fastest.value)
const ys = computed(() => {
  const all = [curve.value, ...lines.value.map((one) => within(one.rows))].flat()
  return axis(0, Math.max(1, ...all.map((one) => shown(one.total_n))), 5)
})
const x = computed(() => onto(xs.value, LEFT, props.width - RIGHT))
const y = computed(() => onto(ys.value, props.height - BOTTOM, TOP))
const stacks = computed(() => {
  const below = curve.value.map(() => 0)
  return CAUSES.map(({ field, name, tone }) => {
    const low = [...below]
    curve.value.forEach((one, i) => (below[i]! += Math.max(0, one[field])))
    const up = curve.value.map((one, i): Point => [
      x.value(quick(one.speed_m_s)),
      y.value(shown(below[i]!)),
    ])
    const down = curve.value.map((one, i): Point => [
      x.value(quick(one.speed_m_s)),
      y.value(shown(low[i]!)),
    ])
    const last = curve.value.length - 1
    return {
      field,
      name,
      tone,
      d: path([...up, ...down.reverse()], true),
      y: y.value(shown((below[last]! + low[last]!) / 2)),
      thick: y.value(shown(low[last]!)) - y.value(shown(below[last]!)),
    }
  })
})
const over = computed(() =>
  lines.value.map((one) => ({
    ...one,
    d: path(
      within(one.rows).map((row): Point => [
        x.value(quick(row.speed_m_s)),
        y.value(shown(row.total_n)),
      ]),
    ),
  })),
)
/** Names at the right end, pushed apart where areas are thin there. */
const names = computed(() => {
  const rows = stacks.value.filter((one) => one.thick > 2).map((one) => ({ ...one, at: one.y }))
  rows.sort((a, b) => a.at - b.at)
  rows.forEach((one, i) => {
    if (i) one.at = Math.max(one.at, rows[i - 1]!.at + 13)
  })
  return rows
})
const band = computed(() =>
  props.full.band_at_n == null ? '' : ` ± ${number(props.full.band_at_n, 'force', props.units)}`,
)
const told = computed(() =>
  props.at
    ? `${number(props.at.total_n, 'force', props.units)}${band.value} ${unitOf('force', props.units)} at ${number(props.at.speed_m_s, 'speed', props.units, 2)} ${unitOf('speed', props.units)}`
    : '',
)
</script>

<template>
  <svg
    :width="width"
    :height="height"
    role="img"
    :aria-label="`Resistance by speed, stacked by cause. ${told}`"
    data-testid="resistance"
  >
    <g v-for="at_n in ys.ticks" :key="`y${at_n}`">
      <line class="grid" :x1="LEFT" :x2="width - RIGHT" :y1="y(at_n)" :y2="y(at_n)" />
      <text class="tick end" :x="LEFT - 5" :y="y(at_n) + 3.5">{{ tick(at_n) }}</text>
    </g>
    <text v-for="u in xs.ticks" :key="`x${u}`" class="tick mid" :x="x(u)" :y="height - BOTTOM + 14">
      {{ tick(u) }}
    </text>
    <text class="name" x="4" :y="TOP - 9">Resistance, {{ unitOf('force', units) }}</text>
    <text class="name mid" :x="(LEFT + width - RIGHT) / 2" :y="height - 4">
      Speed through the water, {{ unitOf('speed', units) }}
    </text>
    <path v-for="one in stacks" :key="one.field" class="area" :class="one.tone" :d="one.d" />
    <path v-for="one in over" :key="one.key" class="over" :class="one.key" :d="one.d" />
    <g v-for="one in names" :key="`n${one.field}`">
      <rect
        :x="width - RIGHT + 6"
        :y="one.at - 5"
        width="9"
        height="9"
        class="area"
        :class="one.tone"
      />
      <text class="name" :x="width - RIGHT + 19" :y="one.at + 3.5">{{ one.name }}</text>
    </g>
    <g v-if="at && at.speed_m_s <= fastest">
      <line
        class="mark"
        :x1="x(quick(at.speed_m_s))"
        :x2="x(quick(at.speed_m_s))"
        :y1="TOP"
        :y2="height - BOTTOM"
      />
      <circle class="dot" r="4" :cx="x(quick(at.speed_m_s))" :cy="y(shown(at.total_n))" />
      <text class="at" :x="x(quick(at.speed_m_s)) - 7" :y="y(shown(at.total_n)) - 8">
        {{ told }}
      </text>
    </g>
  </svg>
</template>

<style scoped src="@/kit/chart.css"></style>
<style scoped src="./tones.css"></style>
<style scoped>
.over {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.over.bare {
  stroke-dasharray: 5 4;
}
.over.other {
  stroke-dasharray: 1.5 3;
  stroke-width: 2.4;
}
.mark {
  stroke: var(--ink);
  stroke-width: 1;
}
.dot {
  fill: var(--ink);
}
.at {
  fill: var(--ink);
  font-size: 12px;
  font-weight: 600;
  text-anchor: end;
  paint-order: stroke;
  stroke: var(--halo);
  stroke-width: 3px;
}
</style>
