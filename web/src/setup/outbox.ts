/**
 * Every change that the server has not confirmed, in order: kept in the browser over a reload, sent
 * one after the other, and again when a lost server is back. A change that others overtook waits for
 * the user; those after it go on.
 */
import { useEventListener } from '@vueuse/core'
import { computed, shallowRef, watch } from 'vue'
import { Offline, Refusal, type Schemas } from '@/api/client'

export type Edit = Schemas['Edit']
export type Call =
  | { edits: Edit[]; label?: string }
  | { method: 'POST' | 'PUT' | 'DELETE'; path: string; body?: object; query?: object }

export interface Held {
  key: string
  setup_id: number
  label: string
  call: Call
  /** set where somebody else changed the same meanwhile: the fields, and what they are now */
  overtaken?: { field: string; why: string }[]
}

export interface Outcome {
  done: (held: Held) => Promise<void>
  /** the server said no: what the user is told */
  refused: (held: Held, why: Refusal) => void
  /** others changed the same, or the setup it was based on */
  overtaken: (held: Held) => void
  lost: (now: boolean) => void
}

const AGAIN_MS = 2000
const PREFIX = 'neat-hull-unsent-'

export function useOutbox({ done, refused, overtaken, lost }: Outcome) {
  const mine = claim()
  const entries = shallowRef<readonly Held[]>(mine.found)
  const waiting = computed(() => entries.value.filter((one) => one.overtaken === undefined))
  watch(entries, (now) => mine.keep(now), { flush: 'sync' })

  const answers = new Map<string, (kept: boolean) => void>()
  let sending = false
  let again: ReturnType<typeof setTimeout> | undefined

  /** True once it is confirmed, or safe here until the server is back; false where it was refused. */
  function put(setup_id: number, label: string, call: Call): Promise<boolean> {
    const key = crypto.randomUUID()
    entries.value = [...entries.value, { key, setup_id, label, call }]
    return new Promise((resolve) => {
      answers.set(key, resolve)
      void send()
    })
  }

  function answer(key: string, kept: boolean): void {
    answers.get(key)?.(kept)
    answers.delete(key)
  }

  function drop(key: string): void {
    entries.value = entries.value.filter((one) => one.key !== key)
    answer(key, false)
  }

  /** Only what I changed, over whatever stands there now. */
  function insist(key: string): void {
    entries.value = entries.value.map((one) => {
      if (one.key !== key) return one
      const call =
        'edits' in one.call
          ? { ...one.call, edits: one.call.edits.map((edit) => ({ ...edit, was: null })) }
          : one.call
      return { key, setup_id: one.setup_id, label: one.label, call }
    })
    void send()
  }

  async function send(): Promise<void> {
    if (sending) return
    sending = true
    clearTimeout(again)
    try {
      for (let next = waiting.value[0]; next; next = waiting.value[0]) {
        try {
          await done(next)
          lost(false)
          entries.value = entries.value.filter((one) => one.key !== next.key)
          answer(next.key, true)
        } catch (error) {
          if (error instanceof Offline) {
            lost(true)
            for (const one of waiting.value) answer(one.key, true)
            again = setTimeout(() => void send(), AGAIN_MS)
            return
          }
          if (!(error instanceof Refusal)) throw error
          lost(false)
          if (error.problem.status === 409) {
            const { fields } = error.problem
            entries.value = entries.value.map((one) =>
              one.key === next.key ? { ...one, overtaken: fields } : one,
            )
            overtaken(next)
            answer(next.key, false)
          } else {
            drop(next.key)
            refused(next, error)
          }
        }
      }
    } finally {
      sending = false
    }
  }
  useEventListener(window, 'online', () => void send())

  return { entries, waiting, put, drop, insist, send }
}

/** A place in the browser's storage that is this tab's alone, and what closed tabs have left. */
function claim(): { found: Held[]; keep: (now: readonly Held[]) => void } {
  const tab = sessionStorage.getItem('neat-hull-tab') ?? crypto.randomUUID()
  sessionStorage.setItem('neat-hull-tab', tab)
  const name = PREFIX + tab
  const read = (key: string): Held[] => {
    try {
      return JSON.parse(localStorage.getItem(key) ?? '[]') as Held[]
    } catch {
      return []
    }
  }
  return {
    found: read(name),
    keep: (now) =>
      now.length ? localStorage.setItem(name, JSON.stringify(now)) : localStorage.removeItem(name),
  }
}
