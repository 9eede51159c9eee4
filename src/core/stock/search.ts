import type { Need, Wanted } from './need';
import { samePattern } from '../fit';
import type { Sequence } from '../identify';
import { fitToSaw, type SawProperty } from './saw-fit';
import { SMALL_PARTS, type StockKind } from './stock-kind';
import type { StockPart } from './stock-part';

/** A property of a part that a need may ask for. */
export type NeedProperty =
  | 'pitch'
  | 'gauge'
  | 'driveLinks'
  | 'sequence'
  | 'mount'
  | 'oilHole'
  | 'listedInches'
  | 'teeth'
  | 'sprocketKind'
  | SawProperty;

/** Why a part in stock does not answer a need, or not yet. */
export type StockMiss =
  | {
      readonly code: 'differs';
      readonly property: NeedProperty;
      readonly wanted: readonly (string | number)[];
      readonly has: string | number | null;
    }
  /** It would fit one of the values still in question. */
  | { readonly code: 'not-settled'; readonly property: NeedProperty }
  | { readonly code: 'kickback-stepped-up' }
  | { readonly code: 'kickback-not-asked' }
  /** It agrees as far as can be seen; whether it sits on this saw, neither splines nor bore nor its name tell. */
  | { readonly code: 'saw-not-known' }
  | { readonly code: 'out-of-stock' };

/** `fits`: sell it. `may-fit`: nothing speaks against it, something is not settled yet. `near`: one rule breaks. */
export interface StockMatch {
  readonly part: StockPart;
  readonly answer: 'fits' | 'may-fit' | 'near';
  readonly misses: readonly StockMiss[];
}

type Judge = (need: Need, part: StockPart) => StockMiss | null;

/** A number the part must have. While it is open, parts of any value still in question may fit. */
const numbered =
  <P extends 'pitch' | 'gauge' | 'driveLinks'>(property: P): Judge =>
  (need, part) => {
    const wanted = need[property] as Wanted<string | number>;
    const has = part[property];
    if (wanted.values.length === 0) return { code: 'not-settled', property };
    if (has === null || !wanted.values.includes(has)) return { code: 'differs', property, wanted: wanted.values, has };
    return wanted.settled ? null : { code: 'not-settled', property };
  };

const patterned =
  (property: 'mount' | 'oilHole'): Judge =>
  (need, part) => {
    const wanted = need[property];
    const has = part[property];
    if (wanted === null) return property === 'mount' ? { code: 'not-settled', property } : null;
    if (has === null) return { code: 'not-settled', property };
    return samePattern(wanted, has) ? null : { code: 'differs', property, wanted: [wanted], has };
  };

/** Teeth must be known of both: a sprocket with others runs the chain at another speed, a nose with others does not fit. */
const teeth: Judge = ({ teeth: wanted }, { teeth: has }) => {
  if (wanted === null || has === null) return { code: 'not-settled', property: 'teeth' };
  return has === wanted ? null : { code: 'differs', property: 'teeth', wanted: [wanted], has };
};

const listed: Judge = (need, part) =>
  need.listedInches.length === 0 || part.listedInches === null || need.listedInches.includes(part.listedInches)
    ? null
    : { code: 'differs', property: 'listedInches', wanted: need.listedInches, has: part.listedInches };

/** Low-kickback chain answers every need; standard chain only one that asks for it. */
const kickback: Judge = (need, part) => {
  if (part.kickbackClass === 'low-kickback' || need.kickbackClass === 'standard') return null;
  return { code: need.kickbackClass === null ? 'kickback-not-asked' : 'kickback-stepped-up' };
};

/** What a chain is that does not say its sequence (common practice, no source). */
export const USUAL_SEQUENCE: Sequence = 'full-complement';

/**
 * A chain that does not say its sequence is full complement. While nobody counted the cutters, only one that says it is
 * a skip chain is asked about.
 */
