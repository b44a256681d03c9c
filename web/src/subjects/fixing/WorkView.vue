<script setup lang="ts">
/** The order of the work: steps to tick off, tools, bits, and what to have ready. */
import { computed } from 'vue'
import { api, ask, type Schemas } from '@/api/client'
import CautionLines from '@/kit/CautionLines.vue'
import { show } from '@/kit/units'
import { told } from '@/kit/words'
import { useLook } from '@/setup/look'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'

type WorkPlan = Schemas['WorkPlan']
const store = useSetup()
const look = useLook()
const asked = usePage<WorkPlan>((setup_id) =>
  ask(api.GET('/api/v1/setups/{setup_id}/fixing/work', { params: { path: { setup_id } } })),
)
const plan = asked.answer
const done = computed(() => store.kept?.setup.fixing.done ?? {})
const left = computed(() => plan.value?.steps.filter((one) => !done.value[one.code]).length ?? 0)
const price = computed(() => plan.value?.needs.reduce((sum, one) => sum + (one.price ?? 0), 0) ?? 0)

function tick(code: string, event: Event): void {
  const day = new Date().toISOString().slice(0, 10)
  const on = (event.target as HTMLInputElement).checked
  void store.putFixing({ done: { [code]: on ? day : null } })
}
function hours(minutes: number): string {
  const whole = Math.round(minutes)
  if (whole < 60) return `${whole} min`
  return `${Math.floor(whole / 60)} h${whole % 60 ? ` ${whole % 60} min` : ''}`
}
/** What a step takes, and how long it holds up the next. */
const detail = (one: WorkPlan['steps'][number]) =>
  [
    one.bit_mm && `bit ${show(one.bit_mm / 1000, 'thin', look.units)}`,
    one.parts.join(', '),
    one.tools.join(', '),
    one.wait_min && `then wait ${hours(one.wait_min)}`,
    done.value[one.code] && `done ${done.value[one.code]}`,
  ]
    .filter(Boolean)
    .join(' · ')
const pdf = computed(
  () => `/api/v1/setups/${store.kept?.setup_id}/fixing/work.pdf?units=${look.units}`,
)
const amount = (count: number, unit: string) =>
  unit === 'm'
    ? show(count, 'length', look.units, 0)
    : `${Number(count.toPrecision(3))} ${unit === 'pcs' ? '×' : unit}`
</script>

<template>
  <div v-if="store.kept" class="work" :aria-busy="asked.busy.value">
    <section class="steps" aria-label="Steps of the work">
      <div class="top">
        <h1>Work</h1>
        <template v-if="plan?.steps.length">
          <span
            ><b>{{ left }}</b> of {{ plan.steps.length }} left</span
          >
          <span
            ><b>{{ hours(plan.hands_min) }}</b> by hand</span
          >
          <span
            >done after <b>{{ hours(plan.finish_min) }}</b>, waiting included</span
          >
          <a :href="pdf" target="_blank" data-testid="work-pdf">PDF</a>
        </template>
      </div>
      <p v-if="asked.trouble.value" class="stop" role="alert">{{ asked.trouble.value }}</p>
      <p v-if="plan?.trouble" class="stop" role="alert">{{ plan.trouble }}</p>
      <p v-if="plan && !plan.steps.length" class="soft card">
        Nothing to do yet. Describe how an item is mounted on the
        <RouterLink to="/fixing">Fixing</RouterLink> screen, or lay a wire on the
        <RouterLink to="/power">Power</RouterLink> screen.
      </p>
      <ol v-if="plan?.steps.length" class="card" data-testid="work-steps">
        <li v-for="one in plan.steps" :key="one.code" :class="{ done: done[one.code] }">
          <label>
            <input
              type="checkbox"
              :checked="Boolean(done[one.code])"
              :data-step="one.code"
              @change="tick(one.code, $event)"
            />
            <span class="words">{{
              told(one.words.text, one.words.amounts ?? [], look.units)
            }}</span>
          </label>
          <span class="num soft">{{ one.hands_min ? hours(one.hands_min) : '' }}</span>
          <span class="more soft">
            {{ detail(one) }}
          </span>
        </li>
      </ol>
    </section>
    <section v-if="plan?.steps.length" class="ready" aria-label="What to have ready">
      <div class="card">
        <h2>To have ready</h2>
        <table>
          <tbody>
            <tr v-for="one in plan.needs" :key="one.what">
              <td class="num">{{ amount(one.count, one.unit) }}</td>
              <th scope="row">{{ one.what }}</th>
              <td class="num soft">{{ one.price === null ? '' : one.price.toFixed(2) }}</td>
            </tr>
            <tr>
              <td />
              <th scope="row">about, by rough prices</th>
              <td class="num">{{ price.toFixed(2) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="card">
        <h2>Bits, in the order of use</h2>
        <p class="num">
          {{
            plan.bits_mm.map((one) => show(one / 1000, 'thin', look.units)).join(' · ') || 'none'
          }}
        </p>
        <h2>Tools</h2>
        <p>{{ plan.tools.join(', ') || 'none' }}</p>
      </div>
      <div class="card">
        <CautionLines :cautions="plan.cautions" />
      </div>
    </section>
  </div>
</template>

<style scoped>
.work {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 420px;
  gap: 16px;
  padding: 12px 18px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
  margin-bottom: 8px;
}
.card {
  margin: 0 0 12px;
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
ol {
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 12px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
li:first-child {
  border-top: 0;
}
li label {
  display: flex;
  gap: 8px;
  align-items: center;
  cursor: pointer;
}
li input {
  width: 16px;
  height: 16px;
  flex: none;
}
.more {
  grid-column: 1 / -1;
  padding-left: 30px;
  font-size: 12px;
}
.done .words {
  color: var(--soft);
  text-decoration: line-through;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td,
th {
  padding: 3px 8px 3px 0;
  border-top: 1px solid var(--line);
  font-weight: 400;
  text-align: left;
}
td.num {
  text-align: right;
  white-space: nowrap;
}
h2 {
  margin: 4px 0;
}
.card p {
  margin: 4px 0 8px;
}
@media (max-width: 900px) {
  .work {
    display: flex;
    flex-direction: column;
    padding: 10px;
  }
  .work section {
    width: 100%;
  }
}
</style>
