<script setup lang="ts">
/** The bench: put it there and see. */
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { api, ask, type Place, type Thing } from '@/api/client'
import { useBenchActs } from '@/composables/useBenchActs'
import { useBenchDrag } from '@/composables/useBenchDrag'
import { useChosen } from '@/composables/useChosen'
import { useNudge } from '@/composables/useNudge'
import { savePng } from '@/drawing/picture'
import BenchSheet from '@/drawing/BenchSheet.vue'
import type { Drawn } from '@/drawing/types'
import { placeWords, told } from '@/edge/words'
import { blankPlace, placedAt, stepOf, tidy, turnedByKey, withinReachOf } from '@/geometry/places'
import { apart, BOAT, outOf, rowsById, stands } from '@/geometry/stands'
import BenchTools from '@/panels/BenchTools.vue'
import FigurePanel from '@/panels/FigurePanel.vue'
import FindingsPanel from '@/panels/FindingsPanel.vue'
import GearLists from '@/panels/GearLists.vue'
import HowDrawer from '@/panels/HowDrawer.vue'
import KeysDialog from '@/panels/KeysDialog.vue'
import ThingDialog from '@/panels/ThingDialog.vue'
import type { ChosenAct } from '@/panels/ChosenPanel.vue'
import { OVERLAYS, useLook } from '@/stores/look'
import { useSetup } from '@/stores/setup'

const store = useSetup()
const look = useLook()

const figure = ref<'weight' | 'trim' | 'list' | 'gm' | 'wells' | null>(null)
const [keysOpen, thingOpen] = [ref(false), ref(false)]
const editing = ref<number | null>(null)
const search = ref('')
const sheet = useTemplateRef<InstanceType<typeof BenchSheet>>('sheet')
const findings = useTemplateRef<InstanceType<typeof FindingsPanel>>('findings')
const lists = useTemplateRef<InstanceType<typeof GearLists>>('lists')

const { selected, marked, pick, mark, markAll, clear } = useChosen(store)
type Moves = [number, Place][]
const { nudge, settle } = useNudge<Moves>(
  store.tryPlaces,
  (moves) => void (moves.length === 1 ? store.put(...moves[0]!) : store.putPlaces('Move', moves)),
)

const { act, between, chosen } = useBenchActs({
  store,
  selected,
  marked,
  settle,
  rowOf: () => rowOf.value,
  clear,
})

const bow = computed(() => store.drawing?.x_m.at(-1) ?? 0)
const rowOf = computed(() => rowsById(store.figures))
const keptRowOf = computed(() => rowsById(store.kept?.figures))
const within = (place: Place): Place => withinReachOf(place, bow.value)
const { carrying, over, targets, grabAboard, grabFromShelf } = useBenchDrag({
  store,
  rowOf,
  within,
  view: () => sheet.value,
  begin: settle,
  taken: pick,
  free: (id) => !store.places.get(id)?.locked,
  together: (id) => (marked.value.has(id) ? apart([...marked.value], rowOf.value) : [id]),
  loadTargets,
})
const drawn = computed<Drawn[]>(() => {
  const where = stands(store.places, rowOf.value, store.triedPlaces, store.triedFrames)
  return [...where].flatMap(([id, stand]) => {
    const thing = store.things[String(id)]
    const aboard = rowOf.value.get(id)
    const chosen = id === selected.value || marked.value.has(id)
    const depth = aboard?.depth ?? 9
    return thing ? [{ id, thing, stand, aboard, selected: chosen, ghost: false, depth }] : []
  })
})
const ghosts = computed<Drawn[]>(() =>
  [...store.triedPlaces.keys()].flatMap((id) => {
    const aboard = keptRowOf.value.get(id)
    const thing = store.things[String(id)]
    return aboard && thing
      ? [{ id, thing, stand: aboard, aboard, selected: false, ghost: true, depth: 0 }]
      : []
  }),
)
const labels = computed(
  () =>
    new Map(
      drawn.value.map(({ id, thing, stand, aboard }) => [
        id,
        placeWords(thing, bow.value - stand.x_m, stand.y_m, aboard?.zone, look.units),
      ]),
    ),
)
const overWords = computed(() => {
  const one = over.value
  if (!one) return ''
  if (!one.why) return one.name
  return `${one.name}: ${told(one.why.text, one.why.amounts ?? [], look.units)}`
})

// What a thing could be put on is asked for the one in hand, and again when the setup changes.
let asked = 0
async function loadTargets(id: number): Promise<void> {
  const setup_id = store.kept!.setup_id
  const mine = ++asked
  try {
    const found = await ask(
      api.GET('/api/v1/setups/{setup_id}/targets/{thing_id}', {
        params: { path: { setup_id, thing_id: id } },
      }),
    )
    if (mine === asked) targets.value = found as typeof targets.value
  } catch {
    targets.value = [] // it can still be put on the deck; the banner tells of a lost server
  }
}
watch(
  () => [selected.value, store.kept?.revision] as const,
  ([id]) => {
    between.value = null
    if (id !== null) void loadTargets(id)
  },
)

/** With Shift a thing is taken into the choice; otherwise it is taken hold of. */
function grabOrMark(event: PointerEvent, id: number, view: 'plan' | 'side'): void {
  if (event.shiftKey) mark(id)
  else grabAboard(event, id, view)
}

function board(id: number): void {
  const thing = store.things[String(id)]
  const seat = store.kept?.setup.seat
  if (!thing || !seat) return
  settle()
  pick(id)
  void store.put(id, { ...blankPlace(thing), x_m: tidy(seat.x_m - 0.5) }).then(focusSelected)
}

