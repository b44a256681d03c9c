<script setup lang="ts">
/** One measure: typed, or left at a typical value that stands there in grey. */
import { computed } from 'vue'
import { BOTTOMS } from '@/setup/measures'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import QuantityInput from '@/kit/QuantityInput.vue'
import { useLook } from '@/setup/look'
import type { Step } from './measures'
import type { Told } from './useStart'

const told = defineModel<Told>({ required: true })
const props = defineProps<{ step: Step; typical: string; wrong: string }>()
defineEmits<{ focus: [] }>()
const look = useLook()
const value = computed({
  get: () => told.value.measures[props.step.field] ?? null,
  set: (now: number | null) => {
    told.value.measures = { ...told.value.measures, [props.step.field]: now }
  },
})
/** Nothing is chosen yet where it is typical. */
const chosen = <T extends string>(value: T | null | undefined): T => (value ?? '') as T
const SHAPES = BOTTOMS.map((one) => [one.value, one.label] as const)
</script>

<template>
  <ChoiceGroup
    v-if="step.kind === 'bottom'"
    :model-value="chosen(told.bottom)"
    label="Shape of the bottom"
    :options="SHAPES"
    @update:model-value="told.bottom = $event"
  />
  <ChoiceGroup
    v-else-if="step.kind === 'chine'"
    :model-value="chosen(told.chine)"
    label="Turn of the bilge"
    :options="[
      ['soft', 'soft'],
      ['hard', 'hard'],
    ]"
    @update:model-value="told.chine = $event"
  />
  <QuantityInput
    v-else
    v-model="value"
    class="quantity"
    :label="`${step.label}: ${step.where}`"
    :kind="step.kind"
    :units="look.units"
    :wrong="wrong"
    optional
    :placeholder="typical"
    :testid="`start-${step.field}`"
    @focus="$emit('focus')"
  />
</template>

<style scoped>
.quantity {
  width: 170px;
}
</style>
