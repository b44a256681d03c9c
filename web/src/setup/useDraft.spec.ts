import { describe, expect, it } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import { isUnsaved } from './unsaved'
import { useDraft } from './useDraft'

interface Boat {
  name: string
  mass_kg: number
  tape: { length_m: number; beam_m: number }
}
const skiff = (): Boat => ({ name: 'Skiff', mass_kg: 30, tape: { length_m: 3.6, beam_m: 0.8 } })

/** A form over what the server has confirmed, of one boat or another. */
function form() {
  const [source, owner] = [ref<Boat | null>(skiff()), ref(1)]
  const scope = effectScope()
  const draft = scope.run(() =>
    useDraft<Boat>(
      () => source.value,
      () => owner.value,
    ),
  )!
  return { ...draft, source, owner, close: () => scope.stop() }
}

describe('what is typed and saved as a whole', () => {
  it('is changed only while it differs, and is told as unsaved so long', async () => {
    const { draft, changed, close } = form()
    expect([changed.value, isUnsaved()]).toEqual([false, false])
    draft.value!.tape.beam_m = 0.9
    await nextTick()
    expect([changed.value, isUnsaved()]).toEqual([true, true])
    draft.value!.tape.beam_m = 0.8
    await nextTick()
    expect([changed.value, isUnsaved()]).toEqual([false, false])
    draft.value!.name = 'Punt'
    await nextTick()
    close()
    expect(isUnsaved()).toBe(false)
  })

  it('is laid over the newest, whoever changed that', async () => {
    const { draft, source, changed } = form()
    draft.value!.tape.beam_m = 0.9
    source.value = { ...skiff(), name: 'Punt', tape: { length_m: 4, beam_m: 0.8 } }
    await nextTick()
    expect(draft.value).toEqual({ name: 'Punt', mass_kg: 30, tape: { length_m: 4, beam_m: 0.9 } })
    expect(changed.value).toBe(true)
  })

  it('is no longer changed once that very thing is kept', async () => {
    const { draft, plain, source, changed } = form()
    draft.value!.mass_kg = 31
    source.value = plain()
    await nextTick()
    expect([changed.value, draft.value!.mass_kg]).toEqual([false, 31])
  })

  it('is nothing of another owner', async () => {
    const { draft, source, owner, changed } = form()
    draft.value!.mass_kg = 31
    owner.value = 2
    source.value = { ...skiff(), name: 'Ark' }
    await nextTick()
    expect([draft.value!.mass_kg, draft.value!.name, changed.value]).toEqual([30, 'Ark', false])
  })

  it('leaves alone what it was copied from, and goes back to it', async () => {
    const { draft, source, reset, changed } = form()
    draft.value!.tape.length_m = 5
    expect(source.value!.tape.length_m).toBe(3.6)
    reset()
    await nextTick()
    expect([draft.value!.tape.length_m, changed.value]).toEqual([3.6, false])
  })

  it('is nothing while there is nothing', async () => {
    const { draft, plain, source } = form()
    source.value = null
    await nextTick()
    expect([draft.value, plain()]).toEqual([null, null])
  })
})
