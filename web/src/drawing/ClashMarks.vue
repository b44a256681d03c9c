<script setup lang="ts">
/** Where things are in each other's way, or in room that the angler needs: with the distance. */
import { computed } from 'vue'
import type { TooNear } from '@/api/client'
import { number, type Units } from '@/kit/units'
import { clashMarks } from './clashes'
import { drawnAt, type Sheet } from './sheet'

const props = defineProps<{
  sheet: Sheet
  tooNear: TooNear[]
  chosen: ReadonlySet<number>
  units: Units
  view: 'plan' | 'side'
}>()

const marks = computed(() =>
  clashMarks(props.tooNear, props.chosen).map((mark) => {
    const [x, y] = drawnAt(props.sheet, props.view, mark.clash.at)
    return { ...mark, x, y }
  }),
)
</script>

<template>
  <g class="clashes" aria-hidden="true">
    <g v-for="mark in marks" :key="mark.key" :class="[mark.clash.verdict, { mine: mark.mine }]">
      <path :d="`M${mark.x - 4},${mark.y - 4}l8,8m0,-8l-8,8`" />
      <text v-if="mark.mine" :x="mark.x + 7" :y="mark.y - 4">
        {{ number(Math.abs(mark.clash.gap_m), 'length', units, 1) }}
      </text>
    </g>
  </g>
</template>

<style scoped>
.clashes {
  pointer-events: none;
}
path {
  stroke: var(--fix);
  stroke-width: 2;
  stroke-opacity: 0.75;
}
.watch path {
  stroke: var(--watch);
}
.mine path {
  stroke-width: 3;
  stroke-opacity: 1;
}
text {
  fill: var(--fix-text, var(--fix));
  font-size: 11px;
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 3px;
}
</style>
