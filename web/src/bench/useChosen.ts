/**
 * Selected items on the bench: one thing in hand, and those marked with it. A group is chosen as
 * one; what goes ashore is chosen no longer.
 */
import { computed, ref, watch } from 'vue'
import type { useSetup } from '@/setup/useSetup'

export function useChosen(store: ReturnType<typeof useSetup>) {
  const selected = ref<number | null>(null)
  const marks = ref<ReadonlySet<number>>(new Set())
  const marked = computed(() => new Set([...marks.value].filter((id) => store.places.has(id))))

  /** A thing with its group. */
  function withGroup(id: number): number[] {
    const group = store.places.get(id)?.group
    if (!group) return [id]
    return [...store.places].filter(([, place]) => place.group === group).map(([one]) => one)
  }

  /** Take one thing in hand; `keep` leaves the marks as they are. */
  function pick(id: number | null, keep = false): void {
    selected.value = id
    if (id === null) marks.value = new Set()
    else if (!keep && !marked.value.has(id)) {
      const all = withGroup(id)
      marks.value = new Set(all.length > 1 ? all : [])
    }
  }

  /** Mark a thing as well, or no longer; what was in hand stays in the choice. */
  function mark(id: number): void {
    const now = new Set(marked.value)
    if (selected.value !== null && selected.value !== id && now.size === 0)
      withGroup(selected.value).forEach((one) => now.add(one))
    const all = withGroup(id)
    const out = now.has(id)
    all.forEach((one) => (out ? now.delete(one) : now.add(one)))
    marks.value = now
    if (!out) selected.value = id
    else if (selected.value === id) selected.value = [...now].at(-1) ?? null
  }

  function markAll(): void {
    marks.value = new Set(store.places.keys())
    selected.value ??= [...marks.value][0] ?? null
  }

  function clear(): void {
    pick(null)
  }

  watch(
    () => store.kept?.setup_id,
    () => clear(),
  )
  return { selected, marked, pick, mark, markAll, clear }
}
