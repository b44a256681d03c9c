<script setup lang="ts">
/** What the boat has, on its plan: a short bar along the boat, or a dot. */
import type { Fitting } from '@/api/client'
import { planY, toX, type Sheet } from './sheet'

defineProps<{
  sheet: Sheet
  fittings: Fitting[]
  chosen?: number | null
  names?: boolean
  /** in the background, where things are what counts */
  faint?: boolean
}>()
</script>

<template>
  <g class="fittings" :class="{ faint }">
    <g v-for="(one, i) in fittings" :key="i" :class="{ chosen: i === chosen }">
      <line
        v-if="one.length_m > 0"
        :x1="toX(sheet, one.x_m - one.length_m / 2)"
        :x2="toX(sheet, one.x_m + one.length_m / 2)"
        :y1="planY(sheet, one.y_m)"
        :y2="planY(sheet, one.y_m)"
      />
      <circle v-else :cx="toX(sheet, one.x_m)" :cy="planY(sheet, one.y_m)" r="3.5" />
      <text
        v-if="names || i === chosen"
        :x="toX(sheet, one.x_m)"
        :y="planY(sheet, one.y_m) + (one.y_m >= 0 ? 15 : -7)"
      >
        {{ one.name }}
      </text>
      <title>{{ one.name }}</title>
    </g>
  </g>
</template>

<style scoped>
line {
  stroke: var(--ink);
  stroke-width: 4;
  stroke-opacity: 0.55;
}
circle {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.faint {
  opacity: 0.45;
}
.chosen line {
  stroke: var(--pick);
  stroke-opacity: 1;
}
.chosen circle {
  fill: var(--pick);
  stroke: var(--pick);
}
text {
  fill: var(--ink);
  font-size: 10.5px;
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--deck);
  stroke-width: 3px;
}
</style>
