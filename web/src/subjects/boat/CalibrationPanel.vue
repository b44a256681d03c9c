<script setup lang="ts">
/** Three tests of the real boat; each keeps its readings, shows its fit, and can be switched off. */
import { watchDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { api, ask, type Boat, type CalibrationReport } from '@/api/client'
import { useAsked } from '@/kit/useAsked'
import type { Units } from '@/kit/units'
import { reasons } from '@/kit/words'
import FloatTestForm from './FloatTestForm.vue'
import LiftTestForm from './LiftTestForm.vue'
import type { Aboard } from '@/setup/measures'
import TiltTestForm from './TiltTestForm.vue'

const boat = defineModel<Boat>({ required: true })
defineProps<{
  units: Units
  bow_x_m: number
  aboard: Aboard
}>()

const asked = useAsked<CalibrationReport>()
const report = asked.answer
const trouble = computed(() => {
  const fields = asked.refusal.value?.problem.fields
  return fields ? reasons(fields) : asked.trouble.value
})

watchDebounced(
  boat,
  (now) =>
    void asked.put(
      () => ask(api.POST('/api/v1/boat/calibration', { body: now })) as Promise<CalibrationReport>,
    ),
  { debounce: 250, deep: true, immediate: true },
)
</script>

<template>
  <p class="soft">
    Calm shallow water, a helper, the PFD on. Until one of the first two is done, every figure
    afloat is an estimate.
  </p>
  <p v-if="trouble" class="stop" role="alert" data-testid="test-trouble">{{ trouble }}</p>
  <FloatTestForm
    v-model="boat.calibration.float_test"
    :units="units"
    :bow_x_m="bow_x_m"
    :aboard="aboard"
    :fit="report?.float_test ?? null"
    :trouble="report?.float_trouble ?? ''"
  />
  <TiltTestForm
    v-model="boat.calibration.tilt_test"
    :units="units"
    :bow_x_m="bow_x_m"
    :aboard="aboard"
    :fit="report?.tilt_test ?? null"
    :trouble="report?.tilt_trouble ?? ''"
  />
  <LiftTestForm
    v-model="boat.calibration.lift_test"
    :units="units"
    :bow_x_m="bow_x_m"
    :fit="report?.lift_test ?? null"
  />
</template>

<style scoped>
p {
  margin: 2px 0 8px;
  font-size: 12px;
}
</style>
