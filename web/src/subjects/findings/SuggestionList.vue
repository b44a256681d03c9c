<script setup lang="ts">
/** The best moves with figures before and after; one of them is on the bench as a ghost. */
import type { Suggestion } from '@/api/client'
import { number, type Units } from '@/kit/units'
import { listWords, said, trimWords } from '@/kit/words'
import VerdictMark from '@/kit/VerdictMark.vue'

defineProps<{ suggestions: Suggestion[]; tried: number | null; units: Units }>()
const emit = defineEmits<{ try: [at: number]; apply: []; drop: [] }>()

function effects(one: Suggestion, units: Units): string[] {
  const { before, after } = one
  const lines: string[] = []
  const changed = (a: number | null, b: number | null, by: number) =>
    a !== null && b !== null && Math.abs(a - b) >= by
  if (changed(before.trim_deg, after.trim_deg, 0.05))
    lines.push(`${trimWords(before.trim_deg!)} → ${trimWords(after.trim_deg!)}`)
  if (changed(before.heel_deg, after.heel_deg, 0.05))
    lines.push(`${listWords(before.heel_deg!)} → ${listWords(after.heel_deg!)}`)
  if (changed(before.gm_m, after.gm_m, 0.001)) {
    const [was, is] = [before.gm_m!, after.gm_m!].map((gm) => number(gm, 'length', units))
    lines.push(`GM ${was} → ${is}`)
  }
  if (changed(before.carried_kg, after.carried_kg, 0.05)) {
    const [was, is] = [before.carried_kg, after.carried_kg].map((kg) => number(kg, 'mass', units))
    lines.push(`weight ${was} → ${is}`)
  }
  return lines
}
</script>

<template>
  <ol class="ways" data-testid="suggestions">
    <li v-for="(one, at) in suggestions" :key="at" :class="{ tried: tried === at }">
      <button
        type="button"
        class="words"
        :aria-pressed="tried === at"
        :data-testid="`suggestion-${at}`"
        @click="emit('try', at)"
      >
        {{ said(one.words, units) }}
      </button>
      <p class="soft">
        <template v-if="one.clears">clears it</template>
        <template v-else-if="one.left">eases it</template>
        <template v-if="one.gone.length > 1 || (!one.clears && one.gone.length)">
          <template v-if="one.clears || one.left">, </template>{{ one.gone.length }} gone or
          milder</template
        >
        <template v-for="line in effects(one, units)" :key="line"> · {{ line }}</template>
      </p>
      <p v-for="fresh in one.new" :key="fresh.key" class="new">
        <VerdictMark :verdict="fresh.verdict" bare /> new: {{ said(fresh.title, units) }}
      </p>
      <div v-if="tried === at" class="acts">
        <button type="button" class="small go" data-testid="apply" @click="emit('apply')">
          Apply
        </button>
        <button type="button" class="small" data-testid="drop" @click="emit('drop')">Drop</button>
      </div>
    </li>
  </ol>
</template>

<style scoped>
.ways {
  display: flex;
  flex-direction: column;
  gap: 4px;
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}
li {
  padding: 4px 6px;
  border: 1px solid var(--line);
  border-radius: 6px;
}
.tried {
  border-color: var(--pick);
  background: var(--pick-pale);
}
.words {
  padding: 0;
  border: 0;
  background: none;
  color: var(--pick);
  font-size: 13px;
  text-align: left;
  cursor: pointer;
}
p {
  margin: 0;
  font-size: 12px;
}
.new {
  color: var(--ink);
}
.acts {
  display: flex;
  gap: 4px;
  margin-top: 4px;
}
</style>
