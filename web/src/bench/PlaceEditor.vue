<script setup lang="ts">
/** The place of one thing by number: the drawing is never the only way. */
import { computed } from 'vue'
import type { Aboard, Clash, Place, Target, Thing } from '@/api/client'
import type { Units } from '@/kit/units'
import { clashWords, told } from '@/kit/words'
import VerdictMark from '@/kit/VerdictMark.vue'
import { clashKey } from '@/drawing/clashes'
import { placedAt } from '@/drawing/places'
import { BOAT, outOf } from '@/drawing/stands'
import { isLong } from '@/drawing/things'
import type { ChosenAct } from './ChosenPanel.vue'
import QuantityInput from '@/kit/QuantityInput.vue'

const props = defineProps<{
  place: Place
  thing: Thing
  aboard: Aboard
  targets: Target[]
  /** which of how many it is, in what holds it */
  turn: { at: number; of: number } | null
  clashes: Clash[]
  elsewhere: string[]
  bow_x_m: number
  units: Units
}>()
const emit = defineEmits<{
  place: [place: Place, before: Place]
  ashore: []
  edit: []
  act: [act: ChosenAct]
}>()

const frame = computed(() => (props.place.on ? props.aboard.frame : BOAT))
const at = computed(() => outOf(frame.value, props.place.x_m, props.place.y_m))
const side = computed(() => (at.value[1] < 0 ? -1 : 1))
const height = computed(
  () => (props.place.on ? props.aboard.base_z_m : props.place.z_m) ?? props.aboard.base_z_m,
)
const inTube = computed(() => isLong(props.thing) && (props.place.bury_m > 0 || slides.value === 0))
const slides = computed(() => Math.max(...(props.aboard.slide_m ?? [Infinity])))
const tilts = computed(() => isLong(props.thing) || props.thing.holder != null)
const onKey = (on: Place['on']): string => JSON.stringify(on ?? null)
const inside = computed(() => props.place.on?.kind === 'thing' && props.place.on.where === 'in')
const DECK = onKey(null)
const here = computed(() => onKey(props.place.on))
const known = computed(() => props.targets.some((one) => onKey(one.on) === here.value))

function put(change: Partial<Place>): void {
  emit('place', { ...props.place, ...change }, props.place)
}
function putAt(x_m: number, y_m: number): void {
  emit('place', placedAt(props.place, frame.value, props.aboard.slide_m, x_m, y_m), props.place)
}
/** Heights above the bottom of the boat; a place on something counts from where it rests there. */
function putHeight(z_m: number): void {
  const from = props.place.on ? (props.place.z_m ?? 0) - props.aboard.base_z_m : 0
  put({ z_m: z_m + from })
}
function putOn(event: Event): void {
  const key = (event.target as HTMLSelectElement).value
  const target = props.targets.find((one) => onKey(one.on) === key)
  if (target) emit('place', target.place, props.place)
  else {
    const { x_m, y_m, turn_deg, tilt_deg } = props.aboard
    put({ on: null, x_m, y_m, turn_deg, tilt_deg, bury_m: 0, z_m: null })
  }
}
function why(target: Target): string {
  return target.why ? ` — ${told(target.why.text, target.why.amounts ?? [], props.units)}` : ''
}
</script>

