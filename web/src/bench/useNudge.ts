/** Gathers quick key presses into one change: tried at once, kept when the hand rests. */
import { onScopeDispose } from 'vue'
import { gathers } from '@/setup/unsaved'

const REST_MS = 450

export function useNudge<T extends [number, unknown][]>(
  attempt: (moves: T) => void,
  keep: (moves: T) => void,
) {
  let open: { moves: T; timer: ReturnType<typeof setTimeout> } | null = null

  const whose = (moves: T): string => moves.map(([id]) => id).join()

  /** Keep what is open now; before anything else is done to the setup. */
  function settle(): void {
    if (!open) return
    const { moves, timer } = open
    clearTimeout(timer)
    open = null
    keep(moves)
  }

  function nudge(moves: T): void {
    if (open && whose(open.moves) !== whose(moves)) settle()
    if (open) clearTimeout(open.timer)
    open = { moves, timer: setTimeout(settle, REST_MS) }
    attempt(moves)
  }

  gathers(settle) // whoever leaves in that moment has moved it all the same
  onScopeDispose(settle)
  return { nudge, settle }
}
