<script setup lang="ts">
/** The numbers that demands are asked with; tried at once, kept when saved. */
import type { DemandNumbers } from '@/api/client'
import type { Kind, Units } from '@/kit/units'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import QuantityInput from '@/kit/QuantityInput.vue'

const numbers = defineModel<DemandNumbers>({ required: true })
const props = defineProps<{ units: Units; wrong: (field: string) => string }>()
defineEmits<{ save: []; back: [] }>()

type Field = Exclude<keyof DemandNumbers, 'side'>
const FIELDS: { field: Field; label: string; kind: Kind }[] = [
  { field: 'lean_deg', label: 'Lean over the side', kind: 'angle' },
  { field: 'fish_kg', label: 'Fish landed', kind: 'mass' },
  { field: 'fish_out_m', label: 'held out past the gunwale by', kind: 'length' },
  { field: 'line_pull_kg', label: 'Pull on the line', kind: 'mass' },
  { field: 'rod_tip_over_shoulder_m', label: 'rod tip above the shoulder', kind: 'length' },
  { field: 'sway_m', label: 'Sway while standing', kind: 'length' },
  { field: 'cast_sway_m', label: 'Sway in a cast', kind: 'length' },
  { field: 'seat_up_m', label: 'Seat raised by', kind: 'length' },
  { field: 'current_m_s', label: 'Current', kind: 'speed' },
  { field: 'wind_m_s', label: 'Wind', kind: 'speed' },
  { field: 'depth_m', label: 'Water depth', kind: 'length' },
  { field: 'scope', label: 'Line out ÷ depth', kind: 'ratio' },
  { field: 'downrigger_kg', label: 'Downrigger pull', kind: 'mass' },
  { field: 'boom_out_m', label: 'boom over the side', kind: 'length' },
  { field: 'pole_pull_kg', label: 'Pull on the pole', kind: 'mass' },
  { field: 'cockpit_water_kg', label: 'Water in the cockpit', kind: 'mass' },
  { field: 'tank_kg', label: 'Bait tank', kind: 'mass' },
  { field: 'remount_share', label: 'Share of you on the gunwale', kind: 'ratio' },
  { field: 'flooded_share', label: 'Hull flooded', kind: 'ratio' },
]
const wide = (field: Field) => props.wrong(`demands.${field}`)
</script>

<template>
  <form class="numbers" @submit.prevent="$emit('save')">
    <label>Strong side</label>
    <ChoiceGroup
      v-model="numbers.side"
      label="Strong side"
      :options="[
        ['port', 'port'],
        ['starboard', 'starboard'],
      ]"
    />
    <template v-for="one in FIELDS" :key="one.field">
      <label>{{ one.label }}</label>
      <QuantityInput
        v-model="numbers[one.field]"
        :label="one.label"
        :kind="one.kind"
        :units="units"
        :wrong="wide(one.field)"
        :testid="`demand-${one.field}`"
      />
    </template>
    <div class="acts">
      <el-button size="small" @click="$emit('back')">Back to what is saved</el-button>
      <el-button size="small" type="primary" native-type="submit" data-testid="save-demands"
        >Save the numbers</el-button
      >
    </div>
  </form>
</template>

<style scoped>
.numbers {
  display: grid;
  grid-template-columns: 1fr 130px;
  gap: 6px 10px;
  align-items: start;
}
label {
  padding-top: 3px;
}
.acts {
  grid-column: 1 / -1;
  margin-top: 8px;
  text-align: right;
}
</style>
