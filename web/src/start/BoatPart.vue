<script setup lang="ts">
/** The boat: a walk round it, one measure at a time, or the few figures on its label. */
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import EvidenceChoice from '@/kit/EvidenceChoice.vue'
import { number, show } from '@/kit/units'
import { BOTTOMS } from '@/setup/measures'
import { useLook } from '@/setup/look'
import KindFields from './KindFields.vue'
import MeasureField from './MeasureField.vue'
import { LABEL_STEPS, STEPS, type Step } from './measures'
import type { Started } from '@/api/client'
import type { Told } from './useStart'

const told = defineModel<Told>({ required: true })
const props = defineProps<{
  started: Started | null
  wrong: (field: string) => string
}>()
const emit = defineEmits<{ measuring: [field: string] }>()
const look = useLook()
const steps = computed(() => (told.value.way === 'label' ? LABEL_STEPS : STEPS))
const at = ref(0)
const missing = ref(false)
const step = computed(() => steps.value[Math.min(at.value, steps.value.length - 1)]!)
const panel = useTemplateRef<HTMLDivElement>('panel')

/** Of two measures one chooses, and does not type. */
const isChoice = (one: Step): one is Step & { field: 'bottom' | 'chine' } =>
  one.kind === 'bottom' || one.kind === 'chine'
const taken = (one: Step): boolean =>
  isChoice(one) ? told.value[one.field] != null : told.value.measures[one.field] != null
/** The typical value the core stands in with, while nobody has measured; as a number of SI. */
function typicalOf(one: Step): number | null {
  const setup = props.started?.setup
  if (!setup || one.open) return null
  if (one.field === 'seat_from_bow_m') return setup.boat.tape.length_m - setup.seat.x_m
  if (one.field === 'hull_mass_kg') return setup.boat.hull_mass_kg
  const value = (setup.boat.tape as unknown as Record<string, unknown>)[one.field]
  return typeof value === 'number' ? value : null
}
function typicalText(one: Step): string {
  const value = typicalOf(one)
  if (isChoice(one) || value === null) return ''
  return `typical ${number(value, one.kind as 'length' | 'mass', look.units)}`
}
function valueText(one: Step): string {
  if (isChoice(one)) {
    const shape = told.value[one.field] ?? props.started?.setup.boat.tape[one.field] ?? ''
    return BOTTOMS.find((b) => b.value === shape)?.label ?? shape
  }
  const value = told.value.measures[one.field] ?? typicalOf(one)
  if (value === null) return one.open ? 'open' : ''
  return show(value, one.kind as 'length' | 'mass', look.units)
}

async function go(to: number): Promise<void> {
  at.value = Math.min(Math.max(0, to), steps.value.length - 1)
  emit('measuring', step.value.field)
  await nextTick()
  panel.value?.querySelector<HTMLInputElement>('.now input')?.focus()
}
/** What stands there typical is right for this boat: it counts as measured from now on. */
function confirm(): void {
  const one = step.value
  const tape = props.started?.setup.boat.tape
  if (one.field === 'bottom') told.value.bottom = tape?.bottom ?? null
  else if (one.field === 'chine') told.value.chine = tape?.chine ?? null
  else told.value.measures = { ...told.value.measures, [one.field]: typicalOf(one) }
  void go(at.value + 1)
}
/** On to the next; without the two that all else rests on there is nothing to go on with. */
function onward(): void {
  missing.value = Boolean(step.value.needed) && !taken(step.value)
  if (!missing.value) void go(at.value + 1)
}
const last = computed(() => at.value === steps.value.length - 1)
defineExpose({ go })
</script>

<template>
  <div ref="panel">
    <KindFields v-model="told" />
    <template v-if="told.way === 'label'">
      <div class="label">
        <template v-for="one in LABEL_STEPS" :key="one.field">
          <span>{{ one.label }}</span>
          <MeasureField
            v-model="told"
            :step="one"
            :typical="one.needed ? '' : one.open ? 'if known' : typicalText(one)"
            :wrong="wrong(one.field)"
            @focus="emit('measuring', one.field)"
          />
        </template>
      </div>
      <p class="soft rest">
        All else is taken as typical of such boats until you measure it, and the ± says so.
      </p>
    </template>
    <template v-else>
      <form class="now" data-testid="walk" @submit.prevent="onward">
        <p class="count num">{{ at + 1 }} of {{ steps.length }}</p>
        <h2>{{ step.label }}</h2>
        <p class="where">{{ step.where[0]!.toUpperCase() + step.where.slice(1) }}.</p>
        <p class="soft">{{ step.how }}</p>
        <div class="take">
          <MeasureField
            :key="step.field"
            v-model="told"
            :step="step"
            :typical="typicalText(step)"
            :wrong="
              missing && !taken(step) ? 'Without this one nothing can be drawn.' : wrong(step.field)
            "
          />
          <EvidenceChoice
            v-if="step.field === 'hull_mass_kg'"
            v-model="told.hull_evidence"
            label="Where the boat's weight comes from"
          />
        </div>
        <div class="acts">
          <el-button size="small" :disabled="at === 0" @click="go(at - 1)">Back</el-button>
          <el-button
            v-if="!taken(step) && (typicalOf(step) !== null || isChoice(step)) && !step.needed"
            size="small"
            data-testid="confirm-typical"
            @click="confirm"
            >The typical one is right</el-button
          >
          <el-button
            v-if="!last"
            size="small"
            type="primary"
            native-type="submit"
            data-testid="walk-next"
            >{{
              taken(step) || step.needed ? 'Next' : step.open ? 'Leave it open' : 'Leave it typical'
            }}</el-button
          >
        </div>
      </form>
      <ol class="all" aria-label="All measures">
        <li v-for="(one, i) in steps" :key="one.field" :class="{ here: i === at }">
          <button type="button" :aria-current="i === at ? 'step' : undefined" @click="go(i)">
            <span class="mark" aria-hidden="true">{{ taken(one) ? '●' : '○' }}</span>
            <span>{{ one.label }}</span>
            <span class="num" :class="{ typical: !taken(one) }"
              >{{ valueText(one)
              }}{{ !taken(one) && valueText(one) && !one.open ? ' typical' : '' }}</span
            >
          </button>
        </li>
      </ol>
    </template>
  </div>
</template>

<style scoped>
.label {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 8px 12px;
  align-items: center;
  margin-top: 16px;
}
.now {
  margin: 16px 0 12px;
  padding: 12px 14px;
  border-left: 3px solid var(--stop);
  background: var(--card);
}
.count {
  margin: 0;
  color: var(--soft);
  font-size: 12px;
}
h2 {
  margin: 0;
  color: var(--ink);
  font-size: 18px;
  letter-spacing: 0;
  text-transform: none;
}
.where {
  margin: 2px 0;
}
.soft {
  margin: 0 0 8px;
  color: var(--soft);
}
.rest {
  margin-top: 10px;
}
.take {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 10px;
}
.acts :deep(.el-button + .el-button) {
  margin-left: 0;
}
.all {
  margin: 0;
  padding: 0;
  list-style: none;
}
.all button {
  display: grid;
  grid-template-columns: 16px 1fr auto;
  gap: 6px;
  width: 100%;
  padding: 3px 8px;
  border: 0;
  border-radius: 5px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.all .here button {
  background: var(--pick-pale);
  font-weight: 600;
}
.typical {
  color: var(--soft);
  font-style: italic;
}
.mark {
  color: var(--pick);
}
</style>
