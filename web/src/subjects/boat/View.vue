<script setup lang="ts">
/** The boat: measured on a walk round it, what it has, and tests that make its model true. */
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import type { Boat } from '@/api/client'
import AsternView from '@/drawing/AsternView.vue'
import FittingMarks from '@/drawing/FittingMarks.vue'
import HullPlan from '@/drawing/HullPlan.vue'
import HullSide from '@/drawing/HullSide.vue'
import MeasureMark from '@/drawing/MeasureMark.vue'
import RulerMarks from '@/drawing/RulerMarks.vue'
import SectionLines from '@/drawing/SectionLines.vue'
import { show, showBand } from '@/kit/units'
import { listWords, trimWords } from '@/kit/words'
import { layOut } from '@/drawing/sheet'
import BoatNumbers from './BoatNumbers.vue'
import CalibrationPanel from './CalibrationPanel.vue'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import FittingsPanel from './FittingsPanel.vue'
import MeasureWalk from './MeasureWalk.vue'
import { MEASURES } from '@/setup/measures'
import OffsetsPanel from './OffsetsPanel.vue'
import TapeForm from './TapeForm.vue'
import { useLook } from '@/setup/look'
import { useDraft } from '@/setup/useDraft'
import { useSetup } from '@/setup/useSetup'

const store = useSetup()
const look = useLook()
const { draft, base, changed, plain, reset } = useDraft<Boat>(
  () => store.confirmed?.setup.boat,
  () => store.confirmed?.setup_id,
)
const CONFIDENCE = {
  typical: 'typical values in use; measure what is marked',
  estimate: 'estimate from a tape; no test afloat yet',
  calibrated: 'tested afloat',
}
const tab = ref<'measures' | 'fittings' | 'tests'>('measures')
const active = ref<string>('length_m')
const chosenFitting = ref<number | null>(null)
watch(
  draft,
  (boat) => {
    if (boat && changed.value) store.tryOut({ boat, places: [] })
    else if (!changed.value) store.stopTrying()
  },
  { deep: true },
)

const frame = useTemplateRef<HTMLDivElement>('frame')
const { width } = useElementSize(frame)
const sheet = computed(() => {
  const x = store.drawing?.x_m ?? [0, 1]
  return layOut(Math.max(300, width.value), 520, x[0]!, x.at(-1)!)
})
const shownBoat = computed(() => (store.tried?.drawing ? draft.value : store.kept?.setup.boat))
const wrong = (field: string) =>
  store.refusal?.problem.fields.find((one) => one.field.replace(/^boat\./, '') === field)?.why ?? ''
const measure = computed(() => MEASURES.find((one) => one.field === active.value))
const measureText = computed(() => {
  const value = measure.value && draft.value?.tape[measure.value.field]
  return typeof value === 'number' ? show(value, 'length', look.units) : ''
})

async function walkTo(field: string): Promise<void> {
  active.value = field
  await nextTick()
  document.querySelector<HTMLInputElement>(`[data-testid="${field}"]`)?.focus()
}
async function save(): Promise<void> {
  const boat = plain()
  if (boat && base.value) await store.putBoat(boat, base.value)
}
/** Enter in a field takes what was typed; only the button saves, for a test is many fields. */
function enter(event: KeyboardEvent): void {
  if ((event.target as Element).tagName === 'INPUT') event.preventDefault()
}
function back(): void {
  store.stopTrying()
  reset()
}
</script>

