import { describe, expect, it } from 'vitest'
import { useNewRow } from './useNewRow'

const blank = () => ({ what: '', price: 0 })

/** Rows that are answered when they are told to be. */
function added() {
  const waiting: ((kept: boolean) => void)[] = []
  const rows: object[] = []
  const { next, put } = useNewRow(blank, (row) => {
    rows.push(row)
    return new Promise<boolean>((answer) => waiting.push(answer))
  })
  return { next, put, rows, answer: (kept: boolean) => waiting.shift()!(kept) }
}

describe('a new row', () => {
  it('is empty as soon as it is on its way, and what is typed since stays', async () => {
    const { next, put, rows, answer } = added()
    next.what = 'Cart'
    const done = put()
    expect(next).toEqual(blank())
    next.what = 'Net'
    answer(true)
    await done
    expect([rows, next.what]).toEqual([[{ what: 'Cart', price: 0 }], 'Net'])
  })

  it.each([
    ['comes back where it was refused', '', 'Cart'],
    ['goes before what was refused once it is begun', 'Net', 'Net'],
  ])('%s', async (_, since, left) => {
    const { next, put, answer } = added()
    next.what = 'Cart'
    const done = put()
    next.what = since
    answer(false)
    await done
    expect(next.what).toBe(left)
  })
})
