import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { effectScope, type EffectScope } from 'vue'
import { opened, state, type ServerStub } from './server.stub'
import { api, ask } from '@/api/client'
import type { Asked } from '@/kit/useAsked'
import { usePage } from './usePage'
import type { useSetup } from './useSetup'

interface Page {
  bought: number
}
const AT = 'GET /api/v1/setups/1/money'
const PAID = {
  thing_id: null,
  what: 'Cart',
  on_day: null,
  minor: 900,
  resale_minor: 0,
  ended: 'kept',
} as const

describe("a screen's own answer", () => {
  let there: ServerStub
  let store: ReturnType<typeof useSetup>
  let page: Asked<Page>
  let scope: EffectScope

  beforeEach(async () => {
    ;({ there, store } = await opened())
    scope = effectScope()
    page = scope.run(() =>
      usePage<Page>((setup_id) =>
        ask(api.GET('/api/v1/setups/{setup_id}/money', { params: { path: { setup_id } } })),
      ),
    )!
    expect(await there.answers({ bought: 1 })).toBe(AT)
  })
  afterEach(() => scope.stop())

  it('is asked for again when the setup has changed, and not before', async () => {
    void store.putMoney({ trips: 3 })
    await there.answers(state(1, 2))
    expect(page.answer.value).toEqual({ bought: 1 })
    expect(await there.answers({ bought: 2 })).toBe(AT)
    expect([page.answer.value, await there.asked()]).toEqual([{ bought: 2 }, 0])
  })

  it('is asked for again when something beside the setup was changed', async () => {
    const done = store.addPurchase(PAID)
    expect(page.held.value).toBe(true)
    expect(await there.body()).toEqual(PAID) // it is based on no revision
    expect(await there.answers({ bought: 2 })).toMatch(/^POST .*\/money\/purchases$/)
    expect(await there.answers(state(1))).toBe('GET /api/v1/setups/1') // judged by what is beside
    expect(await done).toBe(true)
    expect(page.held.value).toBe(true) // the page is on its way
    expect(await there.answers({ bought: 2 })).toBe(AT)
    expect([page.answer.value, page.held.value]).toEqual([{ bought: 2 }, false])
  })

  it('holds what was typed where it was refused, until that was read', async () => {
    void store.changePurchase({ ...PAID, purchase_id: 4 }, { minor: -1 })
    expect(await there.answers({ detail: 'too little', status: 422, fields: [] }, 422)).toMatch(
      /^PATCH .*\/money\/purchases\/4$/,
    )
    expect(await there.answers({ bought: 1 })).toBe(AT)
    expect([store.refusal?.message, page.held.value]).toEqual(['too little', true])
    store.refusal = null
    expect(page.held.value).toBe(false)
  })

  it('is not asked for where nobody looks any more', async () => {
    scope.stop()
    void store.dropPurchase({ ...PAID, purchase_id: 4 })
    expect(await there.answers({ bought: 0 })).toMatch(/^DELETE /)
    await there.answers(state(1))
    expect(await there.asked()).toBe(0)
  })
})
