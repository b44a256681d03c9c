import type { Screen } from '@/kit/subject'

export const angler: Screen = {
  path: '/angler',
  name: 'Angler',
  group: 'Measure',
  component: () => import('./View.vue'),
}
