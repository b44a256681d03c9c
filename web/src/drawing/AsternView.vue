<script setup lang="ts">
/** The boat from astern in still water, leaned as computed; port is on the left. */
import { computed } from 'vue'
import type { Drawing, Figures } from '@/api/client'
import { bodyShapes, type Shape } from './body'
import { path, type Point } from './sheet'

const props = defineProps<{
  drawing: Drawing
  afloat: Figures['afloat'] | null
  width: number
  height: number
  vest?: boolean
}>()

const scale = computed(() => Math.min((props.width - 14) / 0.98, (props.height - 26) / 1.2))
const heel = computed(() => props.afloat?.heel_deg ?? 0)
const water_z = computed(() => {
  const a = props.afloat
  if (!a) return 0
  const { x_m } = props.drawing
  const share = (props.drawing.section_x_m - x_m[0]!) / (x_m.at(-1)! - x_m[0]!)
  return a.draft_aft_m + share * (a.draft_fwd_m - a.draft_aft_m)
})
const level = computed(() => props.height - 0.2 * scale.value)

const at = (y_m: number, z_m: number): Point => [
  props.width / 2 - y_m * scale.value,
  level.value - (z_m - water_z.value) * scale.value,
]
const hull = computed(() => {
  const port = props.drawing.section.map(([y, z]) => at(y, z))
  const starboard = props.drawing.section.map(([y, z]) => at(-y, z)).reverse()
  return path([...starboard, ...port], true)
})
const shapes = computed(() => [
  ...torso.value,
  ...bodyShapes(
    props.drawing.limbs.filter((limb) => ARMS.includes(limb.name)),
    (spot) => at(spot[1], spot[2]),
    scale.value,
    props.vest,
  ),
])
const ARMS = ['upper arm', 'forearm', 'hand']
/** From behind a trunk is as broad as the shoulders that the arms hang from. */
const torso = computed<Shape[]>(() => {
  const trunk = props.drawing.limbs.find((limb) => limb.name === 'trunk')
  const arms = props.drawing.limbs.filter((limb) => limb.name === 'upper arm')
  if (!trunk || arms.length < 2) return []
  const low = trunk.upper[2] < trunk.far[2] ? trunk.upper : trunk.far
  const [one, other] = arms.map((arm) => arm.upper)
  const up = arms[0]!.width_m / 2
  const hip = trunk.width_m / 2
  const points = [
    at(one![1], one![2] - up),
    at(one![1], one![2] + up),
    at(other![1], other![2] + up),
    at(other![1], other![2] - up),
    at(low[1] + Math.sign(other![1] - one![1]) * hip, low[2]),
    at(low[1] - Math.sign(other![1] - one![1]) * hip, low[2]),
  ]
  return [{ d: path(points, true), cloth: props.vest ? 'vest' : 'sleeve' }]
})
const roomy = computed(
  () => props.width / 2 - Math.max(...props.drawing.half_breadth_m) * scale.value > 33,
)
/** The back of the cap. */
const cap = computed(() => {
  const [x, y] = head.value
  const r = 0.09 * scale.value
  return `M${x - r},${y}A${r},${r} 0 0 1 ${x + r},${y}z`
})
const head = computed(() => at(props.drawing.head_m[1], props.drawing.head_m[2]))
</script>

<template>
  <g>
    <rect class="frame" :width="width" :height="height" rx="8" />
    <text class="title" x="8" y="15">From astern</text>
    <rect
      class="water"
      x="1"
      :y="level"
      :width="width - 2"
      :height="Math.max(0, height - level - 1)"
    />
    <g :transform="`rotate(${heel} ${width / 2} ${level})`">
      <path v-for="(one, i) in shapes" :key="`edge${i}`" class="edge" :d="one.d" />
      <path v-for="(one, i) in shapes" :key="i" :class="one.cloth" :d="one.d" />
      <circle class="head" :cx="head[0]" :cy="head[1]" :r="0.09 * scale" />
      <path class="sleeve" :d="cap" />
      <path class="hull" :d="hull" />
    </g>
    <line class="surface" x1="1" :x2="width - 1" :y1="level" :y2="level" />
    <text class="side" x="5" :y="level - 5">{{ roomy ? 'port' : 'P' }}</text>
    <text class="side end" :x="width - 5" :y="level - 5">{{ roomy ? 'starb.' : 'S' }}</text>
  </g>
</template>

<style scoped>
.frame {
  fill: var(--card);
  stroke: var(--line);
}
.title,
.side {
  fill: var(--soft);
  font-size: 11px;
}
.side {
  font-size: 10px;
}
.end {
  text-anchor: end;
}
.water {
  fill: var(--water);
}
.surface {
  stroke: var(--pick);
  stroke-width: 1.5;
  stroke-opacity: 0.7;
}
.hull {
  fill: var(--deck);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.8;
  stroke-opacity: 0.75;
}
.vest {
  fill: var(--gear-apricot);
}
.sleeve {
  fill: color-mix(in srgb, var(--cloth) 80%, var(--card));
}
.skin,
.head {
  fill: var(--skin);
}
.head {
  stroke: var(--ink);
  stroke-width: 1;
}
</style>
