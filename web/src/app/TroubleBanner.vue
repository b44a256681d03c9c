<script setup lang="ts">
/** What could not be kept, and the way back: nothing is lost without a word. */
import { computed } from 'vue'
import { Refusal } from '@/api/client'
import { reasons } from '@/kit/words'
import type { Held } from '@/setup/outbox'
import { useSetup } from '@/setup/useSetup'

const store = useSetup()
const waiting = computed(() => store.unsent.filter((one) => one.overtaken === undefined))
const overtaken = computed(() => store.unsent.filter((one) => one.overtaken !== undefined))
/** In which setup, where that is not the one that is open. */
const where = (setup_id: number): string =>
  setup_id === store.kept?.setup_id
    ? ''
    : ` in ${store.names.find((one) => one.setup_id === setup_id)?.name ?? 'another setup'}`
const now = (one: Held): string => {
  const fields = one.overtaken!.map(({ field, called, why }) => `${called ?? field} ${why}`)
  return fields.length ? `: ${fields.join(', ')}` : ''
}
const lost = computed(() => {
  if (store.lost instanceof Refusal) {
    const why = store.lost.message.replace(/\.$/, '')
    if (!store.kept) return `Your boats cannot be read for now: ${why}.`
    return `Not saved: ${why}. Your changes are kept here, and sent again in a moment:`
  }
  if (waiting.value.length)
    return 'The server cannot be reached. Your changes are kept here, and sent when it is back:'
  return store.kept
    ? 'The server cannot be reached. What you see is the last that was saved.'
    : 'The server cannot be reached. Your boats come as soon as it is back.'
})
const refusal = computed(() => {
  const problem = store.refusal?.problem
  if (!problem) return ''
  return problem.fields.length ? reasons(problem.fields) : problem.detail
})
</script>

<template>
  <div
    v-if="store.lost || overtaken.length || refusal || store.left.length"
    class="banner"
    role="alert"
    data-testid="banner"
  >
    <template v-if="store.lost">
      <span>{{ lost }}</span>
      <el-button size="small" type="primary" data-testid="banner-again" @click="store.open()"
        >Try now</el-button
      >
      <ul v-if="waiting.length" class="wide" data-testid="unsent">
        <li v-for="one in waiting" :key="one.key">
          <span>{{ one.label }}{{ where(one.setup_id) }}</span>
          <el-button size="small" @click="store.letGo(one.key)">Discard</el-button>
        </li>
      </ul>
    </template>
    <template v-if="overtaken.length">
      <span class="wide"
        >Changed elsewhere in the meantime; this is how it is now. Your change is not lost:</span
      >
      <ul class="wide" data-testid="overtaken">
        <li v-for="one in overtaken" :key="one.key">
          <span>{{ one.label }}{{ where(one.setup_id) }}{{ now(one) }}</span>
          <el-button
            size="small"
            type="primary"
            data-testid="banner-mine"
            @click="store.insist(one.key)"
            >Apply mine</el-button
          >
          <el-button size="small" @click="store.letGo(one.key)">Discard</el-button>
        </li>
      </ul>
    </template>
    <template v-if="store.left.length">
      <span>Could not be undone: {{ store.left.join('; ') }}.</span>
      <el-button size="small" @click="store.left = []">Got it</el-button>
    </template>
    <template v-else-if="refusal && !store.lost">
      <span>{{ refusal }}</span>
      <el-button size="small" @click="store.stopTrying()">Got it</el-button>
    </template>
  </div>
</template>

<style scoped>
.banner {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  padding: 6px 14px;
  border-bottom: 1px solid var(--fix-mark);
  background: color-mix(in srgb, var(--fix-mark) 16%, var(--card));
}
.banner span:first-child {
  margin-right: auto;
}
.banner .wide {
  flex-basis: 100%;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 2px 0;
}
.banner :deep(.el-button + .el-button) {
  margin-left: 0;
}
</style>
