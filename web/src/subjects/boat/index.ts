import type { Screen } from '@/kit/subject'

export const boat: Screen = {
  path: '/boat',
  name: 'Boat',
  group: 'Measure',
  component: () => import('./View.vue'),
}
