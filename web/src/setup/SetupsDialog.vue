<script setup lang="ts">
/** All setups: open, copy, rename, archive, move to another boat, and in and out as files. */
import { computed, reactive, ref, watch } from 'vue'
import { api, ask, askState, whyNone, type SetupImport, type SetupState } from '@/api/client'
import { useLook } from './look'
import { makingOnce } from './makingOnce'
import type { Trip } from './changing'
import { useSetup } from './useSetup'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import { counted } from '@/kit/words'

const open = defineModel<boolean>({ required: true })
const store = useSetup()
const name = ref('')
const onto = ref<number | null>(null)
const trouble = ref('')
const told = ref('')
const file = ref('')
const plan = ref<SetupImport | null>(null)
const archived = ref(false)

// The trip a setup is for: which water, how warm, standing or not, and on what day.
const trip = reactive<Trip>({ water: 'fresh', posture: 'sits', day: null })
const temp = ref<number | string>('')
watch(
  [open, () => store.kept?.setup_id],
  () => {
    const kept = store.kept?.setup
    if (!kept) return
    Object.assign(trip, { water: kept.water, posture: kept.posture, day: kept.day ?? null })
    temp.value = kept.water_temp_c ?? ''
    name.value = kept.name
  },
  { immediate: true },
)
watch(open, (now) => {
  if (!now) return
  trouble.value = told.value = file.value = ''
  plan.value = null
  onto.value = null
})
const shown = computed(() => store.names.filter((one) => one.archived === archived.value))
const archivedCount = computed(() => store.names.filter((one) => one.archived).length)
const others = computed(() =>
  store.names.filter((one) => !one.archived && one.boat !== store.kept?.setup.boat.name),
)

/** Do it, or say why not; the words of a refusal are the server's. */
async function attempt(what: () => Promise<void>): Promise<void> {
  trouble.value = told.value = ''
  try {
    await what()
  } catch (error) {
    trouble.value = whyNone(error)
  }
}
const look = useLook()
const sheet = (paper: string) =>
  `/api/v1/setups/${id()}/sheet.pdf?units=${look.units}&paper=${paper}`
const id = () => store.kept!.setup_id
const save = () =>
  attempt(async () => {
    const water_temp_c = temp.value === '' ? null : Number(temp.value)
    const day = trip.day || null
    if (await store.putSetup({ ...trip, name: name.value, water_temp_c, day })) {
      store.names = await ask(api.GET('/api/v1/setups'))
      told.value = 'Saved.'
    } else trouble.value = store.refusal?.message ?? ''
  })
const make = makingOnce()
const copy = () =>
  attempt(async () => {
    const params = { path: { setup_id: id() } }
    const body = { name: name.value }
    const answer = make(['copy', params, body], (headers) =>
      askState(api.POST('/api/v1/setups/{setup_id}/copy', { params, body, headers })),
    )
    await store.show(await answer)
    told.value = 'Copied; this is the copy now.'
  })
const move = () =>
  attempt(async () => {
    const params = { path: { setup_id: id() } }
    const body = { name: name.value, onto_setup_id: onto.value! }
    const answer = await make(['move', params, body], (headers) =>
      ask(api.POST('/api/v1/setups/{setup_id}/move', { params, body, headers })),
    )
    await store.show(answer.state as SetupState)
    told.value = answer.ashore.length
      ? `Moved. No longer fits and stays ashore: ${answer.ashore.join(', ')}.`
      : 'Moved; everything found its place.'
  })
const archive = (setup_id: number, now: boolean) =>
  attempt(async () => {
    store.names = await ask(
      api.PUT('/api/v1/setups/{setup_id}/archived', {
        params: { path: { setup_id } },
        body: { archived: now },
      }),
    )
  })
async function read(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  if (!chosen) return
  plan.value = null
  file.value = await chosen.text()
  input.value = ''
  await attempt(async () => {
    plan.value = await ask(
      api.POST('/api/v1/setups/import/preview', { body: { text: file.value } }),
    )
  })
}
const take = () =>
  attempt(async () => {
    const body = { text: file.value }
    const answer = make(['import', body], (headers) =>
      askState(api.POST('/api/v1/setups/import', { body, headers })),
    )
    await store.show(await answer)
    plan.value = null
    told.value = 'Imported; you are looking at it.'
  })
</script>

