/**
 * Carries one thing with the pointer, from the shelf or about the boat. Pointer capture keeps the
 * moves coming; Esc or a lost pointer puts everything back. The page's body captures, not what was
 * pressed: that leaves the shelf, or moves among its neighbours, as soon as it is under way.
 */
import { onScopeDispose, ref } from 'vue'

export interface CarryHandlers {
  move: (event: PointerEvent) => void
  drop: (event: PointerEvent) => void
  cancel: () => void
}

const SLACK_PX = 3 // less is a click, not a drag

export function useCarry() {
  const carrying = ref(false)
  let end: ((kept: PointerEvent | null) => void) | null = null

  function pickUp(event: PointerEvent, handlers: CarryHandlers): void {
    if (event.button !== 0) return
    end?.(null)
    const target = document.body
    const from = { x: event.clientX, y: event.clientY }
    const listening = new AbortController()
    const options = { signal: listening.signal }
    target.setPointerCapture(event.pointerId)

    let last = from
    const move = (at: PointerEvent) => {
      if (at.clientX === last.x && at.clientY === last.y) return
      last = { x: at.clientX, y: at.clientY }
      const far = Math.hypot(last.x - from.x, last.y - from.y) > SLACK_PX
      if (far) carrying.value = true
      if (carrying.value) handlers.move(at)
    }
    let early = false
    const moveEarly = (at: PointerEvent) => {
      if (early) return
      early = true
      requestAnimationFrame(() => (early = false))
      move(at)
    }
    end = (kept) => {
      end = null
      listening.abort()
      if (target.hasPointerCapture(event.pointerId)) target.releasePointerCapture(event.pointerId)
      const carried = carrying.value
      carrying.value = false
      if (!carried) return
      if (kept) handlers.drop(kept)
      else handlers.cancel()
    }
    target.addEventListener('pointermove', (e) => move(e as PointerEvent), options)
    // A move is told with the next frame; where it is told at once, the first of a frame is followed
    // then, so that what it asks is under way before the frame is drawn.
    target.addEventListener('pointerrawupdate', (e) => moveEarly(e as PointerEvent), options)
    target.addEventListener('pointerup', (e) => end?.(e as PointerEvent), options)
    target.addEventListener('pointercancel', () => end?.(null), options)
    target.addEventListener('lostpointercapture', () => end?.(null), options)
    window.addEventListener('keydown', (e) => e.key === 'Escape' && end?.(null), options)
  }

  onScopeDispose(() => end?.(null))
  return { carrying, pickUp }
}
