import { flatMap } from '../flat-map';
import { leastValue } from '../belief';
import { EDGES } from '../declared';
import type { Limits } from '../limits';
import { estimate } from '../quantity';
import type { Part } from '../reading';
import type { Choices, Judged } from './choices';

/** Running hours that a part has before it, and how long a new one lives. */
export interface Life {
  readonly left: number;
  readonly whole: number;
}

/** A life shorter than this is none, h. */
const LEAST = 0.5;

/** Of a part whose wear nobody has measured half its life is thought to be left. */
const UNKNOWN_SHARE = 1 / 2;

const LIFE_ID = {
  chain: 'plan.life.chain',
  bar: 'plan.life.bar',
  nose: 'plan.life.nose',
  driveSprocket: 'plan.life.driveSprocket',
} as const;

const wholeLife = (part: Part, limits: Limits): number => Math.max(LEAST, limits[LIFE_ID[part]].value);

/** Hours until a bar's depth is used up, dressing by dressing; null where its depth or its limit is not known. */
function barLeft({ bar }: Judged, isDressed: boolean, limits: Limits): number | null {
  const { least } = bar.belief;
  if (!least || bar.depthLimit === null) return null;
  const plans = flatMap(EDGES, (edge) => {
    const dressing = bar.standing[edge].dressing;
    return isDressed && dressing?.advised && dressing.plan.weakest ? [dressing.plan.weakest.depth as number] : [];
  });
  const depth = Math.min(leastValue(least).value, ...plans);
  const dressings = Math.max(0, depth - bar.depthLimit) / limits['bar.dress.loss'].value;
  return dressings * limits['plan.life.dressing'].value;
}

/**
 * Share of a drive sprocket's life that is left: by its wear, else by the chains that ran on it; null where neither is
 * known.
 */
function sprocketShare({ sheet: { driveSprocket } }: Judged, limits: Limits): number | null {
  const wear = driveSprocket?.wear && estimate(driveSprocket.wear);
  if (wear) return Math.max(0, 1 - wear.value / limits['sprocket.wear'].value);
  const { chainsRun, rotationSet = 1 } = driveSprocket ?? {};
  if (chainsRun === undefined) return null;
  return Math.max(0, 1 - chainsRun / Math.max(limits['sprocket.chains'].value, rotationSet));
}

/** What is left of a part that stays. */
function leftOf(part: Part, judged: Judged, isReconditioned: boolean, limits: Limits): number {
  const whole = wholeLife(part, limits);
  const unknown = UNKNOWN_SHARE * whole;
  switch (part) {
    case 'chain':
      return judged.chain.hoursLeft ?? unknown;
    case 'bar':
      return Math.min(whole, barLeft(judged, isReconditioned, limits) ?? unknown);
    case 'driveSprocket':
      return whole * (sprocketShare(judged, limits) ?? UNKNOWN_SHARE);
    case 'nose':
      return unknown;
  }
}

/** Whether a drive sprocket that stays is worn so far that it shortens the life of the chain on it. */
export const isWornSprocket = ({ checks }: Judged, { driveSprocket }: Choices): boolean =>
  driveSprocket !== undefined &&
  driveSprocket !== 'replace' &&
  checks.some(({ part, id, outcome }) => part === 'driveSprocket' && WEARS.includes(id) && outcome === 'watch');

const WEARS: readonly string[] = ['sprocket.wear', 'sprocket.chains', 'sprocket.grade'];

/** Whether a bar that stays has play in its warning band. */
export const isLooseBar = ({ checks }: Judged, { bar }: Choices): boolean =>
  bar !== undefined &&
  bar !== 'replace' &&
  checks.some(({ id, outcome }) => (id === 'bar.play' || id === 'bar.play-after') && outcome === 'watch');

/** By how much the parts around it shorten the life of the chain, as a share. */
export function chainShare(judged: Judged, choices: Choices, limits: Limits): number {
  const sprocket = isWornSprocket(judged, choices) ? limits['plan.life.on-worn-sprocket'].value / 100 : 1;
  const bar = isLooseBar(judged, choices) ? limits['plan.life.on-worn-bar'].value / 100 : 1;
  return sprocket * bar;
}

/**
 * Lives of all parts of a plan. The first chain's is shortened by what stays around it; those that follow come on parts
 * that were renewed in their turn.
 */
export function livesOf(judged: Judged, choices: Choices, limits: Limits): Readonly<Partial<Record<Part, Life>>> {
  const lives: Partial<Record<Part, Life>> = {};
  for (const part of Object.keys(choices) as Part[]) {
    const choice = choices[part]!;
    const whole = wholeLife(part, limits);
    const own = choice === 'replace' ? whole : leftOf(part, judged, choice === 'recondition', limits);
    const left = part === 'chain' ? own * chainShare(judged, choices, limits) : own;
    lives[part] = { left: Math.max(LEAST, left), whole };
  }
  return lives;
}
