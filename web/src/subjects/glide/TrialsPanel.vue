<script setup lang="ts">
/** What was tried on the water: a timed run, pulls by a scale, a drift; each sets what was guessed. */
import { computed } from 'vue'
import type { FullGlide, Schemas, GlidePlan } from '@/api/client'
import CellInput from '@/kit/CellInput.vue'
import { positiveIn } from '@/kit/heard'
import QuantityInput from '@/kit/QuantityInput.vue'
import { show, type Units } from '@/kit/units'

type Plan = GlidePlan
const props = defineProps<{ plan: Plan; full: FullGlide | null; units: Units }>()
const emit = defineEmits<{ take: [fields: Partial<Plan>] }>()

const RUN: NonNullable<Plan['timed_run']> = {
  distance_m: 500,
  out_min: 7,
  back_min: 7,
  effort_w: 60,
}
const DRIFT: NonNullable<Plan['drift_test']> = { distance_m: 100, minutes: 6, wind_m_s: 4 }
const run = computed(() => props.plan.timed_run ?? null)
const drift = computed(() => props.plan.drift_test ?? null)
const percent = (share: number) => `${Math.round(100 * share)}\u00a0%`
function setRun(fields: Partial<NonNullable<Plan['timed_run']>>): void {
  emit('take', { timed_run: { ...(run.value ?? RUN), ...fields } })
}
function setDrift(fields: Partial<NonNullable<Plan['drift_test']>>): void {
  emit('take', { drift_test: { ...(drift.value ?? DRIFT), ...fields } })
}
function setPull(i: number, fields: Partial<Schemas['TowedPull']>): void {
  emit('take', {
    pulls: props.plan.pulls.map((one, n) => (n === i ? { ...one, ...fields } : one)),
  })
}
const RUN_FIELDS = [
  ['out_min', 'out, minutes'],
  ['back_min', 'back, minutes'],
  ['effort_w', 'effort, W'],
] as const
</script>

