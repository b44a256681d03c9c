<script setup lang="ts">
/** What you drive it by and how hard, on which course, in what wind and current. */
import type { GlidePlan, Schemas } from '@/api/client'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import { bearing } from '@/kit/compass'
import SliderInput from '@/kit/SliderInput.vue'
import { show, type Units } from '@/kit/units'
import TickBox from '@/kit/TickBox.vue'

const props = defineProps<{
  plan: GlidePlan
  figures: Schemas['GlideFigures'] | null
  usual: readonly Schemas['UsualEffort'][]
  units: Units
}>()
const emit = defineEmits<{
  try: [fields: Partial<GlidePlan>]
  take: [fields: Partial<GlidePlan>]
}>()
const STROKES = [
  ['paddle', 'Paddle'],
  ['fins', 'Fins'],
  ['propeller', 'Propeller'],
] as const
const speed = (value: number | null | undefined) =>
  value == null ? '—' : show(value, 'speed', props.units, 2)
const percent = (share: number | null | undefined) =>
  share == null ? '' : `${Math.round(100 * share)}\u00a0%`
</script>

<template>
  <div class="card pad">
    <div class="head">
      <ChoiceGroup
        :model-value="figures?.stroke ?? 'paddle'"
        label="What you drive it by"
        :options="STROKES"
        @update:model-value="emit('take', { stroke: $event })"
      />
      <span class="soft">{{ percent(figures?.efficiency) }} of it drives the boat</span>
    </div>
    <SliderInput
      :model-value="plan.effort_w"
      label="Your effort"
      :min="20"
      :max="200"
      :step="5"
      :told="`${Math.round(plan.effort_w)} W`"
      testid="effort"
      @try="emit('try', { effort_w: $event })"
      @take="emit('take', { effort_w: $event })"
    />
    <div class="presets" role="group" aria-label="Usual efforts">
      <button
        v-for="{ words, effort_w } in usual"
        :key="words"
        type="button"
        class="small"
        :class="{ go: plan.effort_w === effort_w }"
        @click="emit('take', { effort_w })"
      >
        {{ words }}
      </button>
    </div>
    <SliderInput
      :model-value="plan.heading_deg"
      label="Course"
      :min="0"
      :max="355"
      :step="5"
      :told="bearing(plan.heading_deg)"
      testid="course"
      @try="emit('try', { heading_deg: $event })"
      @take="emit('take', { heading_deg: $event })"
    />
    <SliderInput
      :model-value="plan.wind_m_s"
      label="Wind"
      :min="0"
      :max="15"
      :step="0.5"
      :told="show(plan.wind_m_s, 'speed', units)"
      testid="wind"
      @try="emit('try', { wind_m_s: $event })"
      @take="emit('take', { wind_m_s: $event })"
    />
    <SliderInput
      :model-value="plan.wind_from_deg"
      label="Wind from"
      :min="0"
      :max="355"
      :step="5"
      :told="bearing(plan.wind_from_deg)"
      testid="wind-from"
      @try="emit('try', { wind_from_deg: $event })"
      @take="emit('take', { wind_from_deg: $event })"
    />
    <SliderInput
      :model-value="plan.current_m_s"
      label="Current"
      :min="0"
      :max="2"
      :step="0.1"
      :told="show(plan.current_m_s, 'speed', units)"
      testid="current"
      @try="emit('try', { current_m_s: $event })"
      @take="emit('take', { current_m_s: $event })"
    />
    <SliderInput
      v-if="plan.current_m_s > 0"
      :model-value="plan.current_toward_deg"
      label="Current toward"
      :min="0"
      :max="355"
      :step="5"
      :told="bearing(plan.current_toward_deg)"
      @try="emit('try', { current_toward_deg: $event })"
      @take="emit('take', { current_toward_deg: $event })"
    />
    <TickBox :on="plan.scratched" @tick="emit('take', { scratched: $event })"
      >skin scratched or slimed</TickBox
    >
    <p v-if="figures" class="made">
      Over ground: <b>{{ speed(figures.way_m_s) }}</b> out,
      <b>{{ speed(figures.back_m_s) }}</b> back.
    </p>
  </div>
</template>

<style scoped>
.card {
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.head,
.presets {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
}
.head {
  justify-content: space-between;
  margin-bottom: 6px;
}
.presets {
  gap: 4px 6px;
  margin: 2px 0 6px;
}
.tick {
  margin: 4px 0;
}
.made {
  margin: 0;
}
</style>
