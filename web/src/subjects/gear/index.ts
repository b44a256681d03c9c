import type { Screen } from '@/kit/subject'

export const gear: Screen = {
  path: '/gear',
  name: 'Gear',
  group: 'Measure',
  component: () => import('./View.vue'),
}

/** Found by its address and from the form of an item: no screen of the work. */
export const shapes = { path: '/gear/shapes', component: () => import('./ShapesView.vue') }
