/**
 * An answer that takes from the one before whatever has not changed: parts that are equal are the
 * same object, so that nothing which hangs on them is drawn again.
 */
export function sharing<T>(before: unknown, now: T): T {
  if (before === now || !isPart(before) || !isPart(now)) return now
  if (Array.isArray(before) !== Array.isArray(now)) return now
  const was = before as Record<string, unknown>
  const is = now as Record<string, unknown>
  let same = Object.keys(was).length === Object.keys(is).length
  for (const key of Object.keys(is)) {
    is[key] = sharing(was[key], is[key])
    same &&= key in was && is[key] === was[key]
  }
  return same ? (before as T) : now
}

const isPart = (value: unknown): value is object => typeof value === 'object' && value !== null
