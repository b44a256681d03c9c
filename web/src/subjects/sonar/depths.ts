/** How depths under the water are told. */
import { show, type Units } from '@/kit/units'

export const underWords = (depth_m: number | null, units: Units): string =>
  depth_m === null
    ? '—'
    : depth_m >= 0
      ? `${show(depth_m, 'length', units)} under`
      : `${show(-depth_m, 'length', units)} out of the water`
