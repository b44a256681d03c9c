import { describe, expect, it } from 'vitest'
import type { Aboard, Place } from '@/api/client'
import { gone, into, outOf, stands, type Frame } from './stands'

const row = (more: Partial<Aboard>): Aboard =>
  ({ x_m: 0, y_m: 0, base_z_m: 0, turn_deg: 0, tilt_deg: 0, holder_id: null, ...more }) as Aboard
const at = (more: Partial<Place>): Place =>
  ({ x_m: 0, y_m: 0, z_m: null, turn_deg: 0, tilt_deg: 0, on: null, bury_m: 0, ...more }) as Place

describe('frames', () => {
  it('are left and entered again', () => {
    const frame: Frame = [1.2, -0.3, 35]
    const [x, y] = outOf(frame, 0.4, 0.1)
    const [a, b] = into(frame, x, y)
    expect(a).toBeCloseTo(0.4, 12)
    expect(b).toBeCloseTo(0.1, 12)
  })
})

describe('a crate in hand', () => {
  const rows = new Map([
    [1, row({ x_m: 1 })],
    [2, row({ x_m: 1.1, base_z_m: 0.2, holder_id: 1 })],
    [3, row({ x_m: 2 })],
  ])
  const places = new Map([1, 2, 3].map((id) => [id, at({})]))
  const moved = stands(places, rows, new Map([[1, at({ x_m: 0.5, turn_deg: 90 })]]), new Map())
  it('is drawn where it is held', () => {
    expect(moved.get(1)).toMatchObject({ x_m: 0.5, turn_deg: 90 })
  })
  it('takes along what it holds, turned with it', () => {
    const inside = moved.get(2)!
    expect(inside.x_m).toBeCloseTo(0.5, 12)
    expect(inside.y_m).toBeCloseTo(0.1, 12)
    expect(inside.base_z_m).toBe(0.2)
  })
  it('leaves all else where it is', () => {
    expect(moved.get(3)).toBe(rows.get(3))
  })
  it('has gone as far as the hand since it was drawn, whatever it is counted from', () => {
    const [drawn, now] = [{ place: at({ x_m: 0.5 }) }, { place: at({ x_m: 0.8, z_m: 0.3 }) }]
    const turned: Frame = [0, 0, 90]
    expect(gone(drawn, now, rows.get(1))).toEqual([expect.closeTo(0.3, 12), 0, 0.3])
    const [x, y, z] = gone(drawn, { ...now, frame: turned }, rows.get(1))
    expect([x, y, z]).toEqual([expect.closeTo(-0.5, 12), expect.closeTo(0.8, 12), 0.3])
  })
})
