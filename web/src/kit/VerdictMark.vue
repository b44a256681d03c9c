<script setup lang="ts">
/** A verdict by shape and word, so that colour is never alone. */
import type { Verdict } from '@/api/client'
import { VERDICT_WORD } from './words'

defineProps<{ verdict: Verdict; bare?: boolean }>()
</script>

<template>
  <span class="verdict" :class="verdict">
    <svg viewBox="0 0 12 12" width="11" height="11" aria-hidden="true">
      <rect v-if="verdict === 'stop'" x="1" y="1" width="10" height="10" fill="currentColor" />
      <path v-else-if="verdict === 'fix'" d="M6 0.8L11.6 11H0.4Z" fill="currentColor" />
      <circle v-else-if="verdict === 'watch'" cx="6" cy="6" r="5" fill="currentColor" />
      <path
        v-else
        d="M1.5 6.5L4.8 9.8L10.8 2.2"
        fill="none"
        stroke="currentColor"
        stroke-width="2.2"
      />
    </svg>
    <span :class="{ unseen: bare }">{{ VERDICT_WORD[verdict] }}</span>
  </span>
</template>

<style scoped>
.verdict {
  display: inline-flex;
  gap: 4px;
  align-items: baseline;
  font-size: 12px;
  white-space: nowrap;
}
</style>
