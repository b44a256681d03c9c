/** Whether a key was meant for a field or a dialog, and not for the screen behind it. */
export const isTyping = ({ target }: KeyboardEvent): boolean =>
  (target as Element).closest?.('input, textarea, select, [role="dialog"]') != null
