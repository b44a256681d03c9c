<script setup lang="ts">
/** Plans of several setups, one over the other, each with its own line; bow at the left. */
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { Comparison } from '@/api/client'

const props = defineProps<{ sides: Comparison['sides']; hidden: ReadonlySet<number> }>()
const frame = useTemplateRef<HTMLDivElement>('frame')
const { width } = useElementSize(frame)

const reach = computed(() => {
  const x = props.sides.flatMap((side) => [side.x_m[0]!, side.x_m.at(-1)!])
  const half = Math.max(...props.sides.flatMap((side) => side.half_breadth_m))
  return { aft: Math.min(...x), fwd: Math.max(...x), half }
})
const ROOM_M = 0.14 // beside the hull, for what stands out
const HIGHEST = 300
const scale = computed(() =>
  Math.min(
    (Math.max(320, width.value) - 40) / (reach.value.fwd - reach.value.aft),
    HIGHEST / (2 * (reach.value.half + ROOM_M)),
  ),
)
const height = computed(() => 2 * (reach.value.half + ROOM_M) * scale.value)
const left = computed(() => (width.value - (reach.value.fwd - reach.value.aft) * scale.value) / 2)
const px = (x_m: number) => left.value + (reach.value.fwd - x_m) * scale.value
const py = (y_m: number) => height.value / 2 + y_m * scale.value

function hull(side: Comparison['sides'][number]): string {
  const port = side.x_m.map((x, i) => `${px(x)},${py(side.half_breadth_m[i]!)}`)
  const starboard = side.x_m.map((x, i) => `${px(x)},${py(-side.half_breadth_m[i]!)}`).reverse()
  return `M${[...port, ...starboard].join('L')}Z`
}
const path = (points: (readonly [number, number] | number[])[], closed: boolean) =>
  `M${points.map(([x, y]) => `${px(x!)},${py(y!)}`).join('L')}${closed ? 'Z' : ''}`
</script>

<template>
  <div ref="frame">
    <svg
      :width="width"
      :height="height"
      role="img"
      aria-label="The plans drawn one over the other, bow at the left"
    >
      <template v-for="(side, i) in sides" :key="i">
        <g v-if="!hidden.has(i)" :class="`side side${i}`">
          <path class="hull" :d="hull(side)" />
          <g v-for="one in side.outlines" :key="one.thing_id" :class="{ moved: one.moved }">
            <title>{{ one.name }}, {{ side.name }}</title>
            <path :class="{ long: one.long }" :d="path(one.points, !one.long)" />
            <text
              v-if="one.moved && !one.long"
              :x="px(Math.max(...one.points.map((p) => p[0]))) + 3"
              :y="py(Math.min(...one.points.map((p) => p[1]))) + 10"
            >
              {{ one.name }}
            </text>
          </g>
        </g>
      </template>
    </svg>
  </div>
</template>

<style scoped>
svg {
  display: block;
}
.hull {
  fill: var(--deck);
  fill-opacity: 0.35;
  stroke: var(--ink);
  stroke-width: 1.2;
}
.side path:not(.hull) {
  fill: none;
  stroke-width: 1.6;
}
.side path.long {
  stroke-width: 2.4;
}
text {
  fill: var(--pick);
  font-size: 10px;
}
.side2 text {
  fill: var(--fix);
}
.side3 text {
  fill: var(--fine);
}
/* By dash as well as by colour, so that either tells them apart. */
.side0 path:not(.hull) {
  stroke: var(--soft);
}
.side1 path:not(.hull) {
  stroke: var(--pick);
  stroke-dasharray: 7 3;
}
.side2 path:not(.hull) {
  stroke: var(--fix-mark);
  stroke-dasharray: 2 3;
}
.side3 path:not(.hull) {
  stroke: var(--fine);
  stroke-dasharray: 9 3 2 3;
}
.side:not(.side0) g:not(.moved) path {
  stroke-opacity: 0.25;
}
</style>
