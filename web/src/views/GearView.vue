<script setup lang="ts">
/** The pile: everything owned, aboard or ashore. */
import { computed, ref } from 'vue'
import type { Thing } from '@/api/client'
import { number, show, unitOf } from '@/edge/units'
import { EVIDENCE_WORD } from '@/edge/words'
import EvidenceMark from '@/marks/EvidenceMark.vue'
import ThingDialog from '@/panels/ThingDialog.vue'
import { useLook } from '@/stores/look'
import { useSetup } from '@/stores/setup'

const store = useSetup()
const look = useLook()
const open = ref(false)
const editing = ref<number | null>(null)
const search = ref('')

const where = computed(
  () => new Map(store.figures?.aboard.map((row) => [row.thing_id, row.where.toLowerCase()])),
)
const rows = computed(() =>
  Object.entries(store.things)
    .map(([id, thing]) => ({ id: Number(id), thing }))
    .filter(({ thing }) => thing.name.toLowerCase().includes(search.value.trim().toLowerCase())),
)
const size = (thing: Thing) => {
  const of = (m: number) => number(m, 'length', look.units, 0)
  return thing.shape === 'rod'
    ? `${of(thing.length_m)} long`
    : `${of(thing.length_m)} × ${of(thing.width_m)} × ${of(thing.height_m)}`
}

function edit(id: number | null): void {
  store.stopTrying()
  editing.value = id
  open.value = true
}
async function save(thing: Thing): Promise<void> {
  if (await store.putThing(editing.value, thing)) open.value = false
}
async function strike(): Promise<void> {
  if (editing.value !== null && (await store.dropThing(editing.value))) open.value = false
}
</script>

<template>
  <div v-if="store.kept" class="gear">
    <div class="tools">
      <h1>Gear</h1>
      <el-input
        v-model="search"
        size="small"
        placeholder="Find a thing"
        aria-label="Find a thing"
        clearable
      />
      <el-button size="small" type="primary" data-testid="gear-add" @click="edit(null)"
        >Add a thing</el-button
      >
    </div>
    <p v-if="rows.length === 0 && !search" class="soft">
      Nothing in the pile yet. Weigh one thing on the kitchen scale and add it; guesses are fine to
      start with and are marked as such.
    </p>
    <table v-else>
      <thead>
        <tr>
          <th scope="col">Thing</th>
          <th scope="col" class="right">Weight, {{ unitOf('mass', look.units) }}</th>
          <th scope="col">From</th>
          <th scope="col">Size, {{ unitOf('length', look.units) }}</th>
          <th scope="col">Where now</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ id, thing } in rows" :key="id">
          <td>
            <button type="button" class="name" @click="edit(id)">{{ thing.name }}</button>
          </td>
          <td class="right num">{{ number(thing.mass_kg, 'mass', look.units, 2) }}</td>
          <td><EvidenceMark :evidence="thing.evidence" /> {{ EVIDENCE_WORD[thing.evidence] }}</td>
          <td class="num">{{ size(thing) }}</td>
          <td>{{ where.get(id) ?? 'ashore' }}</td>
        </tr>
      </tbody>
      <tfoot v-if="store.figures">
        <tr>
          <th scope="row">Aboard</th>
          <td class="right num">{{ show(store.figures.weight.gear_kg, 'mass', look.units) }}</td>
          <td colspan="3" />
        </tr>
      </tfoot>
    </table>
    <ThingDialog
      v-model="open"
      :thing="editing === null ? null : (store.things[String(editing)] ?? null)"
      :units="look.units"
      :refused="store.refusal?.problem ?? null"
      @save="save"
      @strike="strike"
    />
  </div>
</template>

<style scoped>
.gear {
  max-width: 900px;
  padding: 14px 18px;
}
.tools {
  display: flex;
  gap: 12px;
  align-items: center;
  margin-bottom: 10px;
}
.tools .el-input {
  max-width: 220px;
  margin-left: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
  background: var(--card);
}
th,
td {
  padding: 5px 10px;
  border-bottom: 1px solid var(--line);
  text-align: left;
}
thead th {
  color: var(--soft);
  font-size: 12px;
  font-weight: 400;
}
.right {
  text-align: right;
}
.name {
  padding: 0;
  border: 0;
  border-bottom: 1px dotted var(--soft);
  background: none;
  color: var(--ink);
  cursor: pointer;
}
td svg {
  vertical-align: -1px;
}
@media (max-width: 600px) {
  th:nth-child(4),
  td:nth-child(4) {
    display: none;
  }
}
</style>
