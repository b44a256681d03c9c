import type { Screen } from '@/kit/subject'

export const compare: Screen = {
  path: '/compare',
  name: 'Compare',
  component: () => import('./View.vue'),
}
