/**
 * Something that is typed at and saved as a whole. When it changes underneath, by a save, an undo or
 * another tab, what was typed is laid over the newest; only another owner's is taken as it is. The
 * source is what the server has confirmed: a save that is refused leaves what was typed.
 */
import { computed, ref, shallowRef, toRaw, watch, type Ref } from 'vue'
import { merged, patchOf, type Patch } from './patch'
import { holdsUnsaved } from './unsaved'

export function useDraft<T extends object>(
  source: () => T | null | undefined,
  owner: () => unknown,
) {
  const draft = ref(null) as Ref<T | null>
  const base = shallowRef<T | null>(null)
  /** A copy; it reads every field, so that what hangs on it hears of each. */
  const plain = (): T | null =>
    draft.value ? (JSON.parse(JSON.stringify(draft.value)) as T) : null
  const patch = (): Patch | null => {
    const now = plain()
    return base.value && now ? patchOf(base.value, now) : null
  }
  const changed = computed(() => patch() !== null)

  function reset(): void {
    base.value = source() ?? null
    draft.value = base.value && structuredClone(toRaw(base.value))
  }
  watch(
    [source, owner],
    ([now, of], before) => {
      const mine = before && before[1] === of ? patch() : null
      base.value = now ?? null
      const next = now && (mine ? merged(now, mine.fields) : now)
      if (JSON.stringify(next) !== JSON.stringify(draft.value))
        draft.value = next ? structuredClone(toRaw(next)) : null
    },
    { immediate: true },
  )
  holdsUnsaved(changed)
  return { draft, base, changed, plain, reset }
}
