<script setup lang="ts">
/** Haul: lifted, on the road, on its cart and at the water's edge, each to scale with its forces. */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { api, ask, type FullHaul, type HaulPlan } from '@/api/client'
import { show } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import type { HaulChange } from '@/setup/changing'
import type { HowFigure } from '@/setup/how'
import HowDrawer from '@/setup/HowDrawer.vue'
import { useLook } from '@/setup/look'
import TopicFindings from '@/setup/TopicFindings.vue'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'
import { useSliding } from '@/setup/useSliding'
import BarsScene from './BarsScene.vue'
import BedScene from './BedScene.vue'
import CartForm from './CartForm.vue'
import CartScene from './CartScene.vue'
import LaunchScene from './LaunchScene.vue'
import LiftScene from './LiftScene.vue'
import OffTable from './OffTable.vue'
import RidesForm from './RidesForm.vue'
import SlideChart from './SlideChart.vue'
import StepsList from './StepsList.vue'

const store = useSetup()
const look = useLook()
const figure = ref<HowFigure | null>(null)

const { sliding, setup, trial, tryOut, taken } = useSliding()
const plan = computed<HaulPlan | null>(() => setup.value?.haul ?? null)
const take = (fields: HaulChange) => taken(store.putHaul(fields))
const full = usePage<FullHaul>(
  (setup_id) =>
    ask(
      api.POST('/api/v1/setups/{setup_id}/haul', {
        params: { path: { setup_id } },
        body: trial.value,
      }),
    ),
  [sliding],
)
const haul = computed(() => store.figures?.haul ?? full.answer.value?.figures ?? null)
const kg = (value: number | null | undefined) =>
  value == null ? '—' : show(value, 'mass', look.units)
const force = (value: number) => show(value, 'force', look.units)
const bare = computed(() => (haul.value?.lifts ?? []).filter((one) => one.state === 'bare'))
const lift = computed(() =>
  bare.value.length
    ? bare.value.reduce((worst, one) => (one.share > worst.share ? one : worst))
    : null,
)
const { nameOf } = store
const names = (ids: number[]) => ids.map(nameOf).join(', ')
const stature_m = computed(() => setup.value?.angler.stature_m ?? 1.75)
const bow_x_m = computed(() => store.drawing?.x_m.at(-1) ?? 0)

function tryRear(rear_x_m: number): void {
  const rides = plan.value?.rides
  if (rides === 'roof') tryOut('haul', { roof: { ...plan.value!.roof, rear_x_m } })
  if (rides === 'trailer') tryOut('haul', { trailer: { ...plan.value!.trailer, rear_x_m } })
}
function takeRear(rear_x_m: number | null): void {
  const rides = plan.value?.rides
  if (rides === 'roof' || rides === 'trailer') void take({ [rides]: { rear_x_m } })
}
const between = computed(() => {
  const rides = plan.value?.rides
  return rides === 'roof' || rides === 'trailer' ? plan.value![rides].rear_x_m == null : true
})

const left = useTemplateRef<HTMLElement>('left')
const { width } = useElementSize(left)
const wide = computed(() => (width.value > 700 ? (width.value - 12) / 2 : width.value) - 26)
const high = computed(() => Math.round(Math.min(230, 0.56 * wide.value)))
</script>

