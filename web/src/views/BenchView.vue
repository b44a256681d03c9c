<script setup lang="ts">
/** The bench: put it there and see. */
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import type { Aboard, Place, Thing } from '@/api/client'
import { useCarry } from '@/composables/useCarry'
import { useNudge } from '@/composables/useNudge'
import BenchSheet from '@/drawing/BenchSheet.vue'
import type { Drawn } from '@/drawing/types'
import { number, show, unitOf } from '@/edge/units'
import { sideWords, ZONE_WORD } from '@/edge/words'
import { blankPlace, movedByKey, tidy, withinReachOf } from '@/geometry/places'
import FigurePanel from '@/panels/FigurePanel.vue'
import GearLists from '@/panels/GearLists.vue'
import HowDrawer from '@/panels/HowDrawer.vue'
import KeysDialog from '@/panels/KeysDialog.vue'
import ThingDialog from '@/panels/ThingDialog.vue'
import { OVERLAYS, useLook } from '@/stores/look'
import { useSetup } from '@/stores/setup'

const store = useSetup()
const look = useLook()

const selected = ref<number | null>(null)
const figure = ref<'weight' | 'trim' | 'list' | 'gm' | 'wells' | null>(null)
const keysOpen = ref(false)
const thingOpen = ref(false)
const editing = ref<number | null>(null)
const search = ref('')
const sheet = useTemplateRef<InstanceType<typeof BenchSheet>>('sheet')
const lists = useTemplateRef<InstanceType<typeof GearLists>>('lists')
const { carrying, pickUp } = useCarry()
const { nudge, settle } = useNudge<Place>(store.tryPlace, (id, place) => void store.put(id, place))

const bow = computed(() => store.drawing?.x_m.at(-1) ?? 0)
const rowOf = computed(
  () => new Map<number, Aboard>(store.figures?.aboard.map((row) => [row.thing_id, row])),
)
const drawn = computed<Drawn[]>(() =>
  [...store.places].flatMap(([id, place]) => {
    const thing = store.things[String(id)]
    if (!thing) return []
    return [
      {
        id,
        thing,
        place,
        aboard: rowOf.value.get(id),
        selected: id === selected.value,
        ghost: false,
      },
    ]
  }),
)
const ghosts = computed<Drawn[]>(() =>
  [...store.triedPlaces.keys()].flatMap((id) => {
    const place = store.keptPlace(id)
    const thing = store.things[String(id)]
    const aboard = store.kept?.figures.aboard.find((row) => row.thing_id === id)
    return place && thing ? [{ id, thing, place, aboard, selected: false, ghost: true }] : []
  }),
)
const labels = computed(
  () =>
    new Map(
      drawn.value.map(({ id, thing, place, aboard }) => {
        const from = show(bow.value - place.x_m, 'length', look.units, 0)
        const side = sideWords(place.y_m, look.units)
        const mass = show(thing.mass_kg, 'mass', look.units)
        const zone = aboard ? `, ${ZONE_WORD[aboard.zone]}` : ''
        return [id, `${thing.name}, ${mass}, ${from} from the bow, ${side}${zone}`]
      }),
    ),
)

watch(
  () => store.kept?.setup_id,
  () => (selected.value = null),
)

const within = (place: Place): Place => withinReachOf(place, bow.value)

function grabAboard(event: PointerEvent, id: number, view: 'plan' | 'side'): void {
  settle()
  const start = store.places.get(id)
  const at = sheet.value?.toBoat(event, view)
  if (!start || !at) return
  selected.value = id
  const z = start.z_m ?? rowOf.value.get(id)?.base_z_m ?? 0
  const grip = { x: at.x_m - start.x_m, y: at.y_m - start.y_m, z: at.z_m - z }
  const to = (e: PointerEvent): Place | null => {
    const now = sheet.value!.toBoat(e, view)
    if (!now.inside && view === 'plan') return null
    const x_m = tidy(now.x_m - grip.x)
    if (view === 'plan') return within({ ...start, x_m, y_m: tidy(now.y_m - grip.y) })
    const raised = now.z_m - grip.z
    // Moving along the boat must not lift it: only a clear upward pull does.
    const lifted = Math.abs(raised - z) > 0.03
    return within({ ...start, x_m, z_m: lifted ? Math.max(0, tidy(raised)) : start.z_m })
  }
  carry(event, id, to)
}

