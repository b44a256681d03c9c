<script setup lang="ts">
/** A small picture of an item, its longest side across: from above, or as it is known from the side. */
import { computed } from 'vue'
import type { Thing } from '@/api/client'
import { familyOf, partsOf, pictureOf } from './gear'
import { isLong } from './things'

const props = defineProps<{ thing: Thing; wide?: number; high?: number }>()
const EDGE = 3 // pixels left about it
const FROM_THE_SIDE = ['holder', 'transducer', 'motor', 'pedals', 'camera', 'bottle', 'anchor']

const wide = computed(() => props.wide ?? 30)
const high = computed(() => props.high ?? 20)
const drawn = computed(() => {
  const { thing } = props
  const [l, w, h] = [thing.length_m * 100, thing.width_m * 100, thing.height_m * 100]
  const long = isLong(thing)
  // A rod to scale would be a hair: what is long is drawn as if it were a quarter as long.
  const shown = long ? Math.max(w, h, 10) * 3.2 : l
  const across = long ? Math.max(w, h, 10) : w
  if (!long && FROM_THE_SIDE.includes(pictureOf(thing))) {
    const k = Math.min((wide.value - EDGE) / l, (high.value - EDGE) / h)
    return {
      parts: partsOf(thing, 'side', { l, w, h }),
      transform: `matrix(${-k} 0 0 ${-k} ${wide.value / 2} ${high.value / 2 + (h * k) / 2})`,
    }
  }
  const turned = !long && w > 1.4 * l
  const [x, y] = turned ? [across, shown] : [shown, across]
  const k = Math.min((wide.value - EDGE) / x, (high.value - EDGE) / y)
  const [cx, cy] = [wide.value / 2, high.value / 2]
  const at = long ? cx + (shown * k) / 2 : cx
  const axes = turned ? `0 ${k} ${k} 0` : `${-k} 0 0 ${k}`
  return {
    parts: partsOf(thing, 'plan', { l: shown, w: long ? across : w, h }),
    transform: `matrix(${axes} ${at} ${cy})`,
  }
})
</script>

<template>
  <svg class="gear" :class="familyOf(thing)" :width="wide" :height="high" aria-hidden="true">
    <g :transform="drawn.transform">
      <path v-for="(part, i) in drawn.parts" :key="i" :class="part.paint" :d="part.d" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  flex: none;
}
</style>