<template>
  <el-dialog v-model="open" title="Setups" width="600" align-center>
    <ul data-testid="setups">
      <li v-for="one in shown" :key="one.setup_id" :class="{ now: one.setup_id === id() }">
        <button type="button" class="name" @click="store.open(one.setup_id)">{{ one.name }}</button>
        <span class="soft">{{ one.boat }}</span>
        <el-button size="small" @click="archive(one.setup_id, !one.archived)">{{
          one.archived ? 'Restore' : 'Archive'
        }}</el-button>
      </li>
    </ul>
    <el-button v-if="archivedCount || archived" size="small" text @click="archived = !archived">{{
      archived ? 'Back to current setups' : `${archivedCount} archived…`
    }}</el-button>
    <h2>The open setup</h2>
    <div class="acts">
      <el-input
        v-model="name"
        size="small"
        maxlength="80"
        aria-label="Name"
        data-testid="setup-name"
      />
      <el-button size="small" @click="save">Rename</el-button>
      <el-button size="small" data-testid="setup-copy" @click="copy"
        >Copy under this name</el-button
      >
    </div>
    <div class="trip">
      <label>Water</label>
      <ChoiceGroup
        v-model="trip.water"
        label="Water"
        :options="[
          ['fresh', 'fresh'],
          ['salt', 'salt'],
        ]"
        @update:model-value="save"
      />
      <label for="temp">Warm, °C</label>
      <input
        id="temp"
        v-model="temp"
        type="number"
        min="-2"
        max="40"
        step="0.5"
        data-testid="water-temp"
        @change="save"
      />
      <label>Fishes</label>
      <ChoiceGroup
        v-model="trip.posture"
        label="Posture"
        :options="[
          ['sits', 'sitting'],
          ['stands', 'standing too'],
        ]"
        @update:model-value="save"
      />
      <label for="day">Goes out</label>
      <input id="day" v-model="trip.day" type="date" data-testid="setup-day" @change="save" />
    </div>
    <p class="files">
      <a :href="`/api/v1/setups/${id()}/file`" download data-testid="setup-export">Setup file</a>
      <a :href="`/api/v1/setups/${id()}/deck.svg`" download>Deck plan, 1:1</a>
      <a :href="sheet('a4')" download data-testid="sheet-pdf">Wall sheet, A4</a>
      <a :href="sheet('letter')" download>Wall sheet, Letter</a>
    </p>
    <div v-if="others.length" class="acts">
      <select v-model="onto" aria-label="Onto the boat of" data-testid="setup-onto">
        <option :value="null">another boat…</option>
        <option v-for="one in others" :key="one.setup_id" :value="one.setup_id">
          {{ one.boat }} ({{ one.name }})
        </option>
      </select>
      <el-button size="small" :disabled="onto === null" data-testid="setup-move" @click="move"
        >Copy onto that boat</el-button
      >
    </div>
    <h2>From a file</h2>
    <input
      type="file"
      accept=".json,application/json"
      aria-label="Setup file"
      data-testid="setup-file"
      @change="read"
    />
    <div v-if="plan" data-testid="setup-plan">
      <p>
        <b>{{ plan.name }}</b>{{
          plan.same_name ? ' (there is one of that name; both are kept)' : ''
        }}
        on {{ plan.boat }}, {{ plan.boat_is_new ? 'a new boat' : 'a boat you have' }}, with
        {{ plan.angler }}{{ plan.angler_is_new ? ', new' : '' }}. You have
        {{ counted(plan.known_things) }} of it already; new: {{ plan.new_things.length
        }}{{ plan.new_things.length ? `: ${plan.new_things.join(', ')}` : '' }}.
      </p>
      <el-button size="small" type="primary" data-testid="setup-take" @click="take"
        >Import</el-button
      >
    </div>
    <p v-if="trouble" class="stop" role="alert">{{ trouble }}</p>
    <p v-if="told" role="status">{{ told }}</p>
  </el-dialog>
</template>

<style scoped>
ul {
  max-height: 200px;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 1fr 150px auto;
  gap: 10px;
  align-items: center;
  padding: 3px 6px;
  border-bottom: 1px solid var(--line);
}
li.now {
  background: var(--pick-pale);
}
.name {
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font-size: 13px;
  text-align: left;
  cursor: pointer;
}
h2 {
  margin-top: 14px;
}
.trip {
  display: grid;
  grid-template-columns: 60px 1fr 70px 1fr;
  gap: 6px 10px;
  align-items: center;
  margin-top: 8px;
}
.trip label {
  color: var(--soft);
}
.trip input {
  width: 130px;
  height: 24px;
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
.acts {
  display: flex;
  gap: 8px;
  align-items: center;
  margin-bottom: 8px;
}
.acts :deep(.el-button + .el-button) {
  margin-left: 0;
}
select {
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
}
.files {
  display: flex;
  gap: 16px;
}
.files a {
  color: var(--pick);
}
p {
  margin: 8px 0;
}
</style>
