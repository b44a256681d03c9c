/**
 * Every change that the server has not confirmed, in order: kept in the browser over a reload, sent
 * one after the other, and again when a lost server is back, or one that cannot write. A change
 * that others overtook waits for the user; those after it go on. What a closed tab has left, the
 * next one sends.
 */
import { useEventListener } from '@vueuse/core'
import { computed, shallowRef, watch } from 'vue'
import { mayBeDone, Offline, Refusal, type Schemas } from '@/api/client'
import { newToken } from '@/kit/token'
import { AGAIN_MS } from '@/kit/useAsked'
import { withoutUsual } from './laidOver'
import { isObject, merged, partOf, rebased, rebasedFields, type Fields } from './patch'

export type Edit = Schemas['Edit']
export type Call = { edits: Edit[]; label?: string } | Request

/** A call of the API, whole but for its setup and the revision it is based on. `beside` is of what is
 * kept beside setups: it is based on none, and no state comes back. */
export interface Request {
  method: 'POST' | 'PUT' | 'PATCH' | 'DELETE'
  path: string
  body?: object
  query?: object
  beside?: true
}

export interface Held {
  key: string
  setup_id: number
  label: string
  call: Call
  /** the revision that a step, such as an undo, was asked of, once it was: it may have been made,
   * and its answer lost */
  asked_of?: number
  /** set where somebody else changed the same meanwhile: the fields, and what they are now */
  overtaken?: { field: string; called?: string; why: string }[]
}

export interface Outcome {
  done: (held: Held) => Promise<void>
  /** the server said no: what the user is told */
  refused: (held: Held, why: Refusal) => void
  /** others changed the same, or the setup it was based on */
  overtaken: (held: Held) => void
  /** it cannot be sent for now, and why; null once it could */
  lost: (why: Offline | Refusal | null) => void
}

const PREFIX = 'neat-hull-unsent-'
const TAB = 'neat-hull-tab'
const RELOADED_MS = 1000 // a page that is loaded again has let go of its lock by then

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
    const key = newToken()
    entries.value = [...entries.value, { key, setup_id, label, call }]
    return new Promise((resolve) => {
      answers.set(key, resolve)
      void send()
    })
  }

  /** A step is about to be sent. */
  function asking(key: string, asked_of: number): void {
    entries.value = entries.value.map((one) => (one.key === key ? { asked_of, ...one } : one))
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

  /** Those that wait were made over what stood in a row, and over each other; now something else
   * stands there. */
  function rebase(setup_id: number, row: (edit: Edit) => { from: unknown; to: unknown } | null) {
    const rows = new Map<string, { from: unknown; to: unknown }>()
    const over = (edit: Edit): Edit => {
      const name = nameOf(edit)
      const stands = rows.get(name) ?? row(edit)
      if (!stands || !edit.fields || !edit.was) return edit
      const { from, to } = stands
      const mine = edit.what === 'setup' ? withoutUsual(edit.fields, edit.was, to) : edit.fields
      const fields = rebasedFields(mine, from, to) as Edit['fields']
      rows.set(name, { from: laid(from, edit.fields), to: laid(to, fields) })
      return { ...edit, fields, was: rebased(edit.was, from, to) as Edit['was'] }
    }
    entries.value = entries.value.map((one) =>
      one.setup_id === setup_id && !one.overtaken && 'edits' in one.call
        ? { ...one, call: { ...one.call, edits: one.call.edits.map(over) } }
        : one,
    )
  }

  /** The same, by what they saw of what stood there. */
  function catchUp(setup_id: number, now: (edit: Edit) => unknown): void {
    const seen = new Map<string, Fields>()
    for (const { setup_id: of, call } of waiting.value)
      for (const edit of of === setup_id && 'edits' in call ? call.edits : [])
        if (edit.was) seen.set(nameOf(edit), merged(edit.was, seen.get(nameOf(edit)) ?? {}))
    rebase(setup_id, (edit) => {
      const from = seen.get(nameOf(edit))
      return from ? { from, to: partOf(now(edit), from) } : null
    })
  }

  /** What was refused has never stood there. */
  function without({ setup_id, call }: Held): void {
    if (!('edits' in call)) return
    for (const gone of call.edits)
      rebase(setup_id, ({ what, id }) =>
        what === gone.what && id === gone.id && gone.fields && gone.was
          ? { from: gone.fields, to: gone.was }
          : null,
      )
  }

  async function send(): Promise<void> {
    if (sending) return
    sending = true
    clearTimeout(again)
    try {
      for (let next = waiting.value[0]; next; next = waiting.value[0]) {
        try {
          await done(next)
          lost(null)
          entries.value = entries.value.filter((one) => one.key !== next.key)
          answer(next.key, true)
        } catch (error) {
          if (mayBeDone(error)) {
            lost(error)
            for (const one of waiting.value) answer(one.key, true)
            again = setTimeout(() => void send(), AGAIN_MS)
            return
          }
          if (!(error instanceof Refusal)) throw error
          lost(null)
          if (error.problem.status === 409) {
            const { fields } = error.problem
            entries.value = entries.value.map((one) =>
              one.key === next.key ? { ...one, overtaken: fields } : one,
            )
            overtaken(next)
            answer(next.key, false)
          } else {
            drop(next.key)
            without(next)
            refused(next, error)
          }
        }
      }
    } finally {
      sending = false
    }
  }
  useEventListener(window, 'online', () => void send())
  void mine.settle(
    (left) => {
      entries.value = [...left, ...entries.value]
      void send()
    },
    (twins) => {
      const theirs = new Set(twins.map((one) => one.key))
      entries.value = entries.value.filter((one) => !theirs.has(one.key))
    },
  )

  return { entries, waiting, put, asking, drop, insist, catchUp, send }
}

