<script setup lang="ts">
/** The five groups of the work, and the screens of the one that is open. */
import { useEventListener } from '@vueuse/core'
import { computed, reactive, watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import type { Group } from '@/kit/subject'
import { isTyping } from '@/kit/typing'
import { goTo, SCREENS } from './router'

const route = useRoute()
const here = computed(() => SCREENS.find((screen) => screen.path === route.path))
const groups = [...new Set(SCREENS.map((screen) => screen.group))]
const screensOf = (group: Group) => SCREENS.filter((screen) => screen.group === group)
// A group opens where one was in it last.
const last = reactive(new Map<Group, string>())
watchEffect(() => {
  if (here.value) last.set(here.value.group, here.value.path)
})
const pathOf = (group: Group): string => last.get(group) ?? screensOf(group)[0]!.path
const open = computed(() => (here.value ? screensOf(here.value.group) : []))

/** To the next of a row, round the end. */
function next<T>(row: readonly T[], at: T | undefined, step: number): T {
  const i = at === undefined ? 0 : row.indexOf(at)
  return row[(i + step + row.length) % row.length]!
}
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (event.ctrlKey || event.metaKey || event.altKey) return
  if (isTyping(event)) return
  const step = { ',': -1, '.': 1, '<': -1, '>': 1 }[event.key]
  if (step === undefined) return
  if (event.key === '<' || event.key === '>')
    void goTo(pathOf(next(groups, here.value?.group, step)))
  else void goTo(next(SCREENS, here.value, step).path)
  event.preventDefault()
})
</script>

<template>
  <nav class="groups" aria-label="Groups of screens">
    <RouterLink
      v-for="group in groups"
      :key="group"
      :to="pathOf(group)"
      :class="{ open: group === here?.group }"
      active-class=""
      exact-active-class=""
      >{{ group }}</RouterLink
    >
  </nav>
  <nav v-if="open.length > 1" class="screens" aria-label="Screens">
    <RouterLink v-for="screen in open" :key="screen.path" :to="screen.path">{{
      screen.name
    }}</RouterLink>
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  gap: 2px;
}
a {
  padding: 5px 10px;
  border-radius: 6px;
  color: var(--soft);
  text-decoration: none;
}
a:hover {
  color: var(--ink);
}
.groups .open {
  background: var(--ink);
  color: var(--on-ink);
}
.screens {
  padding-left: 12px;
  border-left: 1px solid var(--line);
}
.screens .router-link-active {
  color: var(--ink);
  font-weight: 600;
  box-shadow: inset 0 -2px 0 var(--pick);
  border-radius: 0;
}

@media (max-width: 600px) {
  /* In the thumb's reach, and out of the way of what is read. */
  .groups {
    position: fixed;
    right: 0;
    bottom: 0;
    left: 0;
    z-index: 5;
    justify-content: space-around;
    padding: 5px 4px;
    border-top: 1px solid var(--line);
    background: var(--card);
  }
  .screens {
    flex-basis: 100%;
    padding: 0;
    border: 0;
  }
}
</style>
