import { describe, expect, it } from 'vitest'
import { movedByKey, tidy, withinReachOf } from './places'

const PLACE = { x_m: 1, y_m: 0.2, z_m: null, turn_deg: 170, tilt_deg: 0 }
const press = (key: string, shiftKey = false, altKey = false) =>
  movedByKey({ key, shiftKey, altKey }, PLACE)

describe('keys', () => {
  it.each([
    ['ArrowLeft', false, false, { x_m: 1.01 }],
    ['ArrowRight', true, false, { x_m: 0.95 }],
    ['ArrowUp', false, true, { y_m: 0.199 }],
    ['ArrowDown', false, false, { y_m: 0.21 }],
    ['m', false, false, { y_m: -0.2, turn_deg: -170 }],
    ['r', false, false, { turn_deg: -175 }],
    ['R', true, false, { turn_deg: 155 }],
  ])('%s moves as the keys say', (key, shift, alt, change) => {
    expect(press(key, shift, alt)).toEqual({ ...PLACE, ...change })
  })
  it('leaves other keys alone', () => {
    expect(press('x')).toBeNull()
  })
})

describe('places', () => {
  it('stay within reach of the hull', () => {
    expect(withinReachOf({ ...PLACE, x_m: 9, y_m: -3 }, 3.6)).toMatchObject({ x_m: 4, y_m: -0.9 })
  })
  it('are kept to the millimetre', () => {
    expect(tidy(1.23456)).toBe(1.235)
  })
})
