import { createRouter, createWebHistory } from 'vue-router'
import { bench } from '@/bench'
import { start } from '@/start'
import type { Screen } from '@/kit/subject'
import { afloat } from '@/subjects/afloat'
import { angler } from '@/subjects/angler'
import { boat } from '@/subjects/boat'
import { compare } from '@/subjects/compare'
import { day } from '@/subjects/day'
import { fixing, work } from '@/subjects/fixing'
import { gear, shapes } from '@/subjects/gear'
import { glide } from '@/subjects/glide'
import { haul } from '@/subjects/haul'
import { hold } from '@/subjects/hold'
import { log } from '@/subjects/log'
import { money } from '@/subjects/money'
import { power } from '@/subjects/power'
import { reach } from '@/subjects/reach'
import { safety } from '@/subjects/safety'
import { sonar } from '@/subjects/sonar'

/** In the order of the work, a line each. */
export const SCREENS: Screen[] = [
  boat,
  angler,
  gear,
  bench,
  afloat,
  reach,
  glide,
  hold,
  safety,
  day,
  power,
  sonar,
  fixing,
  work,
  haul,
  log,
  money,
  compare,
]

export const router = createRouter({
  history: createWebHistory(),
  routes: [...SCREENS, start, shapes, { path: '/:rest(.*)*', redirect: '/bench' }],
})

/** To a screen, of our own accord. One that cannot be fetched is told by whoever hears of errors. */
export async function goTo(path: string): Promise<void> {
  await router.push(path).catch(() => undefined)
}