<template>
  <div class="card pad" data-testid="glide-tests">
    <h2>Tests on the water</h2>
    <h3>Timed run, out and back, at a steady effort</h3>
    <div v-if="run" class="fields">
      <label
        >distance
        <QuantityInput
          :model-value="run.distance_m"
          label="Distance of the run"
          kind="far"
          :units="units"
          @update:model-value="setRun({ distance_m: $event })"
      /></label>
      <label v-for="[field, words] in RUN_FIELDS" :key="field"
        >{{ words }}
        <CellInput
          type="number"
          step="any"
          min="0.1"
          :value="run[field]"
          :data-testid="`run-${field}`"
          @take="setRun({ [field]: positiveIn($event) ?? run[field] })"
      /></label>
      <button type="button" class="small" @click="emit('take', { timed_run: null })">Forget</button>
    </div>
    <button v-else type="button" class="small" data-testid="run-start" @click="setRun({})">
      Enter a run
    </button>
    <p v-if="full?.run_fit">
      {{ show(full.run_fit.speed_m_s, 'speed', units, 2) }} against
      {{ show(full.run_fit.total_n, 'force', units, 1) }}:
      <template v-if="full.run_fit.efficiency != null">
        efficiency {{ percent(full.run_fit.efficiency) }} ± {{ percent(full.run_fit.band) }}. It
        gives the efficiency only.
        <button
          type="button"
          class="small"
          data-testid="run-use"
          @click="emit('take', { efficiency: full.run_fit.efficiency, effort_w: run!.effort_w })"
        >
          Use it
        </button>
      </template>
      <span v-else class="stop">no effort drives it so: look at the minutes again.</span>
    </p>
    <h3>Pulled at two or three speeds, by a luggage scale</h3>
    <div v-for="(one, i) in plan.pulls" :key="i" class="fields">
      <label
        >speed
        <QuantityInput
          :model-value="one.speed_m_s"
          :label="`Speed of pull ${i + 1}`"
          kind="speed"
          :units="units"
          :digits="2"
          @update:model-value="setPull(i, { speed_m_s: $event })"
      /></label>
      <label
        >pull
        <QuantityInput
          :model-value="one.pull_n"
          :label="`Pull ${i + 1}`"
          kind="force"
          :units="units"
          :digits="1"
          @update:model-value="setPull(i, { pull_n: $event })"
      /></label>
      <span v-if="full?.pull_fit?.residual_n[i] != null" class="soft"
        >off by {{ show(full.pull_fit.residual_n[i]!, 'force', units, 1) }}</span
      >
      <button
        type="button"
        class="small"
        :aria-label="`Remove pull ${i + 1}`"
        @click="emit('take', { pulls: plan.pulls.filter((_, n) => n !== i) })"
      >
        ×
      </button>
    </div>
    <button
      v-if="plan.pulls.length < 12"
      type="button"
      class="small"
      data-testid="pull-add"
      @click="emit('take', { pulls: [...plan.pulls, { speed_m_s: 1, pull_n: 15 }] })"
    >
      Add a pull
    </button>
    <p v-if="full?.pull_fit?.trouble" class="watch">{{ full.pull_fit.trouble }}.</p>
    <p v-else-if="full?.pull_fit?.wave_factor != null">
      Form factor {{ percent(full.pull_fit.form_factor!) }}, waves times
      {{ full.pull_fit.wave_factor.toFixed(2) }}.
      <button
        type="button"
        class="small"
        @click="
          emit('take', {
            form_factor: full.pull_fit.form_factor,
            wave_factor: full.pull_fit.wave_factor,
          })
        "
      >
        Use them
      </button>
    </p>
    <h3>Adrift over a distance, in a known wind</h3>
    <div v-if="drift" class="fields">
      <label
        >distance
        <QuantityInput
          :model-value="drift.distance_m"
          label="Distance adrift"
          kind="far"
          :units="units"
          @update:model-value="setDrift({ distance_m: $event })"
      /></label>
      <label
        >minutes
        <CellInput
          type="number"
          step="any"
          min="0.1"
          :value="drift.minutes"
          @take="setDrift({ minutes: positiveIn($event) ?? drift.minutes })"
      /></label>
      <label
        >wind
        <QuantityInput
          :model-value="drift.wind_m_s"
          label="Wind while adrift"
          kind="speed"
          :units="units"
          @update:model-value="setDrift({ wind_m_s: $event })"
      /></label>
      <button type="button" class="small" @click="emit('take', { drift_test: null })">
        Forget
      </button>
    </div>
    <button v-else type="button" class="small" @click="setDrift({})">Enter a drift</button>
    <p v-if="full?.drift_fit?.trouble" class="watch">{{ full.drift_fit.trouble }}.</p>
    <p v-else-if="full?.drift_fit?.wind_factor != null">
      The wind pushes {{ full.drift_fit.wind_factor.toFixed(2) }} times as hard as estimated.
      <button
        type="button"
        class="small"
        @click="emit('take', { wind_factor: full.drift_fit.wind_factor })"
      >
        Use it
      </button>
    </p>
    <p
      v-if="plan.efficiency != null || plan.wave_factor != null || plan.wind_factor != null"
      class="soft"
    >
      In use:
      <template v-if="plan.efficiency != null">efficiency {{ percent(plan.efficiency) }} </template>
      <template v-if="plan.wave_factor != null"
        >waves × {{ plan.wave_factor.toFixed(2) }}
      </template>
      <template v-if="plan.wind_factor != null">wind × {{ plan.wind_factor.toFixed(2) }}</template>
      <button
        type="button"
        class="small"
        @click="
          emit('take', {
            efficiency: null,
            form_factor: null,
            wave_factor: null,
            wind_factor: null,
          })
        "
      >
        Back to typical values
      </button>
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
h2 {
  margin: 0;
}
h3 {
  margin: 10px 0 4px;
  font-size: 13px;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
.fields label {
  display: flex;
  gap: 5px;
  align-items: center;
}
.fields :deep(.el-input),
.fields input {
  width: 84px;
}
.fields input[type='number'] {
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 5px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
p {
  margin: 4px 0 0;
}
</style>
