import type { Askable } from '../../core/sheet';
import type { BarLengths, LoopAssessment, LoopTension } from '../../core/loop/assessed';
import type { ListedLength } from '../../core/loop';
import { formatLength, formatPosition, mm, type UnitSystem } from '../../core/quantity';
import { readingName } from './places';
import { list } from './sentence';

const PITCH_FROM: Record<LoopTension['from'], string> = {
  span: 'as measured over the rivets',
  'push-pull': 'elongated as by push and pull',
  nominal: 'as made, not measured',
};

/** Where the loop puts the tensioner. */
export function tensionSentence(tension: LoopTension, unit: UnitSystem = 'mm'): string {
  const { state, links, used, left, travel, close, pitch, from } = tension;
  const show = (value: number) => formatLength(mm(value), unit, unit === 'mm' ? 1 : 2);
  const loop = `${links} links of ${formatLength(mm(pitch), unit, 3)} (${PITCH_FROM[from]})`;
  const doubt = close ? ' It is close to the end of the travel: measure the centres again.' : '';
  switch (state) {
    case 'will-not-take-up':
      return `Will not take up tension: ${loop} need ${show(-left)} more than the tensioner has. A link too many, a stretched chain, or another bar.${doubt}`;
    case 'will-not-go-on':
      return `Will not go on: ${loop} are ${show(-used)} short of the tensioner fully back. A link too few, or another bar.${doubt}`;
    case 'in-travel':
      return `${loop} use ${show(used)} of the tensioner's ${show(travel)}; ${show(left)} left.${doubt}`;
  }
}

/** Loops that the tensioner takes. */
export function travelSentence(links: readonly number[]): string {
  return links.length === 0
    ? "No whole number of links falls inside the tensioner's travel: measure both centres again."
    : `New, the tensioner takes ${list(links.map(String), 'or')} links.`;
}

const CUSTOM: Record<ListedLength['custom'], string> = {
  up: 'next even inch',
  down: 'rounded down by some',
  odd: 'listed so by some',
};

/** The bar's three lengths: as it reaches, as it may be listed, and as it cuts. */
export function lengthsSentences(
  { effective, listedAs, said, agrees, reach }: BarLengths,
  unit: UnitSystem = 'mm',
): readonly string[] {
  const sentences: string[] = [];
  if (effective) {
    const named = listedAs.map(({ inches, custom }) => `${inches} in (${CUSTOM[custom]})`);
    sentences.push(
      `${formatPosition(effective.value, unit)} from the cover to the tip is sold as ${list(named, 'or')}.`,
    );
  }
  if (said !== null && agrees === false)
    sentences.push(
      `It is said to be ${formatPosition(said, 'in')}, which no custom makes of the measured length: another bar than thought, or measured from another place.`,
    );
  if (effective && reach)
    sentences.push(
      `It cuts ${formatPosition(reach.value, unit)}: ${formatPosition(mm(Math.max(0, effective.value - reach.value)), unit)} less on the case side.`,
    );
  return sentences;
}

/** Whether the count is usual for the length. Plausibility only. */
export function plausibleSentence({ links, usual, plausible }: NonNullable<LoopAssessment['plausible']>): string {
  return plausible
    ? `${links} links are plausible for this length (about ${usual} are usual).`
    : `${links} links are unusual for this length: about ${usual} are usual. Count again, and measure the bar; two bars of one length may still differ.`;
}

/** Metres a second in words, in both systems of units. */
export function speedSentence(metresPerSecond: number): string {
  return `At top speed the chain runs ${metresPerSecond.toFixed(1)} m/s (${Math.round(metresPerSecond * 196.850394)} ft/min).`;
}

/** What the tensioner's position waits for. */
export function loopWaits(missing: readonly Askable[]): string {
  return `The tensioner's position waits for: ${list(missing.map(readingName))}.`;
}
