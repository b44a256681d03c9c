import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { effectScope, nextTick, type EffectScope } from 'vue'
import { opened, state, type ServerStub } from './server.stub'
import type { useSetup } from './useSetup'
import { useSliding } from './useSliding'

describe('a slider in hand', () => {
  let there: ServerStub
  let store: ReturnType<typeof useSetup>
  let scope: EffectScope
  let slider: ReturnType<typeof useSliding>

  beforeEach(async () => {
    ;({ there, store } = await opened())
    scope = effectScope()
    slider = scope.run(() => useSliding())!
  })
  afterEach(() => scope.stop())

  it('is tried with all else of its section, and shown before it is answered', async () => {
    slider.tryOut('safety', { shore_m: 300 })
    expect(slider.setup.value?.safety).toMatchObject({ shore_m: 300, plug: { diameter_mm: 20 } })
    expect(await there.body()).toMatchObject({
      places: [],
      safety: { alone: true, plug: { diameter_mm: 20, spare: false }, shore_m: 300 },
    })
    expect(store.kept?.setup.safety.shore_m).toBeUndefined()
  })

  it('keeps where another one was left that is not taken yet', () => {
    slider.tryOut('safety', { shore_m: 300 })
    slider.tryOut('safety', { leak_l_min: 2 })
    expect(slider.trial.value).toMatchObject({ safety: { shore_m: 300, leak_l_min: 2 } })
  })

  it('asks about nothing while all lie still, and once it was taken', async () => {
    expect(slider.trial.value).toEqual({ places: [] })
    slider.tryOut('safety', { shore_m: 300 })
    await there.answers({ figures: { findings: [] }, drawing: null })
    const taken = slider.taken(store.putSafety({ shore_m: 300 }))
    expect(await there.answers(state(1, 2))).toBe('PATCH /api/v1/setups/1')
    await taken
    expect(slider.trial.value).toEqual({ places: [] })
  })

  it('is forgotten when another setup is opened', async () => {
    slider.tryOut('safety', { shore_m: 300 })
    await there.answers({ figures: { findings: [] }, drawing: null })
    void store.open(2)
    await there.answers([])
    await there.answers({ ...state(1), setup_id: 2 })
    await nextTick()
    expect(slider.trial.value).toEqual({ places: [] })
  })
})
