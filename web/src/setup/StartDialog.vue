<script setup lang="ts">
/** From nothing to a boat on the bench: the few measures that matter first. */
import { computed, reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { Refusal, type Problem, type Schemas } from '@/api/client'
import { fieldWords } from '@/kit/words'
import { useLook } from './look'
import { useSetup } from './useSetup'
import { BOTTOMS, MEASURES } from './measures'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import EvidenceChoice from '@/kit/EvidenceChoice.vue'
import QuantityInput from '@/kit/QuantityInput.vue'

const open = defineModel<boolean>({ required: true })
const store = useSetup()
const look = useLook()
const router = useRouter()
const refused = ref<Problem | null>(null)
const trouble = ref('')

type First = Schemas['FirstMeasures']
const draft = reactive<First>({
  setup_name: 'First setup',
  boat_name: '',
  length_m: 3.6,
  beam_m: 0.84,
  beam_fore_quarter_m: 0.64,
  beam_aft_quarter_m: 0.72,
  depth_m: 0.33,
  bottom: 'shallow_arch',
  sit_in: false,
  hull_mass_kg: 30,
  hull_evidence: 'guess',
  rated_kg: null,
  angler_name: 'Me',
  angler_mass_kg: 80,
  angler_evidence: 'guess',
  stature_m: 1.75,
  water: 'fresh',
})
const TAPE = ['length_m', 'beam_m', 'beam_fore_quarter_m', 'beam_aft_quarter_m', 'depth_m'] as const
const measures = MEASURES.filter((one) => (TAPE as readonly string[]).includes(one.field))

/** Fields come back under the path of the finished setup; their last part is the same. */
const wrong = (field: string) =>
  refused.value?.fields.find((one) => one.field === field || one.field.endsWith(`.${field}`))
    ?.why ?? ''
const rest = computed(() => {
  const known = [...TAPE, 'boat_name', 'hull_mass_kg', 'rated_kg', 'angler_mass_kg', 'stature_m']
  const other = refused.value?.fields.filter(
    (one) => !known.includes(one.field.split('.').at(-1) ?? ''),
  )
  if (refused.value && refused.value.fields.length === 0) return refused.value.detail
  return other?.map((one) => `${fieldWords(one.field)}: ${one.why}`).join('; ') ?? ''
})

async function start(): Promise<void> {
  refused.value = null
  trouble.value = ''
  try {
    await store.start({ ...draft })
    open.value = false
    await router.push('/bench')
  } catch (error) {
    if (error instanceof Refusal) refused.value = error.problem
    else trouble.value = 'The server cannot be reached; nothing you typed is lost. Try again.'
  }
}
</script>

<template>
  <el-dialog v-model="open" title="A new boat, by tape and scale" width="560" align-center>
    <form class="form" @submit.prevent="start">
      <label>Boat</label>
      <div>
        <el-input
          v-model="draft.boat_name"
          size="small"
          aria-label="Name of the boat"
          placeholder="what you call it"
          data-testid="boat-name"
        />
        <p v-if="wrong('boat_name') || wrong('name')" class="why" role="alert">
          {{ wrong('boat_name') || wrong('name') }}
        </p>
      </div>
      <span />
      <template v-for="measure in measures" :key="measure.field">
        <label>{{ measure.label }}</label>
        <QuantityInput
          :label="measure.label"
          kind="length"
          :units="look.units"
          :model-value="draft[measure.field as (typeof TAPE)[number]]"
          :wrong="wrong(measure.field)"
          :testid="`start-${measure.field}`"
          @update:model-value="draft[measure.field as (typeof TAPE)[number]] = $event"
        />
        <p class="where">{{ measure.where }}</p>
      </template>
      <label>Bottom</label>
      <el-select v-model="draft.bottom" size="small" aria-label="Shape of the bottom">
        <el-option v-for="one in BOTTOMS" :key="one.value" :value="one.value" :label="one.label" />
      </el-select>
      <p class="where">look along it from the stern</p>
      <span>You sit</span>
      <ChoiceGroup
        :model-value="draft.sit_in ? 'in' : 'on'"
        label="On top or inside"
        :options="[
          ['on', 'on top'],
          ['in', 'in it'],
        ]"
        @update:model-value="draft.sit_in = $event === 'in'"
      />
      <p class="where">open scuppers, or a cockpit with a rim</p>
      <label>Boat weighs</label>
      <QuantityInput
        v-model="draft.hull_mass_kg"
        label="Weight of the boat"
        kind="mass"
        :units="look.units"
        :wrong="wrong('hull_mass_kg')"
        testid="start-hull_mass_kg"
      />
      <EvidenceChoice v-model="draft.hull_evidence" label="Where the boat's weight comes from" />
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
      <p class="where">what it may carry, on its label</p>
      <label>You weigh</label>
      <QuantityInput
        v-model="draft.angler_mass_kg"
        label="Weight of the angler"
        kind="mass"
        :units="look.units"
        :wrong="wrong('angler_mass_kg') || wrong('mass_kg')"
        testid="start-angler_mass_kg"
      />
      <EvidenceChoice
        v-model="draft.angler_evidence"
        label="Where your weight comes from"
        :labelled="false"
      />
      <label>Your height</label>
      <QuantityInput
        v-model="draft.stature_m"
        label="Height of the angler"
        kind="length"
        :units="look.units"
        :wrong="wrong('stature_m')"
      />
      <p class="where">weight dressed for the water, PFD and all</p>
      <label>Water</label>
      <ChoiceGroup
        v-model="draft.water"
        label="Water"
        :options="[
          ['fresh', 'fresh'],
          ['salt', 'salt'],
        ]"
      />
      <span />
      <p v-if="rest || trouble" class="why wide" role="alert">{{ rest || trouble }}</p>
      <div class="acts wide">
        <el-button size="small" @click="open = false">Cancel</el-button>
        <el-button size="small" type="primary" native-type="submit" data-testid="start-go"
          >Put it on the water</el-button
        >
      </div>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 120px 130px 1fr;
  gap: 6px 12px;
  align-items: start;
}
label {
  padding-top: 3px;
}
.where {
  margin: 0;
  padding-top: 4px;
  color: var(--soft);
  font-size: 12px;
}
.why {
  margin: 2px 0 0;
  color: var(--stop);
  font-size: 12px;
}
.wide {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  justify-content: flex-end;
  margin-top: 6px;
}
</style>
