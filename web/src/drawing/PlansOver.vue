<script setup lang="ts">
/**
 * Plans of several setups over each other, bow at the left: the first thin, of the others only what
 * moved, each with an arrow from where the first has it; names at the edge, on a leader.
 */
import { useElementSize } from '@vueuse/core'
import { computed, useId, useTemplateRef } from 'vue'
import type { Comparison } from '@/api/client'
import { besideEachOther } from './labels'

type Side = Comparison['sides'][number]
const props = defineProps<{ sides: Comparison['sides']; hidden: ReadonlySet<number> }>()
const frame = useTemplateRef<HTMLDivElement>('frame')
const { width } = useElementSize(frame)
const arrow = useId()

const reach = computed(() => {
  const x = props.sides.flatMap((side) => [side.x_m[0]!, side.x_m.at(-1)!])
  const half = Math.max(...props.sides.flatMap((side) => side.half_breadth_m))
  return { aft: Math.min(...x), fwd: Math.max(...x), half }
})
const ROOM_M = 0.1 // beside the hull, for what stands out
const NAMES_PX = 46 // above and below, for names
const HIGHEST = 330
const scale = computed(() =>
  Math.min(
    (Math.max(320, width.value) - 40) / (reach.value.fwd - reach.value.aft),
    (HIGHEST - 2 * NAMES_PX) / (2 * (reach.value.half + ROOM_M)),
  ),
)
const height = computed(() => 2 * (reach.value.half + ROOM_M) * scale.value + 2 * NAMES_PX)
const left = computed(() => (width.value - (reach.value.fwd - reach.value.aft) * scale.value) / 2)
const px = (x_m: number) => left.value + (reach.value.fwd - x_m) * scale.value
const py = (y_m: number) => height.value / 2 + y_m * scale.value

function hull(side: Side): string {
  const port = side.x_m.map((x, i) => `${px(x)},${py(side.half_breadth_m[i]!)}`)
  const starboard = side.x_m.map((x, i) => `${px(x)},${py(-side.half_breadth_m[i]!)}`).reverse()
  return `M${[...port, ...starboard].join('L')}Z`
}
const path = (points: (readonly [number, number] | number[])[], closed: boolean) =>
  `M${points.map(([x, y]) => `${px(x!)},${py(y!)}`).join('L')}${closed ? 'Z' : ''}`
const middle = (points: Side['outlines'][number]['points']): [number, number] => [
  px(points.reduce((sum, [x]) => sum + x, 0) / points.length),
  py(points.reduce((sum, [, y]) => sum + y, 0) / points.length),
]

const shown = computed(() =>
  props.sides.map((side, i) => ({ side, i })).filter(({ i }) => !props.hidden.has(i)),
)
const base = computed(() => new Map(props.sides[0]?.outlines.map((one) => [one.thing_id, one])))
/** What stands elsewhere than in the first, and where that has it. */
const moves = computed(() =>
  shown.value
    .filter(({ i }) => i > 0)
    .flatMap(({ side, i }) =>
      side.outlines
        .filter((one) => one.moved)
        .map((one) => {
          const from = base.value.get(one.thing_id)
          const at = middle(one.points)
          const text = from ? one.name : `${one.name}, new`
          return { i, one, at, from: from ? middle(from.points) : null, text }
        }),
    ),
)
/** What the first has aboard and another has not. */
const gone = computed(() =>
  shown.value
    .filter(({ i }) => i > 0)
    .flatMap(({ side, i }) => {
      const there = new Set(side.outlines.map((one) => one.thing_id))
      return [...base.value.values()]
        .filter((one) => !there.has(one.thing_id))
        .map((one) => ({ i, one, at: middle(one.points), text: `${one.name}, ashore` }))
    }),
)
const elsewhere = computed(
  () => new Set([...moves.value, ...gone.value].map(({ one }) => one.thing_id)),
)
const names = computed(() =>
  besideEachOther(
    [...moves.value, ...gone.value].map(({ at, text, i }) => ({ x: at[0], y: at[1], text, of: i })),
    { width: width.value, height: height.value },
  ),
)
</script>

<template>
  <div ref="frame">
    <svg
      v-if="width > 0"
      :width="width"
      :height="height"
      role="img"
      aria-label="The plans drawn one over the other, bow at the left; arrows show what moved"
    >
      <defs>
        <marker
          v-for="{ i } in shown"
          :id="`${arrow}${i}`"
          :key="i"
          :class="`side${i}`"
          viewBox="0 0 8 8"
          refX="7"
          refY="4"
          markerWidth="8"
          markerHeight="8"
          markerUnits="userSpaceOnUse"
          orient="auto"
        >
          <path class="head" d="M0,0L8,4L0,8z" />
        </marker>
      </defs>
      <g v-for="{ side, i } in shown" :key="i" :class="`side${i}`">
        <path class="hull" :class="{ first: i === 0 }" :d="hull(side)" />
      </g>
      <g v-if="shown[0]?.i === 0" class="side0">
        <path
          v-for="one in shown[0].side.outlines"
          :key="one.thing_id"
          :class="{ long: one.long, was: elsewhere.has(one.thing_id) }"
          :d="path(one.points, !one.long)"
        />
      </g>
      <g v-for="{ i, one, at, from } in moves" :key="`${i}-${one.thing_id}`" :class="`side${i}`">
        <path class="moved" :class="{ long: one.long }" :d="path(one.points, !one.long)" />
        <line
          v-if="from && Math.hypot(at[0] - from[0], at[1] - from[1]) > 12"
          class="way"
          :x1="from[0]"
          :y1="from[1]"
          :x2="at[0]"
          :y2="at[1]"
          :marker-end="`url(#${arrow}${i})`"
        />
      </g>
      <g v-for="(name, n) in names" :key="n" :class="`side${name.of}`">
        <line class="leader" :x1="name.from[0]" :y1="name.from[1]" :x2="name.x" :y2="name.edge" />
        <text :x="name.x" :y="name.y">{{ name.text }}</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
svg {
  display: block;
}
/* By dash as well as by colour, so that either tells them apart. */
.side0 {
  --own: var(--soft);
  --dash: none;
}
.side1 {
  --own: var(--pick);
  --dash: none;
}
.side2 {
  --own: var(--fix);
  --dash: 5 3;
}
.side3 {
  --own: var(--fine);
  --dash: 9 3 2 3;
}
.hull {
  fill: none;
  stroke: var(--own);
  stroke-dasharray: 3 3;
}
.hull.first {
  fill: var(--deck);
  fill-opacity: 0.35;
  stroke: var(--ink);
  stroke-dasharray: none;
}
.side0 path:not(.hull) {
  fill: none;
  stroke: var(--soft);
  stroke-opacity: 0.55;
  stroke-width: 0.9;
}
.side0 .was {
  stroke-dasharray: 2 3;
  stroke-opacity: 0.9;
}
.moved {
  fill: var(--card);
  fill-opacity: 0.7;
  stroke: var(--own);
  stroke-width: 1.6;
  stroke-dasharray: var(--dash);
}
.moved.long {
  fill: none;
  stroke-width: 2.2;
}
.way {
  stroke: var(--own);
  stroke-width: 1.1;
}
.head {
  fill: var(--own);
}
.leader {
  stroke: var(--own);
  stroke-opacity: 0.35;
}
text {
  fill: var(--own);
  font-size: 11px;
  text-anchor: middle;
}
</style>
