/** Whether a key was meant for a field or a dialog, and not for the screen behind it. */
export const isTyping = ({ target }: KeyboardEvent): boolean =>
  (target as Element).closest?.('input, textarea, select, [role="dialog"]') != null

/** Up and down a column; the browser keeps left and right for the text itself. */
export function walkColumn(event: KeyboardEvent): void {
  const by_rows = { ArrowDown: 1, ArrowUp: -1, Enter: 1 }[event.key]
  const cell = event.target as HTMLElement
  if (by_rows === undefined || !cell.dataset.cell) return
  const column = cell.dataset.cell
  const cells = [...document.querySelectorAll<HTMLInputElement>(`[data-cell="${column}"]`)]
  const next = cells[cells.findIndex((one) => one === cell) + by_rows]
  event.preventDefault()
  if (next) next.select()
  else cell.blur()
}

/** What keeps a form from being sent is shown, not left where it is folded away. */
export function unfold({ currentTarget }: Event): void {
  ;(currentTarget as HTMLDetailsElement).open = true
}
