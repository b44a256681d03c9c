/** Gathers quick key presses into one change: tried at once, kept when the hand rests. */
import { onScopeDispose } from 'vue'

const REST_MS = 450

export function useNudge<T>(
  attempt: (id: number, to: T) => void,
  keep: (id: number, to: T) => void,
) {
  let open: { id: number; to: T; timer: ReturnType<typeof setTimeout> } | null = null

  /** Keep what is open now; before anything else is done to the setup. */
  function settle(): void {
    if (!open) return
    const { id, to, timer } = open
    clearTimeout(timer)
    open = null
    keep(id, to)
  }

  function nudge(id: number, to: T): void {
    if (open && open.id !== id) settle()
    if (open) clearTimeout(open.timer)
    open = { id, to, timer: setTimeout(settle, REST_MS) }
    attempt(id, to)
  }

  onScopeDispose(settle)
  return { nudge, settle }
}
