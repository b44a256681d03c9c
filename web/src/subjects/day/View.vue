<script setup lang="ts">
/** Day: a ribbon of hours under the boat, what changes through them, and the worst of it. */
import { useElementSize } from '@vueuse/core'
import { computed, onScopeDispose, ref, useTemplateRef } from 'vue'
import type { DayPlan, FullDay, Schemas } from '@/api/client'
import { askRounds } from '@/api/rounds'
import { clock } from '@/kit/clock'
import { show } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import { said } from '@/kit/words'
import type { DayChange } from '@/setup/changing'
import type { HowFigure } from '@/setup/how'
import HowDrawer from '@/setup/HowDrawer.vue'
import { useLook } from '@/setup/look'
import TopicFindings from '@/setup/TopicFindings.vue'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'
import DayBoat from './DayBoat.vue'
import DayCharts from './DayCharts.vue'
import DayRibbon from './DayRibbon.vue'
import { at } from './moments'
import PhasesForm from './PhasesForm.vue'
import StoresForm from './StoresForm.vue'

const LEFT = 40
const RIGHT = 18 // half of the clock that stands under the last hour
const USUAL: NonNullable<DayPlan['phases']> = [
  { kind: 'launch', hours: 0.5, air_c: 18 },
  { kind: 'travel', hours: 1, air_c: 20 },
  { kind: 'fish', hours: 3, air_c: 24 },
  { kind: 'back', hours: 1, air_c: 24 },
  { kind: 'haul out', hours: 0.5, air_c: 24 },
]
const store = useSetup()
const look = useLook()
const figure = ref<HowFigure | null>(null)
const chosen = ref<number | null>(null)

const plan = computed(() => store.kept?.setup.outing ?? null)
const planned = computed(() => plan.value?.phases != null)
const figures = computed(() => store.figures?.outing ?? null)
const take = (fields: DayChange) => void store.putDay(fields)
/** Told of only where it takes longer than one waits without a word. */
const SLOW_MS = 300
const round = ref<Schemas['DayRound'] | null>(null)
const slow = ref(false)
const asked = ref(0)
const stopped = ref(false)
let under: AbortController | null = null
async function workOut(setup_id: number): Promise<FullDay | null> {
  under?.abort()
  if (store.confirmed?.setup.outing?.phases == null) return null
  const mine = (under = new AbortController())
  round.value = null
  stopped.value = false
  const late = setTimeout(() => (slow.value = mine === under), SLOW_MS)
  try {
    const last = await askRounds<Schemas['DayRound']>(
      `/api/v1/setups/${setup_id}/day/rounds`,
      mine.signal,
      (now) => (round.value = now),
    )
    return (last?.day as FullDay | null | undefined) ?? full.answer.value
  } finally {
    clearTimeout(late)
    if (mine === under) slow.value = false
  }
}
function stop(): void {
  under?.abort()
  stopped.value = true
}
onScopeDispose(() => under?.abort())
const full = usePage<FullDay | null>(workOut, [asked])
const day = computed(() => full.answer.value ?? null)
const hour = computed(() => {
  const of = day.value?.figures
  if (!of) return 0
  const wanted = chosen.value ?? of.worst?.h ?? of.start_h
  return Math.min(of.end_h, Math.max(of.start_h, wanted))
})
const worst = computed(() => figures.value?.worst ?? null)
const { nameOf } = store
/** Where a thing is at the hour: where it is aboard, or where it was moved to by then. */
function spot(id: number): [number, number, number] | null {
  const row = store.figures?.aboard.find((one) => one.thing_id === id)
  if (!row) return null
  const moved = day.value?.moved.filter((one) => one.thing_id === id && one.h <= hour.value)
  const last = moved?.at(-1)
  return [last?.x_m ?? row.centre[0], last?.y_m ?? row.centre[1], row.centre[2]]
}
const now = (read: (row: FullDay['rows'][number]) => number | null) =>
  day.value ? at(day.value.rows, hour.value, read) : null
const told = (value: number | null, kind: 'mass' | 'length' | 'angle', digits?: number) =>
  value === null ? '—' : show(value, kind, look.units, digits)

const left = useTemplateRef<HTMLElement>('left')
const { width } = useElementSize(left)
const wide = computed(() => Math.max(300, width.value - 26))
</script>