<template>
  <div class="editor" data-testid="place-editor">
    <p v-if="aboard.misfit" class="wide bad" role="alert">
      {{ told(aboard.misfit.text, aboard.misfit.amounts ?? [], units) }}
    </p>
    <p v-if="elsewhere.length" class="wide bad">
      Also aboard the same day in {{ elsewhere.join(', ') }}.
    </p>
    <ul v-if="clashes.length" class="wide clashes" data-testid="clashes">
      <li v-for="one in clashes" :key="clashKey(one)">
        <VerdictMark :verdict="one.verdict" />
        <span>{{ clashWords(one, units) }}</span>
      </li>
    </ul>
    <p v-if="aboard.steps.length" class="wide">First {{ aboard.steps.join(', then ') }}.</p>
    <p v-if="place.locked" class="wide soft" data-testid="locked">
      Locked where it is: unlock it to move it.
    </p>
    <fieldset class="fields" :disabled="place.locked">
      <label>Put on</label>
      <select
        v-memo="[here, known, targets]"
        class="on"
        aria-label="What it is placed on"
        data-testid="put-on"
        :value="here"
        @change="putOn"
      >
        <option :value="DECK">the bare deck</option>
        <option v-if="place.on && !known" :value="here">
          {{ 'name' in place.on ? place.on.name : 'what it is on' }}
        </option>
        <option
          v-for="one in targets"
          :key="onKey(one.on)"
          :value="onKey(one.on)"
          :disabled="one.why !== null"
        >
          {{ one.name }}{{ why(one) }}
        </option>
      </select>
      <template v-if="turn && inside && !isLong(thing)">
        <label>Comes out</label>
        <div class="pair">
          <span class="said">{{ turn.at + 1 }} of {{ turn.of }}</span>
          <button
            type="button"
            class="flip"
            :disabled="turn.at === 0"
            @click="emit('act', 'earlier')"
          >
            sooner
          </button>
          <button
            type="button"
            class="flip"
            :disabled="turn.at === turn.of - 1"
            @click="emit('act', 'later')"
          >
            later
          </button>
        </div>
      </template>
      <label>From bow</label>
      <QuantityInput
        label="Distance from the bow"
        kind="length"
        :units="units"
        :model-value="bow_x_m - at[0]"
        testid="from-bow"
        @update:model-value="putAt(bow_x_m - $event, at[1])"
      />
      <label>To the side</label>
      <div class="pair">
        <QuantityInput
          label="Distance from the centerline"
          kind="length"
          :units="units"
          :model-value="Math.abs(at[1])"
          testid="to-side"
          @update:model-value="putAt(at[0], side * $event)"
        />
        <button
          type="button"
          class="flip"
          :title="`now to ${side > 0 ? 'port' : 'starboard'}; press for the other side`"
          @click="emit('act', 'mirror')"
        >
          {{ Math.abs(at[1]) < 0.005 ? 'middle' : side > 0 ? 'port' : 'starb.' }}
        </button>
      </div>
      <label>Height</label>
      <div class="pair">
        <QuantityInput
          label="Height above the bottom of the boat"
          kind="length"
          :units="units"
          :model-value="height"
          testid="height"
          @update:model-value="putHeight($event)"
        />
        <button
          type="button"
          class="flip"
          :aria-pressed="place.z_m === null"
          :title="
            place.z_m === null ? 'rests on what is under it' : 'let it rest on what is under it'
          "
          @click="place.z_m === null ? putHeight(height) : put({ z_m: null })"
        >
          {{ place.z_m === null ? 'rests' : 'raised' }}
        </button>
      </div>
      <label>Turn</label>
      <QuantityInput
        label="Turn, from pointing at the bow toward port"
        testid="turn"
        kind="angle"
        :units="units"
        :digits="0"
        :model-value="place.turn_deg"
        @update:model-value="put({ turn_deg: $event })"
      />
      <template v-if="tilts">
        <label>{{ isLong(thing) ? 'Tilt up' : 'Tube tilt' }}</label>
        <QuantityInput
          :label="
            isLong(thing) ? 'Tilt of the tip, up from level' : 'Tilt of its tube, up from level'
          "
          testid="tilt"
          kind="angle"
          :units="units"
          :digits="0"
          :model-value="place.tilt_deg"
          @update:model-value="put({ tilt_deg: $event })"
        />
      </template>
      <template v-if="inTube">
        <label>Buried</label>
        <QuantityInput
          label="How deep the butt sits in its tube"
          kind="length"
          :units="units"
          :model-value="place.bury_m"
          testid="bury"
          @update:model-value="put({ bury_m: $event })"
        />
      </template>
    </fieldset>
    <div class="acts">
      <button type="button" class="flip" @click="emit('edit')">Weight, size…</button>
      <button type="button" class="flip" @click="emit('act', 'duplicate')">
        Copy <kbd>D</kbd>
      </button>
      <button type="button" class="flip" :aria-pressed="place.locked" @click="emit('act', 'lock')">
        {{ place.locked ? 'Unlock' : 'Lock' }} <kbd>L</kbd>
      </button>
      <button type="button" class="flip" @click="emit('ashore')">Ashore <kbd>A</kbd></button>
    </div>
  </div>
</template>

<style scoped>
.editor {
  display: grid;
  grid-template-columns: 66px 1fr;
  gap: 4px 6px;
  align-items: start;
  padding: 6px 8px 8px;
  border: 1px solid var(--pick);
  border-top: 0;
  border-radius: 0 0 6px 6px;
  background: var(--card);
}
label {
  padding-top: 3px;
  color: var(--soft);
  font-size: 12px;
}
.fields {
  display: contents;
}
.fields:disabled :deep(:is(input, select)) {
  opacity: 0.6;
  cursor: default;
}
.pair {
  display: flex;
  gap: 4px;
}
.pair > :first-child {
  flex: 1;
}
.flip {
  height: 24px;
  padding: 0 7px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
  font-size: 12px;
  cursor: pointer;
  white-space: nowrap;
}
.flip:hover {
  border-color: var(--soft);
}
.on {
  width: 100%;
  min-width: 0;
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font-size: 12px;
}
.said {
  flex: 1;
  padding-top: 3px;
}
.flip:disabled {
  opacity: 0.45;
  cursor: default;
}
.wide {
  grid-column: 1 / -1;
  margin: 0;
  font-size: 12px;
}
.clashes {
  padding: 0;
  list-style: none;
}
.clashes li {
  display: flex;
  gap: 5px;
  margin-bottom: 2px;
}
.bad {
  color: var(--fix);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  grid-column: 1 / -1;
  gap: 6px;
  margin-top: 2px;
}
</style>
