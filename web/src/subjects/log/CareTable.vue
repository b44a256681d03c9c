<script setup lang="ts">
/** What is looked after: how much of its time is over, and when it was done last. */
import type { Schemas, Thing } from '@/api/client'
import CellInput from '@/kit/CellInput.vue'
import { today } from '@/kit/clock'
import { numberIn, pick } from '@/kit/heard'
import { useNewRow } from '@/kit/useNewRow'
import VerdictMark from '@/kit/VerdictMark.vue'

type Row = Schemas['CareRow']
type Change = Schemas['CareChange']
const props = defineProps<{
  rows: Row[]
  names: Record<string, Thing>
  /** a change is on its way, or could not be kept */
  held: boolean
  /** keep what was changed; whether that was done */
  change: (change: Change) => Promise<boolean>
}>()

const every = (row: Row) =>
  [
    row.every_trips && `${row.every_trips} trips`,
    row.every_salt &&
      (row.every_salt === 1 ? 'each trip on salt water' : `${row.every_salt} on salt`),
    row.every_hours && `${row.every_hours} h`,
    row.every_months && `${row.every_months} months`,
  ]
    .filter(Boolean)
    .join(' or ')
const since = (row: Row) =>
  `${row.trips} trips${row.salt ? `, ${row.salt} on salt` : ''}, ${Math.round(row.hours)} h`
const changed = (row: Row, fields: Partial<Change>) =>
  props.change({ what: row.what, thing_id: row.thing_id, ...fields })
const fresh = (): Change => ({ what: '', thing_id: null, every_trips: null, every_months: null })
const { next, put } = useNewRow(fresh, (row) => props.change({ ...row, what: row.what.trim() }))
const add = () => next.what.trim() && put()
</script>

<template>
  <div class="card pad">
    <table data-testid="care">
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col" class="wide">Every</th>
          <th scope="col">Since it was done</th>
          <th scope="col">Due</th>
          <th scope="col" class="wide">Last done</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.key" :data-testid="`care-${row.key}`">
          <th scope="row">
            <template v-if="row.thing">{{ row.thing }}: </template>{{ row.words }}
          </th>
          <td class="wide">{{ every(row) || 'when you like' }}</td>
          <td>{{ since(row) }}</td>
          <td class="due">
            <VerdictMark :verdict="row.verdict" bare />
            {{
              row.due_on ?? (row.share > 0 ? `${Math.round(100 * row.share)} % of its time` : '')
            }}
          </td>
          <td class="wide">
            <CellInput
              type="date"
              :value="row.done_on"
              :label="`${row.thing ?? 'The boat'}, ${row.words}: last done`"
              :held="held"
              @take="changed(row, { done_on: $event || null })"
            />
          </td>
          <td class="acts">
            <button
              type="button"
              class="small"
              :aria-label="`Done today: ${row.words}`"
              @click="changed(row, { done_on: today() })"
            >
              Done today
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <form class="fields" aria-label="One more to look after" @submit.prevent="add">
      <input v-model="next.what" maxlength="80" placeholder="what else" aria-label="What else" />
      <select
        aria-label="Of"
        :value="next.thing_id ?? ''"
        @change="next.thing_id = pick($event) ? Number(pick($event)) : null"
      >
        <option value="">the boat</option>
        <option v-for="(thing, id) in names" :key="id" :value="id">{{ thing.name }}</option>
      </select>
      <label
        >every
        <CellInput
          number
          class="few"
          inputmode="numeric"
          :value="next.every_trips"
          label="Every so many trips"
          @take="next.every_trips = numberIn($event)"
        />
        trips</label
      >
      <label
        >or
        <CellInput
          number
          class="few"
          inputmode="numeric"
          :value="next.every_months"
          label="Every so many months"
          @take="next.every_months = numberIn($event)"
        />
        months</label
      >
      <button type="submit" class="small">Add</button>
    </form>
    <p class="soft">
      Usual times; the maker's book wins. Due dates go into the calendar file under Safety.
    </p>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped src="./tables.css"></style>
<style scoped>
.due {
  white-space: nowrap;
}
.fields {
  align-items: center;
}
.fields input,
.fields select,
td input {
  box-sizing: border-box;
  width: auto;
  min-height: 28px;
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
.fields input.few {
  width: 48px;
}
</style>
