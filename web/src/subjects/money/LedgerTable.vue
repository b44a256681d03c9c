<script setup lang="ts">
/** What each item cost or will: its price, whether it is bought, what was paid and what came of it. */
import { ref } from 'vue'
import type { Schemas, Thing } from '@/api/client'
import { CHOICES } from '@/api/words'
import GearPicture from '@/drawing/GearPicture.vue'
import CellInput from '@/kit/CellInput.vue'
import { pick, ticked } from '@/kit/heard'
import { showMoney } from '@/kit/money'
import MoneyInput from '@/kit/MoneyInput.vue'
import { useNewRow } from '@/kit/useNewRow'

type Row = Schemas['LedgerRow']
type Purchase = Schemas['Purchase']
type Kept = Schemas['KeptPurchase']
const props = defineProps<{
  rows: Row[]
  things: Record<string, Thing>
  currency: string
  /** a change is on its way, or could not be kept */
  held: boolean
  /** keep a purchase; whether that was done */
  add: (purchase: Purchase) => Promise<boolean>
}>()
const emit = defineEmits<{
  price: [thing_id: number, minor: number | null]
  bought: [thing_id: number, bought: boolean]
  change: [kept: Kept, fields: Partial<Purchase>]
  drop: [kept: Kept]
}>()
const MINOR_NONE = 0
const open = ref<number | null>(null)
const thingOf = (row: Row) => (row.thing_id == null ? null : props.things[String(row.thing_id)])
const keyOf = (row: Row) => row.thing_id ?? `p${row.purchases[0]!.purchase_id}`
const blank = (): Purchase => ({
  thing_id: null,
  what: '',
  on_day: null,
  minor: MINOR_NONE,
  resale_minor: 0,
  ended: 'kept',
})
const { next: other, put: addOther } = useNewRow(blank, props.add)
</script>

<template>
  <table data-testid="ledger">
    <thead>
      <tr>
        <th scope="col">Item</th>
        <th scope="col" class="wide">Where</th>
        <th scope="col">Bought</th>
        <th scope="col" class="num">Price</th>
        <th v-if="rows.some((row) => row.per_trip_minor != null)" scope="col" class="num wide">
          A trip
        </th>
        <th scope="col" class="num wide">Wasted</th>
        <th><span class="unseen">What was paid</span></th>
      </tr>
    </thead>
    <tbody>
      <template v-for="row in rows" :key="keyOf(row)">
        <tr>
          <th scope="row">
            <span class="what">
              <GearPicture v-if="thingOf(row)" :thing="thingOf(row)!" />{{ row.name }}
            </span>
          </th>
          <td class="soft wide">{{ row.where ?? (row.thing_id == null ? '' : 'ashore') }}</td>
          <td>
            <input
              v-if="row.thing_id != null"
              type="checkbox"
              :checked="row.bought"
              :disabled="row.paid"
              :aria-label="`${row.name} is bought`"
              @change="emit('bought', row.thing_id, ticked($event))"
            />
          </td>
          <td class="num">
            <MoneyInput
              v-if="row.thing_id != null && !row.paid"
              :model-value="row.minor"
              :label="`Price of ${row.name}`"
              optional
              :testid="`price-${row.thing_id}`"
              @update:model-value="emit('price', row.thing_id, $event)"
            />
            <template v-else>{{ showMoney(row.minor) }}</template>
          </td>
          <td v-if="rows.some((one) => one.per_trip_minor != null)" class="num wide soft">
            {{ row.per_trip_minor == null ? '' : showMoney(row.per_trip_minor) }}
          </td>
          <td class="num wide">
            {{ row.wasted_minor ? showMoney(row.wasted_minor) : '' }}
            <span v-if="row.unused" class="soft">unused</span>
          </td>
          <td>
            <button
              v-if="row.thing_id != null"
              type="button"
              class="small"
              :aria-expanded="open === row.thing_id"
              :data-testid="`paid-${row.thing_id}`"
              @click="open = open === row.thing_id ? null : row.thing_id"
            >
              {{ row.purchases.length ? `paid ${row.purchases.length}×` : 'paid…' }}
            </button>
          </td>
        </tr>
        <tr v-if="row.thing_id == null || open === row.thing_id" class="paid">
          <td colspan="7">
            <p v-for="one in row.purchases" :key="one.purchase_id" class="line">
              <label
                >paid
                <MoneyInput
                  :model-value="one.minor"
                  :label="`Paid for ${row.name}`"
                  @update:model-value="emit('change', one, { minor: $event ?? 0 })"
              /></label>
              <label
                >on
                <CellInput
                  type="date"
                  :value="one.on_day"
                  :label="`Day ${row.name} was bought`"
                  :held="held"
                  @take="emit('change', one, { on_day: $event || null })"
              /></label>
              <label
                >and now
                <select
                  :value="one.ended"
                  :aria-label="`What became of ${row.name}`"
                  :data-testid="`ended-${one.purchase_id}`"
                  @change="emit('change', one, { ended: pick($event) as Purchase['ended'] })"
                >
                  <option v-for="end in CHOICES.Purchase.ended" :key="end">{{ end }}</option>
                </select></label
              >
              <label
                >brings
                <MoneyInput
                  :model-value="one.resale_minor"
                  :label="`What ${row.name} brings when sold`"
                  @update:model-value="emit('change', one, { resale_minor: $event ?? 0 })"
              /></label>
              <button type="button" class="small" @click="emit('drop', one)">delete</button>
            </p>
            <button
              v-if="row.thing_id != null"
              type="button"
              class="small"
              :data-testid="`add-paid-${row.thing_id}`"
              @click="add({ ...blank(), thing_id: row.thing_id, minor: row.minor ?? 0 })"
            >
              enter what you paid
            </button>
          </td>
        </tr>
      </template>
    </tbody>
    <tfoot>
      <tr>
        <td colspan="7">
          <form class="line" aria-label="Something else that was bought" @submit.prevent="addOther">
            <input
              v-model="other.what"
              aria-label="Something else"
              placeholder="something else, as a hole filled again"
              maxlength="80"
              data-testid="other-what"
            />
            <MoneyInput
              :model-value="other.minor"
              label="What it cost"
              testid="other-minor"
              @update:model-value="other.minor = $event ?? 0"
            />
            <select v-model="other.ended" aria-label="What became of it">
              <option v-for="end in CHOICES.Purchase.ended" :key="end">{{ end }}</option>
            </select>
            <button type="submit" class="small" :disabled="!other.what">add</button>
          </form>
        </td>
      </tr>
    </tfoot>
  </table>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
.what {
  display: flex;
  gap: 6px;
  align-items: center;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  margin: 3px 0;
}
.line label {
  display: flex;
  gap: 5px;
  align-items: center;
}
.line > input {
  flex: 1;
  min-width: 160px;
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 5px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
@media (max-width: 700px) {
  .wide,
  .what :deep(svg) {
    display: none;
  }
  .paid td {
    max-width: 300px;
  }
}
.paid td {
  border-top: 0;
  background: var(--paper);
}
</style>
