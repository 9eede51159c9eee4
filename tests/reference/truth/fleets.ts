import { DEFAULTS } from '../../../src/core/limits';
import {
  foreseeAt,
  lifeOf,
  NOTHING_SAID,
  piecesOf,
  usualRate,
  visitFacts,
  type Visit,
  type WearId,
} from '../../../src/core/life';
import { readSheet } from '../../../src/core/sheet';
import type { Appraisal } from '../../../src/core/assess';
import { minutesOf, type NextMeasurement } from '../../../src/core/next';
import type { SignedChoices } from '../../../src/core/refit';
import { begun, finished, handsOf, measure, PARTS, type Parts, type SaidSame, type Saw } from './jobs';
import { random, type Random } from './random';

const HOUR = 3600 * 1000;
const WEEK = 7 * 24 * HOUR;
const FIRST = Date.parse('2026-01-05T08:00:00Z');

/** How a part was found to wear: by how much an hour, about what such parts do. */
const rateOf = (wear: WearId, { normal }: Random): number => {
  const { value, u } = usualRate(wear, DEFAULTS);
  const drawn = value + normal(u);
  return value < 0 ? Math.min(0, drawn) : Math.max(0, drawn);
};

type Rates = Readonly<Record<'depth' | 'width' | 'growth' | 'wear', number>>;

const ratesOf = (random: Random): Rates => ({
  depth: rateOf('bar.depth', random),
  width: rateOf('bar.play', random),
  growth: rateOf('chain.elongation', random),
  wear: rateOf('sprocket.wear', random),
});

const SOUND = { crack: { bar: false, chain: false }, bow: 0.1, nose: 'free' } as const;

/** A saw whose parts are anywhere in their lives, none of them over. */
const halfWorn = ({ between }: Random): Saw => ({
  ...SOUND,
  ...{ depth: between(6.6, 8.5), width: between(1.3, 1.6), cutter: 6, growth: between(0.3, 2), wear: between(0, 0.3) },
});

const wornOn = (saw: Saw, rates: Rates, hours: number): Saw => ({
  ...saw,
  depth: saw.depth + rates.depth * hours,
  width: saw.width + rates.width * hours,
  growth: saw.growth + rates.growth * hours,
  wear: saw.wear + rates.wear * hours,
});

/** Something that no wear foretells: a bar bent over a log and filed down, a seized sprocket, a dry chain. */
function happened(saw: Saw, { between, chance }: Random): Saw {
  return {
    ...saw,
    depth: chance(0.5) ? saw.depth - between(0.2, 1.5) : saw.depth,
    width: chance(0.5) ? saw.width + between(0.05, 0.4) : saw.width,
    growth: chance(0.5) ? saw.growth + between(0.3, 2) : saw.growth,
    wear: chance(0.5) ? saw.wear + between(0.1, 0.5) : saw.wear,
  };
}

/** What comes again: in truth, and as it is told. */
function returning(saw: Saw, random: Random): { readonly saw: Saw; readonly said: SaidSame } {
  const { chance } = random;
  let now = chance(0.05) ? happened(saw, random) : saw;
  const other = halfWorn(random);
  const swapped = { bar: chance(0.05), chain: chance(0.2), driveSprocket: chance(0.05) };
  if (swapped.bar) now = { ...now, depth: other.depth, width: other.width };
  if (swapped.chain) now = { ...now, growth: other.growth };
  if (swapped.driveSprocket) now = { ...now, wear: other.wear };
  // One in twenty who swapped a part does not know.
  const said = (part: (typeof PARTS)[number]) => !swapped[part] || chance(0.05);
  return { saw: now, said: { bar: said('bar'), chain: said('chain'), driveSprocket: said('driveSprocket') } };
}

/** One number read off a tool, or one look, each. */
const READINGS: Readonly<Record<string, number>> = {
  'bar.edges.A.stations': 10,
  'bar.edges.B.stations': 10,
  'chain.pushPull': 2,
};
const readingsOf = (taken: readonly NextMeasurement[]): number =>
  taken.reduce((sum, { measure: read }) => sum + (READINGS[read] ?? 1), 0);

/** A job on a saw as its visit. */
function visitOf(
  appraisal: Appraisal,
  parts: Parts,
  gone: SignedChoices,
  { at, i, hoursPerWeek }: { readonly at: number; readonly i: number; readonly hoursPerWeek: number },
): Visit {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error('A sheet of the simulation is not read.');
  const sheet = { ...read.value, job: { ...read.value.job, hoursPerWeek } };
  const came = new Date(at).toISOString();
  const facts = visitFacts({ sheet, identity: appraisal.identity, before: appraisal, now: appraisal, gone });
  return { jobId: `j${i}`, tag: `T${i}`, came, went: came, facts };
}

