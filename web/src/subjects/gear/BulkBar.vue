<script setup lang="ts">
/** What is done to all picked things at once, as one step. */
import { ref } from 'vue'
import {
  EVIDENCES,
  FIXINGS,
  FLAGS,
  KINDS,
  USES,
  mountedBy,
  withFlag,
  type Edit,
} from '@/setup/thingWords'

defineProps<{ count: number }>()
const emit = defineEmits<{ change: [change: Edit]; multiply: [times: number] }>()

const times = ref(2)
const FIELDS = [
  [
    'kind',
    'Kind',
    KINDS,
    (value: string): Edit =>
      () => ({ kind: value as (typeof KINDS)[number] }),
  ],
  [
    'use',
    'Used',
    USES,
    (value: string): Edit =>
      () => ({ use: value as (typeof USES)[number] }),
  ],
  ['fixed', 'Fixed', FIXINGS, (value: string) => mountedBy(value as (typeof FIXINGS)[number])],
  [
    'evidence',
    'Weight from',
    EVIDENCES,
    (value: string): Edit =>
      () => ({ evidence: value as (typeof EVIDENCES)[number] }),
  ],
] as const

function choose(edit: (value: string) => Edit, event: Event): void {
  const select = event.target as HTMLSelectElement
  if (select.value) emit('change', edit(select.value))
  select.value = ''
}
</script>

<template>
  <div class="bulk" data-testid="bulk" role="group" :aria-label="`${count} selected`">
    <b>{{ count }} selected</b>
    <select
      v-for="[field, word, options, edit] in FIELDS"
      :key="field"
      :aria-label="`${word}, for all selected`"
      :data-testid="`bulk-${field}`"
      @change="choose(edit, $event)"
    >
      <option value="">{{ word }}…</option>
      <option v-for="one in options" :key="one">{{ one }}</option>
    </select>
    <template v-for="[flag, word] in FLAGS" :key="flag">
      <el-button size="small" @click="emit('change', withFlag(flag, true))">{{ word }}</el-button>
    </template>
    <span class="push" />
    <label for="times">copies</label>
    <input id="times" v-model.number="times" type="number" min="2" max="50" />
    <el-button size="small" data-testid="multiply" @click="emit('multiply', times)"
      >Multiply</el-button
    >
  </div>
</template>

<style scoped>
.bulk {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  padding: 6px 8px;
  background: var(--pick-pale);
}
.bulk :deep(.el-button + .el-button) {
  margin-left: 0;
}
select,
input {
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
  font-size: 12px;
}
input {
  width: 52px;
}
.push {
  flex: 1;
}
</style>
