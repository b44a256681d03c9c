<script setup lang="ts">
/** The names of what is drawn, with a thin leader where a name stands off it. */
import { computed } from 'vue'
import { labelled } from './labels'
import { drawnAt, fromPlanY, fromSideY, fromX, type Sheet, type Spot } from './sheet'
import type { Drawing } from '@/api/client'
import type { Drawn } from './types'

const props = defineProps<{
  sheet: Sheet
  drawing: Drawing
  things: readonly Drawn[]
  view: 'plan' | 'side'
  leaders?: boolean
  /** points of the boat that are marked: no name lies under one */
  marked?: readonly Spot[]
}>()
/** Straight between the stations; a name stands off the boat by that. */
function inBoat(px: number, py: number): boolean {
  const { x_m, half_breadth_m, keel_z_m, sheer_z_m } = props.drawing
  const x = fromX(props.sheet, px)
  const i = x_m.findIndex((at) => at >= x)
  if (i < 1) return false
  if (props.view === 'plan')
    return (
      Math.abs(fromPlanY(props.sheet, py)) < Math.max(half_breadth_m[i]!, half_breadth_m[i - 1]!)
    )
  const z = fromSideY(props.sheet, py)
  return z > keel_z_m[i]! && z < sheer_z_m[i]!
}
const marks = computed(() =>
  (props.marked ?? []).map((spot) => drawnAt(props.sheet, props.view, spot)),
)
const labels = computed(() =>
  labelled(props.sheet, props.things, props.view, props.leaders, inBoat, marks.value),
)
const selected = computed(() => new Set(props.things.filter((d) => d.selected).map((d) => d.id)))
</script>

<template>
  <g class="labels" aria-hidden="true">
    <g v-for="one in labels" :key="one.id" :class="{ selected: selected.has(one.id) }">
      <line
        v-if="one.leader"
        :x1="one.leader[0]"
        :y1="one.leader[1]"
        :x2="one.leader[2]"
        :y2="one.leader[3]"
      />
      <text :x="one.x" :y="one.y">{{ one.text }}</text>
    </g>
  </g>
</template>

<style scoped>
.labels {
  pointer-events: none;
}
text {
  fill: var(--ink);
  font-size: 10.5px;
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--halo);
  stroke-width: 2.5px;
  stroke-linejoin: round;
}
line {
  stroke: var(--soft);
  stroke-width: 0.8;
  stroke-opacity: 0.7;
}
.selected text {
  fill: var(--pick);
  font-weight: 600;
}
.selected line {
  stroke: var(--pick);
}
</style>
