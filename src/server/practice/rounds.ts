import { randomInt } from 'node:crypto';
import { appraise, DEFAULT_RULES } from '../../core/assess';
import {
  FIRST_RECIPE,
  HINT_MINUTES,
  isAllRead,
  makeTruth,
  paperOf,
  PRACTICE_PARTS,
  score,
  SITTING_MINUTES,
  take,
  type FaultId,
  type Level,
  type Recipe,
  type Said,
  type Taken,
  type Truth,
} from '../../core/practice';
import { isWithin, sheetFromEntries, type BenchSheet, type Entry, type ReadingPath } from '../../core/sheet';
import { addRound, findRound, putRound, recipeOf, roundsOfSitting, type RoundRecord } from '../../data/repositories';
import type { Queryable } from '../../data/store';
import type { BeginRound, PracticeAnswer, RoundView, TakeReading } from '../../contract';
import type { Context } from '../context';
import { notFound, Refusal } from '../refusal';
import { dueNext, skillsOf } from './again';
import { answeredRounds } from './progress';
import { minutesOfRound, roundView, spentIn } from './seen';
import * as texts from '#language/server';

/** The seeds that are drawn: a positive number of 31 bits. */
const MOST_SEED = 2 ** 31 - 1;
const newSeed = (): number => randomInt(1, MOST_SEED);

/** Sets that are looked through for one that has a fault. */
const MOST_SOUGHT = 400;

/** One set in so many that may be about anything is one whose chain turns at idle. */
const IDLE_ONE_IN = 16;

/** A set of a sitting: it may be about anything, and nobody is told what. */
const anySet = (level: Level): Recipe => ({
  seed: newSeed(),
  level,
  theme: randomInt(IDLE_ONE_IN) === 0 ? 'turns-at-idle' : 'any',
});

/** A set that has a fault; any where none is asked for. */
function recipeWith(level: Level, fault: FaultId | null): Recipe {
  const drawn = (): Recipe =>
    fault === 'turns-at-idle' ? { seed: newSeed(), level, theme: fault } : { seed: newSeed(), level, theme: 'any' };
  for (let i = 0; fault !== null && i < MOST_SOUGHT; i += 1) {
    const recipe = drawn();
    if (makeTruth(recipe).faults.includes(fault)) return recipe;
  }
  return anySet(level);
}

/** What a round is made of. */
async function recipeFor(context: Context, { by, round: wanted }: BeginRound): Promise<Recipe> {
  if (wanted.kind === 'first') return FIRST_RECIPE;
  if (wanted.kind === 'paper') return paperOf(wanted.paper)!.sets[0]!;
  if (wanted.kind === 'one') return { seed: newSeed(), level: wanted.level, theme: wanted.theme };
  if (wanted.kind === 'twenty') return anySet(wanted.level);
  const answered = await answeredRounds(context, by);
  return recipeWith(wanted.level, dueNext(skillsOf(answered, context.now())));
}

type Begun = Pick<RoundRecord, 'by' | 'kind' | 'sitting' | 'place' | 'paper'>;

const begun = (context: Context, of: Begun, recipe: Recipe): RoundRecord => ({
  ...of,
  ...recipe,
  id: context.newId(),
  taken: [],
  hints: [],
  said: null,
  score: null,
  at: context.now().toISOString(),
  answeredAt: null,
});

/** Begins a round, and with it a sitting. */
export async function beginRound(context: Context, wanted: BeginRound): Promise<RoundView> {
  const { by, round } = wanted;
  const paper = round.kind === 'paper' ? round.paper : null;
  const recipe = await recipeFor(context, wanted);
  const first = begun(context, { by, kind: round.kind, sitting: context.newId(), place: 1, paper }, recipe);
  await context.store.write((tx) => addRound(tx, first));
  return roundView(context.store.db, first);
}

/** A round that is somebody's own: another's is not there for them. */
async function ownRound(db: Queryable, id: string, by: string): Promise<RoundRecord> {
  const round = await findRound(db, id);
  if (!round || round.by !== by) throw notFound('round');
  return round;
}

async function openRound(db: Queryable, id: string, by: string): Promise<RoundRecord> {
  const round = await ownRound(db, id, by);
  if (round.answeredAt !== null) throw new Refusal(409, 'answered', texts.roundIsAnswered);
  return round;
}

/** What every set is of. */
const BROUGHT = 'bar, chain, drive-sprocket';

/** The sheet of what was read so far, with what its customer says. */
function sheetOf({ complaint }: Truth, { taken, by }: Pick<RoundRecord, 'taken' | 'by'>): BenchSheet {
  const said = (path: 'job.brought' | 'job.symptoms', text: string): Entry => ({ path, text, unit: 'mm' });
  const told = [said('job.brought', BROUGHT), ...(complaint === null ? [] : [said('job.symptoms', complaint)])];
  const entries = [...told, ...taken.flatMap((each) => each.entries)].map((entry) => ({ ...entry, by }));
  // A place that was read again stands as it was read last.
  const last = new Map(entries.map((entry) => [entry.path, entry]));
  return sheetFromEntries([...last.values()], []).sheet;
}

