<script setup lang="ts">
/** The pile as a table that is typed into; Enter and the arrows go up and down a column. */
import { computed, ref } from 'vue'
import type { Schemas, Thing } from '@/api/client'
import { number, parse, show, unitOf, type Units } from '@/kit/units'
import { walkColumn } from '@/kit/typing'
import { counted } from '@/kit/words'
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
import type { GearColumn, GearGroup, GearRow } from './columns'
import { useGearOrder, type SortColumn } from './useGearOrder'

const props = defineProps<{
  rows: GearRow[]
  units: Units
  /** which columns stand beside name and weight */
  columns: readonly GearColumn[]
  /** what holds rows together, empty for one list; and the sums of each group, the whole last */
  groupBy: GearGroup
  sums: readonly Schemas['GearSum'][]
}>()
const picked = defineModel<number[]>('picked', { required: true })
const emit = defineEmits<{
  change: [id: number, before: Thing, after: Thing]
  edit: [id: number]
}>()

const { by, down, sortBy, aria, groups } = useGearOrder(props)
const total = computed(() => props.sums.at(-1) ?? null)
const has = (column: GearColumn): boolean => props.columns.includes(column)
const flags = computed(() => FLAGS.filter(([flag]) => has(flag)))

const bad = ref<string | null>(null) // the cell that could not be read
function put(row: GearRow, change: Partial<Thing>): void {
  bad.value = null
  emit('change', row.id, row.thing, { ...row.thing, ...change })
}
function typed(row: GearRow, field: 'name' | 'mass_kg' | 'price', cell: string): void {
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
const wide = computed(() => 5 + heads.value.length - 2 + props.columns.length) // all, to the dots
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
const all = computed({
  get: () => props.rows.length > 0 && picked.value.length === props.rows.length,
  set: (on) => (picked.value = on ? props.rows.map((row) => row.id) : []),
})
// What is behind the dots on a phone.
const WIDE = new Set<SortColumn>(['kind', 'use', 'fixed'])
const heads = computed(() =>
  (
    [
      { column: 'name', word: 'Item' },
      { column: 'kind', word: 'Kind' },
      { column: 'mass_kg', word: 'Weight' },
      { column: 'use', word: 'Used' },
      { column: 'fixed', word: 'Mounted with' },
    ] as { column: SortColumn; word: string }[]
  ).filter(({ column }) => column === 'name' || column === 'mass_kg' || has(column)),
)
</script>

<template>
  <table @keydown="walkColumn">
    <thead>
      <tr>
        <th scope="col"><input v-model="all" type="checkbox" aria-label="Select all" /></th>
        <th
          v-for="head in heads"
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
        <th v-for="[flag, word] in flags" :key="flag" scope="col" class="flag wide">{{ word }}</th>
        <th v-if="has('price')" scope="col" :aria-sort="aria('price')" class="right wide">
          <button type="button" @click="sortBy('price')">Price</button>
        </th>
        <th v-if="has('where')" scope="col" :aria-sort="aria('where')" class="wide">
          <button type="button" @click="sortBy('where')">Where now</button>
        </th>
        <th scope="col"><span class="unseen">All of it</span></th>
      </tr>
    </thead>
    <tbody v-for="group in groups" :key="group.name">
      <tr v-if="group.sum" class="group">
        <th scope="rowgroup" :colspan="wide">
          {{ capital(group.name) }}
          <span class="num">
            {{ counted(group.sum.count) }} · {{ show(group.sum.mass_kg, 'mass', units) }}</span
          >
        </th>
      </tr>
      <tr v-for="row in group.rows" :key="row.id" :data-gear="row.id">
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
        <td v-if="has('kind')" class="wide">
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
        <td v-if="has('use')" class="wide">
          <CellChoice
            class="cell"
            :value="row.thing.use"
            :options="USES"
            :label="`How often ${row.thing.name} is used`"
            @choose="put(row, { use: $event })"
          />
        </td>
        <td v-if="has('fixed')" class="wide">
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
        <td v-for="[flag, word] in flags" :key="flag" class="flag wide">
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
        <td v-if="has('price')" class="wide">
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
        <td v-if="has('where')" class="where wide">
          {{ row.where }}{{ row.thing.bought ? '' : ' · planned' }}
        </td>
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
    <tfoot v-if="total">
      <tr>
        <td />
        <th scope="row">All {{ counted(total.count) }}</th>
        <td v-if="has('kind')" class="wide" />
        <td class="num right total" data-testid="all-weight">
          {{ number(total.mass_kg, 'mass', units, 2) }}
        </td>
        <td v-if="has('use')" class="wide" />
        <td v-if="has('fixed')" class="wide" />
        <td />
        <td v-for="[flag] in flags" :key="flag" class="wide" />
        <td v-if="has('price')" class="num right total wide">
          {{ (total.spent + total.planned).toFixed(0) }}
        </td>
        <td v-if="has('where')" class="wide" />
        <td />
      </tr>
    </tfoot>
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
.group th {
  padding: 9px 6px 3px;
  color: var(--ink);
  font-weight: 600;
}
.group .num {
  padding-left: 8px;
  color: var(--soft);
  font-weight: 400;
}
tfoot th,
tfoot td {
  padding: 6px 4px;
  border-top: 2px solid var(--line);
  color: var(--ink);
}
.total {
  padding-right: 8px;
  font-size: 12px;
  font-weight: 600;
}
.cell.bad {
  border-color: var(--stop);
}
button.cell,
.from .el-select {
  min-width: 96px;
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
/* As the boxes of all other forms look, without a component for each of hundreds. */
input[type='checkbox'] {
  width: 14px;
  height: 14px;
  margin: 0;
  border: 1px solid var(--soft);
  border-radius: 2px;
  appearance: none;
  background: var(--card) center / 10px no-repeat;
  vertical-align: middle;
  cursor: pointer;
}
input[type='checkbox']:checked {
  border-color: var(--pick);
  background-color: var(--pick);
  box-shadow: inset 0 0 0 3px var(--card);
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
  .from button {
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
