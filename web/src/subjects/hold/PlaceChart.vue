<script setup lang="ts">
/** How the boat would lie and pull, held at each place along it: where the ring may stand. */
import { computed } from 'vue'
import type { FullHold } from '@/api/client'
import { path, type Point } from '@/drawing/sheet'
import { axis, onto, tick } from '@/kit/scale'
import { number, unitOf, type Units } from '@/kit/units'

const props = defineProps<{
  full: FullHold
  at_m: number
  units: Units
  width: number
  height: number
}>()
const [LEFT, RIGHT, TOP, BOTTOM] = [36, 36, 20, 30]
// As everywhere, the bow at the left.
const x = computed(() => {
  const [aft, fwd] = props.full.ends_x_m
  return (x_m: number) => LEFT + ((fwd! - x_m) / (fwd! - aft!)) * (props.width - LEFT - RIGHT)
})
const force = (n: number) => Number(number(n, 'force', props.units, 3))
const pulls = computed(() =>
  axis(0, Math.max(1, ...props.full.elsewhere.map((one) => force(one.pull_n))), 4),
)
const angles = { low: 0, high: 90, ticks: [0, 30, 60, 90] }
const yPull = computed(() => onto(pulls.value, props.height - BOTTOM, TOP))
const yAngle = computed(() => onto(angles, props.height - BOTTOM, TOP))
const pull = computed(() =>
  path(
    props.full.elsewhere.map((one): Point => [x.value(one.x_m), yPull.value(force(one.pull_n))]),
  ),
)
const off = computed(() =>
  path(
    props.full.elsewhere.map((one): Point => [
      x.value(one.x_m),
      yAngle.value(Math.min(90, one.off_line_deg)),
    ]),
  ),
)
</script>

<template>
  <svg
    :width="width"
    :height="height"
    role="img"
    aria-label="Pull, and angle of the line off the end, by where along the boat it is held"
  >
    <g v-for="n in pulls.ticks" :key="n">
      <line class="grid" :x1="LEFT" :x2="width - RIGHT" :y1="yPull(n)" :y2="yPull(n)" />
      <text class="tick end" :x="LEFT - 4" :y="yPull(n) + 3.5">{{ tick(n) }}</text>
    </g>
    <text
      v-for="deg in angles.ticks"
      :key="deg"
      class="tick"
      :x="width - RIGHT + 5"
      :y="yAngle(deg) + 3.5"
    >
      {{ deg }}°
    </text>
    <text class="name" x="2" y="11">Pull, {{ unitOf('force', units) }}</text>
    <text class="name end" :x="width - 2" y="11">off the end, dashed</text>
    <path class="line" :d="pull" />
    <path class="off" :d="off" />
    <line class="at" :x1="x(at_m)" :x2="x(at_m)" :y1="TOP" :y2="height - BOTTOM" />
    <line
      class="middle"
      :x1="x(full.lateral_x_m)"
      :x2="x(full.lateral_x_m)"
      :y1="TOP"
      :y2="height - BOTTOM"
    />
    <text class="name" :x="LEFT" :y="height - 14">bow</text>
    <text class="name end" :x="width - RIGHT" :y="height - 14">stern</text>
    <text class="name mid" :x="x(full.lateral_x_m)" :y="height - 14">middle of the wet side</text>
    <text class="name mid" :x="width / 2" :y="height - 1">Where the line leaves the boat</text>
  </svg>
</template>

<style scoped src="@/kit/chart.css"></style>
<style scoped>
.off {
  fill: none;
  stroke: var(--fix-mark);
  stroke-width: 1.6;
  stroke-dasharray: 5 3;
}
.at {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.middle {
  stroke: var(--soft);
  stroke-dasharray: 2 3;
}
</style>
