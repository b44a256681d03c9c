<script setup lang="ts">
/** The boat from above with every line: how far each one reaches, against legs and what turns. */
import { computed, useId } from 'vue'
import type { Boat, Drawing, FullCapsize, SeatPlace } from '@/api/client'
import AnglerShape from '@/drawing/AnglerShape.vue'
import HullPlan from '@/drawing/HullPlan.vue'
import { path, planY, toX, type Point } from '@/drawing/sheet'
import { sheetOf } from './fates'

const props = defineProps<{
  drawing: Drawing
  boat: Boat
  seat: SeatPlace
  full: FullCapsize
  width: number
  nameOf: (id: number | null) => string
}>()

const beam = computed(() => 2 * Math.max(...props.drawing.half_breadth_m))
const sheet = computed(() => {
  const flat = sheetOf(props.drawing, props.width, 1, 0)
  const height = Math.max(180, (beam.value + 0.5) * flat.scale)
  return sheetOf(props.drawing, props.width, height, 0)
})
const clip = useId()
const box = (low: readonly number[], high: readonly number[]) => ({
  x: toX(sheet.value, high[0]!),
  y: planY(sheet.value, low[1]!),
  width: (high[0]! - low[0]!) * sheet.value.scale,
  height: (high[1]! - low[1]!) * sheet.value.scale,
})
const legs = computed(() => box(...props.full.legs_m))
const turning = computed(() => props.full.turning_m.map(([low, high]) => box(low, high)))
const lines = computed(() =>
  props.full.lines.map((line, n) => {
    const points = line.points_m.map(([x, y]): Point => [
      toX(sheet.value, x),
      planY(sheet.value, y),
    ])
    return {
      ...line,
      key: `${line.what} ${line.thing_id} ${n}`,
      bad: line.legs || line.propeller,
      at: points[0]!,
      r: line.length_m * sheet.value.scale,
      d: points.length > 1 ? path(points) : '',
      name: props.nameOf(line.thing_id),
    }
  }),
)
</script>

<template>
  <svg
    class="lines"
    :width="sheet.width"
    :height="sheet.height"
    role="img"
    :aria-label="`The boat from above, ${lines.length} lines with how far each reaches`"
  >
    <HullPlan :sheet="sheet" :drawing="drawing" :boat="boat" />
    <AnglerShape :sheet="sheet" :drawing="drawing" :seat="seat" view="plan" />
    <rect class="legs" v-bind="legs" rx="8" />
    <text class="what" :x="legs.x + 6" :y="legs.y + 13">legs</text>
    <rect v-for="(one, n) in turning" :key="n" class="turns" v-bind="one" rx="3" />
    <clipPath :id="clip"><rect :width="sheet.width" :height="sheet.height" /></clipPath>
    <g :clip-path="`url(#${clip})`">
      <g v-for="one in lines" :key="one.key" :class="{ bad: one.bad }">
        <path v-if="one.d" class="run" :d="one.d" />
        <circle v-else class="reach" :cx="one.at[0]" :cy="one.at[1]" :r="one.r">
          <title>{{ one.name }}</title>
        </circle>
        <circle class="fixed" :cx="one.at[0]" :cy="one.at[1]" r="3.5" />
        <text
          class="name"
          :x="Math.min(sheet.width - 110, Math.max(4, one.at[0] + 7))"
          :y="one.at[1] + (one.at[1] > sheet.planMiddle ? 14 : -7)"
        >
          {{ one.name }}
        </text>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.lines {
  display: block;
  max-width: 100%;
}
.legs {
  fill: var(--fix-mark);
  fill-opacity: 0.13;
  stroke: var(--fix);
  stroke-dasharray: 5 3;
}
.turns {
  fill: none;
  stroke: var(--stop);
  stroke-width: 1.5;
  stroke-dasharray: 2 3;
}
.what {
  fill: var(--fix);
  font-size: 11px;
}
.reach {
  fill: var(--pick);
  fill-opacity: 0.05;
  stroke: var(--pick);
  stroke-width: 1.4;
}
.run {
  fill: none;
  stroke: var(--pick);
  stroke-width: 2;
}
.fixed {
  fill: var(--pick);
}
.bad .reach,
.bad .run {
  stroke: var(--fix);
  stroke-dasharray: 7 3;
}
.bad .fixed {
  fill: var(--fix);
}
.name {
  fill: var(--ink);
  font-size: 11px;
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 3px;
}
</style>
