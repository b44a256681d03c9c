<script setup lang="ts">
/** A new wire: from what to what; the core lays it along the gunwale and picks gauge and fuse. */
import { computed, ref, watch } from 'vue'
import type { Figures, Thing } from '@/api/client'

const props = defineProps<{
  aboard: number[]
  things: Record<string, Thing>
  figures: Figures['power'] | null
  busy: boolean
}>()
const emit = defineEmits<{ add: [start: number, end: number] }>()

const start = ref<number | null>(null)
const end = ref<number | null>(null)
const of = (pick: (thing: Thing) => boolean) =>
  props.aboard.filter((id) => props.things[String(id)] && pick(props.things[String(id)]!))
const sources = computed(() => of((thing) => thing.battery != null || thing.fuse != null))
const fed = computed(() => new Set(props.figures?.loads.map((one) => one.thing_id)))
const takers = computed(() =>
  of((thing) => thing.fuse != null || (thing.draw != null && !thing.draw.own_cells)).filter(
    (id) => id !== start.value,
  ),
)
const nameOf = (id: number) => props.things[String(id)]?.name ?? ''
// What has no wire yet is most likely meant.
watch(
  [sources, takers],
  () => {
    if (start.value === null || !sources.value.includes(start.value))
      start.value = sources.value[0] ?? null
    if (end.value === null || !takers.value.includes(end.value))
      end.value = takers.value.find((id) => !fed.value.has(id)) ?? takers.value[0] ?? null
  },
  { immediate: true },
)
function add(): void {
  if (start.value !== null && end.value !== null) emit('add', start.value, end.value)
}
</script>

<template>
  <form class="new" aria-label="New wire" @submit.prevent="add">
    <label>
      From
      <select v-model="start" data-testid="wire-from">
        <option v-for="id in sources" :key="id" :value="id">{{ nameOf(id) }}</option>
      </select>
    </label>
    <label>
      to
      <select v-model="end" data-testid="wire-to">
        <option v-for="id in takers" :key="id" :value="id">
          {{ nameOf(id) }}{{ fed.has(id) ? '' : ' (no wire yet)' }}
        </option>
      </select>
    </label>
    <el-button
      size="small"
      type="primary"
      native-type="submit"
      :loading="busy"
      data-testid="add-wire"
      >Lay a wire</el-button
    >
    <span v-if="!sources.length || !takers.length" class="soft"
      >A battery and something that takes current must be aboard.</span
    >
  </form>
</template>

<style scoped>
.new {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
label {
  color: var(--soft);
}
select {
  max-width: 220px;
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 13px;
}
</style>
