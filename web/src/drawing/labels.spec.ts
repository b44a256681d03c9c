import { describe, expect, it } from 'vitest'
import { labelled, widthOf } from './labels'
import { layOut } from './sheet'
import type { Drawn } from './types'

const SHEET = layOut(712, 690, -1.8, 1.8)
const LINE_PX = 11

/** Forty items strewn about the boat, the same each time. */
function strewn(): Drawn[] {
  let seed = 7
  const draw = () => (seed = (seed * 16807) % 2147483647) / 2147483647
  return Array.from({ length: 40 }, (_, id) => ({
    id,
    thing: {
      name: `Item of name ${'x'.repeat(Math.floor(draw() * 12))}`,
      shape: id % 5 ? 'box' : 'pole',
      length_m: 0.1 + draw() * 0.4,
      width_m: 0.05 + draw() * 0.3,
      height_m: 0.2,
    },
    stand: {
      x_m: -1.6 + draw() * 3.2,
      y_m: -0.35 + draw() * 0.7,
      base_z_m: 0.1,
      turn_deg: draw() * 90,
      tilt_deg: 0,
    },
    selected: false,
    ghost: false,
    depth: 0,
    holds: id % 7 ? 0 : 3,
    hidden: false,
  })) as unknown as Drawn[]
}

describe('names on the sheet', () => {
  it.each(['plan', 'side'] as const)('never overlap or are cut, in the view %s', (view) => {
    const things = strewn()
    const found = labelled(SHEET, things, view, true, () => false)
    expect(found.length).toBeGreaterThan(8)
    const whole = new Map(things.map((d) => [d.id, d.thing.name]))
    for (const [i, one] of found.entries()) {
      expect(one.text.startsWith(whole.get(one.id)!)).toBe(true)
      const half = widthOf(one.text) / 2
      expect(one.x - half).toBeGreaterThan(0)
      expect(one.x + half).toBeLessThan(SHEET.width)
      for (const other of found.slice(i + 1)) {
        const aside = Math.abs(one.x - other.x) >= half + widthOf(other.text) / 2
        expect(aside || Math.abs(one.y - other.y) >= LINE_PX).toBe(true)
      }
    }
  })
  it('leave what is marked in the boat free', () => {
    const [seat] = strewn().slice(1, 2) as [Drawn]
    const large = { ...seat, thing: { ...seat.thing, name: 'Seat', length_m: 0.6, width_m: 0.6 } }
    const label = (marks: [number, number][]) =>
      labelled(SHEET, [large], 'plan', true, () => false, marks)[0]!
    const { x, y, leader } = label([])
    expect(leader).toBeNull()
    expect(label([[x + 200, y]])).toMatchObject({ x, y })
    const moved = label([[x, y]])
    expect(moved.leader).not.toBeNull()
    expect(Math.abs(moved.y - y)).toBeGreaterThan(LINE_PX)
  })
  it('says how many lie in something', () => {
    const [one] = labelled(SHEET, strewn().slice(0, 1), 'plan', true, () => false)
    expect(one?.text).toMatch(/, 3 inside$/)
  })
})
