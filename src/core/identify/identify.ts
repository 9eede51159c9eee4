import { flatMap } from '../flat-map';
import { FAMILY_IDS, GAUGE_IDS, type FamilyId, type GaugeId } from '../families';
import { estimate } from '../quantity';
import { BAR_EVIDENCE, EVIDENCE_IDS, type BenchSheet, type EvidenceId } from '../sheet';
import { collectStatements, type Statement } from './collect';
import { findingsOf, type IdentityFinding } from './findings';
import { codeLinksEvidence, codesOn } from './learned-code';
import type { LearnedCode } from './learned-code-schema';
import {
  countEvidence,
  cuttersEvidence,
  identifyBarLinks,
  identifyChainLinks,
  linksMarkEvidence,
  type LinksStatement,
} from './links';
import { loopLengthStatements, wayRoundStatements } from './loop-evidence';
import { withOnMark, type Sourced } from './on-mark';
import { identifyPitchAndGauge, type PitchAndGaugeEvidence } from './pitch-and-gauge';
import type { EvidenceItem, Identified, IdentifiedPart, IdentityReason, ThreeNumbers } from './reasons';
import { withGaugeSettling, withLinksSettling, withPitchSettling } from './settle';
import { countedTwice, countId, sequenceAgrees, sequenceByCount, standingCounts } from './sequence';
import { readStamp, stated } from './stamp';

/** What is known of each part, property by property. Evidence counts for its own part only. */
export interface Identity {
  readonly chain: ThreeNumbers;
  readonly bar: ThreeNumbers;
  readonly driveSprocket: { readonly pitch: Identified<FamilyId> };
  readonly nose: { readonly pitch: Identified<FamilyId> };
  /** The class that a learned code on the chain stands for; null where none does. */
  readonly codeClass: LearnedCode['kickbackClass'];
  /** Everything that speaks of the three numbers, set aside or not. */
  readonly evidence: readonly EvidenceItem[];
  /** Traps recognised across parts and readings. */
  readonly findings: readonly IdentityFinding[];
}

function evidenceOf(statements: readonly Statement[], part: IdentifiedPart): PitchAndGaugeEvidence {
  const own = statements.filter((statement) => statement.part === part);
  return {
    pitch: flatMap(own, (each) => (each.property === 'pitch' && 'evidence' in each ? [each.evidence] : [])),
    gauge: flatMap(own, (each) => (each.property === 'gauge' && 'evidence' in each ? [each.evidence] : [])),
    pitchNotes: flatMap(own, (each) => (each.property === 'pitch' && 'note' in each ? [each.note] : [])),
    gaugeNotes: flatMap(own, (each) => (each.property === 'gauge' && 'note' in each ? [each.note] : [])),
  };
}

function chainCounts(sheet: BenchSheet, learned: readonly LearnedCode[]): readonly LinksStatement[] {
  const counts = (sheet.chain?.driveLinks ?? []).map((value, i): LinksStatement => ({
    id: countId(i),
    evidence: countEvidence(value),
  }));
  const named = flatMap(learned, (code): readonly LinksStatement[] => {
    const evidence = codeLinksEvidence(code);
    return evidence ? [{ id: 'chain.stamp', evidence }] : [];
  });
  return [...counts, ...named, ...cuttersStatement(sheet)];
}

/** The class that the first of some codes names. */
const classOf = (codes: readonly LearnedCode[]): Identity['codeClass'] =>
  codes.find(({ kickbackClass }) => kickbackClass !== null)?.kickbackClass ?? null;

/**
 * What the cutters say of the links in the ticked sequence. Where two counts of the links agree and the cutters do not
 * fit them, the sequence is what is doubted: it says nothing of the links.
 */
function cuttersStatement(sheet: BenchSheet): readonly LinksStatement[] {
  const { cutters, sequence } = sheet.chain ?? {};
  if (cutters === undefined || sequence === undefined) return [];
  const links = countedTwice(standingCounts(sheet));
  if (links !== null && sequenceAgrees(links, cutters, sequence) === false) {
    const says = sequenceByCount(links, cutters);
    return [{ id: 'chain.cutters', note: { code: 'sequence-doubted', cutters, sequence, links, says } }];
  }
  const evidence = cuttersEvidence(cutters, sequence);
  return evidence ? [{ id: 'chain.cutters', evidence }] : [];
}

function barMarks({ bar }: BenchSheet): readonly LinksStatement[] {
  return stated(readStamp(bar?.stamp ?? ''), 'driveLinks').map(({ token, meaning }) => ({
    id: 'bar.stamp',
    evidence: linksMarkEvidence(meaning.value, token, meaning.marked),
  }));
}

/** The evidence on one property of a part, with the readings it comes from. */
function sourcedOf<T extends string>(
  statements: readonly Statement[],
  part: IdentifiedPart,
  property: 'pitch' | 'gauge',
): readonly Sourced<T>[] {
  return flatMap(statements, (each) =>
    each.part === part && each.property === property && 'evidence' in each
      ? [{ id: each.id, evidence: each.evidence as unknown as Sourced<T>['evidence'] }]
      : [],
  );
}

interface Said {
  readonly id: EvidenceId;
  readonly part: IdentifiedPart;
  readonly reason: IdentityReason;
}

