import { createRouter, createWebHistory } from 'vue-router'
import BenchView from '@/views/BenchView.vue'

/** In the order of the work. */
export const SCREENS = [
  { path: '/boat', name: 'Boat', component: () => import('@/views/BoatView.vue') },
  { path: '/angler', name: 'Angler', component: () => import('@/views/AnglerView.vue') },
  { path: '/gear', name: 'Gear', component: () => import('@/views/GearView.vue') },
  { path: '/bench', name: 'Bench', component: BenchView },
  { path: '/afloat', name: 'Afloat', component: () => import('@/views/AfloatView.vue') },
  { path: '/reach', name: 'Reach', component: () => import('@/views/ReachView.vue') },
  { path: '/compare', name: 'Compare', component: () => import('@/views/CompareView.vue') },
]

export const router = createRouter({
  history: createWebHistory(),
  routes: [...SCREENS, { path: '/:rest(.*)*', redirect: '/bench' }],
})
