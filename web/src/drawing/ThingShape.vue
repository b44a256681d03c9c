<script setup lang="ts">
/** One item, from above or from the side; drawn where it is told, speaks by events. */
import { computed } from 'vue'
import { familyOf, partsOf } from './gear'
import { isLong, laidOut, rodPlan, rodSide } from './things'
import { path, type Point, type Sheet } from './sheet'
import type { Drawn } from './types'

const props = defineProps<{
  sheet: Sheet
  drawn: Drawn
  view: 'plan' | 'side'
  label: string
  /** in the way of something, or something in its way */
  clashing?: boolean
}>()
defineEmits<{ grab: [event: PointerEvent]; key: [event: KeyboardEvent]; pick: []; edit: [] }>()

const SMALL_PX = 9 // what is less across shows as its outline alone
const long = computed(() => isLong(props.drawn.thing))
const laid = computed(() => laidOut(props.sheet, props.drawn, props.view))
// Drawn anew only where it is turned or looked at nearer: to move it is to set its transform.
const parts = computed(() => {
  const { l, w, h, small_px } = laid.value
  const found = partsOf(props.drawn.thing, props.view, { l, w, h })
  return long.value || small_px > SMALL_PX ? found : found.slice(0, 1)
})
const family = computed(() => familyOf(props.drawn.thing))
const ends = computed<[Point, Point]>(() => {
  const spot = props.view === 'plan' ? rodPlan : rodSide
  return [spot(props.sheet, props.drawn, 0), spot(props.sheet, props.drawn, 1)]
})
/** A reel hangs under its rod, or sits on it; from above it is beside neither. */
const reel = computed<Point | null>(() => {
  const spot = props.drawn.aboard?.reel
  const at_m = props.drawn.aboard?.reel_at_m
  const { rod, length_m } = props.drawn.thing
  if (!rod || at_m == null || !spot) return null
  const share = at_m / length_m
  const [x, y] = (props.view === 'plan' ? rodPlan : rodSide)(props.sheet, props.drawn, share)
  return props.view === 'plan' ? [x, y] : [x, y + (rod.reel === 'under' ? 5 : -5)]
})
</script>

<template>
  <g
    class="thing gear"
    :class="[
      view,
      family,
      {
        selected: drawn.selected,
        ghost: drawn.ghost,
        misfit: drawn.aboard?.misfit,
        clashing,
      },
    ]"
    :role="drawn.ghost ? undefined : 'button'"
    :tabindex="drawn.ghost || view === 'side' ? -1 : 0"
    :aria-label="drawn.ghost ? undefined : label"
    :aria-hidden="drawn.ghost || view === 'side' ? true : undefined"
    :data-thing="drawn.ghost ? undefined : drawn.id"
    @pointerdown.stop="$emit('grab', $event)"
    @dblclick.stop="$emit('edit')"
    @keydown="$emit('key', $event)"
    @focus="$emit('pick')"
  >
    <path v-if="long" class="hit" :d="path(ends)" />
    <g :transform="laid.transform">
      <path v-for="(part, i) in parts" :key="i" :class="part.paint" :d="part.d" />
    </g>
    <circle v-if="reel" class="reel" :cx="reel[0]" :cy="reel[1]" r="4.5" />
    <title v-if="!drawn.ghost">{{ label }}</title>
  </g>
</template>

<style scoped>
.thing {
  cursor: grab;
  touch-action: none;
  outline: none;
}
.hit {
  fill: none;
  stroke: transparent;
  stroke-width: 12;
}
.reel {
  fill: var(--card);
  stroke: var(--wood);
  stroke-width: 2;
}
.misfit {
  --edge: var(--fix);
}
.misfit .body,
.misfit .soft {
  stroke-width: 2.4;
  stroke-dasharray: 7 3;
}
.clashing {
  --edge: var(--fix);
}
.selected,
.thing:focus-visible {
  --edge: var(--pick);
}
.selected .body,
.selected .soft,
.selected .wood,
.thing:focus-visible .body,
.thing:focus-visible .soft,
.thing:focus-visible .wood {
  stroke: var(--pick);
  stroke-width: 2.6;
}
.selected .body {
  fill: var(--pick-pale);
}
.thing:focus-visible .body,
.thing:focus-visible .soft {
  stroke-dasharray: 6 3;
}
.ghost {
  pointer-events: none;
  opacity: 0.5;
}
.ghost path:not(.hit) {
  fill: none;
  stroke-dasharray: 3 3;
}
</style>
