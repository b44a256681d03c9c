<script setup lang="ts">
/** Money: what gear has cost and will, what the budget buys first, and the phases of the build. */
import { computed, onMounted, ref } from 'vue'
import { api, ask, whyNone, type Schemas, type Thing } from '@/api/client'
import CellInput from '@/kit/CellInput.vue'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import { numberIn } from '@/kit/heard'
import { showMoney } from '@/kit/money'
import type { MoneyChange } from '@/setup/changing'
import { useLook } from '@/setup/look'
import TopicFindings from '@/setup/TopicFindings.vue'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'
import BudgetCard from './BudgetCard.vue'
import LedgerTable from './LedgerTable.vue'
import PhaseTable from './PhaseTable.vue'

const MINOR = 100

const store = useSetup()
const look = useLook()
const shown = ref<'items' | 'places' | 'phases'>('items')
const page = usePage<Schemas['MoneyPage']>((setup_id) =>
  ask(api.GET('/api/v1/setups/{setup_id}/money', { params: { path: { setup_id } } })),
)
const plan = computed(() => store.kept?.setup.money ?? null)
const take = (fields: MoneyChange) => void store.putMoney(fields)
const amount = (minor: number | null) => showMoney(minor, plan.value?.currency)
const { nameOf } = store

/** What the catalogue has for a must that nobody owns: it is put on the list, still to be bought. */
const catalog = ref<Thing[]>([])
onMounted(async () => {
  try {
    catalog.value = (await ask(api.GET('/api/v1/catalog'))) as Thing[]
  } catch (error) {
    whyNone(error) // the list stays as it is
  }
})
const offers = computed(() => catalog.value.flatMap((one) => one.serves))
function want(service: string): void {
  const one = catalog.value.find((thing) => (thing.serves as string[]).includes(service))
  if (one) void store.addThings([{ ...one, bought: false }])
}

function edit(id: number, fields: { price?: number | null; bought?: boolean }): void {
  const before = store.things[String(id)]!
  void store.editThings([[id, before, { ...before, ...fields }]])
}
</script>

<template>
  <div v-if="store.kept && store.figures && plan" class="page money" :aria-busy="page.busy.value">
    <section class="left" aria-label="What it has cost, and will">
      <div class="top">
        <h1>Money</h1>
        <p v-if="page.answer.value" class="answer">
          <b data-testid="bought">{{ amount(page.answer.value.bought_minor) }}</b> bought,
          <b data-testid="planned">{{ amount(page.answer.value.planned_minor) }}</b>
          planned<template v-if="page.answer.value.wasted_minor"
            >,
            <b data-testid="wasted">{{ amount(page.answer.value.wasted_minor) }}</b>
            wasted</template
          ><template v-if="page.answer.value.per_trip_minor != null"
            >, <b data-testid="per-trip">{{ amount(page.answer.value.per_trip_minor) }}</b> a
            trip</template
          >
        </p>
        <label class="trips"
          >trips so far
          <CellInput
            type="number"
            min="0"
            :value="plan.trips"
            data-testid="trips"
            @take="take({ trips: numberIn($event) })"
          />
          <span v-if="page.answer.value?.logged" class="soft" data-testid="logged"
            >{{ page.answer.value.logged }} in the log</span
          ></label
        >
      </div>
      <p v-if="page.trouble.value" class="stop" role="alert">{{ page.trouble.value }}</p>
      <ChoiceGroup
        v-model="shown"
        label="What is shown"
        :options="[
          ['items', 'By item'],
          ['places', 'By place'],
          ['phases', 'Phases of the build'],
        ]"
      />
      <div v-if="page.answer.value" class="card pad gap">
        <template v-if="shown === 'items'">
          <LedgerTable
            :rows="page.answer.value.rows"
            :things="store.things"
            :currency="plan.currency"
            :held="page.held.value"
            :add="store.addPurchase"
            @price="(id, minor) => edit(id, { price: minor === null ? null : minor / MINOR })"
            @bought="(id, bought) => edit(id, { bought })"
            @change="store.changePurchase"
            @drop="store.dropPurchase"
          />
        </template>
        <table v-else-if="shown === 'places'" data-testid="by-place">
          <thead>
            <tr>
              <th scope="col">Place</th>
              <th scope="col" class="num">Items</th>
              <th scope="col" class="num">Bought</th>
              <th scope="col" class="num">Planned</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in page.answer.value.places" :key="row.where ?? ''">
              <th scope="row">{{ row.where ?? 'Ashore' }}</th>
              <td class="num">{{ row.count }}</td>
              <td class="num">{{ amount(row.bought_minor) }}</td>
              <td class="num">{{ row.planned_minor ? amount(row.planned_minor) : '' }}</td>
            </tr>
          </tbody>
        </table>
        <PhaseTable
          v-else
          :phases="page.answer.value.phases"
          :plan="plan"
          :things="store.things"
          :aboard="store.aboardByName"
          :units="look.units"
          @take="take"
        />
      </div>
    </section>
    <section class="side" aria-label="The budget">
      <BudgetCard
        v-if="page.answer.value"
        :budget="page.answer.value.budget"
        :judging="store.kept.setup.judging"
        :plan="plan"
        :things="store.things"
        :offers="offers"
        :units="look.units"
        @take="take"
        @want="want"
        @judge="store.putJudging($event)"
      />
      <TopicFindings topic="money" fine="Nothing bought twice, nothing over budget" class="gap">
        <p v-if="page.answer.value?.unpriced.length" class="soft">
          Without a price: {{ page.answer.value.unpriced.map(nameOf).join(', ') }}
        </p>
      </TopicFindings>
    </section>
  </div>
</template>

<style scoped src="@/setup/page.css"></style>
<style scoped src="@/kit/cards.css"></style>
<style scoped src="./tables.css"></style>
<style scoped>
.trips {
  display: flex;
  gap: 6px;
  align-items: center;
  margin-left: auto;
  font-size: 12px;
}
.trips input {
  width: 60px;
}
</style>
