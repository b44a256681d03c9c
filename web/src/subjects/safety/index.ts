import type { Screen } from '@/kit/subject'

export const safety: Screen = {
  path: '/safety',
  name: 'Safety',
  group: 'Afloat',
  component: () => import('./View.vue'),
}
