/** What a plain field of a form says when it changes. */
export const pick = (event: Event): string => (event.target as HTMLSelectElement).value

export const ticked = (event: Event): boolean => (event.target as HTMLInputElement).checked

/** The number typed, with a point or a comma; null where there is none. */
export const typed = (event: Event): number | null => {
  const value = Number.parseFloat((event.target as HTMLInputElement).value.replace(',', '.'))
  return Number.isFinite(value) ? value : null
}
