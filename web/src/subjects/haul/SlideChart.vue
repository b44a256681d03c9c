<script setup lang="ts">
/** What it takes to slide it up, along the way. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { path, type Point } from '@/drawing/sheet'
import { axis } from '@/kit/scale'
import { number, show, type Units } from '@/kit/units'

const props = defineProps<{
  slide: Schemas['SlideFigure']
  units: Units
  width: number
  height: number
}>()
const [LEFT, BOTTOM, TOP] = [38, 18, 14]
const up = computed(() => axis(0, Math.max(...props.slide.path.map(([, force]) => force)), 3))
const far = computed(() => props.slide.path[0]![0])
const near = computed(() => props.slide.path.at(-1)![0])
const x = (at: number) =>
  LEFT + ((far.value - at) / (far.value - near.value || 1)) * (props.width - LEFT - 10)
const y = (force: number) =>
  props.height - BOTTOM - (force / up.value.high) * (props.height - BOTTOM - TOP)
const line = computed(() => path(props.slide.path.map(([at, force]): Point => [x(at), y(force)])))
</script>

<template>
  <svg
    :width="width"
    :height="height"
    role="img"
    aria-label="Force to slide it up, along the way"
    data-testid="slide-chart"
  >
    <g v-for="one in up.ticks" :key="one">
      <line class="grid" :x1="LEFT" :x2="width - 10" :y1="y(one)" :y2="y(one)" />
      <text class="tick end" :x="LEFT - 4" :y="y(one) + 3">{{ number(one, 'force', units) }}</text>
    </g>
    <path class="line" :d="line" />
    <circle class="peak" :cx="x(slide.peak_at_m)" :cy="y(slide.peak_n)" r="3.5" />
    <text class="name" :x="Math.min(width - 150, x(slide.peak_at_m) + 8)" :y="y(slide.peak_n) - 4">
      {{ show(slide.peak_n, 'force', units) }} at the hardest
    </text>
    <text class="name" :x="LEFT" :y="height - 4">bow on the bar</text>
    <text class="name end" :x="width - 10" :y="height - 4">lies on both</text>
  </svg>
</template>

<style scoped src="@/kit/chart.css"></style>
<style scoped>
.peak {
  fill: var(--fix-mark);
}
</style>
