/** Ticks on a list of the open setup: set at once, sent when there is a way, kept here until then. */
import { useLocalStorage, useOnline } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, ask, Refusal, whyNone, type Schemas } from '@/api/client'
import { useSetup } from './useSetup'

type List = Schemas['Tick']['list']

/** Of one list. */
export function useTicks(list: List) {
  const { isDone, set, clear, trouble } = useAllTicks()
  return {
    isDone: (line: string) => isDone(list, line),
    set: (line: string, done: boolean) => set(list, line, done),
    clear: () => clear(list),
    trouble,
  }
}

/** Of all lists, read at once. */
export function useAllTicks() {
  const store = useSetup()
  const online = useOnline()
  const setup_id = computed(() => store.kept?.setup_id ?? 0)
  const known = ref<Partial<Record<List, string[]>>>({})
  /** what was set here and is not there yet, by setup, list and line */
  const waiting = useLocalStorage<Record<string, boolean>>('neat-hull-ticks', {})
  const trouble = ref('')
  const key = (list: List, line: string) => `${setup_id.value}/${list}/${line}`
  const isDone = (list: List, line: string): boolean =>
    waiting.value[key(list, line)] ?? known.value[list]?.includes(line) ?? false

  function taken(answer: Schemas['Ticks']): void {
    known.value = answer.done
  }
  /** Sends what waits, one after the other; what cannot be sent waits on. */
  async function send(): Promise<void> {
    const path = { setup_id: setup_id.value }
    try {
      for (const [full, done] of Object.entries(waiting.value)) {
        const [id, name, ...line] = full.split('/')
        if (Number(id) !== setup_id.value) continue
        const body = { list: name as List, line: line.join('/'), done }
        taken(await ask(api.PUT('/api/v1/setups/{setup_id}/ticks', { params: { path }, body })))
        if (waiting.value[full] === done) delete waiting.value[full]
      }
      trouble.value = ''
    } catch (error) {
      const why = whyNone(error)
      if (error instanceof Refusal) trouble.value = why
    }
  }
  async function load(): Promise<void> {
    if (!setup_id.value) return
    const path = { setup_id: setup_id.value }
    try {
      taken(await ask(api.GET('/api/v1/setups/{setup_id}/ticks', { params: { path } })))
    } catch (error) {
      whyNone(error) // what was ticked is sent all the same
    }
    await send()
  }
  function set(list: List, line: string, done: boolean): void {
    waiting.value[key(list, line)] = done
    void send()
  }
  async function clear(list: List): Promise<void> {
    const here = key(list, '')
    const told = Object.keys(waiting.value).filter((one) => one.startsWith(here))
    for (const line of [...(known.value[list] ?? []), ...told.map((one) => one.slice(here.length))])
      if (isDone(list, line)) waiting.value[key(list, line)] = false
    await send()
  }
  watch([setup_id, online], () => void load(), { immediate: true })
  return { isDone, set, clear, trouble }
}