/** What is foreseen of a saw's parts, as a sheet carries it. */
function foreseenOf(visits: readonly Visit[], at: number): NonNullable<Parts['saw']>['foreseen'] {
  const pieces = piecesOf([{ saw: 's', visits }], NOTHING_SAID).filter(({ ended }) => ended === null);
  return pieces.flatMap((piece) =>
    foreseeAt(lifeOf(piece, DEFAULTS), new Date(at).toISOString()).map(
      ({ wear, value, u, where, tag, at: looked }) => ({
        ...{ of: wear, value, doubt: u, ...where, seen: tag, on: looked.slice(0, 10) },
      }),
    ),
  );
}

/** How returning saws were decided, with their past and without. */
interface Returned {
  readings: number;
  minutes: number;
  wrongKeeps: number;
  wrongReplaced: number;
  undecided: number;
}

const nothing = (): Returned => ({ readings: 0, minutes: 0, wrongKeeps: 0, wrongReplaced: 0, undecided: 0 });

/** A service: measured as the plan says, and what is finished by its verdicts goes on new. */
function served(saw: Saw, random: Random) {
  const parts = begun();
  const { appraisal } = measure(saw, parts, handsOf(random), byPlanOnly);
  const isGone = (part: (typeof PARTS)[number]) => appraisal.verdicts[part].action === 'replace';
  const gone = Object.fromEntries(PARTS.filter(isGone).map((part) => [part, 'replace' as const]));
  const fresh: Partial<Saw> = {
    ...(isGone('bar') ? { depth: 8.5, width: 1.32 } : {}),
    ...(isGone('chain') ? { growth: 0.2 } : {}),
    ...(isGone('driveSprocket') ? { wear: 0 } : {}),
  };
  return { parts, appraisal, gone, after: { ...saw, ...fresh } };
}

/** A saw that came some times, as it is by the next, and what is foreseen of it. */
function historyOf(random: Random, looks: number) {
  let saw = halfWorn(random);
  const rates = ratesOf(random);
  const hoursPerWeek = random.between(2, 5);
  // What people tell of their hours is off by fifteen percent.
  const told = hoursPerWeek * (1 + random.normal(0.15));
  const visits: Visit[] = [];
  let at = FIRST;
  for (let i = 0; i < looks; i += 1) {
    const { parts, appraisal, gone, after } = served(saw, random);
    visits.push(visitOf(appraisal, parts, gone, { at, i, hoursPerWeek: told }));
    const weeks = random.between(2, 8);
    at += weeks * WEEK;
    saw = wornOn(after, rates, weeks * hoursPerWeek);
  }
  return { saw, foreseen: foreseenOf(visits, at) ?? [] };
}

/**
 * Fleets with known wear: each saw comes some times, and then again, measured once without its past and once with it.
 * Every saw has streams of its own, so that both are asked of the same saws.
 * @param looks services before
 */
export function returningSaws(seed: number, runs: number, looks: number) {
  const [without, withPast] = [nothing(), nothing()];
  for (let run = 0; run < runs; run += 1) {
    const own = (stream: number) => random(seed + 10 * run + stream);
    const { saw, foreseen } = historyOf(own(0), looks);
    const now = returning(saw, own(1));
    const truth = finished(now.saw);
    for (const [tally, parts] of [
      [without, begun()],
      [withPast, { ...begun(), saw: { foreseen, sameChain: now.said.chain, sameSprocket: now.said.driveSprocket } }],
    ] as const) {
      const { appraisal, taken } = measure(now.saw, parts, handsOf(own(2)), byPlanOnly, now.said);
      tally.readings += readingsOf(taken) / runs;
      tally.minutes += minutesOf(taken) / runs;
      for (const part of PARTS) {
        const { action } = appraisal.verdicts[part];
        if (action === 'undecided') tally.undecided += 1;
        else if (action === 'replace' && !truth[part]) tally.wrongReplaced += 1;
        else if (action !== 'replace' && truth[part]) tally.wrongKeeps += 1;
      }
    }
  }
  return { without, withPast };
}

/** As the plan says; a stamp that was read already is not read again. */
const byPlanOnly = (next: readonly NextMeasurement[]): NextMeasurement | undefined =>
  next.find(({ measure: asked }) => asked !== 'bar.stamp');
