<script setup lang="ts">
/** Glide: what all the gear costs on the way, how it drifts, how far the motor takes it. */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { api, ask, type FullGlide, type GlidePlan } from '@/api/client'
import { show } from '@/kit/units'
import { useAsked } from '@/kit/useAsked'
import type { HowFigure } from '@/setup/how'
import HowDrawer from '@/setup/HowDrawer.vue'
import { useLook } from '@/setup/look'
import TopicFindings from '@/setup/TopicFindings.vue'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'
import { useSliding } from '@/setup/useSliding'
import type { GlideChange } from '@/setup/changing'
import CostBars from './CostBars.vue'
import DriftRose from './DriftRose.vue'
import GoingForm from './GoingForm.vue'
import MotorPanel from './MotorPanel.vue'
import ResistanceChart from './ResistanceChart.vue'
import TrialsPanel from './TrialsPanel.vue'
import TrollingPlan from './TrollingPlan.vue'
import { pick } from '@/kit/heard'

type Plan = GlidePlan
const store = useSetup()
const look = useLook()
const figure = ref<HowFigure | null>(null)

const { sliding, setup, trial, tryOut, taken } = useSliding()
const plan = computed<Plan | null>(() => setup.value?.glide ?? null)
const slide = (fields: Partial<Plan>) => tryOut('glide', fields)
const take = (fields: GlideChange) => taken(store.putGlide(fields))

const full = usePage<FullGlide>(
  (setup_id) =>
    ask(
      api.POST('/api/v1/setups/{setup_id}/glide', {
        params: { path: { setup_id } },
        body: trial.value,
      }),
    ),
  [sliding],
)
// Another setup, asked with the same wind, effort and course.
const otherId = ref<number | null>(null)
const other = useAsked<FullGlide>()
watch([otherId, plan], () => {
  const setup_id = otherId.value
  if (setup_id === null || !plan.value) return other.forget()
  const body = { places: [], glide: { ...plan.value, up: {}, lines: {} } }
  void other.put(
    () =>
      ask(
        api.POST('/api/v1/setups/{setup_id}/glide', { params: { path: { setup_id } }, body }),
      ) as Promise<FullGlide>,
  )
})
const others = computed(() =>
  store.names.filter((one) => !one.archived && one.setup_id !== store.kept?.setup_id),
)

const figures = computed(() => store.figures?.glide ?? null)
const motorName = computed(() =>
  figures.value?.motor ? (store.things[String(figures.value.motor.thing_id)]?.name ?? '') : '',
)
const names = computed(() =>
  Object.fromEntries(Object.entries(store.things).map(([id, thing]) => [id, thing.name])),
)
const rods = computed(() =>
  [...store.places.keys()]
    .map((id) => [id, store.things[String(id)]!] as const)
    .filter(([, thing]) => thing?.rod != null),
)
/** Which speed of the curve is asked for its effort: 1.4 m/s to begin with. */
const wanted = ref(20)
const speed = (value: number | null | undefined) =>
  value == null ? '—' : show(value, 'speed', look.units, 2)
const pace = (min_km: number | null | undefined) =>
  min_km == null ? '—' : show((min_km * 60) / 1000, 'pace', look.units)
const percent = (share: number | null | undefined) =>
  share == null ? '' : `${Math.round(100 * share)}\u00a0%`

const left = useTemplateRef<HTMLElement>('left')
const { width } = useElementSize(left)
</script>

