<script setup lang="ts">
/** The locker: everything owned or planned, typed into like a table. */
import { useLocalStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, ask, type Schemas, type Thing } from '@/api/client'
import { show } from '@/kit/units'
import { useAsked } from '@/kit/useAsked'
import BulkBar from './BulkBar.vue'
import { COLUMNS, type GearColumn, type GearGroup } from './columns'
import CatalogDialog from './CatalogDialog.vue'
import GearTable from './GearTable.vue'
import TableImportDialog from './TableImportDialog.vue'
import LearnedNote from '@/setup/LearnedNote.vue'
import ThingDialog from '@/setup/ThingDialog.vue'
import { KINDS } from '@/setup/thingWords'
import { useLook } from '@/setup/look'
import type { Edit } from '@/setup/thingWords'
import { useSetup } from '@/setup/useSetup'

const store = useSetup()
const look = useLook()
const open = ref(false)
const catalogOpen = ref(false)
const importOpen = ref(false)
const editing = ref<number | null>(null)
const search = ref('')
const kind = ref('')
const WHICH = ['all', 'aboard', 'ashore', 'planned', 'guessed'] as const
const only = ref<(typeof WHICH)[number]>('all')
const groupBy = useLocalStorage<GearGroup>('neat-hull-gear-groups', '')
const columns = useLocalStorage<GearColumn[]>(
  'neat-hull-gear-columns',
  COLUMNS.map(([column]) => column),
)
const picked = ref<number[]>([])

const where = computed(() => new Map(store.figures?.aboard.map((row) => [row.thing_id, row.where])))
const rows = computed(() =>
  Object.entries(store.things)
    .map(([id, thing]) => ({
      id: Number(id),
      thing,
      place: where.value.get(Number(id)) ?? '',
      where: where.value.get(Number(id))?.toLowerCase() ?? 'ashore',
    }))
    .filter(({ id, thing }) => {
      const text = search.value.trim().toLowerCase()
      if (!`${thing.name} ${thing.notes}`.toLowerCase().includes(text)) return false
      if (kind.value && thing.kind !== kind.value) return false
      if (only.value === 'aboard') return where.value.has(id)
      if (only.value === 'ashore') return !where.value.has(id)
      if (only.value === 'planned') return !thing.bought
      return only.value !== 'guessed' || thing.evidence === 'guess'
    }),
)
const asked = useAsked<Schemas['GearSum'][]>()
const sums = computed(() => asked.answer.value ?? [])
watch(
  [() => store.confirmed?.setup_id, () => store.confirmed?.revision, groupBy],
  ([setup_id, , by]) => {
    if (setup_id === undefined) return
    const params = { path: { setup_id }, query: { by: by || ('place' as const) } }
    void asked.put(() => ask(api.GET('/api/v1/setups/{setup_id}/gear/sums', { params })))
  },
  { immediate: true },
)
const whole = computed(() => sums.value.at(-1))
const chosen = computed(() => picked.value.filter((id) => store.things[String(id)]))

function edit(id: number | null): void {
  store.stopTrying()
  editing.value = id
  open.value = true
}
async function save(thing: Thing, before: Thing | null): Promise<void> {
  if (await store.putThing(editing.value, thing, before)) open.value = false
}
async function strike(): Promise<void> {
  if (editing.value !== null && (await store.dropThing(editing.value))) open.value = false
}
const change = (id: number, before: Thing, after: Thing) => store.editThings([[id, before, after]])
const changeAll = (edit: Edit) =>
  store.editThings(
    chosen.value.map((id) => {
      const thing = store.things[String(id)]!
      return [id, thing, { ...thing, ...edit(thing) }]
    }),
  )
/** Six trays from one: the copies are numbered on. */
function multiply(times: number): void {
  const copies = chosen.value.flatMap((id) => {
    const thing = store.things[String(id)]!
    return Array.from({ length: Math.max(0, Math.min(50, times) - 1) }, (_, i) => ({
      ...thing,
      name: `${thing.name.slice(0, 74)} ${i + 2}`,
    }))
  })
  if (copies.length) void store.addThings(copies)
}
async function copyIn(things: Thing[]): Promise<void> {
  await store.addThings(things)
}
async function take(text: string, take_good: boolean): Promise<void> {
  if (await store.importGear(text, take_good)) importOpen.value = false
}
</script>

