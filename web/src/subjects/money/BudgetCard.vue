<script setup lang="ts">
/** Musts first, then the best of the rest for what is left, and why something is left out. */
import type { Judging, Schemas, Thing } from '@/api/client'
import { CHOICES } from '@/api/words'
import CellInput from '@/kit/CellInput.vue'
import { showMoney } from '@/kit/money'
import MoneyInput from '@/kit/MoneyInput.vue'
import type { Units } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import { said } from '@/kit/words'
import { pick } from '@/kit/heard'
import type { MoneyChange } from '@/setup/changing'
import TickBox from '@/kit/TickBox.vue'

type Want = Schemas['WantRow']
const props = defineProps<{
  budget: Schemas['BudgetFigure']
  plan: Schemas['MoneyPlan']
  judging: Judging
  things: Record<string, Thing>
  /** what the catalogue has something for */
  offers: string[]
  units: Units
}>()
const emit = defineEmits<{
  take: [fields: MoneyChange]
  judge: [fields: Partial<Judging>]
  want: [service: string]
}>()
const nameOf = (id: number | null | undefined) =>
  id == null ? '' : (props.things[String(id)]?.name ?? '')
const names = (ids: number[]) => ids.map(nameOf).join(' and ')
const amount = (minor: number | null) => showMoney(minor, props.plan.currency)
const STATE = { have: 'yours', buy: 'to buy', missing: 'not in your gear yet' } as const
function why(one: Want): string {
  if (one.chosen) return 'in the budget'
  if (one.too_dear) return 'more than what is left'
  if (one.instead.length)
    return `for its ${amount(one.minor)}, ${names(one.instead)} bring${one.instead.length > 1 ? '' : 's'} more`
  return ''
}
</script>

<template>
  <div class="card pad" data-testid="budget">
    <div class="fields">
      <label
        >Budget
        <MoneyInput
          :model-value="plan.budget_minor ?? null"
          label="Budget"
          optional
          testid="budget-minor"
          @update:model-value="emit('take', { budget_minor: $event })"
      /></label>
      <label
        >in
        <CellInput
          class="short"
          :maxlength="8"
          :value="plan.currency"
          label="Currency"
          placeholder="currency"
          data-testid="currency"
          @take="emit('take', { currency: $event.trim() })"
      /></label>
    </div>
    <div class="fields">
      <label
        >Trip on
        <select
          :value="judging.waters"
          data-testid="money-waters"
          @change="emit('judge', { waters: pick($event) as Judging['waters'] })"
        >
          <option v-for="one in CHOICES.Judging.waters" :key="one">{{ one }}</option>
        </select></label
      >
      <TickBox
        :on="judging.by_night"
        testid="money-night"
        @tick="emit('judge', { by_night: $event })"
        >into the dark</TickBox
      >
    </div>
    <h2 class="gap">Musts of this trip</h2>
    <ul>
      <li v-for="one in budget.musts" :key="one.service">
        <VerdictMark :verdict="one.state === 'have' ? 'fine' : one.verdict" bare />
        <span>{{ one.service }}</span>
        <span class="soft">{{ one.state === 'have' ? '' : nameOf(one.thing_id) }}</span>
        <button
          v-if="one.state === 'missing' && offers.includes(one.service)"
          type="button"
          class="small"
          :data-testid="`want-${one.service}`"
          @click="emit('want', one.service)"
        >
          put it on the list
        </button>
        <span v-else class="soft">{{ STATE[one.state] }}</span>
        <span class="num">{{ one.state === 'buy' ? amount(one.minor ?? null) : '' }}</span>
      </li>
    </ul>
    <p v-if="budget.left_minor != null && budget.left_minor < 0" class="stop" role="alert">
      The musts alone cost {{ amount(-budget.left_minor) }} more than the budget: get those first
      that stand first, and go where they do.
    </p>
    <p v-else-if="budget.left_minor != null" class="soft" data-testid="budget-left">
      {{ amount(budget.left_minor) }} left for the rest
    </p>
    <h2 class="gap">Planned, in the order of what it clears</h2>
    <p v-if="!budget.wants.length" class="soft">
      Nothing planned: untick <i>bought</i> of what is still to be bought, and give it a price.
    </p>
    <ul data-testid="wants">
      <li v-for="one in budget.wants" :key="one.thing_id" :class="{ out: !one.chosen }">
        <b>{{ one.chosen ? '✓' : '' }}</b>
        <span>{{ nameOf(one.thing_id) }}</span>
        <span class="soft">{{ budget.left_minor == null ? '' : why(one) }}</span>
        <span class="soft" :title="one.clears.map((row) => said(row, units)).join('; ')">{{
          one.clears.length ? `clears ${one.clears.length}` : ''
        }}</span>
        <span class="num">{{ amount(one.minor) }}</span>
      </li>
    </ul>
    <p class="soft">
      Worth: how often you use it, times what it clears. A must is never traded for a want.
    </p>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped>
h2.gap {
  margin-top: 10px;
}
ul {
  margin: 2px 0;
  padding: 0;
  list-style: none;
  font-size: 12.5px;
}
li {
  display: grid;
  grid-template-columns: 16px minmax(0, 1.1fr) minmax(0, 1.2fr) auto auto;
  gap: 6px;
  align-items: baseline;
  padding: 2px 0;
  border-top: 1px solid var(--line);
}
.out span:nth-of-type(1) {
  color: var(--soft);
}
.fields .short {
  width: 74px;
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 5px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
</style>
