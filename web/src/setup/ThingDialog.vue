<script setup lang="ts">
/** A thing by number: name, weight and where the weight comes from, shape and size. */
import { computed, reactive, ref, watch } from 'vue'
import { api, ask, Offline, Refusal, type Problem, type Thing } from '@/api/client'
import { shrunk } from '@/kit/photo'
import type { Units } from '@/kit/units'
import { reasons } from '@/kit/words'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import EvidenceChoice from '@/kit/EvidenceChoice.vue'
import InstrumentReading from '@/kit/InstrumentReading.vue'
import QuantityInput from '@/kit/QuantityInput.vue'
import ElectricFields from './ElectricFields.vue'
import GoingFields from './GoingFields.vue'
import SafetyFields from './SafetyFields.vue'
import GearPicture from '@/drawing/GearPicture.vue'
import { PICTURES } from '@/drawing/gear'
import {
  BLANK,
  FIXINGS,
  FLAGS,
  KINDS,
  OPENINGS,
  PARTS,
  REELS,
  ROLE_WORDS,
  SERVICES,
  SHAPES,
  USES,
  draftOf,
  hasFlag,
  thingOf,
  withFlag,
  withRole,
  type Draft,
} from './thingWords'

const props = defineProps<{ thing: Thing | null; units: Units; refused: Problem | null }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ save: [thing: Thing, before: Thing | null]; strike: [] }>()

const draft = reactive<Draft>(draftOf(BLANK))
let base: Thing | null = null // as it was when the dialog opened: what was changed since is saved
watch(
  open,
  (now) => {
    if (!now) return
    Object.assign(draft, draftOf(props.thing ?? BLANK))
    base = props.thing && thingOf(draftOf(props.thing))
  },
  { immediate: true },
)

const INNER = [
  ['length_m', 'length'],
  ['width_m', 'width'],
  ['height_m', 'height'],
] as const
const WALL_M = 0.01 // until the inside is measured: as large as the outside, less a wall
const holds = computed(() => draft.container.length_m != null)
function setHolds(): void {
  const now = !holds.value
  const inner = (outer: number, walls: number) => Math.max(0.01, outer - walls * WALL_M)
  draft.container.length_m = now ? inner(draft.length_m, 2) : null
  draft.container.width_m = now ? inner(draft.width_m, 2) : null
  draft.container.height_m = now ? inner(draft.height_m, 1) : null
}

const photoWrong = ref('')
async function takePhoto(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  photoWrong.value = ''
  try {
    const image = await shrunk(file)
    draft.photo = (await ask(api.POST('/api/v1/photos', { body: { image } }))).photo_id
  } catch (error) {
    photoWrong.value =
      error instanceof Refusal || error instanceof Offline
        ? error.message
        : 'That picture cannot be read.'
  }
}

/** The scale's reading goes in as weighed, today. */
function weigh(kg: number): void {
  draft.mass_kg = Math.round(kg * 100) / 100
  draft.evidence = 'weighed'
  draft.weighed_on = new Date().toISOString().slice(0, 10)
}

const wrong = (field: string) =>
  props.refused?.fields.find((one) => one.field === `thing.${field}`)?.why ?? ''
const BESIDE =
  /^thing\.(name|mass_kg|(length|width|height)_m|rod\.butt_m|container\.(length|width|height)_m|fill\.(empty_kg|filled))$/
/** What is told beside no field of its own. */
const other = computed(() => {
  if (!props.refused?.fields.length) return props.refused?.detail ?? ''
  return reasons(props.refused.fields.filter((one) => !BESIDE.test(one.field)))
})
</script>

