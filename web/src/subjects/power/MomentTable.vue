<script setup lang="ts">
/** Moments: what is on at once, and what voltage that leaves at each thing; your own to be set. */
import { computed } from 'vue'
import type { Figures, Thing } from '@/api/client'
import CellInput from '@/kit/CellInput.vue'
import { numberIn } from '@/kit/heard'
import { number, show, type Units } from '@/kit/units'
import type { Power } from './wiring'

type Levels = Power['moments'][string]
const props = defineProps<{
  power: Power
  figures: NonNullable<Figures['power']>
  things: Record<string, Thing>
  units: Units
}>()
const emit = defineEmits<{ change: [rows: Record<string, Levels | null>] }>()

const loads = computed(() => props.figures.loads)
const own = computed(() => Object.entries(props.power.moments))
const made = computed(() => props.figures.moments.filter((name) => !props.power.moments[name]))
const at = (moment: string, load: (typeof loads.value)[number]) =>
  load.at.find((one) => one.moment === moment)
const nameOf = (id: number) => props.things[String(id)]?.name ?? ''

function add(): void {
  let n = own.value.length + 1
  while (props.power.moments[`Moment ${n}`]) n += 1
  const on = Object.fromEntries(loads.value.map((one) => [String(one.thing_id), 1]))
  emit('change', { [`Moment ${n}`]: on })
}
/** Percent of the full draw; nothing or 0 is off. */
function set(name: string, id: number, text: string): void {
  const level = (numberIn(text) ?? 0) / 100
  const on = level > 0 ? Math.min(10, Math.max(0.01, level)) : null
  emit('change', { [name]: { [String(id)]: on } as Levels })
}
function rename(name: string, on: Levels, to: string): void {
  if (to && to !== name && !props.power.moments[to]) emit('change', { [name]: null, [to]: on })
}
</script>

<template>
  <section v-if="loads.length" aria-label="Moments">
    <h2>Moments, and the voltage at each item</h2>
    <table>
      <thead>
        <tr>
          <th scope="col">Moment</th>
          <th v-for="one in loads" :key="one.thing_id" scope="col" class="num">
            {{ nameOf(one.thing_id) }}
          </th>
          <th aria-label="Remove" />
        </tr>
      </thead>
      <tbody>
        <tr v-for="name in made" :key="name">
          <th scope="row">{{ name }}</th>
          <td
            v-for="one in loads"
            :key="one.thing_id"
            class="num"
            :class="{ stop: at(name, one)?.low }"
          >
            {{ at(name, one) ? show(at(name, one)!.volts, 'voltage', units) : 'off' }}
          </td>
          <td />
        </tr>
        <tr v-for="[name, on] in own" :key="name" data-testid="own-moment">
          <th scope="row">
            <CellInput
              :value="name"
              :maxlength="40"
              :label="`Name of ${name}`"
              @take="rename(name, on, $event.trim())"
            />
          </th>
          <td
            v-for="one in loads"
            :key="one.thing_id"
            class="num cell"
            :class="{ stop: at(name, one)?.low }"
          >
            <CellInput
              number
              :value="
                on[String(one.thing_id)] == null
                  ? ''
                  : number(on[String(one.thing_id)]!, 'ratio', units)
              "
              :label="`${name}, ${nameOf(one.thing_id)}: percent of full`"
              @take="set(name, one.thing_id, $event)"
            />
            {{ at(name, one) ? show(at(name, one)!.volts, 'voltage', units) : 'off' }}
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
    <el-button size="small" data-testid="add-moment" @click="add">Add a moment</el-button>
  </section>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
table {
  width: auto;
  margin-bottom: 6px;
}
td.cell {
  width: auto;
}
</style>
