<script setup lang="ts">
/** The result of the page taken along read back; the log out and in as files. */
import { computed, ref } from 'vue'
import { api, ask, whyNone, type Schemas } from '@/api/client'
import { useSetup } from '@/setup/useSetup'
import TwinQuestion from './TwinQuestion.vue'

const emit = defineEmits<{ taken: [page: Schemas['LogPage']] }>()
type Row = Schemas['LogImportRow']
const store = useSetup()
const path = () => ({ setup_id: store.kept!.setup_id })
const file = (kind: string) => `/api/v1/setups/${store.kept!.setup_id}/log/log.${kind}`

const result = ref('')
const trouble = ref('')
const said = ref('')
const twin = ref<Schemas['TripRow'] | null>(null)

/** What was typed or chosen stays until it is kept. */
async function tried(act: () => Promise<void>): Promise<void> {
  try {
    trouble.value = said.value = ''
    await act()
  } catch (error) {
    trouble.value = whyNone(error)
  }
}
const read = (sure: boolean) =>
  tried(async () => {
    const params = { path: path() }
    const answer = await ask(
      api.POST('/api/v1/setups/{setup_id}/log/read', {
        params,
        body: { text: result.value, sure },
      }),
    )
    twin.value = answer.twin
    if (answer.kept == null) return
    result.value = ''
    said.value = 'The trip and its ticks are in.'
    emit('taken', answer.page)
  })
function leave(): void {
  twin.value = null
  result.value = ''
}

const body = ref<Schemas['LogText'] | null>(null)
const rows = ref<Row[]>([])
const take = ref<number[]>([])
const twins = computed(() => rows.value.filter((row) => row.does === 'twin').length)
const unknown = computed(() => [...new Set(rows.value.flatMap((row) => row.unknown))])
async function chosen(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const picked = field.files?.[0]
  if (!picked) return
  const format = picked.name.toLowerCase().endsWith('.csv') ? 'csv' : 'json'
  const text = await picked.text()
  field.value = ''
  await tried(async () => {
    const asked = { text, format, take: [] } as Schemas['LogText']
    rows.value = await ask(
      api.POST('/api/v1/setups/{setup_id}/log/import/preview', {
        params: { path: path() },
        body: asked,
      }),
    )
    take.value = rows.value.filter((row) => row.does === 'new').map((row) => row.number)
    body.value = asked
  })
}
const takeIn = () =>
  tried(async () => {
    const page = await ask(
      api.POST('/api/v1/setups/{setup_id}/log/import', {
        params: { path: path() },
        body: { ...body.value!, take: take.value },
      }),
    )
    said.value = `${take.value.length} trips are in.`
    body.value = null
    emit('taken', page)
  })
</script>

<template>
  <div class="card pad" data-testid="log-files">
    <h2>Read a result</h2>
    <p class="soft">
      Take the lists along as one page (Lists, “Save for the phone”): it works without a network.
      Paste here what “Copy result” gave you.
    </p>
    <textarea
      v-model="result"
      rows="4"
      aria-label="Result of the page taken along"
      data-testid="result"
      placeholder="Neat Hull trip 1 …"
    ></textarea>
    <TwinQuestion v-if="twin" :twin="twin" @same="leave" @both="read(true)" />
    <button
      v-else
      type="button"
      class="small"
      :disabled="!result.trim()"
      data-testid="read-result"
      @click="read(false)"
    >
      Read it
    </button>
    <h2>Files</h2>
    <p>
      <a class="small" :href="file('csv')">Export CSV</a>
      <a class="small" :href="file('json')">Export JSON</a>
      <label class="small"
        >Import<input
          type="file"
          accept=".json,.csv"
          data-testid="log-import"
          @change="chosen($event)"
      /></label>
    </p>
    <p v-if="trouble" class="stop" role="alert">{{ trouble }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <div v-if="body" data-testid="import-plan">
      <p>
        {{ rows.length }} trips in the file<template v-if="twins"
          >, {{ twins }} of them look like trips that are here; tick those that are not the
          same</template
        >.
      </p>
      <p v-if="unknown.length" class="soft">
        No longer in your gear, kept by their names: {{ unknown.join(', ') }}
      </p>
      <ul>
        <li v-for="row in rows" :key="row.number">
          <label
            ><input v-model="take" type="checkbox" :value="row.number" /> {{ row.on_day }},
            {{ row.hours }} h{{ row.where ? `, ${row.where}` : '' }}
            <span v-if="row.twin" class="soft">like the one of {{ row.twin.hours }} h</span></label
          >
        </li>
      </ul>
      <button type="button" class="small" @click="body = null">Cancel</button>
      <button type="button" class="small" :disabled="!take.length" @click="takeIn">
        Import {{ take.length }}
      </button>
    </div>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped src="./tables.css"></style>
<style scoped>
h2:not(:first-child) {
  margin-top: 14px;
}
textarea {
  box-sizing: border-box;
  width: 100%;
  margin-bottom: 6px;
  padding: 6px 8px;
  border: 1px solid var(--line);
  border-radius: 7px;
  background: var(--card);
  color: var(--ink);
  font: 12px var(--mono);
}
a.small,
label.small {
  margin-right: 6px;
}
label.small:focus-within {
  outline: 2px solid var(--pick);
  outline-offset: 2px;
}
input[type='file'] {
  position: absolute;
  width: 1px;
  opacity: 0;
}
ul {
  margin: 4px 0;
  padding: 0;
  list-style: none;
}
</style>