function grabFromShelf(event: PointerEvent, id: number): void {
  settle()
  const thing = store.things[String(id)]
  if (!thing) return
  const rest = blankPlace(thing)
  carry(event, id, (e) => {
    const now = sheet.value!.toBoat(e, 'plan')
    return now.inside ? within({ ...rest, x_m: tidy(now.x_m), y_m: tidy(now.y_m) }) : null
  })
}

/** One drag: tried at every move, kept at the drop; dropped beside the boat it goes ashore. */
function carry(event: PointerEvent, id: number, to: (e: PointerEvent) => Place | null): void {
  pickUp(event, {
    move: (e) => store.tryPlace(id, to(e)),
    drop: (e) => {
      const place = to(e)
      if (place) {
        selected.value = id
        void store.put(id, place)
      } else if (store.keptPlace(id)) void store.takeAshore(id)
      else store.stopTrying()
    },
    cancel: () => store.stopTrying(),
  })
}

function board(id: number): void {
  const thing = store.things[String(id)]
  const seat = store.kept?.setup.seat
  if (!thing || !seat) return
  settle()
  selected.value = id
  void store.put(id, { ...blankPlace(thing), x_m: tidy(seat.x_m - 0.5) }).then(focusSelected)
}

async function focusSelected(): Promise<void> {
  await nextTick()
  if (selected.value !== null) sheet.value?.focusThing(selected.value)
}

function ashore(id: number): void {
  settle()
  if (store.keptPlace(id)) void store.takeAshore(id)
  if (selected.value === id) selected.value = null
}

function thingKey(event: KeyboardEvent, id: number): void {
  const place = store.places.get(id)
  if (!place || event.ctrlKey || event.metaKey) return
  const moved = movedByKey(event, place)
  if (moved) nudge(id, within(moved))
  else if (event.key === 'a') ashore(id)
  else return
  selected.value = id
  event.preventDefault()
  event.stopPropagation()
}

function walk(toStern: boolean): void {
  const ids = store.figures?.aboard.map((row) => row.thing_id) ?? []
  if (ids.length === 0) return
  const at = selected.value === null ? -1 : ids.indexOf(selected.value)
  const next = at < 0 ? (toStern ? 0 : ids.length - 1) : at + (toStern ? 1 : -1)
  selected.value = ids[(next + ids.length) % ids.length]!
  void focusSelected()
}

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const typing = (event.target as Element).closest?.('input, textarea, [role="dialog"]')
  const key = event.key.toLowerCase()
  if ((event.ctrlKey || event.metaKey) && key === 'z') {
    if (typing) return
    event.preventDefault()
    settle()
    void store.step(event.shiftKey ? 'redo' : 'undo')
    return
  }
  if (typing || event.ctrlKey || event.metaKey || event.altKey) return
  const overlay = OVERLAYS[Number(event.key) - 1]
  if (overlay) look.toggle(overlay.key)
  else if (event.key === '[') walk(false)
  else if (event.key === ']') walk(true)
  else if (event.key === '/') lists.value?.focusSearch()
  else if (event.key === '?') keysOpen.value = true
  else if (key === 'h') figure.value = 'trim'
  else if (event.key === 'Escape') selected.value = null
  else if (selected.value !== null) return thingKey(event, selected.value)
  else return
  event.preventDefault()
})

function edit(id: number | null): void {
  settle()
  store.stopTrying()
  editing.value = id
  thingOpen.value = true
}

async function saveThing(thing: Thing): Promise<void> {
  if (await store.putThing(editing.value, thing)) thingOpen.value = false
}

async function strike(): Promise<void> {
  if (editing.value !== null && (await store.dropThing(editing.value))) thingOpen.value = false
}
</script>