<template>
  <div v-if="draft && store.kept && store.drawing && store.figures" class="boat">
    <form class="measures" @submit.prevent="save" @keydown.enter="enter">
      <div class="head">
        <h1>{{ draft.name }}</h1>
        <ChoiceGroup
          v-model="tab"
          label="Part of the boat"
          :options="[
            ['measures', 'Measures'],
            ['fittings', 'Fittings'],
            ['tests', 'Tests afloat'],
          ]"
        />
      </div>
      <template v-if="tab === 'measures'">
        <p class="soft lead">
          Boat level on flat ground, tape and a friend. Type as the tape reads: 366 cm, 12'0", 144
          in.
        </p>
        <TapeForm
          v-model="draft.tape"
          :units="look.units"
          :wrong="wrong"
          :active="active"
          @focus="active = $event"
        />
        <BoatNumbers v-model="draft" :units="look.units" :wrong="wrong" />
        <OffsetsPanel v-model="draft" :units="look.units" :wrong="wrong" />
      </template>
      <FittingsPanel
        v-else-if="tab === 'fittings'"
        v-model="draft"
        v-model:chosen="chosenFitting"
        :units="look.units"
        :bow_x_m="store.drawing.x_m.at(-1)!"
        :wrong="wrong"
      />
      <CalibrationPanel
        v-else
        v-model="draft"
        :units="look.units"
        :bow_x_m="store.drawing.x_m.at(-1)!"
        :aboard="{
          kg: store.figures.weight.carried_kg,
          x_m: store.figures.weight.carried_at[0],
          z_m: store.figures.weight.carried_at[2],
        }"
      />
      <div class="acts">
        <el-button size="small" :disabled="!changed" @click="back">Back to what is saved</el-button>
        <el-button
          size="small"
          type="primary"
          native-type="submit"
          :disabled="!changed"
          data-testid="save-boat"
        >
          Save the boat
        </el-button>
      </div>
    </form>
    <section class="lines" aria-label="Lines of the boat">
      <div ref="frame" class="sheet">
        <svg
          v-if="shownBoat && width > 0"
          :width="sheet.width"
          :height="sheet.stripTop"
          role="img"
          aria-label="The boat from above, the side and astern, to scale"
        >
          <HullSide
            :sheet="sheet"
            :drawing="store.drawing"
            :boat="shownBoat"
            :afloat="store.figures.afloat"
          />
          <RulerMarks
            :sheet="sheet"
            :length_m="store.drawing.x_m.at(-1)! - store.drawing.x_m[0]!"
            :imperial="look.units === 'imperial'"
          />
          <FittingMarks
            :sheet="sheet"
            :fittings="shownBoat.fittings"
            view="side"
            :chosen="chosenFitting"
          />
          <HullPlan :sheet="sheet" :drawing="store.drawing" :boat="shownBoat" />
          <FittingMarks
            :sheet="sheet"
            :fittings="shownBoat.fittings"
            view="plan"
            :chosen="chosenFitting"
            :names="tab === 'fittings' && shownBoat.fittings.length < 9"
          />
          <HullSide
            :sheet="sheet"
            :drawing="store.drawing"
            :boat="shownBoat"
            :afloat="store.figures.afloat"
            front
          />
          <MeasureMark
            v-if="tab === 'measures'"
            :sheet="sheet"
            :drawing="store.drawing"
            :tape="shownBoat.tape"
            :field="active"
            :text="measureText"
          />
          <text class="view" x="12" :y="sheet.planTop + 17">From above</text>
          <text class="view" x="12" :y="sheet.sideTop + 17">From the side</text>
        </svg>
      </div>
      <MeasureWalk v-if="tab === 'measures'" :field="active" @go="walkTo" />
      <div class="below">
        <svg width="270" height="190" role="img" aria-label="Sections of the boat">
          <SectionLines :drawing="store.drawing" :width="269" :height="189" :units="look.units" />
        </svg>
        <svg width="150" height="190" role="img" aria-label="Widest section, from astern">
          <AsternView
            :drawing="store.drawing"
            :afloat="store.figures.afloat"
            :width="149"
            :height="189"
          />
        </svg>
        <dl v-if="store.figures.afloat">
          <dt>With this setup aboard</dt>
          <dd>
            {{ trimWords(store.figures.afloat.trim_deg) }},
            {{ listWords(store.figures.afloat.heel_deg) }}
          </dd>
          <dt>Draft, bow · middle · stern</dt>
          <dd class="num" data-testid="boat-drafts">
            {{ show(store.figures.afloat.draft_fwd_m, 'length', look.units) }} ·
            {{ show(store.figures.afloat.draft_mid_m, 'length', look.units) }} ·
            {{ show(store.figures.afloat.draft_aft_m, 'length', look.units) }}
          </dd>
          <dt>Stability (GM)</dt>
          <dd v-if="store.figures.bands" class="num" data-testid="boat-gm">
            {{
              showBand(store.figures.afloat.gm_m, store.figures.bands.gm_m, 'length', look.units)
            }}
          </dd>
          <dt>Confidence</dt>
          <dd data-testid="boat-confidence">
            {{ CONFIDENCE[store.figures.bands?.hull ?? 'estimate'] }}
          </dd>
        </dl>
        <p v-else class="stop" role="alert">{{ store.figures.trouble }}</p>
      </div>
    </section>
  </div>
</template>

<style scoped>
.boat {
  display: grid;
  grid-template-columns: 520px minmax(0, 1fr);
  gap: 20px;
  padding: 14px 18px;
}
.head {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 8px;
}
.lead {
  margin: 2px 0 10px;
}
/* It stays where it is: a fit that arrives above it must not move it from under the pointer. */
.acts {
  position: sticky;
  z-index: 1;
  bottom: 0;
  display: flex;
  justify-content: flex-end;
  margin-top: 12px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
  background: var(--paper);
}
/* What the focus comes to is never under that bar. */
.measures :deep(:is(input, button, textarea, select)) {
  scroll-margin-bottom: 56px;
}
.lines {
  min-width: 0;
}
.sheet {
  overflow: hidden;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.sheet svg {
  display: block;
}
.view {
  fill: var(--soft);
  font-size: 12px;
}
.below {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: flex-start;
  margin-top: 10px;
}
dl {
  margin: 0;
}
dt {
  color: var(--soft);
  font-size: 12px;
}
dd {
  margin: 0 0 6px;
}
@media (max-width: 900px) {
  .boat {
    display: flex;
    flex-direction: column-reverse;
    padding: 10px;
  }
  .head {
    flex-wrap: wrap;
  }
}
</style>
