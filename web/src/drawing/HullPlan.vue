<script setup lang="ts">
/** The bare boat from above: outline, wells, centreline. */
import { computed, useId } from 'vue'
import type { Boat, Drawing } from '@/api/client'
import { planOutline, planY, toX, type Sheet } from './sheet'

const props = defineProps<{ sheet: Sheet; drawing: Drawing; boat: Boat }>()
const clip = useId()
const GUNWALE_M = 0.022 // how broad the rim of a hull is drawn
const WALL_M = 0.03 // how far the walls of a well lean in, as drawn
const wells = computed(() =>
  props.boat.wells.map((well) => ({
    name: well.name,
    x: toX(props.sheet, well.x_fwd_m),
    y: planY(props.sheet, -well.half_breadth_m),
    width: (well.x_fwd_m - well.x_aft_m) * props.sheet.scale,
    height: 2 * well.half_breadth_m * props.sheet.scale,
    slope: Math.min(WALL_M, well.half_breadth_m / 3) * props.sheet.scale,
  })),
)
</script>

<template>
  <g>
    <clipPath :id="clip"><path :d="planOutline(sheet, drawing)" /></clipPath>
    <path class="hull" :d="planOutline(sheet, drawing)" />
    <path class="deck" :clip-path="`url(#${clip})`" :d="planOutline(sheet, drawing, GUNWALE_M)" />
    <g v-for="well in wells" :key="well.name">
      <rect
        class="well"
        :clip-path="`url(#${clip})`"
        :x="well.x"
        :y="well.y"
        :width="well.width"
        :height="well.height"
        rx="14"
      />
      <rect
        class="floor"
        :clip-path="`url(#${clip})`"
        :x="well.x + well.slope"
        :y="well.y + well.slope"
        :width="well.width - 2 * well.slope"
        :height="well.height - 2 * well.slope"
        rx="10"
      />
      <text class="name" :x="well.x + 8" :y="well.y + well.height + 11">{{ well.name }}</text>
    </g>
    <line
      class="middle"
      :x1="toX(sheet, drawing.x_m.at(-1) ?? 0)"
      :x2="toX(sheet, drawing.x_m[0] ?? 0)"
      :y1="sheet.planMiddle"
      :y2="sheet.planMiddle"
    />
  </g>
</template>

<style scoped>
.hull {
  fill: var(--hull);
  stroke: var(--ink);
  stroke-width: 2;
}
.deck {
  fill: var(--deck);
  stroke: var(--soft);
  stroke-opacity: 0.45;
}
.well {
  fill: var(--hull);
  stroke: var(--soft);
  stroke-opacity: 0.6;
}
.floor {
  fill: var(--well);
}
.middle {
  stroke: var(--soft);
  stroke-opacity: 0.35;
  stroke-dasharray: 10 4 2 4;
}
.name {
  fill: var(--soft);
  font-size: 10px;
}
</style>
