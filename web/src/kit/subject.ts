/** What a subject shows the application: its screen, in the order of the work. */
import type { Component } from 'vue'

export interface Screen {
  path: string
  name: string
  component: Component | (() => Promise<Component>)
}
