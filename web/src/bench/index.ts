import type { Screen } from '@/kit/subject'
import View from './View.vue'

/** Loaded with the page: it is where most of the time is spent. */
export const bench: Screen = { path: '/bench', name: 'Bench', group: 'Bench', component: View }
