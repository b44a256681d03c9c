<script setup lang="ts">
/** Where the line leaves the boat, and against what it holds: current, wind, depth, bottom. */
import type { DemandNumbers, HoldPlan } from '@/api/client'
import { CHOICES } from '@/api/words'
import CellInput from '@/kit/CellInput.vue'
import { bearing } from '@/kit/compass'
import QuantityInput from '@/kit/QuantityInput.vue'
import SliderInput from '@/kit/SliderInput.vue'
import { show, type Units } from '@/kit/units'
import { numberIn, pick } from '@/kit/heard'

defineProps<{
  plan: HoldPlan
  demands: DemandNumbers
  at_m: number
  ends: [number, number]
  units: Units
}>()
const emit = defineEmits<{
  tryHold: [fields: Partial<HoldPlan>]
  takeHold: [fields: Partial<HoldPlan>]
  tryDemands: [fields: Partial<DemandNumbers>]
  takeDemands: [fields: Partial<DemandNumbers>]
}>()
</script>

<template>
  <div class="card pad">
    <SliderInput
      :model-value="at_m"
      label="Line leaves at"
      :min="0"
      :max="Number(ends[1].toFixed(2))"
      :step="0.05"
      :told="`${show(ends[1] - at_m, 'length', units, 0)}`"
      testid="hold-at"
      @try="emit('tryHold', { at_x_m: $event })"
      @take="emit('takeHold', { at_x_m: $event })"
    />
    <p class="ends">
      from the bow
      <button
        type="button"
        class="small"
        data-testid="to-bow"
        @click="emit('takeHold', { at_x_m: ends[1] })"
      >
        to the bow
      </button>
      <button
        type="button"
        class="small"
        data-testid="to-stern"
        @click="emit('takeHold', { at_x_m: ends[0] })"
      >
        to the stern
      </button>
    </p>
    <SliderInput
      :model-value="demands.current_m_s"
      label="Current"
      :min="0"
      :max="2"
      :step="0.1"
      :told="show(demands.current_m_s, 'speed', units)"
      testid="hold-current"
      @try="emit('tryDemands', { current_m_s: $event })"
      @take="emit('takeDemands', { current_m_s: $event })"
    />
    <SliderInput
      :model-value="plan.current_toward_deg"
      label="Current toward"
      :min="0"
      :max="355"
      :step="5"
      :told="bearing(plan.current_toward_deg)"
      @try="emit('tryHold', { current_toward_deg: $event })"
      @take="emit('takeHold', { current_toward_deg: $event })"
    />
    <SliderInput
      :model-value="demands.wind_m_s"
      label="Wind"
      :min="0"
      :max="15"
      :step="0.5"
      :told="show(demands.wind_m_s, 'speed', units)"
      testid="hold-wind"
      @try="emit('tryDemands', { wind_m_s: $event })"
      @take="emit('takeDemands', { wind_m_s: $event })"
    />
    <SliderInput
      :model-value="plan.wind_from_deg"
      label="Wind from"
      :min="0"
      :max="355"
      :step="5"
      :told="bearing(plan.wind_from_deg)"
      testid="hold-wind-from"
      @try="emit('tryHold', { wind_from_deg: $event })"
      @take="emit('takeHold', { wind_from_deg: $event })"
    />
    <div class="fields">
      <label
        >Depth
        <QuantityInput
          :model-value="demands.depth_m"
          label="Depth"
          kind="far"
          :digits="1"
          :units="units"
          testid="hold-depth"
          @update:model-value="emit('takeDemands', { depth_m: $event })"
      /></label>
      <label
        >Line, to 1 of depth
        <CellInput
          type="number"
          min="1.2"
          max="20"
          step="0.5"
          :value="demands.scope"
          data-testid="hold-scope"
          @take="emit('takeDemands', { scope: numberIn($event) ?? demands.scope })"
      /></label>
      <label
        >Bottom
        <select
          :value="plan.bottom"
          data-testid="hold-bottom"
          @change="emit('takeHold', { bottom: pick($event) as HoldPlan['bottom'] })"
        >
          <option v-for="one in CHOICES.HoldPlan.bottom" :key="one">{{ one }}</option>
        </select></label
      >
    </div>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped>
.ends {
  display: flex;
  gap: 6px;
  align-items: center;
  margin: 2px 0 6px;
}
</style>
