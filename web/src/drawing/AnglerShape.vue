<script setup lang="ts">
/** The angler from the segment model, from above or from the side. */
import { computed } from 'vue'
import type { Drawing, SeatPlace } from '@/api/client'
import { bodyShapes } from './body'
import { drawnAt, planY, sideY, toX, type Sheet } from './sheet'

const props = defineProps<{
  sheet: Sheet
  drawing: Drawing
  seat: SeatPlace
  view: 'plan' | 'side'
  /** both arms and legs from the side as well, where they are not alike */
  all?: boolean
  /** a life jacket is worn */
  vest?: boolean
}>()

const shapes = computed(() =>
  bodyShapes(
    props.drawing.limbs
      // From the side one arm and one leg hide the others.
      .filter((limb) => props.all || props.view === 'plan' || limb.upper[1] >= 0)
      .filter((limb) => props.view === 'side' || limb.name !== 'trunk'),
    (spot) => drawnAt(props.sheet, props.view, spot),
    props.sheet.scale,
    props.vest,
  ),
)
const head = computed(() => {
  const [x, y] = drawnAt(props.sheet, props.view, props.drawing.head_m)
  return { x, y, r: 0.085 * props.sheet.scale }
})
const cap = computed(() => {
  const { x, y, r } = head.value
  if (props.view === 'plan')
    return `M${x - r},${y}a${r},${r} 0 1 1 ${2 * r},0a${r},${r} 0 1 1 ${-2 * r},0z`
  return `M${x - r * 0.98},${y - r * 0.2}A${r},${r} 0 0 1 ${x + r * 0.98},${y - r * 0.2}z`
})
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
</script>

<template>
  <g class="angler" :class="view" aria-hidden="true">
    <path v-if="view === 'side'" class="chair" :d="chair" />
    <path v-for="(one, i) in shapes" :key="`edge${i}`" class="edge" :d="one.d" />
    <path v-for="(one, i) in shapes" :key="i" :class="one.cloth" :d="one.d" />
    <ellipse
      v-if="view === 'plan' && shoulders"
      class="shoulders"
      :class="{ worn: vest }"
      :cx="shoulders.x"
      :cy="shoulders.y"
      :rx="0.11 * sheet.scale"
      :ry="shoulders.ry"
    />
    <!-- A cap whose peak says which way the face looks: to the bow. -->
    <path
      class="peak"
      :d="`M${head.x},${head.y - 0.5 * head.r}h${-1.5 * head.r}v${view === 'plan' ? head.r : 0.18 * head.r}h${1.5 * head.r}z`"
    />
    <circle class="head" :cx="head.x" :cy="head.y" :r="head.r" />
    <path class="cap" :d="cap" />
  </g>
</template>

<style scoped>
.angler {
  pointer-events: none;
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-opacity: 0.75;
}
.legs,
.shoe {
  fill: var(--cloth);
}
.shoe {
  fill: color-mix(in srgb, var(--cloth) 70%, var(--ink));
}
.sleeve {
  fill: color-mix(in srgb, var(--cloth) 80%, var(--card));
}
.shoulders {
  fill: color-mix(in srgb, var(--cloth) 80%, var(--card));
}
.vest,
.shoulders.worn {
  fill: var(--gear-apricot);
}
.skin,
.head {
  fill: var(--skin);
}
.head,
.cap,
.peak,
.shoulders {
  stroke: var(--ink);
  stroke-width: 1;
}
.cap,
.peak {
  fill: color-mix(in srgb, var(--cloth) 80%, var(--ink));
}
/* From above gear under arms and legs must still be seen. */
.plan {
  opacity: 0.62;
}
.chair {
  fill: none;
  stroke: var(--ink);
  stroke-width: 4;
  stroke-linejoin: round;
  stroke-linecap: round;
}
</style>
