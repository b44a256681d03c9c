<script setup lang="ts">
/** A trolley: where its blocks are, and what its rope rubs on. */
import type { Schemas } from '@/api/client'
import { CHOICES } from '@/api/words'
import FromBowInput from '@/kit/FromBowInput.vue'
import QuantityInput from '@/kit/QuantityInput.vue'
import type { Units } from '@/kit/units'
import { pick } from '@/kit/heard'
import TickBox from '@/kit/TickBox.vue'

type Trolley = Schemas['Trolley']
const props = defineProps<{
  trolley: Trolley | null
  rope: Schemas['RopeFigure'] | null
  bow_x_m: number
  units: Units
}>()
const emit = defineEmits<{ take: [trolley: Trolley | null] }>()
// Along most of the boat, its rope a little over the gunwale.
const usual = (): Trolley => ({
  aft_x_m: 0.1 * props.bow_x_m,
  fwd_x_m: 0.95 * props.bow_x_m,
  side: 'starboard',
  over_m: 0.03,
})
function setTrolley(fields: Partial<Trolley> | null): void {
  emit('take', fields === null ? null : { ...(props.trolley ?? usual()), ...fields })
}
</script>

<template>
  <div class="card pad">
    <TickBox :on="trolley != null" testid="trolley" @tick="setTrolley($event ? {} : null)"
      >a trolley: a ring on a rope along one side</TickBox
    >
    <div v-if="trolley" class="fields">
      <label
        >Fore block
        <FromBowInput
          :model-value="trolley.fwd_x_m"
          :bow_x_m="bow_x_m"
          :units="units"
          label="Fore block, from the bow"
          @update:model-value="setTrolley({ fwd_x_m: $event })"
      /></label>
      <label
        >Aft block
        <FromBowInput
          :model-value="trolley.aft_x_m"
          :bow_x_m="bow_x_m"
          :units="units"
          label="Aft block, from the bow"
          @update:model-value="setTrolley({ aft_x_m: $event })"
      /></label>
      <label
        >Side
        <select
          :value="trolley.side"
          @change="setTrolley({ side: pick($event) as 'port' | 'starboard' })"
        >
          <option v-for="one in CHOICES.Trolley.side" :key="one">{{ one }}</option>
        </select></label
      >
      <label
        >Above the gunwale
        <QuantityInput
          :model-value="trolley.over_m"
          label="Rope above the gunwale"
          kind="length"
          :units="units"
          @update:model-value="setTrolley({ over_m: $event })"
      /></label>
    </div>
    <p v-if="rope" class="soft">
      {{ rope.meets.length ? `Rubs on ${rope.meets.join(', ')}.` : 'Touches nothing aboard.' }}
      {{ rope.in_reach ? 'Within reach from the seat.' : 'Not within reach from the seat.' }}
    </p>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
