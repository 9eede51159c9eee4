import { familyAndGaugeMeet, type FamilyId } from '../families';
import { live, sameProperty } from '../fit';
import type { Identified } from '../identify';
import type { Part } from '../reading';
import { SMALL_PARTS, type PlannedPart, type SmallPart, type StockPart } from '../stock';
import type { Choices, Judged, PlanRule } from './choices';
import { cheapest, isCheaper, numbersKey, numbersOf, type Numbers, type Shelf } from './shelf';
import { isKnownToSit, numbersOfSet, suitsClass, suitsDrive, suitsSaw, suitsSequence, type Wanted } from './wanted';

/** New parts that go on together; a part that stays, and the nose of a new bar, have none. */
export type Picks = Readonly<Partial<Record<PlannedPart, StockPart>>>;

/** Sets of new parts that answer a combination, or the rule that none does. */
export type Picked = { readonly picks: readonly Picks[] } | { readonly rule: PlanRule };

const isNew = (choices: Choices, part: Part): boolean => choices[part] === 'replace';
const stays = (choices: Choices, part: Part): boolean => choices[part] !== undefined && !isNew(choices, part);

/**
 * Whether a part that stays is surely not of a pitch, or its readings contradict one another: until that is cleared up,
 * nothing new goes on it.
 */
const isOfAnother = (known: Identified<FamilyId>, pitch: FamilyId): boolean =>
  known.status === 'conflict' ||
  (known.value === null ? known.candidates.length > 0 && !live(known).includes(pitch) : known.value !== pitch);

/**
 * The cheapest chain with these numbers that suits its operator, of the sequence that is wanted; where none is, one that
 * does not say its own.
 */
export function chainFor(numbers: Numbers, shelf: Shelf, wanted: Wanted): StockPart | null {
  const chains = shelf.chains.get(numbersKey(numbers));
  return (
    cheapest(chains, (part) => suitsClass(part, wanted) && suitsSequence(part, wanted)) ??
    cheapest(chains, (part) => suitsClass(part, wanted) && (wanted.sequence === null || part.sequence === null))
  );
}

/** Whether there are such chains, and only nobody has said who runs the saw. */
const onlyByClass = (numbers: Numbers, shelf: Shelf, { kickbackClass }: Wanted): boolean =>
  kickbackClass === null && cheapest(shelf.chains.get(numbersKey(numbers)), () => true) !== null;

/**
 * The cheapest drive sprocket of a pitch and of the saw's kind, with as many teeth as the old one had where the pitch
 * stays; first of those that are known to sit on the saw.
 * @param teeth null where any will do
 */
export function sprocketFor(pitch: FamilyId, teeth: number | null, shelf: Shelf, wanted: Wanted): StockPart | null {
  const suits = (part: StockPart) => (teeth === null || part.teeth === teeth) && suitsDrive(part, wanted);
  const sprockets = shelf.sprockets.get(pitch);
  return cheapest(sprockets, (part) => suits(part) && isKnownToSit(part, wanted)) ?? cheapest(sprockets, suits);
}

/** Small parts of the drive that have failed: of a sprocket that stays, or beside a new one. */
export function smallPartsNeeded(
  judged: Judged,
  choices: Choices,
  sprocket: StockPart | undefined,
): readonly SmallPart[] {
  const choice = choices.driveSprocket;
  if (choice === undefined || choice === 'keep') return [];
  const { operations } = judged.verdicts.driveSprocket;
  return SMALL_PARTS.filter((part) => {
    if (choice === 'recondition') return operations.includes(`renew-${part}`);
    // A spur is one piece with its drum.
    if (part === 'drum' && sprocket?.sprocketKind === 'spur') return false;
    return judged.checks.some(({ id, outcome }) => id === `sprocket.${part}` && outcome === 'fail');
  });
}

/** The cheapest small parts that may sit on the saw, as far as the list has them. */
function smallPicks(judged: Judged, choices: Choices, picks: Picks, shelf: Shelf, wanted: Wanted): Picks {
  const found: Partial<Record<PlannedPart, StockPart>> = {};
  for (const part of smallPartsNeeded(judged, choices, picks.driveSprocket)) {
    const suits = (each: StockPart) => suitsDrive(each, wanted);
    const pick =
      cheapest(shelf.small[part], (each) => suits(each) && isKnownToSit(each, wanted)) ??
      cheapest(shelf.small[part], suits);
    if (pick) found[part] = pick;
  }
  return found;
}

/** New parts for a set of known numbers, beside a bar that may be new. */
function around(
  judged: Judged,
  choices: Choices,
  { pitch, gauge, driveLinks }: Numbers,
  bar: StockPart | null,
  shelf: Shelf,
  wanted: Wanted,
): Picked {
  const { driveSprocket, nose } = judged.identity;
  const picks: Partial<Record<Part, StockPart>> = bar ? { bar } : {};
  if (isNew(choices, 'chain')) {
    if (!familyAndGaugeMeet(pitch, gauge)) return { rule: 'family-and-gauge-meet' };
    const chain = chainFor({ pitch, gauge, driveLinks }, shelf, wanted);
    if (!chain)
      return { rule: onlyByClass({ pitch, gauge, driveLinks }, shelf, wanted) ? 'class-not-known' : 'no-chain' };
    picks.chain = chain;
  }
  if (isNew(choices, 'driveSprocket')) {
    const same = driveSprocket.pitch.value === null || driveSprocket.pitch.value === pitch;
    const sprocket = sprocketFor(pitch, same ? wanted.sprocketTeeth : null, shelf, wanted);
    if (!sprocket) return { rule: 'no-driveSprocket' };
    picks.driveSprocket = sprocket;
  } else if (stays(choices, 'driveSprocket')) {
    if (isOfAnother(driveSprocket.pitch, pitch)) return { rule: 'chain-pitch-is-sprocket-pitch' };
  }
  const isHard = judged.sheet.bar?.nose === 'hard';
  if (stays(choices, 'nose') && !isHard && isOfAnother(nose.pitch, pitch)) return { rule: 'chain-pitch-is-nose-pitch' };
  if (isNew(choices, 'nose') && !bar) {
    const renewed = cheapest(shelf.noses.get(pitch), ({ teeth }) => teeth === wanted.noseTeeth);
    if (!renewed) return { rule: 'no-nose' };
    picks.nose = renewed;
  }
  return { picks: [picks] };
}

