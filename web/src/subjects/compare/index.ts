import type { Screen } from '@/kit/subject'

export const compare: Screen = {
  path: '/compare',
  name: 'Compare',
  group: 'Ashore',
  component: () => import('./View.vue'),
}
