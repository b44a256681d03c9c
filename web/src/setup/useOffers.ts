/** What the log has learned, taken over where its owner says so: each a step that can be undone. */
import type { Schemas, Thing } from '@/api/client'
import { useSetup } from './useSetup'

type Learned = Schemas['Learned']

export function useOffers() {
  const store = useSetup()

  const takeUse = (row: Learned['uses'][number]) => {
    const before = store.things[String(row.thing_id)]
    if (before && row.suggested)
      void store.editThings([[row.thing_id, before, { ...before, use: row.suggested }]])
  }
  const takeDraw = (row: Learned['draws'][number]) => {
    const changed = row.loads.flatMap(({ thing_id, draw }): [number, Thing, Thing][] => {
      const before = store.things[String(thing_id)]
      return before ? [[thing_id, before, { ...before, draw }]] : []
    })
    void store.editThings(changed)
  }
  const takeTrips = (row: Learned['proved'][number]) =>
    void store.putFixing({ mounts: { [row.thing_id]: { trips: row.n } } })
  const leaveAshore = (row: Learned['unused'][number]) => void store.takeAshore(row.thing_id)

  return { takeUse, takeDraw, takeTrips, leaveAshore }
}
