/** What can be done on the bench to what is chosen; each is one step of the history. */
import { shallowRef, watch, type ComputedRef, type Ref } from 'vue'
import { api, ask, type Aboard, type Between, type Place } from '@/api/client'
import type { ChosenAct } from './ChosenPanel.vue'
import type { useSetup } from '@/setup/useSetup'
import { useAsked } from '@/kit/useAsked'

interface Bench {
  store: ReturnType<typeof useSetup>
  selected: Ref<number | null>
  marked: ComputedRef<Set<number>>
  /** keep what the keys have moved so far */
  settle: () => void
  rowOf: () => ReadonlyMap<number, Aboard>
  clear: () => void
}

export function useBenchActs({ store, selected, marked, settle, rowOf, clear }: Bench) {
  const between = useAsked<Between>()
  const pair = shallowRef<readonly [number, number] | null>(null)

  const chosen = (): number[] =>
    marked.value.size > 1 ? [...marked.value] : selected.value === null ? [] : [selected.value]

  function ashore(ids: number[]): void {
    const aboard = ids.filter((id) => store.keptPlace(id))
    if (aboard.length === 1) void store.takeAshore(aboard[0]!)
    else if (aboard.length)
      void store.putPlaces(
        'Take ashore',
        aboard.map((id) => [id, null]),
      )
    clear()
  }

  /** Change a flag of what is chosen, all the same way. */
  function flag(
    verbs: ['Lock', 'Unlock'] | ['Group', 'Ungroup'],
    on: (place: Place) => boolean,
    to: (place: Place, set: boolean) => Place,
  ): void {
    const ids = chosen()
    const set = !ids.every((id) => on(store.places.get(id)!))
    void store.putPlaces(
      set ? verbs[0] : verbs[1],
      ids.map((id) => [id, to(store.places.get(id)!, set)]),
    )
  }

  function measure(): void {
    const [one, other] = chosen()
    if (one !== undefined && other !== undefined) pair.value = [one, other]
  }

  // Measured until others are chosen: again whenever the boat has changed, a save on its way too.
  watch(selected, () => (pair.value = null))
  watch([pair, () => store.kept?.revision], ([two]) => {
    if (two === null) return between.forget()
    const path = { setup_id: store.kept!.setup_id, thing_id: two[0], other_id: two[1] }
    void between.put(
      () =>
        ask(
          api.GET('/api/v1/setups/{setup_id}/between/{thing_id}/{other_id}', { params: { path } }),
        ) as Promise<Between>,
    )
  })

  /** In a container, let the chosen thing come out one place sooner or later. */
  function reorder(by: 1 | -1): void {
    const id = selected.value
    const box = id === null ? null : rowOf().get(id)?.holder_id
    if (id === null || box == null) return
    const among = store
      .figures!.aboard.filter((row) => row.holder_id === box)
      .map((r) => r.thing_id)
    const at = among.indexOf(id)
    const swapped = [...among]
    swapped.splice(at, 1)
    swapped.splice(at + by, 0, id)
    void store.putPlaces(
      'Reorder',
      swapped.map((one, order) => [one, { ...store.places.get(one)!, order }]),
    )
  }

  /** Do it to what is chosen, or to these. */
  function act(what: ChosenAct, ids: number[] = chosen()): void {
    if (!ids.length) return
    settle()
    if (what === 'ashore') ashore(ids)
    else if (what === 'duplicate') void store.duplicate(ids)
    else if (what === 'measure') measure()
    else if (what === 'earlier') reorder(-1)
    else if (what === 'later') reorder(1)
    else if (what === 'lock')
      flag(
        ['Lock', 'Unlock'],
        (p) => p.locked,
        (p, locked) => ({ ...p, locked }),
      )
    else if (what === 'group') {
      const next = 1 + Math.max(0, ...[...store.places.values()].map((p) => p.group))
      flag(
        ['Group', 'Ungroup'],
        (p) => p.group > 0,
        (p, set) => ({ ...p, group: set ? next : 0 }),
      )
    } else void store.lineUp(what, ids)
  }

  return { act, between: between.answer, chosen }
}
