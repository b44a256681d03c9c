import { describe, expect, it } from 'vitest'
import { bearing, norm, toward } from './compass'

describe('a direction', () => {
  it.each([
    [0, 0],
    [360, 0],
    [-90, 270],
    [765, 45],
  ])('of %d° is one of %d°', (deg, wanted) => {
    expect(norm(deg)).toBe(wanted)
  })

  it.each([
    [0, '0°\u00a0N'],
    [315, '315°\u00a0NW'],
    [-45, '315°\u00a0NW'],
    [22.4, '22°\u00a0N'],
    [22.6, '23°\u00a0NE'],
    [359.7, '0°\u00a0N'],
  ])('of %d° is said as %s', (deg, said) => {
    expect(bearing(deg)).toBe(said)
  })

  it.each([
    [0, [3, 2]],
    [90, [8, 7]],
    [180, [3, 12]],
    [270, [-2, 7]],
  ])('of %d° points there with north up', (deg, [x, y]) => {
    const [at_x, at_y] = toward(deg, 5, 3, 7)
    expect(at_x).toBeCloseTo(x!, 12)
    expect(at_y).toBeCloseTo(y!, 12)
  })
})
