import { describe, expect, it } from 'vitest'
import type { Finding } from '@/api/client'
import { againstLimit, said, told } from './words'

const finding = (change: Partial<Finding>): Finding => ({
  key: 'x',
  code: 'x',
  topic: 'level',
  verdict: 'watch',
  title: { text: '', amounts: [] },
  thing_id: null,
  other_id: null,
  where: 'The whole boat',
  at: null,
  figure: null,
  band: null,
  limit: null,
  limit_key: null,
  why: '',
  clear: { text: '', amounts: [] },
  caution: '',
  badness: 1,
  accepted: null,
  accepted_on: null,
  returned: false,
  ...change,
})

describe('words with amounts', () => {
  it('puts each amount in its place and in the units of the reader', () => {
    const words = {
      text: '{} stands {} over the gunwale',
      amounts: [
        { kind: 'mass' as const, value: 5 },
        { kind: 'length' as const, value: 0.254 },
      ],
    }
    expect(said(words, 'metric')).toBe('5.0\u00a0kg stands 25.4\u00a0cm over the gunwale')
    expect(said(words, 'imperial')).toBe('11.0\u00a0lb stands 10.0\u00a0in over the gunwale')
  })

  it('tells a round angle as a round number, a count and a price bare, and warmth in degrees', () => {
    const one = (kind: 'angle' | 'count' | 'price' | 'warmth', value: number) =>
      said({ text: '{}', amounts: [{ kind, value }] }, 'metric')
    expect(one('angle', 90)).toBe('90°')
    expect(one('angle', 1.12)).toBe('1.1°')
    expect(one('count', 3)).toBe('3')
    expect(one('price', 287)).toBe('287')
    expect(one('warmth', 12)).toBe('12\u00a0°C')
    expect(said({ text: '{}', amounts: [{ kind: 'warmth', value: 10 }] }, 'imperial')).toBe(
      '50\u00a0°F',
    )
  })

  it('leaves words without amounts alone, and a missing amount empty', () => {
    expect(said({ text: 'put on PFD', amounts: [] }, 'metric')).toBe('put on PFD')
    expect(told('{} and {}', [{ kind: 'mass', value: 1 }], 'metric')).toBe('1.0\u00a0kg and ')
  })
})

describe('a figure against its limit', () => {
  it('has the band and the limit where they are known', () => {
    const full = finding({
      figure: { kind: 'angle', value: 1.12 },
      band: 0.52,
      limit: { kind: 'angle', value: 0.7 },
    })
    expect(againstLimit(full, 'metric')).toBe('1.1° ±\u00a00.5°, limit 0.7°')
    expect(againstLimit({ ...full, band: null }, 'metric')).toBe('1.1°, limit 0.7°')
    expect(againstLimit({ ...full, limit: null, band: 0 }, 'metric')).toBe('1.1°')
  })

  it('has a true minus, and nothing where there is no figure', () => {
    const gap = finding({ figure: { kind: 'length', value: -0.038 } })
    expect(againstLimit(gap, 'metric')).toBe('−3.8\u00a0cm')
    expect(againstLimit(finding({}), 'metric')).toBe('')
  })

  it('turns with the units', () => {
    const share = finding({
      figure: { kind: 'ratio', value: 0.828 },
      limit: { kind: 'ratio', value: 0.6 },
    })
    expect(againstLimit(share, 'imperial')).toBe('83\u00a0%, limit 60\u00a0%')
  })
})
