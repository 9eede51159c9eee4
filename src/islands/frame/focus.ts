/**
 * Takes the caret to what stands at a place of the sheet: its field, or the first of its words.
 * @returns false where it is not on the screen
 */
export function focusPlace(path: string): boolean {
  const place = document.querySelector(`[data-path="${CSS.escape(path)}"]`);
  const field = place?.matches('input, textarea, select')
    ? place
    : place?.querySelector('input, textarea, select, [role=radio][aria-checked=true], [role=radio], button');
  if (!(field instanceof HTMLElement)) return false;
  field.focus();
  return true;
}
