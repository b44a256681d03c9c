<script setup lang="ts">
/** How far out one may go by motor so that the reserve is left, on every heading, north up. */
import { computed } from 'vue'
import type { Schemas, GlidePlan } from '@/api/client'
import { path, type Point } from '@/drawing/sheet'
import { axis } from '@/kit/scale'
import { show, type Units } from '@/kit/units'
import { toward } from '@/kit/compass'

const props = defineProps<{
  ring: readonly Schemas['RingPoint'][]
  plan: GlidePlan
  units: Units
  size: number
}>()
const half = computed(() => props.size / 2)
const most = computed(() =>
  Math.max(props.plan.trip_m, ...props.ring.map((one) => one.turn_back_m ?? 0), 100),
)
const rings = computed(() => axis(0, most.value, 3).ticks.filter((at) => at > 0))
const scale = computed(() => (half.value - 16) / Math.max(most.value, rings.value.at(-1) ?? 1))
const shape = (key: 'turn_back_m' | 'windy_m') =>
  path(
    props.ring.map((one): Point => toward(one.heading_deg, (one[key] ?? 0) * scale.value)),
    true,
  )
const trip = computed(() => toward(props.plan.heading_deg, props.plan.trip_m * scale.value))
</script>

<template>
  <svg
    :width="size"
    :height="size"
    :viewBox="`${-half} ${-half} ${size} ${size}`"
    role="img"
    aria-label="How far out by motor, on every heading, so that the reserve is left; dashed: in half as much wind again"
    data-testid="range-ring"
  >
    <g v-for="at in rings" :key="at">
      <circle class="grid" :r="at * scale" />
      <text class="tick" x="3" :y="-at * scale - 2">{{ show(at, 'far', units) }}</text>
    </g>
    <path class="far" :d="shape('turn_back_m')" />
    <path class="windy" :d="shape('windy_m')" />
    <line class="trip" x1="0" y1="0" :x2="trip[0]" :y2="trip[1]" />
    <circle class="dot" r="4" :cx="trip[0]" :cy="trip[1]" />
    <circle class="dot" r="2.5" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  margin: 0 auto;
}
.grid {
  fill: none;
  stroke: var(--line);
}
.tick {
  fill: var(--soft);
  font: 10px var(--mono);
}
.far {
  fill: color-mix(in srgb, var(--fine) 14%, transparent);
  stroke: var(--fine);
  stroke-width: 1.6;
}
.windy {
  fill: none;
  stroke: var(--fix-mark);
  stroke-width: 1.4;
  stroke-dasharray: 4 3;
}
.trip {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.dot {
  fill: var(--ink);
}
</style>
