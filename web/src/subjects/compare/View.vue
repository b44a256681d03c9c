<script setup lang="ts">
/** Two to four setups, or past states of them, side by side. */
import { computed, ref, shallowRef, watch } from 'vue'
import { api, ask, type Comparison, type Finding, type Schemas } from '@/api/client'
import { useAsked } from '@/kit/useAsked'
import PlansOver from '@/drawing/PlansOver.vue'
import { number, unitOf, type Kind } from '@/kit/units'
import { said } from '@/kit/words'
import VerdictMark from '@/kit/VerdictMark.vue'
import { useLook } from '@/setup/look'
import { useSetup } from '@/setup/useSetup'

const store = useSetup()
const look = useLook()

interface Chosen {
  setup_id: number
  step: number | null
}
const chosen = ref<Chosen[]>([])
const history = shallowRef<ReadonlyMap<number, Schemas['Step'][]>>(new Map())
const hidden = ref<ReadonlySet<number>>(new Set())
const MOST = 4

const open = computed(() => store.names.filter((one) => !one.archived))

/** The open setup against its beginning, or against another one. */
function begin(): void {
  const mine = store.kept?.setup_id
  if (mine === undefined) return
  const other = open.value.find((one) => one.setup_id !== mine)
  const first = store.kept?.undo_label
    ? { setup_id: mine, step: 0 }
    : { setup_id: other?.setup_id ?? mine, step: null }
  chosen.value = [first, { setup_id: mine, step: null }]
}
watch(() => store.kept?.setup_id, begin, { immediate: true })

async function loadSteps(setup_id: number): Promise<void> {
  const steps = await ask(
    api.GET('/api/v1/setups/{setup_id}/history', { params: { path: { setup_id } } }),
  )
  history.value = new Map([...history.value, [setup_id, steps]])
}

const asked = useAsked<Comparison>()
const { answer: found, trouble } = asked
async function compare(): Promise<void> {
  const answered = await asked.put(async () => {
    await Promise.all([...new Set(chosen.value.map((one) => one.setup_id))].map(loadSteps))
    return (await ask(api.POST('/api/v1/compare', { body: { sides: chosen.value } }))) as Comparison
  })
  if (!answered && trouble.value) found.value = null
}
watch([chosen, () => store.kept?.revision], () => chosen.value.length > 1 && void compare(), {
  deep: true,
  immediate: true,
})

function choose(at: number, change: Partial<Chosen>): void {
  const next = { ...chosen.value[at]!, ...change }
  if (change.setup_id !== undefined) next.step = null
  chosen.value = chosen.value.map((one, i) => (i === at ? next : one))
}
function add(): void {
  chosen.value = [...chosen.value, { setup_id: store.kept!.setup_id, step: null }]
}
function drop(at: number): void {
  chosen.value = chosen.value.filter((_, i) => i !== at)
  hidden.value = new Set()
}
function toggle(at: number): void {
  const now = new Set(hidden.value)
  if (!now.delete(at)) now.add(at)
  hidden.value = now
}

const DIGITS: Partial<Record<Kind, number>> = { angle: 1 }
const figure = (value: number | null, kind: Kind) =>
  value === null ? '–' : number(value, kind, look.units, DIGITS[kind])
function change(value: number | null, kind: Kind): string {
  if (value === null) return ''
  const text = number(value, kind, look.units, DIGITS[kind])
  return Number(text) === 0 ? '' : value > 0 ? `+${text}` : text
}
const unit = (kind: Kind) => unitOf(kind, look.units)
const words = (one: Finding) => said(one.title, look.units)
</script>

