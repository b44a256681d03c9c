/** The day at an hour: the row that holds there, or what lies straight between two of them. */
import type { Schemas } from '@/api/client'

type Row = Schemas['HourRow']

/** The rows on both sides of an hour, and the share of the way between them. */
export function between(rows: readonly Row[], hour: number): { a: Row; b: Row; share: number } {
  const after = rows.findIndex((row) => row.h > hour + 1e-9)
  if (after === 0) return { a: rows[0]!, b: rows[0]!, share: 0 }
  if (after < 0) return { a: rows.at(-1)!, b: rows.at(-1)!, share: 0 }
  const [a, b] = [rows[after - 1]!, rows[after]!]
  return { a, b, share: b.h > a.h ? (hour - a.h) / (b.h - a.h) : 0 }
}

/** A figure at an hour, drawn straight between the two rows that the core worked out. */
export function at(
  rows: readonly Row[],
  hour: number,
  read: (row: Row) => number | null,
): number | null {
  const { a, b, share } = between(rows, hour)
  const [from, to] = [read(a), read(b)]
  return from === null || to === null ? from : from + share * (to - from)
}
