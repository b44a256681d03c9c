<script lang="ts">
import type { Aboard, Clash, Place } from '@/api/client'

/** What is aboard and ashore, and what is in whose way. */
export interface Listed {
  places: ReadonlyMap<number, Place>
  ashore: number[]
  aboard: Aboard[]
  clashes: Clash[]
}
</script>

<script setup lang="ts">
/** The shelf ashore, and everything aboard from bow to stern, by where it is on the boat. */
import { computed, nextTick, ref, watch } from 'vue'
import type { Schemas, Target, Thing } from '@/api/client'
import { number, type Units } from '@/kit/units'
import { told, ZONE_TAG, ZONE_WORD } from '@/kit/words'
import EvidenceMark from '@/kit/EvidenceMark.vue'
import GearPicture from '@/drawing/GearPicture.vue'
import VerdictMark from '@/kit/VerdictMark.vue'
import ChosenPanel, { type ChosenAct } from './ChosenPanel.vue'
import PlaceEditor from './PlaceEditor.vue'

const props = defineProps<
  Listed & {
    things: Record<string, Thing>
    selected: number | null
    marked: ReadonlySet<number>
    /** what all that are marked weigh, until that is known null */
    marked_kg: number | null
    elsewhere: Schemas['Elsewhere'][]
    targets: Target[]
    bow_x_m: number
    units: Units
    dropping: boolean
  }
>()
const emit = defineEmits<{
  pick: [id: number | null]
  mark: [id: number]
  act: [act: ChosenAct]
  grab: [event: PointerEvent, id: number]
  board: [id: number]
  place: [id: number, place: Place, before: Place]
  ashore: [id: number]
  edit: [id: number | null]
  key: [event: KeyboardEvent, id: number]
}>()

const search = defineModel<string>('search', { default: '' })
const field = ref<{ focus: () => void } | null>(null)

const found = (id: number) =>
  props.things[String(id)]?.name.toLowerCase().includes(search.value.trim().toLowerCase()) ?? false
const shelf = computed(() => props.ashore.filter(found))
const groups = computed(() => {
  const groups = new Map<string, Aboard[]>()
  for (const row of props.aboard.filter((one) => found(one.thing_id)))
    groups.set(row.where, [...(groups.get(row.where) ?? []), row])
  return [...groups].map(([where, rows]) => ({ where, rows }))
})
watch(
  () => props.selected,
  async (id) => {
    await nextTick()
    const row = document.querySelector(`[data-aboard="${id}"]`)
    row?.parentElement?.scrollIntoView({ block: 'nearest' })
  },
)
const away = computed(() => {
  const by = new Map<number, string[]>()
  for (const { thing_id, setup } of props.elsewhere)
    by.set(thing_id, [...(by.get(thing_id) ?? []), setup])
  return by
})
/** Seen from either of the two. */
const clashesOf = (id: number): Clash[] =>
  props.clashes
    .filter((one) => one.thing_id === id || one.with_thing === id)
    .map((one) => (one.thing_id === id ? one : { ...one, what: thing(one.thing_id).name }))
const worst = computed(() => {
  const by = new Map<number, Clash['verdict']>()
  for (const one of props.clashes)
    for (const id of [one.thing_id, one.with_thing])
      if (id != null && by.get(id) !== 'fix') by.set(id, one.verdict)
  return by
})
/** What else lies in the same container, and out of which turn this one comes. */
function turnOf(row: Aboard): { at: number; of: number } | null {
  if (row.holder_id === null || row.holder_id === undefined) return null
  const among = props.aboard.filter((one) => one.holder_id === row.holder_id)
  return { at: among.findIndex((one) => one.thing_id === row.thing_id), of: among.length }
}
function pressed(event: MouseEvent, id: number): void {
  if (event.shiftKey || event.ctrlKey || event.metaKey) emit('mark', id)
  else emit('pick', id === props.selected ? null : id)
}
const thing = (id: number): Thing => props.things[String(id)]!

defineExpose({ focusSearch: () => field.value?.focus() })
</script>

