/** What the sheet is given to draw: what stands aboard, and where it stood that is being tried. */
import { computed, type ComputedRef, type Ref } from 'vue'
import type { Aboard } from '@/api/client'
import { looksInside } from '@/drawing/insides'
import { rowsById, stands, type Stand } from '@/drawing/stands'
import type { Drawn, Looks } from '@/drawing/types'
import { sharing } from '@/kit/sharing'
import type { useSetup } from '@/setup/useSetup'

const standing = ({ x_m, y_m, base_z_m, turn_deg, tilt_deg }: Stand): Stand => ({
  x_m,
  y_m,
  base_z_m,
  turn_deg,
  tilt_deg,
})
const looking = ({ zone, misfit, reel, reel_at_m }: Aboard): Looks => ({
  zone,
  misfit,
  reel,
  reel_at_m,
})

export function useDrawn(
  store: ReturnType<typeof useSetup>,
  rowOf: Ref<ReadonlyMap<number, Aboard>>,
  selected: Ref<number | null>,
  marked: ComputedRef<Set<number>>,
) {
  const keptRowOf = computed(() => rowsById(store.kept?.figures))
  const inside = computed(() =>
    looksInside(
      store.places,
      store.things,
      store.kept?.setup.boat.fittings ?? [],
      [selected.value, ...marked.value].filter((id) => id !== null),
    ),
  )
  // What stands as it did is the same object, so that only what moved is drawn again.
  const drawn = computed<Drawn[]>((before) => {
    const known = new Map(before?.map((one) => [one.id, one]))
    const where = stands(store.places, rowOf.value, store.triedPlaces, store.triedFrames)
    return [...where].flatMap(([id, stand]) => {
      const thing = store.things[String(id)]
      const row = rowOf.value.get(id)
      if (!thing) return []
      const now: Drawn = {
        id,
        thing,
        stand: standing(stand),
        aboard: row && looking(row),
        selected: id === selected.value || marked.value.has(id),
        ghost: false,
        moving: stand !== row, // as it stands it is drawn where the core has it
        depth: row?.depth ?? 9,
        ...inside.value(id),
      }
      return [sharing(known.get(id), now)]
    })
  })
  const ghosts = computed<Drawn[]>(() =>
    [...store.triedPlaces.keys()].flatMap((id) => {
      const aboard = keptRowOf.value.get(id)
      const thing = store.things[String(id)]
      if (!aboard || !thing) return []
      const one = { id, thing, stand: aboard, aboard, selected: false, ghost: true, depth: 0 }
      return [{ ...one, holds: 0, hidden: false }]
    }),
  )
  return { drawn, ghosts }
}
