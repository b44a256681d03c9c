<script setup lang="ts">
/** Checklists made of the setup, ticked on a phone, with lines of one's own; and the page to take
 * along. */
import { computed, reactive, ref } from 'vue'
import { api, ask, type Schemas } from '@/api/client'
import { ticked } from '@/kit/heard'
import type { Units } from '@/kit/units'
import { told } from '@/kit/words'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'
import { useAllTicks } from '@/setup/useTicks'

type Name = Schemas['Checklist']['name']
type Line = Schemas['ChecklistLine']
const props = defineProps<{ units: Units }>()
const TITLE: Record<Name, string> = { pack: 'Pack', rig: 'Rig', launch: 'Launch', home: 'Home' }

const store = useSetup()
const page = usePage<Schemas['Checklists']>((setup_id) =>
  ask(api.GET('/api/v1/setups/{setup_id}/lists', { params: { path: { setup_id } } })),
)
const ticks = useAllTicks()
const shown = ref<Name>('pack')
const hidden = ref(false)
const text = reactive<Record<Name, string>>({ pack: '', rig: '', launch: '', home: '' })
const list = computed(() => page.answer.value?.lists.find((one) => one.name === shown.value))
const lines = computed(() => list.value?.lines.filter((one) => hidden.value || !one.hidden) ?? [])
const left = (one: Schemas['Checklist']) =>
  one.lines.filter((line) => !line.hidden && !ticks.isDone(one.name, line.key)).length
const words = (line: Line) => told(line.words.text, line.words.amounts ?? [], props.units)
const along = computed(
  () => `/api/v1/setups/${store.kept!.setup_id}/lists/take-along.html?units=${props.units}`,
)

async function add(): Promise<void> {
  const name = shown.value
  const own = text[name].trim()
  if (!own) return
  text[name] = '' // the next may be typed before this one is kept
  if (!(await store.addLine(name, own))) text[name] ||= own
}
</script>

<template>
  <div class="card pad" data-testid="lists">
    <div class="head">
      <span class="names" role="tablist" aria-label="Lists">
        <button
          v-for="one in page.answer.value?.lists ?? []"
          :key="one.name"
          type="button"
          role="tab"
          :aria-selected="one.name === shown"
          :data-testid="`list-${one.name}`"
          @click="shown = one.name"
        >
          {{ TITLE[one.name] }} <span class="soft">{{ left(one) || '✓' }}</span>
        </button>
      </span>
      <a class="small" :href="along" data-testid="take-along">Save for the phone</a>
      <a class="small" :href="`${along}&show=true`" target="_blank" rel="noopener">Open it</a>
    </div>
    <p v-if="page.trouble.value" class="stop" role="alert">{{ page.trouble.value }}</p>
    <p v-if="ticks.trouble.value" class="stop" role="alert">
      {{ ticks.trouble.value }}
    </p>
    <ul>
      <li v-for="line in lines" :key="line.key" :class="{ hid: line.hidden }">
        <label :style="{ paddingLeft: `${22 * line.depth}px` }">
          <input
            type="checkbox"
            :checked="ticks.isDone(shown, line.key)"
            @change="ticks.set(shown, line.key, ticked($event))"
          />
          <span :class="{ done: ticks.isDone(shown, line.key) }">{{ words(line) }}</span>
        </label>
        <button
          v-if="line.own_id != null"
          type="button"
          class="small"
          :aria-label="`Delete ${words(line)}`"
          @click="store.dropLine(line.own_id)"
        >
          Delete
        </button>
        <button
          v-else
          type="button"
          class="small quiet"
          :aria-label="`${line.hidden ? 'Show' : 'Hide'} ${words(line)}`"
          @click="store.hideLine(shown, line.key, !line.hidden)"
        >
          {{ line.hidden ? 'Show' : 'Hide' }}
        </button>
      </li>
    </ul>
    <form aria-label="A line of your own" @submit.prevent="add">
      <input
        v-model="text[shown]"
        maxlength="200"
        placeholder="a line of your own"
        aria-label="A line of your own"
        data-testid="own-line"
      />
      <button type="submit" class="small">Add</button>
    </form>
    <div class="foot">
      <button type="button" class="small" @click="ticks.clear(shown)">Clear ticks</button>
      <label v-if="list?.lines.some((one) => one.hidden)" class="soft"
        ><input v-model="hidden" type="checkbox" /> show hidden lines</label
      >
      <span class="soft">Lines follow the setup; your own stay.</span>
    </div>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped src="./tables.css"></style>
<style scoped>
.head,
.foot,
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
.names {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-right: auto;
}
[role='tab'] {
  min-height: 32px;
  padding: 0 12px;
  border: 1px solid var(--line);
  border-radius: 7px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
[role='tab'][aria-selected='true'] {
  border-color: var(--ink);
  box-shadow: inset 0 -3px 0 var(--pick);
}
ul {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 8px;
  align-items: center;
  border-top: 1px solid var(--line);
}
li label {
  display: flex;
  flex: 1;
  gap: 9px;
  align-items: center;
  min-height: 32px;
}
li input {
  width: 17px;
  height: 17px;
}
.done {
  color: var(--soft);
  text-decoration: line-through;
}
.hid {
  opacity: 0.65;
}
button.quiet {
  border-color: transparent;
  background: none;
  color: var(--soft);
}
form input {
  flex: 1;
  min-height: 32px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 7px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
.foot {
  margin-top: 8px;
}
@media (max-width: 600px) {
  li label,
  [role='tab'],
  form input {
    min-height: 44px;
  }
  li input {
    width: 24px;
    height: 24px;
  }
}
</style>
