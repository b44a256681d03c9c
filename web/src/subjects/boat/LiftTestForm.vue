<script setup lang="ts">
/** Two-scale lift: weigh each end of the bare boat, and know where it balances. */
import type { Calibration, CalibrationReport } from '@/api/client'
import { show, type Units } from '@/kit/units'
import InstrumentReading from '@/kit/InstrumentReading.vue'
import FromBowInput from '@/kit/FromBowInput.vue'
import QuantityInput from '@/kit/QuantityInput.vue'
import TestFrame from './TestFrame.vue'

const test = defineModel<Calibration['lift_test']>({ required: true })
const props = defineProps<{
  units: Units
  bow_x_m: number
  fit: CalibrationReport['lift_test'] | null
}>()
function start(): void {
  test.value = {
    used: false,
    bow_kg: 15,
    bow_x_m: Math.round(props.bow_x_m * 95) / 100,
    stern_kg: 15,
    stern_x_m: Math.round(props.bow_x_m * 5) / 100,
  }
}
</script>

<template>
  <TestFrame
    title="Two-scale lift"
    lead="Hang the bare boat level from its handles, a scale at each; type both readings and where
      the handles are. It gives the hull's weight and balance point."
    :made="test !== null"
    :used="test?.used ?? false"
    testid="lift"
    @update:used="test && (test.used = $event)"
    @start="start"
    @forget="test = null"
  >
    <template v-if="test">
      <div class="two">
        <label>Bow scale</label>
        <QuantityInput
          v-model="test.bow_kg"
          label="Scale at the bow"
          kind="mass"
          :units="units"
          testid="lift-bow"
        />
        <label>from the bow</label>
        <FromBowInput
          v-model="test.bow_x_m"
          :bow_x_m="bow_x_m"
          label="Bow handle, from the bow"
          :units="units"
        />
        <label>Stern scale</label>
        <QuantityInput
          v-model="test.stern_kg"
          label="Scale at the stern"
          kind="mass"
          :units="units"
        />
        <label>from the bow</label>
        <FromBowInput
          v-model="test.stern_x_m"
          :bow_x_m="bow_x_m"
          label="Stern handle, from the bow"
          :units="units"
        />
      </div>
      <InstrumentReading scale @force="test.bow_kg = Math.round($event * 10) / 10" />
      <p v-if="fit" data-testid="lift-fit">
        The hull weighs {{ show(fit.hull_mass_kg, 'mass', units) }} (typed:
        {{ show(fit.typed_mass_kg, 'mass', units) }}) and balances
        {{ show(bow_x_m - fit.hull_lcg_m, 'length', units) }} from the bow.
      </p>
    </template>
  </TestFrame>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 84px 1fr 84px 1fr;
  gap: 6px 10px;
  align-items: start;
}
label {
  padding-top: 3px;
}
p {
  margin: 8px 0 2px;
}
</style>
