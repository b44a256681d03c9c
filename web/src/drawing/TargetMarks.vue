<script setup lang="ts">
/** What the thing in hand can be put on lights up; what it is over, and does not fit, is barred. */
import { computed } from 'vue'
import type { Target } from '@/api/client'
import { byPointer, frameOf } from './places'
import { path, planY, toX, type Point, type Sheet } from './sheet'
import { outOf } from './stands'

const props = defineProps<{ sheet: Sheet; targets: Target[]; over: Target | null }>()

const shown = computed(() =>
  props.targets.filter((one) => byPointer(one) && (one.why === null || one === props.over)),
)
function outline({ extent_m, ...one }: Target): string {
  const corners = [
    [1, 1],
    [1, -1],
    [-1, -1],
    [-1, 1],
  ] as const
  return path(
    corners.map(([a, b]): Point => {
      const [x, y] = outOf(frameOf({ extent_m, ...one }), a * extent_m[0], b * extent_m[1])
      return [toX(props.sheet, x), planY(props.sheet, y)]
    }),
    true,
  )
}
</script>

<template>
  <g class="targets" aria-hidden="true">
    <path
      v-for="(one, i) in shown"
      :key="i"
      :d="outline(one)"
      :class="{ over: one === over, barred: one.why !== null }"
    />
  </g>
</template>

<style scoped>
.targets {
  pointer-events: none;
}
path {
  fill: var(--pick);
  fill-opacity: 0.1;
  stroke: var(--pick);
  stroke-dasharray: 4 4;
}
.over {
  fill-opacity: 0.28;
  stroke-width: 2;
  stroke-dasharray: none;
}
.barred {
  fill: var(--stop);
  stroke: var(--stop);
}
</style>
