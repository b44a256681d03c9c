/**
 * Questions that are put faster than they are answered: one is under way, and only the newest of
 * those that waited is asked next. Where a short answer will do while the hand moves, it alone is
 * asked for; the whole one, which would hold up the next, when the hand pauses.
 */
export const PAUSE_MS = 80

interface Trying<Q> {
  /** whether a short answer will do for now */
  short: (question: Q) => boolean
  /** Ask, and take the answer if it is still wanted once it is there. */
  ask: (question: Q, short: boolean, wanted: () => boolean) => Promise<void>
}

export function useTrying<Q>({ short, ask }: Trying<Q>) {
  let waiting: Q | null = null
  let owed: Q | null = null // answered in short so far
  let pause: ReturnType<typeof setTimeout> | undefined
  let asking = false
  let round = 0

  function put(question: Q): void {
    waiting = question
    clearTimeout(pause)
    if (!asking) void askNext()
  }

  async function askNext(): Promise<void> {
    asking = true
    try {
      while (waiting !== null) {
        const question: Q = waiting
        const brief = question !== owed && short(question)
        waiting = null
        owed = brief ? question : null
        await ask(question, brief, wanting())
      }
    } finally {
      asking = false
    }
    if (owed !== null) pause = setTimeout(() => owed !== null && put(owed), PAUSE_MS)
  }

  /** What tells later whether nothing was dropped since. */
  function wanting(): () => boolean {
    const mine = round
    return () => mine === round
  }

  /** Nothing that waits is asked any more, and no answer under way is wanted. */
  function drop(): void {
    round += 1
    waiting = owed = null
    clearTimeout(pause)
  }

  return { put, wanting, drop }
}
