<script setup lang="ts">
/** When the day begins, its phases, and how long the way home takes. */
import { computed } from 'vue'
import CellInput from '@/kit/CellInput.vue'
import { numberIn, positiveIn } from '@/kit/heard'
import type { Power } from './wiring'

const props = defineProps<{ power: Power }>()
const emit = defineEmits<{ change: [fields: Partial<Power>] }>()

const total = computed(() => props.power.phases.reduce((sum, one) => sum + one.hours, 0))
/** A phase that is called otherwise takes along when things are on in it. */
function rename(at: number, name: string): void {
  const old = props.power.phases[at]!.name
  if (!name || name === old) return
  const phases = props.power.phases.map((one, i) => (i === at ? { ...one, name } : one))
  const duties = Object.fromEntries(
    Object.entries(props.power.duties).map(([id, rows]) => [
      id,
      rows.map((row) => (row.phase === old ? { ...row, phase: name } : row)),
    ]),
  )
  emit('change', { phases, duties })
}
function setHours(at: number, text: string): void {
  const hours = positiveIn(text)
  if (hours === null) return
  emit('change', {
    phases: props.power.phases.map((one, i) => (i === at ? { ...one, hours } : one)),
  })
}
function drop(at: number): void {
  const gone = props.power.phases[at]!.name
  const duties = Object.fromEntries(
    Object.entries(props.power.duties).map(([id, rows]) => [
      id,
      rows.filter((row) => row.phase !== gone),
    ]),
  )
  emit('change', { phases: props.power.phases.filter((_, i) => i !== at), duties })
}
function add(): void {
  const known = new Set(props.power.phases.map((one) => one.name))
  let n = props.power.phases.length + 1
  while (known.has(`Phase ${n}`)) n += 1
  emit('change', { phases: [...props.power.phases, { name: `Phase ${n}`, hours: 1 }] })
}
function setNumber(field: 'start_h' | 'air_c', text: string): void {
  const value = numberIn(text)
  if (value !== null) emit('change', { [field]: value })
}
function setHome(text: string): void {
  const hours = positiveIn(text)
  if (hours !== null) emit('change', { home: { ...props.power.home, hours } })
}
function setMoment(text: string): void {
  const percent = positiveIn(text)
  if (percent !== null && percent <= 100) emit('change', { moment_charge: percent / 100 })
}
</script>

<template>
  <section aria-label="The day">
    <h2>The day, {{ total }} h</h2>
    <table>
      <tbody>
        <tr>
          <th scope="row">Starts at, o’clock</th>
          <td class="cell">
            <CellInput
              number
              :value="String(power.start_h)"
              label="The day starts at"
              @take="setNumber('start_h', $event)"
            />
          </td>
          <td />
        </tr>
        <tr v-for="(one, at) in power.phases" :key="at">
          <th scope="row" class="named">
            <CellInput
              :value="one.name"
              :maxlength="40"
              :label="`Name of phase ${at + 1}`"
              @take="rename(at, $event.trim())"
            />
          </th>
          <td class="cell">
            <CellInput
              number
              :value="String(one.hours)"
              :label="`${one.name}: hours`"
              @take="setHours(at, $event)"
            />
          </td>
          <td>
            h
            <button
              v-if="power.phases.length > 1"
              type="button"
              class="gone"
              :aria-label="`Remove ${one.name}`"
              @click="drop(at)"
            >
              ×
            </button>
          </td>
        </tr>
        <tr>
          <th scope="row">Way home needs, h</th>
          <td class="cell">
            <CellInput
              number
              :value="String(power.home.hours)"
              label="Hours of light and screen for the way home"
              @take="setHome($event)"
            />
          </td>
          <td />
        </tr>
        <tr>
          <th scope="row">Moments at a charge of, %</th>
          <td class="cell">
            <CellInput
              number
              :value="String(Math.round(100 * power.moment_charge))"
              label="Charge at moments such as the motor's start, percent"
              @take="setMoment($event)"
            />
          </td>
          <td />
        </tr>
        <tr>
          <th scope="row">Air, °C</th>
          <td class="cell">
            <CellInput
              number
              :value="String(power.air_c)"
              label="Air by day, °C"
              @take="setNumber('air_c', $event)"
            />
          </td>
          <td />
        </tr>
      </tbody>
    </table>
    <el-button size="small" @click="add">Add a phase</el-button>
  </section>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
table {
  width: auto;
  margin-bottom: 6px;
}
tbody th {
  font-weight: 400;
}
.named :deep(input) {
  width: 130px;
}
</style>
