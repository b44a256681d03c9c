<script setup lang="ts">
/** Lengths of the body: the usual ones for that height, and what a tape found in their place. */
import { watch } from 'vue'
import { api, ask, type Angler, type Schemas } from '@/api/client'
import { useAsked } from '@/kit/useAsked'
import { show, type Units } from '@/kit/units'
import QuantityInput from '@/kit/QuantityInput.vue'
import { unfold } from '@/kit/typing'

const props = defineProps<{
  stature_m: number
  units: Units
  wrong: (field: string) => string
}>()
const lengths = defineModel<Angler['lengths']>({ required: true })

type Field = keyof Schemas['UsualLengths']
const ROWS: [Field, string][] = [
  ['wall_to_fingertip_m', 'Wall to fingertips'],
  ['seat_to_shoulder_m', 'Seat to shoulder'],
  ['shoulders_m', 'Shoulder to shoulder'],
  ['wall_to_knee_m', 'Wall to knee'],
  ['floor_to_knee_m', 'Floor to knee'],
  ['foot_m', 'Heel to toe'],
]
const { answer: usual, put, forget } = useAsked<Schemas['UsualLengths']>()
watch(
  () => props.stature_m,
  async (stature_m) => {
    const question = () => ask(api.POST('/api/v1/anglers/usual', { body: { stature_m } }))
    // A height that is no height is told beside its own field.
    if (!(await put(question)) && props.stature_m === stature_m) forget()
  },
  { immediate: true },
)
</script>

<template>
  <details data-testid="lengths" @invalid.capture="unfold">
    <summary>Measured lengths</summary>
    <p class="soft">
      Two minutes on land, with a wall, a chair and a helper with a tape. Sit on the floor or a hard
      chair, back flat to the wall. <b>Wall to fingertips</b>: one arm level, straight ahead; the
      one that matters most. <b>Seat to shoulder</b>: seat to the top of the shoulder joint.
      <b>Wall to knee</b> and <b>floor to knee</b>: to the middle of the joint, shin plumb. What is
      left empty is usual for the height.
    </p>
    <div class="grid">
      <template v-for="[field, word] in ROWS" :key="field">
        <label>{{ word }}</label>
        <QuantityInput
          :model-value="lengths[field] ?? null"
          :label="word"
          kind="length"
          :units="units"
          optional
          placeholder="usual"
          :wrong="wrong(`angler.lengths.${field}`)"
          :testid="field"
          @update:model-value="lengths = { ...lengths, [field]: $event }"
        />
        <p class="soft">{{ usual ? `usually ${show(usual[field], 'length', units, 0)}` : '' }}</p>
      </template>
    </div>
  </details>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: 140px 118px 1fr;
  gap: 6px 10px;
  align-items: start;
}
label {
  padding-top: 3px;
}
p {
  margin: 4px 0;
  font-size: 12px;
}
summary {
  margin-top: 12px;
  cursor: pointer;
}
</style>
