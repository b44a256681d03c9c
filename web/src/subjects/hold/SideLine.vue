<script setup lang="ts">
/** The boat at anchor from the side, to scale: water, bottom, the line as it hangs, and its angles. */
import { computed } from 'vue'
import type { Drawing, FullHold, Schemas } from '@/api/client'
import { path, type Point } from '@/drawing/sheet'
import { show, type Units } from '@/kit/units'

const props = defineProps<{
  hold: Schemas['HoldFigures']
  full: FullHold
  drawing: Drawing
  depth_m: number
  draft_m: number
  units: Units
  width: number
  height: number
}>()
const [LEFT, RIGHT, BOTTOM] = [26, 14, 30]
const TOP_M = 1.0

const anchor = computed(() => props.hold.anchor)
const long = computed(() => {
  const { x_m } = props.drawing
  return x_m.at(-1)! - x_m[0]!
})
/** Along from the anchor to where the line leaves the boat. */
const out = computed(() => props.full.line.at(-1)?.[0] ?? 0)
const byBow = computed(() => props.hold.end === 'bow')
const bow = computed(() => props.drawing.x_m.at(-1)!)
const aheadOfCleat = computed(() =>
  byBow.value ? bow.value - props.hold.at[0] : props.hold.at[0] - props.drawing.x_m[0]!,
)
const scale = computed(() =>
  Math.min(
    (props.width - LEFT - RIGHT) / Math.max(4, out.value + long.value),
    (props.height - BOTTOM) / (props.depth_m + TOP_M),
  ),
)
const x = (along: number) => LEFT + along * scale.value
const y = (up: number) => props.height - BOTTOM - up * scale.value
/** The hull from the side; the end that is held leads toward the anchor. */
const hull = computed(() => {
  const { x_m, keel_z_m, sheer_z_m } = props.drawing
  const at = (i: number): number => {
    const from = byBow.value ? bow.value - x_m[i]! : x_m[i]! - x_m[0]!
    return out.value - aheadOfCleat.value + from
  }
  const up = (z: number) => props.depth_m + z - props.draft_m
  const top: Point[] = x_m.map((_, i) => [x(at(i)), y(up(sheer_z_m[i]!))])
  const low: Point[] = x_m.map((_, i) => [x(at(i)), y(up(keel_z_m[i]!))])
  return path([...top, ...low.reverse()], true)
})
const line = computed(() => path(props.full.line.map(([along, up]): Point => [x(along), y(up)])))
const arc = (deg: number, x0: number, y0: number, r: number): string => {
  const a = (deg * Math.PI) / 180
  return `M${x0 + r},${y0}A${r},${r} 0 0 0 ${x0 + r * Math.cos(a)},${y0 - r * Math.sin(a)}`
}
const lifted = computed(() => (anchor.value?.on_bottom_m ?? 0) < 1e-6)
</script>

<template>
  <svg
    :width="width"
    :height="height"
    role="img"
    aria-label="The boat at anchor from the side, to scale"
    data-testid="hold-side"
  >
    <rect class="water" x="0" :y="y(depth_m)" :width="width" :height="depth_m * scale" />
    <line class="surface" x1="0" :x2="width" :y1="y(depth_m)" :y2="y(depth_m)" />
    <rect class="bottom" x="0" :y="y(0)" :width="width" :height="BOTTOM" />
    <text class="name" x="6" :y="height - 9">{{ hold.anchor?.bottom ?? 'bottom' }}</text>
    <g v-if="anchor && full.line.length">
      <path class="line" :d="line" />
      <path class="fluke" :d="`M${x(0) - 9},${y(0) - 2}l9,4 9,-4M${x(0)},${y(0) + 2}v-9`" />
      <template v-if="lifted && anchor.angle_at_anchor_deg != null">
        <path class="arc" :d="arc(anchor.angle_at_anchor_deg, x(0), y(0), 42)" />
        <text class="figure" :x="x(0) + 48" :y="y(0) - 5">
          {{ show(anchor.angle_at_anchor_deg, 'angle', units, 0) }} at the anchor
        </text>
      </template>
      <text v-else-if="anchor.on_bottom_m" class="figure" :x="x(0) + 10" :y="y(0) + 14">
        {{ show(anchor.on_bottom_m, 'far', units, 1) }} on the bottom
      </text>
      <text class="figure mid" :x="x(0.62 * out)" :y="y(0.3 * depth_m)">
        {{ show(anchor.line_m, 'far', units) }} out, {{ anchor.scope.toFixed(1) }} to 1
      </text>
    </g>
    <path class="hull" :d="hull" />
    <g v-if="full.held.least_freeboard_m != null">
      <text class="figure end" :x="width - 6" :y="y(depth_m) + 16">
        {{ show(full.held.least_freeboard_m, 'length', units, 0) }} of side left
      </text>
    </g>
    <line class="measure" x1="14" x2="14" :y1="y(0)" :y2="y(depth_m)" />
    <text class="figure" x="20" :y="y(depth_m) + 16">{{ show(depth_m, 'far', units) }}</text>
  </svg>
</template>

<style scoped src="@/kit/chart.css"></style>
<style scoped>
.water {
  fill: var(--water-pale);
}
.surface {
  stroke: var(--pick);
}
.bottom {
  fill: var(--deck);
}
.line {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.fluke,
.arc {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.arc {
  stroke: var(--fix-mark);
}
.hull {
  fill: var(--hull);
  stroke: var(--ink);
}
.measure {
  stroke: var(--soft);
}
.figure {
  fill: var(--ink);
  font-size: 12px;
  paint-order: stroke;
  stroke: var(--halo);
  stroke-width: 3px;
}
.figure.mid {
  text-anchor: middle;
}
</style>
