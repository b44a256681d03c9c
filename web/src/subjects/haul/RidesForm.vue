<script setup lang="ts">
/** On what it rides, who lifts it, and what the local rule says of what reaches past. */
import { computed } from 'vue'
import type { HaulPlan, Schemas } from '@/api/client'
import { CHOICES } from '@/api/words'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import { pick } from '@/kit/heard'
import QuantityInput from '@/kit/QuantityInput.vue'
import type { Kind, Units } from '@/kit/units'
import type { HaulChange } from '@/setup/changing'

const props = defineProps<{
  plan: HaulPlan
  haul: Schemas['HaulFigures'] | null
  units: Units
}>()
const emit = defineEmits<{ take: [fields: HaulChange] }>()

type Numbers<T> = { [K in keyof T as T[K] extends number ? K : never]: T[K] }
type Field<T> = readonly [field: keyof Numbers<T> & string, word: string, kind: Kind]
const ROOF: Field<HaulPlan['roof']>[] = [
  ['spacing_m', 'Bars apart', 'length'],
  ['bar_height_m', 'Bars above ground', 'length'],
  ['over_roof_m', 'Bars above roof', 'length'],
  ['behind_m', 'Rear bar to the rear', 'length'],
  ['ahead_m', 'Front bar to the front', 'length'],
  ['limit_kg', 'May bear', 'mass'],
  ['extras_kg', 'Bars themselves', 'mass'],
]
const BED: Field<HaulPlan['bed']>[] = [
  ['length_m', 'Bed', 'length'],
  ['gate_m', 'Gate or extension', 'length'],
  ['front_support_m', 'Bears from its wall', 'length'],
  ['gate_limit_kg', 'Edge may bear', 'mass'],
]
const TRAILER: Field<HaulPlan['trailer']>[] = [
  ['spacing_m', 'Bunks apart', 'length'],
  ['behind_m', 'Rear bunk to the lights', 'length'],
  ['limit_kg', 'May bear', 'mass'],
]
const RULE: Field<HaulPlan['rule']>[] = [
  ['flag_rear_m', 'Flag from', 'length'],
  ['most_rear_m', 'At most, rear', 'length'],
  ['most_front_m', 'At most, front', 'length'],
]
const rides = computed({
  get: () => props.plan.rides ?? 'none',
  set: (one) => emit('take', { rides: one === 'none' ? null : one }),
})
const people = computed({
  get: () => String(props.plan.people) as '1' | '2',
  set: (one) => emit('take', { people: Number(one) }),
})
const parts = computed(
  () =>
    ({ roof: ['roof', ROOF], bed: ['bed', BED], trailer: ['trailer', TRAILER], none: null })[
      rides.value
    ] as readonly ['roof' | 'bed' | 'trailer', readonly (readonly [string, string, Kind])[]] | null,
)
const valueOf = (part: 'roof' | 'bed' | 'trailer' | 'rule', field: string) =>
  (props.plan[part] as unknown as Record<string, number>)[field]!
</script>

<template>
  <div class="card pad">
    <div class="row">
      <ChoiceGroup
        v-model="rides"
        label="Rides on"
        :options="[
          ['roof', 'Roof'],
          ['bed', 'Truck bed'],
          ['trailer', 'Trailer'],
          ['none', 'Nothing'],
        ]"
      />
      <ChoiceGroup
        v-model="people"
        label="Who lifts it"
        :options="[
          ['1', 'Alone'],
          ['2', 'With two'],
        ]"
      />
    </div>
    <div class="fields">
      <label
        >Comfortable for one
        <QuantityInput
          :model-value="plan.comfort_kg ?? null"
          label="Comfortable for one person to lift"
          kind="mass"
          :units="units"
          optional
          placeholder="23"
          testid="comfort"
          @update:model-value="emit('take', { comfort_kg: $event })"
      /></label>
      <template v-if="parts">
        <label v-for="[field, word, kind] in parts[1]" :key="field"
          >{{ word }}
          <QuantityInput
            :model-value="valueOf(parts[0], field)"
            :label="word"
            :kind="kind"
            :digits="0"
            :units="units"
            :testid="`${parts[0]}-${field}`"
            @update:model-value="emit('take', { [parts[0]]: { [field]: $event } })"
        /></label>
      </template>
      <label v-if="rides === 'roof'"
        >Slides up on
        <select
          :value="plan.roof.slides_on"
          data-testid="slides-on"
          @change="
            emit('take', {
              roof: { slides_on: pick($event) as HaulPlan['roof']['slides_on'] },
            })
          "
        >
          <option v-for="one in CHOICES.RoofPlan.slides_on" :key="one">{{ one }}</option>
        </select></label
      >
      <label v-if="rides === 'bed'"
        >In the bed lies the
        <select
          :value="plan.bed.end_in"
          @change="emit('take', { bed: { end_in: pick($event) as 'bow' | 'stern' } })"
        >
          <option v-for="one in CHOICES.BedPlan.end_in" :key="one">{{ one }}</option>
        </select></label
      >
    </div>
    <details v-if="parts">
      <summary>The local rule for what reaches past</summary>
      <div class="fields">
        <label v-for="[field, word] in RULE" :key="field"
          >{{ word }}
          <QuantityInput
            :model-value="plan.rule[field]"
            :label="word"
            kind="length"
            :units="units"
            :testid="`rule-${field}`"
            @update:model-value="emit('take', { rule: { [field]: $event } })"
        /></label>
      </div>
      <p class="soft">These figures are no law: put in those that hold where you drive.</p>
    </details>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
}
.fields :deep(.el-input) {
  width: 66px;
}
.fields label {
  justify-content: space-between;
  font-size: 12.5px;
}
details {
  margin-top: 8px;
  font-size: 12px;
}
summary {
  cursor: pointer;
}
</style>