const reasonOf = (statement: Statement | LinksStatement): IdentityReason =>
  'evidence' in statement ? statement.evidence.reason : statement.note;

const LAST_OF_BAR = EVIDENCE_IDS.indexOf(BAR_EVIDENCE.at(-1)!);

/** One item for each reading of each part, in the order of the sheet. */
function itemsOf(said: readonly Said[], setAside: readonly EvidenceId[]): readonly EvidenceItem[] {
  const items = new Map<string, EvidenceItem>();
  for (const { id, part, reason } of said) {
    // The nose only repeats what the bar's stamp says, and the bar what its nose says.
    if ((part === 'nose' && id === 'bar.stamp') || (part === 'bar' && id === 'bar.nosePitch')) continue;
    const before = items.get(id);
    items.set(id, { id, part, says: [...(before?.says ?? []), reason], setAside: setAside.includes(id) });
  }
  // What belongs to the nose follows what else is read of the bar.
  const rank = ({ id, part }: EvidenceItem) =>
    part === 'nose' ? LAST_OF_BAR + EVIDENCE_IDS.indexOf(id) / EVIDENCE_IDS.length : EVIDENCE_IDS.indexOf(id);
  return [...items.values()].sort((a, b) => rank(a) - rank(b));
}

/**
 * Identifies chain, bar, drive sprocket and nose from a sheet. Every property ends settled (weight 0.95 or more and
 * nothing against), open with the one observation that would settle it, or in conflict, with the reasons. Evidence that
 * was set aside does not count.
 * @param codes drive-link codes the shop has learned
 */
export function identify(sheet: BenchSheet, codes: readonly LearnedCode[] = []): Identity {
  const setAside = sheet.setAside ?? [];
  const counts = <T extends { readonly id: EvidenceId }>(statements: readonly T[]): readonly T[] =>
    setAside.length === 0 ? statements : statements.filter(({ id }) => !setAside.includes(id));

  const all = collectStatements(sheet, codes);
  const of = (part: IdentifiedPart) => identifyPitchAndGauge(evidenceOf(counts(all), part));
  const [chain, bar, driveSprocket, nose] = [of('chain'), of('bar'), of('driveSprocket'), of('nose')];
  const learned = codesOn(sheet.chain?.stamp, codes);
  const chainLinks = [...chainCounts(sheet, learned), ...loopLengthStatements(sheet, chain.pitch.candidates)];
  const round = bar.pitch.candidates.length > 0 ? bar.pitch.candidates : chain.pitch.candidates;
  const barLinks = [...barMarks(sheet), ...wayRoundStatements(sheet, round)];

  const said: readonly Said[] = [
    ...all.map((statement) => ({ id: statement.id, part: statement.part, reason: reasonOf(statement) })),
    ...chainLinks.map((statement) => ({ id: statement.id, part: 'chain' as const, reason: reasonOf(statement) })),
    ...barLinks.map((statement) => ({ id: statement.id, part: 'bar' as const, reason: reasonOf(statement) })),
  ];
  const sourceOf = (reason: IdentityReason) => said.find((each) => each.reason === reason)?.id ?? null;
  const pitchOf = (part: IdentifiedPart, pitch: Identified<FamilyId>) =>
    withOnMark(
      withPitchSettling(sheet, part, pitch, sourceOf),
      { sheet, part, name: 'pitch' },
      FAMILY_IDS,
      sourcedOf<FamilyId>(counts(all), part, 'pitch'),
    );
  const gaugeOf = (part: 'chain' | 'bar', gauge: Identified<GaugeId>) =>
    withOnMark(
      withGaugeSettling(sheet, part, gauge, sourceOf),
      { sheet, part, name: 'gauge' },
      GAUGE_IDS,
      sourcedOf<GaugeId>(counts(all), part, 'gauge'),
    );
  const barCount = withLinksSettling(sheet, 'bar', identifyBarLinks(counts(barLinks)), sourceOf);
  const known = {
    chain: {
      pitch: pitchOf('chain', chain.pitch),
      gauge: gaugeOf('chain', chain.gauge),
      driveLinks: withLinksSettling(sheet, 'chain', identifyChainLinks(counts(chainLinks)), sourceOf),
    },
    bar: {
      pitch: pitchOf('bar', bar.pitch),
      gauge: gaugeOf('bar', bar.gauge),
      driveLinks: withOnMark(
        barCount,
        { sheet, part: 'bar', name: 'driveLinks' },
        barCount.candidates.map(({ value }) => value),
        flatMap(counts(barLinks), (statement) => ('evidence' in statement ? [statement] : [])),
      ),
    },
    driveSprocket: { pitch: pitchOf('driveSprocket', driveSprocket.pitch) },
    nose: { pitch: pitchOf('nose', nose.pitch) },
  };
  const mouth = flatMap(
    flatMap(['A', 'B'] as const, (edge) => sheet.bar?.edges?.[edge]?.stations ?? []),
    (station) => (station.mouth ? [estimate(station.mouth)?.value ?? 0] : []),
  );
  return {
    ...known,
    codeClass: setAside.includes('chain.stamp') ? null : classOf(learned),
    evidence: itemsOf(said, setAside),
    findings: findingsOf(known, { widestMouth: mouth.length > 0 ? Math.max(...mouth) : null }),
  };
}
