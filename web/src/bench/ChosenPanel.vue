<script lang="ts">
/** What can be done to several things at once. */
export type ChosenAct =
  | 'mirror'
  | 'fore ends'
  | 'middles'
  | 'after ends'
  | 'one line'
  | 'evenly'
  | 'lock'
  | 'group'
  | 'duplicate'
  | 'measure'
  | 'ashore'
  | 'earlier'
  | 'later'
</script>

<script setup lang="ts">
import { show, type Units } from '@/kit/units'

defineProps<{
  count: number
  mass_kg: number | null
  units: Units
  locked: boolean
  grouped: boolean
}>()
const emit = defineEmits<{ act: [act: ChosenAct] }>()

const LINE_UP: [ChosenAct, string][] = [
  ['fore ends', 'fore ends level'],
  ['middles', 'middles level'],
  ['after ends', 'aft ends level'],
  ['one line', 'in one line, bow to stern'],
  ['evenly', 'spread evenly'],
]
function lineUp(event: Event): void {
  const select = event.target as HTMLSelectElement
  emit('act', select.value as ChosenAct)
  select.value = ''
}
</script>

<template>
  <section class="chosen" aria-label="Selected items" data-testid="chosen">
    <p role="status">
      {{ count }} selected{{ mass_kg === null ? '' : `, ${show(mass_kg, 'mass', units)}` }}
    </p>
    <select aria-label="Line up" data-testid="line-up" @change="lineUp">
      <option value="">Line up…</option>
      <option v-for="[act, word] in LINE_UP" :key="act" :value="act">{{ word }}</option>
    </select>
    <div class="acts">
      <button type="button" @click="emit('act', 'mirror')">Mirror <kbd>M</kbd></button>
      <button type="button" @click="emit('act', 'duplicate')">Copy <kbd>D</kbd></button>
      <button type="button" @click="emit('act', 'lock')">
        {{ locked ? 'Unlock' : 'Lock' }} <kbd>L</kbd>
      </button>
      <button type="button" @click="emit('act', 'group')">
        {{ grouped ? 'Ungroup' : 'Group' }} <kbd>G</kbd>
      </button>
      <button v-if="count === 2" type="button" @click="emit('act', 'measure')">
        Measure <kbd>E</kbd>
      </button>
      <button type="button" @click="emit('act', 'ashore')">Ashore <kbd>A</kbd></button>
    </div>
  </section>
</template>

<style scoped>
.chosen {
  display: flex;
  flex-direction: column;
  gap: 5px;
  padding: 6px 8px;
  border: 1px solid var(--pick);
  border-radius: 6px;
  background: var(--pick-pale);
}
p {
  margin: 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
button,
select {
  height: 24px;
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font-size: 12px;
  cursor: pointer;
}
</style>
