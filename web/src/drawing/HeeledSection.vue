<script setup lang="ts">
/** The widest section from astern at the heel of a demand, in level water. */
import { computed } from 'vue'
import type { Drawing } from '@/api/client'
import { path, type Point } from './sheet'

const props = defineProps<{
  drawing: Drawing
  heel_deg: number | null
  water_m: number | null
  size: number
}>()

const scale = computed(() => (props.size * 0.82) / (2 * Math.max(...props.drawing.half_breadth_m)))
const level = computed(() => props.size * 0.42)
const at = (y: number, z: number): Point => [
  props.size / 2 - y * scale.value,
  level.value - (z - (props.water_m ?? 0.1)) * scale.value,
]
const hull = computed(() => {
  const half = props.drawing.section
  return path(
    [...half.map(([y, z]) => at(-y, z)).reverse(), ...half.map(([y, z]) => at(y, z))],
    true,
  )
})
</script>

<template>
  <svg :width="size" :height="size * 0.66" aria-hidden="true" class="heeled">
    <rect class="water" x="0" :y="level" :width="size" :height="size * 0.66 - level" />
    <path
      v-if="heel_deg !== null"
      class="hull"
      :d="hull"
      :transform="`rotate(${heel_deg} ${size / 2} ${level})`"
    />
    <path v-else class="hull over" :d="hull" :transform="`rotate(180 ${size / 2} ${level})`" />
    <line class="surface" x1="0" :x2="size" :y1="level" :y2="level" />
  </svg>
</template>

<style scoped>
.heeled {
  display: block;
  overflow: hidden;
}
.water {
  fill: var(--water);
}
.surface {
  stroke: var(--pick);
}
.hull {
  fill: var(--deck);
  fill-opacity: 0.9;
  stroke: var(--ink);
  stroke-width: 1.4;
}
.over {
  stroke: var(--stop);
}
</style>
