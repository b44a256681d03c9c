<script setup lang="ts">
/** The boat: its measures by tape, live lines beside them, its weight and rating. */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import type { Boat } from '@/api/client'
import AsternView from '@/drawing/AsternView.vue'
import HullPlan from '@/drawing/HullPlan.vue'
import HullSide from '@/drawing/HullSide.vue'
import RulerMarks from '@/drawing/RulerMarks.vue'
import { show } from '@/edge/units'
import { listWords, trimWords } from '@/edge/words'
import { layOut } from '@/geometry/sheet'
import ChoiceGroup from '@/panels/ChoiceGroup.vue'
import QuantityInput from '@/panels/QuantityInput.vue'
import TapeForm from '@/panels/TapeForm.vue'
import { useLook } from '@/stores/look'
import { useSetup } from '@/stores/setup'

const store = useSetup()
const look = useLook()
const draft = ref<Boat | null>(null)
watch(
  () => [store.kept?.setup_id, store.kept?.revision],
  () => {
    draft.value = store.kept ? structuredClone(store.kept.setup.boat) : null
  },
  { immediate: true },
)
const changed = computed(
  () => JSON.stringify(draft.value) !== JSON.stringify(store.kept?.setup.boat),
)
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

async function save(): Promise<void> {
  if (draft.value) await store.putBoat(draft.value)
}
function back(): void {
  store.stopTrying()
  draft.value = store.kept ? structuredClone(store.kept.setup.boat) : null
}
</script>

<template>
  <div v-if="draft && store.kept && store.drawing && store.figures" class="boat">
    <form class="measures" @submit.prevent="save">
      <h1>{{ draft.name }}</h1>
      <p class="soft lead">
        Boat level on a flat floor, tape and a friend. Type as the tape reads: 366 cm, 12'0", 144
        in.
      </p>
      <h2>Measures</h2>
      <TapeForm v-model="draft.tape" :units="look.units" :wrong="wrong" />
      <h2 class="next">Weight and rating</h2>
      <div class="grid">
        <label for="boat-name">Name</label>
        <el-input id="boat-name" v-model="draft.name" size="small" />
        <p />
        <label>Bare weight</label>
        <QuantityInput
          v-model="draft.hull_mass_kg"
          label="Bare weight of the boat"
          kind="mass"
          :units="look.units"
          :wrong="wrong('hull_mass_kg')"
          testid="hull_mass_kg"
        />
        <ChoiceGroup
          v-model="draft.hull_evidence"
          label="Where the weight comes from"
          :options="[
            ['weighed', 'weighed'],
            ['label', 'label'],
            ['guess', 'guess'],
          ]"
        />
        <label>Maker's rating</label>
        <QuantityInput
          v-model="draft.rated_kg"
          label="Maker's rating"
          kind="mass"
          :units="look.units"
          :wrong="wrong('rated_kg')"
          optional
          placeholder="if known"
        />
        <p class="soft">what the label lets it carry; it is a hard stop</p>
        <label>Working share</label>
        <QuantityInput
          :model-value="draft.working_share"
          label="Working share of the rating"
          kind="ratio"
          :units="look.units"
          :wrong="wrong('working_share')"
          @update:model-value="draft.working_share = $event"
        />
        <p class="soft">of the rating; 65 to 75 % is usual</p>
      </div>
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
          v-if="shownBoat"
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
          <HullPlan :sheet="sheet" :drawing="store.drawing" :boat="shownBoat" />
          <HullSide
            :sheet="sheet"
            :drawing="store.drawing"
            :boat="shownBoat"
            :afloat="store.figures.afloat"
            front
          />
          <text class="view" x="12" :y="sheet.planTop + 17">From above</text>
          <text class="view" x="12" :y="sheet.sideTop + 17">From the side</text>
        </svg>
      </div>
      <div class="below">
        <svg width="210" height="210" role="img" aria-label="Widest section, from astern">
          <AsternView
            :drawing="store.drawing"
            :afloat="store.figures.afloat"
            :width="209"
            :height="209"
          />
        </svg>
        <dl v-if="store.figures.afloat">
          <dt>With this setup aboard</dt>
          <dd>
            {{ trimWords(store.figures.afloat.trim_deg) }},
            {{ listWords(store.figures.afloat.heel_deg) }}
          </dd>
          <dt>Draft, bow · middle · stern</dt>
          <dd class="num">
            {{ show(store.figures.afloat.draft_fwd_m, 'length', look.units) }} ·
            {{ show(store.figures.afloat.draft_mid_m, 'length', look.units) }} ·
            {{ show(store.figures.afloat.draft_aft_m, 'length', look.units) }}
          </dd>
          <dt>Steadiness (GM)</dt>
          <dd class="num">{{ show(store.figures.afloat.gm_m, 'length', look.units) }}</dd>
          <dt>
            Weight that sinks it
            {{ show(0.01, 'length', look.units, look.units === 'metric' ? 0 : 1) }}
          </dt>
          <dd class="num">{{ show(store.figures.afloat.kg_per_cm, 'mass', look.units) }}</dd>
          <dd class="soft">Estimate from a tape; no float test yet.</dd>
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
.lead {
  margin: 2px 0 12px;
}
.next {
  margin-top: 14px;
}
.grid {
  display: grid;
  grid-template-columns: 132px 118px 1fr;
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
.view {
  fill: var(--soft);
  font-size: 12px;
}
.below {
  display: flex;
  gap: 20px;
  align-items: flex-start;
  margin-top: 12px;
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
}
</style>
