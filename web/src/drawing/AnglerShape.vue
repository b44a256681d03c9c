<script setup lang="ts">
/** The angler from the segment model, from above or from the side. */
import { computed } from 'vue'
import type { Drawing, SeatPlace } from '@/api/client'
import { planY, sideY, toX, type Sheet } from './sheet'

const props = defineProps<{
  sheet: Sheet
  drawing: Drawing
  seat: SeatPlace
  view: 'plan' | 'side'
  /** both arms and legs from the side as well, where they are not alike */
  all?: boolean
}>()

const limbs = computed(() =>
  props.drawing.limbs
    .filter((limb) => limb.name !== 'head')
    // From the side one arm and one leg hide the others.
    .filter((limb) => props.all || props.view === 'plan' || limb.upper[1] >= 0)
    .filter((limb) => props.view === 'side' || limb.name !== 'trunk')
    .map((limb) => ({
      x1: toX(props.sheet, limb.upper[0]),
      x2: toX(props.sheet, limb.far[0]),
      y1: across(limb.upper),
      y2: across(limb.far),
      width: limb.width_m * props.sheet.scale,
      arm: limb.name.includes('arm') || limb.name === 'hand',
    })),
)
const head = computed(() => ({
  x: toX(props.sheet, props.drawing.head_m[0]),
  y: across(props.drawing.head_m),
  r: 0.085 * props.sheet.scale,
}))
const shoulders = computed(() => {
  const [port, starboard] = props.drawing.shoulders
  if (!port || !starboard) return null
  return {
    x: toX(props.sheet, port[0]),
    y: planY(props.sheet, 0),
    ry: (Math.abs(port[1] - starboard[1]) / 2 + 0.05) * props.sheet.scale,
  }
})
const chair = computed(() => {
  const { x_m, z_m, recline_deg } = props.seat
  const back = (recline_deg * Math.PI) / 180
  const spot = (x: number, z: number) => `${toX(props.sheet, x)},${sideY(props.sheet, z)}`
  return `M${spot(x_m + 0.42, z_m + 0.02)}L${spot(x_m, z_m)}L${spot(x_m - 0.46 * Math.sin(back), z_m + 0.46 * Math.cos(back))}`
})

function across(spot: [number, number, number]): number {
  return props.view === 'plan' ? planY(props.sheet, spot[1]) : sideY(props.sheet, spot[2])
}
</script>

<template>
  <g class="angler" :class="view" aria-hidden="true">
    <path v-if="view === 'side'" class="chair" :d="chair" />
    <line
      v-for="(limb, i) in limbs"
      :key="i"
      class="limb"
      :class="{ arm: limb.arm }"
      :x1="limb.x1"
      :x2="limb.x2"
      :y1="limb.y1"
      :y2="limb.y2"
      :stroke-width="limb.width"
    />
    <ellipse
      v-if="view === 'plan' && shoulders"
      class="shoulders"
      :cx="shoulders.x"
      :cy="shoulders.y"
      :rx="0.11 * sheet.scale"
      :ry="shoulders.ry"
    />
    <circle class="head" :cx="head.x" :cy="head.y" :r="head.r" />
  </g>
</template>

<style scoped>
.angler {
  pointer-events: none;
}
.limb {
  stroke: var(--skin);
  stroke-linecap: round;
}
.plan .limb {
  stroke-opacity: 0.3;
}
.side .limb {
  stroke-opacity: 0.9;
}
.side .arm {
  stroke: color-mix(in srgb, var(--skin) 88%, var(--ink));
  stroke-opacity: 1;
}
.head,
.shoulders {
  fill: var(--skin);
}
.plan .shoulders {
  fill-opacity: 0.45;
}
.plan .head {
  fill-opacity: 0.75;
}
.chair {
  fill: none;
  stroke: var(--ink);
  stroke-width: 4;
  stroke-linejoin: round;
  stroke-linecap: round;
}
</style>
