import { expect, test } from 'vitest'
import { clock, hourOf } from './clock'

test('hours are told by the clock, and past midnight anew', () => {
  expect(clock(13.5)).toBe('13:30')
  expect(clock(25.25)).toBe('1:15')
  expect(clock(6.999)).toBe('7:00')
})

test('what is told is read back', () => {
  for (const hour of [0, 6.25, 13.5, 23.75]) expect(hourOf(clock(hour))).toBe(hour)
  for (const wrong of ['', '7', '25:00', '12:60', 'noon']) expect(hourOf(wrong)).toBeNull()
})
