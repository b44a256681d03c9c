<script setup lang="ts">
/** Safety: what a capsize takes and tangles, the boat full of water, and who sees you by night. */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { api, ask, type FullCapsize, type SafetyPlan } from '@/api/client'
import CautionLines from '@/kit/CautionLines.vue'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import { show } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import { listWords, trimWords } from '@/kit/words'
import type { SafetyChange } from '@/setup/changing'
import type { HowFigure } from '@/setup/how'
import HowDrawer from '@/setup/HowDrawer.vue'
import { useLook } from '@/setup/look'
import TopicFindings from '@/setup/TopicFindings.vue'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'
import { useSliding } from '@/setup/useSliding'
import DatesPanel from './DatesPanel.vue'
import FloatsForm from './FloatsForm.vue'
import FloatPlanPanel from './FloatPlanPanel.vue'
import FullBoat from './FullBoat.vue'
import LeashTable from './LeashTable.vue'
import LinesPlan from './LinesPlan.vue'
import OverColumn from './OverColumn.vue'
import SchoolsTable from './SchoolsTable.vue'
import SeenCard from './SeenCard.vue'
import SurfPanel from './SurfPanel.vue'
import TripCard from './TripCard.vue'

const store = useSetup()
const look = useLook()
const figure = ref<HowFigure | null>(null)
const shown = ref<'lines' | 'over' | 'full' | 'seen' | 'surf' | 'dates' | 'plan'>('lines')

const { sliding, setup, trial, tryOut, taken } = useSliding()
const plan = computed<SafetyPlan | null>(() => setup.value?.safety ?? null)
const figures = computed(() => store.figures?.capsize ?? null)
const take = (fields: SafetyChange) => taken(store.putSafety(fields))
const full = usePage<FullCapsize>(
  (setup_id) =>
    ask(
      api.POST('/api/v1/setups/{setup_id}/capsize', {
        params: { path: { setup_id } },
        body: trial.value,
      }),
    ),
  [sliding],
)

const nameOf = (id: number | null) =>
  id === null ? "the trolley's rope" : (store.things[String(id)]?.name ?? '')
const names = (ids: number[]) => ids.map(nameOf).join(', ')
const hands = computed(() => {
  const port = figures.value?.knife_port.length
  const starboard = figures.value?.knife_starboard.length
  return port && starboard ? 'both hands' : port || starboard ? 'one hand' : 'neither hand'
})
const bow_x_m = computed(() => store.drawing?.x_m.at(-1) ?? 0)
const length = (m: number | null | undefined) =>
  m == null ? '—' : show(m, 'length', look.units, 0)
/** Things put on a line, or taken off it, as one step. */
function tieAll(rows: [id: number, leashed: boolean][]): void {
  const changed = rows.flatMap(([id, leashed]) => {
    const before = store.things[String(id)]!
    const after = { ...before, fixing: { ...before.fixing, leashed } }
    return before.fixing.leashed === leashed ? [] : [[id, before, after] as const]
  })
  void store.editThings(changed.map(([id, before, after]) => [id, before, after]))
}
/** Of what is loose or on a line, these alone are tied. */
function tieAlone(ids: number[]): void {
  const fates = full.answer.value?.fates ?? []
  const held = fates.filter(
    (row) => row.load_kg != null || !['stays', 'with you'].includes(row.fate),
  )
  tieAll(held.map((row) => [row.thing_id, ids.includes(row.thing_id)]))
}

const left = useTemplateRef<HTMLElement>('left')
const { width } = useElementSize(left)
const wide = computed(() => Math.max(300, width.value - 26))
</script>

