<script setup lang="ts">
/** The boat full of water, from the side, to scale: its water line, what floats it, what lacks. */
import { computed } from 'vue'
import type { Boat, Drawing, FullCapsize, SafetyPlan } from '@/api/client'
import HullSide from '@/drawing/HullSide.vue'
import { path, sideY, toX, type Point } from '@/drawing/sheet'
import { show, type Units } from '@/kit/units'
import { sheetOf } from './fates'

const props = defineProps<{
  drawing: Drawing
  boat: Boat
  plan: SafetyPlan
  full: FullCapsize['full']
  units: Units
  width: number
}>()

const HIGH = 200
const sheet = computed(() => sheetOf(props.drawing, props.width, HIGH, HIGH - 50))
const middle = computed(() => (props.drawing.x_m[0]! + props.drawing.x_m.at(-1)!) / 2)
/** Where the water stands, past both ends; over the whole boat where it goes under. */
const surface = computed<Point[] | null>(() => {
  const { draft_m, trim_deg } = props.full
  if (draft_m == null || trim_deg == null) return null
  const slope = -Math.tan((trim_deg * Math.PI) / 180)
  const at = (px: number): Point => {
    const x = sheet.value.bow_x_m - (px - sheet.value.left) / sheet.value.scale
    return [px, sideY(sheet.value, draft_m + slope * (x - middle.value))]
  }
  return [at(0), at(sheet.value.width)]
})
const water = computed(() => {
  const top: Point[] = surface.value ?? [
    [0, 16],
    [sheet.value.width, 16],
  ]
  return path([...top, [sheet.value.width, HIGH], [0, HIGH]], true)
})
const box = (aft: number, fwd: number, low: number, high: number) => ({
  x: toX(sheet.value, Math.max(aft, fwd)),
  y: sideY(sheet.value, low + high),
  width: Math.abs(fwd - aft) * sheet.value.scale,
  height: high * sheet.value.scale,
})
const floats = computed(() =>
  (props.plan.flotation ?? []).map((one) => ({
    kind: one.kind,
    ...box(one.aft_x_m, one.fwd_x_m, one.bottom_z_m, one.height_m),
  })),
)
const dry = computed(() =>
  props.plan.dry.map((one) => ({
    x: toX(sheet.value, one.fwd_x_m),
    width: toX(sheet.value, one.aft_x_m) - toX(sheet.value, one.fwd_x_m),
  })),
)
</script>

<template>
  <svg
    class="full"
    :width="sheet.width"
    :height="HIGH"
    role="img"
    :aria-label="`The boat full of water: ${full.word}`"
  >
    <HullSide :sheet="sheet" :drawing="drawing" :boat="boat" :afloat="null" />
    <rect
      v-for="(one, n) in dry"
      :key="`dry ${n}`"
      class="dry"
      :x="one.x"
      :width="one.width"
      :y="sideY(sheet, 0.5)"
      :height="0.5 * sheet.scale"
    />
    <path class="water" :d="water" />
    <path v-if="surface" class="surface" :d="path(surface)" />
    <g v-for="(one, n) in floats" :key="n">
      <rect class="foam" :x="one.x" :y="one.y" :width="one.width" :height="one.height" rx="3" />
      <text class="name" :x="one.x + 4" :y="one.y + one.height / 2 + 4">{{ one.kind }}</text>
    </g>
    <g v-if="full.missing_l > 0 && full.foam_x_m != null">
      <path class="lacks" :d="`M${toX(sheet, full.foam_x_m)},${HIGH - 44}v-18m-6,8l6,-8l6,8`" />
      <text class="lack" :x="toX(sheet, full.foam_x_m)" :y="HIGH - 28" text-anchor="middle">
        {{ show(full.missing_l / 1000, 'volume', units, 0) }} more foam about here
      </text>
    </g>
  </svg>
</template>

<style scoped>
.full {
  display: block;
  max-width: 100%;
}
.water {
  fill: var(--water);
  fill-opacity: 0.55;
}
.surface {
  fill: none;
  stroke: var(--pick);
  stroke-width: 2;
}
.foam {
  fill: var(--card);
  stroke: var(--ink);
  stroke-dasharray: 2 2;
}
.dry {
  fill: var(--card);
  fill-opacity: 0.7;
}
.name {
  fill: var(--ink);
  font-size: 10px;
}
.lacks {
  fill: none;
  stroke: var(--fix);
  stroke-width: 2;
}
.lack {
  fill: var(--fix);
  font-size: 12px;
}
</style>
