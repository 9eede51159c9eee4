import { flatMap } from '../flat-map';
import { SYMPTOMS } from '../declared';
import { rowOf, type Cause, type Symptom } from '../symptom';
import type { Action } from '../sheet';
import { drawn, type Draw } from './draw';
import { FAULT_IDS, faultOf, LEVELS, PRACTICE_PARTS, type FaultId, type Level, type PracticePart } from './faults';
import { soundShape, type Shape } from './shape';

/** Faults of the parts themselves. A seed that was given out draws among these for ever. */
const OF_THE_PARTS = FAULT_IDS.filter((id) => id !== 'turns-at-idle');

/** What a round may be about, with the faults that it draws from. */
export const THEMES = {
  lean: ['rails-stepped'],
  splay: ['groove-splayed', 'groove-worn'],
  dip: ['dip'],
  'dip-behind-nose': ['dip-behind-nose'],
  'thin-chain': ['chain-thin'],
  'stamped-wrong': ['stamp-wrong'],
  'worn-sprocket': ['sprocket-worn'],
  'high-gauges': ['gauges-high'],
  'deep-damage': ['damage-deep'],
  'blocked-oil': ['oil-blocked'],
  'turns-at-idle': ['turns-at-idle'],
  'two-at-once': OF_THE_PARTS,
  'nothing-wrong': [],
  any: OF_THE_PARTS,
} as const satisfies Record<string, readonly FaultId[]>;
export type Theme = keyof typeof THEMES;
export const THEME_IDS = Object.keys(THEMES) as readonly Theme[];

/** What may be right to do with a part. */
export type Done = Exclude<Action, 'undecided'>;

/** What makes a set: with it, the same set comes for ever. */
export interface Recipe {
  readonly seed: number;
  readonly level: Level;
  readonly theme: Theme;
}

/** The numbers by which a chain is ordered, and its class. */
export type ChainOrder = Readonly<{
  family: Shape['family'];
  gauge: Shape['barGauge'];
  driveLinks: number;
  kickback: Shape['kickback'];
}>;

/** A set whose truth is known from its making. */
export interface Truth {
  readonly recipe: Recipe;
  readonly shape: Shape;
  readonly faults: readonly FaultId[];
  /** What its customer complains of; null where it came for service. */
  readonly complaint: Symptom | null;
  /** Of the faults those that bring the complaint about. */
  readonly causes: readonly Cause[];
  /** What is right to do with each part; several where schools differ. */
  readonly actions: Readonly<Record<PracticePart, readonly Done[]>>;
  /** Whether its parts belong together. */
  readonly belongs: boolean;
  /** The chain that must be ordered: never of a class that keeps less down. Null where this one runs on. */
  readonly order: ChainOrder | null;
}

/** What is done where several things are to be done: the furthest of them. */
const ORDER: readonly Done[] = ['keep', 'clean', 'recondition', 'replace'];
const further = (one: Done, other: Done): Done => (ORDER.indexOf(other) > ORDER.indexOf(one) ? other : one);

function actionsFor(part: PracticePart, faults: readonly FaultId[]): readonly Done[] {
  const its = faults.map(faultOf).filter((fault) => fault.part === part);
  const by = (of: (fault: (typeof its)[number]) => Done | null): Done =>
    its.reduce<Done>((most, fault) => further(most, of(fault) ?? 'keep'), 'keep');
  return [...new Set([by(({ action }) => action), by(({ action, also }) => also ?? action)])];
}

/** Two faults that would make one set of readings tell two truths, or hide one another. */
const clashes = (one: FaultId, other: FaultId): boolean => {
  const [a, b] = [faultOf(one), faultOf(other)];
  return (
    one === other ||
    // Marks of other parts are no marks of these.
    (a.part === null && b.part === null) ||
    (a.part === b.part && a.action === 'replace') ||
    (a.part === b.part && b.action === 'replace')
  );
};

function faultsOf({ theme }: Recipe, { pick, chance }: Draw): readonly FaultId[] {
  const among: readonly FaultId[] = THEMES[theme];
  if (theme === 'any' && chance(0.15)) return [];
  if (among.length === 0) return [];
  const first = pick(among);
  const isAlone = theme !== 'two-at-once' && !(theme === 'turns-at-idle' && chance(0.6));
  if (isAlone) return [first];
  return [first, pick(OF_THE_PARTS.filter((id) => !clashes(first, id)))];
}

/** How much a cause brings of a complaint (§18). */
const brought = (cause: Cause, symptom: Symptom): number => (rowOf(cause).brings[symptom] ?? 0) * rowOf(cause).strength;

const causesIn = (faults: readonly FaultId[]): readonly Cause[] => flatMap(faults, (id) => faultOf(id).cause ?? []);

/** What a customer says: drawn as each cause brings it about; null where none brings anything about. */
function complaintOf(shape: Shape, faults: readonly FaultId[], { between }: Draw): Symptom | null {
  const causes = causesIn(faults);
  const weights = SYMPTOMS.map((symptom) => causes.reduce((sum, cause) => sum + brought(cause, symptom), 0));
  const all = weights.reduce((sum, each) => sum + each, 0);
  if (all === 0) return null;
  let at = between(0, all);
  const symptom =
    SYMPTOMS[
      Math.max(
        0,
        weights.findIndex((weight) => (at -= weight) < 0),
      )
    ]!;
  // A cut is drawn to the side that the fault draws it to.
  const [side] = flatMap(faults, (id) => faultOf(id).toward?.(shape) ?? []);
  return side && CROOKED.includes(symptom) ? `cuts-curved-${side}` : symptom;
}

const CROOKED: readonly Symptom[] = ['cuts-curved-left', 'cuts-curved-right'];

/** What brings less of a complaint about than this share of what its main cause does is no cause of it. */
const LEAST_SHARE = 0.2;

function causesOf(complaint: Symptom | null, faults: readonly FaultId[]): readonly Cause[] {
  if (complaint === null) return [];
  const causes = causesIn(faults);
  const most = Math.max(...causes.map((cause) => brought(cause, complaint)));
  return causes.filter((cause) => brought(cause, complaint) > LEAST_SHARE * most);
}

/** Makes a set: sound first, then with its faults, then the complaint that follows from them. */
export function makeTruth(recipe: Recipe): Truth {
  const draw = (what: string): Draw => drawn(recipe.seed, `${recipe.theme} ${recipe.level} ${what}`);
  const faults = faultsOf(recipe, draw('faults'));
  // Which parts they are comes before what was worn of them.
  const inOrder = faults.toSorted(
    (one, other) => Number(faultOf(one).part !== null) - Number(faultOf(other).part !== null),
  );
  const shape = inOrder.reduce(
    (made, id) => faultOf(id).put(made, draw(id), LEVELS[recipe.level]),
    soundShape(draw('sound')),
  );
  const complaint = complaintOf(shape, faults, draw('complaint'));
  const actions = Object.fromEntries(
    PRACTICE_PARTS.map((part) => [part, actionsFor(part, faults)]),
  ) as Truth['actions'];
  const belongs = shape.barGauge === shape.chainGauge;
  const { family, barGauge: gauge, driveLinks, kickback } = shape;
  return {
    recipe,
    shape,
    faults,
    complaint,
    causes: causesOf(complaint, faults),
    actions,
    belongs,
    order: actions.chain.includes('replace') || !belongs ? { family, gauge, driveLinks, kickback } : null,
  };
}
