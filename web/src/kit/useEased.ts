/**
 * Numbers that go over to new ones in a moment, where motion explains a change; at once where the
 * system asks for stillness.
 */
import { usePreferredReducedMotion, useRafFn } from '@vueuse/core'
import { shallowRef, watch, type ComputedRef, type ShallowRef } from 'vue'

const LASTS_MS = 180

export function useEased(
  to: ComputedRef<readonly number[] | null>,
): ShallowRef<readonly number[] | null> {
  const now = shallowRef(to.value)
  const still = usePreferredReducedMotion()
  let from: readonly number[] = []
  let began = 0
  const { pause, resume } = useRafFn(
    ({ timestamp }) => {
      const target = to.value
      if (!target) return pause()
      began ||= timestamp
      const share = Math.min(1, (timestamp - began) / LASTS_MS)
      now.value = target.map((value, i) => from[i]! + share * (value - from[i]!))
      if (share === 1) pause()
    },
    { immediate: false },
  )
  watch(to, (target) => {
    const was = now.value
    if (!target || !was || was.length !== target.length || still.value === 'reduce') {
      pause()
      now.value = target
      return
    }
    from = was
    began = 0
    resume()
  })
  return now
}
