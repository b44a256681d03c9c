import { describe, expect, it } from 'vitest'
import { sharing } from './sharing'

const answer = () => ({
  rows: [
    { id: 1, at: [1, 2] },
    { id: 2, at: [3, 4] },
  ],
  none: null,
  n: 1,
})

describe('an answer that shares with the one before', () => {
  it('is the one before where nothing changed', () => {
    const before = answer()
    expect(sharing(before, answer())).toBe(before)
  })

  it('keeps every part that is equal, and is equal to the new one', () => {
    const before = answer()
    const now = answer()
    now.rows[1]!.at[0] = 9
    const shared = sharing(before, structuredClone(now))
    expect(shared).toEqual(now)
    expect(shared.rows[0]).toBe(before.rows[0])
    expect(shared.rows[1]).not.toBe(before.rows[1])
    expect(before).toEqual(answer())
  })

  it.each([
    [[1, 2], [1]],
    [[1], { 0: 1 }],
    [{ a: undefined }, { b: undefined }],
    [null, {}],
    [{ a: 1 }, { a: 1, b: 2 }],
    [{ a: { b: 1 } }, { a: null }],
  ])('%j does not pass for %j', (before, now) => {
    const shared = sharing<unknown>(before, structuredClone(now))
    expect(shared).toEqual(now)
    expect(shared).not.toBe(before)
  })
})
