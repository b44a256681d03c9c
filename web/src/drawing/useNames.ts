/** What has a name on the sheet, and the marks that names keep off; both stay while something is in hand. */
import { computed } from 'vue'
import type { Figures } from '@/api/client'
import type { Spot } from './sheet'
import type { Drawn } from './types'

interface Named {
  /** what is seen, but for what goes with the hand */
  seen: () => Drawn[]
  /** how the boat lies, where weight and lift are marked */
  afloat: () => Figures['afloat']
  held: () => boolean
}

export function useNames({ seen, afloat, held }: Named) {
  const named = computed<Drawn[]>((before) => {
    const now = seen()
    return before?.length === now.length && now.every((one, i) => one === before[i]) ? before : now
  })
  const marked = computed<readonly Spot[]>((before) => {
    if (held() && before) return before
    const lies = afloat()
    return lies ? [lies.weight_at, lies.lift_at] : []
  })
  return { named, marked }
}
