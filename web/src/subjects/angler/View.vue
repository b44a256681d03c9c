<script setup lang="ts">
/** Who goes, and how they sit; the figure answers while typing. */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { api, ask, whyNone, type Angler, type Schemas, type SeatPlace } from '@/api/client'
import AnglerShape from '@/drawing/AnglerShape.vue'
import EnvelopeShapes from '@/drawing/EnvelopeShapes.vue'
import FittingMarks from '@/drawing/FittingMarks.vue'
import HullPlan from '@/drawing/HullPlan.vue'
import HullSide from '@/drawing/HullSide.vue'
import ReachZones from '@/drawing/ReachZones.vue'
import RulerMarks from '@/drawing/RulerMarks.vue'
import SeatHandles from '@/drawing/SeatHandles.vue'
import { show } from '@/kit/units'
import { told } from '@/kit/words'
import { layOut } from '@/drawing/sheet'
import BodyLengthsForm from './BodyLengthsForm.vue'
import EvidenceChoice from '@/kit/EvidenceChoice.vue'
import QuantityInput from '@/kit/QuantityInput.vue'
import ReachLimitsForm from './ReachLimitsForm.vue'
import { useLook } from '@/setup/look'
import { useDraft } from '@/setup/useDraft'
import { useSetup } from '@/setup/useSetup'

const store = useSetup()
const look = useLook()
const who = useDraft<Angler>(
  () => store.confirmed?.setup.angler,
  () => store.confirmed?.setup_id,
)
const sits = useDraft<SeatPlace>(
  () => store.confirmed?.setup.seat,
  () => store.confirmed?.setup_id,
)
const [angler, seat] = [who.draft, sits.draft]
const changed = computed(() => who.changed.value || sits.changed.value)
watch(
  [angler, seat],
  () => {
    if (angler.value && seat.value && changed.value)
      store.tryOut({ angler: angler.value, seat: seat.value, places: [] })
    else if (!changed.value) store.stopTrying()
  },
  { deep: true },
)

const frame = useTemplateRef<HTMLDivElement>('frame')
const svg = useTemplateRef<SVGSVGElement>('svg')
const { width } = useElementSize(frame)
const sheet = computed(() => {
  const x = store.drawing?.x_m ?? [0, 1]
  return layOut(Math.max(300, width.value), 640, x[0]!, x.at(-1)!)
})
const bow = computed(() => store.drawing?.x_m.at(-1) ?? 0)
const wrong = (field: string) =>
  store.refusal?.problem.fields.find((one) => one.field === field)?.why ?? ''

const otherTrouble = computed(() => {
  const problem = store.refusal?.problem
  return problem && problem.fields.every((one) => !/^(angler|seat)/.test(one.field))
    ? problem.detail
    : ''
})

// Others who have been aboard, and one who has not.
const known = ref<Schemas['KnownAngler'][]>([])
const others = computed(() =>
  known.value.filter((one) => one.angler.name !== store.kept?.setup.angler.name),
)
async function learnWho(): Promise<void> {
  try {
    known.value = (await ask(api.GET('/api/v1/anglers'))) as Schemas['KnownAngler'][]
  } catch (error) {
    whyNone(error) // the list stays as it is
  }
}
watch(() => store.kept?.revision, learnWho, { immediate: true })
async function choose(event: Event): Promise<void> {
  const select = event.target as HTMLSelectElement
  const angler_id = Number(select.value)
  select.value = ''
  if (angler_id) await store.putCrew(angler_id)
}
/** Counted anew, for the list may not have come yet, or have grown since. */
async function addAngler(): Promise<void> {
  await learnWho()
  await store.addCrew({ ...store.kept!.setup.angler, name: `Angler ${known.value.length + 1}` })
}

async function save(): Promise<void> {
  const before = { angler: who.base.value!, seat: sits.base.value! }
  await store.putAngler(who.plain()!, sits.plain()!, before)
}
function back(): void {
  store.stopTrying()
  who.reset()
  sits.reset()
}
</script>