<template>
  <el-dialog v-model="open" :title="thing ? thing.name : 'Add item'" width="560" align-center>
    <form class="form" @submit.prevent="emit('save', thingOf(draft), base)">
      <label for="thing-name">Name</label>
      <div>
        <el-input id="thing-name" v-model="draft.name" size="small" maxlength="80" />
        <p v-if="wrong('name')" class="why" role="alert">{{ wrong('name') }}</p>
      </div>
      <label>Weight</label>
      <QuantityInput
        v-model="draft.mass_kg"
        label="Weight"
        kind="mass"
        :digits="2"
        :units="units"
        :wrong="wrong('mass_kg')"
        testid="thing-mass"
      />
      <span>Weight from</span>
      <EvidenceChoice v-model="draft.evidence" />
      <span>Shape</span>
      <ChoiceGroup v-model="draft.shape" label="Shape" :options="SHAPES" />
      <label>Length</label>
      <QuantityInput
        v-model="draft.length_m"
        label="Length"
        kind="length"
        :units="units"
        :wrong="wrong('length_m')"
      />
      <label>Width</label>
      <QuantityInput
        v-model="draft.width_m"
        label="Width"
        kind="length"
        :units="units"
        :wrong="wrong('width_m')"
      />
      <label>Height</label>
      <QuantityInput
        v-model="draft.height_m"
        label="Height"
        kind="length"
        :units="units"
        :wrong="wrong('height_m')"
      />
      <template v-if="draft.shape === 'rod'">
        <label>Butt</label>
        <QuantityInput
          :model-value="draft.rod.butt_m ?? null"
          label="From the end of the butt to the reel"
          kind="length"
          :units="units"
          :wrong="wrong('rod.butt_m')"
          optional
          placeholder="to the reel; typical if empty"
          @update:model-value="draft.rod.butt_m = $event"
        />
        <span>Reel</span>
        <ChoiceGroup v-model="draft.rod.reel" label="Reel" :options="REELS" />
      </template>
      <template v-else-if="draft.shape !== 'pole'">
        <span>Inside</span>
        <label class="tick">
          <input :checked="holds" type="checkbox" data-testid="holds" @change="setHolds" />
          it holds other things
        </label>
        <template v-if="holds">
          <label>Inner size</label>
          <div class="three">
            <QuantityInput
              v-for="[field, word] in INNER"
              :key="field"
              :model-value="draft.container[field] ?? null"
              :label="`Inner ${word}`"
              kind="length"
              :units="units"
              :wrong="wrong(`container.${field}`)"
              :testid="`inner_${field}`"
              @update:model-value="draft.container[field] = $event"
            />
          </div>
          <span>Opens by</span>
          <ChoiceGroup v-model="draft.container.opens" label="How it opens" :options="OPENINGS" />
        </template>
      </template>
      <span>Scale</span>
      <InstrumentReading scale @force="weigh" />
      <span>Kind</span>
      <select v-model="draft.kind" aria-label="Kind" class="pick">
        <option v-for="one in KINDS" :key="one">{{ one }}</option>
      </select>
      <span>Used</span>
      <select v-model="draft.use" aria-label="How often it is used" class="pick">
        <option v-for="one in USES" :key="one">{{ one }}</option>
      </select>
      <span>Mounted with</span>
      <select v-model="draft.fixing.by" aria-label="What it is mounted with" class="pick">
        <option v-for="one in FIXINGS" :key="one">{{ one }}</option>
      </select>
      <span>It is</span>
      <div class="flags">
        <label v-for="[flag, word] in FLAGS" :key="flag"
          ><input
            type="checkbox"
            :checked="hasFlag(draft, flag)"
            @change="
              Object.assign(
                draft,
                withFlag(flag, ($event.target as HTMLInputElement).checked)(draft),
              )
            "
          />
          {{ word }}</label
        >
        <label><input v-model="draft.bought" type="checkbox" /> bought</label>
        <label><input v-model="draft.fill.sloshes" type="checkbox" /> a liquid that can run</label>
        <label><input v-model="draft.fill.afloat" type="checkbox" /> filled on the water</label>
      </div>
      <span>Acts as</span>
      <div class="flags" role="group" aria-label="What it acts as">
        <label v-for="[role, word] in ROLE_WORDS" :key="role"
          ><input
            type="checkbox"
            :checked="draft[role] != null"
            @change="
              Object.assign(draft, withRole(role, ($event.target as HTMLInputElement).checked))
            "
          />
          {{ word }}</label
        >
      </div>
      <GoingFields
        v-model:anchor="draft.anchor"
        v-model:drogue="draft.drogue"
        v-model:motor="draft.motor"
        :units="units"
      />
      <SafetyFields
        v-model:lamp="draft.lamp"
        v-model:flag="draft.flag"
        v-model:grip="draft.grip"
        v-model:bails="draft.bails"
        v-model:volume="draft.volume_l"
        :units="units"
      />
      <ElectricFields v-model:battery="draft.battery" v-model:draw="draft.draw" />
      <span>Part</span>
      <select v-model="draft.part" aria-label="Which part of the boat it is" class="pick">
        <option :value="null">of the gear</option>
        <option v-for="one in PARTS" :key="one" :value="one">the {{ one }}</option>
      </select>
      <span>Drawn as</span>
      <div class="drawn">
        <select v-model="draft.picture" aria-label="How it is drawn" class="pick">
          <option :value="null">what it is</option>
          <option v-for="one in PICTURES" :key="one" :value="one">{{ one }}</option>
        </select>
        <GearPicture :thing="thingOf(draft)" :wide="64" :high="34" />
      </div>
      <span>Serves as</span>
      <div class="flags" role="group" aria-label="Which of the basics it serves as">
        <label v-for="one in SERVICES" :key="one"
          ><input v-model="draft.serves" type="checkbox" :value="one" /> {{ one }}</label
        >
      </div>
      <label>Empty</label>
      <QuantityInput
        :model-value="draft.fill.empty_kg ?? null"
        label="Weight when empty"
        kind="mass"
        :digits="2"
        :units="units"
        :wrong="wrong('fill.empty_kg')"
        optional
        placeholder="if it is filled"
        @update:model-value="draft.fill.empty_kg = $event"
      />
      <template v-if="draft.fill.empty_kg != null">
        <label>Filled</label>
        <QuantityInput
          :model-value="draft.fill.filled"
          label="How much of it is in"
          kind="ratio"
          :units="units"
          :wrong="wrong('fill.filled')"
          @update:model-value="draft.fill.filled = $event"
        />
      </template>
      <span>Photo</span>
      <div class="photo">
        <img
          v-if="draft.photo"
          :src="`/api/v1/photos/${draft.photo}`"
          :alt="`Photo of ${draft.name}`"
        />
        <input
          type="file"
          accept="image/png,image/jpeg"
          aria-label="Photo"
          data-testid="thing-photo"
          @change="takePhoto"
        />
        <el-button v-if="draft.photo" size="small" @click="draft.photo = null">Remove</el-button>
      </div>
      <p v-if="photoWrong" class="why wide" role="alert">{{ photoWrong }}</p>
      <label for="thing-notes">Notes</label>
      <el-input id="thing-notes" v-model="draft.notes" size="small" maxlength="2000" />
      <p v-if="other" class="why wide" role="alert">{{ other }}</p>
      <div class="acts">
        <el-button v-if="thing" size="small" @click="emit('strike')">Delete</el-button>
        <span class="push" />
        <el-button size="small" @click="open = false">Cancel</el-button>
        <el-button size="small" type="primary" native-type="submit" data-testid="save-thing">
          {{ thing ? 'Save' : 'Add item' }}
        </el-button>
      </div>
    </form>
  </el-dialog>
</template>

<style scoped>
.pick {
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font-size: 13px;
}
.flags {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
}
.photo {
  display: flex;
  gap: 8px;
  align-items: center;
}
.photo img {
  max-width: 96px;
  max-height: 72px;
  border: 1px solid var(--line);
  border-radius: 6px;
}
.three {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 6px;
}
.tick {
  color: var(--ink);
}
.form {
  display: grid;
  grid-template-columns: 70px 1fr;
  gap: 8px 10px;
  align-items: start;
}
label,
.form > span {
  padding-top: 3px;
  color: var(--soft);
}
.why {
  margin: 2px 0 0;
  color: var(--stop);
  font-size: 12px;
}
.wide,
.acts {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  margin-top: 8px;
}
.push {
  flex: 1;
}
</style>
