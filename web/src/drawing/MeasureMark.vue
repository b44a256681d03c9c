<script setup lang="ts">
/** Where to hold the tape: a dimension line on the boat for the measure that is being taken. */
import { computed } from 'vue'
import type { Boat, Drawing } from '@/api/client'
import { planY, sideY, toX, type Point, type Sheet } from './sheet'

const props = defineProps<{
  sheet: Sheet
  drawing: Drawing
  tape: Boat['tape']
  field: string
  text: string
  /** the corner of pan and back, where the seat is measured */
  seat_x_m?: number
}>()

interface Mark {
  from: Point
  to: Point
  /** leader lines from the boat out to the ends of the dimension line */
  leaders?: [Point, Point][]
}

const ends = computed(() => [props.drawing.x_m[0]!, props.drawing.x_m.at(-1)!] as const)
function at(values: number[], x: number): number {
  const xs = props.drawing.x_m
  const i = Math.max(
    1,
    xs.findIndex((one) => one >= x),
  )
  const share = (x - xs[i - 1]!) / (xs[i]! - xs[i - 1]!)
  return values[i - 1]! + share * (values[i]! - values[i - 1]!)
}

const mark = computed<Mark | null>(() => {
  const s = props.sheet
  const [aft, fwd] = ends.value
  const plan = (x: number, y: number): Point => [toX(s, x), planY(s, y)]
  const side = (x: number, z: number): Point => [toX(s, x), sideY(s, z)]
  const across = (x: number, y: number): Mark => ({ from: plan(x, y), to: plan(x, -y) })
  const up = (x: number, z0: number, z1: number): Mark => ({
    from: side(x, z0),
    to: side(x, z1),
  })
  const d = props.drawing
  const length = fwd - aft
  switch (props.field) {
    case 'length_m':
      return {
        from: [toX(s, fwd), s.planBottom - 6],
        to: [toX(s, aft), s.planBottom - 6],
        leaders: [
          [plan(fwd, 0), [toX(s, fwd), s.planBottom]],
          [plan(aft, 0), [toX(s, aft), s.planBottom]],
        ],
      }
    case 'beam_m':
      return across(fwd - props.tape.beam_at_m, at(d.half_breadth_m, fwd - props.tape.beam_at_m))
    case 'beam_at_m':
      return { from: plan(fwd, 0), to: plan(fwd - props.tape.beam_at_m, 0) }
    case 'beam_fore_quarter_m':
      return across(fwd - length / 4, at(d.half_breadth_m, fwd - length / 4))
    case 'beam_aft_quarter_m':
      return across(aft + length / 4, at(d.half_breadth_m, aft + length / 4))
    case 'depth_m':
      return up((aft + fwd) / 2, 0, at(d.sheer_z_m, (aft + fwd) / 2))
    case 'bow_height_m':
      return up(fwd, 0, d.sheer_z_m.at(-1)!)
    case 'stern_height_m':
      return up(aft, 0, d.sheer_z_m[0]!)
    case 'rocker_bow_m':
      return up(fwd - 0.11 * length, 0, at(d.keel_z_m, fwd - 0.11 * length))
    case 'rocker_stern_m':
      return up(aft + 0.08 * length, 0, at(d.keel_z_m, aft + 0.08 * length))
    case 'stern_beam_m':
      return across(aft, Math.max(0.05, d.half_breadth_m[0]!))
    case 'low_beam_m':
      return across(fwd - props.tape.beam_at_m, (props.tape.low_beam_m ?? props.tape.beam_m) / 2)
    case 'low_beam_fore_m':
      return across(fwd - length / 4, (props.tape.low_beam_fore_m ?? props.tape.beam_m) / 2)
    case 'low_beam_aft_m':
      return across(aft + length / 4, (props.tape.low_beam_aft_m ?? props.tape.beam_m) / 2)
    case 'hollow_m':
      return up((aft + fwd) / 2, 0, props.tape.hollow_m ?? 0)
    case 'seat_from_bow_m':
      return props.seat_x_m === undefined
        ? null
        : { from: plan(fwd, 0), to: plan(props.seat_x_m, 0) }
    case 'bottom_beam_m':
      return across((aft + fwd) / 2, d.bottom_beam_m / 2)
    default:
      return null
  }
})
const inSide = computed(() => /depth|height|rocker|hollow/.test(props.field))
const middle = computed<Point>(() => {
  const m = mark.value
  return m ? [(m.from[0] + m.to[0]) / 2, (m.from[1] + m.to[1]) / 2] : [0, 0]
})
</script>

<template>
  <g v-if="mark" class="measure" data-testid="measure-mark">
    <line
      v-if="inSide"
      class="floor"
      :x1="toX(sheet, ends[1]) - 20"
      :x2="toX(sheet, ends[0]) + 20"
      :y1="sideY(sheet, 0)"
      :y2="sideY(sheet, 0)"
    />
    <line
      v-for="(leader, i) in mark.leaders ?? []"
      :key="i"
      class="leader"
      :x1="leader[0][0]"
      :y1="leader[0][1]"
      :x2="leader[1][0]"
      :y2="leader[1][1]"
    />
    <line class="tape" :x1="mark.from[0]" :y1="mark.from[1]" :x2="mark.to[0]" :y2="mark.to[1]" />
    <circle :cx="mark.from[0]" :cy="mark.from[1]" r="4" />
    <circle :cx="mark.to[0]" :cy="mark.to[1]" r="4" />
    <text :x="middle[0] + 8" :y="middle[1] - 6">{{ text }}</text>
  </g>
</template>

<style scoped>
.tape {
  stroke: var(--stop);
  stroke-width: 2.5;
}
.leader,
.floor {
  stroke: var(--soft);
  stroke-dasharray: 4 3;
}
circle {
  fill: var(--card);
  stroke: var(--stop);
  stroke-width: 2;
}
text {
  fill: var(--stop);
  font-size: 12px;
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 4px;
}
</style>
