<script setup lang="ts">
/** What was done to this setup, newest first; any point of it can be gone back to. */
import { computed, watch } from 'vue'
import { api, ask, type Schemas } from '@/api/client'
import { useAsked } from '@/kit/useAsked'
import { useSetup } from './useSetup'

const open = defineModel<boolean>({ required: true })
const store = useSetup()
const { answer, trouble, put } = useAsked<Schemas['Step'][]>()
const steps = computed(() => answer.value ?? [])

watch([open, () => store.kept?.revision], ([now]) => {
  if (!now || !store.kept) return
  const path = { setup_id: store.kept.setup_id }
  void put(() => ask(api.GET('/api/v1/setups/{setup_id}/history', { params: { path } })))
})
</script>

<template>
  <el-drawer v-model="open" title="History" size="340">
    <p v-if="trouble" class="stop" role="alert">{{ trouble }}</p>
    <p v-if="!steps.length" class="soft">No changes to this setup yet.</p>
    <ol v-else data-testid="history">
      <li v-for="one in steps" :key="one.number" :class="{ undone: !one.in_force }">
        <button type="button" @click="store.goTo(one.number)">
          <span class="num">{{ one.number }}</span> {{ one.label }}
          <span v-if="!one.in_force" class="soft">undone</span>
        </button>
      </li>
      <li>
        <button type="button" data-testid="history-start" @click="store.goTo(0)">
          <span class="num">0</span> as it began
        </button>
      </li>
    </ol>
  </el-drawer>
</template>

<style scoped>
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  border-bottom: 1px solid var(--line);
}
button {
  display: flex;
  gap: 8px;
  width: 100%;
  padding: 5px 2px;
  border: 0;
  background: none;
  color: var(--ink);
  font-size: 13px;
  text-align: left;
  cursor: pointer;
}
button:hover {
  background: var(--pick-pale);
}
.undone button {
  color: var(--soft);
}
.soft {
  margin-left: auto;
}
</style>
