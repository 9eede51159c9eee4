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
  const fields = shown(FIELDS).filter((field) => !field.matches('[data-aside]'));
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

/** What Enter walks over in a step: a field, a box, the word of a group that Tab would reach. */
const STOPS = [':is(input, textarea)', '[role=radio]'].flatMap((stop) => [`[data-path]${stop}`, `[data-path] ${stop}`]);

/** Takes the caret from a field of a step to the next one; it stays where none follows. */
export function walkOn(from: Element): void {
  const stops = [...(from.closest('[data-zone=step]')?.querySelectorAll<HTMLElement>(STOPS.join()) ?? [])];
  const own = from.matches('[role=radio]') ? from.closest('[data-path]') : from;
  const follows = (stop: HTMLElement) =>
    !own?.contains(stop) && Boolean(from.compareDocumentPosition(stop) & Node.DOCUMENT_POSITION_FOLLOWING);
  stops.find((stop) => stop.tabIndex >= 0 && follows(stop) && stop.checkVisibility())?.focus();
}

/** Enter on a box or on a word of a group takes it, and walks on; one that is taken already is only passed. */
export function takeAndWalkOn(event: KeyboardEvent): void {
  const { target, key } = event;
  if (key !== 'Enter' || !(target instanceof HTMLElement) || !target.matches('[type=checkbox], [role=radio]')) return;
  if (!target.closest('[data-path]')) return;
  event.preventDefault();
  const isTaken = target instanceof HTMLInputElement ? target.checked : target.getAttribute('aria-checked') === 'true';
  if (!isTaken) target.click();
  walkOn(target);
}
