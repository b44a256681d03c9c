import type { Screen } from '@/kit/subject'

export const reach: Screen = {
  path: '/reach',
  name: 'Reach',
  group: 'Afloat',
  component: () => import('./View.vue'),
}