/** What a chain that stays says of the bar it is to run on; null where its numbers are not settled. */
export function keptChainNumbers({ identity: { chain } }: Judged): Numbers | null {
  const [pitch, gauge, driveLinks] = [chain.pitch.value, chain.gauge.value, chain.driveLinks.value];
  return pitch && gauge && driveLinks ? { pitch, gauge, driveLinks } : null;
}

/** Bars that may go on: for each set of three numbers the cheapest that suits the saw. */
function barsFor(shelf: Shelf, wanted: Wanted): readonly StockPart[] {
  const found = new Map<string, StockPart>();
  for (const bar of shelf.bars) {
    const numbers = numbersOf(bar);
    if (!numbers || !suitsSaw(bar, wanted)) continue;
    const key = numbersKey(numbers);
    const before = found.get(key);
    if (!before || isCheaper(bar, before)) found.set(key, bar);
  }
  return [...found.values()].sort((a, b) => (isCheaper(a, b) ? -1 : 1));
}

/** Sets of new parts around a new bar: of the numbers that what stays asks for, or a conversion of the whole set. */
function withNewBar(judged: Judged, choices: Choices, shelf: Shelf, wanted: Wanted): Picked {
  if (!wanted.mount) return { rule: 'bar-mount-is-saw-mount' };
  const kept = stays(choices, 'chain') ? keptChainNumbers(judged) : null;
  if (stays(choices, 'chain') && !kept) return { rule: 'numbers-not-settled' };
  const { pitch, gauge, driveLinks } = numbersOfSet(judged.identity);
  const asItCame = pitch && gauge && driveLinks ? { pitch, gauge, driveLinks } : null;
  // A conversion must end at the same length: where nobody knows it, only the numbers of the set as it came will do.
  const fixed = kept ?? (wanted.listedInches.length === 0 || choices.chain === undefined ? asItCame : null);
  if (!fixed && (wanted.listedInches.length === 0 || choices.chain === undefined))
    return { rule: 'numbers-not-settled' };
  const bars = barsFor(shelf, wanted).filter((bar) => !fixed || numbersKey(numbersOf(bar)!) === numbersKey(fixed));
  const picks: Picks[] = [];
  const rules: PlanRule[] = [];
  for (const bar of bars) {
    const picked = around(judged, choices, numbersOf(bar)!, bar, shelf, wanted);
    if ('rule' in picked) rules.push(picked.rule);
    else picks.push(...picked.picks);
  }
  return picks.length > 0 ? { picks } : { rule: rules[0] ?? 'no-bar' };
}

/** New parts around a bar that stays, or where no bar came. */
function withoutNewBar(judged: Judged, choices: Choices, shelf: Shelf, wanted: Wanted): Picked {
  const needsNumbers = (['chain', 'driveSprocket', 'nose'] as const).some((part) => isNew(choices, part));
  if (!needsNumbers) return { picks: [{}] };
  const kept = stays(choices, 'chain') ? keptChainNumbers(judged) : null;
  const { gauge, driveLinks, ...said } = kept ?? numbersOfSet(judged.identity);
  // A drive sprocket that came by itself says its own pitch.
  const isAlone = choices.chain === undefined && choices.bar === undefined;
  const pitch = said.pitch ?? (isAlone ? judged.identity.driveSprocket.pitch.value : null);
  if (!pitch) return { rule: 'numbers-not-settled' };
  if (!isNew(choices, 'chain'))
    // Only the pitch is asked of what goes on beside a chain that stays.
    return around(judged, choices, { pitch, gauge: gauge ?? '.050', driveLinks: driveLinks ?? 0 }, null, shelf, wanted);
  if (!gauge || !driveLinks) return { rule: 'numbers-not-settled' };
  // A count that the bar's own mark contradicts leaves it open which of the two is right.
  const { chain, bar } = judged.identity;
  if (stays(choices, 'bar') && sameProperty(chain.driveLinks, bar.driveLinks) === false)
    return { rule: 'chain-links-are-bar-links' };
  return around(judged, choices, { pitch, gauge, driveLinks }, null, shelf, wanted);
}

/** Sets of new parts that answer a combination; for each set of numbers the cheapest of every kind. */
export function picksFor(judged: Judged, choices: Choices, shelf: Shelf, wanted: Wanted): Picked {
  const picked = isNew(choices, 'bar')
    ? withNewBar(judged, choices, shelf, wanted)
    : withoutNewBar(judged, choices, shelf, wanted);
  if ('rule' in picked) return picked;
  return { picks: picked.picks.map((picks) => ({ ...picks, ...smallPicks(judged, choices, picks, shelf, wanted) })) };
}
