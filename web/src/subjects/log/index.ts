import type { Screen } from '@/kit/subject'

export const log: Screen = {
  path: '/log',
  name: 'Log',
  group: 'Ashore',
  component: () => import('./View.vue'),
}