<template>
  <div
    v-if="store.kept && store.drawing && store.figures && plan"
    class="page day"
    :aria-busy="full.busy.value"
  >
    <section ref="left" class="left" aria-label="The day by its hours">
      <div class="top">
        <h1>Day</h1>
        <p v-if="worst" class="answer">
          <button
            type="button"
            class="how"
            title="How was this computed?"
            @click="figure = 'day worst'"
          >
            worst at <b data-testid="worst-h">{{ clock(worst.h) }}</b>, {{ worst.kind }}
          </button>
          &nbsp;<VerdictMark :verdict="worst.verdict" />
          {{ show(Math.max(0, worst.share), 'ratio', look.units) }} of the way to a fix<template
            v-if="figures?.sun?.set_h != null"
          >
            ·
            <button type="button" class="how" @click="figure = 'day sun'">
              sunset {{ clock(figures.sun.set_h) }}
            </button></template
          >
        </p>
      </div>
      <p v-if="full.trouble.value" class="stop" role="alert">{{ full.trouble.value }}</p>
      <p v-if="slow" class="under-way" data-testid="day-progress">
        <progress
          :value="round?.done ?? 0"
          :max="round?.total ?? 1"
          aria-label="Floating the day"
        />
        {{ round ? `${round.done} of ${round.total} moments` : 'starting' }}
        <button type="button" class="small" @click="stop">Stop</button>
      </p>
      <p v-else-if="stopped" class="under-way" role="status">
        Stopped: what is shown is the day as it was before.
        <button type="button" class="small" @click="asked += 1">Go on</button>
      </p>
      <p v-if="figures?.trouble" class="stop" role="alert">{{ figures.trouble }}</p>
      <div v-if="!planned" class="card pad empty">
        <p>
          A setup is judged as it leaves the ramp; but ice melts, water is drunk, the catch grows,
          the tank is filled and emptied, and dark comes. Say how the day goes, and every hour of it
          is floated.
        </p>
        <button
          type="button"
          class="small go"
          data-testid="start-day"
          @click="take({ phases: USUAL })"
        >
          start from a usual morning
        </button>
      </div>
      <div v-if="planned && day && width > 0" class="card pad">
        <DayBoat
          :drawing="store.drawing"
          :day="day"
          :hour="hour"
          :plan="plan"
          :spot="spot"
          :units="look.units"
          :width="wide"
        />
        <DayRibbon
          :day="day"
          :hour="hour"
          :width="wide"
          :left="LEFT"
          :right="RIGHT"
          @hour="chosen = $event"
        />
        <p class="now" aria-live="polite" data-testid="hour-told">
          <b>{{ clock(hour) }}</b>
          {{
            told(
              now((row) => row.total_kg),
              'mass',
            )
          }}
          all up, list
          {{
            told(
              now((row) => row.list_deg),
              'angle',
              1,
            )
          }}, trim
          {{
            told(
              now((row) => row.trim_deg),
              'angle',
              1,
            )
          }},
          {{
            told(
              now((row) => row.freeboard_m),
              'length',
              0,
            )
          }}
          of side, leaning
          {{
            told(
              now((row) => row.lean_freeboard_m),
              'length',
              0,
            )
          }}, GM
          {{
            told(
              now((row) => row.gm_m),
              'length',
            )
          }}
        </p>
        <DayCharts
          :day="day"
          :hour="hour"
          :units="look.units"
          :width="wide"
          :left="LEFT"
          :right="RIGHT"
        />
        <ul v-if="day.told.length" class="told" data-testid="told">
          <li v-for="(one, i) in day.told" :key="i">{{ said(one, look.units) }}</li>
        </ul>
        <table v-if="figures?.packs.length">
          <tbody>
            <tr v-for="one in figures.packs" :key="`${one.bank}${one.battery}`">
              <th scope="row">{{ nameOf(one.battery) }}</th>
              <td>
                {{ show(one.left_wh, 'work', look.units) }} of
                {{ show(one.usable_wh, 'work', look.units) }} left
              </td>
              <td>{{ one.empty_h == null ? 'lasts' : `empty at ${clock(one.empty_h)}` }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
    <section class="side" aria-label="Phases and stores">
      <PhasesForm
        v-if="planned"
        :plan="plan"
        :day="store.kept.setup.day ?? null"
        :units="look.units"
        @take="take"
        @day="store.putSetup({ ...store.kept.setup, day: $event })"
      />
      <StoresForm
        v-if="planned"
        :plan="plan"
        :gone="figures?.gone ?? []"
        :things="store.things"
        :aboard="store.aboardByName"
        :units="look.units"
        class="gap"
        @take="take"
      />
      <TopicFindings topic="day" fine="The day holds" class="gap">
        <p class="soft">
          At each hour this is the boat left alone: waves, wind and a tired body come on top.
        </p>
      </TopicFindings>
    </section>
    <HowDrawer
      :setup_id="store.kept.setup_id"
      :revision="store.kept.revision"
      :figure="figure"
      :units="look.units"
      @close="figure = null"
    />
  </div>
</template>

<style scoped src="@/setup/page.css"></style>
<style scoped src="@/kit/cards.css"></style>
<style scoped>
.empty p {
  max-width: 60ch;
}
.under-way {
  display: flex;
  gap: 10px;
  align-items: center;
  margin: 4px 0;
}
.under-way progress {
  width: 220px;
  accent-color: var(--pick);
}
.now,
.told {
  margin: 4px 0 8px;
  font-size: 12.5px;
}
.told {
  padding-left: 18px;
}
table {
  font-size: 12px;
}
th,
td {
  padding: 1px 12px 1px 0;
  text-align: left;
  font-weight: 400;
}
</style>
