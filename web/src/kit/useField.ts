/** A field that is typed into: while it is in use, what stands in it is the user's. */
import { nextTick, onBeforeUnmount, ref, watch } from 'vue'

interface Field {
  /** what stands there where nobody types */
  given: () => string
  /** whether what was typed stays: it could not be taken, or it is not yet known what became of it */
  stays: () => boolean
  /** Take what was typed; never what stood there. */
  take: (text: string) => void
}

export function useField({ given, stays, take }: Field) {
  const text = ref<string | number>(given()) // of a field of numbers it is one
  const inUse = ref(false)
  let known = given() // what stood there at first, or was taken last
  const typed = (): boolean => String(text.value) !== known

  function rest(): void {
    if (!stays() && !(inUse.value && typed())) text.value = known = given()
  }
  function taken(): void {
    if (!typed()) return
    known = String(text.value)
    take(known)
  }
  /** What was taken stands as the core has it, once nobody types here. */
  async function leave(): Promise<void> {
    taken()
    inUse.value = false
    await nextTick()
    rest()
  }
  watch([given, stays], rest)
  onBeforeUnmount(() => inUse.value && taken()) // not every browser says that it is left then

  return { text, inUse, taken, leave }
}
