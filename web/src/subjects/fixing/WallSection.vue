<script setup lang="ts">
/** A cut through base, wall, plate and bolts, true in its proportions along the wall; what is thin
 * is drawn three times as thick. */
import { computed } from 'vue'
import type { MountDetail, MountFigure } from '@/api/client'
import { show, type Units } from '@/kit/units'

const props = defineProps<{ mount: MountFigure; detail: MountDetail; units: Units }>()

const W = 250
const H = 120
const THICKER = 3
const scale = computed(() => (W - 30) / 1000 / Math.max(0.16, props.detail.radius_m * 2))
const mm = (value: number) => value * scale.value * 1000
const wall = computed(() => Math.max(4, mm(props.detail.wall_thickness_mm / 1000) * THICKER))
const core = computed(() => (wall.value * props.detail.core_mm) / props.detail.wall_thickness_mm)
const base = computed(() => mm(props.mount.length_m))
const free = computed(() => mm(props.detail.radius_m))
const plate = computed(() =>
  props.detail.plate
    ? {
        wide: Math.min(mm(props.detail.plate.length_m), 2 * free.value),
        thick: Math.max(3, mm(props.detail.plate.thickness_mm / 1000) * THICKER),
      }
    : null,
)
const middle = W / 2
const top = 48
/** Bolts by where they lie along the base. */
const bolts = computed(() => {
  const turn = (props.mount.turn_deg * Math.PI) / 180
  const [x, y] = props.mount.at
  const along = props.mount.bolts.map(
    (one) => (one[0] - x) * Math.cos(turn) + (one[1] - y) * Math.sin(turn),
  )
  return [...new Set(along.map((one) => Math.round(one * 1000)))].map(
    (one) => middle + mm(one / 1000),
  )
})
const washer = computed(() => mm(props.detail.washer_mm / 1000))
const nuts = computed(() => props.mount.by === 'through bolt')
const below = computed(() => top + wall.value + (plate.value?.thick ?? 0))
</script>

<template>
  <svg :width="W" :height="H" role="img" aria-label="Section through wall, plate and bolts">
    <rect class="wall" :x="middle - free" :y="top" :width="free * 2" :height="wall" />
    <rect
      v-if="core"
      class="core"
      :x="middle - free"
      :y="top + (wall - core) / 2"
      :width="free * 2"
      :height="core"
    />
    <path
      class="edge"
      :d="`M${middle - free} ${top - 8}V${top + wall + 8}M${middle + free} ${top - 8}V${top + wall + 8}`"
    />
    <rect class="base" :x="middle - base / 2" :y="top - 8" :width="base" height="8" rx="1" />
    <rect
      v-if="plate"
      class="plate"
      :x="middle - plate.wide / 2"
      :y="top + wall"
      :width="plate.wide"
      :height="plate.thick"
    />
    <g v-for="x in bolts" :key="x">
      <rect
        class="bolt"
        :x="x - 1.5"
        :y="top - 13"
        width="3"
        :height="below - top + (nuts ? 21 : 15)"
      />
      <rect class="bolt" :x="x - 4" :y="top - 14" width="8" height="5" />
      <template v-if="nuts">
        <rect class="bolt" :x="x - washer / 2" :y="below" :width="washer" height="2" />
        <rect class="bolt" :x="x - 4" :y="below + 2" width="8" height="5" />
      </template>
    </g>
    <text x="8" y="14">
      wall {{ show(detail.wall_thickness_mm / 1000, 'thin', units) }}, free
      {{ show(detail.radius_m, 'length', units, 0) }} round
    </text>
    <text v-if="detail.plate" x="8" :y="H - 8" class="soft">
      {{ mount.on_track ? mount.on_track : detail.plate.stuff }}
      {{ show(detail.plate.length_m, 'length', units, 0) }} ×
      {{ show(detail.plate.width_m, 'length', units, 0) }}
    </text>
    <text v-else x="8" :y="H - 8" class="soft">no plate behind</text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
}
.wall {
  fill: color-mix(in srgb, var(--soft) 35%, var(--card));
  stroke: var(--ink);
}
.core {
  fill: var(--card);
  stroke: none;
}
.edge {
  stroke: var(--soft);
  stroke-dasharray: 2 2;
}
.base {
  fill: var(--soft);
}
.plate {
  fill: var(--pick);
}
.bolt {
  fill: var(--ink);
}
text {
  fill: var(--ink);
  font-size: 11px;
}
text.soft {
  fill: var(--soft);
}
</style>
