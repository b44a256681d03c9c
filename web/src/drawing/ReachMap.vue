<script setup lang="ts">
/** Zones from above at some height, by pattern as well as tint; edges are nested. */
import { computed } from 'vue'
import type { FullReach, Zone } from '@/api/client'
import { ZONE_WORD } from '@/kit/words'
import { path, planY, toX, type Point, type Sheet } from './sheet'

const props = defineProps<{ sheet: Sheet; reach: FullReach }>()

const ORDER: Zone[] = ['twist', 'lean', 'hand'] // the widest first, the nearer over it
const zones = computed(() =>
  ORDER.flatMap((zone) => {
    const edge = props.reach.edges.find((one) => one.zone === zone)
    if (!edge || edge.outline.length < 3) return []
    const points = edge.outline.map(([x, y]): Point => [toX(props.sheet, x), planY(props.sheet, y)])
    return [{ zone, d: path(points, true) }]
  }),
)
</script>

<template>
  <g class="map" data-testid="reach-map">
    <defs>
      <pattern id="zone-hand" width="6" height="6" patternUnits="userSpaceOnUse">
        <path d="M0,6L6,0M-1,1L1,-1M5,7L7,5" />
      </pattern>
      <pattern id="zone-lean" width="9" height="9" patternUnits="userSpaceOnUse">
        <path d="M0,4.5H9" />
      </pattern>
      <pattern id="zone-twist" width="10" height="10" patternUnits="userSpaceOnUse">
        <circle cx="5" cy="5" r="1.1" />
      </pattern>
    </defs>
    <g v-for="one in zones" :key="one.zone" :class="one.zone" :data-zone="one.zone">
      <path class="ground" :d="one.d" />
      <path class="pattern" :d="one.d" :fill="`url(#zone-${one.zone})`">
        <title>{{ ZONE_WORD[one.zone] }}</title>
      </path>
    </g>
  </g>
</template>

<style scoped>
pattern path {
  stroke: var(--pick);
  stroke-width: 1;
  fill: none;
}
pattern circle {
  fill: var(--pick);
}
.ground {
  fill: var(--card);
  fill-opacity: 0.72;
}
.pattern {
  stroke: var(--pick);
  stroke-width: 1.6;
}
.lean .pattern {
  stroke-dasharray: 7 4;
}
.twist .pattern {
  stroke-dasharray: 2 4;
}
</style>
