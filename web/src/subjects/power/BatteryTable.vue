<script setup lang="ts">
/** The batteries: what each is, what of it can be used, and what is left at the day's end. */
import { computed } from 'vue'
import type { Figures, Thing } from '@/api/client'
import { CHOICES } from '@/api/words'
import CellInput from '@/kit/CellInput.vue'
import { number, show, type Units } from '@/kit/units'
import { CHEMISTRY } from '@/setup/thingWords'
import type { Power } from './wiring'
import { numberIn, pick, positiveIn } from '@/kit/heard'

const props = defineProps<{
  power: Power
  figures: NonNullable<Figures['power']>
  things: Record<string, Thing>
  units: Units
}>()
const emit = defineEmits<{
  thing: [id: number, battery: NonNullable<Thing['battery']>]
  charge: [id: number, share: number]
}>()

const rows = computed(() =>
  props.figures.batteries.flatMap((one) => {
    const thing = props.things[String(one.thing_id)]
    return thing?.battery ? [{ ...one, name: thing.name, battery: thing.battery }] : []
  }),
)
function setCharge(id: number, text: string): void {
  const percent = numberIn(text) ?? -1
  if (percent >= 0 && percent <= 100) emit('charge', id, percent / 100)
}
function setHealth(id: number, battery: NonNullable<Thing['battery']>, text: string): void {
  const percent = numberIn(text) ?? 0
  if (percent >= 20 && percent <= 100)
    emit('thing', id, { ...battery, health_share: percent / 100 })
}
</script>

<template>
  <section aria-label="Batteries">
    <h2>Batteries</h2>
    <p v-if="!rows.length" class="soft">
      No battery aboard yet. Add one on the Gear screen, and put it aboard.
    </p>
    <table v-else>
      <thead>
        <tr>
          <th scope="col">Battery</th>
          <th scope="col">Kind</th>
          <th scope="col">Capacity, Ah</th>
          <th scope="col">Known by</th>
          <th scope="col">Health, %</th>
          <th scope="col">Charge at start, %</th>
          <th scope="col">Most it gives, A</th>
          <th scope="col" class="num">Resistance</th>
          <th scope="col" class="num">To use</th>
          <th scope="col" class="num">Per weight</th>
          <th scope="col" class="num">Charge at the end</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.thing_id">
          <th scope="row">{{ row.name }}</th>
          <td>
            <select
              :value="row.battery.chemistry"
              :aria-label="`${row.name}: kind`"
              @change="
                emit('thing', row.thing_id, {
                  ...row.battery,
                  chemistry: pick($event) as keyof typeof CHEMISTRY,
                })
              "
            >
              <option v-for="one in CHOICES.Battery.chemistry" :key="one" :value="one">
                {{ CHEMISTRY[one] }}
              </option>
            </select>
          </td>
          <td class="cell">
            <CellInput
              number
              :value="row.battery.capacity_ah == null ? '' : String(row.battery.capacity_ah)"
              :label="`${row.name}: capacity in Ah`"
              @take="
                emit('thing', row.thing_id, { ...row.battery, capacity_ah: positiveIn($event) })
              "
            />
          </td>
          <td>
            <select
              :value="row.battery.evidence"
              :aria-label="`${row.name}: known by`"
              @change="
                emit('thing', row.thing_id, {
                  ...row.battery,
                  evidence: pick($event) as typeof row.battery.evidence,
                })
              "
            >
              <option v-for="one in CHOICES.Battery.evidence" :key="one">{{ one }}</option>
            </select>
          </td>
          <td class="cell">
            <CellInput
              number
              :value="number(row.battery.health_share, 'ratio', units)"
              :label="`${row.name}: health in percent`"
              @take="setHealth(row.thing_id, row.battery, $event)"
            />
          </td>
          <td class="cell">
            <CellInput
              number
              :value="number(power.charge[String(row.thing_id)] ?? 1, 'ratio', units)"
              :label="`${row.name}: charge at start in percent`"
              @take="setCharge(row.thing_id, $event)"
            />
          </td>
          <td class="cell">
            <CellInput
              number
              :value="
                row.battery.max_discharge_a == null ? '' : String(row.battery.max_discharge_a)
              "
              :label="`${row.name}: most it gives in amps`"
              @take="
                emit('thing', row.thing_id, { ...row.battery, max_discharge_a: positiveIn($event) })
              "
            />
          </td>
          <td class="num">{{ show(row.resistance_ohm, 'resistance', units) }}</td>
          <td class="num">{{ show(row.usable_wh, 'work', units) }}</td>
          <td class="num">{{ row.wh_per_kg.toFixed(0) }} Wh/kg</td>
          <td class="num" :class="{ stop: row.off_h !== null }">
            {{ row.end_soc === null ? '—' : show(row.end_soc, 'ratio', units) }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped src="./tables.css"></style>
