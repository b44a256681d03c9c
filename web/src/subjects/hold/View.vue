<script setup lang="ts">
/** Hold: will it hold, with this line, here; how the boat lies on it; and never by the side. */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import {
  api,
  ask,
  type DemandNumbers,
  type FullHold,
  type GlidePlan,
  type Schemas,
  type HoldPlan,
} from '@/api/client'
import CautionLines from '@/kit/CautionLines.vue'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import { show, type Kind } from '@/kit/units'
import { listWords, trimWords } from '@/kit/words'
import type { HowFigure } from '@/setup/how'
import HowDrawer from '@/setup/HowDrawer.vue'
import { useLook } from '@/setup/look'
import TopicFindings from '@/setup/TopicFindings.vue'
import { usePage } from '@/setup/usePage'
import type { GlideChange, HoldChange } from '@/setup/changing'
import { useSetup } from '@/setup/useSetup'
import { useSliding } from '@/setup/useSliding'
import AnchorCard from './AnchorCard.vue'
import HoldForm from './HoldForm.vue'
import MooredPlan from './MooredPlan.vue'
import PlaceChart from './PlaceChart.vue'
import PoleCard from './PoleCard.vue'
import SideLine from './SideLine.vue'
import TrolleyForm from './TrolleyForm.vue'

const store = useSetup()
const look = useLook()
const figure = ref<HowFigure | null>(null)

const { sliding, setup, trial, tryOut, taken } = useSliding()
const plan = computed<HoldPlan | null>(() => setup.value?.hold ?? null)
const demands = computed<DemandNumbers | null>(() => setup.value?.demands ?? null)
const take = (fields: HoldChange) => taken(store.putHold(fields))
const takeGlide = (fields: GlideChange) => taken(store.putGlide(fields))
function takeDemands(fields: Partial<DemandNumbers>): Promise<void> {
  const before = store.kept!.setup.demands
  return taken(store.putDemands({ ...before, ...fields }, before))
}
const full = usePage<FullHold>(
  (setup_id) =>
    ask(
      api.POST('/api/v1/setups/{setup_id}/hold', {
        params: { path: { setup_id } },
        body: trial.value,
      }),
    ),
  [sliding],
)

const figures = computed(() => store.figures?.hold ?? null)
const shown = ref<'held' | 'sock'>('held')
const glide = computed<GlidePlan>(() => setup.value!.glide)
const drogued = computed(() => store.figures?.glide?.drogued ?? null)
const swing = computed(() => {
  const one = figures.value?.anchor
  return one?.swing_radius_m == null || one.distance_m == null
    ? null
    : { radius_m: one.swing_radius_m, distance_m: one.distance_m }
})
const anchor = computed(() => figures.value?.anchor ?? null)
const bow_x_m = computed(() => store.drawing?.x_m.at(-1) ?? 0)
const { nameOf } = store
const amount = (value: number | null | undefined, kind: Kind, digits?: number) =>
  value == null ? '—' : show(value, kind, look.units, digits)
const leaning = (one: Schemas['Leaning'] | undefined) =>
  !one || one.heel_deg == null || one.trim_deg == null
    ? 'it goes over'
    : `${listWords(one.heel_deg)}, ${trimWords(one.trim_deg)}, ${amount(one.least_freeboard_m, 'length', 0)} of side left`

const left = useTemplateRef<HTMLElement>('left')
const { width } = useElementSize(left)
const planSize = computed(() => Math.min(330, Math.max(260, width.value - 40)))
</script>