<template>
  <div v-if="store.kept" class="gear">
    <div class="tools">
      <h1>Gear</h1>
      <el-input
        v-model="search"
        size="small"
        class="find"
        placeholder="Find an item"
        aria-label="Find an item"
        clearable
      />
      <el-select
        v-model="kind"
        size="small"
        class="choice"
        aria-label="Kind"
        :empty-values="[null]"
        :value-on-clear="null"
      >
        <el-option value="" label="every kind" />
        <el-option v-for="one in KINDS" :key="one" :value="one" :label="one" />
      </el-select>
      <el-select
        v-model="only"
        size="small"
        class="choice"
        aria-label="Which items"
        data-testid="only"
      >
        <el-option v-for="one in WHICH" :key="one" :value="one" :label="one" />
      </el-select>
      <el-select
        v-model="groupBy"
        size="small"
        class="choice"
        aria-label="Groups"
        :empty-values="[null]"
        :value-on-clear="null"
        data-testid="gear-groups"
      >
        <el-option value="" label="one list" />
        <el-option value="place" label="by place" />
        <el-option value="kind" label="by kind" />
      </el-select>
      <el-popover trigger="click" placement="bottom-start" :width="170">
        <template #reference>
          <el-button size="small" data-testid="gear-columns">Columns</el-button>
        </template>
        <el-checkbox-group
          :model-value="columns"
          class="columns"
          @update:model-value="columns = $event as GearColumn[]"
        >
          <el-checkbox
            v-for="[column, word] in COLUMNS"
            :key="column"
            size="small"
            :value="column"
            :label="word"
          />
        </el-checkbox-group>
      </el-popover>
      <span class="push" />
      <a
        class="link"
        :href="`/api/v1/setups/${store.kept.setup_id}/gear.csv`"
        download
        data-testid="gear-export"
        >Export CSV</a
      >
      <el-button size="small" data-testid="gear-import" @click="importOpen = true"
        >Import CSV…</el-button
      >
      <el-button size="small" data-testid="gear-catalog" @click="catalogOpen = true"
        >Generic items…</el-button
      >
      <el-button size="small" type="primary" data-testid="gear-add" @click="edit(null)"
        >Add item</el-button
      >
    </div>
    <BulkBar v-if="chosen.length" :count="chosen.length" @change="changeAll" @multiply="multiply" />
    <p v-if="Object.keys(store.things).length === 0" class="soft">
      No gear yet. Weigh one item on the kitchen scale and add it, or copy generic items to start
      with; guesses are fine and are marked as such.
    </p>
    <p v-else-if="rows.length === 0" class="soft">No gear like that.</p>
    <div v-else class="scroll">
      <GearTable
        v-model:picked="picked"
        :rows="rows"
        :units="look.units"
        :columns="columns"
        :group-by="groupBy"
        :sums="sums"
        @change="change"
        @edit="edit"
      />
    </div>
    <p v-if="store.figures" class="sums">
      <span
        >aboard
        <b class="num">{{ show(store.figures.weight.gear_kg, 'mass', look.units) }}</b></span
      >
      <template v-if="whole">
        <span
          >spent <b class="num">{{ whole.spent.toFixed(2) }}</b></span
        >
        <span
          >planned <b class="num">{{ whole.planned.toFixed(2) }}</b></span
        >
      </template>
    </p>
    <LearnedNote of="uses" />
    <ThingDialog
      v-model="open"
      :thing="editing === null ? null : (store.things[String(editing)] ?? null)"
      :units="look.units"
      :refused="store.refusal?.problem ?? null"
      @save="save"
      @strike="strike"
    />
    <CatalogDialog v-model="catalogOpen" :units="look.units" @add="copyIn" />
    <TableImportDialog v-model="importOpen" :setup_id="store.kept.setup_id" @take="take" />
  </div>
</template>

<style scoped>
.gear {
  padding: 12px 18px;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-bottom: 8px;
}
.tools :deep(.el-button + .el-button) {
  margin-left: 0;
}
.find {
  width: 190px;
}
.choice {
  width: 108px;
}
.columns {
  display: flex;
  flex-direction: column;
}
.push {
  flex: 1;
}
.link {
  color: var(--pick);
  font-size: 12px;
}
.scroll {
  position: relative;
  overflow-x: auto;
}
.sums {
  display: flex;
  gap: 20px;
  margin: 8px 0 0;
  color: var(--soft);
}
@media (max-width: 900px) {
  .gear {
    padding: 10px;
  }
}
</style>
