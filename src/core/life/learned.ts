import { flatMap } from '../flat-map';
import type { LimitId, Limits } from '../limits';
import type { Part } from '../reading';
import type { Operation } from '../sheet';
import { lifeOf, ownRate, weeksBetween, type PieceLife } from './life';
import { lifetimes, type Lasted, type Lifetimes } from './lifetimes';
import { pooled, type Known, type Pooled } from './pooling';
import { namedBy, type Piece, type Seen } from './piece';
import { WEAR_IDS, WEARS, type WearId } from './wear';

/** A figure of the shop, as its own records have it. */
export interface LearnedFigure {
  readonly id: LimitId;
  /** How many acts or pieces tell of it. */
  readonly count: number;
  /** In the unit of the figure; eight times in ten between. */
  readonly value: number;
  readonly from: number;
  readonly until: number;
}

/** How long parts last, by their records. */
export interface LearnedLife {
  readonly part: Part;
  /** Of pieces whose beginning is known: those that have ended, and those in use. */
  readonly ended: number;
  readonly going: number;
  /** Null while too few have ended. */
  readonly hours: Lifetimes | null;
}

/** How forecasts of one thing did. */
export interface LearnedForecasts {
  readonly wear: WearId;
  readonly foreseen: number;
  readonly held: number;
}

/** What a shop's records teach. */
export interface Learned {
  readonly figures: readonly LearnedFigure[];
  readonly lives: readonly LearnedLife[];
  readonly forecasts: readonly LearnedForecasts[];
}

/** What one act takes, by what was measured before and after it. */
const TAKEN: readonly { readonly id: LimitId; readonly wear: WearId; readonly by: Operation }[] = [
  { id: 'bar.dress.loss', wear: 'bar.depth', by: 'dress-rails' },
  { id: 'chain.filing-loss', wear: 'chain.cutter', by: 'sharpen' },
];

/** The figure that says how many running hours lie between two acts, by what wears for it. */
const HOURS = {
  'bar.depth': 'plan.life.dressing',
  'chain.cutter': 'chain.filing-hours',
} as const satisfies Partial<Record<WearId, LimitId>>;

/** The figure that says how long a part lasts. A nose goes with its bar. */
const LASTING = {
  bar: 'plan.life.bar',
  chain: 'plan.life.chain',
  driveSprocket: 'plan.life.driveSprocket',
} as const satisfies Partial<Record<Part, LimitId>>;

/** What was taken off at one look, where it was measured on both sides of the act. */
function takenAt({ came, went, worked }: Seen, wear: WearId, by: Operation): Known | null {
  const [before, after] = [came[wear], went[wear]];
  if (!before || !after || !worked.includes(by)) return null;
  return { value: before.value - after.value, u: Math.hypot(before.u, after.u) };
}

const figure = (id: LimitId, { count, mean, from, until }: Pooled): LearnedFigure => ({
  id,
  count,
  value: mean,
  from: Math.max(0, from),
  until,
});

function takenFigures(pieces: readonly Piece[]): readonly LearnedFigure[] {
  return flatMap(TAKEN, ({ id, wear, by }) => {
    const acts = flatMap(pieces, ({ seen }) => flatMap(seen, (look) => takenAt(look, wear, by) ?? []));
    const all = pooled(acts);
    return all && all.mean > 0 ? figure(id, all) : [];
  });
}

/** Hours are told of what surely wears: where the interval holds no wear at all, there is no hour to tell. */
function hourFigures(pieces: readonly Piece[], limits: Limits): readonly LearnedFigure[] {
  return flatMap(Object.keys(HOURS) as (keyof typeof HOURS)[], (wear): readonly LearnedFigure[] => {
    const { part, usual } = WEARS[wear];
    const its = pieces.filter((piece) => piece.part === part);
    const rates = flatMap(its, (piece) => ownRate(wear, piece, limits) ?? []);
    // Both are of what falls.
    const all = pooled(rates.map(({ value, u }) => ({ value: -value, u })));
    if (!all || all.from <= 0) return [];
    const { by } = usual(limits);
    return [{ id: HOURS[wear], count: all.count, value: by / all.mean, from: by / all.until, until: by / all.from }];
  });
}

/** How long a part lasts, where enough have ended to tell. */
const lifeFigures = (lives: readonly LearnedLife[]): readonly LearnedFigure[] =>
  flatMap(lives, ({ part, hours }) =>
    hours && part in LASTING
      ? [
          {
            id: LASTING[part as keyof typeof LASTING],
            count: hours.ended,
            value: hours.middle,
            from: hours.from,
            until: hours.until,
          },
        ]
      : [],
  );

/**
 * How long a piece lasted whose beginning is known: one that a job put on. Of one that another stood for at the next
 * visit it is known that it ended since its last look.
 */
function lastedOf({ piece: { id, since, seen, ended }, hours, use }: PieceLife): Lasted | null {
  if (namedBy(id)?.how !== 'fitted' || ended?.how === 'displaced') return null;
  const from = hours.value;
  if (ended === null) return { from, until: null };
  const last = seen.at(-1)?.visit;
  // The job that replaced it saw it end; where it was not looked at there, it ended since its last look.
  if (ended.how === 'replaced' && last?.jobId === ended.jobId) return { from, until: from };
  return { from, until: from + weeksBetween(last?.went ?? last?.came ?? since, ended.at) * use.hoursPerWeek };
}

/**
 * What the records of a shop teach of its own figures: what one dressing and one filing takes, in how many hours things
 * wear, how long parts last, and how well its forecasts did.
 * @param pieces as they were last, each once
 * @param limits in force: hours are told for what these take
 */
export function learnedOf(pieces: readonly Piece[], limits: Limits): Learned {
  const each = pieces.map((piece) => lifeOf(piece, limits));
  const lives = (Object.keys(LASTING) as (keyof typeof LASTING)[]).map((part): LearnedLife => {
    const lasted = flatMap(each, (life) => (life.piece.part === part ? (lastedOf(life) ?? []) : []));
    const ended = lasted.filter(({ until }) => until !== null).length;
    return { part, ended, going: lasted.length - ended, hours: lifetimes(lasted) };
  });
  return {
    figures: [...takenFigures(pieces), ...hourFigures(pieces, limits), ...lifeFigures(lives)],
    lives,
    forecasts: flatMap(WEAR_IDS, (wear): readonly LearnedForecasts[] => {
      const its = flatMap(each, ({ wears }) => wears.filter((life) => life.wear === wear));
      const foreseen = its.reduce((sum, { backtest }) => sum + backtest.foreseen, 0);
      const held = its.reduce((sum, { backtest }) => sum + backtest.held, 0);
      return foreseen === 0 ? [] : [{ wear, foreseen, held }];
    }),
  };
}
