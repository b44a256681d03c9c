<script setup lang="ts">
/** A line between where two things come nearest, with the gap. */
import { computed } from 'vue'
import type { Between } from '@/api/client'
import { show, type Units } from '@/kit/units'
import { drawnAt, type Sheet } from './sheet'

const props = defineProps<{
  sheet: Sheet
  between: Between
  units: Units
  view: 'plan' | 'side'
}>()

const ends = computed(() =>
  props.between.nearest.map((spot) => {
    const [x, y] = drawnAt(props.sheet, props.view, spot)
    return { x, y }
  }),
)
const text = computed(() => show(props.between.gap_m, 'length', props.units, 1))
</script>

<template>
  <g class="measure">
    <line :x1="ends[0]!.x" :y1="ends[0]!.y" :x2="ends[1]!.x" :y2="ends[1]!.y" />
    <circle v-for="(end, i) in ends" :key="i" :cx="end.x" :cy="end.y" r="3" />
    <text :x="(ends[0]!.x + ends[1]!.x) / 2" :y="(ends[0]!.y + ends[1]!.y) / 2 - 6">{{
      text
    }}</text>
  </g>
</template>

<style scoped>
.measure {
  pointer-events: none;
}
line {
  stroke: var(--stop);
  stroke-width: 1.6;
}
circle {
  fill: var(--stop);
}
text {
  fill: var(--stop);
  font-size: 12px;
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 4px;
}
</style>
