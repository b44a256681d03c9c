import type { Screen } from '@/kit/subject'

export const angler: Screen = {
  path: '/angler',
  name: 'Angler',
  component: () => import('./View.vue'),
}
