<script setup lang="ts">
/** Somebody who stands on the ground of a scene with a hand at a place, to scale. */
import { computed } from 'vue'
import { path, type Point } from '@/drawing/sheet'
import type { Place } from './scene'

const props = defineProps<{
  /** where the feet are, and the hand */
  foot: Place
  hand: Place
  stature_m: number
  p: (place: Place) => Point
  scale: number
}>()
const [x, y] = [0, 1] as const
const SHOULDER = 0.82 // of the stature
const shoulder = computed<Place>(() => [props.foot[x], props.foot[y] + SHOULDER * props.stature_m])
const hip = computed<Place>(() => [props.foot[x], props.foot[y] + 0.5 * props.stature_m])
const limbs = computed(() => {
  const { p, foot, hand } = props
  const leg = (way: number): Point[] => [p(hip.value), p([foot[x] + way * 0.12, foot[y]])]
  return [leg(1), leg(-1), [p(shoulder.value), p(hand)]].map((line) => path(line)).join('')
})
const head = computed(() => props.p([props.foot[x], props.foot[y] + 0.93 * props.stature_m]))
</script>

<template>
  <g class="person">
    <path class="trunk" :d="path([p(shoulder), p(hip)])" :stroke-width="0.2 * scale" />
    <path :d="limbs" :stroke-width="Math.max(2, 0.07 * scale)" />
    <circle :cx="head[0]" :cy="head[1]" :r="0.07 * stature_m * scale" />
  </g>
</template>

<style scoped>
path {
  fill: none;
  stroke: var(--cloth);
  stroke-linecap: round;
}
circle {
  fill: var(--skin);
}
</style>
