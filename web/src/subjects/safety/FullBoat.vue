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
const UNDER_PX = 16
const sheet = computed(() => sheetOf(props.drawing, props.width, HIGH, HIGH - 50))
const middle = computed(() => (props.drawing.x_m[0]! + props.drawing.x_m.at(-1)!) / 2)
const amid = computed(
  () =>
    (sideY(sheet.value, Math.min(...props.drawing.keel_z_m)) +
      sideY(sheet.value, Math.max(...props.drawing.sheer_z_m))) /
    2,
)
/** One that turns over comes to rest nowhere that we know: it is drawn keel up, half in the water. */
const over = computed(() => (props.full.turns_over ? `matrix(1 0 0 -1 0 ${2 * amid.value})` : ''))
/** Where the water stands, past both ends; over the whole boat where it goes under. */
const surface = computed<Point[]>(() => {
  const { draft_m, trim_deg } = props.full
  const level = (py: number): Point[] => [
    [0, py],
    [sheet.value.width, py],
  ]
  if (draft_m == null || trim_deg == null) return level(over.value ? amid.value : UNDER_PX)
  const slope = -Math.tan((trim_deg * Math.PI) / 180)
  const at = (px: number): Point => {
    const x = sheet.value.bow_x_m - (px - sheet.value.left) / sheet.value.scale
    return [px, sideY(sheet.value, draft_m + slope * (x - middle.value))]
  }
  return [at(0), at(sheet.value.width)]
})
const water = computed(() => path([...surface.value, [sheet.value.width, HIGH], [0, HIGH]], true))
const between = (aft: number, fwd: number) => ({
  x: toX(sheet.value, Math.max(aft, fwd)),
  width: Math.abs(fwd - aft) * sheet.value.scale,
})
const box = (aft: number, fwd: number, low: number, high: number) => ({
  ...between(aft, fwd),
  y: sideY(sheet.value, low + high),
  height: Math.max(0, high) * sheet.value.scale, // until what was typed is refused
})
const floats = computed(() =>
  (props.plan.flotation ?? []).map((one) => ({
    kind: one.kind,
    ...box(one.aft_x_m, one.fwd_x_m, one.bottom_z_m, one.height_m),
  })),
)
const dry = computed(() => props.plan.dry.map((one) => between(one.aft_x_m, one.fwd_x_m)))
</script>

<template>
  <svg
    class="full"
    :width="sheet.width"
    :height="HIGH"
    role="img"
    :aria-label="`The boat full of water: ${full.word}`"
  >
    <g :transform="over">
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
    </g>
    <path class="water" :d="water" />
    <path class="surface" :class="{ guessed: over }" :d="path(surface)" />
    <g :transform="over">
      <rect
        v-for="(one, n) in floats"
        :key="n"
        class="foam"
        :x="one.x"
        :y="one.y"
        :width="one.width"
        :height="one.height"
        rx="3"
      />
    </g>
    <template v-if="!over">
      <text
        v-for="(one, n) in floats"
        :key="n"
        class="name"
        :x="one.x + 4"
        :y="one.y + one.height / 2 + 4"
      >
        {{ one.kind }}
      </text>
      <g v-if="full.missing_l > 0 && full.foam_x_m != null">
        <path class="lacks" :d="`M${toX(sheet, full.foam_x_m)},${HIGH - 44}v-18m-6,8l6,-8l6,8`" />
        <text class="lack" :x="toX(sheet, full.foam_x_m)" :y="HIGH - 28" text-anchor="middle">
          {{ show(full.missing_l / 1000, 'volume', units, 0) }} more foam about here
        </text>
      </g>
    </template>
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
.guessed {
  stroke-dasharray: 6 5;
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
