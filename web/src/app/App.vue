<script setup lang="ts">
/** The frame: which setup, which screen, saved or not, units and light. */
import { useEventListener, useTimeout } from '@vueuse/core'
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import HistoryDrawer from '@/setup/HistoryDrawer.vue'
import SetupsDialog from '@/setup/SetupsDialog.vue'
import { goTo } from './router'
import TroubleBanner from './TroubleBanner.vue'
import ScreenNav from './ScreenNav.vue'
import { useLook } from '@/setup/look'
import { isUnsaved, settleAll } from '@/setup/unsaved'
import { useSetup } from '@/setup/useSetup'

const WAITED_MS = 400 // less is not worth a word, which would only flicker

const store = useSetup()
const route = useRoute()
const router = useRouter()
const look = useLook()
const managing = ref(false)
const past = ref(false)
const loaded = ref(false)
const slow = useTimeout(WAITED_MS)

onMounted(async () => {
  await store.open()
  loaded.value = true
})
watch(
  () => loaded.value && !store.kept && !store.lost,
  (none) => none && void router.replace('/start'),
)
// A screen that cannot be fetched: nobody is there, which is told; or there are other screens by now,
// and the page is asked for anew, unless one has gone elsewhere meanwhile.
let wanted = ''
onUnmounted(router.beforeEach((to) => void (wanted = to.fullPath)))
onUnmounted(
  router.onError(async (_, to) => {
    await store.open()
    if (store.lost || to.fullPath !== wanted || to.path === window.location.pathname) return
    window.location.assign(to.fullPath)
  }),
)
// What is under way is sent after a reload too; but nobody has to count on that.
useEventListener(window, 'pagehide', settleAll)
useEventListener(window, 'beforeunload', (event) => {
  settleAll()
  if (store.unsent.length || isUnsaved()) event.preventDefault()
})
// Coming back to this tab: another one may have changed the setup meanwhile.
useEventListener(document, 'visibilitychange', () => {
  if (document.visibilityState === 'visible' && !store.tried && !store.saving) void store.open()
})

function choose(command: number | 'all' | 'new'): void {
  if (command === 'all') managing.value = true
  else if (command === 'new') void goTo('/start')
  else void store.open(command)
}
const saved = computed(() => {
  if (store.lost || store.unsent.length > store.saving) return 'not saved'
  if (store.saving > 0) return 'saving…'
  if (!store.kept) return ''
  const at = new Date(store.kept.saved_at)
  return `saved ${at.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}`
})
</script>

<template>
  <div class="frame">
    <header>
      <b class="brand">Neat Hull</b>
      <el-dropdown v-if="store.kept" trigger="click" :persistent="false" @command="choose">
        <button type="button" class="setup" data-testid="setup">
          {{ store.kept.setup.name }} · <b>{{ store.kept.setup.boat.name }}</b>
          <span aria-hidden="true">▾</span>
        </button>
        <template #dropdown>
          <el-dropdown-menu>
            <el-dropdown-item
              v-for="one in store.names.filter((name) => !name.archived)"
              :key="one.setup_id"
              :command="one.setup_id"
            >
              {{ one.name }} · {{ one.boat }}
            </el-dropdown-item>
            <el-dropdown-item divided command="all" data-testid="all-setups"
              >Copy, rename, move, files…</el-dropdown-item
            >
            <el-dropdown-item command="new" data-testid="new-boat"
              >Start with a new boat…</el-dropdown-item
            >
          </el-dropdown-menu>
        </template>
      </el-dropdown>
      <ScreenNav v-if="store.kept" />
      <div v-if="store.kept" class="right">
        <span class="soft" data-testid="saved">{{ saved }}</span>
        <button
          type="button"
          class="icon"
          :disabled="!store.kept.undo_label"
          :title="store.kept.undo_label ? `Undo: ${store.kept.undo_label}` : 'Nothing to undo'"
          aria-label="Undo"
          data-testid="undo"
          @click="store.step('undo')"
        >
          <svg viewBox="0 0 16 16" width="15" height="15">
            <path d="M6 3L2.5 6.5L6 10M3 6.5h6.5a3.5 3.5 0 0 1 0 7H7" />
          </svg>
        </button>
        <button
          type="button"
          class="icon"
          :disabled="!store.kept.redo_label"
          :title="store.kept.redo_label ? `Redo: ${store.kept.redo_label}` : 'Nothing to redo'"
          aria-label="Redo"
          data-testid="redo"
          @click="store.step('redo')"
        >
          <svg viewBox="0 0 16 16" width="15" height="15">
            <path d="M10 3l3.5 3.5L10 10M13 6.5H6.500a3.5 3.5 0 0 0 0 7H9" />
          </svg>
        </button>
        <button
          type="button"
          class="icon"
          aria-label="History"
          title="History"
          data-testid="open-history"
          @click="past = true"
        >
          <svg viewBox="0 0 16 16" width="15" height="15">
            <path d="M3 4h10M3 8h7M3 12h4" />
          </svg>
        </button>
        <button
          type="button"
          class="text"
          title="Change units"
          data-testid="units"
          @click="look.units = look.units === 'metric' ? 'imperial' : 'metric'"
        >
          {{ look.units === 'metric' ? 'kg · cm' : 'lb · in' }}
        </button>
        <button
          type="button"
          class="icon"
          :aria-pressed="look.night"
          aria-label="Night colours"
          title="Night colours"
          @click="look.night = !look.night"
        >
          <svg viewBox="0 0 16 16" width="15" height="15">
            <path d="M13 9.500A5.500 5.500 0 1 1 6.500 3a4.500 4.500 0 0 0 6.500 6.500z" />
          </svg>
        </button>
      </div>
    </header>
    <TroubleBanner />
    <div class="screen">
      <RouterView v-if="store.kept || (loaded && route.path === '/start')" />
      <p v-else-if="slow && !loaded" class="soft waiting" role="status">Loading your boats…</p>
    </div>
    <SetupsDialog v-if="store.kept" v-model="managing" />
    <HistoryDrawer v-if="store.kept" v-model="past" />
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  flex-direction: column;
  height: 100%;
}
header {
  display: flex;
  flex: none;
  gap: 14px;
  align-items: center;
  min-height: 46px;
  padding: 0 14px;
  border-bottom: 1px solid var(--line);
  background: var(--card);
}
.brand {
  font-size: 16px;
}
.setup {
  height: 28px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font-size: 13px;
  cursor: pointer;
}
.right {
  display: flex;
  gap: 6px;
  align-items: center;
  margin-left: auto;
  white-space: nowrap;
}
.icon,
.text {
  height: 28px;
  border: 1px solid transparent;
  border-radius: 6px;
  background: none;
  color: var(--ink);
  font-size: 13px;
  cursor: pointer;
}
.icon {
  display: grid;
  width: 28px;
  padding: 0;
  place-items: center;
}
.icon:hover:not(:disabled),
.text:hover {
  border-color: var(--line);
}
.icon:disabled {
  opacity: 0.35;
  cursor: default;
}
.icon svg {
  fill: none;
  stroke: currentColor;
  stroke-width: 1.5;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.screen {
  position: relative; /* what is hidden from sight but not from readers stays within it */
  flex: 1;
  min-height: 0;
  overflow: auto;
}
.waiting {
  margin: 30vh 0 0;
  text-align: center;
}
@media (max-width: 900px) {
  header {
    flex-wrap: wrap;
    gap: 6px 10px;
    padding: 6px 10px;
  }
}

@media (max-width: 600px) {
  .screen {
    padding-bottom: 42px; /* the groups stand along the foot */
  }
}
</style>
