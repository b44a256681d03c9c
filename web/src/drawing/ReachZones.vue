<script setup lang="ts">
/** From above: what is in hand from the seat, and what a lean or twist comes to. */
import { computed } from 'vue'
import type { Drawing } from '@/api/client'
import { path, planY, toX, type Point, type Sheet } from './sheet'

const props = defineProps<{ sheet: Sheet; drawing: Drawing; names?: boolean }>()

const roomy = computed(() => props.sheet.scale > 130) // on a phone the names would run together
type Edge = [number, number][]
const close = (edge: Edge): string =>
  path(
    edge.map(([x, y]): Point => [toX(props.sheet, x), planY(props.sheet, y)]),
    true,
  )
const bowmost = (edge: Edge): number => edge.reduce((far, [x]) => Math.max(far, x), 0)
const labels = computed(() => [
  { text: 'within reach', x: toX(props.sheet, bowmost(props.drawing.hand_zone)) + 42 },
  { text: 'lean or twist needed', x: toX(props.sheet, bowmost(props.drawing.lean_zone)) },
])
</script>

<template>
  <g class="zones">
    <template v-if="names">
      <text
        v-for="label in roomy ? labels : []"
        :key="label.text"
        :x="label.x"
        :y="sheet.planTop + 28"
      >
        {{ label.text }}
      </text>
    </template>
    <template v-else>
      <path class="lean" :d="close(drawing.lean_zone)" />
      <path :d="close(drawing.hand_zone)" />
    </template>
  </g>
</template>

<style scoped>
.zones {
  pointer-events: none;
}
path {
  stroke: var(--pick);
  fill: var(--pick);
  fill-opacity: 0.07;
  stroke-opacity: 0.75;
}
.lean {
  stroke-dasharray: 6 5;
}
text {
  fill: var(--pick);
  font-size: 11px;
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--water-pale);
  stroke-width: 3px;
}
</style>
