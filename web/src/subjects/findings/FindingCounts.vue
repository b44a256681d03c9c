<script setup lang="ts">
/** How many findings of each verdict, as kept and as tried; picks one verdict, and the order. */
import { computed } from 'vue'
import type { Finding, Verdict } from '@/api/client'
import VerdictMark from '@/kit/VerdictMark.vue'
import { useSetup } from '@/setup/useSetup'

const props = defineProps<{ open: Finding[] }>()
const only = defineModel<Verdict | null>({ required: true })
const byPlace = defineModel<boolean>('byPlace', { required: true })
const store = useSetup()

const live = computed(() => store.figures?.findings.filter((one) => one.accepted === null) ?? [])
const counts = computed(() =>
  (['stop', 'fix', 'watch'] as const).map((verdict) => ({
    verdict,
    count: props.open.filter((one) => one.verdict === verdict).length,
    now: live.value.filter((one) => one.verdict === verdict).length,
  })),
)
</script>

<template>
  <button
    v-for="one in counts"
    :key="one.verdict"
    type="button"
    class="count"
    :aria-pressed="only === one.verdict"
    :aria-label="`Only ${one.verdict}: ${one.count}`"
    :data-testid="`count-${one.verdict}`"
    @click="only = only === one.verdict ? null : one.verdict"
  >
    <VerdictMark :verdict="one.verdict" bare />
    <span class="num"
      >{{ one.count }}<template v-if="one.now !== one.count">→{{ one.now }}</template></span
    >
  </button>
  <button
    type="button"
    class="count"
    :aria-pressed="byPlace"
    data-testid="by-place"
    @click="byPlace = !byPlace"
  >
    by place
  </button>
</template>

<style scoped>
.count {
  display: inline-flex;
  gap: 3px;
  align-items: center;
  height: 22px;
  padding: 0 7px;
  border: 1px solid var(--line);
  border-radius: 11px;
  background: var(--card);
  color: var(--ink);
  font-size: 12px;
  white-space: nowrap;
  cursor: pointer;
}
.count[aria-pressed='true'] {
  border-color: var(--pick);
  background: var(--pick-pale);
}
</style>
