<script setup lang="ts">
/** What is wrong of one topic: a word to press, and what would clear it. */
import { computed } from 'vue'
import type { Finding } from '@/api/client'
import VerdictMark from '@/kit/VerdictMark.vue'
import { told } from '@/kit/words'
import { useLook } from './look'
import { useSetup } from './useSetup'

const props = defineProps<{ topic: string; fine: string; title?: string }>()
const emit = defineEmits<{ pick: [finding: Finding] }>()

const store = useSetup()
const look = useLook()
const findings = computed(
  () =>
    store.figures?.findings.filter((one) => one.topic === props.topic && one.accepted === null) ??
    [],
)
</script>

<template>
  <div class="card found">
    <h2>{{ findings.length ? (title ?? 'What is wrong') : fine }}</h2>
    <ul>
      <li v-for="one in findings" :key="one.key">
        <VerdictMark :verdict="one.verdict" />
        <button type="button" @click="emit('pick', one)">
          {{ told(one.title.text, one.title.amounts ?? [], look.units) }}
        </button>
        <span class="soft">{{ told(one.clear.text, one.clear.amounts ?? [], look.units) }}</span>
      </li>
    </ul>
    <slot />
  </div>
</template>

<style scoped>
.found {
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
ul {
  margin: 6px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 58px 1fr;
  gap: 0 6px;
  align-items: baseline;
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
li .soft {
  grid-column: 2;
  font-size: 12px;
}
button {
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  font-weight: 600;
  text-align: left;
  cursor: pointer;
}
</style>