<template>
  <div class="compare">
    <div class="heads" :style="{ '--n': chosen.length }">
      <div v-for="(one, i) in chosen" :key="i" class="head" :class="`mark${i}`">
        <b>{{ i + 1 }}{{ i ? '' : ' · the others are compared with this' }}</b>
        <select
          :aria-label="`Setup ${i + 1}`"
          :value="one.setup_id"
          :data-testid="`side-${i}`"
          @change="choose(i, { setup_id: Number(($event.target as HTMLSelectElement).value) })"
        >
          <option v-for="name in open" :key="name.setup_id" :value="name.setup_id">
            {{ name.name }} · {{ name.boat }}
          </option>
        </select>
        <select
          :aria-label="`State of setup ${i + 1}`"
          :value="one.step ?? ''"
          :data-testid="`step-${i}`"
          @change="
            choose(i, {
              step:
                ($event.target as HTMLSelectElement).value === ''
                  ? null
                  : Number(($event.target as HTMLSelectElement).value),
            })
          "
        >
          <option value="">as it is now</option>
          <option
            v-for="step in history.get(one.setup_id) ?? []"
            :key="step.number"
            :value="step.number"
          >
            after {{ step.number }}: {{ step.label }}
          </option>
          <option :value="0">as it began</option>
        </select>
        <span class="acts">
          <label>
            <input type="checkbox" :checked="!hidden.has(i)" @change="toggle(i)" /> drawn
            <svg width="34" height="8" aria-hidden="true"><path d="M0 4H34" /></svg>
          </label>
          <button v-if="chosen.length > 2" type="button" class="link" @click="drop(i)">
            leave out
          </button>
        </span>
      </div>
      <button
        v-if="chosen.length < MOST"
        type="button"
        class="link add"
        data-testid="add-side"
        @click="add"
      >
        one more
      </button>
    </div>
    <p v-if="trouble" class="stop" role="alert">{{ trouble }}</p>
    <template v-if="found">
      <section class="plans" aria-label="Plans">
        <PlansOver :sides="found.sides" :hidden="hidden" />
      </section>
      <div class="tables">
        <section>
          <h2>Figures</h2>
          <table data-testid="compare-figures">
            <thead>
              <tr>
                <th scope="col"><span class="unseen">Figure</span></th>
                <th v-for="(_, i) in found.sides" :key="i" scope="col" :class="`mark${i}`">
                  {{ i + 1 }}
                </th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in found.figures" :key="row.label" :data-figure="row.label">
                <th scope="row">
                  {{ row.label }} <span class="soft">{{ '\u00a0' }}{{ unit(row.kind) }}</span>
                </th>
                <td v-for="(value, i) in row.values" :key="i" class="num">
                  <VerdictMark v-if="row.verdicts[i]" :verdict="row.verdicts[i]!" bare />
                  {{ figure(value, row.kind) }}
                  <span class="change">{{ i ? change(row.changes[i]!, row.kind) : '' }}</span>
                </td>
              </tr>
            </tbody>
          </table>
        </section>
        <section>
          <h2>Gear by place, bow to stern</h2>
          <table data-testid="compare-weights">
            <tbody>
              <tr v-for="row in found.weights" :key="row.where">
                <th scope="row">{{ row.where }}</th>
                <td v-for="(mass, i) in row.mass_kg" :key="i" class="num">
                  {{ number(mass, 'mass', look.units) }}
                  <span class="change">{{ i ? change(row.changes_kg[i]!, 'mass') : '' }}</span>
                </td>
              </tr>
            </tbody>
          </table>
        </section>
        <section class="findings" data-testid="compare-findings">
          <h2>Findings against 1</h2>
          <template v-for="(side, i) in found.sides" :key="i">
            <div v-if="i" class="against">
              <h3 :class="`mark${i}`">{{ i + 1 }} · {{ side.name }}</h3>
              <p v-if="!side.lost.length && !side.gained.length" class="soft">The same findings.</p>
              <p v-for="one in side.lost" :key="`l${one.key}`" class="gone">
                <VerdictMark :verdict="one.verdict" bare />
                <span class="unseen">gone or milder: </span><s>{{ words(one) }}</s>
              </p>
              <p v-for="one in side.gained" :key="`g${one.key}`">
                <VerdictMark :verdict="one.verdict" bare /> new or worse: {{ words(one) }}
              </p>
            </div>
          </template>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped>
.compare {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 12px 16px 24px;
}
.heads {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: flex-start;
}
.head {
  display: flex;
  flex: 1 1 220px;
  flex-direction: column;
  gap: 4px;
  max-width: 320px;
  padding: 8px 10px;
  border: 1px solid var(--line);
  border-top: 3px solid currentcolor;
  border-radius: 6px;
  background: var(--card);
}
.mark0 {
  color: var(--soft);
}
.mark1 {
  color: var(--pick);
}
.mark2 {
  color: var(--fix);
}
.mark3 {
  color: var(--fine);
}
select {
  height: 26px;
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font-size: 13px;
}
.acts {
  display: flex;
  justify-content: space-between;
}
label {
  display: flex;
  gap: 5px;
  align-items: center;
  color: var(--ink);
  font-size: 12px;
}
label svg {
  stroke-width: 2;
}
.mark0 svg {
  stroke: var(--soft);
}
.mark1 svg {
  stroke: var(--pick);
  stroke-dasharray: none;
}
.mark2 svg {
  stroke: var(--fix-mark);
  stroke-dasharray: 5 3;
}
.mark3 svg {
  stroke: var(--fine);
  stroke-dasharray: 9 3 2 3;
}
.head .link,
.add {
  align-self: center;
}
.plans {
  padding: 6px 0;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.tables {
  display: grid;
  grid-template-columns: minmax(0, auto) minmax(0, auto) minmax(260px, 1fr);
  gap: 24px;
  align-items: start;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 2px 12px 2px 0;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  text-align: left;
  white-space: nowrap;
}
td.num {
  text-align: right;
}
thead th {
  text-align: right;
}
.change {
  display: inline-block;
  min-width: 44px;
  color: var(--soft);
}
.findings p {
  margin: 2px 0;
}
.findings .verdict {
  margin-right: 4px;
}
.gone {
  color: var(--soft);
}
h3 {
  margin: 6px 0 2px;
  font-size: 13px;
  font-weight: 600;
}
@media (max-width: 900px) {
  .tables {
    grid-template-columns: minmax(0, 1fr);
    overflow-x: auto;
  }
}
</style>
