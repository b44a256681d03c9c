<script setup lang="ts">
/** The measures of a boat, each with where to hold the tape. */
import type { Boat } from '@/api/client'
import type { Units } from '@/kit/units'
import { BOTTOMS, MEASURES } from '@/setup/measures'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import QuantityInput from '@/kit/QuantityInput.vue'
import TypicalNote from './TypicalNote.vue'

type Tape = Boat['tape']
const tape = defineModel<Tape>({ required: true })
defineProps<{ units: Units; wrong: (field: string) => string; active: string }>()
defineEmits<{ focus: [field: string] }>()

const typical = (field: string): boolean =>
  tape.value.assumed[field as keyof Tape['assumed']] === true
/** Somebody has measured it, or says that what stands there is right. */
function take(field: string, more: Partial<Tape> = {}): void {
  const assumed = typical(field) ? { ...tape.value.assumed, [field]: false } : tape.value.assumed
  tape.value = { ...tape.value, ...more, assumed }
}
</script>

<template>
  <div class="tape">
    <template v-for="measure in MEASURES" :key="measure.field">
      <label :class="{ active: active === measure.field }" :title="measure.where">{{
        measure.label
      }}</label>
      <QuantityInput
        :optional="measure.optional"
        :placeholder="measure.optional ? 'usual' : ''"
        :label="`${measure.label}: ${measure.where}`"
        kind="length"
        :units="units"
        :model-value="tape[measure.field] ?? null"
        :wrong="wrong(`tape.${measure.field}`)"
        :testid="measure.field"
        :class="{ typical: typical(measure.field) }"
        @focus="$emit('focus', measure.field)"
        @update:model-value="take(measure.field, { [measure.field]: $event })"
      />
      <p class="where">
        {{ measure.where }}
        <TypicalNote
          v-if="typical(measure.field)"
          :what="measure.label"
          @confirm="take(measure.field)"
        />
      </p>
    </template>
    <label>Bottom</label>
    <el-select
      :model-value="tape.bottom"
      size="small"
      aria-label="Shape of the bottom"
      :class="{ typical: typical('bottom') }"
      @focus="$emit('focus', 'bottom')"
      @update:model-value="take('bottom', { bottom: $event })"
    >
      <el-option v-for="one in BOTTOMS" :key="one.value" :value="one.value" :label="one.label" />
    </el-select>
    <p class="where">
      look along it from the stern, boat turned over
      <TypicalNote v-if="typical('bottom')" what="Bottom" @confirm="take('bottom')" />
    </p>
    <label>Turn of the bilge</label>
    <ChoiceGroup
      :model-value="tape.chine"
      label="Turn of the bilge"
      :options="[
        ['soft', 'soft'],
        ['hard', 'hard'],
      ]"
      @update:model-value="take('chine', { chine: $event })"
    />
    <p class="where">
      round to the hand, or an edge
      <TypicalNote v-if="typical('chine')" what="Turn of the bilge" @confirm="take('chine')" />
    </p>
  </div>
</template>

<style scoped>
.tape {
  display: grid;
  grid-template-columns: 132px 118px 1fr;
  gap: 6px 10px;
  align-items: start;
}
label {
  padding-top: 3px;
}
.typical :deep(input),
.typical :deep(.el-select__selected-item) {
  color: var(--soft);
  font-style: italic;
}
label.active {
  color: var(--pick);
  font-weight: 600;
}
.where {
  margin: 0;
  padding-top: 4px;
  color: var(--soft);
  font-size: 12px;
  line-height: 1.3;
}
</style>
