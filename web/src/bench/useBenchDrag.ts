/**
 * Carrying a thing over the bench: it is tried at every move and kept at the drop. Over something
 * that takes it, it snaps there; over something that does not, that says why, and it stays on the
 * deck. Dropped beside the boat it goes ashore. With Alt held nothing takes it.
 */
import { ref, shallowRef, watch, type Ref } from 'vue'
import type { Aboard, Place, Target } from '@/api/client'
import { blankPlace, frameOf, placedAt, targetAt, tidy } from '@/drawing/places'
import { BOAT, gone, type Frame } from '@/drawing/stands'
import type { useSetup } from '@/setup/useSetup'
import type { Spot } from '@/drawing/sheet'
import { useCarry } from '@/kit/useCarry'

interface Under {
  x_m: number
  y_m: number
  z_m: number
  inside: boolean
}

interface Bench {
  store: ReturnType<typeof useSetup>
  rowOf: Ref<Map<number, Aboard>>
  within: (place: Place) => Place
  view: () => {
    toBoat: (event: PointerEvent, view: 'plan' | 'side') => Under
    follow: (gone: Spot) => void
  } | null
  begin: () => void
  taken: (id: number) => void
  free: (id: number) => boolean
  /** what is chosen together with a thing, itself included */
  together: (id: number) => number[]
  loadTargets: (id: number) => Promise<void>
}

type To = (event: PointerEvent) => { place: Place; frame: Frame } | null

export function useBenchDrag(bench: Bench) {
  const { store, rowOf, within } = bench
  const { carrying, pickUp } = useCarry()
  const targets = shallowRef<Target[]>([])
  const over = ref<Target | null>(null)
  const held = ref<number | null>(null)

  /** A place under the pointer: on what takes the thing there, or on the bare deck. */
  function settleAt(
    event: PointerEvent,
    now: Under,
    x_m: number,
    y_m: number,
    bare: Place,
  ): { place: Place; frame: Frame } {
    const under = event.altKey ? null : targetAt(targets.value, now.x_m, now.y_m)
    over.value = under
    if (!under || under.why)
      return { place: within({ ...bare, x_m: tidy(x_m), y_m: tidy(y_m) }), frame: BOAT }
    const frame = frameOf(under)
    const place = placedAt(under.place, frame, under.slide_m, x_m, y_m)
    return { place, frame: place.on ? frame : BOAT } // past the walls of a well it is on the deck
  }

  function grabAboard(event: PointerEvent, id: number, view: 'plan' | 'side'): void {
    bench.begin()
    const start = store.places.get(id)
    const row = rowOf.value.get(id)
    const at = bench.view()?.toBoat(event, view)
    if (!start || !row || !at) return
    bench.taken(id)
    if (!bench.free(id)) return
    const all = bench.together(id).filter(bench.free)
    if (all.length > 1) return carryAll(event, all, view)
    const grip = { x: at.x_m - row.x_m, y: at.y_m - row.y_m, z: at.z_m - row.base_z_m }
    const frame: Frame = start.on ? row.frame : BOAT
    const bare: Place = start.on
      ? { ...start, on: null, bury_m: 0, z_m: null, turn_deg: row.turn_deg, tilt_deg: row.tilt_deg }
      : start
    carry(event, id, start, (e) => {
      const now = bench.view()!.toBoat(e, view)
      if (!now.inside && view === 'plan') return null
      if (view === 'plan') return settleAt(e, now, now.x_m - grip.x, now.y_m - grip.y, bare)
      return { place: fromSide(start, row, frame, now, grip), frame }
    })
  }

  /** Several go as far as one another, each as far as what it is on lets it slide. */
  function carryAll(event: PointerEvent, ids: number[], view: 'plan' | 'side'): void {
    held.value = null
    const from = bench.view()!.toBoat(event, view)
    const starts = ids.map((id) => ({
      id,
      place: store.places.get(id)!,
      row: rowOf.value.get(id)!,
    }))
    const to = (e: PointerEvent): [number, Place | null][] => {
      const now = bench.view()!.toBoat(e, view)
      const away = !now.inside && view === 'plan'
      const [dx, dy] = [now.x_m - from.x_m, view === 'plan' ? now.y_m - from.y_m : 0]
      return starts.map(({ id, place, row }) => {
        const frame: Frame = place.on ? row.frame : BOAT
        const moved = placedAt(place, frame, row.slide_m, row.x_m + dx, row.y_m + dy)
        return [id, away ? null : within(place.bury_m > 0 ? place : moved)]
      })
    }
    pickUp(event, {
      move: (e) => store.tryPlaces(to(e)),
      drop: (e) => {
        const moves = to(e)
        void store.putPlaces(moves.every(([, place]) => place) ? 'Move' : 'Take ashore', moves)
      },
      cancel: () => store.stopTrying(),
    })
  }

  /** Along and up in the view from the side; only a clear upward pull lifts it off what it is on. */
  function fromSide(
    start: Place,
    row: Aboard,
    frame: Frame,
    now: Under,
    grip: { x: number; z: number },
  ): Place {
    const moved = placedAt(start, frame, row.slide_m, now.x_m - grip.x, row.y_m)
    const up = now.z_m - grip.z - row.base_z_m
    if (Math.abs(up) <= 0.03) return within(moved)
    const from = start.z_m ?? (start.on ? 0 : row.base_z_m)
    const least = start.on ? -1 : 0
    return within({ ...moved, z_m: Math.max(least, tidy(from + up)) })
  }

  function grabFromShelf(event: PointerEvent, id: number): void {
    bench.begin()
    const thing = store.things[String(id)]
    if (!thing) return
    const bare = blankPlace(thing)
    carry(event, id, null, (e) => {
      const now = bench.view()!.toBoat(e, 'plan')
      return now.inside ? settleAt(e, now, now.x_m, now.y_m, bare) : null
    })
  }

  function carry(event: PointerEvent, id: number, start: Place | null, to: To): void {
    let at: PointerEvent | null = null // where it is held; null once it is let go
    held.value = id
    const follow = () => {
      const found = at && to(at)
      if (at) store.carry(id, found?.place ?? null, found?.frame)
    }
    // What takes it may be known only after it stands still over that.
    const known = bench.loadTargets(id).then(follow)
    const letGo = () => {
      at = null
      over.value = null
    }
    pickUp(event, {
      move: (e) => {
        at = e
        follow()
      },
      drop: async (e) => {
        at = e
        store.arrive()
        await known
        const found = to(e)
        letGo()
        if (found) {
          bench.taken(id)
          void store.put(id, found.place, start)
        } else if (store.keptPlace(id)) void store.takeAshore(id)
        else store.stopTrying()
      },
      cancel: () => {
        letGo()
        store.stopTrying()
      },
    })
  }

  watch(
    () => store.ahead,
    (now) => {
      const place = now && store.triedPlaces.get(now.id)
      if (!place) return bench.view()?.follow([0, 0, 0])
      const drawn = { place, frame: store.triedFrames.get(now.id) }
      bench.view()?.follow(gone(drawn, now, rowOf.value.get(now.id)))
    },
    { flush: 'sync' },
  )

  return { carrying, held, over, targets, grabAboard, grabFromShelf }
}
