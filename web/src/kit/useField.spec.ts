import { createRenderer, nextTick, ref } from 'vue'
import { describe, expect, it } from 'vitest'
import { useField } from './useField'

/** Nothing is drawn: what a field needs of a page is to come and to go. */
const { createApp } = createRenderer<object, object>({
  insert: () => {},
  remove: () => {},
  createElement: () => ({}),
  createText: () => ({}),
  createComment: () => ({}),
  setText: () => {},
  setElementText: () => {},
  patchProp: () => {},
  parentNode: () => null,
  nextSibling: () => null,
})

/** A field of what is kept; `took` is what was taken from it, one after the other. */
function field(at = '30') {
  const kept = ref(at)
  const stays = ref(false)
  const unreadable = ref('')
  const took: string[] = []
  let used!: ReturnType<typeof useField>
  const app = createApp({
    setup() {
      used = useField({
        given: () => kept.value,
        stays: () => stays.value,
        take: (text) => {
          took.push(text)
          return unreadable.value
        },
      })
      return () => null
    },
  })
  app.mount({})
  const type = (text: string): void => {
    used.inUse.value = true
    used.text.value = text
  }
  return { ...used, kept, stays, unreadable, took, type, close: () => app.unmount() }
}

describe('a field', () => {
  it('takes what was typed, and once', async () => {
    const one = field()
    one.type('35')
    one.taken()
    await one.leave()
    expect(one.took).toEqual(['35'])
  })

  it('takes nothing where nothing was typed', async () => {
    const one = field()
    one.inUse.value = true
    await one.leave()
    expect(one.took).toEqual([])
  })

  it('keeps what is being typed when another answer comes', async () => {
    const one = field()
    one.type('35')
    one.kept.value = '31'
    await nextTick()
    expect(one.text.value).toBe('35')
  })

  it('follows what is kept while nobody types', async () => {
    const one = field()
    one.kept.value = '31'
    await nextTick()
    expect(one.text.value).toBe('31')
  })

  it('stands as it is kept once it is left', async () => {
    const one = field()
    one.type('35.04')
    one.taken()
    one.kept.value = '35.0'
    await one.leave()
    expect(one.text.value).toBe('35.0')
  })

  it('keeps what could not be taken, to be mended', async () => {
    const one = field()
    one.type('x')
    one.taken()
    one.stays.value = true
    await one.leave()
    expect(one.text.value).toBe('x')
    one.stays.value = false
    await nextTick()
    expect(one.text.value).toBe('30')
  })

  it('keeps what cannot be read, with why, until it is mended', async () => {
    const one = field()
    one.unreadable.value = 'no number'
    one.type('much')
    await one.leave()
    expect([one.text.value, one.unread.value]).toEqual(['much', 'no number'])
    one.unreadable.value = ''
    one.type('35')
    await one.leave()
    expect([one.text.value, one.unread.value]).toEqual(['30', ''])
    expect(one.took).toEqual(['much', '35'])
  })

  it('says nothing of what cannot be read once something else stands there', async () => {
    const one = field()
    one.unreadable.value = 'no number'
    one.type('much')
    await one.leave()
    one.kept.value = '40'
    await nextTick()
    expect([one.text.value, one.unread.value]).toEqual(['40', ''])
  })

  it('takes what was typed when its page goes away', () => {
    const one = field()
    one.type('35')
    one.close()
    expect(one.took).toEqual(['35'])
  })

  it('takes nothing twice when its page goes away', () => {
    const one = field()
    one.type('35')
    one.taken()
    one.close()
    expect(one.took).toEqual(['35'])
  })

  it('takes a number of a field of numbers as the text of it', () => {
    const one = field()
    one.inUse.value = true
    one.text.value = 35
    one.taken()
    expect(one.took).toEqual(['35'])
  })
})