<template>
  <div
    v-if="store.kept && store.drawing && store.figures && plan && demands"
    class="page hold"
    :aria-busy="full.busy.value"
  >
    <section ref="left" class="left" aria-label="The boat held">
      <div class="top">
        <h1>Hold</h1>
        <p v-if="figures" class="answer">
          <b data-testid="hold-pull">{{ amount(figures.lies.pull_n, 'force') }}</b> on the
          line<template v-if="anchor?.holding_n != null"
            >, and the anchor holds
            <b data-testid="hold-holds">{{ amount(anchor.holding_n, 'force') }}</b> in
            {{ anchor.bottom }}</template
          >
        </p>
        <button
          v-if="figures"
          type="button"
          class="how"
          title="How was this computed?"
          data-testid="hold-how"
          @click="figure = 'hold lie'"
        >
          lies {{ amount(figures.lies.off_line_deg, 'angle', 0) }} off its {{ figures.end }}
        </button>
      </div>
      <p v-if="!store.figures.afloat" class="stop" role="alert">{{ store.figures.trouble }}</p>
      <p v-if="full.trouble.value" class="stop" role="alert">{{ full.trouble.value }}</p>
      <p v-if="!figures && store.figures.afloat" class="card pad soft">
        Nothing aboard holds the boat, or nothing pulls at it. Put an anchor or a pole aboard on the
        Bench, or set a wind or a current here.
      </p>
      <div v-if="figures && full.answer.value && width > 0" class="card pad">
        <!-- What is typed may yet be refused: no depth is drawn that is none. -->
        <SideLine
          v-if="anchor && demands.depth_m > 0"
          :hold="figures"
          :full="full.answer.value"
          :drawing="store.drawing"
          :depth_m="demands.depth_m"
          :draft_m="store.figures.afloat?.draft_mid_m ?? 0"
          :units="look.units"
          :width="Math.max(300, width - 26)"
          :height="width > 600 ? 210 : 180"
        />
        <div class="views">
          <MooredPlan
            v-if="shown === 'held' || !drogued"
            :drawing="store.drawing"
            :at_m="figures.at[0]"
            :heading_deg="figures.lies.heading_deg"
            :lead_deg="figures.lies.lead_deg"
            :wind_m_s="demands.wind_m_s"
            :wind_from_deg="plan.wind_from_deg"
            :current_m_s="demands.current_m_s"
            :current_toward_deg="plan.current_toward_deg"
            :swing="swing"
            :units="look.units"
            :size="planSize"
            @try="tryOut('hold', { at_x_m: $event })"
            @take="take({ at_x_m: Math.round($event * 1000) / 1000 })"
          />
          <MooredPlan
            v-else
            :drawing="store.drawing"
            :at_m="glide.drogue_x_m ?? bow_x_m"
            :heading_deg="drogued.heading_deg"
            :lead_deg="drogued.toward_deg + 180"
            :wind_m_s="glide.wind_m_s"
            :wind_from_deg="glide.wind_from_deg"
            :current_m_s="glide.current_m_s"
            :current_toward_deg="glide.current_toward_deg"
            :swing="null"
            :units="look.units"
            :size="planSize"
            @try="tryOut('glide', { drogue_x_m: $event })"
            @take="takeGlide({ drogue_x_m: Math.round($event * 1000) / 1000 })"
          />
          <div class="beside">
            <ChoiceGroup
              v-if="drogued"
              v-model="shown"
              label="What is shown"
              :options="[
                ['held', 'At anchor'],
                ['sock', 'On the drift sock'],
              ]"
            />
            <p v-if="shown === 'sock' && drogued" class="soft" data-testid="hold-sock">
              Adrift at {{ amount(drogued.ground_m_s, 'speed', 2) }} over ground, the wind
              {{ amount(drogued.wind_off_bow_deg, 'angle', 0) }} off its bow;
              {{ amount(drogued.drogue_n, 'force') }} on the sock. Wind and current as on Glide.
            </p>
            <p class="soft keys">
              <span class="key current">current</span> <span class="key blow">wind</span>
            </p>
            <PlaceChart
              :full="full.answer.value"
              :at_m="figures.at[0]"
              :units="look.units"
              :width="Math.max(260, Math.min(440, width > 700 ? width - 390 : width - 40))"
              :height="190"
            />
            <dl>
              <dt>Held so</dt>
              <dd data-testid="hold-held">{{ leaning(full.answer.value.held) }}</dd>
              <dt>In short waves</dt>
              <dd>pulls up to {{ amount(full.answer.value.surge_n, 'force') }}</dd>
              <template v-if="figures.hover">
                <dt>{{ nameOf(figures.hover.thing_id) }} holds it</dt>
                <dd v-if="figures.hover.power_w != null">
                  at {{ amount(figures.hover.power_w, 'power', 0) }}, for
                  {{ amount(figures.hover.hours, 'hours') }}
                </dd>
                <dd v-else class="fix">not in this current</dd>
              </template>
            </dl>
            <div class="never" data-testid="by-the-side">
              <b>By the side: never.</b>
              {{ amount(full.answer.value.by_the_side_n, 'force') }} would pull at the gunwale:
              {{ leaning(full.answer.value.by_the_side) }}, and the first wave comes in.
            </div>
          </div>
        </div>
      </div>
    </section>
    <section class="side" aria-label="What holds, and against what">
      <HoldForm
        :plan="plan"
        :demands="demands"
        :at_m="plan.at_x_m ?? figures?.at[0] ?? bow_x_m"
        :ends="[store.drawing.x_m[0]!, bow_x_m]"
        :units="look.units"
        @try-hold="tryOut('hold', $event)"
        @take-hold="take"
        @try-demands="tryOut('demands', $event)"
        @take-demands="takeDemands"
      />
      <AnchorCard
        v-if="anchor"
        :anchor="anchor"
        :name="nameOf(anchor.thing_id)"
        :units="look.units"
        class="gap"
        @how="figure = $event"
      />
      <PoleCard
        v-if="figures?.pole"
        :pole="figures.pole"
        :name="nameOf(figures.pole.thing_id)"
        :two="plan.two_poles"
        :units="look.units"
        class="gap"
        @two="take({ two_poles: $event })"
        @how="figure = $event"
      />
      <TrolleyForm
        :trolley="plan.trolley ?? null"
        :rope="figures?.rope ?? null"
        :bow_x_m="bow_x_m"
        :units="look.units"
        class="gap"
        @take="take({ trolley: $event })"
      />
      <TopicFindings topic="anchor" fine="It holds as set" class="gap">
        <CautionLines :cautions="full.answer.value?.cautions" />
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
.beside {
  min-width: 0;
}
.keys {
  margin: 0 0 4px;
}
.views {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  margin-top: 10px;
}
.beside {
  flex: 1;
}
.never {
  padding: 8px 10px;
  border: 1px dashed var(--line);
  border-radius: 6px;
  color: var(--soft);
  font-size: 12px;
}
.never b {
  color: var(--stop);
}
.key::before {
  content: '';
  display: inline-block;
  width: 16px;
  margin-right: 4px;
  border-top: 3px solid var(--pick);
  vertical-align: middle;
}
.key.blow::before {
  border-color: var(--fix-mark);
}
@media (max-width: 700px) {
  .views {
    flex-direction: column;
  }
}
</style>
