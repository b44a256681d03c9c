/**
 * A way out of a finding, or for the whole boat: asked for, tried on the bench as a ghost, and
 * kept as one step or dropped. What was asked is dropped when the setup moves on.
 */
import { computed, ref, watch } from 'vue'
import { api, ask, type Schemas, type Suggestion } from '@/api/client'
import { useAsked } from '@/kit/useAsked'
import type { Units } from '@/kit/units'
import { said } from '@/kit/words'
import type { useSetup } from '@/setup/useSetup'
import { useStanding } from './useStanding'

type Advice = Schemas['Advice']

/** Stands for the whole boat where a finding's key is asked for. */
export const WHOLE = ''

export function useAdvice(store: ReturnType<typeof useSetup>, units: () => Units) {
  const about = ref<string | null>(null)
  const asked = useAsked<Advice>()
  const standing = useStanding()
  const { busy: looking, trouble } = asked
  const suggestions = computed(() => (asked.answer.value?.suggestions ?? []) as Suggestion[])
  const told = computed(() => {
    const advice = asked.answer.value
    return !advice || advice.suggestions.length
      ? ''
      : `None of the ${advice.looked_at} moves tried helps without causing something as bad.`
  })
  const tried = ref<number | null>(null)

  /** Ask, and show the best at once. */
  async function find(key: string): Promise<void> {
    drop()
    about.value = key
    const { setup_id } = store.kept!
    const { name, signal } = standing.begin(setup_id)
    const answered = await asked.put(
      () =>
        ask(
          api.POST('/api/v1/setups/{setup_id}/advice', {
            params: { path: { setup_id }, query: { name } },
            body: { finding: key === WHOLE ? null : key, places: [] },
            signal,
          }),
        ) as Promise<Advice>,
    )
    if (about.value === key && !looking.value) standing.hangUp()
    if (answered && suggestions.value.length) await tryOut(0)
  }

  async function tryOut(at: number): Promise<void> {
    const one = suggestions.value[at]
    if (!one) return
    tried.value = at
    await store.tryMove(
      one.places.map(({ thing_id, place }) => [thing_id, place]),
      one.seat,
      one.fields,
    )
  }

  async function apply(): Promise<void> {
    const one = tried.value === null ? undefined : suggestions.value[tried.value]
    if (one) await store.takeMoves(said(one.words, units()), one.places, one.seat, one.fields)
  }

  function drop(): void {
    if (tried.value !== null) store.stopTrying()
    forget()
  }

  function forget(): void {
    standing.hangUp()
    asked.forget()
    about.value = null
    tried.value = null
  }

  watch(
    () => store.kept,
    () => drop(),
  )
  // A drag or a key takes the ghost away; the suggestion is then no longer what is shown.
  watch(
    () => store.triedPlaces,
    (now) => {
      const mine = tried.value === null ? undefined : suggestions.value[tried.value]
      if (
        mine?.places.length &&
        !mine.seat &&
        mine.places.some(({ thing_id }) => now.size && !now.has(thing_id))
      )
        forget()
    },
  )

  return {
    about,
    suggestions,
    tried,
    looking,
    waiting: standing.words,
    trouble,
    told,
    find,
    tryOut,
    apply,
    drop,
  }
}
