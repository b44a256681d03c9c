import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { at, opened, state, type ServerStub } from './server.stub'
import type { useSetup } from './useSetup'

const trim = (store: ReturnType<typeof useSetup>) => store.figures?.afloat?.trim_deg

describe('the open setup', () => {
  let there: ServerStub
  let store: ReturnType<typeof useSetup>

  beforeEach(async () => {
    vi.useFakeTimers()
    ;({ there, store } = await opened())
  })
  afterEach(() => {
    vi.unstubAllGlobals()
    vi.useRealTimers()
  })

  it('shows a thing where it is tried, with the figures of that', async () => {
    store.tryPlaces([[7, at(2)]])
    expect(store.places.get(7)?.x_m).toBe(2)
    expect(trim(store)).toBe(1)
    expect(await there.answers({ afloat: { trim_deg: 2 } })).toMatch(/preview\/quick$/)
    expect(trim(store)).toBe(2)
    expect(store.before?.afloat?.trim_deg).toBe(1)
    expect(store.keptPlace(7)?.x_m).toBe(1)
  })

  it('takes no answer to a trial that was dropped', async () => {
    store.tryPlaces([[7, at(2)]])
    store.stopTrying()
    await there.answers({ afloat: { trim_deg: 2 } })
    expect(store.tried).toBeNull()
    expect(trim(store)).toBe(1)
  })

  it('stands as it was changed before that is confirmed, and the trial ends with it', async () => {
    store.tryPlaces([[7, at(2)]])
    await there.answers({ afloat: { trim_deg: 2 } })
    const done = store.put(7, at(2))
    expect(store.keptPlace(7)?.x_m).toBe(2)
    expect(store.saving).toBe(1)
    expect(await there.answers(state(2, 2))).toBe('PATCH /api/v1/setups/1')
    expect(await done).toBe(true)
    expect([store.tried, store.triedPlaces.size, store.saving]).toEqual([null, 0, 0])
    expect(trim(store)).toBe(2)
  })

  it('goes on with a trial that was begun since a change went out', async () => {
    store.tryPlaces([[7, at(2)]])
    await there.answers({ afloat: { trim_deg: 2 } })
    void store.put(7, at(2))
    store.tryPlaces([[7, at(3)]])
    await there.answers(state(2, 2))
    expect(store.places.get(7)?.x_m).toBe(3)
    expect(store.keptPlace(7)?.x_m).toBe(2)
  })

  it('lets the hand go before what was suggested', async () => {
    void store.tryMove([[7, at(5)]], null)
    await there.answers({ figures: { afloat: { trim_deg: 5 } }, drawing: null })
    expect([store.places.get(7)?.x_m, trim(store)]).toEqual([5, 5])
    store.tryPlaces([[8, at(4)]])
    expect([...store.triedPlaces.keys()]).toEqual([8])
    expect(store.places.get(7)?.x_m).toBe(1)
  })

  it('tries what was suggested of a section with all else that stands in it', async () => {
    void store.tryMove([], null, { safety: { plug: { spare: true } } })
    expect(await there.body()).toEqual({
      places: [],
      seat: null,
      safety: { alone: true, plug: { diameter_mm: 20, spare: true } },
    })
  })

  it('tells why a trial is refused, until it is dropped', async () => {
    store.tryPlaces([[7, at(99)]])
    await there.answers({ detail: 'past the bow', status: 422, fields: [] }, 422)
    expect(store.refusal?.message).toBe('past the bow')
    expect(trim(store)).toBe(1)
    store.stopTrying()
    expect(store.refusal).toBeNull()
  })

  it('tells that nobody answers, until somebody does', async () => {
    store.tryPlaces([[7, at(2)]])
    await there.isGone()
    expect(store.lost).toBeInstanceOf(Error)
    store.tryPlaces([[7, at(3)]])
    await there.answers({ afloat: { trim_deg: 3 } })
    expect(store.lost).toBeNull()
  })

  it('keeps a change that nobody answers, and sends it again', async () => {
    const done = store.put(7, at(2))
    await there.isGone()
    expect(await done).toBe(true) // it is safe here
    expect([store.saving, store.keptPlace(7)?.x_m]).toEqual([1, 2])
    await vi.advanceTimersByTimeAsync(2100)
    await there.answers(state(2, 2))
    expect([store.saving, store.lost]).toEqual([0, null])
  })

  it('takes back on the screen what the server refused', async () => {
    const done = store.put(7, at(99))
    await there.answers({ detail: 'past the bow', status: 422, fields: [] }, 422)
    expect(await done).toBe(false)
    expect(store.keptPlace(7)?.x_m).toBe(1)
    expect(store.refusal?.message).toBe('past the bow')
  })

  it('opens the setup asked for last, whichever is answered last', async () => {
    void store.open(1)
    await there.answers([])
    void store.open(2)
    await there.answers(state(9)) // of the first, too late
    expect(store.kept?.setup_id).toBe(1)
    expect(trim(store)).toBe(1)
    await there.answers([])
    await there.answers({ ...state(4), setup_id: 2 })
    expect([store.kept?.setup_id, trim(store)]).toEqual([2, 4])
  })
})
