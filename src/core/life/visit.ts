import { doneOn, judgedParts, type Check, type Verdict } from '../judge';
import type { Identity } from '../identify';
import { isSame } from '../past';
import { PARTS, type Part } from '../reading';
import type { Action, BenchSheet, Operation } from '../sheet';
import type { SignedChoices } from '../refit';
import type { Marks } from './marks';
import { wornBy, type Worn } from './wear';

/** What one job says of the parts that came with it, kept for those that follow. */
export interface VisitFacts {
  /** Parts that something is said of. */
  readonly brought: readonly Part[];
  /** Parts that went on new. */
  readonly renewed: readonly Part[];
  /** Parts of which somebody said that they are not those of the job before. */
  readonly others: readonly Part[];
  /** As told. */
  readonly hoursPerWeek: number | null;
  readonly marks: Readonly<Partial<Record<Part, Marks>>>;
  readonly worked: Readonly<Partial<Record<Part, readonly Operation[]>>>;
  /** The edge that was down as the bar came, and as it went. */
  readonly edge: { readonly came: 'A' | 'B' | null; readonly went: 'A' | 'B' | null };
  /** As the parts came. */
  readonly came: Worn;
  /** What was measured again after work. */
  readonly went: Worn;
  /** What was found of each part that was brought: as it came, and as it stands after whatever was done. */
  readonly found: Readonly<Partial<Record<Part, { readonly came: Action; readonly went: Action }>>>;
}

/** Parts as they were judged. */
interface JudgedParts {
  readonly checks: readonly Check[];
  readonly verdicts: Readonly<Record<Part, Pick<Verdict, 'action'>>>;
}

/** A job, as what it says of its parts is made of it. */
export interface VisitedJob {
  readonly sheet: BenchSheet;
  readonly identity: Identity;
  /** The parts judged as they came, and as they stand. */
  readonly before: JudgedParts;
  readonly now: JudgedParts;
  /** What was done with each part, of a job that has gone; null of one that has not. */
  readonly gone: SignedChoices | null;
}

const known = <T extends object>(told: { readonly [K in keyof T]: T[K] | null | undefined }): Partial<T> =>
  Object.fromEntries(Object.entries(told).filter(([, value]) => value !== null && value !== undefined)) as Partial<T>;

function marksOf({ sheet, identity }: VisitedJob): Readonly<Record<Part, Marks>> {
  const { chain, bar, driveSprocket, nose } = identity;
  return {
    chain: known<Marks>({
      pitch: chain.pitch.value,
      gauge: chain.gauge.value,
      driveLinks: chain.driveLinks.value,
      kickbackClass: sheet.chain?.kickbackClass,
    }),
    bar: known<Marks>({ pitch: bar.pitch.value, gauge: bar.gauge.value }),
    driveSprocket: known<Marks>({
      pitch: driveSprocket.pitch.value,
      teeth: sheet.driveSprocket?.teeth,
      kind: sheet.driveSprocket?.type,
    }),
    nose: known<Marks>({ pitch: nose.pitch.value }),
  };
}

/** What is said not to be the part of the job before; another bar has another nose. */
const othersOf = (sheet: BenchSheet): readonly Part[] =>
  PARTS.filter((part) => isSame(part === 'nose' ? 'bar' : part, sheet) === false);

/** A new bar brings its nose. */
const renewedBy = (gone: SignedChoices | null): readonly Part[] =>
  PARTS.filter((part) => gone?.[part] === 'replace' || (part === 'nose' && gone?.bar === 'replace'));

/** What a job says of the parts that came with it. */
export function visitFacts(job: VisitedJob): VisitFacts {
  const { sheet } = job;
  const [came, standing] = [wornBy(job.before.checks), wornBy(job.now.checks)];
  const brought = judgedParts(sheet);
  const isAgain = (id: keyof Worn) => standing[id]?.value !== came[id]?.value;
  const renewed = renewedBy(job.gone);
  return {
    brought,
    renewed,
    others: othersOf(sheet),
    hoursPerWeek: sheet.job?.hoursPerWeek ?? null,
    marks: marksOf(job),
    worked: Object.fromEntries(
      brought
        .map((part) => [part, doneOn(part, sheet)] as const)
        .filter(([part, done]) => done.length > 0 && !renewed.includes(part)),
    ),
    edge: { came: sheet.bar?.edgeDown ?? null, went: sheet.bar?.edgeDownNow ?? null },
    came,
    went: Object.fromEntries(Object.entries(standing).filter(([id]) => isAgain(id as keyof Worn))),
    found: Object.fromEntries(
      brought.map((part) => [part, { came: job.before.verdicts[part].action, went: job.now.verdicts[part].action }]),
    ),
  };
}
