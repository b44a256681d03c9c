import type { Screen } from '@/kit/subject'

export const boat: Screen = {
  path: '/boat',
  name: 'Boat',
  component: () => import('./View.vue'),
}
