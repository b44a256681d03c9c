import type { Screen } from '@/kit/subject'

export const power: Screen = {
  path: '/power',
  name: 'Power',
  group: 'Rig',
  component: () => import('./View.vue'),
}
