/** A field that is typed into: while it is in use, what stands in it is the user's. */
import { nextTick, onBeforeUnmount, ref, watch } from 'vue'

interface Field {
  /** what stands there where nobody types */
  given: () => string
  /** whether what was typed stays all the same: it is not yet known what became of it, say */
  stays?: () => boolean
  /** Take what was typed, never what stood there; why it cannot be read, '' where it can. */
  take: (text: string) => string
}

export function useField({ given, stays = () => false, take }: Field) {
  const text = ref<string | number>(given()) // of a field of numbers it is one
  const inUse = ref(false)
  const unread = ref('') // why, as long as it stays to be mended
  let known = given() // what stood there at first, or was taken last
  const typed = (): boolean => String(text.value) !== known

  function rest(): void {
    if (!unread.value && !stays() && !(inUse.value && typed())) text.value = known = given()
  }
  function taken(): void {
    if (!typed()) return
    known = String(text.value)
    unread.value = take(known)
  }
  /** What was taken stands as the core has it, once nobody types here. */
  async function leave(): Promise<void> {
    taken()
    inUse.value = false
    await nextTick()
    rest()
  }
  watch(given, () => !inUse.value && (unread.value = '')) // of what stood there before
  watch([given, stays, unread], rest)
  onBeforeUnmount(() => inUse.value && taken()) // not every browser says that it is left then

  return { text, inUse, unread, taken, leave }
}
