import { flatMap } from '../flat-map';
import type { BarAssessment } from '../bar/checks';
import type { Check, CheckId } from '../judge';
import type { Part } from '../reading';
import type { Schools } from '../schools';
import { valuesAt, type BenchSheet, type ReadingPath } from '../sheet';

/** What a customer is told to do differently, in the order it is said. */
export const ADVICE = [
  'check-tension-soon',
  'carry-wrench',
  'slacken-when-cold',
  'clear-after-filing',
  'sharpen-sooner',
  'sharpen-evenly',
  'keep-oil-coming',
  'turn-over',
  'go-on-greasing',
] as const;
export type AdviceCode = (typeof ADVICE)[number];

/**
 * What an advice follows from: a habit or a finding of the sheet, a part that is new, where the bar is worn, or how
 * this shop tensions.
 */
export type Because =
  | { readonly from: 'word'; readonly reading: ReadingPath; readonly word: string }
  | { readonly from: 'check'; readonly check: Check }
  | { readonly from: 'renewed'; readonly part: Part }
  | { readonly from: 'one-spot' }
  | { readonly from: 'one-edge-dips' }
  | { readonly from: 'greased' }
  | { readonly from: 'school' };

export interface Advice {
  readonly code: AdviceCode;
  readonly because: readonly Because[];
}

/** What advice is given from. */
export interface Advised {
  readonly sheet: BenchSheet;
  readonly bar: BarAssessment;
  readonly checks: readonly Check[];
  readonly renewed: readonly Part[];
  readonly schools: Schools;
}

/** The words of a reading that speak for an advice, where the sheet says one of them. */
function words(sheet: BenchSheet, reading: ReadingPath, ...saying: readonly string[]): readonly Because[] {
  const said = flatMap(valuesAt(sheet, reading.split('.')), (value) => (Array.isArray(value) ? value : [value]));
  const asWords = said.map((value) => (value === true ? 'yes' : value === false ? 'no' : String(value)));
  return saying.filter((word) => asWords.includes(word)).map((word) => ({ from: 'word', reading, word }));
}

/** A check that found something, once. */
function found({ checks }: Advised, id: CheckId): readonly Because[] {
  const check = checks.find((each) => each.id === id && (each.outcome === 'fail' || each.outcome === 'watch'));
  return check ? [{ from: 'check', check }] : [];
}

const renewed = (advised: Advised, part: Part): readonly Because[] =>
  advised.renewed.includes(part) ? [{ from: 'renewed', part }] : [];

/** What speaks for each advice; nothing where it is not given. */
const SPEAKS_FOR: Readonly<Record<AdviceCode, (advised: Advised) => readonly Because[]>> = {
  'check-tension-soon': (advised) => renewed(advised, 'chain'),
  'carry-wrench': (advised) => [
    ...words(advised.sheet, 'job.carriesWrench', 'no'),
    ...words(advised.sheet, 'strip.tension', 'slack'),
    ...words(advised.sheet, 'job.symptoms', 'chain-comes-off'),
    ...found(advised, 'bar.tail'),
  ],
  'slacken-when-cold': ({ schools }) => (schools.tension === 'warm' ? [{ from: 'school' }] : []),
  'clear-after-filing': ({ sheet }) => words(sheet, 'job.filesOnBar', 'yes'),
  'sharpen-sooner': (advised) => [
    ...(advised.bar.wearPlace.code === 'one-spot' ? [{ from: 'one-spot' } as const] : []),
    ...found(advised, 'chain.edge'),
    ...words(advised.sheet, 'job.symptoms', 'needs-force'),
    ...words(advised.sheet, 'job.sharpening', 'never'),
  ],
  'sharpen-evenly': (advised) => found(advised, 'chain.uneven'),
  'keep-oil-coming': (advised) => [
    ...found(advised, 'bar.oil-holes'),
    ...found(advised, 'bar.groove'),
    ...found(advised, 'bar.blueing'),
    ...found(advised, 'chain.resin'),
  ],
  'turn-over': ({ sheet, bar: { wearPattern } }) => [
    ...words(sheet, 'job.turnOver', 'never', 'sometimes'),
    ...(wearPattern.code === 'dipped' && wearPattern.edges.length === 1 ? [{ from: 'one-edge-dips' } as const] : []),
  ],
  'go-on-greasing': ({ sheet: { bar }, renewed: fresh }) =>
    bar?.nosePort !== false && !fresh.includes('bar') && (bar?.noseGreased || bar?.reworkDone?.includes('grease-nose'))
      ? [{ from: 'greased' }]
      : [],
};

/**
 * What to tell the customer, each with what it follows from. Nothing is told that no habit and no finding calls for.
 */
export function adviceFor(advised: Advised): readonly Advice[] {
  return ADVICE.map((code) => ({ code, because: SPEAKS_FOR[code](advised) })).filter(
    ({ because }) => because.length > 0,
  );
}
