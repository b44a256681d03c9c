/** Money is whole minor units; it is typed and read in units with two places. */
const MINOR = 100

/** `120.50 cr`, without places where there are none. */
export function showMoney(minor: number | null, currency = ''): string {
  if (minor === null) return '—'
  const text = minor % MINOR ? (minor / MINOR).toFixed(2) : String(minor / MINOR)
  return currency ? `${text}\u00a0${currency}` : text
}

/** What was typed, in minor units; null where it is no amount of money. */
export function readMoney(text: string): number | null {
  const found = /^(\d{1,9})(?:[.,](\d{1,2}))?$/.exec(text.trim())
  if (!found) return null
  return Number(found[1]) * MINOR + Number((found[2] ?? '').padEnd(2, '0'))
}
