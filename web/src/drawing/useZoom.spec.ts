import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { fromPlanY, fromSideY, fromX, layOut } from './sheet'
import { useZoom } from './useZoom'

const zoomed = () => useZoom(ref(layOut(700, 690, -1.8, 1.8)), ref([-1.8, 1.8] as const))

describe('looking nearer', () => {
  it.each([
    [220, 200],
    [500, 420],
  ])('about a spot leaves that spot of the boat where it is', (px, py) => {
    const { sheet, about, percent } = zoomed()
    const inPlan = py < sheet.value.planBottom
    const at = () => [
      fromX(sheet.value, px),
      inPlan ? fromPlanY(sheet.value, py) : fromSideY(sheet.value, py),
    ]
    const before = at()
    about(1.7, px, py)
    about(1.3, px, py)
    expect(percent.value).toBe(221)
    at().forEach((one, i) => expect(one).toBeCloseTo(before[i]!, 6))
  })
  it('goes back to the whole boat, and no farther', () => {
    const { sheet, about, farther, full, pan } = zoomed()
    const bare = { ...sheet.value }
    about(3, 100, 100)
    pan(40, -20, 'side')
    expect(sheet.value.left).not.toBe(bare.left)
    full()
    expect(sheet.value).toEqual(bare)
    farther()
    pan(40, -20, 'plan')
    expect(sheet.value).toEqual(bare)
  })
  it('fits a spot into the middle', () => {
    const { sheet, fit } = zoomed()
    fit(-1.2, 0.2, 0.3, 0.3)
    const s = sheet.value
    expect(fromX(s, s.width / 2)).toBeCloseTo(-1.2, 6)
    expect(fromPlanY(s, (s.planTop + s.planBottom) / 2)).toBeCloseTo(0.2, 2)
    expect(fromSideY(s, (s.sideTop + s.sideBottom) / 2)).toBeCloseTo(0.3, 6)
  })
})
