/**
 * What sliders and hands are at before they are let go: laid over what is kept and tried, and
 * forgotten once it is taken or another setup is opened.
 */
import { computed, shallowRef, watch } from 'vue'
import type { Setup } from '@/api/client'
import { sectionsWith } from './laidOver'
import { merged } from './patch'
import { useSetup } from './useSetup'

type Section = 'demands' | 'glide' | 'hold' | 'safety' | 'haul'

export function useSliding() {
  const store = useSetup()
  const sliding = shallowRef<{ [S in Section]?: Partial<Setup[S]> } | null>(null)
  /** The open setup as it would be where the sliders are now. */
  const setup = computed(() => store.kept && merged(store.kept.setup, sliding.value ?? {}))
  /** What to ask about: the sections that a slider is in, whole; nothing while all lie still. */
  const trial = computed(() => ({
    places: [],
    ...(store.kept && sliding.value && sectionsWith(store.kept.setup, sliding.value)),
  }))

  function tryOut<S extends Section>(section: S, fields: Partial<Setup[S]>): void {
    sliding.value = { ...sliding.value, [section]: { ...sliding.value?.[section], ...fields } }
    store.tryOut(trial.value)
  }
  async function taken(change: Promise<boolean>): Promise<void> {
    await change
    sliding.value = null
  }
  watch(
    () => store.kept?.setup_id,
    () => (sliding.value = null),
  )
  return { sliding, setup, trial, tryOut, taken }
}
