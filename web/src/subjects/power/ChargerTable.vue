<script setup lang="ts">
/** Chargers ashore: which battery, what kind, how strong, and how long until it is full. */
import { computed } from 'vue'
import type { FullPower, Thing } from '@/api/client'
import { CHOICES } from '@/api/words'
import CellInput from '@/kit/CellInput.vue'
import { show, type Units } from '@/kit/units'
import { CHEMISTRY } from '@/setup/thingWords'
import type { Power } from './wiring'
import { numberIn, pick, positiveIn } from '@/kit/heard'

type Charger = Power['chargers'][string]
const props = defineProps<{
  power: Power
  full: FullPower | null
  batteries: number[]
  things: Record<string, Thing>
  units: Units
}>()
const emit = defineEmits<{ change: [rows: Record<string, Charger | null>] }>()

const rows = computed(() => Object.entries(props.power.chargers))
const hours = (name: string) => props.full?.charging.find((one) => one.name === name)?.hours
function set(name: string, one: Charger, fields: Partial<Charger>): void {
  emit('change', { [name]: { ...one, ...fields } })
}
function setAmps(name: string, one: Charger, text: string): void {
  const amps = positiveIn(text)
  if (amps !== null) set(name, one, { amps })
}
function setAround(name: string, one: Charger, text: string): void {
  const around_c = numberIn(text)
  if (around_c !== null) set(name, one, { around_c })
}
/** One more for the first battery that has none, of that battery's kind. */
function add(): void {
  const has = new Set(rows.value.map(([, one]) => one.battery))
  const battery = props.batteries.find((id) => !has.has(id)) ?? props.batteries[0]
  if (battery === undefined) return
  let n = rows.value.length + 1
  while (props.power.chargers[`Charger ${n}`]) n += 1
  const chemistry = props.things[String(battery)]?.battery?.chemistry ?? 'lifepo4'
  emit('change', { [`Charger ${n}`]: { battery, chemistry, amps: 5, around_c: 20 } })
}
</script>

<template>
  <section aria-label="Charging ashore">
    <h2>Charging ashore</h2>
    <table v-if="rows.length">
      <thead>
        <tr>
          <th scope="col">Charger</th>
          <th scope="col">Battery</th>
          <th scope="col">Made for</th>
          <th scope="col">Gives, A</th>
          <th scope="col">At, °C</th>
          <th scope="col" class="num">Until full</th>
          <th aria-label="Remove" />
        </tr>
      </thead>
      <tbody>
        <tr v-for="[name, one] in rows" :key="name">
          <th scope="row">{{ name }}</th>
          <td>
            <select
              :value="one.battery"
              :aria-label="`${name}: battery`"
              @change="set(name, one, { battery: Number(pick($event)) })"
            >
              <option v-for="id in batteries" :key="id" :value="id">
                {{ things[String(id)]?.name }}
              </option>
            </select>
          </td>
          <td>
            <select
              :value="one.chemistry"
              :aria-label="`${name}: made for`"
              @change="set(name, one, { chemistry: pick($event) as Charger['chemistry'] })"
            >
              <option v-for="kind in CHOICES.Charger.chemistry" :key="kind" :value="kind">
                {{ CHEMISTRY[kind] }}
              </option>
            </select>
          </td>
          <td class="cell">
            <CellInput
              number
              :value="String(one.amps)"
              :label="`${name}: gives, amps`"
              @take="setAmps(name, one, $event)"
            />
          </td>
          <td class="cell">
            <CellInput
              number
              :value="String(one.around_c)"
              :label="`${name}: at, °C`"
              @take="setAround(name, one, $event)"
            />
          </td>
          <td class="num">
            {{ hours(name) === undefined ? '—' : show(hours(name)!, 'hours', units) }}
          </td>
          <td>
            <button
              type="button"
              class="gone"
              :aria-label="`Remove ${name}`"
              @click="emit('change', { [name]: null })"
            >
              ×
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <el-button size="small" @click="add">Add a charger</el-button>
  </section>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
table {
  width: auto;
  margin-bottom: 6px;
}
</style>
