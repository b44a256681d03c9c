/** Something on a drawing that goes along one way: dragged it is tried as it goes and taken where it
 * is let go, and keys step it. */
import { shallowRef } from 'vue'

interface Along {
  /** where it is, in metres */
  at: () => number
  /** as it is taken hold of: metres by pixels across and down, as things stood then */
  grip: () => (across: number, down: number) => number
  keys: () => Record<string, number>
  held?: (at: number) => number
  tryOut: (at: number) => void
  take: (at: number) => void
}
const LEAST_M = 1e-4 // less is no move but a click

export function useAlong({ at, grip, keys, held = (m) => m, tryOut, take }: Along) {
  const from = shallowRef<{ x: number; y: number; at: number; metres: ReturnType<typeof grip> }>()
  let now = 0
  const rounded = (m: number) => held(Math.round(m * 1000) / 1000)

  function grab(event: PointerEvent): void {
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
    from.value = { x: event.clientX, y: event.clientY, at: at(), metres: grip() }
    now = at()
  }
  function drag(event: PointerEvent): void {
    const start = from.value
    if (!start) return
    now = held(start.at + start.metres(event.clientX - start.x, event.clientY - start.y))
    tryOut(now)
  }
  function drop(): void {
    const start = from.value
    from.value = undefined
    if (start && Math.abs(now - start.at) > LEAST_M) take(rounded(now))
  }
  function press(event: KeyboardEvent): void {
    const step = keys()[event.key]
    if (step === undefined) return
    event.preventDefault()
    take(rounded(at() + step))
  }
  return { grab, drag, drop, press }
}
