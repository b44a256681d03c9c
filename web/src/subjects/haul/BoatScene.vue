<script setup lang="ts">
/** A scene on land, to scale: the ground, the boat as it lies, and the forces on it. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { path, type Point } from '@/drawing/sheet'
import { outlineOf, type Force, type Place, type Pose } from './scene'

const props = defineProps<{
  label: string
  outline: Schemas['FullHaul']['outline']
  pose: Pose
  forces: Force[]
  /** least and most, along and up, that have to be seen */
  along: [number, number]
  high: number
  low?: number
  slope_deg?: number
  width: number
  height: number
  testid: string
}>()
const [SIDE, FLOOR, ARROW, ASIDE] = [12, 22, 34, 10]

const below = computed(() => props.low ?? 0)
const scale = computed(() =>
  Math.min(
    (props.width - 2 * SIDE) / (props.along[1] - props.along[0]),
    (props.height - FLOOR - 8) / (props.high - below.value),
  ),
)
const x0 = computed(() => props.width / 2 - (scale.value * (props.along[0] + props.along[1])) / 2)
const p = ([along, up]: Place): Point => [
  x0.value + along * scale.value,
  props.height - FLOOR - (up - below.value) * scale.value,
]
/** Uphill is where it is pulled to, at the left. */
const turn = computed(() => {
  const [x, y] = p([0, 0])
  return props.slope_deg ? `rotate(${props.slope_deg} ${x} ${y})` : ''
})
const hull = computed(() => path(outlineOf(props.outline, props.pose).map(p), true))
const arrows = computed(() =>
  props.forces.map((force) => {
    const [x, y] = p(force.at)
    const long = Math.hypot(...force.way) || 1
    const [ux, uy] = [force.way[0] / long, -force.way[1] / long]
    const [tx, ty] = [x + ux * ARROW, y + uy * ARROW]
    const head: Point[] = [
      [tx - 8 * ux - 4 * uy, ty - 8 * uy + 4 * ux],
      [tx, ty],
      [tx - 8 * ux + 4 * uy, ty - 8 * uy - 4 * ux],
    ]
    const level = Math.abs(ux) > 0.5
    const tail = force.weight ?? false
    return {
      ...force,
      d:
        path([
          [x, y],
          [tx, ty],
        ]) + path(head),
      x: level ? tx : (tail ? x : tx) + (force.before ? -ASIDE : ASIDE),
      y: level ? ty - 7 : tail ? y - 5 : uy < 0 ? ty + 8 : ty + 2,
    }
  }),
)
defineExpose({ scale })
</script>

<template>
  <svg :width="width" :height="height" role="group" :aria-label="label" :data-testid="testid">
    <g :transform="turn">
      <rect class="ground" :x="-width" :y="p([0, 0])[1]" :width="3 * width" :height="height" />
      <line class="floor" :x1="-width" :x2="2 * width" :y1="p([0, 0])[1]" :y2="p([0, 0])[1]" />
      <slot name="behind" :p="p" :scale="scale" />
      <path class="hull" :d="hull" />
      <slot :p="p" :scale="scale" />
    </g>
    <g v-for="(one, i) in arrows" :key="i" :class="{ weight: one.weight }" :transform="turn">
      <path class="arrow" :d="one.d" />
      <text class="figure" :class="{ before: one.before }" :x="one.x" :y="one.y">
        {{ one.label }}
      </text>
    </g>
  </svg>
</template>

<style scoped src="@/kit/chart.css"></style>
<style scoped src="./vehicles.css"></style>
<style scoped>
svg {
  border-radius: 6px;
  background: var(--water-pale);
}
.ground {
  fill: var(--deck);
}
.floor {
  stroke: var(--line);
}
.hull {
  fill: var(--hull);
  stroke: var(--ink);
}
.arrow,
.figure {
  pointer-events: none;
}
.arrow {
  fill: none;
  stroke: var(--pick);
  stroke-width: 2.2;
}
.weight .arrow {
  stroke: var(--fix-mark);
}
.before {
  text-anchor: end;
}
</style>
