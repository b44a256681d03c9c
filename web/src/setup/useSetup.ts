/** The open setup: what is kept, what is being tried, and every change of it. */
import { StorageSerializers, useLocalStorage, useTimeoutFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import {
  api,
  ask,
  askPreview,
  askState,
  keyed,
  sendChange,
  Offline,
  Refusal,
  type Drawing,
  type Figures,
  type Place,
  type Preview,
  type QuickFigures,
  type Schemas,
  type SeatPlace,
  type SetupState,
  type Thing,
  type Trial,
} from '@/api/client'
import { sharing } from '@/kit/sharing'
import { AGAIN_MS } from '@/kit/useAsked'
import { besidesOf } from './besides'
import { changesOf } from './changing'
import { useInHand } from './inHand'
import { laidOver, placesById, rowOf, sectionsWith, takeOff } from './laidOver'
import { makingOnce } from './makingOnce'
import { useTrying } from './trying'
import { settleAll } from './unsaved'
import { useOutbox, type Call, type Held } from './outbox'
import type { Fields } from './patch'

export const useSetup = defineStore('setup', () => {
  const names = ref<Schemas['SetupName'][]>([])
  /** as the server has it; what is not yet confirmed is laid over it */
  const confirmed = shallowRef<SetupState | null>(null)
  const tried = shallowRef<Preview | null>(null)
  const inHand = useInHand((moves) =>
    tryOut({ places: moves.map(([thing_id, place]) => ({ thing_id, place })) }),
  )
  const { places: triedPlaces, frames: triedFrames, ahead, arrive } = inHand
  const triedSeat = shallowRef<SeatPlace | null>(null)
  const refusal = shallowRef<Refusal | null>(null)
  const unsaved = shallowRef<Offline | Refusal | null>(null)
  const left = ref<readonly string[]>([])
  /** how often something beside the setup was changed: whoever shows it asks anew */
  const besides = ref(0)
  const outbox = useOutbox({
    done: sent,
    refused,
    overtaken,
    lost: (why) => (unsaved.value = why),
  })
  /** why nothing can be saved, or read, for now: no answer at all, or what a server that cannot says */
  const lost = computed(() =>
    unsaved.value instanceof Offline || outbox.waiting.value.length || !confirmed.value
      ? unsaved.value
      : null,
  )
  const kept = computed<SetupState | null>((before) => {
    const state = confirmed.value && laidOver(confirmed.value, outbox.waiting.value)
    return state && sharing(before, state)
  })
  const saving = computed(() => outbox.waiting.value.length)

  const figures = computed<Figures | null>(
    () => tried.value?.figures ?? kept.value?.figures ?? null,
  )
  const drawing = computed<Drawing | null>(
    () => tried.value?.drawing ?? kept.value?.drawing ?? null,
  )
  /** Figures as kept, while other ones are being tried; they are shown beside the new ones. */
  const before = computed(() => (tried.value ? (kept.value?.figures ?? null) : null))
  const things = computed<Record<string, Thing>>(() => kept.value?.setup.things ?? {})
  const places = computed<Map<number, Place>>(() => {
    const all = placesById(kept.value?.setup)
    for (const [id, place] of triedPlaces.value) {
      if (place) all.set(id, place)
      else takeOff(all, id)
    }
    return all
  })
  const ashore = computed(() =>
    Object.keys(things.value)
      .map(Number)
      .filter((id) => !places.value.has(id)),
  )

  function keptPlace(id: number): Place | null {
    return kept.value?.setup.places[String(id)] ?? null
  }

  // Coming back, one goes on where one was.
  const lastOpen = useLocalStorage<number | null>('neat-hull-setup', null, {
    serializer: StorageSerializers.number,
  })
  watch(kept, (now) => now && (lastOpen.value = now.setup_id))

  /** What has not changed stays the very same, so that only the rest is drawn again. */
  function keep(state: SetupState): void {
    wanted = state.setup_id
    confirmed.value = sharing(confirmed.value, state)
  }

  let wanted: number | undefined // the setup that was opened last
  async function open(setup_id?: number): Promise<void> {
    if (setup_id !== undefined) {
      settleAll()
      wanted = setup_id
    }
    try {
      names.value = await ask(api.GET('/api/v1/setups'))
      const known = (one: number | null) => names.value.some((name) => name.setup_id === one)
      const id = wanted ?? (known(lastOpen.value) ? lastOpen.value! : names.value[0]?.setup_id)
      if (id === undefined) {
        confirmed.value = null
        return
      }
      wanted = id
      const stood = confirmed.value
      const state = await stateOf(id)
      if (wanted !== id) return // another one was opened meanwhile
      if (confirmed.value?.setup_id !== id) stopTrying()
      if (confirmed.value === stood) keep(state) // or a change was confirmed meanwhile
      answered()
      void outbox.send()
    } catch (error) {
      fail(error)
    }
  }

  const make = makingOnce()
  async function start(body: Schemas['FirstMeasures']): Promise<void> {
    const made = make(body, (headers) => askState(api.POST('/api/v1/setups', { body, headers })))
    keep(await made)
    stopTrying()
    names.value = await ask(api.GET('/api/v1/setups'))
  }

  const carried = (trial: Trial) => Object.keys(trial).every((key) => key === 'places')
  const trying = useTrying<Trial>({ short: carried, ask: tryOnce })
  const tryOut = trying.put
  let suggested = false

  async function tryOnce(body: Trial, quick: boolean, wanted: () => boolean): Promise<void> {
    if (!kept.value) return
    try {
      const answer = await previewed(body, quick)
      answered()
      if (!wanted()) return
      refusal.value = null
      // A drag draws again what moved; all else is the very same as in the answer before.
      tried.value = sharing(last(), answer)
    } catch (error) {
      if (wanted()) fail(error)
    } finally {
      if (wanted()) arrive()
    }
  }

  const last = (): Preview => tried.value ?? { figures: kept.value!.figures, drawing: null }

  async function previewed(body: Trial, quick: boolean): Promise<Preview> {
    const params = { path: { setup_id: kept.value!.setup_id } }
    if (!quick) return askPreview(api.POST('/api/v1/setups/{setup_id}/preview', { params, body }))
    const { places } = body
    const answer = await ask(
      api.POST('/api/v1/setups/{setup_id}/preview/quick', { params, body: { places } }),
    )
    return { ...last(), figures: { ...last().figures, ...(answer as QuickFigures) } }
  }

  const taken =
    <A extends unknown[]>(put: (...at: A) => void) =>
    (...at: A): void => {
      if (suggested) stopTrying() // the hand goes before what was suggested
      trial += 1
      put(...at)
    }
  const [tryPlaces, carry] = [taken(inHand.put), taken(inHand.carry)]

  /** A suggestion: drawn with its answer, for where it goes hangs on what it goes on. */
  async function tryMove(
    moves: [number, Place | null][],
    seat: SeatPlace | null,
    fields: Fields = {},
  ): Promise<void> {
    if (!kept.value) return
    stopTrying()
    const sections = sectionsWith(kept.value.setup, fields)
    const wanted = trying.wanting()
    const places = moves.map(([thing_id, place]) => ({ thing_id, place }))
    try {
      const answer = await askPreview(
        api.POST('/api/v1/setups/{setup_id}/preview', {
          params: { path: { setup_id: kept.value.setup_id } },
          body: { places, seat, ...sections },
        }),
      )
      if (!wanted()) return
      trial += 1
      tried.value = answer
      inHand.letGo(moves)
      suggested = true
      triedSeat.value = seat
    } catch (error) {
      if (wanted()) fail(error)
    }
  }

  function stopTrying(): void {
    trying.drop()
    trial += 1
    tried.value = null
    inHand.letGo()
    triedSeat.value = null
    suggested = false
    refusal.value = null
  }

  // A trial ends with the change it led to; one that was begun since goes on.
  const trialOf = new Map<string, number>()
  let trial = 0

  function change(label: string, call: Call): Promise<boolean> {
    if (!kept.value) return Promise.resolve(false)
    if (!('edits' in call)) settleAll() // an undo is of what the hand did last
    left.value = []
    const done = outbox.put(kept.value.setup_id, label, call)
    trialOf.set(outbox.entries.value.at(-1)?.key ?? '', trial)
    return done
  }

  function endTrial({ key }: Held): void {
    if (trialOf.get(key) === trial) stopTrying()
    trialOf.delete(key)
  }

  async function sent(held: Held): Promise<void> {
    const state = await answerTo(held)
    if (state.setup_id !== wanted) return
    endTrial(held)
    if (!('edits' in held.call)) stepped(state, held.asked_of)
    keep(state)
    left.value = state.left
  }

  async function answerTo({ call, setup_id, key }: Held): Promise<SetupState> {
    if ('edits' in call)
      return askState(
        api.PATCH('/api/v1/setups/{setup_id}', {
          params: { path: { setup_id } },
          body: call,
          headers: keyed(key),
        }),
      )
    if (!call.beside) {
      const revision = await revisionOf(setup_id)
      outbox.asking(key, revision)
      return sendChange(call, setup_id, revision, key)
    }
    await sendChange<unknown>(call, setup_id, null, key)
    besides.value += 1
    return stateOf(setup_id) // which is judged by what is beside it
  }

  const stateOf = (setup_id: number): Promise<SetupState> =>
    askState(api.GET('/api/v1/setups/{setup_id}', { params: { path: { setup_id } } }))

  /** What was changed since I asked for a step, such as an undo, counts from where that led. Where
   * it was `asked_of` a revision before, it may have been made then, and what I see be of after it;
   * what others have changed since is theirs. */
  function stepped({ setup_id, setup, revision }: SetupState, asked_of?: number): void {
    if (asked_of === undefined || revision === asked_of + 1)
      outbox.catchUp(setup_id, (edit) => rowOf(setup, edit))
  }

  async function revisionOf(setup_id: number): Promise<number> {
    if (confirmed.value?.setup_id === setup_id) return confirmed.value.revision
    return (await stateOf(setup_id)).revision
  }

  function refused(held: Held, why: Refusal): void {
    endTrial(held)
    if ('beside' in held.call) besides.value += 1 // it may be gone by now
    fail(why)
  }

  function overtaken(held: Held): void {
    endTrial(held)
    if (held.setup_id === wanted) void open()
  }

  function fail(error: unknown): void {
    if (!(error instanceof Refusal || error instanceof Offline)) throw error
    const broken = error instanceof Offline || (error.problem.status >= 500 && !confirmed.value)
    if (!broken) {
      refusal.value = error
      return
    }
    unsaved.value ??= error
    askAgain.start()
  }

  // Who was not answered sees what there is as soon as somebody answers.
  const askAgain = useTimeoutFn(() => open(), AGAIN_MS, { immediate: false })

  /** The server is there; whether it can write, only a change that was sent tells. */
  function answered(): void {
    if (unsaved.value instanceof Offline || !outbox.waiting.value.length) unsaved.value = null
  }

  const nameOf = (id: number | null | undefined): string =>
    id == null ? '' : (things.value[String(id)]?.name ?? '')
  const aboardByName = computed(() =>
    Object.keys(kept.value?.setup.places ?? {})
      .map(Number)
      .sort((a, b) => nameOf(a).localeCompare(nameOf(b))),
  )

  /** Show a setup that was just made: copied, moved or taken in. */
  async function show(state: SetupState): Promise<void> {
    settleAll()
    keep(state)
    stopTrying()
    names.value = await ask(api.GET('/api/v1/setups'))
  }

  const changes = changesOf(change, nameOf, { place: keptPlace, setup: () => kept.value!.setup })

  return {
    names,
    confirmed,
    kept,
    tried,
    triedPlaces,
    triedFrames,
    ahead,
    triedSeat,
    refusal,
    unsent: outbox.entries,
    saving,
    lost,
    left,
    besides,
    figures,
    drawing,
    before,
    things,
    places,
    ashore,
    aboardByName,
    nameOf,
    keptPlace,
    open,
    start,
    tryOut,
    tryPlaces,
    carry,
    arrive,
    tryMove,
    stopTrying,
    insist: outbox.insist,
    letGo: outbox.drop,
    show,
    ...changes,
    ...besidesOf(change, nameOf),
  }
})
