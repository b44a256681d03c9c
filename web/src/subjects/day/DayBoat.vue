<script setup lang="ts">
/** The boat at the hour, from the side and from astern: its waterline, and what is in its stores. */
import { computed } from 'vue'
import type { Drawing, FullDay, Setup } from '@/api/client'
import { path, type Point } from '@/drawing/sheet'
import { show, type Units } from '@/kit/units'
import { at } from './moments'

interface Mark {
  name: string
  kg: number
  x_m: number
  y_m: number
  /** labels of others near it, that this one's stands over */
  over: number
}
const props = defineProps<{
  drawing: Drawing
  day: FullDay
  hour: number
  plan: Setup['outing']
  spot: (thing_id: number) => [number, number, number] | null
  units: Units
  width: number
}>()
const [SIDE, HEIGHT, ASTERN] = [14, 150, 150]
const MOST_R = 15

const rows = computed(() => props.day.rows)
const ends = computed(() => [props.drawing.x_m[0]!, props.drawing.x_m.at(-1)!] as const)
const wide = computed(() => props.width - ASTERN - 10)
const scale = computed(() => (wide.value - 2 * SIDE) / (ends.value[1] - ends.value[0]))
const x = (m: number) => SIDE + (ends.value[1] - m) * scale.value
const y = (z: number) => HEIGHT - 26 - z * scale.value
const hull = computed(() => {
  const { x_m, keel_z_m, sheer_z_m } = props.drawing
  const top: Point[] = x_m.map((m, i) => [x(m), y(sheer_z_m[i]!)])
  const low: Point[] = x_m.map((m, i) => [x(m), y(keel_z_m[i]!)])
  return path([...top, ...low.reverse()], true)
})
const draft = computed(() => {
  const aft = at(rows.value, props.hour, (row) => row.draft_aft_m)
  const fwd = at(rows.value, props.hour, (row) => row.draft_fwd_m)
  return aft === null || fwd === null ? null : ([aft, fwd] as const)
})
const water = computed(() => {
  if (!draft.value) return ''
  const slope = (draft.value[1] - draft.value[0]) / (ends.value[1] - ends.value[0])
  const level = (m: number) => y(draft.value![0] + slope * (m - ends.value[0]))
  const [bow, stern] = [ends.value[1] + 0.2, ends.value[0] - 0.2]
  return path(
    [
      [x(bow), level(bow)],
      [x(stern), level(stern)],
      [x(stern), HEIGHT],
      [x(bow), HEIGHT],
    ],
    true,
  )
})
const list = computed(() => at(rows.value, props.hour, (row) => row.list_deg))
/** Each store where it is, as large as it weighs. */
const marks = computed<Mark[]>(() => {
  const found = placed()
  return found.map((one, i) => ({
    ...one,
    over: found.slice(0, i).filter((other) => Math.abs(x(other.x_m) - x(one.x_m)) < 90).length,
  }))
})
const placed = (): Omit<Mark, 'over'>[] =>
  Object.entries(props.plan.stores).flatMap(([name, one]) => {
    const kg = at(rows.value, props.hour, (row) => row.kg[name] ?? 0) ?? 0
    const thing = 'thing' in one ? one.thing : null
    const spot = thing == null ? null : props.spot(thing)
    if (spot) return [{ name, kg, x_m: spot[0], y_m: spot[1] }]
    if (one.kind === 'catch') return [{ name, kg, x_m: one.x_m, y_m: one.y_m }]
    return []
  })
const radius = (kg: number) => Math.min(MOST_R, 3.2 * Math.sqrt(Math.max(0, kg)))
const deck = (m: number) => {
  const i = Math.max(
    0,
    props.drawing.x_m.findIndex((one) => one >= m),
  )
  return props.drawing.sheer_z_m[i] ?? 0.3
}
const half = computed(() => Math.max(...props.drawing.half_breadth_m))
const across = computed(() => (ASTERN - 30) / (2 * half.value))
const depth = computed(() => Math.max(...props.drawing.sheer_z_m.map((z) => z)) * 0.7)
/** Seen from astern, port at the left: starboard down is clockwise. */
const section = computed(() => {
  const [w, d] = [half.value * across.value, depth.value * across.value]
  return path(
    [
      [-w, -d],
      [-w * 0.92, -d * 0.35],
      [-w * 0.62, 0],
      [w * 0.62, 0],
      [w * 0.92, -d * 0.35],
      [w, -d],
    ],
    true,
  )
})
const middle = computed(() => {
  const d = draft.value
  return d ? (d[0] + d[1]) / 2 : 0
})
</script>

<template>
  <svg
    :width="width"
    :height="HEIGHT"
    role="img"
    :aria-label="draft ? 'The boat at that hour, from the side and from astern' : 'Hauled out'"
    data-testid="day-boat"
  >
    <path class="hull" :d="hull" />
    <path v-if="water" class="water" :d="water" />
    <g v-for="one in marks" :key="one.name">
      <circle
        class="store"
        :cx="x(one.x_m)"
        :cy="y(deck(one.x_m)) - radius(one.kg)"
        :r="Math.max(1.5, radius(one.kg))"
      />
      <text
        v-if="one.kg > 0.05"
        class="name mid"
        :x="x(one.x_m)"
        :y="y(deck(one.x_m)) - 2 * radius(one.kg) - 5 - 13 * one.over"
      >
        {{ one.name }} {{ show(one.kg, 'mass', units) }}
      </text>
    </g>
    <text v-if="!draft" class="name" x="14" y="16">hauled out</text>
    <g v-if="list !== null" :transform="`translate(${width - ASTERN / 2} ${HEIGHT - 34})`">
      <g :transform="`rotate(${list})`">
        <path class="hull" :d="section" />
        <circle
          v-for="one in marks"
          :key="one.name"
          class="store"
          :cx="-one.y_m * across"
          :cy="-depth * across * 0.55"
          :r="Math.max(1, radius(one.kg) * 0.6)"
        />
      </g>
      <rect
        class="water"
        :x="-ASTERN / 2 + 4"
        :y="-middle * across"
        :width="ASTERN - 8"
        :height="60"
      />
    </g>
  </svg>
</template>

<style scoped src="@/kit/chart.css"></style>
<style scoped>
.hull {
  fill: var(--hull);
  stroke: var(--ink);
}
.water {
  fill: var(--water);
  opacity: 0.72;
}
.store {
  fill: var(--pick);
  opacity: 0.75;
}
.name {
  paint-order: stroke;
  stroke: var(--halo);
  stroke-width: 3px;
}
</style>
