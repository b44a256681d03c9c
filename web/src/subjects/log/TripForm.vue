<script setup lang="ts">
/** A trip in two minutes: the day, the hours, and one tap an item. What is blank was not said. */
import { useOnline } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, ask, Offline, whyNone, type Schemas } from '@/api/client'
import { CHOICES } from '@/api/words'
import CellInput from '@/kit/CellInput.vue'
import { numberIn, pick, ticked } from '@/kit/heard'
import QuantityInput from '@/kit/QuantityInput.vue'
import { useLook } from '@/setup/look'
import { patchOf } from '@/setup/patch'
import { useSetup } from '@/setup/useSetup'
import MarksList from './MarksList.vue'
import TwinQuestion from './TwinQuestion.vue'
import {
  allMarks,
  draftOf,
  freshDraft,
  NOTHING,
  toldOf,
  useDraftTrip,
  type Draft,
  type Entry,
} from './useDraftTrip'

const props = defineProps<{
  /** one that is there, to be changed; null: a new one of the open setup */
  trip: Schemas['KeptTrip'] | null
}>()
const emit = defineEmits<{ kept: [page: Schemas['LogPage']]; close: [] }>()

const SHARES = [0, 0.1, 0.25, 0.4, 0.5, 0.6, 0.75, 0.9, 1]
const store = useSetup()
const look = useLook()
const setup_id = computed(() => store.kept!.setup_id)
const key = computed(() => (props.trip ? `trip ${props.trip.trip_id}` : `setup ${setup_id.value}`))
const { draft, begun, set, mark, pack, drop } = useDraftTrip(key, () =>
  props.trip ? draftOf(props.trip) : freshDraft(store.kept!.setup),
)

const items = computed<[string, string][]>(() =>
  props.trip
    ? Object.entries(props.trip.marks).map(([id, one]) => [id, one.name])
    : store.aboardByName.map((id) => [String(id), store.nameOf(id)]),
)
const batteries = computed(() => items.value.filter(([id]) => store.things[id]?.battery))
const markOf = (id: string) => draft.value.marks?.[id]
const packOf = (id: string) => draft.value.packs?.[id]
const unsaid = computed(() => items.value.filter(([id]) => markOf(id)?.uses == null))

const trouble = ref('')
const waits = ref(false)
const sending = ref(false)
const twin = ref<Schemas['TripRow'] | null>(null)
const online = useOnline()
watch(key, () => {
  trouble.value = ''
  twin.value = null
  waits.value = false
})
watch(online, (now) => {
  if (now && waits.value) void save(false)
})

function restUnused(): void {
  const marks = { ...draft.value.marks }
  for (const [id] of unsaid.value) marks[id] = { ...(marks[id] ?? NOTHING), uses: '0' }
  set({ marks })
}
const whole = (from: Draft): Entry | null =>
  from.hours == null ? null : { ...from, hours: from.hours }

async function save(sure: boolean): Promise<void> {
  const entry = whole(draft.value)
  if (!entry) {
    trouble.value = 'Say how many hours you were on the water.'
    return
  }
  const path = { setup_id: setup_id.value }
  sending.value = true
  try {
    if (props.trip) {
      const patch = patchOf(toldOf(props.trip), { ...entry, marks: allMarks(props.trip, entry) })
      if (!patch) return discard()
      const params = { path: { ...path, trip_id: props.trip.trip_id } }
      const body = { fields: patch.fields as Schemas['ChangedFields']['fields'] }
      done(await ask(api.PATCH('/api/v1/setups/{setup_id}/log/trips/{trip_id}', { params, body })))
      return
    }
    const answer = await ask(
      api.POST('/api/v1/setups/{setup_id}/log/trips', { params: { path }, body: { entry, sure } }),
    )
    twin.value = answer.twin
    if (answer.kept != null) done(answer.page)
  } catch (error) {
    const why = whyNone(error)
    waits.value = error instanceof Offline
    trouble.value = waits.value
      ? 'Not sent yet: it is kept in this browser, and goes out when the server can be reached.'
      : why
  } finally {
    sending.value = false
  }
}
function done(page: Schemas['LogPage']): void {
  drop()
  twin.value = null
  waits.value = false
  trouble.value = ''
  emit('kept', page)
}
function discard(): void {
  drop()
  twin.value = null
  emit('close')
}
</script>

