<script setup lang="ts">
/** The hours of the day with their phases; the worst of them marked, and the hour that is shown. */
import { computed } from 'vue'
import type { FullDay } from '@/api/client'
import { clock } from '@/kit/clock'
import { axis, onto } from '@/kit/scale'

const props = defineProps<{
  day: FullDay
  hour: number
  width: number
  left: number
  right: number
}>()
const emit = defineEmits<{ hour: [hour: number] }>()
const [TOP, BAR, HEIGHT] = [22, 24, 66]

const range = computed(() => [props.day.figures.start_h, props.day.figures.end_h] as const)
const x = computed(() =>
  onto(
    { low: range.value[0], high: range.value[1], ticks: [] },
    props.left,
    props.width - props.right,
  ),
)
const ticks = computed(() =>
  axis(...range.value, 8).ticks.filter((h) => h >= range.value[0] && h <= range.value[1]),
)
const worst = computed(() => props.day.figures.worst)
/** Dark hours of the day that is shown, of the nights before and after too. */
const dark = computed(() => {
  const sun = props.day.figures.sun
  if (!sun || sun.rise_h == null || sun.set_h == null) return []
  return [
    [range.value[0], sun.rise_h],
    [sun.set_h, sun.rise_h + 24],
    [sun.set_h + 24, range.value[1]],
  ]
    .map(([a, b]) => [Math.max(a!, range.value[0]), Math.min(b!, range.value[1])] as const)
    .filter(([a, b]) => b > a)
})
const held = (hour: number) => Math.min(range.value[1], Math.max(range.value[0], hour))
function point(event: PointerEvent): void {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const share =
    (event.clientX - box.left - props.left) / Math.max(1, props.width - props.right - props.left)
  emit('hour', held(range.value[0] + share * (range.value[1] - range.value[0])))
}
function grab(event: PointerEvent): void {
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  point(event)
}
function drag(event: PointerEvent): void {
  if (event.buttons) point(event)
}
const KEYS: Record<string, number> = { ArrowLeft: -0.25, ArrowRight: 0.25, PageUp: 1, PageDown: -1 }
function press(event: KeyboardEvent): void {
  const step = KEYS[event.key]
  if (step === undefined) return
  event.preventDefault()
  emit('hour', held(Math.round(4 * (props.hour + step)) / 4))
}
</script>

<template>
  <svg
    :width="width"
    :height="HEIGHT"
    role="slider"
    tabindex="0"
    aria-label="Hour of the day"
    :aria-valuemin="range[0]"
    :aria-valuemax="range[1]"
    :aria-valuenow="Number(hour.toFixed(2))"
    :aria-valuetext="clock(hour)"
    data-testid="ribbon"
    @pointerdown="grab"
    @pointermove="drag"
    @keydown="press"
  >
    <g v-for="one in day.phases" :key="one.name">
      <rect
        class="phase"
        :class="one.kind.replace(' ', '-')"
        :x="x(one.from_h)"
        :y="TOP"
        :width="Math.max(1, x(one.until_h) - x(one.from_h) - 1)"
        :height="BAR"
        rx="4"
      />
      <text
        v-if="x(one.until_h) - x(one.from_h) > 44"
        class="name"
        :x="x(one.from_h) + 6"
        :y="TOP + 16"
      >
        {{ one.kind }}
      </text>
    </g>
    <rect
      v-for="(one, i) in dark"
      :key="`d${i}`"
      class="dark"
      :x="x(one[0])"
      :y="TOP"
      :width="x(one[1]) - x(one[0])"
      :height="BAR"
    />
    <g v-for="h in ticks" :key="h">
      <line class="grid" :x1="x(h)" :x2="x(h)" :y1="TOP + BAR" :y2="TOP + BAR + 4" />
      <text class="tick mid" :x="x(h)" :y="TOP + BAR + 15">{{ clock(h) }}</text>
    </g>
    <g v-if="worst && worst.share > 0" data-testid="worst-mark">
      <path class="worst" :d="`M${x(worst.h) - 5},${TOP - 9}h10l-5,8z`" />
      <text
        class="name"
        :class="{ end: x(worst.h) > width - 120 }"
        :x="x(worst.h) + (x(worst.h) > width - 120 ? -9 : 9)"
        :y="TOP - 8"
      >
        worst at {{ clock(worst.h) }}
      </text>
    </g>
    <line class="now" :x1="x(hour)" :x2="x(hour)" :y1="TOP - 4" :y2="TOP + BAR" />
    <circle class="knob" :cx="x(hour)" :cy="TOP + BAR" r="6" />
  </svg>
</template>

<style scoped src="@/kit/chart.css"></style>
<style scoped>
svg {
  cursor: ew-resize;
  touch-action: pan-y;
}
.phase {
  fill: var(--gear-stone);
}
.travel,
.back {
  fill: var(--gear-mist);
}
.fish {
  fill: var(--gear-green);
}
.anchored {
  fill: var(--gear-sand);
}
.dark {
  fill: var(--ink);
  opacity: 0.22;
  pointer-events: none;
}
.worst {
  fill: var(--fix-mark);
}
.now {
  stroke: var(--pick);
  stroke-width: 2;
}
.knob {
  fill: var(--pick);
}
svg:focus-visible .knob {
  stroke: var(--ink);
  stroke-width: 2.5;
}
</style>
