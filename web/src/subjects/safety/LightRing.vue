<script setup lang="ts">
/** The ring of bearings round the boat by night, bow up: where a lamp shows, and what blocks it. */
import { computed } from 'vue'
import type { Drawing, Schemas } from '@/api/client'
import { path, type Point } from '@/drawing/sheet'
import { toward } from '@/kit/compass'

type Lamp = Schemas['LampFigure']
const props = defineProps<{
  drawing: Drawing
  lamp: Lamp
  size: number
  named: (blocked: Lamp['blocked'][number]) => string
}>()

const half = computed(() => props.size / 2)
const r = computed(() => half.value - 54)
const LEAST_DEG = 1.5 // what is narrower is drawn so broad, or nobody would find it

/** A slice of the ring between two radii. */
function slice(from: number, to: number, inner: number, outer: number): string {
  const end = Math.min(to, from + 359.99)
  const large = end - from > 180 ? 1 : 0
  const [ax, ay] = toward(from, outer)
  const [bx, by] = toward(end, outer)
  const [cx, cy] = toward(end, inner)
  const [dx, dy] = toward(from, inner)
  return `M${ax},${ay}A${outer},${outer} 0 ${large} 1 ${bx},${by}L${cx},${cy}A${inner},${inner} 0 ${large} 0 ${dx},${dy}Z`
}
const shown = computed(() =>
  props.lamp.sector.map(([from, to]) => slice(from, to, r.value - 16, r.value)),
)
const blocked = computed(() =>
  props.lamp.blocked.map((one, n) => {
    const middle = (one.from_deg + one.to_deg) / 2
    const wide = Math.max(LEAST_DEG, one.to_deg - one.from_deg)
    const [x, y] = toward(middle, r.value + 10)
    const name = props.named(one)
    const shade = one.to_deg - one.from_deg < 2 ? name : `${name}, ${Math.round(wide)}°`
    const anchor = Math.abs(x) < 20 ? 'middle' : x > 0 ? 'start' : 'end'
    return {
      n,
      d: slice(middle - wide / 2, middle + wide / 2, r.value - 22, r.value + 4),
      wedge: slice(middle - wide / 2, middle + wide / 2, 0.1, r.value - 22),
      x,
      y: y + 4 + (y > 0 ? 6 : 0),
      name: shade,
      anchor,
    }
  }),
)
const outline = computed(() => {
  const { x_m, half_breadth_m } = props.drawing
  const [aft, fwd] = [x_m[0]!, x_m.at(-1)!]
  const k = (0.95 * (r.value - 24)) / Math.max(fwd - props.lamp.at[0], props.lamp.at[0] - aft)
  const side = (way: number): Point[] =>
    x_m.map((x, i) => [
      (way * half_breadth_m[i]! + props.lamp.at[1]) * k,
      -(x - props.lamp.at[0]) * k,
    ])
  return path([...side(1), ...side(-1).reverse()], true)
})
</script>

<template>
  <svg
    class="ring"
    :viewBox="`${-half} ${-half} ${size} ${size}`"
    :width="size"
    :height="size"
    role="img"
    aria-label="Bearings from which the light shows, bow up"
  >
    <circle class="dark" :r="half - 2" />
    <path v-for="(d, n) in shown" :key="n" class="shows" :d="d" />
    <path class="hull" :d="outline" />
    <g v-for="one in blocked" :key="one.n">
      <path class="wedge" :d="one.wedge" />
      <path class="blocked" :d="one.d" />
      <text :x="one.x" :y="one.y" :text-anchor="one.anchor">{{ one.name }}</text>
    </g>
    <circle class="lamp" r="4" />
    <text class="end" x="0" :y="-half + 14" text-anchor="middle">bow</text>
    <text class="end" x="0" :y="half - 8" text-anchor="middle">stern</text>
  </svg>
</template>

<style scoped>
.ring {
  display: block;
  max-width: 100%;
  font-size: 11px;
}
.dark {
  fill: #10202b;
}
.shows {
  fill: #f2e3b3;
}
.hull {
  fill: #22384a;
  stroke: #9db2bf;
}
.wedge {
  fill: #000;
  fill-opacity: 0.35;
}
.blocked {
  fill: #10202b;
  stroke: #f0a58a;
  stroke-width: 1.4;
  stroke-dasharray: 3 2;
}
.lamp {
  fill: #fff7da;
}
text {
  fill: #f5d9cd;
}
.end {
  fill: #9db2bf;
}
</style>
