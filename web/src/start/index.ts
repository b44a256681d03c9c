/** From nothing to a first boat on the bench. */
export const start = { path: '/start', component: () => import('./View.vue') }
