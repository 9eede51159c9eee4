/** The field that a reading lands in: the last one of the step that had the caret and takes text. */
export function lastField(): { current: HTMLInputElement | null; stop: () => void } {
  const held: { current: HTMLInputElement | null; stop: () => void } = { current: null, stop: () => undefined };
  const listen = ({ target }: FocusEvent) => {
    if (target instanceof HTMLInputElement && target.matches('[data-path]')) held.current = target;
  };
  document.addEventListener('focusin', listen);
  held.stop = () => document.removeEventListener('focusin', listen);
  if (document.activeElement instanceof HTMLInputElement && document.activeElement.matches('[data-path]'))
    held.current = document.activeElement;
  return held;
}

/** What the field holds once a reading has come: alone, or behind the repeats that are there. */
export function withReading(text: string, reading: string, repeat: boolean): string {
  return repeat && text.trim() !== '' ? `${text.trim()}; ${reading}` : reading;
}

/** Types into a field as a hand would, so that everything that follows from typing follows; Enter then walks on. */
export function typeInto(field: HTMLInputElement, text: string, walkOn: boolean): void {
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
  field.focus();
  set?.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
  if (walkOn) field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
}
