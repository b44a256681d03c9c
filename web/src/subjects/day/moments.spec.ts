import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/api/client'
import { at, between } from './moments'

type Row = Schemas['HourRow']
/** From six to ten; at eight something happens: a row before it, and one after. */
const rows = [
  { h: 6, total_kg: 100 },
  { h: 8, total_kg: 90 },
  { h: 8, total_kg: 95 },
  { h: 10, total_kg: 85 },
] as unknown as Row[]
const total = (row: Row) => row.total_kg

describe('the day at an hour', () => {
  it('lies straight between the rows on both sides', () => {
    expect(at(rows, 7, total)).toBe(95)
    expect(at(rows, 9.5, total)).toBe(87.5)
  })

  it('is after what happens then, at that very hour', () => {
    expect(at(rows, 8, total)).toBe(95)
  })

  it('is that of the first or last row beyond them', () => {
    expect([at(rows, 3, total), at(rows, 23, total)]).toEqual([100, 85])
    expect(between(rows, 3).share).toBe(0)
  })

  it('is that of the row before where one of both says nothing', () => {
    const read = (row: Row) => (row.h < 9 ? row.total_kg : null)
    expect(at(rows, 9, read)).toBe(95)
    expect(at(rows, 10, read)).toBeNull()
  })
})
