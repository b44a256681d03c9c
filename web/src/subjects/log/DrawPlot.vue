<script setup lang="ts">
/** What each trip took of a battery by its hours, with what is held, what is measured, its band. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { show, type Units } from '@/kit/units'

const props = defineProps<{ row: Schemas['DrawRow']; units: Units }>()
const WIDE = 300
const HIGH = 130
const LEFT = 40
const FOOT = 22
const most_h = computed(() => Math.max(1, ...props.row.trips.map((one) => one.hours)) * 1.08)
const most_wh = computed(
  () =>
    1.1 *
    Math.max(
      1,
      ...props.row.trips.map((one) => one.energy_wh),
      most_h.value * Math.max(props.row.assumed_w ?? 0, props.row.high_w ?? 0),
    ),
)
const x = (hours: number) => LEFT + ((WIDE - LEFT - 6) * hours) / most_h.value
const y = (wh: number) => HIGH - FOOT - ((HIGH - FOOT - 8) * wh) / most_wh.value
const line = (watts: number) => `M${x(0)},${y(0)} L${x(most_h.value)},${y(most_h.value * watts)}`
const band = computed(() =>
  props.row.low_w == null || props.row.high_w == null
    ? ''
    : `M${x(0)},${y(0)} L${x(most_h.value)},${y(most_h.value * props.row.low_w)} V${y(most_h.value * props.row.high_w)} Z`,
)
const hours = computed(() =>
  Array.from({ length: Math.floor(most_h.value / 2) }, (_, i) => 2 * i + 2),
)
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDE} ${HIGH}`"
    role="img"
    :aria-label="`What ${row.trips.length} trips took, by their hours`"
  >
    <path :d="band" class="band" />
    <path v-if="row.assumed_w" :d="line(row.assumed_w)" class="held" />
    <path v-if="row.measured_w" :d="line(row.measured_w)" class="found" />
    <circle
      v-for="one in row.trips"
      :key="one.trip_id"
      :cx="x(one.hours)"
      :cy="y(one.energy_wh)"
      r="3.5"
      :class="{ dark: one.dark }"
    >
      <title>
        {{ one.on_day }}: {{ show(one.energy_wh, 'work', units) }} in
        {{ show(one.hours, 'hours', units) }}
      </title>
    </circle>
    <path :d="`M${LEFT},4 V${HIGH - FOOT} H${WIDE - 6}`" class="axis" />
    <text v-for="one in hours" :key="one" :x="x(one)" :y="HIGH - 7" text-anchor="middle">
      {{ one }} h
    </text>
    <text :x="LEFT - 5" :y="y(most_wh / 2) + 4" text-anchor="end">
      {{ show(Math.round(most_wh / 20) * 10, 'work', units) }}
    </text>
    <text v-if="row.assumed_w" :x="LEFT + 8" y="14">dashed: as Power holds</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 340px;
}
.band {
  fill: var(--pick-pale);
}
.held {
  fill: none;
  stroke: var(--soft);
  stroke-dasharray: 4 3;
}
.found {
  fill: none;
  stroke: var(--pick);
  stroke-width: 1.6;
}
circle {
  fill: var(--pick);
  stroke: var(--pick);
}
circle.dark {
  fill: var(--card);
}
.axis {
  fill: none;
  stroke: var(--line);
}
text {
  fill: var(--soft);
  font-size: 10.5px;
}
</style>
