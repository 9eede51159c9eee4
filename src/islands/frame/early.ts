/** A field that is drawn before it answers. */
type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;
/** A box that is ticked, or one of several to choose from. */
type Tick = HTMLInputElement;

const TICKS = 'input[type=checkbox], input[type=radio]';
const FIELDS = 'input:not([type=checkbox], [type=radio], [type=file]), textarea, select';

const typed = new Map<Field, string>();
const ticked = new Map<Tick, boolean>();
/** The button that was pressed last. */
let pressed: HTMLButtonElement | null = null;
let answers = false;

function keepEntered({ target }: Event): void {
  if (answers || !(target instanceof Element)) return;
  if (target.matches(TICKS)) {
    // What was ticked last is ticked last again.
    ticked.delete(target as Tick);
    ticked.set(target as Tick, (target as Tick).checked);
  }
  if (target.matches(FIELDS)) typed.set(target as Field, (target as Field).value);
}

/** The framework takes the mark off an island in the moment from which its buttons answer themselves. */
function keepPressed({ target }: Event): void {
  if (target instanceof Element && target.closest('astro-island[ssr]')) pressed = target.closest('button') ?? pressed;
}

/** Keeps what is entered and pressed on a page that is drawn, but whose scripts are still on their way. */
export function keepWhatIsEarly(): void {
  for (const kind of ['input', 'change']) document.addEventListener(kind, keepEntered, true);
  document.addEventListener('click', keepPressed, true);
}

/**
 * Types a text anew: the script that draws the field takes what stands there when it arrives for old, and tells nobody.
 */
function type(field: Field, text: string): void {
  field.value = '';
  Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), 'value')!.set!.call(field, text);
  field.dispatchEvent(new Event(field.matches('select') ? 'change' : 'input', { bubbles: true }));
}

function tick(box: Tick, checked: boolean): void {
  box.checked = !checked;
  box.click();
}

/** Does what was kept, once fields and buttons answer: what was entered, then the last press. */
export function doWhatWasEarly(): void {
  answers = true;
  for (const [field, text] of typed) type(field, text);
  for (const [box, checked] of ticked) if (checked || box.type === 'checkbox') tick(box, checked);
  typed.clear();
  ticked.clear();
  pressed?.click();
  pressed = null;
}
