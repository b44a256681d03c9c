/** `13:30`; past midnight it begins anew. */
export function clock(hour: number): string {
  const minutes = ((Math.round(60 * hour) % 1440) + 1440) % 1440
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`
}

/** The hour of the day that was typed as `13:30`; null where it is none. */
export function hourOf(text: string): number | null {
  const found = /^(\d{1,2}):(\d{2})$/.exec(text.trim())
  if (!found || Number(found[1]) > 24 || Number(found[2]) > 59) return null
  return Number(found[1]) + Number(found[2]) / 60
}

/** The day it is here, as the calendar writes it. */
export const today = (): string => new Date().toLocaleDateString('sv')
