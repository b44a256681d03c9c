/**
 * Where things are tried that are carried about, until that is kept or dropped. One thing is drawn
 * where it is asked about, and goes ahead of that with the hand until the answer comes: to draw all
 * that hangs on where it is at every move would hold up the answer.
 */
import { shallowRef } from 'vue'
import type { Place } from '@/api/client'
import type { Frame, InHand } from '@/drawing/stands'

type Moves = readonly (readonly [number, Place | null])[]

export function useInHand(ask: (moves: Moves) => void) {
  const places = shallowRef<ReadonlyMap<number, Place | null>>(new Map())
  const frames = shallowRef<ReadonlyMap<number, Frame>>(new Map())
  /** where the hand has carried a thing since it was last drawn */
  const ahead = shallowRef<({ id: number } & InHand) | null>(null)

  function drawAt(moves: Moves, frame?: Frame): void {
    places.value = new Map([...places.value, ...moves])
    if (frame)
      frames.value = new Map([...frames.value, ...moves.map(([id]) => [id, frame] as const)])
    ahead.value = null
  }

  /** Drawn at once; `frame` is what their places count from, where that is new to them. */
  function put(moves: Moves, frame?: Frame): void {
    drawAt(moves, frame)
    ask([...places.value])
  }

  function carry(id: number, place: Place | null, frame?: Frame): void {
    if (!place || !places.value.get(id)) return put([[id, place]], frame)
    ask([...new Map([...places.value, [id, place]])])
    ahead.value = { id, place, frame: frame ?? frames.value.get(id) }
  }

  /** What went ahead with the hand is drawn there. */
  function arrive(): void {
    if (ahead.value) drawAt([[ahead.value.id, ahead.value.place]], ahead.value.frame)
  }

  /** Nothing but these is tried any more. */
  function letGo(moves: Moves = []): void {
    places.value = new Map(moves)
    frames.value = new Map()
    ahead.value = null
  }

  return { places, frames, ahead, put, carry, arrive, letGo }
}
