import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import { Offline, Refusal } from '@/api/client'
import { useOutbox, type Call, type Edit, type Held } from './outbox'
import { stubBrowser, type StorageStub } from './browser.stub'

const refusal = (status: number) =>
  new Refusal({
    type: 'about:blank',
    title: 'No',
    status,
    detail: 'the disk is full',
    fields: [{ field: 'x_m', why: 'is 2 now' }],
    current: null,
  } as Refusal['problem'])
const edit = (x_m: number): Call => ({
  edits: [{ what: 'place', id: 7, fields: { x_m }, was: { x_m: 1 } }],
})

/** A tab with a server that answers each change as it is told to, first to last. */
function tab(answers: (Error | null)[] = []) {
  const sent: Held[] = []
  const told: string[] = []
  const scope = effectScope()
  const outbox = scope.run(() =>
    useOutbox({
      done: async (held) => {
        sent.push(held)
        const error = answers.shift()
        if (error) throw error
      },
      refused: (held) => told.push(`refused ${held.label}`),
      overtaken: (held) => told.push(`overtaken ${held.label}`),
      lost: (why) => told.push(why ? why.message : 'there'),
    }),
  )!
  return { ...outbox, sent, told, close: () => scope.stop() }
}
const labels = (some: readonly Held[]) => some.map((one) => one.label)

describe('a change on its way', () => {
  let local: StorageStub
  beforeEach(() => {
    local = stubBrowser()
    vi.useFakeTimers()
  })
  afterEach(() => {
    vi.unstubAllGlobals()
    vi.useRealTimers()
  })

  it('goes out after the one before, and is kept until it was answered', async () => {
    const { put, sent, entries } = tab()
    const both = [put(1, 'first', edit(2)), put(1, 'second', edit(3))]
    expect(JSON.parse(local.rows()[0]!)).toHaveLength(2)
    expect(labels(sent)).toEqual(['first'])
    expect(await Promise.all(both)).toEqual([true, true])
    expect(labels(sent)).toEqual(['first', 'second'])
    expect(entries.value).toEqual([])
    expect(local.rows()).toEqual([])
  })

  it.each([
    ['nobody answers', new Offline('gone'), 'gone'],
    ['the server cannot write', refusal(503), 'the disk is full'],
  ])('is safe here where %s, and goes out again by the same key', async (_, error, why) => {
    const { put, sent, told, entries } = tab([error, error])
    expect(await put(1, 'first', edit(2))).toBe(true)
    expect(told).toEqual([why])
    expect(labels(entries.value)).toEqual(['first'])
    await vi.advanceTimersByTimeAsync(4100)
    expect(told).toEqual([why, why, 'there'])
    expect(new Set(sent.map((one) => one.key)).size).toBe(1)
    expect(entries.value).toEqual([])
  })

  it('is found again after the page was loaded anew', async () => {
    const before = tab([new Offline('gone')])
    await before.put(1, 'first', edit(2))
    before.close()
    const { send, sent, entries } = tab()
    expect(labels(entries.value)).toEqual(['first'])
    await send()
    expect(sent[0]!.key).toBe(before.sent[0]!.key)
    expect(local.rows()).toEqual([])
  })

  it('waits for its owner where others were quicker, while those after it go on', async () => {
    const { put, insist, sent, told, entries, waiting } = tab([refusal(409)])
    const both = [put(1, 'first', edit(2)), put(1, 'second', edit(3))]
    expect(await Promise.all(both)).toEqual([false, true])
    expect(told).toContain('overtaken first')
    expect(waiting.value).toEqual([])
    expect(entries.value).toMatchObject([{ label: 'first', overtaken: [{ why: 'is 2 now' }] }])
    insist(entries.value[0]!.key)
    await vi.advanceTimersByTimeAsync(0)
    expect(sent.at(-1)!.call).toMatchObject({ edits: [{ fields: { x_m: 2 }, was: null }] })
    expect(entries.value).toEqual([])
  })

  it('is let go of where the server said no, and the next goes out', async () => {
    const { put, told, sent, entries } = tab([refusal(422)])
    const both = [put(1, 'first', edit(-2)), put(1, 'second', edit(3))]
    expect(await Promise.all(both)).toEqual([false, true])
    expect(told).toContain('refused first')
    expect(labels(sent)).toEqual(['first', 'second'])
    expect(entries.value).toEqual([])
  })

  it('counts from what stood before the one that was refused', async () => {
    const { put, sent } = tab([refusal(422)])
    const third: Call = {
      edits: [{ what: 'place', id: 7, fields: { x_m: 3 }, was: { x_m: -2 } }],
    }
    await Promise.all([put(1, 'first', edit(-2)), put(1, 'second', third), put(2, 'other', third)])
    expect(sent[1]!.call).toMatchObject({ edits: [{ fields: { x_m: 3 }, was: { x_m: 1 } }] })
    expect(sent[2]!.call).toEqual(third)
  })

  it('makes a row that was refused anew with the first change of it, and changes it by the next', async () => {
    const line = (fields: object | null, was: object | null): Call => ({
      edits: [
        { what: 'setup', fields: { lines: { 7: fields } }, was: { lines: { 7: was } } },
      ] as unknown as Edit[],
    })
    const { put, sent } = tab([refusal(422)])
    await Promise.all([
      put(1, 'new', line({ kind: 'coil', length_m: 99, tied: false }, null)),
      put(1, 'shorter', line({ length_m: 1 }, { length_m: 99 })),
      put(1, 'tied', line({ tied: true }, { tied: false })),
    ])
    expect(sent[1]!.call).toEqual(line({ kind: 'coil', length_m: 1, tied: false }, null))
    expect(sent[2]!.call).toEqual(line({ tied: true }, { tied: false }))
  })
})
