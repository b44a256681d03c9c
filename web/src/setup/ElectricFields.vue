<script setup lang="ts">
/** What a thing is electrically: a battery, or what it takes; empty fields are typical of it. */
import { CHOICES } from '@/api/words'
import type { Thing } from '@/api/client'
import { CHEMISTRY } from './thingWords'
import CellInput from '@/kit/CellInput.vue'
import { numberIn, pick } from '@/kit/heard'
import TickBox from '@/kit/TickBox.vue'

type Battery = NonNullable<Thing['battery']>
type Draw = NonNullable<Thing['draw']>
const battery = defineModel<Battery | null>('battery', { required: true })
const draw = defineModel<Draw | null>('draw', { required: true })

const UNITS = [
  ['watts', 'W'],
  ['amps', 'A'],
  ['ohms', 'Ω'],
] as const
type Unit = (typeof UNITS)[number][0]
const unitOf = (one: Draw): Unit =>
  one.amps != null ? 'amps' : one.ohms != null ? 'ohms' : 'watts'
function setBattery(fields: Partial<Battery>): void {
  if (battery.value) battery.value = { ...battery.value, ...fields }
}
function setDraw(fields: Partial<Draw>): void {
  if (draw.value) draw.value = { ...draw.value, ...fields }
}
function setAmount(unit: Unit, value: number | null): void {
  if (value !== null) setDraw({ watts: null, amps: null, ohms: null, [unit]: value })
}
/** Fields that are a number, or not said. */
type Amount<T> = {
  [K in keyof T]-?: NonNullable<T[K]> extends number ? K : never
}[keyof T]
/** In hundredths, as people say a share; the others as they are. */
const HUNDREDTHS: ReadonlySet<string> = new Set([
  'usable_share',
  'health_share',
  'efficiency',
  'usual_share',
])
const written = (field: string, value: number | null | undefined) =>
  value != null && HUNDREDTHS.has(field) ? Number((100 * value).toFixed(4)) : value
function typed(field: string, text: string): number | null {
  const value = numberIn(text)
  return value !== null && HUNDREDTHS.has(field) ? value / 100 : value
}
const BATTERY: [Amount<Battery>, string][] = [
  ['capacity_ah', 'Capacity, Ah'],
  ['rated_hours', 'rated over, h'],
  ['second_ah', 'Second capacity, Ah'],
  ['second_hours', 'over, h'],
  ['max_discharge_a', 'Gives at most, A'],
  ['max_charge_a', 'Takes at most, A'],
  ['cut_off_v', 'Switches off under, V'],
  ['resistance_ohm', 'Resistance measured, Ω'],
  ['usable_share', 'Share to use, %'],
  ['health_share', 'Health, %'],
  ['series', '12 V blocks in series'],
]
const DRAW: [Amount<Draw>, string][] = [
  ['min_v', 'Works from, V'],
  ['start_level', 'Starts with, times full'],
  ['efficiency', 'Converter gives, %'],
  ['idle_w', 'Converter idle, W'],
  ['usual_share', 'On of the day, %'],
]
</script>

<template>
  <template v-if="battery">
    <span>Battery</span>
    <div class="grid" role="group" aria-label="Battery">
      <label
        >Kind
        <select
          :value="battery.chemistry"
          @change="setBattery({ chemistry: pick($event) as Battery['chemistry'] })"
        >
          <option v-for="one in CHOICES.Battery.chemistry" :key="one" :value="one">
            {{ CHEMISTRY[one] }}
          </option>
        </select></label
      >
      <label
        >Known by
        <select
          :value="battery.evidence"
          @change="setBattery({ evidence: pick($event) as Battery['evidence'] })"
        >
          <option v-for="one in CHOICES.Battery.evidence" :key="one">{{ one }}</option>
        </select></label
      >
      <label v-for="[field, word] in BATTERY" :key="field"
        >{{ word }}
        <CellInput
          type="number"
          step="any"
          min="0"
          :value="written(field, battery[field])"
          placeholder="typical"
          @take="setBattery({ [field]: typed(field, $event) })"
      /></label>
      <TickBox :on="battery.posts_bare" @tick="setBattery({ posts_bare: $event })"
        >its posts are bare</TickBox
      >
    </div>
  </template>
  <template v-if="draw">
    <span>Draw</span>
    <div class="grid" role="group" aria-label="Draw">
      <label
        >At full
        <span class="pair">
          <CellInput
            type="number"
            step="any"
            min="0"
            label="Draw at full"
            :value="draw[unitOf(draw)]"
            @take="setAmount(unitOf(draw), numberIn($event))"
          />
          <select
            :value="unitOf(draw)"
            aria-label="Draws by"
            @change="setAmount(pick($event) as Unit, draw[unitOf(draw)] ?? 1)"
          >
            <option v-for="[unit, word] in UNITS" :key="unit" :value="unit">{{ word }}</option>
          </select>
        </span></label
      >
      <label
        >Known by
        <select
          :value="draw.evidence"
          @change="setDraw({ evidence: pick($event) as Draw['evidence'] })"
        >
          <option v-for="one in CHOICES.Draw.evidence" :key="one">{{ one }}</option>
        </select></label
      >
      <label v-for="[field, word] in DRAW" :key="field"
        >{{ word }}
        <CellInput
          type="number"
          step="any"
          min="0"
          :value="written(field, draw[field])"
          placeholder="none"
          @take="setDraw({ [field]: typed(field, $event) ?? (field === 'idle_w' ? 0 : null) })"
      /></label>
      <TickBox :on="draw.critical" @tick="setDraw({ critical: $event })"
        >needed for the way home</TickBox
      >
      <TickBox :on="draw.own_cells" @tick="setDraw({ own_cells: $event })"
        >its own batteries, no wire</TickBox
      >
    </div>
  </template>
</template>

<style scoped src="./fields.css"></style>
<style scoped>
.pair {
  display: flex;
  gap: 4px;
  padding: 0;
}
.pair select {
  width: 60px;
}
</style>
