/** How this person likes to see it; kept in the browser, for it is no part of any setup. */
import { useDark, useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { Units } from '@/edge/units'

export type Overlay =
  'reach' | 'stroke' | 'legs' | 'cast' | 'remount' | 'sight' | 'balance' | 'names'
/** In the order of their keys, 1 to 7; names have one of their own. */
export const OVERLAYS: { key: Overlay; label: string }[] = [
  { key: 'reach', label: 'Reach' },
  { key: 'stroke', label: 'Stroke' },
  { key: 'legs', label: 'Legs' },
  { key: 'cast', label: 'Cast' },
  { key: 'remount', label: 'Remount' },
  { key: 'sight', label: 'Sight' },
  { key: 'balance', label: 'Balance' },
]

export const useLook = defineStore('look', () => {
  const units = useLocalStorage<Units>('neat-hull-units', 'metric')
  const overlays = useLocalStorage<Overlay[]>('neat-hull-overlays', ['reach', 'legs', 'balance'])
  const night = useDark({ storageKey: 'neat-hull-theme' })

  function toggle(overlay: Overlay): void {
    overlays.value = overlays.value.includes(overlay)
      ? overlays.value.filter((one) => one !== overlay)
      : [...overlays.value, overlay]
  }

  return { units, overlays, night, toggle }
})
