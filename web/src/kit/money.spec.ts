import { expect, test } from 'vitest'
import { readMoney, showMoney } from './money'

test('money is read to its last hundredth, and no fraction of one', () => {
  expect(readMoney('120')).toBe(12000)
  expect(readMoney(' 120,5 ')).toBe(12050)
  expect(readMoney('0.07')).toBe(7)
  for (const wrong of ['', '-3', '1.234', '12a', '1e3']) expect(readMoney(wrong)).toBeNull()
})

test('what is shown is read back as the same', () => {
  for (const minor of [0, 7, 100, 12050, 999999999]) {
    expect(readMoney(showMoney(minor))).toBe(minor)
  }
  expect(showMoney(12050, 'cr')).toBe('120.50\u00a0cr')
  expect(showMoney(null)).toBe('—')
})
