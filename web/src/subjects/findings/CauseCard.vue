<script setup lang="ts">
/** Several findings with one cause: what they come to; opened, each of them. */
import type { Schemas, Thing } from '@/api/client'
import type { Units } from '@/kit/units'
import { said } from '@/kit/words'
import GearPicture from '@/drawing/GearPicture.vue'
import VerdictMark from '@/kit/VerdictMark.vue'

defineProps<{ card: Schemas['Card']; thing: Thing | null; open: boolean; units: Units }>()
defineEmits<{ toggle: [] }>()
</script>

<template>
  <li class="cause" :class="[card.verdict, { open }]" :data-cause="card.keys[0]">
    <button type="button" class="head" :aria-expanded="open" @click="$emit('toggle')">
      <VerdictMark :verdict="card.verdict" bare />
      <b>{{ said(card.title, units) }}</b>
      <GearPicture v-if="thing" :thing="thing" :wide="34" :high="22" />
      <span class="count" :aria-label="`${card.keys.length} findings`">{{ card.keys.length }}</span>
    </button>
    <ul v-if="open">
      <slot />
    </ul>
  </li>
</template>

<style scoped>
.cause {
  padding: 3px 8px 4px;
  border: 1px solid var(--line);
  border-left: 3px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
}
.cause.stop {
  border-left-color: var(--stop);
}
.cause.fix {
  border-left-color: var(--fix-mark);
}
.cause.watch {
  border-left-color: var(--watch);
}
.head {
  display: flex;
  gap: 6px;
  align-items: baseline;
  width: 100%;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font-size: 13px;
  line-height: 1.3;
  text-align: left;
  cursor: pointer;
}
.head b {
  flex: 1;
  font-weight: 400;
}
.open .head b {
  font-weight: 600;
}
.head svg {
  align-self: center;
}
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
