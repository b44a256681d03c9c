<script setup lang="ts">
/** Several findings with one cause: what they come to; opened, each of them. */
import type { Finding, Schemas, Thing } from '@/api/client'
import type { Units } from '@/kit/units'
import { said } from '@/kit/words'
import GearPicture from '@/drawing/GearPicture.vue'
import VerdictMark from '@/kit/VerdictMark.vue'

defineProps<{
  card: Schemas['Card']
  thing: Thing | null
  open: boolean
  units: Units
  /** the worst of all: what to do about the first of them stands there without opening it */
  first?: Finding | null
}>()
defineEmits<{ toggle: [] }>()
</script>

<template>
  <li class="cause" :class="[card.verdict, { open, first }]" :data-cause="card.keys[0]">
    <button type="button" class="head" :aria-expanded="open" @click="$emit('toggle')">
      <VerdictMark :verdict="card.verdict" bare />
      <b>{{ said(card.title, units) }}</b>
      <GearPicture v-if="thing" :thing="thing" :wide="34" :high="22" />
      <span class="count" :aria-label="`${card.keys.length} findings`">{{ card.keys.length }}</span>
    </button>
    <p v-if="first && !open" class="do">{{ said(first.clear, units) }}.</p>
    <ul v-if="open">
      <slot />
    </ul>
  </li>
</template>

<style scoped src="./cards.css"></style>
<style scoped>
.count {
  min-width: 18px;
  padding: 0 5px;
  border-radius: 9px;
  background: var(--line);
  font-size: 11px;
  text-align: center;
}
ul {
  display: flex;
  flex-direction: column;
  gap: 4px;
  margin: 5px 0 2px;
  padding: 0;
  list-style: none;
}
</style>
