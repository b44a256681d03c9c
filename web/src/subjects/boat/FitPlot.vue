<script setup lang="ts">
/** Readings as dots, and the model as lines. */
import { computed } from 'vue'
import { path } from '@/drawing/sheet'
import { axis, onto, tick } from '@/kit/scale'

interface XY {
  x: number
  y: number
}
const props = defineProps<{
  series: { name: string; dashed: boolean; points: XY[] }[]
  dots: XY[]
  xName: string
  yName: string
  label: string
}>()

const [W, H, LEFT, FOOT, TOP] = [500, 150, 44, 30, 14]
const all = computed(() => [...props.dots, ...props.series.flatMap((one) => one.points)])
const xs = computed(() =>
  axis(Math.min(...all.value.map((p) => p.x)), Math.max(...all.value.map((p) => p.x)), 6),
)
const ys = computed(() =>
  axis(Math.min(...all.value.map((p) => p.y)), Math.max(...all.value.map((p) => p.y)), 4),
)
const x = computed(() => onto(xs.value, LEFT, W - 100))
const y = computed(() => onto(ys.value, H - FOOT, TOP))
</script>

<template>
  <svg v-if="all.length" :viewBox="`0 0 ${W} ${H}`" width="100%" role="img" :aria-label="label">
    <g v-for="at in ys.ticks" :key="`y${at}`">
      <line class="grid" :x1="LEFT" :x2="W - 100" :y1="y(at)" :y2="y(at)" />
      <text class="tick end" :x="LEFT - 5" :y="y(at) + 3.5">{{ tick(at) }}</text>
    </g>
    <text v-for="at in xs.ticks" :key="`x${at}`" class="tick mid" :x="x(at)" :y="H - FOOT + 13">
      {{ tick(at) }}
    </text>
    <text class="name" :x="LEFT" :y="9">{{ yName }}</text>
    <text class="name end" :x="W - 100" :y="H - 3">{{ xName }}</text>
    <g v-for="(one, i) in series" :key="one.name" :class="{ dashed: one.dashed }">
      <path class="line" :d="path(one.points.map((p) => [x(p.x), y(p.y)]))" />
      <path class="line" :d="`M${W - 92},${TOP + 6 + 15 * i}h18`" />
      <text class="name" :x="W - 70" :y="TOP + 10 + 15 * i">{{ one.name }}</text>
    </g>
    <circle v-for="(dot, i) in dots" :key="i" :cx="x(dot.x)" :cy="y(dot.y)" r="4" />
  </svg>
</template>

<style scoped src="@/kit/chart.css"></style>
<style scoped>
.dashed .line {
  stroke: var(--soft);
  stroke-dasharray: 4 3;
}
circle {
  fill: var(--card);
  stroke: var(--stop);
  stroke-width: 2;
}
</style>
