<script setup lang="ts">
/** One item, from above or from the side; drawn where it is told, speaks by events. */
import { computed } from 'vue'
import { familyOf, partsOf } from './gear'
import { isLong, laidOut, pointsAft } from './things'
import type { Sheet } from './sheet'
import type { Drawn } from './types'
import { sharing } from '@/kit/sharing'

interface Size {
  l: number
  w: number
  h: number
  /** with all its parts */
  whole: boolean
}

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
const [REEL_PX, REEL_OFF_PX] = [4.5, 5]
const long = computed(() => isLong(props.drawn.thing))
const laid = computed(() => laidOut(props.sheet, props.drawn, props.view))
// Drawn anew only where it is turned or looked at nearer: to move it is to set its transform.
const size = computed<Size>((before) => {
  const { l, w, h, small_px } = laid.value
  return sharing(before, { l, w, h, whole: long.value || small_px > SMALL_PX })
})
const parts = computed(() => {
  const found = partsOf(props.drawn.thing, props.view, size.value)
  return size.value.whole ? found : found.slice(0, 1)
})
const family = computed(() => familyOf(props.drawn.thing))
/** A reel hangs under its rod, or sits on it; from above it is beside neither. */
const reel = computed(() => {
  const { rod, length_m } = props.drawn.thing
  const at_m = props.drawn.aboard?.reel_at_m
  if (!rod || at_m == null || !props.drawn.aboard?.reel) return null
  const down_px = props.view === 'plan' ? 0 : rod.reel === 'under' ? REEL_OFF_PX : -REEL_OFF_PX
  const { l, k } = laid.value
  const down = (pointsAft(props.drawn) ? 1 : -1) / k
  return { x: (l * at_m) / length_m, y: down * down_px, r: REEL_PX / k }
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
    <g :transform="laid.transform">
      <path v-if="long" class="hit" :d="`M0,0H${laid.l}`" />
      <path v-for="(part, i) in parts" :key="i" :class="part.paint" :d="part.d" />
      <circle v-if="reel" class="reel" :cx="reel.x" :cy="reel.y" :r="reel.r" />
    </g>
    <title v-if="!drawn.ghost">{{ label }}</title>
  </g>
</template>

<style scoped>
.thing {
  cursor: grab;
  touch-action: none;
  outline: none;
}
.thing g .hit {
  stroke: transparent;
  stroke-width: 12;
}
.reel {
  fill: var(--card);
  stroke: var(--wood);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
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
