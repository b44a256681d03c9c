/** What holds a boat back, in the order it is stacked. */
import type { HowFigure } from '@/setup/how'

export const CAUSES: {
  field: 'friction_n' | 'base_n' | 'wave_n' | 'appendage_n' | 'air_n'
  name: string
  tone: string
  how: HowFigure
}[] = [
  { field: 'friction_n', name: 'Friction', tone: 'skin', how: 'glide friction' },
  { field: 'base_n', name: 'Wet stern', tone: 'stern', how: 'glide friction' },
  { field: 'wave_n', name: 'Waves', tone: 'waves', how: 'glide waves' },
  { field: 'appendage_n', name: 'In the water', tone: 'hangs', how: 'glide windage' },
  { field: 'air_n', name: 'Wind', tone: 'wind', how: 'glide windage' },
]
