<script setup lang="ts">
/** What runs out, or wants service, against the day of the trip; and as a calendar file. */
import { computed } from 'vue'
import { api, ask, type Schemas } from '@/api/client'
import { CHOICES } from '@/api/words'
import CellInput from '@/kit/CellInput.vue'
import { numberIn, pick } from '@/kit/heard'
import { useNewRow } from '@/kit/useNewRow'
import VerdictMark from '@/kit/VerdictMark.vue'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'

type Item = Schemas['DatedItem']
type Row = Schemas['DateRow']

const store = useSetup()
const page = usePage<Schemas['DatesPage']>((setup_id) =>
  ask(api.GET('/api/v1/setups/{setup_id}/dates', { params: { path: { setup_id } } })),
)
const usual = (): Item => ({
  thing_id: null,
  kind: 'flare',
  due: null,
  every_months: null,
  last_done: null,
  note: '',
})
const { next, put } = useNewRow(usual, store.addDate)
const things = computed(() =>
  Object.entries(store.things)
    .map(([id, thing]) => [Number(id), thing.name] as const)
    .sort((a, b) => a[1].localeCompare(b[1])),
)
const setup_id = computed(() => store.kept!.setup_id)
const calendar = computed(() => `/api/v1/setups/${setup_id.value}/dates/calendar.ics`)

const change = (row: Row, fields: Partial<Item>) => store.changeDate(row.dated, fields)
const days = (row: Row) =>
  row.days_left == null
    ? 'no date yet'
    : row.days_left < 0
      ? `${-row.days_left} days past`
      : `in ${row.days_left} days`
</script>

<template>
  <div class="dates">
    <p v-if="page.trouble.value" class="stop" role="alert">{{ page.trouble.value }}</p>
    <table v-if="page.answer.value" data-testid="dates">
      <caption>
        Against
        {{
          page.answer.value.on
        }}{{
          store.kept?.setup.day ? ', the day of the trip' : ', today: the trip has no day yet'
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">Printed on it</th>
          <th scope="col">Last done</th>
          <th scope="col">Due</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in page.answer.value.rows" :key="row.dated.dated_id">
          <th scope="row">
            {{ row.thing ?? 'The boat' }}: {{ row.dated.kind }}
            <span v-if="!row.aboard" class="soft">ashore</span>
            <span v-if="row.dated.note" class="soft">{{ row.dated.note }}</span>
          </th>
          <td>
            <CellInput
              type="date"
              :value="row.dated.due"
              :label="`Date printed on ${row.thing ?? 'the boat'}, ${row.dated.kind}`"
              :held="page.held.value"
              @take="change(row, { due: $event || null })"
            />
          </td>
          <td>
            <CellInput
              type="date"
              :value="row.dated.last_done"
              :label="`${row.thing ?? 'The boat'}, ${row.dated.kind}, last done`"
              :held="page.held.value"
              @take="change(row, { last_done: $event || null })"
            />
          </td>
          <td>
            <VerdictMark :verdict="row.verdict" bare /> {{ row.due_on ?? '' }}
            <span class="soft">{{ days(row) }}</span>
          </td>
          <td>
            <button type="button" class="small" @click="store.dropDate(row.dated)">delete</button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="page.answer.value && !page.answer.value.rows.length" class="soft">
      No dates yet. Turn gear over and enter what is printed on it: flares, the cartridge of a vest,
      the first-aid kit.
    </p>
    <p v-if="page.answer.value?.care.length" data-testid="care-due">
      To be looked after:
      <template v-for="(row, i) in page.answer.value.care" :key="row.key"
        >{{ i ? '; ' : '' }}<VerdictMark :verdict="row.verdict" bare /> {{ row.thing ?? 'the boat'
        }}{{ row.thing ? `: ${row.words}` : `: ${row.words.toLowerCase()}` }}</template
      >.
      <RouterLink to="/log?part=care">Log, Care</RouterLink>
    </p>
    <form class="new" aria-label="A new date" @submit.prevent="put">
      <select
        aria-label="Of"
        data-testid="date-thing"
        :value="next.thing_id ?? ''"
        @change="next.thing_id = pick($event) ? Number(pick($event)) : null"
      >
        <option value="">the boat</option>
        <option v-for="[id, name] in things" :key="id" :value="id">{{ name }}</option>
      </select>
      <select
        aria-label="Kind"
        data-testid="date-kind"
        :value="next.kind"
        @change="next.kind = pick($event) as Item['kind']"
      >
        <option v-for="kind in CHOICES.DatedItem.kind" :key="kind">{{ kind }}</option>
      </select>
      <label
        >printed
        <CellInput
          type="date"
          data-testid="date-due"
          :value="next.due"
          @take="next.due = $event || null"
      /></label>
      <label
        >last done
        <CellInput type="date" :value="next.last_done" @take="next.last_done = $event || null"
      /></label>
      <label
        >every
        <CellInput
          type="number"
          min="1"
          max="240"
          :value="next.every_months"
          @take="next.every_months = numberIn($event)"
        />
        months</label
      >
      <input
        type="text"
        maxlength="200"
        aria-label="Note"
        placeholder="note"
        :value="next.note"
        @input="next.note = pick($event)"
      />
      <button type="submit" class="small" data-testid="add-date">Add</button>
    </form>
    <p class="soft">
      <a :href="calendar" download="dates.ics" data-testid="calendar">Save as a calendar file</a>
      that calls a month ahead. What is printed on it, its maker's book and the law go before this
      list.
    </p>
  </div>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 12px;
}
caption {
  padding-bottom: 4px;
  color: var(--soft);
  text-align: left;
}
th,
td {
  padding: 3px 5px;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  text-align: left;
}
thead th {
  color: var(--soft);
}
.new {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  margin: 10px 0 6px;
  font-size: 12px;
}
input,
select {
  height: 26px;
  border: 1px solid var(--line);
  border-radius: 5px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
input[type='number'] {
  width: 52px;
}
</style>
