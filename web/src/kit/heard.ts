/** What a plain field of a form says when it changes. */
export const pick = (event: Event): string => (event.target as HTMLSelectElement).value

export const ticked = (event: Event): boolean => (event.target as HTMLInputElement).checked

/** The number in a text, with a point or a comma; null where there is none. */
export function numberIn(text: string): number | null {
  const value = Number.parseFloat(text.replace(',', '.'))
  return Number.isFinite(value) ? value : null
}

/** The same where it is more than nothing; null for all else. */
export function positiveIn(text: string): number | null {
  const value = numberIn(text)
  return value !== null && value > 0 ? value : null
}
