<script setup lang="ts">
/** Phases of the build side by side: each with its weight, how it lies, what it costs and clears. */
import type { Schemas, Thing } from '@/api/client'
import { CHOICES } from '@/api/words'
import { pick } from '@/kit/heard'
import { showMoney } from '@/kit/money'
import { show, type Kind, type Units } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import { listWords, said, trimWords } from '@/kit/words'
import type { MoneyChange } from '@/setup/changing'

type Row = Schemas['PhaseRow']
type Phase = Row['phase']
const props = defineProps<{
  phases: Row[]
  plan: Schemas['MoneyPlan']
  things: Record<string, Thing>
  aboard: number[]
  units: Units
}>()
const emit = defineEmits<{ take: [fields: MoneyChange] }>()
const nameOf = (id: number) => props.things[String(id)]?.name ?? ''
const names = (ids: number[]) => ids.map(nameOf).join(', ')
const amount = (value: number | null | undefined, kind: Kind) =>
  value == null ? '—' : show(value, kind, props.units)
const money = (minor: number) => showMoney(minor, props.plan.currency)
const comes = (id: number): Phase => props.plan.phases[String(id)] ?? 'now'
const until = (id: number): Phase | '' => props.plan.until[String(id)] ?? ''
function setComes(id: number, event: Event): void {
  const phase = pick(event) as Phase
  emit('take', { phases: { [id]: phase === 'now' ? null : phase } })
}
function setUntil(id: number, event: Event): void {
  emit('take', { until: { [id]: (pick(event) || null) as Phase | null } })
}
const LATER = CHOICES.PhaseRow.phase.filter((one) => one !== 'now' && one !== 'never')
</script>

<template>
  <div>
    <div class="scroll">
      <table data-testid="phases">
        <thead>
          <tr>
            <th><span class="unseen">Figure</span></th>
            <th v-for="one in phases" :key="one.phase" scope="col">{{ one.phase }}</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">Comes</th>
            <td v-for="one in phases" :key="one.phase">{{ names(one.comes) }}</td>
          </tr>
          <tr v-if="phases.some((one) => one.goes.length)">
            <th scope="row">Goes</th>
            <td v-for="one in phases" :key="one.phase">{{ names(one.goes) }}</td>
          </tr>
          <tr>
            <th scope="row">Gear</th>
            <td v-for="one in phases" :key="one.phase" :data-testid="`gear-${one.phase}`">
              {{ amount(one.gear_kg, 'mass') }}
            </td>
          </tr>
          <tr>
            <th scope="row">Carried</th>
            <td v-for="one in phases" :key="one.phase">
              <VerdictMark :verdict="one.weight_verdict" bare />
              {{ amount(one.carried_kg, 'mass') }}
            </td>
          </tr>
          <tr>
            <th scope="row">Lies</th>
            <td v-for="one in phases" :key="one.phase">
              {{
                one.trim_deg == null || one.heel_deg == null
                  ? (one.trouble ?? '')
                  : `${trimWords(one.trim_deg)}, ${listWords(one.heel_deg)}`
              }}
            </td>
          </tr>
          <tr>
            <th scope="row">GM</th>
            <td v-for="one in phases" :key="one.phase">{{ amount(one.gm_m, 'length') }}</td>
          </tr>
          <tr>
            <th scope="row">Least freeboard</th>
            <td v-for="one in phases" :key="one.phase">
              {{ amount(one.least_freeboard_m, 'length') }}
            </td>
          </tr>
          <tr>
            <th scope="row">Costs</th>
            <td v-for="one in phases" :key="one.phase" :data-testid="`cost-${one.phase}`">
              {{ money(one.cost_minor) }}
              <span v-if="one.unpriced.length" class="soft"
                >and {{ names(one.unpriced) }} without a price</span
              >
            </td>
          </tr>
          <tr>
            <th scope="row">So far</th>
            <td v-for="one in phases" :key="one.phase">{{ money(one.total_minor) }}</td>
          </tr>
          <tr>
            <th scope="row">Holes</th>
            <td v-for="one in phases" :key="one.phase">
              {{ one.holes }}
              <span v-if="one.idle_holes.length" class="fix">
                of no use by then: {{ one.idle_holes.join(', ') }}</span
              >
            </td>
          </tr>
          <tr>
            <th scope="row">Findings</th>
            <td v-for="one in phases" :key="one.phase">
              {{ one.stop }} no-go, {{ one.fix }} fix, {{ one.watch }} watch
            </td>
          </tr>
          <tr v-if="phases.some((one) => one.gained.length || one.lost.length)">
            <th scope="row">New, and gone</th>
            <td v-for="one in phases" :key="one.phase">
              <p v-for="(row, i) in one.gained" :key="`g${i}`">+ {{ said(row, units) }}</p>
              <p v-for="(row, i) in one.lost" :key="`l${i}`" class="soft">
                − {{ said(row, units) }}
              </p>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <h2>When each comes</h2>
    <ul>
      <li v-for="id in aboard" :key="id">
        <span>{{ nameOf(id) }}</span>
        <select
          :value="comes(id)"
          :aria-label="`When ${nameOf(id)} comes`"
          :data-testid="`phase-${id}`"
          @change="setComes(id, $event)"
        >
          <option v-for="one in CHOICES.PhaseRow.phase" :key="one">{{ one }}</option>
        </select>
        <select
          :value="until(id)"
          :aria-label="`When ${nameOf(id)} goes ashore`"
          @change="setUntil(id, $event)"
        >
          <option value="">and stays</option>
          <option v-for="one in LATER" :key="one" :value="one">until {{ one }}</option>
        </select>
      </li>
    </ul>
  </div>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
.scroll {
  overflow-x: auto;
}
td,
tbody th {
  vertical-align: top;
}
td p {
  margin: 0 0 2px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
  gap: 2px 18px;
  margin: 4px 0;
  padding: 0;
  list-style: none;
  font-size: 12.5px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 88px 104px;
  gap: 6px;
  align-items: center;
  min-height: 28px;
}
h2 {
  margin-top: 12px;
}
@media (max-width: 700px) {
  ul {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
