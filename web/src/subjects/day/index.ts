import type { Screen } from '@/kit/subject'

export const day: Screen = {
  path: '/day',
  name: 'Day',
  group: 'Afloat',
  component: () => import('./View.vue'),
}
