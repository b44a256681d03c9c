<script setup lang="ts">
/** The boat over the bottom, from the side or from astern, with the cone of each transducer. */
import { computed } from 'vue'
import type { Drawing, Figures, Schemas } from '@/api/client'
import { path, type Point } from '@/drawing/sheet'
import { show, type Units } from '@/kit/units'

const props = defineProps<{
  view: 'side' | 'astern'
  drawing: Drawing
  afloat: NonNullable<Figures['afloat']>
  transducers: Schemas['SonarFigure'][]
  names: ReadonlyMap<number, string>
  bottom_m: number
  units: Units
  width: number
  height: number
}>()

const [TOP, FOOT, EDGE] = [26, 22, 14]
const ABOVE_M = 0.55 // of the boat, over the water
const ends = computed(() => [props.drawing.x_m[0]!, props.drawing.x_m.at(-1)!] as const)
const scale = computed(() => {
  const across = props.view === 'side' ? ends.value[1] - ends.value[0] : 1.6
  return Math.min(
    (props.width - 2 * EDGE) / across,
    (props.height - TOP - FOOT) / (props.bottom_m + ABOVE_M),
  )
})
const water_y = computed(() => TOP + ABOVE_M * scale.value)
const bottom_y = computed(() => water_y.value + props.bottom_m * scale.value)
const middle_x = computed(() => (ends.value[0] + ends.value[1]) / 2)
/** Height of the water on the centerline at x. */
const waterAt = (x_m: number): number => {
  const { draft_aft_m: aft, draft_fwd_m: fwd } = props.afloat
  return aft + ((x_m - ends.value[0]) / (ends.value[1] - ends.value[0])) * (fwd - aft)
}
const along = (x_m: number) => props.width / 2 - (x_m - middle_x.value) * scale.value
const across = (y_m: number) => props.width / 2 - y_m * scale.value
const down = (z_m: number, x_m: number) => water_y.value - (z_m - waterAt(x_m)) * scale.value

const hull = computed(() => {
  const d = props.drawing
  if (props.view === 'side') {
    const keel = d.x_m.map((x, i): Point => [along(x), down(d.keel_z_m[i]!, x)])
    const sheer = d.x_m.map((x, i): Point => [along(x), down(d.sheer_z_m[i]!, x)])
    return path([...keel, ...sheer.reverse()], true)
  }
  const port = d.section.map(([y, z]): Point => [across(y), down(z, d.section_x_m)])
  const starboard = d.section.map(([y, z]): Point => [across(-y), down(z, d.section_x_m)]).reverse()
  return path([...starboard, ...port], true)
})
const cones = computed(() =>
  props.transducers.map((one) => {
    const [x, y, z] = one.face_at
    const at: Point = [props.view === 'side' ? along(x) : across(y), down(z, x)]
    const half = (one.bottom_wide_m / 2) * scale.value
    const ball = one.ball_at
      ? ([
          props.view === 'side' ? along(one.ball_at[0]) : across(one.ball_at[1]),
          bottom_y.value - 12,
        ] as Point)
      : null
    const inIt = one.ball_from_m !== null && one.ball_from_m <= one.bottom_m - one.depth_m
    return {
      id: one.thing_id,
      at,
      cone: path([at, [at[0] - half, bottom_y.value], [at[0] + half, bottom_y.value]], true),
      wide: show(one.bottom_wide_m, 'length', props.units, 0),
      half,
      ball,
      inIt,
    }
  }),
)
</script>

<template>
  <svg
    :width="width"
    :height="height"
    role="img"
    :aria-label="`The cone under the boat, from ${view === 'side' ? 'the side' : 'astern'}`"
  >
    <rect class="water" x="1" :y="water_y" :width="width - 2" :height="bottom_y - water_y" />
    <rect class="bottom" x="1" :y="bottom_y" :width="width - 2" :height="height - bottom_y" />
    <path v-for="one in cones" :key="`c${one.id}`" class="cone" :d="one.cone" />
    <path class="hull" :d="hull" />
    <line class="surface" x1="1" :x2="width - 1" :y1="water_y" :y2="water_y" />
    <g v-for="one in cones" :key="one.id">
      <rect class="face" :x="one.at[0] - 5" :y="one.at[1] - 5" width="10" height="6" rx="2" />
      <text class="wide" :x="one.at[0]" :y="bottom_y - 6">{{ one.wide }}</text>
      <g v-if="one.ball" :class="{ out: !one.inIt }">
        <line class="cable" :x1="one.ball[0]" :x2="one.ball[0]" :y1="water_y" :y2="one.ball[1]" />
        <circle class="ball" :cx="one.ball[0]" :cy="one.ball[1]" r="5" />
      </g>
    </g>
    <text class="name" x="8" y="16">{{ view === 'side' ? 'From the side' : 'From astern' }}</text>
    <text class="name end" :x="width - 8" :y="bottom_y + 15">
      bottom at {{ show(bottom_m, 'length', units, 0) }}
    </text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.water {
  fill: var(--water-pale);
}
.bottom {
  fill: var(--gear-sand);
}
.surface {
  stroke: var(--pick);
  stroke-width: 1.5;
}
.hull {
  fill: var(--hull);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.cone {
  fill: var(--pick);
  fill-opacity: 0.16;
  stroke: var(--pick);
  stroke-dasharray: 4 3;
}
.face {
  fill: var(--card);
  stroke: var(--ink);
}
.wide {
  fill: var(--pick);
  font-size: 12px;
  font-weight: 600;
  text-anchor: middle;
}
.name {
  fill: var(--soft);
  font-size: 12px;
}
.end {
  text-anchor: end;
}
.cable {
  stroke: var(--fine);
}
.ball {
  fill: var(--fine);
}
.out .cable {
  stroke: var(--fix-mark);
}
.out .ball {
  fill: var(--fix-mark);
}
</style>
