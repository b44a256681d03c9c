<script setup lang="ts">
/** Who goes, and on what water. */
import EvidenceChoice from '@/kit/EvidenceChoice.vue'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import { number } from '@/kit/units'
import { useLook } from '@/setup/look'
import MeasureField from './MeasureField.vue'
import type { Step } from './measures'
import type { Started } from '@/api/client'
import type { Told } from './useStart'

const told = defineModel<Told>({ required: true })
const props = defineProps<{ started: Started | null; wrong: (field: string) => string }>()
const look = useLook()
const WEIGHT: Step & { kind: 'mass' } = {
  field: 'angler_mass_kg',
  label: 'You weigh',
  where: 'dressed for the water, PFD and all',
  how: '',
  kind: 'mass',
}
const STATURE: Step & { kind: 'length' } = {
  field: 'stature_m',
  label: 'Your height',
  where: 'without shoes',
  how: '',
  kind: 'length',
}
function typical(step: typeof WEIGHT | typeof STATURE): string {
  const angler = props.started?.setup.angler
  if (!angler) return ''
  const value = step.kind === 'mass' ? angler.mass_kg : angler.stature_m
  return `typical ${number(value, step.kind, look.units)}`
}
</script>

<template>
  <div class="you">
    <label for="start-angler">Your name</label>
    <el-input
      id="start-angler"
      v-model="told.angler_name"
      size="small"
      placeholder="Me"
      aria-label="Your name"
      maxlength="80"
    />
    <template v-for="step in [WEIGHT, STATURE]" :key="step.field">
      <span>{{ step.label }}</span>
      <div>
        <MeasureField
          v-model="told"
          :step="step"
          :typical="typical(step)"
          :wrong="wrong(step.field) || (step.kind === 'mass' ? wrong('mass_kg') : '')"
        />
        <p class="soft">{{ step.where }}</p>
        <EvidenceChoice
          v-if="step.kind === 'mass'"
          v-model="told.angler_evidence"
          label="Where your weight comes from"
          :labelled="false"
        />
      </div>
    </template>
    <span>Water</span>
    <ChoiceGroup
      v-model="told.water"
      label="Water"
      :options="[
        ['fresh', 'fresh'],
        ['salt', 'salt'],
      ]"
    />
  </div>
</template>

<style scoped>
.you {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 10px 12px;
  align-items: start;
}
.soft {
  margin: 2px 0 4px;
  color: var(--soft);
  font-size: 12px;
}
</style>
