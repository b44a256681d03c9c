/** A row that is typed to be added: empty again at once, for the next may be typed before this one is
 * kept; what was refused comes back, unless the next has been begun. */
import { reactive } from 'vue'

export function useNewRow<T extends object>(blank: () => T, add: (row: T) => Promise<boolean>) {
  const next = reactive(blank()) as T
  const isBlank = (): boolean => JSON.stringify(next) === JSON.stringify(blank())

  async function put(): Promise<void> {
    const typed = { ...next }
    Object.assign(next, blank())
    if (!(await add(typed)) && isBlank()) Object.assign(next, typed)
  }
  return { next, put }
}
