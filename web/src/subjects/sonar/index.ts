import type { Screen } from '@/kit/subject'

export const sonar: Screen = {
  path: '/sonar',
  name: 'Sonar',
  group: 'Rig',
  component: () => import('./View.vue'),
}