<template>
  <form class="trip" aria-label="A trip" data-testid="trip-form" @submit.prevent="save(false)">
    <div class="head">
      <h2>{{ trip ? `Trip of ${trip.on_day}` : 'Log a trip' }}</h2>
      <button type="button" class="small" @click="emit('close')">Close</button>
    </div>
    <p class="soft">
      What you leave blank counts as not said, never as not used. A second tap takes a mark back.
    </p>
    <div class="fields">
      <label
        >Day<CellInput
          type="date"
          required
          :value="draft.on_day"
          data-testid="trip-day"
          @take="$event && set({ on_day: $event })"
      /></label>
      <label
        >Hours on the water<CellInput
          number
          inputmode="decimal"
          :value="draft.hours"
          data-testid="trip-hours"
          @take="set({ hours: numberIn($event) })"
      /></label>
      <label
        >Out at<CellInput type="time" :value="draft.out_at" @take="set({ out_at: $event || null })"
      /></label>
      <label
        >Where<input
          maxlength="80"
          :value="draft.where"
          data-testid="trip-where"
          @input="set({ where: pick($event) })"
      /></label>
      <label
        >Water<select :value="draft.water" @change="set({ water: pick($event) as Entry['water'] })">
          <option v-for="one in CHOICES.TripEntry.water" :key="one">{{ one }}</option>
        </select></label
      >
      <label
        >Wind<select
          :value="draft.wind ?? ''"
          @change="set({ wind: (pick($event) || null) as Entry['wind'] })"
        >
          <option value="">not said</option>
          <option v-for="one in CHOICES.TripEntry.wind" :key="one">{{ one }}</option>
        </select></label
      >
      <label
        >Water temperature<QuantityInput
          :model-value="draft.water_temp_c ?? null"
          kind="warmth"
          :units="look.units"
          label="Water temperature"
          optional
          @update:model-value="set({ water_temp_c: $event })"
      /></label>
    </div>
    <fieldset v-for="[id, name] in batteries" :key="`pack ${id}`">
      <legend>{{ name }}: charge</legend>
      <div class="fields">
        <label
          >At the start<select
            :value="packOf(id)?.start_share ?? 1"
            @change="pack(id, { start_share: Number(pick($event)) })"
          >
            <option v-for="one in SHARES" :key="one" :value="one">{{ 100 * one }} %</option>
          </select></label
        >
        <label
          >Left<select
            :value="packOf(id)?.left_share ?? ''"
            :data-testid="`left-${id}`"
            @change="pack(id, { left_share: pick($event) === '' ? null : Number(pick($event)) })"
          >
            <option value="">not said</option>
            <option v-for="one in SHARES" :key="one" :value="one">{{ 100 * one }} %</option>
          </select></label
        >
        <label class="check"
          ><input
            type="checkbox"
            :checked="packOf(id)?.went_dark"
            @change="pack(id, { went_dark: ticked($event) })"
          />
          ran out</label
        >
      </div>
    </fieldset>
    <div class="head">
      <h3>How often each was used</h3>
      <span class="soft" data-testid="unsaid">{{ unsaid.length }} not said</span>
    </div>
    <p v-if="!items.length" class="soft">
      Nothing is aboard in this setup: put gear on the boat on the Bench.
    </p>
    <MarksList :items="items" :marks="draft.marks ?? {}" @mark="mark" />
    <button v-if="unsaid.length" type="button" class="small" @click="restUnused">
      The rest: not used
    </button>
    <label class="note"
      >Note<textarea
        rows="2"
        maxlength="2000"
        :value="draft.note"
        @input="set({ note: pick($event) })"
      ></textarea>
    </label>
    <p v-if="trouble" class="stop" role="alert">{{ trouble }}</p>
    <TwinQuestion v-if="twin" :twin="twin" @same="discard" @both="save(true)" />
    <div class="acts">
      <button type="submit" class="main" :disabled="sending" data-testid="save-trip">
        {{ sending ? 'Saving…' : 'Save trip' }}
      </button>
      <button v-if="begun" type="button" @click="discard">Discard</button>
    </div>
  </form>
</template>

<style scoped>
.head,
.acts {
  display: flex;
  gap: 10px;
  align-items: baseline;
  justify-content: space-between;
}
h2,
h3 {
  margin: 0;
}
h3 {
  font-size: 14px;
}
p {
  margin: 6px 0;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 10px;
  align-items: end;
}
.fields label {
  display: flex;
  flex-direction: column;
  gap: 2px;
  color: var(--soft);
  font-size: 12px;
}
.fields :deep(.el-input) {
  height: 36px;
}
.fields .check {
  flex-direction: row;
  gap: 6px;
  align-items: center;
  min-height: 36px;
}
input:not([type='checkbox']),
select,
textarea {
  box-sizing: border-box;
  width: 100%;
  min-height: 36px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 7px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
textarea {
  padding: 6px 8px;
}
.note {
  display: block;
  margin-top: 8px;
  color: var(--soft);
  font-size: 12px;
}
fieldset {
  margin: 10px 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 0 0 2px;
  font-weight: 600;
}
button {
  min-height: 32px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 7px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.main {
  border-color: var(--ink);
  background: var(--ink);
  color: var(--on-ink);
}
.acts {
  position: sticky;
  bottom: 0;
  justify-content: flex-start;
  padding: 8px 0;
  background: var(--card);
}
@media (max-width: 600px) {
  button {
    min-height: 44px;
  }
  input:not([type='checkbox']),
  select {
    min-height: 44px;
  }
  .fields :deep(.el-input) {
    height: 44px;
  }
  /* Down to the groups of screens, over what scrolls under it. */
  .acts {
    bottom: -12px;
    padding-bottom: 14px;
  }
}
</style>
