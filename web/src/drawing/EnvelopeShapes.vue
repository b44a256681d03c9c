<script setup lang="ts">
/** Room that the angler needs, by group: hatched where it counts, in outline where it does not. */
import { computed } from 'vue'
import type { Drawing, Envelope } from '@/api/client'
import { drawnAt, path, planY, sideY, toX, type Point, type Sheet } from './sheet'
import type { Overlay } from './overlays'

const props = defineProps<{
  sheet: Sheet
  drawing: Drawing
  overlays: readonly Overlay[]
  view: 'plan' | 'side'
}>()

const LIMBS = /thigh|shank|foot|trunk/ // drawn as the angler
const shown = computed(() =>
  props.drawing.envelopes.filter(
    (one) => props.overlays.includes(one.group) && !LIMBS.test(one.key),
  ),
)
function outline(one: Envelope): string {
  const spots = props.view === 'plan' ? one.plan : one.side
  const across = props.view === 'plan' ? planY : sideY
  return path(
    spots.map(([x, v]): Point => [toX(props.sheet, x), across(props.sheet, v)]),
    true,
  )
}
/** From the eye over the bow: what one steers by. */
const sight = computed(() => {
  const [x, y] = props.drawing.eye_m
  const bow = props.drawing.x_m.at(-1)!
  const eye = drawnAt(props.sheet, props.view, props.drawing.eye_m)
  if (props.view === 'side') {
    const water: Point = [toX(props.sheet, bow + 5), sideY(props.sheet, 0.15)]
    return path([eye, water])
  }
  const far = bow + 0.5 - x
  const ends = [-1, 1].map((side): Point => [
    toX(props.sheet, bow + 0.5),
    planY(props.sheet, y + side * far),
  ])
  return path([ends[0]!, eye, ends[1]!])
})
</script>

<template>
  <g class="envelopes" aria-hidden="true">
    <path
      v-for="one in shown"
      :key="one.key"
      :d="outline(one)"
      :class="[one.group, { idle: !one.counts }]"
    >
      <title>{{ one.title }}</title>
    </path>
    <path v-if="overlays.includes('sight')" class="line" :d="sight" />
  </g>
</template>

<style scoped>
.envelopes {
  pointer-events: none;
}
path {
  fill: var(--watch);
  fill-opacity: 0.14;
  stroke: var(--watch);
  stroke-opacity: 0.8;
}
.cast {
  fill: var(--fix);
  stroke: var(--fix);
}
.remount {
  fill: var(--fine);
  stroke: var(--fine);
}
.idle {
  fill: none;
  stroke-dasharray: 3 4;
}
.line {
  fill: none;
  stroke-dasharray: 8 4;
}
</style>
