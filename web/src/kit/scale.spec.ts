import { describe, expect, it } from 'vitest'
import { axis, onto } from './scale'

describe('axes', () => {
  it.each([
    [0, 90, [0, 20, 40, 60, 80, 100]],
    [-0.9, 6.1, [-2, 0, 2, 4, 6, 8]],
    [21.2, 21.9, [21.2, 21.4, 21.6, 21.8, 22]],
  ])('from %s to %s has round steps', (low, high, ticks) => {
    expect(axis(low, high).ticks).toEqual(ticks)
  })
  it('holds a single value too', () => {
    const a = axis(3, 3)
    expect(a.high).toBeGreaterThan(a.low)
  })
  it('maps its ends onto the ends', () => {
    const a = axis(0, 10)
    expect([onto(a, 100, 300)(0), onto(a, 100, 300)(10)]).toEqual([100, 300])
  })
})
