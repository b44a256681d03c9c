import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Offline, Refusal } from './client'
import { askRounds } from './rounds'

interface Round {
  done: number
}

/** A server that says what it is told to; who hangs up has every part of the answer end at once. */
function server() {
  const bodies: ReadableStreamDefaultController<Uint8Array>[] = []
  const seen: { headers: Headers; begin: (status: number) => void; fail: () => void }[] = []
  vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
    const signal = init.signal!
    return new Promise<Response>((answer, reject) => {
      const stream = new ReadableStream<Uint8Array>({ start: (body) => void bodies.push(body) })
      signal.addEventListener('abort', () => {
        bodies[0]!.error(signal.reason)
        reject(signal.reason as Error)
      })
      seen.push({
        headers: new Headers(init.headers),
        begin: (status) => answer(new Response(stream, { status })),
        fail: () => reject(new TypeError('no network')),
      })
    })
  })
  return {
    begins: (status: number) => seen[0]!.begin(status),
    fails: () => seen[0]!.fail(),
    says: (text: string) => bodies[0]!.enqueue(new TextEncoder().encode(text)),
    ends: () => bodies[0]!.close(),
    breaks: () => bodies[0]!.error(new TypeError('broken')),
    units: () => seen[0]!.headers.get('Neat-Units'),
  }
}

/** Everything that was said has been heard. */
const heard = () => new Promise((resolve) => setTimeout(resolve))

describe('an answer in rounds', () => {
  let there: ReturnType<typeof server>
  let asking: AbortController
  let rounds: Round[]
  const ask = () =>
    askRounds<Round>('/rounds', asking.signal, (round) => {
      rounds.push(round)
    })

  beforeEach(() => {
    vi.stubGlobal('localStorage', { getItem: () => 'imperial' })
    there = server()
    asking = new AbortController()
    rounds = []
  })
  afterEach(() => {
    vi.unstubAllGlobals()
  })

  it('is told round by round, however it is cut, and ends with the last', async () => {
    const answer = ask()
    there.begins(200)
    there.says('{"done":1}\n{"do')
    await heard()
    expect(rounds).toEqual([{ done: 1 }])
    there.says('ne":2}\n')
    there.ends()
    expect(await answer).toEqual({ done: 2 })
    expect(rounds).toEqual([{ done: 1 }, { done: 2 }])
  })

  it.each([
    ['before anybody answers', null, ''],
    ['between two rounds', 200, '{"done":1}\n'],
    ['while a refusal is read', 409, '{"detail":"no day'],
  ])('is nothing where the asker hangs up %s', async (_, status, part) => {
    const answer = ask()
    if (status !== null) {
      there.begins(status)
      there.says(part)
    }
    await heard()
    asking.abort()
    expect(await answer).toBeNull()
  })

  it.each([
    ['in the words of the server', 422, '{"detail":"No day."}', 'No day.'],
    ['also where what it says cannot be read', 500, '<html>', 'The server answered 500.'],
  ])('is a refusal %s', async (_, status, said, told) => {
    const answer = ask()
    there.begins(status)
    there.says(said)
    there.ends()
    const refusal: unknown = await answer.catch((error: unknown) => error)
    expect(refusal).toBeInstanceOf(Refusal)
    expect((refusal as Refusal).message).toBe(told)
  })

  it('is asked for in the units of the reader', async () => {
    const answer = ask()
    expect(there.units()).toBe('imperial')
    asking.abort()
    await answer
  })

  it('is nobody there where nothing answers, or the connection breaks', async () => {
    const unheard = ask()
    there.fails()
    await expect(unheard).rejects.toThrow(Offline)
    there = server()
    const broken = ask()
    there.begins(200)
    there.says('{"done":1}\n')
    await heard()
    there.breaks()
    await expect(broken).rejects.toThrow(Offline)
    expect(rounds).toEqual([{ done: 1 }])
  })
})
