import type { Screen } from '@/kit/subject'

export const glide: Screen = {
  path: '/glide',
  name: 'Glide',
  group: 'Afloat',
  component: () => import('./View.vue'),
}
