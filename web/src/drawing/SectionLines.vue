<script setup lang="ts">
/**
 * The sections laid over one another: fore half to the right, after half to the left; measured
 * points on top, with how far they disagree.
 */
import { computed } from 'vue'
import type { Drawing } from '@/api/client'
import { show, type Units } from '@/kit/units'
import { path, type Point } from './sheet'

const props = defineProps<{ drawing: Drawing; width: number; height: number; units: Units }>()

const widest = computed(() => Math.max(...props.drawing.half_breadth_m))
const highest = computed(() => Math.max(...props.drawing.sheer_z_m))
const scale = computed(() =>
  Math.min((props.width - 24) / (2 * widest.value), (props.height - 40) / highest.value),
)
const middle = computed(() => (props.drawing.x_m[0]! + props.drawing.x_m.at(-1)!) / 2)
const at = (x_m: number, y_m: number, z_m: number): Point => [
  props.width / 2 + (x_m >= middle.value ? 1 : -1) * y_m * scale.value,
  props.height - 12 - z_m * scale.value,
]
const lines = computed(() =>
  props.drawing.sections.map((one) => path(one.points.map(([y, z]) => at(one.x_m, y, z)))),
)
const points = computed(() =>
  props.drawing.measured.map((one) => ({
    ...one,
    at: at(one.x_m, one.y_m, one.z_m),
    text: one.agrees ? '' : show(one.off_m, 'length', props.units),
  })),
)
</script>

<template>
  <g>
    <rect class="frame" x="0.5" y="0.5" :width="width - 1" :height="height - 1" rx="8" />
    <text class="title" x="10" y="17">Sections: aft left, fore right</text>
    <line class="axis" :x1="width / 2" :x2="width / 2" y1="26" :y2="height - 8" />
    <path v-for="(line, i) in lines" :key="i" class="line" :d="line" />
    <g v-for="(point, i) in points" :key="i" :class="{ off: !point.agrees }" class="point">
      <circle :cx="point.at[0]" :cy="point.at[1]" r="3.5" />
      <text :x="point.at[0] + 6" :y="point.at[1] + 4">{{ point.text }}</text>
    </g>
  </g>
</template>

<style scoped>
.frame {
  fill: var(--card);
  stroke: var(--line);
}
.title {
  fill: var(--soft);
  font-size: 12px;
}
.axis {
  stroke: var(--line);
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.3;
}
.point circle {
  fill: var(--card);
  stroke: var(--fine);
  stroke-width: 2;
}
.point.off circle {
  fill: var(--stop);
  stroke: var(--stop);
}
.point text {
  fill: var(--stop);
  font-size: 11px;
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 3px;
}
</style>