<template>
  <div class="lists">
    <div class="tools">
      <el-input
        ref="field"
        v-model="search"
        size="small"
        placeholder="Find an item"
        aria-label="Find an item"
        clearable
        @keydown.esc="search = ''"
      >
        <template #suffix><kbd v-if="!search">/</kbd></template>
      </el-input>
      <el-button size="small" data-testid="add-thing" @click="emit('edit', null)">Add…</el-button>
    </div>

    <section class="shelf apart" :class="{ dropping }" aria-label="Ashore" data-testid="shelf">
      <h2>Ashore: drag aboard</h2>
      <p v-if="ashore.length === 0" class="empty">
        Everything you own is aboard. Add more gear in Gear.
      </p>
      <button
        v-for="id in shelf"
        :key="id"
        type="button"
        class="row"
        :data-shelf="id"
        :title="`${thing(id).name}: drag it aboard, or press Enter`"
        @pointerdown="emit('grab', $event, id)"
        @keydown.enter.prevent="emit('board', id)"
        @dblclick="emit('edit', id)"
      >
        <EvidenceMark :evidence="thing(id).evidence" />
        <GearPicture :thing="thing(id)" />
        <span class="name">{{ thing(id).name }}</span>
        <span class="num">{{ number(thing(id).mass_kg, 'mass', units) }}</span>
      </button>
    </section>

    <h2 class="heading">Aboard, bow to stern</h2>
    <ChosenPanel
      v-if="marked.size > 1"
      :count="marked.size"
      :mass_kg="marked_kg"
      :units="units"
      :locked="[...marked].every((id) => places.get(id)?.locked)"
      :grouped="[...marked].every((id) => places.get(id)?.group)"
      @act="emit('act', $event)"
    />
    <section
      class="aboard apart"
      :class="{ waiting: dropping }"
      aria-label="Aboard, bow to stern"
      data-testid="aboard"
    >
      <p v-if="aboard.length === 0" class="empty">
        Nothing yet. Drag an item from the list above onto the boat, or press Enter on it; then move
        it with the arrow keys.
      </p>
      <template v-for="group in groups" :key="group.where">
        <h3>{{ group.where }}</h3>
        <div v-for="row in group.rows" :key="row.thing_id">
          <button
            type="button"
            class="row"
            :class="{ chosen: row.thing_id === selected, marked: marked.has(row.thing_id) }"
            :style="{ paddingLeft: `${7 + 12 * row.depth}px` }"
            :aria-pressed="marked.has(row.thing_id)"
            :aria-expanded="row.thing_id === selected"
            :data-aboard="row.thing_id"
            @click="pressed($event, row.thing_id)"
            @keydown="emit('key', $event, row.thing_id)"
          >
            <EvidenceMark :evidence="thing(row.thing_id).evidence" />
            <GearPicture :thing="thing(row.thing_id)" />
            <span class="name">{{ thing(row.thing_id).name }}</span>
            <span v-if="places.get(row.thing_id)?.locked" class="tag" title="locked">locked</span>
            <VerdictMark v-if="worst.has(row.thing_id)" :verdict="worst.get(row.thing_id)!" bare />
            <span
              v-if="row.misfit"
              class="tag bad"
              :title="told(row.misfit.text, row.misfit.amounts ?? [], units)"
              >does not fit</span
            >
            <span
              v-if="away.has(row.thing_id)"
              class="tag bad"
              :title="`also aboard the same day in ${away.get(row.thing_id)!.join(', ')}`"
              >packed twice</span
            >
            <span class="zone" :class="row.zone" :title="ZONE_WORD[row.zone]">{{
              ZONE_TAG[row.zone]
            }}</span>
            <span class="num">{{ number(row.carries_kg, 'mass', units) }}</span>
          </button>
          <PlaceEditor
            v-if="row.thing_id === selected && places.get(row.thing_id)"
            :place="places.get(row.thing_id)!"
            :thing="thing(row.thing_id)"
            :aboard="row"
            :targets="targets"
            :turn="turnOf(row)"
            :clashes="clashesOf(row.thing_id)"
            :elsewhere="away.get(row.thing_id) ?? []"
            :bow_x_m="bow_x_m"
            :units="units"
            @place="(place, before) => emit('place', row.thing_id, place, before)"
            @ashore="emit('ashore', row.thing_id)"
            @edit="emit('edit', row.thing_id)"
            @act="emit('act', $event)"
          />
        </div>
      </template>
    </section>
    <p class="legend">
      <EvidenceMark evidence="weighed" /> weighed <EvidenceMark evidence="label" /> label
      <EvidenceMark evidence="guess" /> guess
    </p>
  </div>
</template>

<style scoped>
.lists {
  display: flex;
  flex-direction: column;
  gap: 8px;
  height: 100%;
  min-height: 0;
}
.tools {
  display: flex;
  gap: 6px;
}
.shelf {
  flex: none;
  max-height: 32%;
  margin: 0 -6px;
  padding: 2px 6px 4px;
  overflow-y: auto;
  border: 1px dashed transparent;
  border-radius: 8px;
}
.shelf.dropping {
  border-color: var(--pick);
  background: var(--pick-pale);
}
.aboard {
  flex: 1;
  min-height: 0;
  margin: 0 -6px;
  padding: 0 6px;
  overflow-y: auto;
}
/* As it was before something was picked up. */
.aboard.waiting {
  opacity: 0.5;
}
.heading {
  margin-bottom: -6px;
}
h3 {
  margin: 6px 0 2px;
  color: var(--soft);
  font-size: 12px;
  font-weight: 400;
}
.row {
  display: flex;
  gap: 5px;
  align-items: center;
  width: 100%;
  min-height: 26px;
  margin-bottom: 3px;
  padding: 1px 7px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font-size: 13px;
  text-align: left;
  cursor: pointer;
}
.shelf .row {
  cursor: grab;
  touch-action: none;
}
.row:hover {
  border-color: var(--soft);
}
.row.chosen {
  margin-bottom: 0;
  border-color: var(--pick);
  border-radius: 6px 6px 0 0;
  background: var(--pick-pale);
}
.row.marked {
  background: var(--pick-pale);
  box-shadow: inset 3px 0 0 var(--pick);
}
.tag {
  flex: none;
  color: var(--soft);
  font-size: 11px;
}
.tag.bad {
  color: var(--fix);
}
.row svg {
  flex: none;
}
.name {
  overflow-wrap: anywhere;
  line-height: 1.15;
}
.num {
  min-width: 30px;
  color: var(--soft);
  text-align: right;
}
.shelf .num,
.name + * {
  margin-left: auto;
}
.zone {
  flex: none;
  color: var(--soft);
  font-size: 11px;
}
.zone.hand {
  color: var(--fine);
}
.zone.leave,
.zone.ashore {
  color: var(--fix);
}
.empty {
  margin: 2px 0 6px;
  color: var(--soft);
}
.legend {
  display: flex;
  gap: 4px;
  align-items: center;
  margin: 0;
  color: var(--soft);
  font-size: 12px;
}
.legend svg:not(:first-child) {
  margin-left: 8px;
}
</style>
