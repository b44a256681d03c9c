/** What a subject shows the application: its screen, in the order of the work. */
import type { Component } from 'vue'

/** The groups of the work, in its order. */
export type Group = 'Measure' | 'Bench' | 'Afloat' | 'Rig' | 'Ashore'

export interface Screen {
  path: string
  name: string
  group: Group
  component: Component | (() => Promise<Component>)
}
