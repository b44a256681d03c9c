<script setup lang="ts">
/** Hold: will it hold, with this line, here; how the boat lies on it; and never by the side. */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import {
  api,
  ask,
  type DemandNumbers,
  type FullHold,
  type Schemas,
  type HoldPlan,
} from '@/api/client'
import { CHOICES } from '@/api/words'
import { bearing } from '@/kit/compass'
import FromBowInput from '@/kit/FromBowInput.vue'
import QuantityInput from '@/kit/QuantityInput.vue'
import SliderInput from '@/kit/SliderInput.vue'
import { show, type Kind } from '@/kit/units'
import { listWords, trimWords } from '@/kit/words'
import type { HowFigure } from '@/setup/how'
import HowDrawer from '@/setup/HowDrawer.vue'
import { useLook } from '@/setup/look'
import TopicFindings from '@/setup/TopicFindings.vue'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'
import MooredPlan from './MooredPlan.vue'
import PlaceChart from './PlaceChart.vue'
import SideLine from './SideLine.vue'

type Plan = HoldPlan
const store = useSetup()
const look = useLook()
const figure = ref<HowFigure | null>(null)

// What a hand or a slider is at, before it is let go.
const sliding = ref<{ hold?: Partial<Plan>; demands?: Partial<DemandNumbers> } | null>(null)
const plan = computed<Plan | null>(() =>
  store.kept ? { ...store.kept.setup.hold, ...sliding.value?.hold } : null,
)
const demands = computed<DemandNumbers | null>(() =>
  store.kept ? { ...store.kept.setup.demands, ...sliding.value?.demands } : null,
)
const trial = () => ({ places: [], hold: plan.value, demands: demands.value })
function tryHold(fields: Partial<Plan>): void {
  sliding.value = { ...sliding.value, hold: { ...sliding.value?.hold, ...fields } }
  store.tryOut(trial())
}
function tryDemands(fields: Partial<DemandNumbers>): void {
  sliding.value = { ...sliding.value, demands: { ...sliding.value?.demands, ...fields } }
  store.tryOut(trial())
}
async function take(fields: Partial<Plan>): Promise<void> {
  await store.putHold(fields)
  sliding.value = null
}
async function takeDemands(fields: Partial<DemandNumbers>): Promise<void> {
  const before = store.kept!.setup.demands
  await store.putDemands({ ...before, ...fields }, before)
  sliding.value = null
}
watch(
  () => store.kept?.setup_id,
  () => (sliding.value = null),
)
const full = usePage<FullHold>(
  (setup_id) =>
    ask(
      api.POST('/api/v1/setups/{setup_id}/hold', {
        params: { path: { setup_id } },
        body: sliding.value ? trial() : { places: [] },
      }),
    ),
  () => sliding.value,
)

const figures = computed(() => store.figures?.hold ?? null)
const anchor = computed(() => figures.value?.anchor ?? null)
const bow_x_m = computed(() => store.drawing?.x_m.at(-1) ?? 0)
const nameOf = (id: number | undefined) =>
  id === undefined ? '' : (store.things[String(id)]?.name ?? '')
const amount = (value: number | null | undefined, kind: Kind, digits?: number) =>
  value == null ? '—' : show(value, kind, look.units, digits)
const leaning = (one: Schemas['Leaning'] | undefined) =>
  !one || one.heel_deg == null || one.trim_deg == null
    ? 'it goes over'
    : `${listWords(one.heel_deg)}, ${trimWords(one.trim_deg)}, ${amount(one.least_freeboard_m, 'length', 0)} of side left`
const LIMITED = { bending: 'it bends', soil: 'the bottom gives way', length: 'it is too short' }
const pick = (event: Event) => (event.target as HTMLSelectElement).value
const ticked = (event: Event) => (event.target as HTMLInputElement).checked
function setTrolley(fields: Partial<Schemas['Trolley']> | null): void {
  const usual = {
    aft_x_m: 0.1 * bow_x_m.value,
    fwd_x_m: 0.95 * bow_x_m.value,
    side: 'starboard' as const,
    over_m: 0.03,
  }
  void take({ trolley: fields === null ? null : { ...(plan.value?.trolley ?? usual), ...fields } })
}

const left = useTemplateRef<HTMLElement>('left')
const { width } = useElementSize(left)
</script>