<template>
  <div v-if="angler && seat && store.kept && store.drawing && store.figures" class="angler">
    <form @submit.prevent="save">
      <div class="who">
        <h1>{{ angler.name }}</h1>
        <select
          v-if="known.length > 1"
          aria-label="Who goes"
          data-testid="who"
          :value="''"
          @change="choose"
        >
          <option value="">another angler…</option>
          <option v-for="one in others" :key="one.angler_id" :value="one.angler_id">
            {{ one.angler.name }}
          </option>
        </select>
        <el-button size="small" data-testid="new-angler" @click="addAngler">New angler</el-button>
      </div>
      <h2 class="next">Body</h2>
      <div class="grid">
        <label for="angler-name">Name</label>
        <el-input id="angler-name" v-model="angler.name" size="small" />
        <p />
        <label>Weight</label>
        <QuantityInput
          v-model="angler.mass_kg"
          label="Weight of the angler"
          kind="mass"
          :units="look.units"
          :wrong="wrong('angler.mass_kg')"
          testid="angler-mass"
        />
        <EvidenceChoice v-model="angler.evidence" :labelled="false" />
        <label>Height</label>
        <QuantityInput
          v-model="angler.stature_m"
          label="Height of the angler"
          kind="length"
          :units="look.units"
          :wrong="wrong('angler.stature_m')"
        />
        <p class="soft">weight dressed for the water; height barefoot</p>
      </div>
      <h2 class="next">Seat</h2>
      <div class="grid">
        <label>Seat from bow</label>
        <QuantityInput
          :model-value="bow - seat.x_m"
          label="Corner of seat and back, from the bow"
          kind="length"
          :units="look.units"
          :wrong="wrong('seat.x_m')"
          @update:model-value="seat.x_m = bow - $event"
        />
        <p class="soft">to the corner of pan and back</p>
        <label>Seat height</label>
        <QuantityInput
          v-model="seat.z_m"
          label="Seat height above the bottom"
          kind="length"
          :units="look.units"
          :wrong="wrong('seat.z_m')"
          testid="seat-height"
        />
        <p class="soft">above the bottom of the boat</p>
        <label>Recline</label>
        <QuantityInput
          v-model="seat.recline_deg"
          label="Recline of the back"
          kind="angle"
          :units="look.units"
          :digits="0"
          :wrong="wrong('seat.recline_deg')"
        />
        <p class="soft">of the back, from upright</p>
        <label>Heels from bow</label>
        <QuantityInput
          :model-value="bow - seat.brace_x_m"
          label="Where the heels rest, from the bow"
          kind="length"
          :units="look.units"
          :wrong="wrong('seat.brace_x_m')"
          @update:model-value="seat.brace_x_m = bow - $event"
        />
        <p class="soft">where the heels rest on the brace</p>
        <label>Heel height</label>
        <QuantityInput
          v-model="seat.brace_z_m"
          label="Heel height above the bottom"
          kind="length"
          :units="look.units"
          :wrong="wrong('seat.brace_z_m')"
        />
        <p class="soft">above the bottom of the boat</p>
      </div>
      <BodyLengthsForm
        v-model="angler.lengths"
        :stature_m="angler.stature_m"
        :units="look.units"
        :wrong="wrong"
      />
      <ReachLimitsForm v-model="angler" :units="look.units" :wrong="wrong" />
      <ul v-if="store.drawing.remarks.length" class="fix remarks" role="status">
        <li v-for="(one, i) in store.drawing.remarks" :key="i">
          {{ told(one.text, one.amounts ?? [], look.units) }}
        </li>
      </ul>
      <p v-if="otherTrouble" class="stop" role="alert">{{ otherTrouble }}</p>
      <div class="acts">
        <el-button size="small" :disabled="!changed" @click="back">Back to what is saved</el-button>
        <el-button
          size="small"
          type="primary"
          native-type="submit"
          :disabled="!changed"
          data-testid="save-angler"
          >Save the angler</el-button
        >
      </div>
    </form>
    <section aria-label="The angler in the boat">
      <div ref="frame" class="sheet">
        <svg
          v-if="width > 0"
          ref="svg"
          :width="sheet.width"
          :height="sheet.sideBottom"
          role="group"
          aria-label="The angler seated in the boat, from above and from the side"
        >
          <HullSide
            :sheet="sheet"
            :drawing="store.drawing"
            :boat="store.kept.setup.boat"
            :afloat="store.figures.afloat"
          />
          <RulerMarks
            :sheet="sheet"
            :length_m="bow - (store.drawing.x_m[0] ?? 0)"
            :imperial="look.units === 'imperial'"
          />
          <HullPlan :sheet="sheet" :drawing="store.drawing" :boat="store.kept.setup.boat" />
          <FittingMarks :sheet="sheet" :fittings="store.kept.setup.boat.fittings" view="plan" />
          <EnvelopeShapes
            :sheet="sheet"
            :drawing="store.drawing"
            :overlays="['legs']"
            view="side"
          />
          <g clip-path="url(#angler-plan)">
            <ReachZones :sheet="sheet" :drawing="store.drawing" />
            <AnglerShape :sheet="sheet" :drawing="store.drawing" :seat="seat" view="plan" />
          </g>
          <clipPath id="angler-plan">
            <rect
              :width="sheet.width"
              :y="sheet.planTop"
              :height="sheet.planBottom - sheet.planTop"
            />
          </clipPath>
          <AnglerShape :sheet="sheet" :drawing="store.drawing" :seat="seat" view="side" />
          <HullSide
            :sheet="sheet"
            :drawing="store.drawing"
            :boat="store.kept.setup.boat"
            :afloat="store.figures.afloat"
            front
          />
          <SeatHandles v-model="seat" :sheet="sheet" :svg="svg" />
        </svg>
      </div>
      <dl v-if="store.figures.afloat">
        <div>
          <dt>Straight arm, shoulder to grip</dt>
          <dd class="num">{{ show(store.drawing.reach_m, 'length', look.units) }}</dd>
        </div>
        <div>
          <dt>Stability (GM), seated</dt>
          <dd class="num" data-testid="angler-gm">
            {{ show(store.figures.afloat.gm_m, 'length', look.units) }}
          </dd>
        </div>
        <div>
          <dt>Weight acts, above the bottom</dt>
          <dd class="num">{{ show(store.figures.afloat.weight_at[2], 'length', look.units) }}</dd>
        </div>
      </dl>
      <p v-else class="stop" role="alert">{{ store.figures.trouble }}</p>
    </section>
  </div>
</template>

<style scoped>
.angler {
  display: grid;
  grid-template-columns: 480px minmax(0, 1fr);
  gap: 20px;
  padding: 14px 18px;
}
.who {
  display: flex;
  gap: 8px;
  align-items: center;
}
.who select {
  height: 24px;
  margin-left: auto;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
}
.who > :nth-child(2):last-child {
  margin-left: auto;
}
.remarks {
  margin: 8px 0 0;
  padding-left: 16px;
}
.next {
  margin-top: 12px;
}
.grid {
  display: grid;
  grid-template-columns: 112px 118px 1fr;
  gap: 6px 10px;
  align-items: start;
}
label {
  padding-top: 3px;
}
.grid p {
  margin: 0;
  padding-top: 4px;
  font-size: 12px;
}
.acts {
  display: flex;
  justify-content: flex-end;
  margin-top: 12px;
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
dl {
  display: flex;
  gap: 28px;
}
dt {
  color: var(--soft);
  font-size: 12px;
}
dd {
  margin: 0;
}
@media (max-width: 900px) {
  .angler {
    display: flex;
    flex-direction: column-reverse;
    padding: 10px;
  }
}
</style>
