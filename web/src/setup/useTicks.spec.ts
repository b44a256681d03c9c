import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { effectScope, type EffectScope } from 'vue'
import { opened, type ServerStub } from './server.stub'
import { useTicks } from './useTicks'

describe('ticks of a list', () => {
  let there: ServerStub
  let scope: EffectScope
  let ticks: ReturnType<typeof useTicks>

  beforeEach(async () => {
    ;({ there } = await opened())
    scope = effectScope()
    ticks = scope.run(() => useTicks('pack'))!
    expect(await there.answers({ done: { pack: ['rods'], home: ['rinse'] } })).toMatch(/ticks$/)
  })
  afterEach(() => scope.stop())

  it('are those of that list alone', () => {
    expect(['rods', 'rinse', 'net'].map(ticks.isDone)).toEqual([true, false, false])
  })

  it('stand at once, and are sent', async () => {
    ticks.set('net', true)
    expect(ticks.isDone('net')).toBe(true)
    expect(await there.body()).toEqual({ list: 'pack', line: 'net', done: true })
    await there.answers({ done: { pack: ['rods', 'net'] } })
    expect(ticks.isDone('net')).toBe(true)
  })

  it('stay where nobody answers, and go out with the next', async () => {
    ticks.set('net', true)
    await there.isGone()
    expect([ticks.isDone('net'), ticks.trouble.value]).toEqual([true, ''])
    ticks.set('rods', false)
    expect(await there.body()).toMatchObject({ line: 'net', done: true })
    await there.answers({ done: { pack: ['rods', 'net'] } })
    expect(await there.body()).toMatchObject({ line: 'rods', done: false })
    await there.answers({ done: { pack: ['net'] } })
    expect(['rods', 'net'].map(ticks.isDone)).toEqual([false, true])
  })

  it('are told where the server says no', async () => {
    ticks.set('net', true)
    await there.answers({ detail: 'there is no such line', status: 404, fields: [] }, 404)
    expect(ticks.trouble.value).toBe('there is no such line')
  })

  it('are all taken off at once', async () => {
    void ticks.clear()
    expect(ticks.isDone('rods')).toBe(false)
    expect(await there.body()).toMatchObject({ line: 'rods', done: false })
    await there.answers({ done: { pack: [] } })
    expect(ticks.isDone('rods')).toBe(false)
  })
})