const sequence: Judge = ({ sequence: wanted }, { sequence: has }) => {
  if (wanted === null)
    return has === null || has === USUAL_SEQUENCE ? null : { code: 'not-settled', property: 'sequence' };
  if (has === null) return wanted === USUAL_SEQUENCE ? null : { code: 'not-settled', property: 'sequence' };
  return has === wanted ? null : { code: 'differs', property: 'sequence', wanted: [wanted], has };
};

/** A rim goes on a hub, a spur on the drum's own: one never stands in for the other. */
const sprocketKind: Judge = ({ sprocketKind: wanted }, { sprocketKind: has }) => {
  if (wanted === null || has === null) return { code: 'not-settled', property: 'sprocketKind' };
  return has === wanted ? null : { code: 'differs', property: 'sprocketKind', wanted: [wanted], has };
};

const sawFit: Judge = (need, part) => {
  const fit = fitToSaw(need, part);
  if (fit === 'fits') return null;
  if (fit === 'not-known') return { code: 'saw-not-known' };
  return { code: 'differs', property: fit, wanted: [need[fit]!], has: part[fit] };
};

const onShelf: Judge = (_need, part) => (part.quantity === 0 ? { code: 'out-of-stock' } : null);

/** The rules of each kind of part. */
const RULES: Readonly<Record<StockPart['kind'], readonly Judge[]>> = {
  chain: [numbered('pitch'), numbered('gauge'), numbered('driveLinks'), kickback, sequence, onShelf],
  bar: [
    patterned('mount'),
    patterned('oilHole'),
    numbered('pitch'),
    numbered('gauge'),
    numbered('driveLinks'),
    listed,
    onShelf,
  ],
  'drive-sprocket': [numbered('pitch'), sprocketKind, teeth, sawFit, onShelf],
  nose: [numbered('pitch'), teeth, onShelf],
  drum: [sawFit, onShelf],
  bearing: [sawFit, onShelf],
  clip: [sawFit, onShelf],
  file: [numbered('pitch'), onShelf],
};

/** Misses that only say that something must be asked first. */
const isOpen = ({ code }: StockMiss): boolean =>
  code === 'not-settled' || code === 'kickback-not-asked' || code === 'saw-not-known';

/**
 * What keeps one part from answering a need; empty means it fits and is there.
 * @param patience broken rules after which a part is given up, and not all is said
 */
export function stockMisses(need: Need, part: StockPart, patience = Infinity): readonly StockMiss[] {
  const misses: StockMiss[] = [];
  let broken = 0;
  for (const judge of RULES[need.kind]) {
    const miss = judge(need, part);
    if (!miss) continue;
    misses.push(miss);
    if (!isOpen(miss)) broken += 1;
    if (broken > patience) break;
  }
  return misses;
}

/** A chain this many links longer or shorter is worth naming; farther ones are simply other chains. */
const NEAR_LINKS = 2;

/** Where these differ it is another part altogether. */
const NEVER_NEAR: readonly NeedProperty[] = ['sprocketKind', 'splines', 'bore'];

/** True for a broken rule that a person would want to hear of. */
function worthNaming(miss: StockMiss): boolean {
  if (miss.code === 'differs' && NEVER_NEAR.includes(miss.property)) return false;
  if (miss.code !== 'differs' || miss.property !== 'driveLinks') return true;
  return miss.has !== null && miss.wanted.some((wanted) => Math.abs(Number(miss.has) - Number(wanted)) <= NEAR_LINKS);
}

/** A part that breaks one rule is a near miss, one that breaks two is another part. */
const MOST_BROKEN = 1;

function answerOf(misses: readonly StockMiss[]): StockMatch['answer'] | null {
  const broken = misses.filter((miss) => !isOpen(miss));
  if (misses.length === 0) return 'fits';
  if (broken.length === 0) return 'may-fit';
  return broken.length === MOST_BROKEN && worthNaming(broken[0]!) ? 'near' : null;
}

