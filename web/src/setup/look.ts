/** How this person likes to see it; kept in the browser, for it is no part of any setup. */
import { UNITS_KEY } from '@/api/client'
import { useDark, useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { Overlay } from '@/drawing/overlays'
import type { Units } from '@/kit/units'

export const useLook = defineStore('look', () => {
  const units = useLocalStorage<Units>(UNITS_KEY, 'metric')
  const overlays = useLocalStorage<Overlay[]>('neat-hull-overlays', ['reach', 'legs', 'balance'])
  const night = useDark({ storageKey: 'neat-hull-theme' })

  function toggle(overlay: Overlay): void {
    overlays.value = overlays.value.includes(overlay)
      ? overlays.value.filter((one) => one !== overlay)
      : [...overlays.value, overlay]
  }

  return { units, overlays, night, toggle }
})
