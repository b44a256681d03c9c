import type { Screen } from '@/kit/subject'

export const reach: Screen = {
  path: '/reach',
  name: 'Reach',
  component: () => import('./View.vue'),
}
