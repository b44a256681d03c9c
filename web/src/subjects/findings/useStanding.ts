/**
 * How a long question stands while it waits behind others, and the way to hang up on it: the server
 * stops its work then.
 */
import { useIntervalFn } from '@vueuse/core'
import { computed, onScopeDispose, ref } from 'vue'
import { api } from '@/api/client'
import { newToken } from '@/kit/token'

const AGAIN_MS = 1000

export function useStanding() {
  const ahead = ref(0)
  let about: { setup_id: number; name: string } | null = null
  let stopper: AbortController | null = null
  const { pause, resume } = useIntervalFn(() => void look(), AGAIN_MS, { immediate: false })

  async function look(): Promise<void> {
    const one = about
    if (!one) return
    try {
      const { data } = await api.GET('/api/v1/setups/{setup_id}/questions/{name}', {
        params: { path: one },
      })
      if (about === one) ahead.value = data?.ahead ?? 0
    } catch {
      // Whoever asked is told that the server is gone.
    }
  }

  /** The name to ask under, and what ends it; whatever was asked before is hung up on. */
  function begin(setup_id: number): { name: string; signal: AbortSignal } {
    hangUp()
    about = { setup_id, name: newToken() }
    stopper = new AbortController()
    resume()
    return { name: about.name, signal: stopper.signal }
  }

  function hangUp(): void {
    stopper?.abort()
    stopper = about = null
    ahead.value = 0
    pause()
  }
  onScopeDispose(hangUp)

  const words = computed(() => (ahead.value ? `waiting: ${ahead.value} ahead of this` : ''))
  return { words, begin, hangUp }
}
