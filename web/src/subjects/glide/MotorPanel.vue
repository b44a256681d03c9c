<script setup lang="ts">
/** The motor: its steps, what the trip takes of the battery, and how far out one may go. */
import { computed } from 'vue'
import type { FullGlide, Schemas, GlidePlan } from '@/api/client'
import QuantityInput from '@/kit/QuantityInput.vue'
import SliderInput from '@/kit/SliderInput.vue'
import { show, type Units } from '@/kit/units'
import type { HowFigure } from '@/setup/how'
import RangeRing from './RangeRing.vue'

const props = defineProps<{
  motor: Schemas['MotorFigure']
  name: string
  full: FullGlide | null
  plan: GlidePlan
  units: Units
}>()
const emit = defineEmits<{
  try: [fields: Partial<GlidePlan>]
  take: [fields: Partial<GlidePlan>]
  how: [figure: HowFigure]
}>()
const percent = (share: number | null | undefined) =>
  share == null ? '—' : `${Math.round(100 * share)}\u00a0%`
const legs = computed(() => [
  ['out', props.motor.trip.out, props.motor.windy.out] as const,
  ['back', props.motor.trip.back, props.motor.windy.back] as const,
])
const way = (one: Schemas['WayFigure'] | null | undefined) =>
  one
    ? `${show(one.ground_m_s, 'speed', props.units, 2)}, ${show(one.hours, 'hours', props.units)}`
    : 'no way'
</script>

<template>
  <div class="card pad motor" data-testid="motor-card">
    <h2>
      <button type="button" title="How was this computed?" @click="emit('how', 'glide motor')">
        {{ name }}
      </button>
    </h2>
    <p class="soft">
      {{ show(motor.usable_wh, 'work', units) }} usable{{
        motor.wired
          ? ', wire loss and the rest of the day taken off'
          : ' of all batteries aboard; it is not wired yet'
      }}
    </p>
    <div class="two">
      <div>
        <SliderInput
          :model-value="plan.step"
          label="Turn, share of full"
          :min="0.1"
          :max="1"
          :step="0.05"
          :told="percent(plan.step)"
          testid="motor-step"
          @try="emit('try', { step: $event })"
          @take="emit('take', { step: $event })"
        />
        <SliderInput
          :model-value="plan.reserve"
          label="Reserve to keep"
          :min="0"
          :max="0.6"
          :step="0.05"
          :told="percent(plan.reserve)"
          @try="emit('try', { reserve: $event })"
          @take="emit('take', { reserve: $event })"
        />
        <label class="row"
          ><span>How far out</span>
          <QuantityInput
            :model-value="plan.trip_m"
            label="How far out"
            kind="far"
            :units="units"
            testid="trip-far"
            @update:model-value="emit('take', { trip_m: $event })"
        /></label>
        <table>
          <thead>
            <tr>
              <th />
              <th>in this wind</th>
              <th>half as much again</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="[words, now, windy] in legs" :key="words">
              <th>{{ words }}</th>
              <td>{{ way(now) }}</td>
              <td>{{ way(windy) }}</td>
            </tr>
            <tr>
              <th>of the battery</th>
              <td data-testid="trip-used">{{ percent(motor.trip.used_share) }}</td>
              <td>{{ percent(motor.windy.used_share) }}</td>
            </tr>
            <tr>
              <th>turn back at</th>
              <td data-testid="turn-back">
                {{
                  motor.trip.turn_back_m == null ? '—' : show(motor.trip.turn_back_m, 'far', units)
                }}
              </td>
              <td>
                {{
                  motor.windy.turn_back_m == null
                    ? '—'
                    : show(motor.windy.turn_back_m, 'far', units)
                }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <RangeRing
        v-if="full?.ring?.length"
        :ring="full.ring"
        :plan="plan"
        :units="units"
        :size="210"
      />
      <table v-if="full?.steps?.length">
        <thead>
          <tr>
            <th>turn</th>
            <th>speed</th>
            <th>pull</th>
            <th>draw</th>
            <th>hours</th>
            <th>one way</th>
          </tr>
        </thead>
        <tbody data-testid="motor-steps">
          <tr
            v-for="one in full.steps"
            :key="one.step"
            :class="{ best: one.step === full.best_step }"
          >
            <td>{{ percent(one.step) }}</td>
            <template v-if="one.speed_m_s != null">
              <td>{{ show(one.speed_m_s, 'speed', units, 2) }}</td>
              <td>{{ show(one.thrust_n!, 'force', units) }}</td>
              <td>{{ show(one.power_w!, 'power', units, 0) }}</td>
              <td>{{ one.hours == null ? '—' : show(one.hours, 'hours', units) }}</td>
              <td>{{ one.range_m == null ? '—' : show(one.range_m, 'far', units) }}</td>
            </template>
            <td v-else colspan="5">does not get away</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="soft">
      Bold goes farthest. Never plan on the last fifth of a battery, nor on the wind not rising.
    </p>
  </div>
</template>

<style scoped>
.card {
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.pad {
  padding: 10px 12px;
}
.motor {
  grid-column: 1 / -1;
}
h2 {
  margin: 0;
}
h2 button {
  padding: 0;
  border: 0;
  border-bottom: 1px dotted var(--soft);
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: help;
}
p {
  margin: 4px 0;
  font-size: 12px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 214px minmax(0, 1fr);
  gap: 10px;
  align-items: start;
}
.row {
  display: grid;
  grid-template-columns: 118px 110px;
  gap: 8px;
  align-items: center;
  margin: 4px 0;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 12px;
}
th,
td {
  padding: 2px 6px 2px 0;
  border-top: 1px solid var(--line);
  font-weight: inherit;
  text-align: left;
}
thead th {
  border: 0;
  color: var(--soft);
}
tr.best td {
  font-weight: 700;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
