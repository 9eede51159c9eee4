import { flatMap } from '../flat-map';
import { minutesOf } from '../next';
import { minutesFor, setUpFor, type Askable } from '../sheet';
import { faultOf, PRACTICE_PARTS, type PracticePart } from './faults';
import type { Truth } from './truth';

/** What must be read of a part before it can be called good (common practice, no source). */
const CARD: Readonly<Record<PracticePart, readonly Askable[]>> = {
  bar: [
    'bar.checks.crack',
    'bar.checks.oilHoles',
    'bar.checks.groove',
    'bar.checks.noseTurns',
    'bar.checks.bow',
    'bar.edges.A.stations',
    'bar.edges.B.stations',
    'bar.edges.mouth',
  ],
  chain: [
    'chain.checks.crack',
    'chain.checks.edge',
    'chain.cuttersLeft',
    'chain.cuttersRight',
    'chain.depthGaugesLeft',
    'chain.depthGaugesRight',
    'chain.pushPull',
  ],
  driveSprocket: ['driveSprocket.wear'],
};

/** What tells whether parts belong together. */
const MARKS: readonly Askable[] = ['bar.stamp', 'bar.groove', 'chain.stamp', 'chain.driveLinkThickness'];

/** Minutes that some readings take, each once; those that need the same set-up one after another. */
export function minutesOfAll(asked: readonly Askable[]): number {
  const readings = [...new Set(asked)].map((measure) => ({ measure, minutes: minutesFor(measure) }));
  return minutesOf(readings.toSorted((one, other) => bySetUp(one.measure).localeCompare(bySetUp(other.measure))));
}

const bySetUp = (asked: Askable): string => setUpFor(asked) ?? '';

/** What decides a part soonest for somebody who knew where to look. */
function decidingFor(part: PracticePart, { faults }: Truth): readonly Askable[] {
  const its = faults.map(faultOf).filter((fault) => fault.part === part);
  const condemning = its.filter(({ action }) => action === 'replace').map(({ shownBy }) => shownBy);
  const [soonest] = condemning.toSorted((one, other) => minutesOfAll(one) - minutesOfAll(other));
  // One reason condemns; only all that is on the card clears.
  return soonest ?? [...CARD[part], ...flatMap(its, ({ shownBy }) => shownBy)];
}

/** Minutes of the shortest plan that would have decided every part, and whether they belong together. */
export const shortestMinutes = (truth: Truth): number =>
  minutesOfAll([...flatMap(PRACTICE_PARTS, (part) => decidingFor(part, truth)), ...MARKS]);

/** What may be read of a part for a reason: its card, what shows its faults, and the marks, which show what does not belong. */
export const needsFor = (part: PracticePart, { faults }: Truth): readonly Askable[] => [
  ...CARD[part],
  ...MARKS,
  ...flatMap(faults.map(faultOf), (fault) => (fault.part === part ? fault.shownBy : [])),
];
