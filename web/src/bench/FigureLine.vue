<script setup lang="ts">
/** A figure in plain words with its verdict; opens how it was computed. */
import type { Verdict } from '@/api/client'
import VerdictMark from '@/kit/VerdictMark.vue'

defineProps<{
  words: string
  beside?: string
  was?: string
  verdict?: Verdict | null
  testid: string
}>()
defineEmits<{ how: [] }>()
</script>

<template>
  <div class="line">
    <button
      class="words"
      type="button"
      :data-testid="testid"
      title="How was this computed?"
      @click="$emit('how')"
    >
      {{ words }}
    </button>
    <VerdictMark v-if="verdict" :verdict="verdict" />
    <span v-if="was && was !== words" class="was">was {{ was }}</span>
    <span v-else-if="beside" class="beside">{{ beside }}</span>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  align-items: baseline;
  min-height: 22px;
}
.words {
  padding: 0;
  border: 0;
  border-bottom: 1px dotted var(--soft);
  background: none;
  color: var(--ink);
  font-size: 15px;
  font-weight: 600;
  cursor: help;
  white-space: nowrap;
}
.beside,
.was {
  margin-left: auto;
  color: var(--soft);
  font-size: 12px;
  text-align: right;
  white-space: nowrap;
}
.was {
  color: var(--pick);
}
</style>
