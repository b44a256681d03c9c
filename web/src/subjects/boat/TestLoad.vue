<script setup lang="ts" generic="T extends Load">
/** What stood in the boat during a test, taken together: weight, place and height. */
import type { Units } from '@/kit/units'
import type { TestLoad as Load } from '@/setup/measures'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import FromBowInput from '@/kit/FromBowInput.vue'
import QuantityInput from '@/kit/QuantityInput.vue'

const test = defineModel<T>({ required: true })
defineProps<{ units: Units; bow_x_m: number; testid: string }>()
</script>

<template>
  <div class="load">
    <label>Aboard</label>
    <QuantityInput
      v-model="test.load_kg"
      label="Everything aboard besides the bare boat"
      kind="mass"
      :units="units"
      :testid="`${testid}-load`"
    />
    <label>From the bow</label>
    <FromBowInput
      v-model="test.load_x_m"
      :bow_x_m="bow_x_m"
      label="Where it acts, from the bow"
      :units="units"
    />
    <label>Height</label>
    <QuantityInput
      v-model="test.load_z_m"
      label="Height of its centre above the bottom"
      kind="length"
      :units="units"
    />
    <span>Water</span>
    <ChoiceGroup
      v-model="test.water"
      label="Water"
      :options="[
        ['fresh', 'fresh'],
        ['salt', 'salt'],
      ]"
    />
  </div>
</template>

<style scoped>
.load {
  display: grid;
  grid-template-columns: 84px 1fr 84px 1fr;
  gap: 6px 10px;
  align-items: start;
}
label,
span {
  padding-top: 3px;
}
</style>
