import { describe, expect, it, vi } from 'vitest'
import { Offline } from '@/api/client'
import { AGAIN_MS, useAsked } from './useAsked'

/** A question that is answered when it is told to be. */
function question<T>(): { ask: () => Promise<T>; answer: (value: T) => void } {
  let answer: (value: T) => void = () => {}
  const waiting = new Promise<T>((resolve) => (answer = resolve))
  return { ask: () => waiting, answer: (value) => answer(value) }
}

describe('asking', () => {
  it('lets the older of two answers never come last', async () => {
    const asked = useAsked<string>()
    const [first, second] = [question<string>(), question<string>()]
    const older = asked.put(first.ask)
    const newer = asked.put(second.ask)
    second.answer('new')
    expect(await newer).toBe(true)
    first.answer('old')
    expect(await older).toBe(false)
    expect(asked.answer.value).toBe('new')
    expect(asked.busy.value).toBe(false)
  })

  it('lets no answer come after it was forgotten', async () => {
    const asked = useAsked<string>()
    const one = question<string>()
    const done = asked.put(one.ask)
    asked.forget()
    one.answer('late')
    expect(await done).toBe(false)
    expect(asked.answer.value).toBeNull()
  })

  it('says what kept it from being answered, and keeps the answer before', async () => {
    const asked = useAsked<string>()
    await asked.put(async () => 'known')
    await asked.put(async () => {
      throw new Offline('gone')
    })
    expect([asked.answer.value, asked.trouble.value]).toEqual(['known', 'gone'])
  })

  it('is put again where nobody answered, until somebody does or it is forgotten', async () => {
    vi.useFakeTimers()
    const asked = useAsked<string>()
    let gone = 2
    const question = vi.fn(async () => {
      if (gone-- > 0) throw new Offline('gone')
      return 'there'
    })
    await asked.put(question)
    await vi.advanceTimersByTimeAsync(2 * AGAIN_MS)
    expect([asked.answer.value, asked.trouble.value]).toEqual(['there', ''])
    await vi.advanceTimersByTimeAsync(2 * AGAIN_MS)
    expect(question).toHaveBeenCalledTimes(3)
    gone = 9
    await asked.put(question)
    asked.forget()
    await vi.advanceTimersByTimeAsync(2 * AGAIN_MS)
    expect(question).toHaveBeenCalledTimes(4)
    vi.useRealTimers()
  })
})
