import { FAMILIES, GAUGE_IDS, GAUGES, type FamilyId, type GaugeId } from '../families';
import { mm, type Mm } from '../quantity';
import type { ThreeNumbers } from './reasons';

/** A trap that hands fall into, recognised from what was read. */
export type IdentityFinding =
  /** Thinner chain than groove: goes in, looks right, must not. Thicker: will not run. */
  | { readonly code: 'thin-chain' | 'thick-chain'; readonly chain: GaugeId; readonly bar: GaugeId }
  /** The pitch measures longer than any new chain of its family. */
  | { readonly code: 'stretched'; readonly family: FamilyId; readonly pitch: Mm; readonly percent: number }
  /** The mouth of the groove is as wide as another gauge: worn. */
  | { readonly code: 'worn-mouth'; readonly gauge: GaugeId; readonly looksLike: GaugeId; readonly width: Mm }
  | { readonly code: 'build-open' }
  /** The bar is stamped or measured for another count than the chain carries. */
  | { readonly code: 'other-count'; readonly chain: number; readonly bar: number }
  | { readonly code: 'odd-count'; readonly links: number };

interface Known {
  readonly chain: ThreeNumbers;
  readonly bar: ThreeNumbers;
}

/** A pitch this little above the range is reading noise: two standard uncertainties. */
const BEYOND_DOUBT = 2;

function stretched({ chain: { pitch } }: Known): readonly IdentityFinding[] {
  const span = pitch.why.find((reason) => reason.code === 'span');
  if (span?.code !== 'span' || pitch.value === null) return [];
  const longest = FAMILIES[pitch.value].unworn[1];
  if (span.pitch - BEYOND_DOUBT * span.u <= longest) return [];
  const nominal = FAMILIES[pitch.value].pitch;
  return [
    { code: 'stretched', family: pitch.value, pitch: span.pitch, percent: (100 * (span.pitch - nominal)) / nominal },
  ];
}

function gauges({ chain, bar }: Known): readonly IdentityFinding[] {
  const [thin, wide] = [chain.gauge.value, bar.gauge.value];
  if (thin === null || wide === null || thin === wide) return [];
  const thinner = GAUGES[thin].thickness < GAUGES[wide].thickness;
  return [{ code: thinner ? 'thin-chain' : 'thick-chain', chain: thin, bar: wide }];
}

function wornMouth({ bar }: Known, widestMouth: number | null): readonly IdentityFinding[] {
  const gauge = bar.gauge.value;
  if (gauge === null || widestMouth === null) return [];
  const looksLike = [...GAUGE_IDS]
    .reverse()
    .find((id) => GAUGES[id].thickness > GAUGES[gauge].thickness && GAUGES[id].thickness <= widestMouth);
  return looksLike ? [{ code: 'worn-mouth', gauge, looksLike, width: mm(widestMouth) }] : [];
}

function counts({ chain, bar }: Known): readonly IdentityFinding[] {
  const [has, wants] = [chain.driveLinks.value, bar.driveLinks.value];
  const odd: readonly IdentityFinding[] = has !== null && has % 2 === 1 ? [{ code: 'odd-count', links: has }] : [];
  return has !== null && wants !== null && has !== wants
    ? [{ code: 'other-count', chain: has, bar: wants }, ...odd]
    : odd;
}

/** All traps that the settled numbers show. */
export function findingsOf(known: Known, seen: { readonly widestMouth: number | null }): readonly IdentityFinding[] {
  const buildOpen = known.chain.pitch.why.some(({ code }) => code === 'build-open');
  return [
    ...gauges(known),
    ...counts(known),
    ...(buildOpen ? [{ code: 'build-open' } as const] : []),
    ...stretched(known),
    ...wornMouth(known, seen.widestMouth),
  ];
}
