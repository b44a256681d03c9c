<script setup lang="ts">
/** What is told of the boat as it lies now, drawn over a view: wires, balance, what meets what. */
import { computed } from 'vue'
import type { Between, Figures, Setup } from '@/api/client'
import type { Units } from '@/kit/units'
import ClashMarks from './ClashMarks.vue'
import MeasureLine from './MeasureLine.vue'
import WireMarks from './WireMarks.vue'
import type { Overlay } from './overlays'
import { drawnAt, type Sheet, type Spot } from './sheet'
import { worstByWire } from './wires'

const props = defineProps<{
  sheet: Sheet
  view: 'plan' | 'side'
  figures: Figures
  wires: Setup['power']['conductors']
  overlays: readonly Overlay[]
  chosen: ReadonlySet<number>
  between: Between | null
  units: Units
}>()

const verdicts = computed(() => worstByWire(props.figures.findings))
const balance = computed(() => {
  const afloat = props.figures.afloat
  if (!afloat || !props.overlays.includes('balance')) return null
  const spot = (at: Spot) => {
    const [x, y] = drawnAt(props.sheet, props.view, at)
    return { x, y }
  }
  return { weight: spot(afloat.weight_at), lift: spot(afloat.lift_at) }
})
</script>

<template>
  <g class="live">
    <WireMarks
      v-if="overlays.includes('wires') && figures.power"
      class="still"
      :sheet="sheet"
      :wires="wires"
      :figures="figures.power.conductors"
      :verdicts="verdicts"
      :view="view"
    />
    <g v-if="balance" class="still">
      <circle class="lift" :cx="balance.lift.x" :cy="balance.lift.y" r="6" />
      <path class="weight" :d="`M${balance.weight.x - 8},${balance.weight.y}h16m-8,-8v16`" />
    </g>
    <ClashMarks
      :sheet="sheet"
      :too-near="figures.too_near"
      :chosen="chosen"
      :units="units"
      :view="view"
    />
    <MeasureLine v-if="between" :sheet="sheet" :between="between" :units="units" :view="view" />
    <slot />
  </g>
</template>

<style scoped>
/* A layer of its own: a drag paints it, and not the boat under it. */
.live {
  will-change: transform;
}
.still {
  pointer-events: none;
}
.weight {
  stroke: var(--stop);
  stroke-width: 2.4;
}
.lift {
  fill: none;
  stroke: var(--pick);
  stroke-width: 2.2;
}
</style>
