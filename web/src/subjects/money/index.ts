import type { Screen } from '@/kit/subject'

export const money: Screen = {
  path: '/money',
  name: 'Money',
  group: 'Ashore',
  component: () => import('./View.vue'),
}
