import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { PAUSE_MS, useTrying } from './trying'

/** Questions are words, those in small letters will do in short; each is answered when told to. */
function questions() {
  const asked: string[] = []
  const taken: string[] = []
  let answer: () => void = () => {}
  const trying = useTrying<string>({
    short: (one) => one === one.toLowerCase(),
    async ask(one, short, wanted) {
      asked.push(short ? one : `${one} in whole`)
      await new Promise<void>((resolve) => (answer = resolve))
      if (wanted()) taken.push(one)
    },
  })
  const settled = () => vi.advanceTimersByTimeAsync(0)
  return { ...trying, asked, taken, answer: () => (answer(), settled()) }
}

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

describe('trying out', () => {
  it('asks one question at a time, and of those that waited the newest alone', async () => {
    const q = questions()
    for (const one of ['a', 'b', 'c']) q.put(one)
    expect(q.asked).toEqual(['a'])
    await q.answer()
    expect(q.asked).toEqual(['a', 'c'])
    await q.answer()
    expect(q.taken).toEqual(['a', 'c'])
  })

  it('asks for the whole answer when the hand pauses, and once', async () => {
    const q = questions()
    q.put('a')
    await q.answer()
    await vi.advanceTimersByTimeAsync(PAUSE_MS - 1)
    expect(q.asked).toEqual(['a'])
    await vi.advanceTimersByTimeAsync(1)
    expect(q.asked).toEqual(['a', 'a in whole'])
    await q.answer()
    await vi.advanceTimersByTimeAsync(10 * PAUSE_MS)
    expect(q.asked).toHaveLength(2)
  })

  it('asks for no whole answer while the hand moves on', async () => {
    const q = questions()
    for (const one of ['a', 'b', 'c', 'd']) {
      q.put(one)
      await q.answer()
      await vi.advanceTimersByTimeAsync(PAUSE_MS - 1)
    }
    expect(q.asked).toEqual(['a', 'b', 'c', 'd'])
  })

  it('asks in whole at once what no short answer will do for', async () => {
    const q = questions()
    q.put('SEAT')
    await q.answer()
    await vi.advanceTimersByTimeAsync(10 * PAUSE_MS)
    expect(q.asked).toEqual(['SEAT in whole'])
  })

  it('takes no answer to what was dropped, and asks nothing that waited', async () => {
    const q = questions()
    q.put('a')
    q.put('b')
    q.drop()
    await q.answer()
    await vi.advanceTimersByTimeAsync(10 * PAUSE_MS)
    expect(q.asked).toEqual(['a'])
    expect(q.taken).toEqual([])
  })

  it('asks what is put after a drop, once the one under way is answered', async () => {
    const q = questions()
    q.put('a')
    q.drop()
    q.put('b')
    await q.answer()
    expect(q.asked).toEqual(['a', 'b'])
    await q.answer()
    expect(q.taken).toEqual(['b'])
  })
})
