<script setup lang="ts">
/** Weight along the boat as bars, and the lift of the water hanging below, on one scale. */
import { computed } from 'vue'
import type { Figures } from '@/api/client'
import { number, unitOf, type Units } from '@/kit/units'
import { path, toX, type Sheet } from './sheet'

const props = defineProps<{ sheet: Sheet; figures: Figures; units: Units }>()

const BIN_M = 0.1 // what the label says: weight for every 10 cm

const density = computed(() => {
  const strip = props.figures.strip
  if (!strip) return null
  const bars = strip.weight_kg.map((kg, i) => ({
    aft: strip.edges_m[i]!,
    fwd: strip.edges_m[i + 1]!,
    kg_per_m: kg / (strip.edges_m[i + 1]! - strip.edges_m[i]!),
  }))
  const most = Math.max(...bars.map((bar) => bar.kg_per_m), 1)
  const deepest = Math.max(...strip.lift_kg_per_m, 1)
  // One scale for both, so that equal areas are equal weights; the base line stands where it fits.
  const [top, foot] = [props.sheet.stripTop + 30, props.sheet.stripBottom - 12]
  const px = (foot - top) / (most + deepest)
  return { bars, px, base: top + most * px, lift: strip, most }
})
// One line for all of them: they are redrawn together, at every step of a drag.
const bars = computed(() => {
  const d = density.value
  if (!d) return ''
  const bar = (one: { aft: number; fwd: number; kg_per_m: number }) => {
    const [left, right] = [toX(props.sheet, one.fwd), toX(props.sheet, one.aft) - 1.5]
    const top = d.base - one.kg_per_m * d.px
    return path(
      [
        [left, d.base],
        [left, top],
        [right, top],
        [right, d.base],
      ],
      true,
    )
  }
  return d.bars.map(bar).join(' ')
})
const lift = computed(() => {
  const d = density.value
  if (!d) return ''
  const at = d.lift.lift_x_m.map(
    (x, i) => [toX(props.sheet, x), d.base + d.lift.lift_kg_per_m[i]! * d.px] as const,
  )
  const ends = d.bars
  const close = [toX(props.sheet, ends.at(-1)!.fwd), toX(props.sheet, d.lift.lift_x_m[0]!)] as const
  return path([[close[1], d.base], ...at, [close[0], d.base]], true)
})
const acts = computed(() => {
  const a = props.figures.afloat
  if (!a) return null
  const from = (x: number) => number(props.sheet.bow_x_m - x, 'length', props.units, 0)
  return {
    weight: { x: toX(props.sheet, a.weight_at[0]), text: `weight acts at ${from(a.weight_at[0])}` },
    lift: { x: toX(props.sheet, a.lift_at[0]), text: `lift acts at ${from(a.lift_at[0])}` },
  }
})
const peak = computed(() => {
  if (!density.value) return ''
  const per = props.units === 'metric' ? BIN_M : 0.3048
  return number(density.value.most * per, 'mass', props.units)
})
const per = computed(() => (props.units === 'metric' ? '10 cm' : 'foot'))
</script>

<template>
  <g>
    <text class="title" x="12" :y="sheet.stripTop + 14">
      Weight along the boat, against the lift of the water
      <tspan v-if="sheet.width > 520" class="unit"
        >({{ unitOf('mass', units) }} per {{ per }}; most {{ peak }})</tspan
      >
    </text>
    <template v-if="density && acts">
      <path class="bar" :d="bars" />
      <path class="lift" :d="lift" />
      <line
        class="weight-line"
        :x1="acts.weight.x"
        :x2="acts.weight.x"
        :y1="sheet.stripTop + 20"
        :y2="density.base"
      />
      <text class="weight-text" :x="acts.weight.x + 5" :y="sheet.stripTop + 28">
        {{ acts.weight.text }}
      </text>
      <line
        class="lift-line"
        :x1="acts.lift.x"
        :x2="acts.lift.x"
        :y1="density.base"
        :y2="sheet.stripBottom - 4"
      />
      <text class="lift-text" :x="acts.lift.x - 5" :y="density.base + 14">
        {{ acts.lift.text }}
      </text>
    </template>
  </g>
</template>

<style scoped>
.title {
  fill: var(--soft);
  font-size: 12px;
}
.unit {
  font-size: 11px;
}
.bar {
  fill: var(--skin);
  fill-opacity: 0.8;
}
.lift {
  fill: var(--water);
  stroke: var(--pick);
  stroke-width: 1.6;
}
.weight-line,
.lift-line {
  stroke-dasharray: 3 3;
}
.weight-line {
  stroke: var(--stop);
}
.lift-line {
  stroke: var(--pick);
}
.weight-text,
.lift-text {
  font-size: 11px;
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 3px;
}
.weight-text {
  fill: var(--stop);
}
.lift-text {
  fill: var(--pick);
  text-anchor: end;
}
</style>
