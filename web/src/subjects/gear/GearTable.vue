<script setup lang="ts">
/** The pile as a table that is typed into; Enter and the arrows go up and down a column. */
import { computed, ref } from 'vue'
import type { Thing } from '@/api/client'
import { number, parse, unitOf, type Units } from '@/kit/units'
import EvidenceMark from '@/kit/EvidenceMark.vue'
import CellChoice from '@/kit/CellChoice.vue'
import CellInput from '@/kit/CellInput.vue'
import GearPicture from '@/drawing/GearPicture.vue'
import {
  EVIDENCES,
  FIXINGS,
  FLAGS,
  KINDS,
  USES,
  hasFlag,
  mountedBy,
  withFlag,
} from '@/setup/thingWords'

interface Row {
  id: number
  thing: Thing
  where: string
}
const props = defineProps<{ rows: Row[]; units: Units }>()
const picked = defineModel<number[]>('picked', { required: true })
const emit = defineEmits<{
  change: [id: number, before: Thing, after: Thing]
  edit: [id: number]
}>()

type Column = 'name' | 'kind' | 'mass_kg' | 'use' | 'fixed' | 'price' | 'where'
const by = ref<Column>('name')
const down = ref(false)
function sortBy(column: Column): void {
  down.value = by.value === column ? !down.value : column === 'mass_kg' || column === 'price'
  by.value = column
}
function key(row: Row): string | number {
  if (by.value === 'where') return row.where
  return by.value === 'fixed' ? row.thing.fixing.by : (row.thing[by.value] ?? '')
}
const sorted = computed(() => {
  const way = down.value ? -1 : 1
  return [...props.rows].sort((a, b) => {
    const [x, y] = [key(a), key(b)]
    const order =
      typeof x === 'number' && typeof y === 'number' ? x - y : String(x).localeCompare(String(y))
    return way * order || a.id - b.id
  })
})
const aria = (column: Column) =>
  by.value === column ? (down.value ? 'descending' : 'ascending') : 'none'

const bad = ref<string | null>(null) // the cell that could not be read
function put(row: Row, change: Partial<Thing>): void {
  bad.value = null
  emit('change', row.id, row.thing, { ...row.thing, ...change })
}
function typed(row: Row, field: 'name' | 'mass_kg' | 'price', cell: string): void {
  const text = cell.trim()
  if (field === 'name') {
    if (text) put(row, { name: text }) // nothing is no name: the one it has comes back
    return
  }
  const value =
    field === 'price'
      ? text === ''
        ? null
        : Number(text.replace(',', '.'))
      : parse(text, 'mass', props.units)
  if (field === 'price' ? value !== null && !(value >= 0) : value === null || !(value > 0)) {
    bad.value = `${field}-${row.id}`
    return
  }
  put(row, field === 'price' ? { price: value } : { mass_kg: value! })
}
/** Up and down a column; the browser keeps left and right for the text itself. */
function walk(event: KeyboardEvent): void {
  const by_rows = { ArrowDown: 1, ArrowUp: -1, Enter: 1 }[event.key]
  const cell = event.target as HTMLElement
  if (by_rows === undefined || cell.tagName !== 'INPUT') return
  const column = cell.dataset.cell
  const cells = [...document.querySelectorAll<HTMLInputElement>(`[data-cell="${column}"]`)]
  const next = cells[cells.findIndex((one) => one === cell) + by_rows]
  event.preventDefault()
  if (next) next.select()
  else cell.blur()
}
const all = computed({
  get: () => props.rows.length > 0 && picked.value.length === props.rows.length,
  set: (on) => (picked.value = on ? props.rows.map((row) => row.id) : []),
})
// What is behind the dots on a phone.
const WIDE = new Set<Column>(['kind', 'use', 'fixed'])
const HEADS: { column: Column; word: string }[] = [
  { column: 'name', word: 'Item' },
  { column: 'kind', word: 'Kind' },
  { column: 'mass_kg', word: 'Weight' },
  { column: 'use', word: 'Used' },
  { column: 'fixed', word: 'Mounted with' },
]
</script>

