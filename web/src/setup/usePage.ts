/** A screen's own answer about the open setup, asked anew at each revision that the server has
 * confirmed, when something beside it was changed, and whenever something else of the question is.
 * What is typed there is held until what is kept has come back. */
import { computed, watch, type WatchSource } from 'vue'
import { useAsked, type Asked } from '@/kit/useAsked'
import { useSetup } from './useSetup'

export function usePage<T>(
  question: (setup_id: number) => Promise<unknown>,
  also: WatchSource[] = [],
): Asked<T> {
  const store = useSetup()
  const asked = useAsked<T>()
  watch(
    [
      () => store.confirmed?.setup_id,
      () => store.confirmed?.revision,
      () => store.besides,
      ...also,
    ],
    () => {
      const setup_id = store.confirmed?.setup_id
      if (setup_id !== undefined) void asked.put(() => question(setup_id) as Promise<T>)
    },
    { immediate: true },
  )
  const held = computed(() => asked.held.value || store.saving > 0 || store.refusal !== null)
  return { ...asked, held }
}