const nameOf = ({ what, id }: Edit): string => `${what} ${id}`
const laid = (row: unknown, fields: unknown): unknown =>
  isObject(row) && isObject(fields) ? merged(row, fields) : row

interface Place {
  found: Held[]
  keep: (now: readonly Held[]) => void
  /** What closed tabs have left is brought in, what an open twin of this tab still has let go of. */
  settle: (adopt: (left: Held[]) => void, letGo: (twins: Held[]) => void) => Promise<void>
}

/** A place in the browser's storage that is this tab's alone, found again after a reload. */
function claim(): Place {
  let name = PREFIX + (sessionStorage.getItem(TAB) ?? named())
  const found = read(name)

  async function settle(adopt: (left: Held[]) => void, letGo: (twins: Held[]) => void) {
    // Only pages from this machine have locks; without them each tab keeps to what is its own.
    if (!('locks' in navigator)) return
    if (!(await holds(name))) {
      // A tab that was duplicated brings the name of its twin along.
      name = PREFIX + named()
      letGo(found)
      await holds(name)
    }
    for (const other of Object.keys(localStorage)) {
      if (!other.startsWith(PREFIX) || other === name) continue
      await navigator.locks.request(other, { ifAvailable: true }, (lock) => {
        if (!lock) return // its tab is open
        const left = read(other)
        localStorage.removeItem(other)
        adopt(left)
      })
    }
  }

  return {
    found,
    settle,
    keep: (now) =>
      now.length ? localStorage.setItem(name, JSON.stringify(now)) : localStorage.removeItem(name),
  }
}

function named(): string {
  const tab = newToken()
  sessionStorage.setItem(TAB, tab)
  return tab
}

function read(name: string): Held[] {
  try {
    return JSON.parse(localStorage.getItem(name) ?? '[]') as Held[]
  } catch {
    return []
  }
}

/** Take a lock for as long as the tab is open; false where another one has it. */
function holds(name: string): Promise<boolean> {
  return new Promise((resolve) => {
    navigator.locks
      .request(name, { signal: AbortSignal.timeout(RELOADED_MS) }, () => {
        resolve(true)
        return new Promise(() => {})
      })
      .catch(() => resolve(false))
  })
}
