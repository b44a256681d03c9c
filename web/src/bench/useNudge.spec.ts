import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, type EffectScope } from 'vue'
import { settleAll } from '@/setup/unsaved'
import { useNudge } from './useNudge'

type Moves = [number, number][]
const REST_MS = 450

describe('keys pressed quickly', () => {
  let scope: EffectScope
  let tried: Moves[]
  let kept: Moves[]
  let nudge: (moves: Moves) => void

  beforeEach(() => {
    vi.useFakeTimers()
    scope = effectScope()
    ;[tried, kept] = [[], []]
    ;({ nudge } = scope.run(() =>
      useNudge<Moves>(
        (moves) => tried.push(moves),
        (moves) => kept.push(moves),
      ),
    )!)
  })
  afterEach(() => {
    scope.stop()
    vi.useRealTimers()
  })

  it('are each tried at once, and kept together when the hand rests', () => {
    for (const to of [1, 2, 3]) {
      nudge([[7, to]])
      vi.advanceTimersByTime(REST_MS - 1)
    }
    expect([tried.length, kept]).toEqual([3, []])
    vi.advanceTimersByTime(1)
    expect(kept).toEqual([[[7, 3]]])
    vi.advanceTimersByTime(10 * REST_MS)
    expect(kept).toHaveLength(1)
  })

  it('of another item keep what was done to the first before', () => {
    nudge([[7, 1]])
    nudge([
      [7, 2],
      [8, 2],
    ])
    expect(kept).toEqual([[[7, 1]]])
  })

  it.each([
    ['something else is done to the setup', () => settleAll()],
    ['the screen is left', () => scope.stop()],
  ])('are kept as soon as %s, and once', (_, leave) => {
    nudge([[7, 1]])
    leave()
    expect(kept).toEqual([[[7, 1]]])
    settleAll()
    vi.advanceTimersByTime(2 * REST_MS)
    expect(kept).toHaveLength(1)
  })
})
