import { describe, expect, it } from 'vitest'
import { shallowRef } from 'vue'
import type { Figures } from '@/api/client'
import { drawnAt, fromPlanY, fromSideY, fromX, layOut } from './sheet'
import type { Drawn } from './types'
import { useNames } from './useNames'

const lying = (x_m: number) =>
  ({ weight_at: [x_m, 0, 0.3], lift_at: [x_m, 0, 0.1] }) as unknown as Figures['afloat']
const [crate, rod] = [{ id: 1 }, { id: 2 }] as unknown as [Drawn, Drawn]

describe('names on the bench', () => {
  const [seen, afloat, held] = [shallowRef([crate, rod]), shallowRef(lying(1.7)), shallowRef(false)]
  const { named, marked } = useNames({
    seen: () => seen.value,
    afloat: () => afloat.value,
    held: () => held.value,
  })
  it('keep off the marks of balance, which stand still while something is in hand', () => {
    expect(marked.value).toEqual([[1.7, 0, 0.3], [1.7, 0, 0.1]]) // prettier-ignore
    const before = marked.value
    held.value = true
    afloat.value = lying(1.8)
    expect(marked.value).toBe(before)
    held.value = false
    expect(marked.value[0]).toEqual([1.8, 0, 0.3])
    afloat.value = null
    expect(marked.value).toEqual([])
  })
  it('are of the very same things until one of these is another', () => {
    const before = named.value
    seen.value = [crate, rod]
    expect(named.value).toBe(before)
    seen.value = [crate]
    expect(named.value).toEqual([crate])
  })
})

describe('a point of the boat on the sheet', () => {
  it.each(['plan', 'side'] as const)('is read back where it is drawn, in the view %s', (view) => {
    const sheet = layOut(712, 690, -1.8, 1.8)
    const [px, py] = drawnAt(sheet, view, [0.7, 0.2, 0.4])
    expect(fromX(sheet, px)).toBeCloseTo(0.7, 9)
    const across = view === 'plan' ? fromPlanY(sheet, py) : fromSideY(sheet, py)
    expect(across).toBeCloseTo(view === 'plan' ? 0.2 : 0.4, 9)
  })
})
