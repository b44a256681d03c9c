import { describe, expect, it } from 'vitest'
import { number, parse, show, showLong } from './units'

describe('lengths as people type them', () => {
  it.each([
    ['12\'6"', 3.81],
    ['12 ft 6 in', 3.81],
    ['12′ 6″', 3.81],
    ["12'6", 3.81],
    ['381 cm', 3.81],
    ['3.81 m', 3.81],
    ['3,81m', 3.81],
    ['3810mm', 3.81],
    ['150in', 3.81],
  ])('%s is 3.81 m', (text, metres) => {
    expect(parse(text, 'length', 'metric')).toBeCloseTo(metres, 9)
  })

  it('takes a bare number in the units on screen', () => {
    expect(parse('10', 'length', 'metric')).toBeCloseTo(0.1)
    expect(parse('10', 'length', 'imperial')).toBeCloseTo(0.254)
    expect(parse('-4.5', 'length', 'metric')).toBeCloseTo(-0.045)
  })

  it.each(['', 'abc', '12 parsecs', '6 in 12 ft', '12 kg', '1 2', '3 cm 4', '1e400'])(
    'refuses %s',
    (text) => {
      expect(parse(text, 'length', 'metric')).toBeNull()
    },
  )
})

describe('weights', () => {
  it('adds pounds and ounces', () => {
    expect(parse('1 lb 8 oz', 'mass', 'metric')).toBeCloseTo(1.5 * 0.45359237)
    expect(parse('2', 'mass', 'imperial')).toBeCloseTo(2 * 0.45359237)
    expect(parse('850 g', 'mass', 'imperial')).toBeCloseTo(0.85)
  })
})

describe('showing', () => {
  it('never shows a minus on zero', () => {
    expect(number(-0.0001, 'length', 'metric')).toBe('0.0')
  })
  it('carries inches past twelve into feet', () => {
    expect(showLong(3.6575, 'imperial')).toBe('12′\u00a00″')
  })
  it('reads back what it shows', () => {
    for (const units of ['metric', 'imperial'] as const)
      expect(parse(show(1.234, 'length', units, 3), 'length', units)).toBeCloseTo(1.234, 4)
  })
})
