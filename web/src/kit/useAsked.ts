/**
 * A question to the server whose newest asking alone is answered: of two answers under way the older
 * one never comes last, and none comes after it was forgotten. Where nobody answers at all, it is put
 * again until somebody does.
 */
import { useTimeoutFn } from '@vueuse/core'
import {
  computed,
  readonly,
  ref,
  shallowRef,
  type ComputedRef,
  type Ref,
  type ShallowRef,
} from 'vue'
import { Offline, Refusal, whyNone } from '@/api/client'

/** After so long whoever was not answered is asked again. */
export const AGAIN_MS = 2000

export interface Asked<T> {
  /** the newest answer; null before the first, and after `forget` */
  answer: ShallowRef<T | null>
  busy: Readonly<Ref<boolean>>
  /** what kept the newest question from being answered; empty where nothing did */
  trouble: Readonly<Ref<string>>
  /** what was put is on its way, or could not be taken: what was typed for it stays meanwhile */
  held: ComputedRef<boolean>
  /** the refusal behind it, where the server said no */
  refusal: Readonly<ShallowRef<Refusal | null>>
  /** Ask; true where this very question was answered and is still the newest. */
  put: (question: () => Promise<T>) => Promise<boolean>
  /** Drop the answer, and whatever is under way. */
  forget: () => void
}

export function useAsked<T>(): Asked<T> {
  const answer = shallowRef<T | null>(null)
  const busy = ref(false)
  const trouble = ref('')
  const held = computed(() => busy.value || trouble.value !== '')
  const refusal = shallowRef<Refusal | null>(null)
  let newest = 0
  const again = useTimeoutFn(put, AGAIN_MS, { immediate: false })

  async function put(question: () => Promise<T>): Promise<boolean> {
    const mine = ++newest
    again.stop()
    busy.value = true
    try {
      const found = await question()
      if (mine !== newest) return false
      answer.value = found
      trouble.value = ''
      refusal.value = null
      return true
    } catch (error) {
      const why = whyNone(error)
      if (mine === newest) {
        trouble.value = why
        refusal.value = error instanceof Refusal ? error : null
        if (error instanceof Offline) again.start(question)
      }
      return false
    } finally {
      if (mine === newest) busy.value = false
    }
  }

  function forget(): void {
    newest += 1
    again.stop()
    answer.value = null
    busy.value = false
    trouble.value = ''
    refusal.value = null
  }

  return { answer, busy: readonly(busy), trouble: readonly(trouble), held, refusal, put, forget }
}
