import { beforeEach, describe, expect, it, vi } from 'vitest'
import { USUAL } from '@/api/words'
import { at, fresh, opened, state, type ServerStub } from './server.stub'
import type { useSetup } from './useSetup'

const trim = (store: ReturnType<typeof useSetup>) => store.figures?.afloat?.trim_deg

describe('the open setup', () => {
  let there: ServerStub
  let store: ReturnType<typeof useSetup>

  beforeEach(async () => {
    ;({ there, store } = await opened())
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

  it('is drawn where a thing in hand was asked about, which goes ahead until that is answered', async () => {
    const drawn = () => [store.places.get(7)?.x_m, store.ahead?.place.x_m]
    store.carry(7, at(2))
    expect(drawn()).toEqual([2, undefined])
    store.carry(7, at(3))
    store.carry(7, at(4))
    expect(drawn()).toEqual([2, 4])
    await there.answers({ afloat: { trim_deg: 2 } })
    expect(drawn()).toEqual([4, undefined])
    expect(await there.body()).toMatchObject({ places: [{ thing_id: 7, place: { x_m: 4 } }] })
    store.carry(7, at(5))
    await there.isGone()
    expect(drawn()).toEqual([5, undefined])
    store.carry(7, at(6))
    store.stopTrying()
    expect(drawn()).toEqual([1, undefined])
  })

  it('stands where the hand lets go, answered or not, and off the boat at once', async () => {
    store.carry(7, at(2))
    store.carry(7, at(3))
    store.arrive()
    expect([store.places.get(7)?.x_m, store.ahead]).toEqual([3, null])
    store.carry(7, at(4))
    store.carry(7, null)
    expect([store.places.has(7), store.ahead]).toEqual([false, null])
    await there.answers({ afloat: { trim_deg: 2 } })
    expect(store.places.has(7)).toBe(false)
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
      safety: { alone: true, plug: { diameter_mm: 20, spare: true }, leashes: {} },
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

  it('lets no older state come after a change that was confirmed', async () => {
    void store.open()
    await there.answers([{ setup_id: 1, name: 'Pond' }])
    void store.put(7, at(2))
    const read = await there.holds()
    await there.answers(state(2, 2))
    await read(state(1))
    expect([store.confirmed?.revision, store.keptPlace(7)?.x_m]).toEqual([2, 2])
  })

  it('counts a change made while an undo is on its way from where that led', async () => {
    void store.put(7, at(2))
    await there.answers(state(2, 2))
    void store.step('undo')
    void store.put(7, at(3))
    await there.answers(state(1, 3))
    expect(await there.body()).toMatchObject({ edits: [{ fields: { x_m: 3 }, was: { x_m: 1 } }] })
  })

  it('counts a row that is new from what a redo brought back in its place, as far as it is told of', async () => {
    const leash = { ...USUAL.Leash, length_m: 0.9, cuts: true }
    const back = state(1, 2)
    Object.assign(back.setup.safety, { leashes: { 7: leash } })
    void store.step('redo')
    void store.putSafety({ leashes: { 7: { length_m: 0.4 }, 8: { length_m: 0.4 } } })
    await there.answers(back)
    const { edits } = (await there.body()) as { edits: unknown[] }
    const is_new = { ...USUAL.Leash, length_m: 0.4 }
    expect(edits).toEqual([
      expect.objectContaining({
        fields: { safety: { leashes: { 7: { length_m: 0.4 }, 8: is_new } } },
        was: { safety: { leashes: { 7: leash, 8: null } } },
      }),
    ])
  })

  it('leaves what a change counts from where others may have gone on since', async () => {
    void store.put(7, at(2))
    await there.answers(state(2, 2))
    void store.step('undo')
    await there.isGone()
    void store.put(7, at(3))
    await vi.advanceTimersByTimeAsync(2100)
    await there.answers(state(1, 4))
    expect(await there.body()).toMatchObject({ edits: [{ fields: { x_m: 3 }, was: { x_m: 2 } }] })
  })

  it('counts a change from where an undo led whose answer was lost, if nobody went on since', async () => {
    void store.put(7, at(2))
    await there.answers(state(2, 2))
    void store.step('undo')
    await there.isGone()
    void store.put(7, at(3))
    void store.put(7, at(4))
    await vi.advanceTimersByTimeAsync(2100)
    await there.answers(state(1, 3))
    const edit = { what: 'place', id: 7, fields: { x_m: 3 }, was: { x_m: 1 } }
    expect(await there.body()).toMatchObject({ edits: [edit] })
    await there.answers(state(3, 4))
    expect(await there.body()).toMatchObject({ edits: [{ fields: { x_m: 4 }, was: { x_m: 3 } }] })
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

describe('a page that was opened while', () => {
  it('nobody answered has its boats as soon as somebody does', async () => {
    const { there, store } = await fresh()
    void store.open()
    await there.isGone()
    expect([store.kept, store.lost?.message]).toEqual([null, 'The server cannot be reached.'])
    await vi.advanceTimersByTimeAsync(2100)
    await there.answers([{ setup_id: 1, name: 'Pond' }])
    await there.answers(state(1))
    expect([store.kept?.setup_id, store.lost]).toEqual([1, null])
  })

  it('the boats could not be read says so, and asks again', async () => {
    const { there, store } = await fresh()
    void store.open()
    await there.answers({ detail: 'the disk is gone', status: 503, fields: [] }, 503)
    expect([store.lost?.message, store.refusal]).toEqual(['the disk is gone', null])
    await vi.advanceTimersByTimeAsync(2100)
    await there.answers([{ setup_id: 1, name: 'Pond' }])
    await there.answers(state(1))
    expect([store.kept?.setup_id, store.lost]).toEqual([1, null])
  })
})
