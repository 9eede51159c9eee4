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

const FIELDS =
  '[data-path]:is(input, textarea, select), [data-path] :is(input, textarea, select, [role=radio], button)';

/** Whether a field holds nothing yet. */
const isOpen = (field: Element): boolean =>
  field instanceof HTMLInputElement && (field.type === 'checkbox' || field.type === 'radio')
    ? !field.closest('[data-path]')?.querySelector(':checked')
    : 'value' in field && field.value === '';

/**
 * Takes the caret to the next thing to do in a step: what the step names itself, else its first open field, its act, or
 * its first field.
 * @returns false where there is nothing of the kind, or not yet
 */
export function focusFirst(zone: ParentNode): boolean {
  const shown = (found: string) => [...zone.querySelectorAll(found)].filter((each) => each.checkVisibility());
  const fields = shown(FIELDS);
  const next = shown('[data-next]')[0] ?? fields.find(isOpen) ?? shown('.act:not(:disabled)')[0] ?? fields[0];
  if (!(next instanceof HTMLElement)) return false;
  next.focus();
  return document.activeElement === next;
}

/** Takes the focus to the way to the first step that is open after the one that is shown. */
export function focusNextStep(): void {
  const way = document.querySelector('nav [data-step-next] button');
  if (way instanceof HTMLElement) way.focus();
}
