import type { Screen } from '@/kit/subject'

export const gear: Screen = {
  path: '/gear',
  name: 'Gear',
  component: () => import('./View.vue'),
}
