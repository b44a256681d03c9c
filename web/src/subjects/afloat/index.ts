import type { Screen } from '@/kit/subject'

export const afloat: Screen = {
  path: '/afloat',
  name: 'Float',
  group: 'Afloat',
  component: () => import('./View.vue'),
}
