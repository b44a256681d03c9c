import { describe, expect, it } from 'vitest'
import {
  drawnAt,
  fromPlanY,
  fromSideY,
  fromX,
  layOut,
  path,
  planY,
  sideY,
  ticks,
  toX,
} from './sheet'

const sizes: [number, number][] = [
  [690, 720],
  [1280, 900],
  [360, 640],
]

describe.each(sizes)('the sheet of the bench, %d by %d', (width, height) => {
  const sheet = layOut(width, height, 0, 3.6)

  it('shows the whole boat, its bow at the left', () => {
    expect(toX(sheet, 3.6)).toBeGreaterThanOrEqual(0)
    expect(toX(sheet, 0)).toBeLessThanOrEqual(width)
    expect(toX(sheet, 3.6)).toBeLessThan(toX(sheet, 0))
  })

  it('is to scale, the same along, across and up', () => {
    for (const drawn of [toX, planY, sideY])
      expect(Math.abs(drawn(sheet, 1) - drawn(sheet, 0))).toBeCloseTo(sheet.scale, 9)
  })

  it('has its views one under the other', () => {
    const { planTop, planBottom, sideTop, sideBottom, stripTop, stripBottom } = sheet
    const edges = [planTop, planBottom, sideTop, sideBottom, stripTop, stripBottom]
    expect(edges).toEqual([...edges].sort((a, b) => a - b))
    expect(planBottom).toBe(sideTop)
    expect(sideBottom).toBe(stripTop)
    expect(stripBottom).toBe(height)
  })

  it.each([1, 2.5])('finds the place that was drawn, seen %d times as near', (k) => {
    const near = layOut(width, height, 0, 3.6, { k, along: -40, plan: 12, side: -7 })
    const [x, y] = drawnAt(near, 'plan', [1.23, -0.31, 0.4])
    const [, z] = drawnAt(near, 'side', [1.23, -0.31, 0.4])
    expect(fromX(near, x)).toBeCloseTo(1.23, 12)
    expect(fromPlanY(near, y)).toBeCloseTo(-0.31, 12)
    expect(fromSideY(near, z)).toBeCloseTo(0.4, 12)
  })
})

describe('the ruler', () => {
  it('has a mark every 10 cm and a number every half metre', () => {
    const marks = ticks(3.6, false)
    expect(marks).toHaveLength(37)
    expect(marks.at(-1)!.at_m).toBeCloseTo(3.6, 12)
    const named = marks.filter((one) => one.label !== '')
    expect(named.map((one) => one.label)).toEqual([0, 50, 100, 150, 200, 250, 300, 350].map(String))
    expect(named.every((one) => one.long)).toBe(true)
  })

  it('has a mark every half foot and a number every foot', () => {
    const marks = ticks(12 * 0.3048, true)
    expect(marks).toHaveLength(25)
    expect(marks.filter((one) => one.long).map((one) => one.label)).toEqual(
      Array.from({ length: 13 }, (_, feet) => `${feet}′`),
    )
  })
})

it('a line through no points draws nothing', () => {
  expect(path([], true)).toBe('')
  expect(
    path(
      [
        [1, 2],
        [3.04, 4.26],
      ],
      true,
    ),
  ).toBe('M1.0,2.0L3.0,4.3Z')
})
