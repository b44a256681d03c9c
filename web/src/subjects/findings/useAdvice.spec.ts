import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { effectScope, type EffectScope } from 'vue'
import { at, opened, state, type ServerStub } from '@/setup/server.stub'
import type { useSetup } from '@/setup/useSetup'
import { useAdvice, WHOLE } from './useAdvice'

const way = (text: string, x_m: number) => ({
  words: { text, amounts: [] },
  places: [{ thing_id: 7, place: at(x_m) }],
  seat: null,
  fields: {},
})
const advice = { looked_at: 9, suggestions: [way('Move Crate forward', 2), way('Move it aft', 3)] }
const shown = (x_m: number) => ({ figures: { afloat: { trim_deg: x_m } }, drawing: null })

describe('a way out of a finding', () => {
  let there: ServerStub
  let store: ReturnType<typeof useSetup>
  let scope: EffectScope
  let ways: ReturnType<typeof useAdvice>

  beforeEach(async () => {
    ;({ there, store } = await opened())
    scope = effectScope()
    ways = scope.run(() => useAdvice(store, () => 'metric'))!
  })
  afterEach(() => scope.stop())

  async function found(): Promise<void> {
    void ways.find('bow-down:7')
    expect(await there.answers(advice)).toMatch(/advice$/)
    expect(await there.answers(shown(2))).toMatch(/preview$/)
  }

  it('is looked for, and the best of them is shown at once', async () => {
    void ways.find('bow-down:7')
    expect(ways.looking.value).toBe(true)
    expect(await there.body()).toEqual({ finding: 'bow-down:7', places: [] })
    await there.answers(advice)
    await there.answers(shown(2))
    expect([ways.looking.value, ways.tried.value]).toEqual([false, 0])
    expect([store.places.get(7)?.x_m, store.figures?.afloat?.trim_deg]).toEqual([2, 2])
  })

  it('is asked for the whole boat without a finding', async () => {
    void ways.find(WHOLE)
    expect(await there.body()).toEqual({ finding: null, places: [] })
  })

  it('says so where nothing helps', async () => {
    void ways.find('bow-down:7')
    await there.answers({ looked_at: 9, suggestions: [] })
    expect(ways.told.value).toContain('None of the 9 moves tried helps')
    expect(ways.tried.value).toBeNull()
  })

  it('gives place to another of them, and goes when it is dropped', async () => {
    await found()
    void ways.tryOut(1)
    await there.answers(shown(3))
    expect([ways.tried.value, store.places.get(7)?.x_m]).toEqual([1, 3])
    ways.drop()
    expect([ways.about.value, store.places.get(7)?.x_m]).toEqual([null, 1])
    expect(ways.suggestions.value).toEqual([])
  })

  it('is taken as one step called by its words', async () => {
    await found()
    void ways.apply()
    expect(await there.body()).toMatchObject({
      words: 'Move Crate forward',
      places: [{ thing_id: 7, place: { x_m: 2 } }],
      revision: 1,
    })
    expect(await there.answers(state(2, 2))).toBe('PUT /api/v1/setups/1/moves')
    expect([ways.tried.value, store.keptPlace(7)?.x_m]).toEqual([null, 2])
  })

  it('is dropped when the setup moves on', async () => {
    await found()
    const done = store.put(8, at(1))
    await there.answers(state(1, 2))
    await done
    expect([ways.about.value, ways.tried.value]).toEqual([null, null])
    expect(store.places.get(7)?.x_m).toBe(1)
  })

  it('is no longer what is shown once a hand takes the thing elsewhere', async () => {
    await found()
    store.tryPlaces([[8, at(4)]])
    await there.answers({ afloat: { trim_deg: 4 } })
    expect([ways.about.value, ways.tried.value]).toEqual([null, null])
  })

  it('takes no answer that comes after it was dropped', async () => {
    void ways.find('bow-down:7')
    ways.drop()
    await there.answers(advice)
    expect([ways.suggestions.value, ways.tried.value, ways.looking.value]).toEqual([
      [],
      null,
      false,
    ])
    expect(store.tried).toBeNull()
  })
})
