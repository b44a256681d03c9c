import { describe, expect, it } from 'vitest'
import { keelAt, outlineOf, posed, type Place, type Pose } from './scene'

const apart = ([x, y]: Place, [u, v]: Place) => Math.hypot(u - x, v - y)
const near = (found: Place, wanted: Place) => {
  expect(found[0]).toBeCloseTo(wanted[0], 12)
  expect(found[1]).toBeCloseTo(wanted[1], 12)
}
const STERN: Place = [0, 0.1]
const pose = (angle_deg: number, flip = false): Pose => ({
  about: STERN,
  at: [5, 0.7],
  angle_deg,
  flip,
})

describe('a boat on land', () => {
  it('lies with its bow at the left, or at the right where it is turned round', () => {
    near(posed(pose(0))([3.6, 0.1]), [5 - 3.6, 0.7])
    near(posed(pose(0, true))([3.6, 0.1]), [5 + 3.6, 0.7])
  })

  it('stands on its stern where its bow is raised a quarter turn', () => {
    near(posed(pose(90))([3.6, 0.1]), [5, 0.7 + 3.6])
    near(posed(pose(-90))([3.6, 0.1]), [5, 0.7 - 3.6])
  })

  it.each([-40, -3, 0, 12, 75])('keeps its size and what it is turned about, at %d°', (angle) => {
    const places: Place[] = [STERN, [3.6, 0.3], [1.8, 0], [2, 0.45]]
    for (const flip of [false, true]) {
      const to = posed(pose(angle, flip))
      near(to(STERN), [5, 0.7])
      for (const one of places)
        for (const other of places)
          expect(apart(to(one), to(other))).toBeCloseTo(apart(one, other), 12)
    }
  })
})

describe('its outline', () => {
  const rows: [number, number, number][] = [
    [0, 0.05, 0.3],
    [1, 0, 0.25],
    [1, 0.1, 0.25],
    [3, 0.2, 0.4],
  ]

  it('goes round once: along the sheer, and back along the keel', () => {
    const round = outlineOf(rows, { about: [0, 0], at: [0, 0], angle_deg: 0 })
    const heights = [0.3, 0.25, 0.25, 0.4, 0.2, 0.1, 0, 0.05]
    expect(round.map(([, up]) => up)).toEqual(heights)
    expect(round[0]![0]).toBeCloseTo(round.at(-1)![0], 12)
  })

  it.each([
    [0, 0.05],
    [0.5, 0.025],
    [2, 0.15],
    [3, 0.2],
    [-1, 0.05],
    [9, 0.2],
  ])('has its keel %d m from the stern %d m up', (x_m, z_m) => {
    expect(keelAt(rows, x_m)).toBeCloseTo(z_m, 12)
  })
})