/** Whether a set says nothing of a place at all: that costs nothing. Where damage is looked for, none is an answer. */
const tellsNothing = ({ path, entries }: Taken): boolean => entries.length === 0 && !isWithin(path, 'chain.damage');

/** Takes a reading, unless it was taken already. */
export async function takeReading(context: Context, id: string, asked: TakeReading): Promise<RoundView> {
  const { by, before, at, instrument } = asked;
  const path = asked.path as ReadingPath;
  const round = await context.store.write(async (tx) => {
    const there = await openRound(tx, id, by);
    if (there.taken.length !== before) return there;
    const read = take(makeTruth(recipeOf(there)), there.taken, { path, at, instrument });
    if (tellsNothing(read)) throw new Refusal(422, 'not-in-practice', texts.notInPractice);
    const taken = [...there.taken, read];
    await putRound(tx, id, { taken });
    return { ...there, taken };
  });
  return roundView(context.store.db, round);
}

/** Gives a hint: the reading that the bench would ask for next. */
export async function giveHint(
  context: Context,
  id: string,
  { by, before }: { readonly by: string; readonly before: number },
): Promise<RoundView> {
  // Worked out before the write, which holds up everybody else's.
  const seen = await openRound(context.store.db, id, by);
  const { plan } = appraise(sheetOf(makeTruth(recipeOf(seen)), seen), DEFAULT_RULES, null);
  const next = plan.steps[0];
  const hint = { measure: next?.measure ?? null, at: next?.at ?? null, minutes: HINT_MINUTES };
  const round = await context.store.write(async (tx) => {
    const there = await openRound(tx, id, by);
    if (there.kind === 'paper') throw new Refusal(409, 'no-help', texts.noHintsOnAPaper);
    if (there.hints.length !== before) return there;
    const hints = [...there.hints, hint];
    await putRound(tx, id, { hints });
    return { ...there, hints };
  });
  return roundView(context.store.db, round);
}

/** Parts of which all was read, and whose readings leave them open all the same. */
function openParts(truth: Truth, round: RoundRecord): Said['open'] {
  const { verdicts } = appraise(sheetOf(truth, round), DEFAULT_RULES, null);
  return PRACTICE_PARTS.filter((part) => verdicts[part].action === 'undecided' && isAllRead(part, truth, round.taken));
}

/** Answers a round: once, and for good. */
export async function answerRound(context: Context, id: string, answer: PracticeAnswer): Promise<RoundView> {
  const { by, parts, ...others } = answer;
  const seen = await openRound(context.store.db, id, by);
  const truth = makeTruth(recipeOf(seen));
  const open = openParts(truth, seen);
  const round = await context.store.write(async (tx) => {
    const there = await openRound(tx, id, by);
    const each = <T>(of: (part: PracticeAnswer['parts'][keyof PracticeAnswer['parts']]) => T) =>
      Object.fromEntries(Object.entries(parts).map(([part, said]) => [part, of(said)]));
    const said = {
      ...others,
      actions: each(({ action }) => action),
      sure: each(({ sure }) => sure),
      minutes: minutesOfRound(there),
      // What came in between is rare, and is looked at again.
      open: there.taken.length === seen.taken.length ? open : openParts(truth, there),
    };
    const change = { said, score: score(truth, said), answeredAt: context.now().toISOString() };
    await putRound(tx, id, change);
    return { ...there, ...change };
  });
  return roundView(context.store.db, round);
}

/** The next set of a sitting; null where it is over. */
function recipeAfter(sitting: readonly RoundRecord[]): Recipe | null {
  const { kind, paper, level } = sitting[0]!;
  if (kind === 'paper') return (paper && paperOf(paper)?.sets[sitting.length]) || null;
  if (kind !== 'twenty' || spentIn(sitting) >= SITTING_MINUTES) return null;
  return anySet(level);
}

/** Goes on in a sitting. Where the set after this one was begun already, it is that. */
export async function nextRound(
  context: Context,
  id: string,
  { by }: { readonly by: string },
): Promise<{ readonly round: RoundView | null }> {
  const { db, write } = context.store;
  const { sitting, place, kind, paper, answeredAt } = await ownRound(db, id, by);
  if (answeredAt === null) throw new Refusal(409, 'not-answered', texts.answerThisSetFirst);
  // Looked for and begun in one write: asked for twice at once, there is one.
  const round = await write(async (tx) => {
    const rounds = await roundsOfSitting(tx, sitting);
    const after = rounds.find((each) => each.place === place + 1);
    const recipe = after ? null : recipeAfter(rounds);
    if (after || !recipe) return after ?? null;
    const next = begun(context, { by, kind, sitting, place: place + 1, paper }, recipe);
    await addRound(tx, next);
    return next;
  });
  return { round: round && (await roundView(db, round)) };
}
