import type { Screen } from '@/kit/subject'

export const afloat: Screen = {
  path: '/afloat',
  name: 'Afloat',
  component: () => import('./View.vue'),
}