<template>
  <div
    v-if="store.kept && store.drawing && store.figures && plan"
    class="page haul"
    :aria-busy="full.busy.value"
  >
    <section ref="left" class="left" aria-label="The boat on land">
      <div class="top">
        <h1>Haul</h1>
        <p v-if="haul" class="answer">
          <b data-testid="bare-kg">{{ kg(haul.bare.kg) }}</b> ±&nbsp;{{ kg(haul.bare.band_kg) }} for
          the road<template v-if="lift"
            >, <b data-testid="lift-each">{{ kg(lift.each_kg) }}</b> to lift at the
            {{ lift.end }}</template
          ><template v-if="haul.cart"
            >, <b data-testid="hand-bears">{{ force(haul.cart.level_hand_n) }}</b> in your hand on
            its cart</template
          >
        </p>
      </div>
      <p v-if="full.trouble.value" class="stop" role="alert">{{ full.trouble.value }}</p>
      <p v-for="why in haul?.trouble ?? []" :key="why" class="stop" role="alert">
        Not as set: {{ why }}.
      </p>
      <div v-if="haul && full.answer.value && width > 0" class="scenes">
        <div class="card pad">
          <h2>
            <button type="button" title="How was this computed?" @click="figure = 'haul lift'">
              Lift
            </button>
          </h2>
          <LiftScene
            v-if="lift"
            :haul="haul"
            :full="full.answer.value"
            :lift="lift"
            :people="plan.people"
            :hand_m="haul.hand_m"
            :stature_m="stature_m"
            :units="look.units"
            :width="wide"
            :height="high"
          />
          <p v-for="one in bare" :key="one.end" class="line" :data-testid="`lift-${one.end}`">
            <VerdictMark :verdict="one.verdict" bare /> {{ one.end }}:
            {{ kg(one.each_kg) }} each<template v-if="one.by">
              by its {{ one.by.toLowerCase() }}</template
            ><template v-else>, with no handle there</template
            ><template v-if="one.limit_kg != null">
              &nbsp;<span class="soft"
                >the lifting equation says {{ kg(one.limit_kg) }}, as a guide</span
              ></template
            >
          </p>
          <p v-for="one in haul.side" :key="one.by" class="line soft">
            At your side by {{ one.by }}: {{ kg(one.kg) }}, held
            {{ show(Math.abs(one.off_m), 'length', look.units, 0) }}
            {{ one.off_m > 0 ? 'ahead of' : 'behind' }} its weight
          </p>
          <p v-if="lift && lift.share > 1 && haul.fewest_off" class="line" data-testid="fewest">
            To {{ kg(haul.aim_kg) }}: {{ names(haul.fewest_off) }}
          </p>
        </div>
        <div class="card pad">
          <h2>
            <button
              type="button"
              title="How was this computed?"
              :disabled="!haul.bars"
              @click="figure = 'haul bars'"
            >
              On the road
            </button>
          </h2>
          <template v-if="haul.bars">
            <BarsScene
              :haul="haul"
              :full="full.answer.value"
              :plan="plan"
              :units="look.units"
              :width="wide"
              :height="high"
              @try="tryRear"
              @take="takeRear"
            />
            <p class="line" data-testid="bars-share">
              {{ show(haul.bars.share, 'ratio', look.units) }} of what it may bear, one bar
              {{ show(haul.bars.bar_share, 'ratio', look.units) }} of its half
              <button v-if="!between" type="button" class="small" @click="takeRear(null)">
                weight between the bars
              </button>
            </p>
            <template v-if="haul.slide">
              <SlideChart :slide="haul.slide" :units="look.units" :width="wide" :height="84" />
              <p class="line soft">
                <button type="button" class="how" @click="figure = 'haul slide'">
                  Slid up from the rear
                </button>
                from {{ show(haul.slide.low_m, 'length', look.units, 0) }}:
                {{ force(haul.slide.peak_push_n) }} to push and
                {{ force(haul.slide.peak_lift_n) }} to lift at the hardest<template
                  v-if="haul.slide.nose_down"
                  >; the bow drops past the front bar</template
                >
              </p>
            </template>
            <p v-for="one in haul.bars.under" :key="one.thing_id" class="line soft">
              {{ nameOf(one.thing_id) }} under the hull:
              {{ show(one.gap_m, 'length', look.units, 0) }} above the roof
            </p>
          </template>
          <template v-else-if="haul.bed">
            <BedScene
              :haul="haul"
              :full="full.answer.value"
              :plan="plan"
              :units="look.units"
              :width="wide"
              :height="high"
            />
            <p class="line" data-testid="gate-share">
              The edge bears {{ show(haul.bed.gate_share, 'ratio', look.units) }} of what it may;
              its weight lies {{ show(Math.abs(haul.bed.margin_m), 'length', look.units, 0) }}
              {{ haul.bed.tips ? 'past' : 'ahead of' }} it
            </p>
          </template>
          <p v-else class="soft">Say at the right what it rides on.</p>
        </div>
        <div class="card pad">
          <h2>
            <button
              type="button"
              title="How was this computed?"
              :disabled="!haul.cart"
              @click="figure = 'haul cart'"
            >
              On its cart
            </button>
          </h2>
          <template v-if="haul.cart">
            <CartScene
              :haul="haul"
              :full="full.answer.value"
              :by="plan.cart?.by ?? 'bow'"
              :stature_m="stature_m"
              :units="look.units"
              :width="wide"
              :height="high"
              @try="tryOut('haul', { cart: { ...plan.cart!, axle_x_m: $event } })"
              @take="take({ cart: { axle_x_m: $event } })"
            />
            <table data-testid="way-table">
              <tbody>
                <tr v-for="(one, i) in haul.cart.grounds" :key="i">
                  <th scope="row">
                    {{ one.ground
                    }}{{
                      one.slope_deg ? `, ${show(one.slope_deg, 'angle', look.units, 0)} up` : ''
                    }}
                  </th>
                  <td>{{ force(one.pull_n) }} to pull</td>
                  <td>{{ force(one.hand_up_n) }} in the hand</td>
                  <td v-if="one.step_pull_n != null && one.step_pull_n > 0">
                    {{ force(one.step_pull_n) }} over the step
                  </td>
                </tr>
              </tbody>
            </table>
            <p v-if="haul.cart.grounds[0]?.posts" class="line" data-testid="posts-stand">
              The scuppers stand
              {{ show(haul.cart.grounds[0].posts.without, 'times', look.units) }} times that without
              slabs<template v-if="haul.cart.grounds[0].posts.with_slabs != null"
                >, {{ show(haul.cart.grounds[0].posts.with_slabs, 'times', look.units) }} times with
                them</template
              >
            </p>
            <p class="line soft">
              Tips sideways on a slope of {{ show(haul.cart.side_tip_deg, 'angle', look.units, 0)
              }}<template v-for="one in haul.cart.clearances" :key="one.thing_id"
                >; {{ nameOf(one.thing_id) }}
                {{ show(one.clearance_m, 'length', look.units, 0) }} above the ground</template
              >
            </p>
          </template>
          <p v-else class="soft">No cart: tick one at the right to see what your hand bears.</p>
        </div>
        <div class="card pad">
          <h2 class="plain">At the water</h2>
          <LaunchScene
            v-if="haul.launch"
            :launch="haul.launch"
            :full="full.answer.value"
            :named="nameOf(haul.launch.deepest)"
            :units="look.units"
            :width="wide"
            :height="Math.round(0.6 * high)"
          />
          <p v-else class="soft">It does not float as it is loaded.</p>
        </div>
      </div>
      <TopicFindings topic="haul" fine="It can be carried, lifted and wheeled" class="gap">
        <p v-if="haul && full.answer.value?.least_minutes?.length" class="soft">
          In the least time to {{ kg(haul.aim_kg) }}: {{ names(full.answer.value.least_minutes) }},
          {{ Math.ceil(full.answer.value.least_minutes_min) }} min
        </p>
        <p class="soft">
          The limits of car, bars and cradles win, and the local rule on flags and lights.
        </p>
      </TopicFindings>
      <StepsList
        v-if="full.answer.value"
        :full="full.answer.value"
        :units="look.units"
        class="gap"
      />
    </section>
    <section class="side" aria-label="How it travels">
      <RidesForm :plan="plan" :haul="haul" :units="look.units" @take="take" />
      <CartForm
        v-if="full.answer.value"
        :plan="plan"
        :haul="haul"
        :full="full.answer.value"
        :bow_x_m="bow_x_m"
        :units="look.units"
        class="gap"
        @take="take"
      />
      <OffTable
        v-if="haul"
        :haul="haul"
        :things="store.things"
        :units="look.units"
        class="gap"
        @take="take"
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
.scenes {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 12px;
}
.line {
  margin: 4px 0 0;
  font-size: 12.5px;
}
.how {
  color: inherit;
}
h2 button:disabled {
  border: 0;
  cursor: default;
}
table {
  margin-top: 4px;
  border-collapse: collapse;
  font-size: 12px;
}
th,
td {
  padding: 1px 12px 1px 0;
  text-align: left;
  font-weight: 400;
}
@media (max-width: 700px) {
  .scenes {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