<template>
  <div v-if="store.kept && store.figures && store.drawing" class="bench">
    <aside class="left">
      <GearLists
        ref="lists"
        v-model:search="search"
        :things="store.things"
        :places="store.places"
        :aboard="store.figures.aboard"
        :ashore="store.ashore"
        :selected="selected"
        :bow_x_m="bow"
        :units="look.units"
        :dropping="carrying"
        @pick="selected = $event"
        @grab="grabFromShelf"
        @board="board"
        @place="(id, place) => store.put(id, within(place))"
        @ashore="ashore"
        @edit="edit"
        @key="thingKey"
      />
    </aside>
    <main>
      <div class="tools">
        <button
          v-for="(overlay, i) in OVERLAYS"
          :key="overlay.key"
          type="button"
          class="overlay"
          :aria-pressed="look.overlays.includes(overlay.key)"
          @click="look.toggle(overlay.key)"
        >
          <span class="num">{{ i + 1 }}</span> {{ overlay.label }}
        </button>
        <span class="hints">
          <kbd>← → ↑ ↓</kbd>
          {{ number(0.01, 'length', look.units, look.units === 'metric' ? 0 : 1) }}
          {{ unitOf('length', look.units) }} <kbd>Shift</kbd>
          {{ number(0.05, 'length', look.units, look.units === 'metric' ? 0 : 1) }}
          <kbd>M</kbd> mirror <kbd>R</kbd> turn
          <button type="button" class="keys" @click="keysOpen = true">all keys <kbd>?</kbd></button>
        </span>
      </div>
      <BenchSheet
        ref="sheet"
        :boat="store.kept.setup.boat"
        :seat="store.kept.setup.seat"
        :drawing="store.drawing"
        :figures="store.figures"
        :things="drawn"
        :ghosts="ghosts"
        :overlays="look.overlays"
        :units="look.units"
        :labels="labels"
        :class="{ carrying }"
        @pick="selected = $event"
        @grab="grabAboard"
        @key="thingKey"
      />
    </main>
    <aside class="right">
      <FigurePanel
        :figures="store.figures"
        :before="store.before"
        :units="look.units"
        @how="figure = $event"
      />
    </aside>
    <HowDrawer
      :setup_id="store.kept.setup_id"
      :revision="store.kept.revision"
      :figure="figure"
      :units="look.units"
      @close="figure = null"
    />
    <KeysDialog v-model="keysOpen" />
    <ThingDialog
      v-model="thingOpen"
      :thing="editing === null ? null : (store.things[String(editing)] ?? null)"
      :units="look.units"
      :refused="store.refusal?.problem ?? null"
      @save="saveThing"
      @strike="strike"
    />
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: 232px minmax(0, 1fr) 304px;
  height: 100%;
  min-height: 0;
}
aside {
  min-height: 0;
  padding: 10px 12px;
  background: var(--card);
}
.left {
  border-right: 1px solid var(--line);
}
.right {
  overflow-y: auto;
  border-left: 1px solid var(--line);
}
main {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-width: 0;
  min-height: 0;
  padding: 8px 10px;
}
.tools {
  display: flex;
  gap: 6px;
  align-items: center;
  height: 26px;
}
.overlay {
  height: 24px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--card);
  color: var(--soft);
  font-size: 12px;
  cursor: pointer;
}
.overlay[aria-pressed='true'] {
  border-color: var(--pick);
  background: var(--pick-pale);
  color: var(--pick);
}
.hints {
  display: flex;
  gap: 6px;
  align-items: center;
  margin-left: auto;
  color: var(--soft);
  font-size: 12px;
  white-space: nowrap;
}
.keys {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font-size: 12px;
  cursor: pointer;
}
.carrying {
  cursor: grabbing;
}

@media (max-width: 900px) {
  .bench {
    display: flex;
    flex-direction: column;
    height: auto;
  }
  .left {
    order: 3;
    border: 0;
  }
  .right {
    border: 0;
    border-top: 1px solid var(--line);
  }
  main {
    height: 520px;
  }
  .hints {
    display: none;
  }
}
</style>
