<script setup lang="ts">
/** The day: charge of each battery, voltage at each device, what is on, and where it goes wrong. */
import { computed } from 'vue'
import type { Schemas, Thing } from '@/api/client'
import { path, type Point } from '@/drawing/sheet'
import { clock } from '@/kit/clock'
import { axis, onto, tick } from '@/kit/scale'
import { told } from '@/kit/words'
import type { Units } from '@/kit/units'

const props = defineProps<{
  chart: Schemas['DayChart']
  things: Record<string, Thing>
  units: Units
  width: number
}>()

const [LEFT, RIGHT, CHARGE, VOLTS, TOP, BETWEEN, BAR] = [34, 104, 84, 104, 34, 34, 13]
const hours = computed(() => {
  const [from, to] = [props.chart.at_h[0]!, props.chart.at_h.at(-1)!]
  return { low: from, high: to, ticks: axis(from, to, 8).ticks.filter((h) => h >= from && h <= to) }
})
const x = computed(() => onto(hours.value, LEFT, props.width - RIGHT))
const ys = { low: 0, high: 100, ticks: [0, 50, 100] }
const charge = onto(ys, TOP + CHARGE, TOP)
const voltsTop = TOP + CHARGE + BETWEEN
const seen = computed(() =>
  props.chart.loads.flatMap((one) => [
    ...one.volts.filter((v): v is number => v !== null),
    ...(one.min_v == null ? [] : [one.min_v]),
  ]),
)
const vs = computed(() =>
  seen.value.length ? axis(Math.min(...seen.value), Math.max(...seen.value), 4) : axis(10, 14, 4),
)
const v = computed(() => onto(vs.value, voltsTop + VOLTS, voltsTop))
const barsTop = voltsTop + VOLTS + 22
const height = computed(() => barsTop + props.chart.loads.length * (BAR + 4) + 20)
const name = (id: number) => props.things[String(id)]?.name ?? ''

/** A line in pieces: it breaks where a thing is off. */
function pieces(values: readonly (number | null)[], y: (value: number) => number): string {
  const parts: string[] = []
  let points: Point[] = []
  values.forEach((value, i) => {
    if (value === null) {
      if (points.length) parts.push(path(points))
      points = []
    } else points.push([x.value(props.chart.at_h[i]!), y(value)])
  })
  if (points.length) parts.push(path(points))
  return parts.join('')
}
/** Names at the ends of lines, pushed apart where lines end close together. */
function ends(rows: { id: number; y: number }[]): { id: number; y: number }[] {
  const sorted = [...rows].sort((a, b) => a.y - b.y)
  sorted.forEach((one, i) => {
    if (i) one.y = Math.max(one.y, sorted[i - 1]!.y + 12)
  })
  return sorted
}
const chargeEnds = computed(() =>
  ends(
    props.chart.batteries.map((one) => ({ id: one.thing_id, y: charge(100 * one.soc.at(-1)!) })),
  ),
)
const voltEnds = computed(() =>
  ends(
    props.chart.loads.flatMap((one) => {
      const last = one.volts.filter((value) => value !== null).at(-1)
      return last == null ? [] : [{ id: one.thing_id, y: v.value(last) }]
    }),
  ),
)
const tone = (i: number) => `tone${i % 5}`
const toneOf = (id: number) => tone(props.chart.loads.findIndex((one) => one.thing_id === id))
const words = computed(() =>
  props.chart.troubles.map(
    (one) => `${clock(one.at_h)} ${told(one.words.text, one.words.amounts ?? [], props.units)}`,
  ),
)
</script>

