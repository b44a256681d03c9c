/**
 * The keys of the bench. Some act on what is chosen, wherever the focus is; those of the screen
 * itself come in as `on`, by their letter.
 */
import { useEventListener } from '@vueuse/core'
import type { ComputedRef, Ref } from 'vue'
import type { Aboard, Place } from '@/api/client'
import { placedAt, stepOf, turnedByKey } from '@/drawing/places'
import { apart, BOAT, outOf } from '@/drawing/stands'
import type { ChosenAct } from './ChosenPanel.vue'
import { OVERLAYS } from '@/drawing/overlays'
import { isTyping } from '@/kit/typing'
import { useLook } from '@/setup/look'
import { settleAll } from '@/setup/unsaved'
import type { useSetup } from '@/setup/useSetup'

type Moves = [number, Place][]

interface Bench {
  store: ReturnType<typeof useSetup>
  rowOf: Ref<ReadonlyMap<number, Aboard>>
  selected: Ref<number | null>
  marked: ComputedRef<Set<number>>
  within: (place: Place) => Place
  chosen: () => number[]
  act: (what: ChosenAct) => void
  pick: (id: number | null, keep?: boolean) => void
  mark: (id: number) => void
  markAll: () => void
  nudge: (moves: Moves) => void
  focusSelected: () => Promise<void>
  on: Record<string, () => void>
}

const ACTS: Record<string, ChosenAct> = {
  m: 'mirror',
  d: 'duplicate',
  l: 'lock',
  g: 'group',
  e: 'measure',
  a: 'ashore',
}

export function useBenchKeys(bench: Bench) {
  const { store, rowOf, selected } = bench
  const look = useLook()

  /** Where keys take a thing: along what it is on, and as far as that goes. */
  function movedByKey(event: KeyboardEvent, id: number): Place | null {
    const place = store.places.get(id)!
    const step = stepOf(event)
    if (!step) return turnedByKey(event, place)
    const row = rowOf.value.get(id)
    const frame = place.on ? (row?.frame ?? BOAT) : BOAT
    const [x, y] = outOf(frame, place.x_m, place.y_m)
    return bench.within(placedAt(place, frame, row?.slide_m, x + step[0], y + step[1]))
  }

  function thingKey(event: KeyboardEvent, id: number): void {
    if (!store.places.has(id) || event.ctrlKey || event.metaKey) return
    const key = event.key.toLowerCase()
    if (key !== 'x' && selected.value !== id && !bench.marked.value.has(id)) bench.pick(id)
    const what = event.altKey ? undefined : ACTS[key]
    if (key === 'x') bench.mark(id)
    else if (what) bench.act(what)
    else {
      const free = apart(bench.chosen(), rowOf.value).filter(
        (one) => !store.places.get(one)?.locked,
      )
      const moves = free.flatMap((one): Moves => {
        const place = movedByKey(event, one)
        return place ? [[one, place]] : []
      })
      if (moves.length === 0) return
      bench.nudge(moves)
    }
    event.preventDefault()
    event.stopPropagation()
  }

  /** To the next thing toward the bow or the stern. */
  function walk(toStern: boolean): void {
    const ids = store.figures?.aboard.map((row) => row.thing_id) ?? []
    if (ids.length === 0) return
    const at = selected.value === null ? -1 : ids.indexOf(selected.value)
    const next = at < 0 ? (toStern ? 0 : ids.length - 1) : at + (toStern ? 1 : -1)
    bench.pick(ids[(next + ids.length) % ids.length]!, true)
    void bench.focusSelected()
  }

  /** With Ctrl or the like held; tells whether it was ours. */
  function withControl(event: KeyboardEvent): boolean {
    const key = event.key.toLowerCase()
    if (key === 'z') {
      settleAll()
      const way = event.shiftKey ? 'redo' : 'undo'
      if (store.saving || store.kept?.[`${way}_label`]) void store.step(way) // else there is none
    } else if (key === 'a') bench.markAll()
    else return false
    return true
  }

  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (isTyping(event)) return
    if (event.ctrlKey || event.metaKey) {
      if (withControl(event)) event.preventDefault()
      return
    }
    if (event.altKey) return
    const overlay = OVERLAYS[Number(event.key) - 1]
    const mine = bench.on[event.key.toLowerCase()]
    if (overlay) look.toggle(overlay.key)
    else if (event.key === '[') walk(false)
    else if (event.key === ']') walk(true)
    else if (mine) mine()
    else if (selected.value !== null) return thingKey(event, selected.value)
    else return
    event.preventDefault()
  })

  return { thingKey }
}