<template>
  <div
    v-if="store.kept && store.drawing && store.figures && figures && plan"
    class="page safety"
    :aria-busy="full.busy.value"
  >
    <section ref="left" class="left" aria-label="The boat when it goes wrong">
      <div class="top">
        <h1>Safety</h1>
        <p class="answer">
          A capsize takes <b data-testid="lost">{{ figures.lost.length }}</b> items worth
          <b data-testid="lost-price">{{ figures.lost_price }}</b>;
          <b data-testid="in-legs">{{ figures.in_legs.length }}</b> of {{ figures.lines }} lines
          come to your legs; {{ hands }} reach{{ hands === 'both hands' ? '' : 'es' }}
          a knife
        </p>
      </div>
      <p v-if="!store.figures.afloat" class="stop" role="alert">{{ store.figures.trouble }}</p>
      <p v-if="full.trouble.value" class="stop" role="alert">{{ full.trouble.value }}</p>
      <ChoiceGroup
        v-model="shown"
        label="What is shown"
        :options="[
          ['lines', 'Lines'],
          ['over', 'Upside down'],
          ['full', 'Full of water'],
          ['seen', 'Who sees you'],
          ['surf', 'Surf'],
          ['dates', 'Dates'],
          ['plan', 'Float plan'],
        ]"
      />
      <div v-if="full.answer.value && width > 0" class="card pad gap">
        <template v-if="shown === 'lines'">
          <LinesPlan
            :drawing="store.drawing"
            :boat="store.kept.setup.boat"
            :seat="store.kept.setup.seat"
            :full="full.answer.value"
            :width="wide"
            :name-of="nameOf"
          />
          <p class="soft">
            A ring is as far as a line reaches from where it is fixed; broken, it comes to your legs
            or to what turns.
          </p>
          <SchoolsTable
            :schools="full.answer.value.schools"
            :name-of="nameOf"
            :busy="full.busy.value || store.saving > 0"
            @take="tieAlone"
          />
        </template>
        <OverColumn
          v-else-if="shown === 'over'"
          :full="full.answer.value"
          :things="store.things"
          :units="look.units"
        />
        <template v-else-if="shown === 'full'">
          <FullBoat
            :drawing="store.drawing"
            :boat="store.kept.setup.boat"
            :plan="plan"
            :full="full.answer.value.full"
            :units="look.units"
            :width="wide"
          />
          <dl>
            <dt>Full of water</dt>
            <dd>
              <VerdictMark :verdict="full.answer.value.full.verdict" />
              {{ full.answer.value.full.word }}
            </dd>
            <dt>Left to lift it</dt>
            <dd data-testid="reserve">
              {{ show(full.answer.value.full.reserve_kg, 'mass', look.units) }}
            </dd>
            <template v-if="full.answer.value.full.gm_m != null">
              <dt>Lies</dt>
              <dd>
                {{ listWords(full.answer.value.full.list_deg!) }},
                {{ trimWords(full.answer.value.full.trim_deg!) }}, lowest side
                {{ length(full.answer.value.full.freeboard_m) }} out of the water
              </dd>
              <dt>Water in it</dt>
              <dd>{{ show(full.answer.value.full.water_l! / 1000, 'volume', look.units, 0) }}</dd>
              <template v-for="one in full.answer.value.full.bail" :key="one.thing_id">
                <dt>{{ nameOf(one.thing_id) }}</dt>
                <dd>
                  <VerdictMark v-if="one.verdict !== 'fine'" :verdict="one.verdict" />
                  {{ one.minutes == null ? 'never empties it' : `${Math.ceil(one.minutes)} min` }}
                </dd>
              </template>
              <template v-if="!full.answer.value.full.bail.length">
                <dt>To empty it</dt>
                <dd>nothing aboard: no pump, sponge or scoop</dd>
              </template>
            </template>
            <template v-if="full.answer.value.drain">
              <dt>Without its plug</dt>
              <dd>
                {{ show(full.answer.value.drain.litres_min / 1000, 'volume', look.units, 0) }} come
                in a minute
              </dd>
            </template>
            <template v-for="one in full.answer.value.climbs" :key="one.side">
              <dt>Climb in to {{ one.side }}</dt>
              <dd :data-testid="`climb-${one.side}`">
                <VerdictMark :verdict="one.verdict" /> {{ one.word
                }}<template v-if="one.blocked_by.length">: {{ names(one.blocked_by) }}</template
                ><template v-if="one.climb_m != null">; {{ length(one.climb_m) }} up</template>
              </dd>
            </template>
          </dl>
        </template>
        <SurfPanel v-else-if="shown === 'surf'" :units="look.units" />
        <DatesPanel v-else-if="shown === 'dates'" />
        <FloatPlanPanel v-else-if="shown === 'plan'" />
        <SeenCard
          v-else
          :seen="store.figures.seen"
          :plan="plan"
          :drawing="store.drawing"
          :units="look.units"
          :size="Math.min(380, wide)"
          :name-of="nameOf"
          @try="tryOut('safety', $event as Partial<SafetyPlan>)"
          @take="take"
          @how="figure = 'light'"
        />
      </div>
      <TopicFindings
        topic="capsize"
        fine="A capsize takes little, and tangles little"
        class="gap"
      />
      <TopicFindings
        v-if="plan.tow"
        topic="glide"
        title="Underway and in tow"
        fine="It goes, and it tows"
        class="gap"
      />
      <TopicFindings topic="basics" title="The basics" fine="The basics are there" class="gap" />
      <CautionLines class="drill" :cautions="full.answer.value?.cautions" />
    </section>
    <section class="side" aria-label="Lines, and what floats it">
      <div v-if="full.answer.value" class="card pad">
        <h2>Loose, or on a line</h2>
        <LeashTable
          :full="full.answer.value"
          :plan="plan"
          :things="store.things"
          :units="look.units"
          @take="take"
          @tie="(id, leashed) => tieAll([[id, leashed]])"
        />
      </div>
      <FloatsForm
        :plan="plan"
        :bow_x_m="bow_x_m"
        :units="look.units"
        class="gap"
        @take="take"
        @how="figure = 'reserve'"
      />
      <TripCard
        :plan="plan"
        :judging="store.kept.setup.judging"
        :unchecked="store.figures.unchecked"
        :towed="store.figures.glide?.tow ?? null"
        :water_temp_c="store.kept.setup.water_temp_c ?? null"
        :bow_x_m="bow_x_m"
        :units="look.units"
        class="gap"
        @take="take"
        @water="store.putSetup({ water_temp_c: $event })"
        @judge="store.putJudging($event)"
      />
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
.drill {
  margin: 8px 2px;
  font-size: 12px;
}
</style>
