import { INSTRUMENT_IDS, type InstrumentId } from '../../core/quantity';

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

/** The tool that wrote what a field just took in; nothing for a hand. It is said once. */
export function writtenBy(field: HTMLInputElement): InstrumentId | undefined {
  const tool = INSTRUMENT_IDS.find((id) => id === field.dataset.tool);
  delete field.dataset.tool;
  return tool;
}

/** Types into a field as a hand would, so that everything that follows from typing follows; Enter then walks on. */
export function typeInto(field: HTMLInputElement, text: string, walkOn: boolean): void {
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
  field.focus();
  field.dataset.tool = 'caliper';
  set?.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
  if (walkOn) field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
}