<template>
  <div
    v-if="store.kept && store.drawing && store.figures && plan && demands"
    class="hold"
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
        <SideLine
          v-if="anchor"
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
            :hold="figures"
            :drawing="store.drawing"
            :demands="demands"
            :plan="plan"
            :units="look.units"
            :size="Math.min(330, Math.max(260, width - 40))"
            @try="tryHold({ at_x_m: $event })"
            @take="take({ at_x_m: Math.round($event * 1000) / 1000 })"
          />
          <div class="beside">
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
      <div class="card pad">
        <SliderInput
          :model-value="plan.at_x_m ?? figures?.at[0] ?? bow_x_m"
          label="Line leaves at"
          :min="0"
          :max="Number(bow_x_m.toFixed(2))"
          :step="0.05"
          :told="`${show(bow_x_m - (plan.at_x_m ?? figures?.at[0] ?? bow_x_m), 'length', look.units, 0)}`"
          testid="hold-at"
          @try="tryHold({ at_x_m: $event })"
          @take="take({ at_x_m: $event })"
        />
        <p class="ends">
          from the bow
          <button
            type="button"
            class="small"
            data-testid="to-bow"
            @click="take({ at_x_m: bow_x_m })"
          >
            to the bow
          </button>
          <button
            type="button"
            class="small"
            data-testid="to-stern"
            @click="take({ at_x_m: store.drawing.x_m[0]! })"
          >
            to the stern
          </button>
        </p>
        <SliderInput
          :model-value="demands.current_m_s"
          label="Current"
          :min="0"
          :max="2"
          :step="0.1"
          :told="show(demands.current_m_s, 'speed', look.units)"
          testid="hold-current"
          @try="tryDemands({ current_m_s: $event })"
          @take="takeDemands({ current_m_s: $event })"
        />
        <SliderInput
          :model-value="plan.current_toward_deg"
          label="Current toward"
          :min="0"
          :max="355"
          :step="5"
          :told="bearing(plan.current_toward_deg)"
          @try="tryHold({ current_toward_deg: $event })"
          @take="take({ current_toward_deg: $event })"
        />
        <SliderInput
          :model-value="demands.wind_m_s"
          label="Wind"
          :min="0"
          :max="15"
          :step="0.5"
          :told="show(demands.wind_m_s, 'speed', look.units)"
          testid="hold-wind"
          @try="tryDemands({ wind_m_s: $event })"
          @take="takeDemands({ wind_m_s: $event })"
        />
        <SliderInput
          :model-value="plan.wind_from_deg"
          label="Wind from"
          :min="0"
          :max="355"
          :step="5"
          :told="bearing(plan.wind_from_deg)"
          testid="hold-wind-from"
          @try="tryHold({ wind_from_deg: $event })"
          @take="take({ wind_from_deg: $event })"
        />
        <div class="fields">
          <label
            >Depth
            <QuantityInput
              :model-value="demands.depth_m"
              label="Depth"
              kind="far"
              :digits="1"
              :units="look.units"
              testid="hold-depth"
              @update:model-value="takeDemands({ depth_m: $event })"
          /></label>
          <label
            >Line, to 1 of depth
            <input
              type="number"
              min="1.2"
              max="20"
              step="0.5"
              :value="demands.scope"
              data-testid="hold-scope"
              @change="takeDemands({ scope: Number(($event.target as HTMLInputElement).value) })"
          /></label>
          <label
            >Bottom
            <select
              :value="plan.bottom"
              data-testid="hold-bottom"
              @change="take({ bottom: pick($event) as Plan['bottom'] })"
            >
              <option v-for="one in CHOICES.HoldPlan.bottom" :key="one">{{ one }}</option>
            </select></label
          >
        </div>
      </div>
      <div v-if="anchor" class="card pad gap" data-testid="anchor-card">
        <h2>
          <button type="button" title="How was this computed?" @click="figure = 'hold anchor'">
            {{ nameOf(anchor.thing_id) }}
          </button>
        </h2>
        <dl>
          <dt>Pull over what it holds</dt>
          <dd>{{ amount(anchor.holding_share, 'ratio') }}</dd>
          <dt>Wanted, twice over</dt>
          <dd>
            {{ amount(anchor.recommended_kg, 'mass') }}, aboard {{ amount(anchor.mass_kg, 'mass') }}
          </dd>
          <dt>Line out</dt>
          <dd>
            {{ amount(anchor.line_m, 'far') }} of
            {{
              anchor.rope_m == null
                ? 'nobody knows how much'
                : amount(anchor.rope_m + anchor.chain_m, 'far')
            }}
          </dd>
          <dt>Angle at the anchor, at the boat</dt>
          <dd>
            {{ amount(anchor.angle_at_anchor_deg, 'angle', 0) }},
            {{ amount(anchor.angle_at_cleat_deg, 'angle', 0) }}
          </dd>
          <dt>Pulls the end down by</dt>
          <dd>{{ amount(anchor.down_n, 'force', 1) }}</dd>
          <dt>Line, of its strength</dt>
          <dd>{{ amount(anchor.line_share, 'ratio', 1) }}</dd>
        </dl>
        <p v-if="!anchor.reaches_bottom" class="fix" role="alert">It does not reach the bottom.</p>
      </div>
      <div v-if="figures?.pole" class="card pad gap" data-testid="pole-card">
        <h2>
          <button type="button" title="How was this computed?" @click="figure = 'hold pole'">
            {{ nameOf(figures.pole.thing_id) }}
          </button>
        </h2>
        <dl>
          <dt>Good to</dt>
          <dd>
            {{ amount(figures.pole.depth_limit_m, 'far', 1) }}, then
            {{ LIMITED[figures.pole.limited_by] }}
          </dd>
          <dt>Bending, of what it stands</dt>
          <dd>{{ amount(figures.pole.bending_share, 'ratio') }}</dd>
          <dt>Bottom, of what it stands</dt>
          <dd>{{ amount(figures.pole.soil_share, 'ratio') }}</dd>
          <dt>Gives at the boat by</dt>
          <dd>{{ amount(figures.pole.deflection_m, 'length', 0) }}</dd>
        </dl>
        <label class="tick"
          ><input
            type="checkbox"
            :checked="plan.two_poles"
            @change="take({ two_poles: ticked($event) })"
          />
          a second pole at the other end, so that it does not turn</label
        >
      </div>
      <div class="card pad gap">
        <label class="tick"
          ><input
            type="checkbox"
            :checked="plan.trolley != null"
            data-testid="trolley"
            @change="setTrolley(ticked($event) ? {} : null)"
          />
          a trolley: a ring on a rope along one side</label
        >
        <div v-if="plan.trolley" class="fields">
          <label
            >Fore block
            <FromBowInput
              :model-value="plan.trolley.fwd_x_m"
              :bow_x_m="bow_x_m"
              :units="look.units"
              label="Fore block, from the bow"
              @update:model-value="setTrolley({ fwd_x_m: $event })"
          /></label>
          <label
            >Aft block
            <FromBowInput
              :model-value="plan.trolley.aft_x_m"
              :bow_x_m="bow_x_m"
              :units="look.units"
              label="Aft block, from the bow"
              @update:model-value="setTrolley({ aft_x_m: $event })"
          /></label>
          <label
            >Side
            <select
              :value="plan.trolley.side"
              @change="setTrolley({ side: pick($event) as 'port' | 'starboard' })"
            >
              <option v-for="one in CHOICES.Trolley.side" :key="one">{{ one }}</option>
            </select></label
          >
          <label
            >Over the gunwale
            <QuantityInput
              :model-value="plan.trolley.over_m"
              label="Rope over the gunwale"
              kind="length"
              :units="look.units"
              @update:model-value="setTrolley({ over_m: $event })"
          /></label>
        </div>
        <p v-if="figures?.rope" class="soft">
          {{
            figures.rope.meets.length
              ? `Rubs on ${figures.rope.meets.join(', ')}.`
              : 'Touches nothing aboard.'
          }}
          {{
            figures.rope.in_reach
              ? 'Within reach from the seat.'
              : 'Not within reach from the seat.'
          }}
        </p>
      </div>
      <TopicFindings topic="anchor" fine="It holds as set" class="gap">
        <p class="soft">
          Anchored in a current is the deadliest thing done from a kayak: by an end only, the
          release within reach, a knife worn, a float on the line.
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

