<script setup lang="ts">
/** One battery for all, or one of its own for what must stay lit: the same trip both ways. */
import type { Schemas, Thing } from '@/api/client'
import { show, type Units } from '@/kit/units'
import { trimWords } from '@/kit/words'

defineProps<{
  supplies: Schemas['Supply'][]
  things: Record<string, Thing>
  units: Units
}>()
type Row = [string, (one: Schemas['Supply'], units: Units) => string]
const ROWS: Row[] = [
  [
    'Least voltage at a screen or light',
    (one, u) => (one.start_v === null ? '—' : show(one.start_v, 'voltage', u)),
  ],
  ['Lasts', (one, u) => (one.hours === null ? '—' : show(one.hours, 'hours', u))],
  [
    'Left at the day’s end',
    (one, u) => (one.left_share === null ? '—' : show(Math.max(0, one.left_share), 'ratio', u)),
  ],
  ['Batteries weigh', (one, u) => show(one.battery_kg, 'mass', u)],
  ['To use', (one, u) => show(one.usable_wh, 'work', u)],
  ['Per weight', (one) => `${one.wh_per_kg.toFixed(0)} Wh/kg`],
  ['To charge at home', (one) => String(one.to_charge)],
  ['Trim', (one) => (one.trim_deg === null ? '—' : trimWords(one.trim_deg))],
  ['GM', (one, u) => (one.gm_m === null ? '—' : show(one.gm_m, 'length', u))],
]
</script>

<template>
  <section v-if="supplies.length" aria-label="Two supplies side by side">
    <h2>Two supplies, side by side</h2>
    <table>
      <thead>
        <tr>
          <td />
          <th v-for="one in supplies" :key="one.name" scope="col">
            <b>{{ one.name }}</b><br />{{ one.words }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="[word, cell] in ROWS" :key="word">
          <th scope="row">{{ word }}</th>
          <td
            v-for="one in supplies"
            :key="one.name"
            :class="{ stop: one.low && word === ROWS[0]![0] }"
          >
            {{ one.possible ? cell(one, units) : 'not enough for the day' }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
thead th {
  max-width: 180px;
  white-space: normal;
}
tbody th {
  font-weight: 400;
  color: var(--soft);
}
</style>
