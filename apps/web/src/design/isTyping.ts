/** A key that goes into a field is no command. */
export const isTyping = (event: KeyboardEvent): boolean =>
  event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName);
