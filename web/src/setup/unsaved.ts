/** What is not saved when the page, or the setup, is left: gathered moves are kept, forms ask first. */
import { onScopeDispose, reactive, watch, type Ref } from 'vue'

const unsaved = reactive(new Set<symbol>())

export const isUnsaved = (): boolean => unsaved.size > 0

const gathered = new Set<() => void>()

/** Keep what is being gathered, before another setup is shown or the page is left. */
export const settleAll = (): void => gathered.forEach((settle) => settle())

/** Something that is kept only when the hand rests; for as long as its owner is there. */
export function gathers(settle: () => void): void {
  gathered.add(settle)
  onScopeDispose(() => gathered.delete(settle))
}

/** Tell of a form for as long as it holds something. */
export function holdsUnsaved(changed: Ref<boolean>): void {
  const form = Symbol()
  watch(changed, (now) => (now ? unsaved.add(form) : unsaved.delete(form)), { immediate: true })
  onScopeDispose(() => unsaved.delete(form))
}
