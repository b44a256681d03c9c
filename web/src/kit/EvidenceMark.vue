<script setup lang="ts">
/** Where a weight comes from: full circle weighed, half a label, empty a guess. */
import type { Thing } from '@/api/client'
import { EVIDENCE_WORD } from './words'

defineProps<{ evidence: Thing['evidence'] }>()
</script>

<template>
  <svg viewBox="0 0 12 12" width="11" height="11" role="img" :aria-label="EVIDENCE_WORD[evidence]">
    <title>{{ EVIDENCE_WORD[evidence] }}</title>
    <circle cx="6" cy="6" r="4.6" fill="none" stroke="currentColor" stroke-width="1.6" />
    <circle v-if="evidence === 'weighed'" cx="6" cy="6" r="4.6" fill="currentColor" />
    <path v-else-if="evidence === 'label'" d="M6 1.4a4.6 4.6 0 0 0 0 9.2z" fill="currentColor" />
  </svg>
</template>
