<script setup lang="ts">
/** A place along the boat, typed as a tape from the bow has it; kept as metres from the stern. */
import QuantityInput from './QuantityInput.vue'
import type { Units } from './units'

defineProps<{ bow_x_m: number; units: Units; label: string; testid?: string; wrong?: string }>()
const x_m = defineModel<number>({ required: true })
</script>

<template>
  <QuantityInput
    :model-value="bow_x_m - x_m"
    :label="label"
    kind="length"
    :units="units"
    :testid="testid"
    :wrong="wrong"
    @update:model-value="x_m = bow_x_m - $event"
  />
</template>
