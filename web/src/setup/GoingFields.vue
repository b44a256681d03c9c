<script setup lang="ts">
/** What drives a boat or holds it: anchor, drogue, motor; empty fields are typical of it. */
import { CHOICES } from '@/api/words'
import type { Thing } from '@/api/client'
import CellInput from '@/kit/CellInput.vue'
import QuantityInput from '@/kit/QuantityInput.vue'
import type { Kind, Units } from '@/kit/units'
import { numberIn, pick } from '@/kit/heard'
import TickBox from '@/kit/TickBox.vue'

type Anchor = NonNullable<Thing['anchor']>
type Drogue = NonNullable<Thing['drogue']>
type Motor = NonNullable<Thing['motor']>
const anchor = defineModel<Anchor | null>('anchor', { required: true })
const drogue = defineModel<Drogue | null>('drogue', { required: true })
const motor = defineModel<Motor | null>('motor', { required: true })
defineProps<{ units: Units }>()

function setAnchor(fields: Partial<Anchor>): void {
  if (anchor.value) anchor.value = { ...anchor.value, ...fields }
}
function setDrogue(fields: Partial<Drogue>): void {
  if (drogue.value) drogue.value = { ...drogue.value, ...fields }
}
function setMotor(fields: Partial<Motor>): void {
  if (motor.value) motor.value = { ...motor.value, ...fields }
}
const HOLDS = { line: 'on a line', pole: 'as a pole pushed in' }
const MOTOR: ['fastest_m_s' | 'full_w', string, Kind][] = [
  ['fastest_m_s', 'Pulls no more at', 'speed'],
  ['full_w', 'Draws at full', 'power'],
]
</script>

<template>
  <template v-if="anchor">
    <span>Anchor</span>
    <div class="grid" role="group" aria-label="Anchor">
      <label
        >Holds
        <select :value="anchor.by" @change="setAnchor({ by: pick($event) as Anchor['by'] })">
          <option v-for="one in CHOICES.Anchor.by" :key="one" :value="one">{{ HOLDS[one] }}</option>
        </select></label
      >
      <template v-if="anchor.by === 'line'">
        <label
          >Kind
          <select
            :value="anchor.type"
            @change="setAnchor({ type: pick($event) as Anchor['type'] })"
          >
            <option v-for="one in CHOICES.Anchor.type" :key="one">{{ one }}</option>
          </select></label
        >
        <label
          >Line, all of it
          <QuantityInput
            :model-value="anchor.rope_m ?? null"
            label="Line, all of it"
            kind="far"
            :units="units"
            optional
            placeholder="not known"
            @update:model-value="setAnchor({ rope_m: $event })"
        /></label>
        <label
          >Line thickness, mm
          <CellInput
            type="number"
            step="any"
            min="2"
            :value="anchor.rope_mm"
            @take="setAnchor({ rope_mm: numberIn($event) ?? anchor.rope_mm })"
        /></label>
        <label
          >Chain
          <QuantityInput
            :model-value="anchor.chain_m"
            label="Chain"
            kind="length"
            :units="units"
            @update:model-value="setAnchor({ chain_m: $event })"
        /></label>
        <label
          >Chain, kg a metre
          <CellInput
            type="number"
            step="any"
            min="0"
            :value="anchor.chain_kg_m"
            @take="setAnchor({ chain_kg_m: numberIn($event) ?? anchor.chain_kg_m })"
        /></label>
        <TickBox :on="anchor.floats" @tick="setAnchor({ floats: $event })"
          >a float on the line</TickBox
        >
        <TickBox :on="!anchor.sinks" @tick="setAnchor({ sinks: !$event })"
          >the line floats itself</TickBox
        >
      </template>
      <template v-else>
        <label
          >Pushed in
          <QuantityInput
            :model-value="anchor.pushed_in_m ?? null"
            label="Pushed in"
            kind="length"
            :units="units"
            optional
            placeholder="usual"
            @update:model-value="setAnchor({ pushed_in_m: $event })"
        /></label>
        <TickBox :on="anchor.solid" @tick="setAnchor({ solid: $event })">solid</TickBox>
        <label v-if="!anchor.solid"
          >Wall, mm
          <CellInput
            type="number"
            step="any"
            min="0.5"
            :value="anchor.wall_mm"
            placeholder="typical"
            @take="setAnchor({ wall_mm: numberIn($event) })"
        /></label>
      </template>
      <TickBox :on="anchor.powered" @tick="setAnchor({ powered: $event })"
        >a motor drives it down</TickBox
      >
    </div>
  </template>
  <template v-if="drogue">
    <span>Drogue</span>
    <div class="grid" role="group" aria-label="Drogue">
      <label
        >Width of its mouth
        <QuantityInput
          :model-value="drogue.mouth_m ?? null"
          label="Width of the drogue's mouth"
          kind="length"
          :units="units"
          optional
          placeholder="usual"
          @update:model-value="setDrogue({ mouth_m: $event })"
      /></label>
      <TickBox :on="drogue.trip_line" @tick="setDrogue({ trip_line: $event })"
        >with a trip line</TickBox
      >
    </div>
  </template>
  <template v-if="motor">
    <span>Motor</span>
    <div class="grid" role="group" aria-label="Motor">
      <label
        >Pull at standstill
        <QuantityInput
          :model-value="motor.thrust_n"
          label="Pull at standstill"
          kind="force"
          :units="units"
          testid="motor-thrust"
          @update:model-value="setMotor({ thrust_n: $event })"
      /></label>
      <label v-for="[field, word, kind] in MOTOR" :key="field"
        >{{ word }}
        <QuantityInput
          :model-value="motor[field] ?? null"
          :label="word"
          :kind="kind"
          :units="units"
          optional
          placeholder="typical"
          @update:model-value="setMotor({ [field]: $event })"
      /></label>
      <TickBox :on="motor.holds" @tick="setMotor({ holds: $event })"
        >keeps the boat in its place by itself</TickBox
      >
    </div>
  </template>
</template>

<style scoped src="./fields.css"></style>
