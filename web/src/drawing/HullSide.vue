<script setup lang="ts">
/** The bare boat from the side, and the water at its computed draft and slope. */
import { computed, useId } from 'vue'
import type { Boat, Drawing, Figures } from '@/api/client'
import { path, sideOutline, sideY, toX, type Point, type Sheet } from './sheet'

const props = defineProps<{
  sheet: Sheet
  drawing: Drawing
  boat: Boat
  afloat: Figures['afloat'] | null
  front?: boolean
}>()

const clip = useId()
const outline = computed(() => sideOutline(props.sheet, props.drawing))
/** Water plane on the centerline, carried on past both ends of the boat. */
const surface = computed<[Point, Point] | null>(() => {
  const a = props.afloat
  const { x_m } = props.drawing
  if (!a || x_m.length === 0) return null
  const [aft, fwd] = [x_m[0]!, x_m.at(-1)!]
  const slope = (a.draft_fwd_m - a.draft_aft_m) / (fwd - aft)
  const at = (px: number): Point => {
    const x = props.sheet.bow_x_m - (px - props.sheet.left) / props.sheet.scale
    return [px, sideY(props.sheet, a.draft_aft_m + slope * (x - aft))]
  }
  return [at(1), at(props.sheet.width - 1)]
})
const water = computed(() =>
  surface.value
    ? path(
        [
          ...surface.value,
          [props.sheet.width - 1, props.sheet.sideBottom],
          [1, props.sheet.sideBottom],
        ],
        true,
      )
    : '',
)
</script>

<template>
  <g v-if="!front">
    <path class="water" :d="water" />
    <path class="hull" :d="outline" />
    <clipPath :id="clip"><path :d="outline" /></clipPath>
    <!-- The wells as if the near side were cut away: that is inside. -->
    <rect
      v-for="well in boat.wells"
      :key="well.name"
      class="well"
      :clip-path="`url(#${clip})`"
      :x="toX(sheet, well.x_fwd_m)"
      :y="sideY(sheet, well.rim_z_m + 0.2)"
      :width="(well.x_fwd_m - well.x_aft_m) * sheet.scale"
      :height="(well.rim_z_m + 0.2 - well.floor_z_m) * sheet.scale"
      rx="6"
    />
    <path class="outline" :d="outline" />
  </g>
  <g v-else-if="surface">
    <path class="veil" :d="water" />
    <path class="surface" :d="path(surface)" />
    <text
      class="label"
      :x="sheet.scale > 130 ? 8 : sheet.width - 60"
      :y="surface[sheet.scale > 130 ? 0 : 1][1] + 15"
    >
      waterline
    </text>
  </g>
</template>

<style scoped>
/* A layer of its own: it changes at every move, and the boat before it does not. */
.water {
  fill: var(--water);
  will-change: transform;
}
.veil {
  fill: var(--water);
  fill-opacity: 0.45;
  pointer-events: none;
}
.surface {
  stroke: var(--pick);
  stroke-width: 2;
  pointer-events: none;
}
.hull {
  fill: var(--hull);
  stroke: var(--ink);
  stroke-width: 2;
}
.outline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.well {
  fill: var(--well);
  fill-opacity: 0.75;
  stroke: var(--soft);
  stroke-dasharray: 5 4;
}
.label {
  fill: var(--pick);
  font-size: 11px;
}
</style>
