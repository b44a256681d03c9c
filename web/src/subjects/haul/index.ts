import type { Screen } from '@/kit/subject'

export const haul: Screen = {
  path: '/haul',
  name: 'Haul',
  group: 'Ashore',
  component: () => import('./View.vue'),
}
