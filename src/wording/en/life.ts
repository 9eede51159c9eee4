import type { Backtest, Custom, Ending, LifePoint, Marks, OtherBecause, Reach, WearId } from '../../core/life';
import { isReached, WEARS } from '../../core/life';
import type { Part } from '../../core/reading';
import { familyLabel, gaugeLabel, kickbackClassWord, partName, sprocketKindWord } from './labels';
import { plural } from './plural';
import { inSentence } from './sentence';

/** What wears, as a heading. */
export const wearName: Record<WearId, string> = {
  'bar.depth': 'Depth at the weakest place',
  'bar.play': 'Play in the groove',
  'chain.cutter': 'Shortest cutter',
  'chain.elongation': 'Growth of the chain',
  'sprocket.wear': 'Wear of the sprocket',
};

/** Writes a length in the unit of the screen. */
type Show = (mm: number) => string;

/** A value of what wears, with its unit. */
export const wearValue = (wear: WearId, value: number, show: Show): string =>
  WEARS[wear].unit === '%' ? `${value.toFixed(2)} %` : show(value);

/** What of a piece does not wear, in the order in which one asks for it at the counter. */
export const marksText = ({ pitch, gauge, driveLinks, kickbackClass, teeth, kind }: Marks): string =>
  [
    kind && sprocketKindWord[kind],
    pitch && familyLabel(pitch),
    gauge && gaugeLabel(gauge),
    driveLinks !== undefined && `${driveLinks} links`,
    teeth !== undefined && `${teeth} teeth`,
    kickbackClass && kickbackClassWord[kickbackClass],
  ]
    .filter(Boolean)
    .join(' · ');

const markName: Record<keyof Marks, string> = {
  pitch: 'pitch',
  gauge: 'gauge',
  driveLinks: 'count of links',
  kickbackClass: 'kickback class',
  teeth: 'count of teeth',
  kind: 'kind',
};

/** Why a piece is another than the one before. */
export function otherBecause(because: OtherBecause, show: Show): string {
  switch (because.code) {
    case 'said':
      return 'somebody said that it is another';
    case 'marks':
      return `its ${markName[because.mark]} is ${because.is}, and was ${because.was}`;
    case 'better': {
      const { wear, was, is } = because;
      return `${inSentence(wearName[wear])} came back at ${wearValue(wear, is, show)} after ${wearValue(wear, was, show)}: nothing grows back`;
    }
  }
}

/** How a piece left its saw. */
export function endedText(ended: Ending, to: string | null, show: Show): string {
  switch (ended.how) {
    case 'replaced':
      return 'replaced at the bench';
    case 'gone':
      return `gone when the saw came next: ${otherBecause(ended.because, show)}`;
    case 'moved':
      return `went over to ${to ?? 'another saw'}`;
    case 'displaced':
      return 'made room for one of another saw';
    case 'out-of-turn':
      return 'goes in turn with the others no more';
  }
}

/** When a limit is reached, as it is said: days are written by the shop. */
export interface ReachSaid {
  readonly wear: WearId;
  readonly limit: number;
  readonly isByFigures: boolean;
  readonly hours: Reach;
  readonly on: { readonly middle: string | null; readonly from: string | null; readonly until: string | null };
}

/** The middle of a forecast in a few words, for lists. */
export function reachBrief({ wear, limit, hours, on }: ReachSaid, show: Show, day: (iso: string) => string): string {
  const what = `${inSentence(wearName[wear])} ${wearValue(wear, limit, show)}`;
  if (isReached(hours)) return `${what}: reached`;
  if (on.middle === null) return `${what}: not for years`;
  return `${what} about ${day(on.middle)}`;
}

/** A forecast as a sentence, with its band. */
export function reachSentence(
  { wear, limit, isByFigures, hours, on }: ReachSaid,
  show: Show,
  day: (iso: string) => string,
): string {
  const what = `${wearName[wear]}: ${wearValue(wear, limit, show)}`;
  if (isReached(hours)) return `${what} is reached. Judge it at its next job.`;
  if (on.middle === null) return `${what} is not reached within ten years at this pace.`;
  const band =
    on.until === null
      ? `nine times in ten not before ${day(on.from ?? on.middle)}`
      : `eight times in ten between ${day(on.from ?? on.middle)} and ${day(on.until)}`;
  const by = isByFigures ? ' by the shop’s figures, since it was measured once' : '';
  return `${what} is reached about ${day(on.middle)}${by}, ${band}.`;
}

/** What custom says of a piece. */
export function customText(custom: Custom, day: (iso: string) => string): string {
  switch (custom.code) {
    case 'chains':
      return `${custom.chains} chains ran on it; custom changes it after ${custom.limit}.`;
    case 'turn-over':
      return `Turn it over: the chain was changed since it was turned on ${day(custom.since.slice(0, 10))}.`;
  }
}

/** Hours that are left until the middle of a forecast. */
export const hoursLeft = ({ middle, from, until }: Reach): string | null =>
  middle === null || until === null
    ? null
    : `${Math.round(middle)} running hours, ${Math.round(from ?? 0)} to ${Math.round(until)}`;

/** How fast it wears, beside what the shop's figures say of such pieces. */
export function rateText(wear: WearId, { value, u }: { value: number; u: number }, usual: number): string {
  const { unit } = WEARS[wear];
  const of = (rate: number) => (Math.abs(rate) * 100).toFixed(unit === '%' ? 1 : 2);
  const verb = value < 0 ? 'Loses' : 'Gains';
  const such = usual < 0 ? 'lose' : 'gain';
  return `${verb} ${of(value)} ± ${of(u)} ${unit} in a hundred hours; by the shop’s figures such pieces ${such} ${of(usual)}.`;
}

/** How forecasts of a piece did on its own records. */
export const backtestText = ({ foreseen, held }: Backtest): string | null =>
  foreseen === 0
    ? null
    : `Tried on its own records: ${plural(foreseen, { one: '# look was', other: '# looks were' })} foreseen from those before, and ${held} came within the band of eight in ten.`;

/** What happened at a point of a life. */
export const pointWord = ({ after }: Pick<LifePoint, 'after'>): string => (after ? 'after work' : 'as it came');

/** A piece by what it is and where. */
export const pieceTitle = (part: Part, saw: string): string => `${partName[part]} of ${saw}`;
