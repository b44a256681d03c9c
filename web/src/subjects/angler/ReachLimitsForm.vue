<script setup lang="ts">
/** How far this person goes from the seat, and with which hand. */
import type { Angler } from '@/api/client'
import type { Units } from '@/kit/units'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import QuantityInput from '@/kit/QuantityInput.vue'
import { unfold } from '@/kit/typing'

defineProps<{ units: Units; wrong: (field: string) => string }>()
const angler = defineModel<Angler>({ required: true })

type Limits = Angler['limits']
type Field = Exclude<keyof Limits, 'hands'>
const ROWS: [Field, string][] = [
  ['pitch_deg', 'Leans forward'],
  ['lean_port_deg', 'Leans to port'],
  ['lean_starboard_deg', 'Leans to starboard'],
  ['twist_port_deg', 'Twists to port'],
  ['twist_starboard_deg', 'Twists to starboard'],
]
function set(change: Partial<Limits>): void {
  angler.value = { ...angler.value, limits: { ...angler.value.limits, ...change } }
}
</script>

<template>
  <details data-testid="limits" @invalid.capture="unfold">
    <summary>How far you go</summary>
    <p class="soft">
      Sit on a hard chair as in the boat, feet braced, and have a helper watch a phone's level held
      to your breastbone: lean and twist as far as you would every time, without strain. If your
      back is stiff or a shoulder sore, type in less.
    </p>
    <div class="grid">
      <template v-for="[field, word] in ROWS" :key="field">
        <label>{{ word }}</label>
        <QuantityInput
          :model-value="angler.limits[field]"
          :label="word"
          kind="angle"
          :digits="0"
          :units="units"
          :wrong="wrong(`angler.limits.${field}`)"
          :testid="field"
          @update:model-value="set({ [field]: $event })"
        />
      </template>
      <label>Reaches with</label>
      <ChoiceGroup
        :model-value="angler.limits.hands"
        label="Hands that reach"
        :options="[
          ['both', 'both hands'],
          ['port', 'left only'],
          ['starboard', 'right only'],
        ]"
        @update:model-value="set({ hands: $event as Limits['hands'] })"
      />
      <label>Casts over</label>
      <ChoiceGroup
        :model-value="angler.casts"
        label="Casting side"
        :options="[
          ['port', 'the left'],
          ['starboard', 'the right'],
        ]"
        @update:model-value="angler = { ...angler, casts: $event as Angler['casts'] }"
      />
    </div>
  </details>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: 140px 240px;
  gap: 6px 10px;
  align-items: start;
}
.grid :deep(.quantity) {
  width: 118px;
}
label {
  padding-top: 3px;
}
p {
  margin: 4px 0;
  font-size: 12px;
}
summary {
  margin-top: 10px;
  cursor: pointer;
}
</style>