async function focusSelected(): Promise<void> {
  await nextTick()
  if (selected.value !== null) sheet.value?.focusThing(selected.value)
}

const ACTS: Record<string, ChosenAct> = {
  m: 'mirror',
  d: 'duplicate',
  l: 'lock',
  g: 'group',
  e: 'measure',
  a: 'ashore',
}

/** Where keys take a thing: along what it is on, and as far as that goes. */
function movedByKey(event: KeyboardEvent, id: number): Place | null {
  const place = store.places.get(id)!
  const step = stepOf(event)
  if (!step) return turnedByKey(event, place)
  const row = rowOf.value.get(id)
  const frame = place.on ? (row?.frame ?? BOAT) : BOAT
  const [x, y] = outOf(frame, place.x_m, place.y_m)
  return within(placedAt(place, frame, row?.slide_m, x + step[0], y + step[1]))
}

function thingKey(event: KeyboardEvent, id: number): void {
  if (!store.places.has(id) || event.ctrlKey || event.metaKey) return
  const marking = event.key.toLowerCase() === 'x'
  if (!marking && selected.value !== id && !marked.value.has(id)) pick(id)
  const what = event.altKey ? undefined : ACTS[event.key.toLowerCase()]
  if (marking) mark(id)
  else if (what) act(what)
  else {
    const free = apart(chosen(), rowOf.value).filter((one) => !store.places.get(one)?.locked)
    const moves = free.flatMap((one): Moves => {
      const place = movedByKey(event, one)
      return place ? [[one, place]] : []
    })
    if (moves.length === 0) return
    nudge(moves)
  }
  event.preventDefault()
  event.stopPropagation()
}

function showThing(id: number): void {
  pick(store.places.has(id) ? id : null)
  void focusSelected()
}

function walk(toStern: boolean): void {
  const ids = store.figures?.aboard.map((row) => row.thing_id) ?? []
  if (ids.length === 0) return
  const at = selected.value === null ? -1 : ids.indexOf(selected.value)
  const next = at < 0 ? (toStern ? 0 : ids.length - 1) : at + (toStern ? 1 : -1)
  pick(ids[(next + ids.length) % ids.length]!, true)
  void focusSelected()
}

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const typing = (event.target as Element).closest?.('input, textarea, select, [role="dialog"]')
  const key = event.key.toLowerCase()
  if (typing) return
  if ((event.ctrlKey || event.metaKey) && key === 'z') {
    event.preventDefault()
    settle()
    void store.step(event.shiftKey ? 'redo' : 'undo')
    return
  }
  if ((event.ctrlKey || event.metaKey) && key === 'a') {
    event.preventDefault()
    markAll()
    return
  }
  if (event.ctrlKey || event.metaKey || event.altKey) return
  const overlay = OVERLAYS[Number(event.key) - 1]
  if (overlay) look.toggle(overlay.key)
  else if (event.key === '[') walk(false)
  else if (event.key === ']') walk(true)
  else if (event.key === '/') lists.value?.focusSearch()
  else if (event.key === '?') keysOpen.value = true
  else if (key === 'h') figure.value = 'trim'
  else if (key === 'p') void picture()
  else if (key === 'n') look.toggle('names')
  else if (key === 't') findings.value?.tryTop()
  else if (event.key === 'Escape') {
    clear()
    findings.value?.drop()
  } else if (selected.value !== null) return thingKey(event, selected.value)
  else return
  event.preventDefault()
})

const picture = () =>
  savePng(sheet.value!.svg!, `${store.kept!.setup.name}, ${store.kept!.setup.boat.name}`)

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
        :marked="marked"
        :elsewhere="store.kept.elsewhere"
        :clashes="store.figures.clashes"
        :targets="targets"
        :bow_x_m="bow"
        :units="look.units"
        :dropping="carrying"
        @pick="pick"
        @mark="mark"
        @act="act"
        @grab="grabFromShelf"
        @board="board"
        @place="(id, place) => store.put(id, within(place))"
        @ashore="(id) => act('ashore', [id])"
        @edit="edit"
        @key="thingKey"
      />
    </aside>
    <main>
      <BenchTools
        :overlays="look.overlays"
        @toggle="look.toggle"
        @picture="picture"
        @keys="keysOpen = true"
      />
      <p v-if="carrying && overWords" class="over" role="status" :class="{ barred: over?.why }">
        {{ overWords }}
      </p>
      <BenchSheet
        ref="sheet"
        :boat="store.kept.setup.boat"
        :seat="store.triedSeat ?? store.kept.setup.seat"
        :drawing="store.drawing"
        :figures="store.figures"
        :things="drawn"
        :ghosts="ghosts"
        :overlays="look.overlays"
        :units="look.units"
        :labels="labels"
        :targets="carrying ? targets : []"
        :over="over"
        :between="between"
        :class="{ carrying }"
        @pick="pick"
        @edit="edit"
        @grab="grabOrMark"
        @key="thingKey"
      />
    </main>
    <aside class="right">
      <FigurePanel
        :figures="store.figures"
        :before="store.before"
        :units="look.units"
        @how="figure = $event"
      >
        <FindingsPanel ref="findings" @show="showThing" />
      </FigurePanel>
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
  position: relative;
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-width: 0;
  min-height: 0;
  padding: 8px 10px;
}
.carrying {
  cursor: grabbing;
}
.over {
  position: absolute;
  top: 52px;
  left: 50%;
  z-index: 2;
  margin: 0;
  padding: 3px 12px;
  border: 1px solid var(--pick);
  border-radius: 12px;
  background: var(--card);
  color: var(--pick);
  transform: translateX(-50%);
  pointer-events: none;
}
.over.barred {
  border-color: var(--stop);
  color: var(--stop);
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
}
</style>
