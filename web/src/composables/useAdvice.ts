/**
 * A way out of a finding, or for the whole boat: asked for, tried on the bench as a ghost, and
 * kept as one step or dropped. What was asked is dropped when the setup moves on.
 */
import { ref, shallowRef, watch } from 'vue'
import { api, ask, Refusal, type Suggestion } from '@/api/client'
import type { Units } from '@/edge/units'
import { said } from '@/edge/words'
import type { useSetup } from '@/stores/setup'

/** Stands for the whole boat where a finding's key is asked for. */
export const WHOLE = ''

export function useAdvice(store: ReturnType<typeof useSetup>, units: () => Units) {
  const about = ref<string | null>(null)
  const suggestions = shallowRef<Suggestion[]>([])
  const tried = ref<number | null>(null)
  const looking = ref(false)
  const trouble = ref('')
  const told = ref('')
  let asked = 0

  /** Ask, and show the best at once. */
  async function find(key: string): Promise<void> {
    drop()
    const mine = ++asked
    about.value = key
    looking.value = true
    trouble.value = ''
    try {
      const advice = await ask(
        api.POST('/api/v1/setups/{setup_id}/advice', {
          params: { path: { setup_id: store.kept!.setup_id } },
          body: { finding: key === WHOLE ? null : key, places: [] },
        }),
      )
      if (mine !== asked) return
      suggestions.value = advice.suggestions as Suggestion[]
      told.value = advice.suggestions.length
        ? ''
        : `None of ${advice.looked_at} moves helps without causing something as bad.`
      if (suggestions.value.length) await tryOut(0)
    } catch (error) {
      if (mine === asked)
        trouble.value =
          error instanceof Refusal ? error.problem.detail : 'The server cannot be reached.'
    } finally {
      if (mine === asked) looking.value = false
    }
  }

  async function tryOut(at: number): Promise<void> {
    const one = suggestions.value[at]
    if (!one) return
    tried.value = at
    await store.tryMove(
      one.places.map(({ thing_id, place }) => [thing_id, place]),
      one.seat,
    )
  }

  async function apply(): Promise<void> {
    const one = tried.value === null ? undefined : suggestions.value[tried.value]
    if (one) await store.takeMoves(said(one.words, units()), one.places, one.seat)
  }

  function drop(): void {
    if (tried.value !== null) store.stopTrying()
    forget()
  }

  function forget(): void {
    asked += 1
    about.value = null
    suggestions.value = []
    tried.value = null
    looking.value = false
    told.value = ''
  }

  watch(
    () => [store.kept?.setup_id, store.kept?.revision] as const,
    () => drop(),
  )
  // A drag or a key takes the ghost away; the suggestion is then no longer what is shown.
  watch(
    () => store.triedPlaces,
    (now) => {
      const mine = tried.value === null ? undefined : suggestions.value[tried.value]
      if (mine && !mine.seat && mine.places.some(({ thing_id }) => now.size && !now.has(thing_id)))
        forget()
    },
  )

  return { about, suggestions, tried, looking, trouble, told, find, tryOut, apply, drop }
}
