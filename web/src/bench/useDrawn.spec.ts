import { describe, expect, it } from 'vitest'
import { computed, effectScope, ref, shallowReactive } from 'vue'
import type { Aboard, Place } from '@/api/client'
import type { useSetup } from '@/setup/useSetup'
import { useDrawn } from './useDrawn'

const row = (thing_id: number, x_m: number, freeboard_m: number) =>
  ({ thing_id, x_m, y_m: 0, base_z_m: 0.2, turn_deg: 0, tilt_deg: 0, depth: 0, zone: 'hand',
     misfit: null, reel: null, reel_at_m: null, holder_id: null, freeboard_m }) as unknown as Aboard // prettier-ignore
const place = (x_m: number) => ({ x_m, y_m: 0, turn_deg: 0, tilt_deg: 0, bury_m: 0 }) as Place
const boxed = { name: 'Crate', length_m: 0.3, width_m: 0.3 }

/** A crate and a tray aboard, and what is drawn of them. */
function bench() {
  const rows = ref(new Map([1, 2].map((id) => [id, row(id, id, 0.1)])))
  const store = shallowReactive({
    places: new Map([1, 2].map((id) => [id, place(id)])),
    things: { '1': boxed, '2': boxed },
    triedPlaces: new Map<number, Place | null>(),
    triedFrames: new Map(),
    kept: null,
  })
  const { drawn } = effectScope().run(() =>
    useDrawn(
      store as unknown as ReturnType<typeof useSetup>,
      computed(() => rows.value),
      ref(null),
      computed(() => new Set<number>()),
    ),
  )!
  return { rows, store, drawn }
}

describe('what is drawn of an item', () => {
  it('is the same while another is moved and the boat leans', () => {
    const { rows, store, drawn } = bench()
    const [crate, tray] = drawn.value
    store.triedPlaces = new Map([[1, place(1.3)]])
    rows.value = new Map([1, 2].map((id) => [id, row(id, id, 0.07)]))
    expect(drawn.value[0]).toMatchObject({ moving: true, stand: { x_m: 1.3 } })
    expect(drawn.value[0]).not.toBe(crate)
    expect(drawn.value[1]).toBe(tray)
  })

  it('is new when it lies elsewhere, or no longer in reach', () => {
    const { rows, drawn } = bench()
    const [crate, tray] = drawn.value
    rows.value = new Map([
      [1, row(1, 1.2, 0.1)],
      [2, { ...row(2, 2, 0.1), zone: 'leave' }],
    ])
    expect(drawn.value[0]!.stand).not.toEqual(crate!.stand)
    expect(drawn.value[1]).not.toBe(tray)
  })
})