<template>
  <table @keydown="walk">
    <thead>
      <tr>
        <th scope="col"><input v-model="all" type="checkbox" aria-label="Select all" /></th>
        <th
          v-for="head in HEADS"
          :key="head.column"
          scope="col"
          :aria-sort="aria(head.column)"
          :class="{ right: head.column === 'mass_kg', wide: WIDE.has(head.column) }"
        >
          <button type="button" @click="sortBy(head.column)">
            {{ head.word }}{{ head.column === 'mass_kg' ? `, ${unitOf('mass', units)}` : ''
            }}<span aria-hidden="true">{{ by === head.column ? (down ? ' ↓' : ' ↑') : '' }}</span>
          </button>
        </th>
        <th scope="col">From</th>
        <th v-for="[flag, word] in FLAGS" :key="flag" scope="col" class="flag wide">{{ word }}</th>
        <th scope="col" :aria-sort="aria('price')" class="right wide">
          <button type="button" @click="sortBy('price')">Price</button>
        </th>
        <th scope="col" :aria-sort="aria('where')" class="wide">
          <button type="button" @click="sortBy('where')">Where now</button>
        </th>
        <th scope="col"><span class="unseen">All of it</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in sorted" :key="row.id" :data-gear="row.id">
        <td>
          <input
            v-model="picked"
            type="checkbox"
            :value="row.id"
            :aria-label="`Select ${row.thing.name}`"
          />
        </td>
        <td>
          <div class="named">
            <GearPicture :thing="row.thing" :wide="34" />
            <CellInput
              class="cell name"
              data-cell="name"
              :value="row.thing.name"
              :maxlength="80"
              :label="`Name of ${row.thing.name}`"
              @take="typed(row, 'name', $event)"
            />
          </div>
        </td>
        <td class="wide">
          <CellChoice
            class="cell"
            :value="row.thing.kind"
            :options="KINDS"
            :label="`Kind of ${row.thing.name}`"
            @choose="put(row, { kind: $event })"
          />
        </td>
        <td>
          <CellInput
            class="cell num right"
            data-cell="mass"
            :class="{ bad: bad === `mass_kg-${row.id}` }"
            :bad="bad === `mass_kg-${row.id}`"
            :value="number(row.thing.mass_kg, 'mass', units, 2)"
            :label="`Weight of ${row.thing.name}`"
            @take="typed(row, 'mass_kg', $event)"
          />
        </td>
        <td class="wide">
          <CellChoice
            class="cell"
            :value="row.thing.use"
            :options="USES"
            :label="`How often ${row.thing.name} is used`"
            @choose="put(row, { use: $event })"
          />
        </td>
        <td class="wide">
          <CellChoice
            class="cell"
            :value="row.thing.fixing.by"
            :options="FIXINGS"
            :label="`What ${row.thing.name} is mounted with`"
            @choose="put(row, mountedBy($event)(row.thing))"
          />
        </td>
        <td class="from">
          <EvidenceMark :evidence="row.thing.evidence" />
          <CellChoice
            class="cell"
            :value="row.thing.evidence"
            :options="EVIDENCES"
            :label="`Where the weight of ${row.thing.name} comes from`"
            @choose="put(row, { evidence: $event })"
          />
        </td>
        <td v-for="[flag, word] in FLAGS" :key="flag" class="flag wide">
          <input
            type="checkbox"
            :checked="hasFlag(row.thing, flag)"
            :title="word"
            :aria-label="`${row.thing.name}: ${word}`"
            @change="
              put(row, withFlag(flag, ($event.target as HTMLInputElement).checked)(row.thing))
            "
          />
        </td>
        <td class="wide">
          <CellInput
            class="cell num right price"
            data-cell="price"
            :class="{ bad: bad === `price-${row.id}` }"
            :bad="bad === `price-${row.id}`"
            :value="String(row.thing.price ?? '')"
            :label="`Price of ${row.thing.name}`"
            @take="typed(row, 'price', $event)"
          />
        </td>
        <td class="where wide">{{ row.where }}{{ row.thing.bought ? '' : ' · planned' }}</td>
        <td>
          <button
            type="button"
            class="more"
            :aria-label="`All of ${row.thing.name}`"
            @click="emit('edit', row.id)"
          >
            …
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  background: var(--card);
}
th {
  padding: 5px 6px;
  color: var(--soft);
  font-size: 12px;
  font-weight: 400;
  text-align: left;
  white-space: nowrap;
}
th button {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  cursor: pointer;
}
.right {
  text-align: right;
}
td {
  padding: 1px 4px;
  border-top: 1px solid var(--line);
}
.cell {
  width: 100%;
  height: 24px;
  padding: 0 4px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: none;
  color: var(--ink);
  font-size: 13px;
}
.cell:hover,
.cell:focus {
  border-color: var(--line);
  background: var(--paper);
}
.cell.num {
  font-family: var(--mono);
  font-size: 12px;
}
.cell.name {
  min-width: 150px;
}
.cell.price {
  width: 70px;
}
.cell.bad {
  border-color: var(--stop);
}
select.cell {
  min-width: 88px;
}
.from {
  display: flex;
  gap: 4px;
  align-items: center;
}
.flag {
  text-align: center;
  white-space: nowrap;
}
.named {
  display: flex;
  gap: 4px;
  align-items: center;
}
input[type='checkbox'] {
  accent-color: var(--pick);
}
.where {
  color: var(--soft);
  white-space: nowrap;
}
@media (max-width: 900px) {
  /* The rest is behind the dots; weight and where it comes from are what one has hands free for. */
  .wide,
  .named svg {
    display: none;
  }
  .cell.name {
    min-width: 0;
  }
  .from select {
    display: none;
  }
}
.more {
  width: 26px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
  cursor: pointer;
}
</style>
