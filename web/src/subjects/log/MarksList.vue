<script setup lang="ts">
/** How often each item was used, one tap each; what went wrong with it under its own button. */
import { ref } from 'vue'
import { CHOICES } from '@/api/words'
import { pick } from '@/kit/heard'
import type { Draft } from './useDraftTrip'
import { FLAG_WORD, FLAGS, USES_WORD } from './words'

type Marks = NonNullable<Draft['marks']>
const props = defineProps<{
  /** number and name of each, in the order they are shown */
  items: [string, string][]
  marks: Marks
}>()
const emit = defineEmits<{ mark: [id: string, fields: Partial<Marks[string]>] }>()

const open = ref<Record<string, boolean>>({})
const markOf = (id: string) => props.marks[id]
</script>

<template>
  <ul>
    <li v-for="[id, name] in items" :key="id">
      <span class="name">{{ name }}</span>
      <span class="taps" role="group" :aria-label="`${name}: uses`">
        <button
          v-for="one in CHOICES.Mark.uses"
          :key="one"
          type="button"
          :aria-pressed="markOf(id)?.uses === one"
          :data-testid="`uses-${id}-${one}`"
          @click="emit('mark', id, { uses: markOf(id)?.uses === one ? null : one })"
        >
          {{ USES_WORD[one] }}
        </button>
        <button
          type="button"
          class="more"
          :aria-expanded="!!open[id]"
          :aria-label="`${name}: what went wrong`"
          @click="open[id] = !open[id]"
        >
          {{ FLAGS.filter((one) => markOf(id)?.[one]).length ? '!' : '…' }}
        </button>
      </span>
      <span v-if="open[id]" class="flags">
        <span class="taps" role="group" :aria-label="`${name}: what went wrong`">
          <button
            v-for="one in FLAGS"
            :key="one"
            type="button"
            :aria-pressed="!!markOf(id)?.[one]"
            @click="emit('mark', id, { [one]: !markOf(id)?.[one] })"
          >
            {{ FLAG_WORD[one] }}
          </button>
        </span>
        <input
          :value="markOf(id)?.note ?? ''"
          maxlength="200"
          placeholder="note"
          :aria-label="`${name}: note`"
          @input="emit('mark', id, { note: pick($event) })"
        />
      </span>
    </li>
  </ul>
</template>

<style scoped>
ul {
  margin: 6px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 8px;
  align-items: center;
  padding: 3px 0;
  border-top: 1px solid var(--line);
}
.flags {
  display: grid;
  grid-column: 1 / -1;
  gap: 4px;
}
.taps {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
button,
input {
  min-height: 32px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 7px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
button {
  cursor: pointer;
}
button[aria-pressed='true'] {
  border-color: var(--ink);
  background: var(--ink);
  color: var(--on-ink);
}
input {
  box-sizing: border-box;
  width: 100%;
  min-height: 36px;
}
.taps button {
  min-width: 42px;
}
.taps .more {
  min-width: 32px;
  padding: 0 6px;
}
@media (max-width: 600px) {
  button,
  input {
    min-height: 44px;
  }
  li {
    grid-template-columns: 1fr;
  }
  .taps button {
    flex: 1 1 44px;
  }
}
</style>
