import type { Screen } from '@/kit/subject'

export const fixing: Screen = {
  path: '/fixing',
  name: 'Fixing',
  group: 'Rig',
  component: () => import('./View.vue'),
}
export const work: Screen = {
  path: '/work',
  name: 'Work',
  group: 'Rig',
  component: () => import('./WorkView.vue'),
}