<template>
  <figure>
    <svg
      :width="width"
      :height="height"
      role="img"
      aria-label="The day: charge, voltages, what is on"
    >
      <g v-for="phase in chart.phases" :key="phase.name">
        <rect
          class="phase"
          :x="x(phase.from_h)"
          :width="x(phase.to_h) - x(phase.from_h)"
          :y="TOP"
          :height="height - TOP - 18"
        />
        <text
          v-if="x(phase.to_h) - x(phase.from_h) > 50"
          class="name mid"
          :x="(x(phase.from_h) + x(phase.to_h)) / 2"
          y="12"
        >
          {{ phase.name }}
        </text>
      </g>
      <g v-for="at in ys.ticks" :key="`c${at}`">
        <line class="grid" :x1="LEFT" :x2="width - RIGHT" :y1="charge(at)" :y2="charge(at)" />
        <text class="tick end" :x="LEFT - 5" :y="charge(at) + 3.5">{{ at }}</text>
      </g>
      <text class="name" x="2" :y="TOP - 12">Charge, %</text>
      <path
        v-for="(one, i) in chart.batteries"
        :key="one.thing_id"
        class="series"
        :class="tone(i)"
        :d="
          pieces(
            one.soc.map((s) => 100 * s),
            charge,
          )
        "
      />
      <text
        v-for="one in chargeEnds"
        :key="`ce${one.id}`"
        class="label"
        :x="width - RIGHT + 5"
        :y="one.y + 3.5"
      >
        {{ name(one.id).slice(0, 17) }}
      </text>
      <g v-for="at in vs.ticks" :key="`v${at}`">
        <line class="grid" :x1="LEFT" :x2="width - RIGHT" :y1="v(at)" :y2="v(at)" />
        <text class="tick end" :x="LEFT - 5" :y="v(at) + 3.5">{{ tick(at) }}</text>
      </g>
      <text class="name" x="2" y="0" :dy="voltsTop - 12">At the device, V</text>
      <g v-for="(one, i) in chart.loads" :key="one.thing_id">
        <line
          v-if="one.min_v != null"
          class="least"
          :class="tone(i)"
          :x1="LEFT"
          :x2="width - RIGHT"
          :y1="v(one.min_v)"
          :y2="v(one.min_v)"
        />
        <path class="series" :class="tone(i)" :d="pieces(one.volts, v)" />
        <rect
          v-for="[from, to] in one.on"
          :key="from"
          class="on"
          :class="tone(i)"
          :x="x(from)"
          :width="Math.max(1, x(to) - x(from))"
          :y="barsTop + i * (BAR + 4)"
          :height="BAR"
        />
        <text class="label" :x="width - RIGHT + 5" :y="barsTop + i * (BAR + 4) + 10">
          {{ name(one.thing_id).slice(0, 17) }}
        </text>
      </g>
      <text
        v-for="one in voltEnds"
        :key="`ve${one.id}`"
        class="label"
        :class="toneOf(one.id)"
        :x="width - RIGHT + 5"
        :y="one.y + 3.5"
      >
        {{ name(one.id).slice(0, 17) }}
      </text>
      <text class="name" x="2" :y="barsTop - 6">On</text>
      <text v-for="at in hours.ticks" :key="`h${at}`" class="tick mid" :x="x(at)" :y="height - 4">
        {{ clock(at) }}
      </text>
      <g v-for="one in chart.troubles" :key="`t${one.at_h}${one.words.text}`" class="trouble">
        <line :x1="x(one.at_h)" :x2="x(one.at_h)" :y1="TOP" :y2="height - 18" />
        <path :d="`M${x(one.at_h) - 5},${TOP - 8}h10l-5,8Z`" />
      </g>
    </svg>
    <figcaption v-if="words.length" class="why">{{ words.join(' · ') }}</figcaption>
  </figure>
</template>

<style scoped src="@/kit/chart.css"></style>
<style scoped>
figure {
  margin: 0;
}
.phase {
  fill: var(--water-pale);
  fill-opacity: 0.5;
  stroke: var(--line);
}
.series {
  fill: none;
  stroke: var(--tone);
  stroke-width: 2;
}
.least {
  stroke: var(--tone);
  stroke-dasharray: 4 3;
}
.on {
  fill: var(--tone);
  fill-opacity: 0.75;
}
.label {
  fill: var(--ink);
  font-size: 11px;
}
.tone0 {
  --tone: var(--pick);
}
.tone1 {
  --tone: var(--fix-mark);
}
.tone2 {
  --tone: var(--fine);
}
.tone3 {
  --tone: var(--wood);
}
.tone4 {
  --tone: var(--soft);
}
.trouble line {
  stroke: var(--stop);
  stroke-dasharray: 2 3;
}
.trouble path {
  fill: var(--stop);
}
.why {
  padding: 0 8px 6px;
  color: var(--stop);
  font-size: 12px;
}
</style>