/** Near misses by how little they are off: a part that is only out of stock first, one of another pitch last. */
const OFF: readonly (StockMiss['code'] | NeedProperty)[] = [
  'out-of-stock',
  'kickback-stepped-up',
  'sequence',
  'listedInches',
  'driveLinks',
  'teeth',
  'oilHole',
  'mount',
  'gauge',
  'pitch',
];

const off = (misses: readonly StockMiss[]): number =>
  Math.max(0, ...misses.map((miss) => OFF.indexOf(miss.code === 'differs' ? miss.property : miss.code)));

const RANK = { fits: 0, 'may-fit': 1, near: 2 } as const;

/** Of the small parts of the drive there are few: all of a kind are worth seeing. */
const isSmall = (kind: StockKind): boolean => SMALL_PARTS.some((part) => part === kind);

/** With nothing known a search answers nothing: a list of all the stock helps nobody at the counter. */
const asksSomething = (need: Need): boolean =>
  need.pitch.values.length + need.gauge.values.length + need.driveLinks.values.length > 0 ||
  need.mount !== null ||
  isSmall(need.kind);

/**
 * Searches stock for a need: parts that fit first, then those that may, then near misses with the rule they break.
 * Within each, fewer open questions first, then the lower price.
 */
export function searchStock(need: Need, parts: readonly StockPart[]): readonly StockMatch[] {
  if (!asksSomething(need)) return [];
  const matches: StockMatch[] = [];
  for (const part of parts) {
    if (part.kind !== need.kind) continue;
    const misses = stockMisses(need, part, MOST_BROKEN);
    const answer = answerOf(misses);
    if (answer) matches.push({ part, answer, misses });
  }
  return matches
    .map((match) => ({ match, off: off(match.misses) }))
    .sort(
      (a, b) =>
        RANK[a.match.answer] - RANK[b.match.answer] ||
        a.off - b.off ||
        a.match.misses.length - b.match.misses.length ||
        a.match.part.priceCents - b.match.part.priceCents ||
        (a.match.part.sku < b.match.part.sku ? -1 : 1),
    )
    .map(({ match }) => match);
}

/** What makes two parts of a kind the same for a saw. */
const SAME: readonly (keyof StockPart)[] = [
  'kind',
  'pitch',
  'gauge',
  'driveLinks',
  'sequence',
  'mount',
  'oilHole',
  'teeth',
  'sprocketKind',
  'splines',
  'bore',
  'saw',
];

/**
 * Parts on the shelf that are equal to one another in all that makes them fit, cheapest first. Low-kickback chain may
 * stand in for standard, never the other way round.
 */
export function equalSubstitutes(part: StockPart, parts: readonly StockPart[]): readonly StockPart[] {
  return parts
    .filter(
      (other) =>
        other.sku !== part.sku &&
        other.quantity > 0 &&
        SAME.every((property) => other[property] === part[property]) &&
        (other.kickbackClass === part.kickbackClass || other.kickbackClass === 'low-kickback'),
    )
    .sort((a, b) => a.priceCents - b.priceCents || a.sku.localeCompare(b.sku));
}

/** Most answers a screen shows: past these a caller is no better off. */
const MOST_ANSWERS = 12;

/** A match, with its equals where it is out. */
export interface AnswerInStock extends StockMatch {
  /** Equal parts on the shelf, by their numbers. */
  readonly equals: readonly string[];
}

/** What a screen shows of a stock list against a need: those that fit, those that may, near misses. */
export const answersIn = (wanted: Need, candidates: readonly StockPart[]): readonly AnswerInStock[] =>
  searchStock(wanted, candidates)
    .slice(0, MOST_ANSWERS)
    .map((match) => ({
      ...match,
      equals: match.part.quantity === 0 ? equalSubstitutes(match.part, candidates).map(({ sku }) => sku) : [],
    }));
