<script setup lang="ts">
/** The phases of the day in their order, when it begins, and where. */
import type { DayPlan } from '@/api/client'
import { CHOICES, USUAL } from '@/api/words'
import CellInput from '@/kit/CellInput.vue'
import { clock, hourOf } from '@/kit/clock'
import { numberIn, pick } from '@/kit/heard'
import QuantityInput from '@/kit/QuantityInput.vue'
import type { Units } from '@/kit/units'
import type { DayChange } from '@/setup/changing'

type Phase = NonNullable<DayPlan['phases']>[number]
const props = defineProps<{ plan: DayPlan; day: string | null; units: Units }>()
const emit = defineEmits<{ take: [fields: DayChange]; day: [day: string | null] }>()
const phases = (): Phase[] => props.plan.phases ?? []
const set = (i: number, fields: Partial<Phase>) =>
  emit('take', { phases: phases().map((one, n) => (n === i ? { ...one, ...fields } : one)) })
const add = () => emit('take', { phases: [...phases(), { ...USUAL.DayPhase, kind: 'fish' }] })
const drop = (i: number) => emit('take', { phases: phases().filter((_, n) => n !== i) })
function begin(text: string): void {
  const hour = hourOf(text)
  if (hour !== null) emit('take', { start_h: hour })
}
const ZONES =
  typeof Intl.supportedValuesOf === 'function' ? Intl.supportedValuesOf('timeZone') : ['UTC']
</script>

<template>
  <div class="card pad" data-testid="phases-form">
    <h2>How the day goes</h2>
    <div class="fields">
      <label
        >Begins at
        <CellInput
          type="time"
          :value="clock(plan.start_h).padStart(5, '0')"
          label="The day begins at"
          data-testid="start-h"
          @take="begin"
      /></label>
      <label
        >on
        <CellInput
          type="date"
          :value="day"
          label="Day of the trip"
          data-testid="day-on"
          @take="emit('day', $event || null)"
      /></label>
    </div>
    <ul>
      <li v-for="(one, i) in phases()" :key="i">
        <select
          :value="one.kind"
          :aria-label="`Kind of phase ${i + 1}`"
          :data-testid="`phase-kind-${i}`"
          @change="set(i, { kind: pick($event) as Phase['kind'] })"
        >
          <option v-for="kind in CHOICES.DayPhase.kind" :key="kind">{{ kind }}</option>
        </select>
        <QuantityInput
          :model-value="one.hours"
          :label="`Hours of phase ${i + 1}`"
          kind="hours"
          :digits="2"
          :units="units"
          :testid="`phase-hours-${i}`"
          @update:model-value="set(i, { hours: $event })"
        />
        <QuantityInput
          :model-value="one.air_c"
          :label="`Air in phase ${i + 1}`"
          kind="warmth"
          :units="units"
          :testid="`phase-air-${i}`"
          @update:model-value="set(i, { air_c: $event })"
        />
        <button
          type="button"
          class="small"
          :aria-label="`Delete phase ${i + 1}`"
          :disabled="phases().length === 1"
          @click="drop(i)"
        >
          ×
        </button>
      </li>
    </ul>
    <button type="button" class="small" data-testid="add-phase" @click="add">another phase</button>
    <details>
      <summary>Where, for the sun</summary>
      <div class="fields">
        <label
          >Latitude
          <CellInput
            type="number"
            step="any"
            min="-90"
            max="90"
            :value="plan.latitude_deg"
            data-testid="latitude"
            @take="emit('take', { latitude_deg: numberIn($event) })"
        /></label>
        <label
          >Longitude, east +
          <CellInput
            type="number"
            step="any"
            min="-180"
            max="180"
            :value="plan.longitude_deg"
            data-testid="longitude"
            @take="emit('take', { longitude_deg: numberIn($event) ?? 0 })"
        /></label>
        <label
          >Clock of
          <select
            :value="plan.zone"
            data-testid="zone"
            @change="emit('take', { zone: pick($event) })"
          >
            <option v-if="!ZONES.includes(plan.zone)">{{ plan.zone }}</option>
            <option v-for="one in ZONES" :key="one">{{ one }}</option>
          </select></label
        >
      </div>
    </details>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped>
ul {
  margin: 6px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 110px 92px 92px 24px;
  gap: 6px;
  align-items: center;
  margin-bottom: 4px;
}
details {
  margin-top: 8px;
  font-size: 12px;
}
summary {
  cursor: pointer;
}
select {
  max-width: 170px;
}
.fields input[type='time'],
.fields input[type='date'] {
  width: auto;
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 5px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
</style>
