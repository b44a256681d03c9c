import { describe, expect, it } from 'vitest'
import type { Thing } from '@/api/client'
import { USUAL } from '@/api/words'
import { PICTURES, partsOf, pictureOf } from '.'

const BOX = { shape: 'box', kind: 'other', serves: [], picture: null } as unknown as Thing
const spots = (d: string): [number, number][] => {
  // Absolute spots alone: relative steps are counted from them.
  return [...d.matchAll(/[MLQ ]?(-?\d+(?:\.\d+)?),(-?\d+(?:\.\d+)?)/g)]
    .filter((one) => /^[ML]/.test(one[0]))
    .map((one) => [Number(one[1]), Number(one[2])])
}

describe('pictures of gear', () => {
  it.each(PICTURES)(
    '%s is drawn from above and the side, outline first, within its size',
    (name) => {
      for (const view of ['plan', 'side'] as const)
        for (const [l, w, h] of [
          [40, 30, 20],
          [6, 22, 15],
          [4, 4, 60],
        ] as const) {
          const parts = partsOf({ ...BOX, picture: name }, view, { l, w, h })
          expect(parts.length).toBeGreaterThan(0)
          for (const { d } of parts) {
            expect(d).not.toMatch(/NaN|undefined|Infinity/)
            for (const [x, y] of spots(d)) {
              expect(Math.abs(x)).toBeLessThanOrEqual(l / 2 + 0.5)
              if (view === 'plan') expect(Math.abs(y)).toBeLessThanOrEqual(w / 2 + 0.5)
              else expect(y).toBeLessThanOrEqual(h * 1.15 + 0.5)
            }
          }
        }
    },
  )
  it('is what its owner says, else what it is and does', () => {
    const is = (more: Partial<Thing>) => pictureOf({ ...BOX, ...more })
    expect(is({ picture: 'net', rod: { reel: 'none' } })).toBe('net')
    expect(is({ rod: { reel: 'none' } })).toBe('rod')
    expect(is({ anchor: { ...USUAL.Anchor, by: 'pole' } })).toBe('pole')
    expect(is({ serves: ['PFD'] })).toBe('vest')
    expect(is({ container: { opens: 'open' } })).toBe('crate')
    expect(is({})).toBe('plain')
  })
})
