import { describe, expect, it } from 'vitest'
import type { Target } from '@/api/client'
import { blankPlace, placedAt, stepOf, targetAt, tidy, turnedByKey, withinReachOf } from './places'

const THING = { shape: 'box' } as Parameters<typeof blankPlace>[0]
const PLACE = { ...blankPlace(THING), x_m: 1, y_m: 0.2, turn_deg: 170 }
const press = (key: string, shiftKey = false, altKey = false) => ({ key, shiftKey, altKey })
const TRACK = { kind: 'fitting', name: 'Track', where: 'on' } as const

describe('keys', () => {
  it.each([
    ['ArrowLeft', false, false, [0.01, 0]],
    ['ArrowRight', true, false, [-0.05, 0]],
    ['ArrowUp', false, true, [0, -0.001]],
    ['ArrowDown', false, false, [0, 0.01]],
  ])('%s moves as the keys say', (key, shift, alt, step) => {
    expect(stepOf(press(key, shift, alt))).toEqual(step)
  })
  it('turns to port, and with Shift to starboard', () => {
    expect(turnedByKey(press('r'), PLACE)?.turn_deg).toBe(-175)
    expect(turnedByKey(press('R', true), PLACE)?.turn_deg).toBe(155)
  })
  it('leaves other keys alone', () => {
    expect(stepOf(press('x'))).toBeNull()
    expect(turnedByKey(press('x'), PLACE)).toBeNull()
  })
})

describe('places', () => {
  it('stay within reach of the hull', () => {
    expect(withinReachOf({ ...PLACE, x_m: 9, y_m: -3 }, 3.6)).toMatchObject({ x_m: 4, y_m: -0.9 })
  })
  it('are kept to the millimetre', () => {
    expect(tidy(1.23456)).toBe(1.235)
  })
  it('slide along a track and no further than its end', () => {
    const on = { ...PLACE, on: TRACK }
    expect(placedAt(on, [2, 0.36, 0], [0.2, 0], 2.1, 0.5)).toMatchObject({ x_m: 0.1, y_m: 0 })
    expect(placedAt(on, [2, 0.36, 0], [0.2, 0], 2.9, 0.5)).toMatchObject({ x_m: 0.2, y_m: 0 })
  })
  it('leave a well over its wall, and stand on the deck', () => {
    const inWell = { ...PLACE, on: { ...TRACK, kind: 'well' as const } }
    expect(placedAt(inWell, [0.7, 0, 0], [0.2, 0.1], 0.8, 0).on).toEqual(inWell.on)
    expect(placedAt(inWell, [0.7, 0, 0], [0.2, 0.1], 1.6, 0)).toMatchObject({ on: null, x_m: 1.6 })
  })
  it('are counted along what they are on, however that is turned', () => {
    const quarter = placedAt({ ...PLACE, on: TRACK }, [2, 0, 90], [9, 9], 2, 0.3)
    expect(quarter).toMatchObject({ x_m: 0.3, y_m: 0 })
  })
})

describe('targets', () => {
  const target = (name: string, x_m: number, extent_m: [number, number]): Target =>
    ({ on: { ...TRACK, name }, name, x_m, y_m: 0, turn_deg: 0, extent_m }) as Target
  const all = [target('well', 1, [0.5, 0.3]), target('tube', 1.2, [0.05, 0.05])]
  it('are found under the pointer, the smallest first', () => {
    expect(targetAt(all, 1.21, 0)?.name).toBe('tube')
    expect(targetAt(all, 0.8, 0.2)?.name).toBe('well')
    expect(targetAt(all, 2, 0)).toBeNull()
  })
})