<template>
  <div
    v-if="store.kept && store.drawing && store.figures && plan"
    class="page glide"
    :aria-busy="full.busy.value"
  >
    <section ref="left" class="left" aria-label="What holds the boat back">
      <div class="top">
        <h1>Glide</h1>
        <template v-if="figures">
          <p v-if="figures.speed_m_s != null" class="answer" data-testid="answer">
            <b data-testid="extra">{{
              figures.extra_min_per_km == null
                ? pace(figures.min_per_km)
                : `+${pace(figures.extra_min_per_km)}`
            }}</b>
            over the bare boat at {{ Math.round(figures.effort_w) }} W
            <span v-if="figures.extra_share != null"
              >({{ figures.extra_share < 0 ? '−' : '+'
              }}{{ percent(Math.abs(figures.extra_share)) }})</span
            >
          </p>
          <p v-else class="stop" role="alert">
            No speed at this effort is known: it is more than you can put out.
          </p>
          <button
            type="button"
            class="how"
            title="How was this computed?"
            data-testid="glide-how"
            @click="figure = 'glide speed'"
          >
            <span class="num" data-testid="glide-speed">{{ speed(figures.speed_m_s) }}</span>
            at
            <span class="num" data-testid="glide-pace">{{ pace(figures.min_per_km) }}</span>
          </button>
        </template>
      </div>
      <p v-if="!store.figures.afloat" class="stop" role="alert">{{ store.figures.trouble }}</p>
      <p v-if="full.trouble.value" class="stop" role="alert">{{ full.trouble.value }}</p>
      <div v-if="full.answer.value && figures" class="card pad">
        <ResistanceChart
          :full="full.answer.value"
          :other="other.answer.value"
          :at="figures.at"
          :units="look.units"
          :width="Math.max(300, width - 28)"
          :height="290"
        />
        <div class="under">
          <span class="soft"><span class="dash" /> bare boat: its own parts and you alone</span>
          <label class="want"
            >for
            <select v-model.number="wanted" aria-label="A speed to ask the effort of">
              <option v-for="(one, i) in full.answer.value.curve" :key="i" :value="i">
                {{ speed(one.speed_m_s) }}
              </option>
            </select>
            <b class="num" data-testid="wanted-effort">{{
              `${Math.round(full.answer.value.effort_w[wanted] ?? 0)} W`
            }}</b></label
          >
          <label v-if="others.length"
            >beside
            <select
              :value="otherId ?? ''"
              aria-label="Another setup beside it"
              data-testid="beside"
              @change="otherId = pick($event) === '' ? null : Number(pick($event))"
            >
              <option value="">no other setup</option>
              <option v-for="one in others" :key="one.setup_id" :value="one.setup_id">
                {{ one.name }}
              </option>
            </select></label
          >
        </div>
      </div>
      <div v-if="figures?.at" class="card pad gap">
        <h2>
          At {{ speed(figures.at.speed_m_s) }}:
          {{ show(figures.at.total_n, 'force', look.units, 1) }}, longest first
        </h2>
        <CostBars
          :at="figures.at"
          :costs="figures.costs"
          :up="plan.up"
          :names="names"
          :units="look.units"
          @up="(id, on) => take({ up: { [id]: on ? true : null } })"
          @how="figure = $event"
        />
      </div>
    </section>
    <section class="side" aria-label="Effort, wind and current">
      <GoingForm
        :plan="plan"
        :figures="figures"
        :usual="full.answer.value?.usual ?? []"
        :units="look.units"
        @try="slide"
        @take="take"
      />
      <div v-if="figures" class="card pad gap">
        <div class="head">
          <h2>In the wind</h2>
          <button
            v-if="figures.drift"
            type="button"
            class="how"
            title="How was this computed?"
            @click="figure = 'glide drift'"
          >
            How it drifts
          </button>
        </div>
        <DriftRose
          v-if="figures.drift"
          :plan="plan"
          :drawing="store.drawing"
          :drift="figures.drift"
          :drogued="figures.drogued"
          :units="look.units"
          :size="250"
        />
        <p v-else class="soft">No wind, no drift.</p>
      </div>
      <TopicFindings topic="glide" fine="Nothing slows it more than usual" class="gap">
        <p class="soft">
          Estimates on flat, deep water until you time them. The wind rises in the afternoon.
        </p>
      </TopicFindings>
    </section>
    <div class="wide">
      <MotorPanel
        v-if="figures?.motor"
        :motor="figures.motor"
        :name="motorName"
        :full="full.answer.value"
        :plan="plan"
        :units="look.units"
        @try="slide"
        @take="take"
        @how="figure = $event"
      />
      <p v-else class="card pad soft">
        No motor in the water. On the Gear screen, tick “a motor” on one and put it aboard with its
        battery, to see its range.
      </p>
      <TrollingPlan
        :trolling="full.answer.value?.trolling ?? null"
        :rods="rods"
        :plan="plan"
        :units="look.units"
        @take="take"
      />
      <TrialsPanel :plan="plan" :full="full.answer.value" :units="look.units" @take="take" />
    </div>
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
.head,
.under {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
  justify-content: space-between;
}
.head {
  margin-bottom: 6px;
}
.head h2 {
  margin: 0;
}
.want {
  display: flex;
  gap: 6px;
  align-items: center;
}
.dash {
  display: inline-block;
  width: 22px;
  border-top: 2px dashed var(--ink);
  vertical-align: middle;
}
.wide {
  display: grid;
  grid-column: 1 / -1;
  grid-template-columns: repeat(auto-fit, minmax(380px, 1fr));
  gap: 14px;
  align-items: start;
}
.wide > p {
  margin: 0;
}
@media (max-width: 1000px) {
  .wide {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
