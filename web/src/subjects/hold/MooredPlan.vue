<script setup lang="ts">
/** The boat held, from above, north up: how it lies, where the line leads, the circle it swings in.
 * The ring that the line runs through is dragged along the boat. */
import { computed } from 'vue'
import type { Drawing } from '@/api/client'
import { path, type Point } from '@/drawing/sheet'
import { show, type Units } from '@/kit/units'
import { useAlong } from '@/kit/useAlong'
import { bearing, toward } from '@/kit/compass'

interface Swing {
  radius_m: number
  distance_m: number
}
const props = defineProps<{
  drawing: Drawing
  /** where its line leaves it, along the boat */
  at_m: number
  /** how it lies, and the way from there along the line, by compass */
  heading_deg: number
  lead_deg: number
  wind_m_s: number
  wind_from_deg: number
  current_m_s: number
  current_toward_deg: number
  swing: Swing | null
  units: Units
  size: number
}>()
const emit = defineEmits<{ try: [x_m: number]; take: [x_m: number] }>()

const half = computed(() => props.size / 2)
const ends = computed(() => [props.drawing.x_m[0]!, props.drawing.x_m.at(-1)!] as const)
const long = computed(() => ends.value[1] - ends.value[0])
const middle = computed(() => (ends.value[0] + ends.value[1]) / 2)
const scale = computed(() => (1.08 * half.value) / long.value)
const outline = computed(() => {
  const { x_m, half_breadth_m } = props.drawing
  const side = (way: number): Point[] =>
    x_m.map((x, i) => [way * half_breadth_m[i]! * scale.value, -(x - middle.value) * scale.value])
  return path([...side(1), ...side(-1).reverse()], true)
})
const ring = computed(() => toward(props.heading_deg, (props.at_m - middle.value) * scale.value))
const line = computed(() => path([ring.value, toward(props.lead_deg, props.size, ...ring.value)]))
const rim = computed(() => half.value - 12)
const arrow = (deg: number): string => {
  const [x0, y0] = toward(deg, -rim.value)
  const [x1, y1] = toward(deg, -rim.value + 46)
  const [ax, ay] = toward(deg + 155, 10, x1, y1)
  const [bx, by] = toward(deg - 155, 10, x1, y1)
  return (
    path([
      [x0, y0],
      [x1, y1],
    ]) +
    path([
      [ax, ay],
      [x1, y1],
      [bx, by],
    ])
  )
}
/** A small plan beside it: the anchor in the middle of the circle. */
const inset = computed(() => {
  const swing = props.swing
  if (!swing) return null
  const r = 44
  const k = r / swing.radius_m
  const [x, y] = toward(props.lead_deg + 180, swing.distance_m * k)
  const byBow = props.at_m >= middle.value
  return { r, x, y, long: Math.max(7, long.value * k), away: props.heading_deg + (byBow ? 180 : 0) }
})

// Dragged along the boat as it lay when it was taken: the boat turns under the hand.
const { grab, drag, drop, press } = useAlong({
  at: () => props.at_m,
  grip: () => {
    const [ux, uy] = toward(props.heading_deg, 1)
    return (across, down) => (across * ux + down * uy) / scale.value
  },
  keys: () => ({ ArrowUp: 0.05, ArrowRight: 0.05, ArrowDown: -0.05, ArrowLeft: -0.05 }),
  held: (x_m) => Math.min(ends.value[1], Math.max(ends.value[0], x_m)),
  tryOut: (x_m) => emit('try', x_m),
  take: (x_m) => emit('take', x_m),
})
const told = computed(() => show(ends.value[1] - props.at_m, 'length', props.units, 0))
</script>

<template>
  <svg
    :width="size"
    :height="size"
    :viewBox="`${-half} ${-half} ${size} ${size}`"
    role="group"
    :aria-label="`The boat held, from above, north up: heading ${bearing(heading_deg)}`"
    data-testid="hold-plan"
  >
    <rect class="water" :x="-half" :y="-half" :width="size" :height="size" rx="8" />
    <path class="line" :d="line" />
    <path class="hull" :d="outline" :transform="`rotate(${heading_deg})`" data-testid="hold-hull" />
    <path v-if="current_m_s > 0" class="current" :d="arrow(current_toward_deg)" />
    <path v-if="wind_m_s > 0" class="blow" :d="arrow(wind_from_deg + 180 + 6)" />
    <circle
      class="ring"
      r="8"
      :cx="ring[0]"
      :cy="ring[1]"
      role="slider"
      tabindex="0"
      aria-label="Where the line leaves the boat, from the bow"
      :aria-valuenow="at_m"
      :aria-valuemin="ends[0]"
      :aria-valuemax="ends[1]"
      :aria-valuetext="told"
      data-testid="hold-ring"
      @pointerdown="grab"
      @pointermove="drag"
      @pointerup="drop"
      @pointercancel="drop"
      @keydown="press"
    />
    <text class="figure" :x="-half + 10" :y="half - 12">heading {{ bearing(heading_deg) }}</text>
    <g v-if="inset" :transform="`translate(${half - 58} ${half - 62})`">
      <circle class="swing" :r="inset.r" />
      <path class="cross" d="M-4,0h8M0,-4v8" />
      <line class="line" x1="0" y1="0" :x2="inset.x" :y2="inset.y" />
      <line
        class="boat"
        :x1="inset.x"
        :y1="inset.y"
        :x2="toward(inset.away, inset.long, inset.x, inset.y)[0]"
        :y2="toward(inset.away, inset.long, inset.x, inset.y)[1]"
      />
      <text class="note" y="57">swings {{ show(swing!.radius_m, 'far', units) }}</text>
    </g>
  </svg>
</template>

<style scoped>
.water {
  fill: var(--water-pale);
}
path,
line {
  fill: none;
}
.hull {
  fill: var(--hull);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.line {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.current {
  stroke: var(--pick);
  stroke-width: 3;
}
.blow {
  stroke: var(--fix-mark);
  stroke-width: 3;
}
.ring {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2.4;
  cursor: grab;
  touch-action: none;
}
.ring:focus-visible {
  outline: 2px solid var(--pick);
  outline-offset: 2px;
}
.swing {
  fill: color-mix(in srgb, var(--card) 70%, transparent);
  stroke: var(--soft);
  stroke-dasharray: 3 3;
}
.cross {
  stroke: var(--ink);
}
.boat {
  stroke: var(--hull);
  stroke-width: 4;
  stroke-linecap: round;
}
.figure {
  fill: var(--ink);
  font-size: 12px;
}
.note {
  fill: var(--soft);
  font-size: 11px;
  text-anchor: middle;
}
</style>
