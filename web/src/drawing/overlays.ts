/** What can be laid over the drawing. */
export type Overlay =
  'reach' | 'stroke' | 'legs' | 'cast' | 'remount' | 'sight' | 'balance' | 'wires' | 'names'
/** In the order of their keys, 1 to 8; names have one of their own. */
export const OVERLAYS: { key: Overlay; label: string }[] = [
  { key: 'reach', label: 'Reach' },
  { key: 'stroke', label: 'Stroke' },
  { key: 'legs', label: 'Legs' },
  { key: 'cast', label: 'Cast' },
  { key: 'remount', label: 'Climb in' },
  { key: 'sight', label: 'Sight' },
  { key: 'balance', label: 'Balance' },
  { key: 'wires', label: 'Wires' },
]
