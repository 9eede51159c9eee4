import { SCHOOL_IDS, type SchoolId } from '../../core/schools';
import type { LearnedCode } from '../../core/identify';
import { codeMeaning } from './identity';
import { schoolAnswer, schoolName } from './bar';

/** An answer of a school in words; what is not known any more stands as it was written. */
export const schoolAnswerWord = (school: SchoolId, answer: string): string =>
  (schoolAnswer[school] as Readonly<Record<string, string>>)[answer] ?? answer;

const FACT_NAMES: Readonly<Record<string, string>> = {
  name: 'Name',
  currency: 'Currency',
  timeZone: 'Time zone',
  style: 'Dates and numbers',
  supplier: 'The simulated supplier',
  customerPrice: 'Price on the customer’s page',
  unit: 'Unit of lengths',
  sharesGear: 'Customers and saws shown to the other shops',
};

/** Whether the customer's page tells the price, in words. */
export const customerPriceWord = { 'left-out': 'left out', told: 'told' } as const;

const CODE = 'code.';
const SCHOOL = 'school.';

const STORE = 'store.';

const SET_UP = 'setUp.';

/** How a shop came to be in a store. */
const BEGINNINGS: Readonly<Record<string, { readonly name: string; readonly became: string }>> = {
  setUp: { name: 'The shop', became: 'begun' },
  demo: { name: 'The demo shop', became: 'loaded' },
};

/** What a shop begins with, as its changes tell it. */
const setUpWord: Readonly<Record<string, string>> = {
  shop: 'the shop',
  people: 'people',
  limits: 'limits',
  rates: 'rates',
  stock: 'stock',
  saws: 'saws',
  'sign-in': 'sign-in',
};
const setUpBecame: Readonly<Record<string, string>> = {
  done: 'settled',
  open: 'taken up again',
  left: 'left',
};

/** What a change of the shop is about: its facts, a school, a code, or the store itself. */
export type ChangedPlace = 'fact' | 'school' | 'code' | 'store';

export function changedPlace(what: string): ChangedPlace {
  if (what.startsWith(CODE)) return 'code';
  if (what.startsWith(STORE)) return 'store';
  return what.startsWith(SCHOOL) ? 'school' : 'fact';
}

/** What a code was taught to stand for, as it was written down: older versions knew pitch and gauge alone. */
type LearnedMeaning = Partial<Omit<LearnedCode, 'code' | 'note'>>;

function meaning(value: string): string {
  try {
    const {
      pitch = null,
      gauge = null,
      driveLinks = null,
      kickbackClass = null,
      replacedBy = '',
    } = JSON.parse(value) as LearnedMeaning;
    return codeMeaning({ pitch, gauge, driveLinks, kickbackClass, replacedBy });
  } catch {
    return value;
  }
}

/** What the store tells of itself. */
const STORE_SAID: Readonly<Record<string, readonly [name: string, became: string]>> = {
  mended: ['Guards of the store', 'put right'],
  'begun-anew': ['The chain of records', 'begun anew, since it was gone'],
  'put-back': ['A backup', 'put back'],
};

function storeChange(what: string, value: string | null) {
  const [name, became] = STORE_SAID[what] ?? [what, ''];
  return { name, became: value ? `${became}: ${value}` : became };
}

/** A change of the shop in words: what, and what it became. */
export function shopChange({ what, value }: { readonly what: string; readonly value: string | null }): {
  readonly name: string;
  readonly became: string;
} {
  const name = what.slice(what.indexOf('.') + 1);
  if (changedPlace(what) === 'code')
    return { name: `Code ${name}`, became: value === null ? 'forgotten' : `stands for ${meaning(value)}` };
  if (changedPlace(what) === 'store') return storeChange(name, value);
  const school = SCHOOL_IDS.find((id) => id === name);
  if (changedPlace(what) === 'school' && school)
    return { name: schoolName[school], became: `to “${schoolAnswerWord(school, value ?? '')}”` };
  if (BEGINNINGS[what]) return BEGINNINGS[what];
  if (what.startsWith(SET_UP))
    return { name: `Set-up, ${setUpWord[name] ?? name}`, became: setUpBecame[value ?? ''] ?? '' };
  const said = (customerPriceWord as Readonly<Record<string, string>>)[value ?? ''] ?? value;
  return { name: FACT_NAMES[what] ?? name, became: `to ${said ?? 'nothing'}` };
}
