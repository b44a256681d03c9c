<script setup lang="ts">
/** The one ruler, measured from the bow, and its faint lines down through all views. */
import { computed } from 'vue'
import { ticks, toX, type Sheet } from './sheet'

const props = defineProps<{ sheet: Sheet; length_m: number; imperial: boolean }>()
const marks = computed(() =>
  ticks(props.length_m, props.imperial).map((tick) => ({
    ...tick,
    x: toX(props.sheet, props.sheet.bow_x_m - tick.at_m),
  })),
)
</script>

<template>
  <g class="ruler" aria-hidden="true">
    <text x="8" y="30">{{ imperial ? 'ft' : 'cm' }}</text>
    <g v-for="mark in marks" :key="mark.at_m">
      <line class="tick" :x1="mark.x" :x2="mark.x" y1="8" :y2="mark.long ? 20 : 14" />
      <text v-if="mark.label" :x="mark.x + 3" y="30">{{ mark.label }}</text>
      <line
        v-if="mark.long"
        class="down"
        :x1="mark.x"
        :x2="mark.x"
        :y1="sheet.planTop"
        :y2="sheet.stripBottom - 4"
      />
    </g>
  </g>
</template>

<style scoped>
.ruler text {
  fill: var(--soft);
  font: 10px var(--mono);
}
.tick {
  stroke: var(--soft);
}
.down {
  stroke: var(--line);
  stroke-dasharray: 2 5;
}
</style>
