<script setup lang="ts" generic="T extends string">
/**
 * A choice of words in a cell of a table: a word to press, which becomes a list of choices. A table
 * has hundreds of these, and a list for each would hold it up.
 */
import { nextTick, ref, useTemplateRef } from 'vue'

defineProps<{ value: T; options: readonly T[]; label: string }>()
const emit = defineEmits<{ choose: [value: T] }>()

const open = ref(false)
const list = useTemplateRef<{ toggleMenu: () => void; focus: () => void }>('list')
const word = useTemplateRef<HTMLButtonElement>('word')
async function show(): Promise<void> {
  open.value = true
  await nextTick()
  list.value?.focus()
  list.value?.toggleMenu()
}
async function close(): Promise<void> {
  open.value = false
  await nextTick()
  word.value?.focus()
}
function choose(value: T): void {
  emit('choose', value)
}
</script>

<template>
  <button
    v-if="!open"
    ref="word"
    type="button"
    class="choice"
    :aria-label="`${label}: ${value}`"
    aria-haspopup="listbox"
    @click="show"
    @keydown.down.prevent="show"
  >
    {{ value }}
  </button>
  <el-select
    v-else
    ref="list"
    size="small"
    :model-value="value"
    :aria-label="label"
    @update:model-value="choose"
    @visible-change="!$event && close()"
  >
    <el-option v-for="one in options" :key="one" :value="one" :label="one" />
  </el-select>
</template>

<style scoped>
.choice {
  display: flex;
  align-items: center;
  justify-content: space-between;
  white-space: nowrap;
  cursor: pointer;
}
.choice::after {
  flex: none;
  width: 5px;
  height: 5px;
  margin: -3px 3px 0 8px;
  border: solid var(--soft);
  border-width: 0 1.4px 1.4px 0;
  transform: rotate(45deg);
  content: '';
}
</style>
