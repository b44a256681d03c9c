import type { Screen } from '@/kit/subject'

export const hold: Screen = {
  path: '/hold',
  name: 'Hold',
  group: 'Afloat',
  component: () => import('./View.vue'),
}
