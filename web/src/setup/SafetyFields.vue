<script setup lang="ts">
/** What a thing is when it goes wrong: how much it lifts, what it bails, the light and flag it shows. */
import { CHOICES } from '@/api/words'
import type { Thing } from '@/api/client'
import CellInput from '@/kit/CellInput.vue'
import { numberIn, pick } from '@/kit/heard'
import QuantityInput from '@/kit/QuantityInput.vue'
import type { Units } from '@/kit/units'
import TickBox from '@/kit/TickBox.vue'

type Lamp = NonNullable<Thing['lamp']>
type Flag = NonNullable<Thing['flag']>
const lamp = defineModel<Lamp | null>('lamp', { required: true })
const flag = defineModel<Flag | null>('flag', { required: true })
const grip = defineModel<NonNullable<Thing['grip']> | null>('grip', { required: true })
const bails = defineModel<NonNullable<Thing['bails']> | null>('bails', { required: true })
const volume_l = defineModel<number | null>('volume', { required: true })
defineProps<{ units: Units }>()

function setLamp(fields: Partial<Lamp>): void {
  if (lamp.value) lamp.value = { ...lamp.value, ...fields }
}
</script>

<template>
  <span>In the water</span>
  <div class="grid" role="group" aria-label="In the water">
    <label
      >Displaces
      <QuantityInput
        :model-value="volume_l === null ? null : volume_l / 1000"
        label="What it displaces under water"
        kind="volume"
        :units="units"
        optional
        placeholder="typical"
        testid="thing-volume"
        @update:model-value="volume_l = $event === null ? null : $event * 1000"
    /></label>
    <label
      >Bails as a
      <select
        :value="bails ?? ''"
        data-testid="thing-bails"
        @change="bails = (pick($event) || null) as typeof bails"
      >
        <option value="">no</option>
        <option v-for="one in CHOICES.Thing.bails" :key="one">{{ one }}</option>
      </select></label
    >
  </div>
  <template v-if="lamp">
    <span>Lamp</span>
    <div class="grid" role="group" aria-label="Lamp">
      <label
        >Shows
        <select :value="lamp.shows" @change="setLamp({ shows: pick($event) as Lamp['shows'] })">
          <option v-for="one in CHOICES.Lamp.shows" :key="one">{{ one }}</option>
        </select></label
      >
      <label
        >Height above its foot
        <QuantityInput
          :model-value="lamp.height_m ?? null"
          label="Height of the lamp above its foot"
          kind="length"
          :units="units"
          optional
          placeholder="its top"
          @update:model-value="setLamp({ height_m: $event })"
      /></label>
      <label
        >Strength, candela
        <CellInput
          type="number"
          step="any"
          min="0.01"
          :value="lamp.candela"
          placeholder="typical"
          @take="setLamp({ candela: numberIn($event) })"
      /></label>
      <label
        >Shines off level, °
        <CellInput
          type="number"
          step="any"
          min="0"
          max="90"
          :value="lamp.vertical_deg"
          placeholder="typical"
          @take="setLamp({ vertical_deg: numberIn($event) })"
      /></label>
    </div>
  </template>
  <template v-if="grip">
    <span>Handle</span>
    <TickBox :on="grip.assist" @tick="grip = { assist: $event }"
      >also a rope to climb in by</TickBox
    >
  </template>
  <template v-if="flag">
    <span>Flag</span>
    <div class="grid" role="group" aria-label="Flag">
      <label
        >Across
        <QuantityInput
          :model-value="flag.size_m"
          label="Size of the flag"
          kind="length"
          :units="units"
          @update:model-value="flag = { size_m: $event }"
      /></label>
    </div>
  </template>
</template>

<style scoped src="./fields.css"></style>