<style scoped>
.hold {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  gap: 14px;
  padding: 12px 18px;
}
.left,
.side,
.beside {
  min-width: 0;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
  margin-bottom: 8px;
}
.top h1,
.top p {
  margin: 0;
}
.answer b {
  font-size: 17px;
}
.how,
h2 button {
  padding: 0;
  border: 0;
  border-bottom: 1px dotted var(--soft);
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: help;
}
.card {
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.pad {
  padding: 10px 12px;
}
.pad h2,
.keys {
  margin: 0 0 4px;
}
.gap {
  margin-top: 12px;
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
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 10px;
  margin: 6px 0;
  font-size: 12px;
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
}
.ends {
  display: flex;
  gap: 6px;
  align-items: center;
  margin: 2px 0 6px;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  margin-top: 6px;
}
.fields label,
.tick {
  display: flex;
  gap: 5px;
  align-items: center;
}
.fields :deep(.el-input),
.fields input {
  width: 82px;
}
select,
input[type='number'] {
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 5px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
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
.pad p.soft {
  margin: 4px 0 0;
  font-size: 12px;
}
@media (max-width: 700px) {
  .views {
    flex-direction: column;
  }
}
@media (max-width: 1000px) {
  .hold {
    display: flex;
    flex-direction: column;
    padding: 10px;
  }
}
</style>
