<script setup lang="ts">
/** The bench: put it there and see. */
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { api, ask, type Place, type Schemas, type Thing } from '@/api/client'
import { useBenchActs } from './useBenchActs'
import { useBenchKeys } from './useBenchKeys'
import { useBenchDrag } from './useBenchDrag'
import { useChosen } from './useChosen'
import { useDrawn } from './useDrawn'
import { useNudge } from './useNudge'
import { savePng } from '@/drawing/picture'
import BenchSheet from '@/drawing/BenchSheet.vue'
import { wearsVest } from '@/drawing/body'
import { useAsked } from '@/kit/useAsked'
import { placeWords, spotWords, told } from '@/kit/words'
import { blankPlace, tidy, withinReachOf } from '@/drawing/places'
import { apart, rowsById } from '@/drawing/stands'
import BenchTools from './BenchTools.vue'
import FigurePanel from './FigurePanel.vue'
import { FindingsPanel } from '@/subjects/findings'
import GearLists, { type Listed } from './GearLists.vue'
import type { HowFigure } from '@/setup/how'
import HowDrawer from '@/setup/HowDrawer.vue'
import KeysDialog from './KeysDialog.vue'
import ThingDialog from '@/setup/ThingDialog.vue'
import { useLook } from '@/setup/look'
import { useSetup } from '@/setup/useSetup'

const store = useSetup()
const look = useLook()

const figure = ref<HowFigure | null>(null)
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
const within = (place: Place): Place => withinReachOf(place, bow.value)
const { carrying, held, over, targets, grabAboard, grabFromShelf } = useBenchDrag({
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
const { drawn, ghosts } = useDrawn(store, rowOf, selected, marked)
// The lists, and what each thing is called with where it is, wait until the hand is free: to draw
// them at every move takes as long as the boat. Where the thing in hand is stands over the sheet.
const atRest = <T,>(now: () => T) =>
  computed<T>((before) => (carrying.value && before ? before : now()))
const listed = atRest<Listed>(() => ({
  places: store.places,
  ashore: store.ashore,
  aboard: store.figures?.aboard ?? [],
  clashes: store.figures?.clashes ?? [],
}))
const labels = atRest(
  () =>
    new Map(
      drawn.value.map(({ id, thing, stand, aboard }) => [
        id,
        placeWords(thing, bow.value - stand.x_m, stand.y_m, aboard?.zone, look.units),
      ]),
    ),
)
const inHand = computed(() => {
  const one = carrying.value && drawn.value.find(({ id }) => id === held.value)
  if (!one) return ''
  return `${one.thing.name}: ${spotWords(bow.value - one.stand.x_m, one.stand.y_m, look.units)}`
})
const overWords = computed(() => {
  const one = over.value
  if (!one) return ''
  if (!one.why) return one.name
  return `${one.name}: ${told(one.why.text, one.why.amounts ?? [], look.units)}`
})

// What a thing could be put on is asked for the one in hand, and again when the setup changes.
const offered = useAsked<typeof targets.value>()
async function loadTargets(id: number): Promise<void> {
  const setup_id = store.kept!.setup_id
  const answered = await offered.put(
    () =>
      ask(
        api.GET('/api/v1/setups/{setup_id}/targets/{thing_id}', {
          params: { path: { setup_id, thing_id: id } },
        }),
      ) as Promise<typeof targets.value>,
  )
  // Without an answer it can still be put on the deck; the banner tells of a lost server.
  if (answered || offered.trouble.value) targets.value = answered ? offered.answer.value! : []
}

// What several weigh together is the core's to say.
const together = useAsked<Schemas['Together']>()
watch([() => [...marked.value].join(), () => store.kept?.revision], () => {
  if (marked.value.size < 2) return together.forget()
  const path = { setup_id: store.kept!.setup_id }
  void together.put(() =>
    ask(
      api.GET('/api/v1/setups/{setup_id}/together', {
        params: { path, query: { thing_id: [...marked.value] } },
      }),
    ),
  )
})
watch([selected, () => store.kept?.revision], ([id]) => {
  if (id !== null) void loadTargets(id)
})

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

function showThing(id: number): void {
  pick(store.places.has(id) ? id : null)
  void focusSelected()
}

const { thingKey } = useBenchKeys({
  store,
  rowOf,
  selected,
  marked,
  within,
  chosen,
  act,
  pick,
  mark,
  markAll,
  nudge,
  focusSelected,
  on: {
    '/': () => lists.value?.focusSearch(),
    '?': () => (keysOpen.value = true),
    h: () => (figure.value = 'trim'),
    p: () => void picture(),
    n: () => look.toggle('names'),
    '+': () => sheet.value?.closer(),
    '=': () => sheet.value?.closer(),
    '-': () => sheet.value?.farther(),
    '0': () => sheet.value?.full(),
    f: () => sheet.value?.fitChosen(),
    t: () => findings.value?.tryTop(),
    escape: () => {
      clear()
      findings.value?.drop()
    },
  },
})

const wires = computed(() => store.kept?.setup.power.conductors ?? {})
const picture = () =>
  savePng(sheet.value!.svg!, `${store.kept!.setup.name}, ${store.kept!.setup.boat.name}`)

function edit(id: number | null): void {
  settle()
  store.stopTrying()
  editing.value = id
  thingOpen.value = true
}

async function saveThing(thing: Thing, before: Thing | null): Promise<void> {
  if (await store.putThing(editing.value, thing, before)) thingOpen.value = false
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
        v-bind="listed"
        :selected="selected"
        :marked="marked"
        :marked_kg="together.answer.value?.mass_kg ?? null"
        :elsewhere="store.kept.elsewhere"
        :targets="targets"
        :bow_x_m="bow"
        :units="look.units"
        :dropping="carrying"
        @pick="pick"
        @mark="mark"
        @act="act"
        @grab="grabFromShelf"
        @board="board"
        @place="(id, place, before) => store.put(id, within(place), before)"
        @ashore="(id) => act('ashore', [id])"
        @edit="edit"
        @key="thingKey"
      />
    </aside>
    <main>
      <BenchTools
        :overlays="look.overlays"
        :percent="sheet?.percent ?? 100"
        @toggle="look.toggle"
        @closer="sheet?.closer()"
        @farther="sheet?.farther()"
        @full="sheet?.full()"
        @picture="picture"
        @keys="keysOpen = true"
      />
      <p v-if="carrying && (inHand || overWords)" class="over" :class="{ barred: over?.why }">
        <span v-if="inHand" class="held" data-testid="in-hand" aria-hidden="true">{{
          inHand
        }}</span>
        <span v-if="overWords" role="status">{{ overWords }}</span>
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
        :wires="wires"
        :vest="wearsVest(store.places, store.things)"
        :in-hand="carrying"
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
  grid-template-columns: 250px minmax(0, 1fr) 304px;
  height: 100%;
  min-height: 0;
  background: var(--card);
}
/* A layer each, for at every move of a thing the figures change and the lists do not; not by a
   transform, which would hold dialogs within. */
aside {
  min-height: 0;
  padding: 10px 12px;
  will-change: opacity;
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
  background: var(--paper);
}
.carrying {
  cursor: grabbing;
}
.over {
  position: absolute;
  top: 52px;
  left: 50%;
  z-index: 2;
  display: flex;
  gap: 10px;
  margin: 0;
  padding: 3px 12px;
  border: 1px solid var(--pick);
  border-radius: 12px;
  background: var(--card);
  color: var(--pick);
  transform: translateX(-50%);
  pointer-events: none;
}
.held {
  color: var(--ink);
  font-variant-numeric: tabular-nums;
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
