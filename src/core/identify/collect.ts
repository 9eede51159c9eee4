import { flatMap } from '../flat-map';
import type { FamilyId, GaugeId } from '../families';
import { estimate, type LengthReading } from '../quantity';
import type { BarSheet, BenchSheet, ChainSheet, DriveSprocketSheet, EvidenceId } from '../sheet';
import type { Evidence } from './combine';
import { gaugeMarkEvidence, grooveEvidence, thicknessEvidence } from './gauge';
import { codeGaugeEvidence, codeOf, codePitchEvidence } from './learned-code';
import type { LearnedCode } from './learned-code-schema';
import { chassisEvidence, fileEvidence, pitchMarkEvidence, spanEvidence } from './pitch';
import type { IdentifiedPart, IdentityReason } from './reasons';
import { readStamp, stated, type StampReading } from './stamp';

/** One statement on a pitch or a gauge: evidence is weighed, a note is only said. */
export type Statement = {
  readonly id: EvidenceId;
  readonly part: IdentifiedPart;
} & (
  | { readonly property: 'pitch'; readonly evidence: Evidence<FamilyId> }
  | { readonly property: 'gauge'; readonly evidence: Evidence<GaugeId> }
  | { readonly property: 'pitch' | 'gauge'; readonly note: IdentityReason }
);

type Source = Pick<Statement, 'id' | 'part'>;

function pitchOf(source: Source, item: Evidence<FamilyId> | IdentityReason | null): Statement[] {
  if (!item) return [];
  return [{ ...source, property: 'pitch', ...('weightOf' in item ? { evidence: item } : { note: item }) } as Statement];
}

function gaugeOf(source: Source, item: Evidence<GaugeId> | IdentityReason | null): Statement[] {
  if (!item) return [];
  return [{ ...source, property: 'gauge', ...('weightOf' in item ? { evidence: item } : { note: item }) } as Statement];
}

function unique<T>(items: readonly T[], key: (item: T) => string): readonly T[] {
  return items.filter((item, i) => items.findIndex((other) => key(other) === key(item)) === i);
}

/** What a stamp says of pitch and gauge. Tokens that agree are one statement, not several. */
function stampStatements(source: Source, stamp: StampReading, on: 'stamp' | 'sprocket'): Statement[] {
  const pitches = unique(stated(stamp, 'pitch'), ({ meaning: { value } }) => value);
  const gauges = unique(stated(stamp, 'gauge'), ({ meaning: { value } }) => value);
  return [
    ...flatMap(pitches, ({ token, meaning }) => pitchOf(source, pitchMarkEvidence([meaning.value], on, token))),
    ...flatMap(gauges, ({ token, meaning }) => gaugeOf(source, gaugeMarkEvidence(meaning.value, token))),
    ...flatMap(stated(stamp, 'outOfScope'), ({ meaning: { what } }) =>
      what === 'harvester-pitch'
        ? pitchOf(source, { code: 'harvester-pitch' })
        : gaugeOf(source, { code: 'harvester-gauge' }),
    ),
  ];
}

/** A stamp on a chain: a code the shop has learned comes before anything its characters may mean in general. */
function chainStamp(text: string, codes: readonly LearnedCode[]): Statement[] {
  const source = { id: 'chain.stamp', part: 'chain' } as const;
  const stamp = readStamp(text);
  const learned = flatMap(stamp.tokens, ({ text: piece }) => codeOf(piece, codes) ?? []);
  const rest = { ...stamp, tokens: stamp.tokens.filter(({ text: piece }) => !codeOf(piece, codes)) };
  return [
    ...flatMap(learned, (code) => [
      ...pitchOf(source, codePitchEvidence(code)),
      ...gaugeOf(source, codeGaugeEvidence(code)),
    ]),
    ...stampStatements(source, rest, 'stamp'),
  ];
}

/** The span as a reading, with the instrument named beside it laid over the field's usual one. */
export function spanReading(span: NonNullable<ChainSheet['span']>): LengthReading {
  if (span.length.kind === 'bounded' || !span.instrument || span.instrument === 'caliper') return span.length;
  return { kind: 'measured', repeats: span.length.repeats, instrument: span.instrument };
}

function chainStatements(chain: ChainSheet, codes: readonly LearnedCode[]): Statement[] {
  const from = (id: EvidenceId): Source => ({ id, part: 'chain' });
  const { span, template, chassis, fileSize, driveLinkThickness } = chain;
  return [
    ...chainStamp(chain.stamp ?? '', codes),
    ...(span ? pitchOf(from('chain.span'), spanEvidence(spanReading(span), span.rivets)) : []),
    ...(template?.length
      ? pitchOf(from('chain.template'), pitchMarkEvidence(template, 'template', template.join(', ')))
      : []),
    ...(chassis ? pitchOf(from('chain.chassis'), chassisEvidence(chassis)) : []),
    ...(fileSize ? pitchOf(from('chain.fileSize'), fileEvidence(fileSize)) : []),
    ...(driveLinkThickness ? gaugeOf(from('chain.driveLinkThickness'), thicknessEvidence(driveLinkThickness)) : []),
  ];
}

/** The narrowest groove found: wear only widens, so it is nearest to the groove as made. */
function narrowest(bar: BarSheet, field: 'mouth' | 'deep'): LengthReading | null {
  const stations = [...(bar.edges?.A?.stations ?? []), ...(bar.edges?.B?.stations ?? [])];
  let least: { readonly reading: LengthReading; readonly value: number } | null = null;
  for (const station of stations) {
    const reading = station[field];
    if (!reading) continue;
    const value = estimate(reading)?.value ?? Infinity;
    if (least === null || value < least.value) least = { reading, value };
  }
  return least?.reading ?? null;
}

/**
 * The groove near its floor, where it was measured for itself or at a station. The mouth speaks only where nothing
 * better does.
 */
function grooveStatements(bar: BarSheet, setAside: readonly EvidenceId[]): Statement[] {
  const from = (id: EvidenceId): Source => ({ id, part: 'bar' });
  const floor = narrowest(bar, 'deep');
  const mouth = narrowest(bar, 'mouth');
  const better = [
    ...(bar.groove ? gaugeOf(from('bar.groove'), grooveEvidence(bar.groove, 'sound')) : []),
    ...(floor ? gaugeOf(from('bar.edges.deep'), grooveEvidence(floor, 'floor')) : []),
  ];
  const counting = better.filter(({ id }) => !setAside.includes(id));
  const last = mouth && counting.length === 0 ? gaugeOf(from('bar.edges.mouth'), grooveEvidence(mouth, 'mouth')) : [];
  return [...better, ...last];
}

/** A nose is made for the pitch of its bar: its mark speaks for a bar that carries none of its own. */
function noseForBar(bar: BarSheet, stamped: readonly Statement[]): Statement[] {
  const marked = stamped.some(({ property }) => property === 'pitch');
  if (marked || bar.nose === 'hard' || !bar.nosePitch) return [];
  return pitchOf({ id: 'bar.nosePitch', part: 'bar' }, pitchMarkEvidence([bar.nosePitch], 'nose', bar.nosePitch));
}

function barStatements(bar: BarSheet, setAside: readonly EvidenceId[]): Statement[] {
  const stamped = stampStatements({ id: 'bar.stamp', part: 'bar' }, readStamp(bar.stamp ?? ''), 'stamp');
  const counting = setAside.includes('bar.stamp') ? [] : stamped;
  return [...stamped, ...noseForBar(bar, counting), ...grooveStatements(bar, setAside)];
}

/** The nose: its own mark, and the bar's stamp, which names the pitch its nose was made for. */
function noseStatements(bar: BarSheet): Statement[] {
  if (bar.nose === 'hard') return [];
  const stamp = stampStatements({ id: 'bar.stamp', part: 'nose' }, readStamp(bar.stamp ?? ''), 'stamp');
  const own = bar.nosePitch
    ? pitchOf({ id: 'bar.nosePitch', part: 'nose' }, pitchMarkEvidence([bar.nosePitch], 'nose', bar.nosePitch))
    : [];
  return [...own, ...stamp.filter(({ property }) => property === 'pitch')];
}

function sprocketStatements({ pitch, stamp }: DriveSprocketSheet): Statement[] {
  const part = 'driveSprocket' as const;
  return [
    ...(pitch ? pitchOf({ id: 'driveSprocket.pitch', part }, pitchMarkEvidence([pitch], 'sprocket', pitch)) : []),
    ...stampStatements({ id: 'driveSprocket.stamp', part }, readStamp(stamp ?? ''), 'sprocket').filter(
      ({ property }) => property === 'pitch',
    ),
  ];
}

/** Everything on the sheet that speaks of a pitch or a gauge, each for its own part; set aside or not. */
export function collectStatements(sheet: BenchSheet, codes: readonly LearnedCode[]): readonly Statement[] {
  return [
    ...chainStatements(sheet.chain ?? {}, codes),
    ...barStatements(sheet.bar ?? {}, sheet.setAside ?? []),
    ...sprocketStatements(sheet.driveSprocket ?? {}),
    ...noseStatements(sheet.bar ?? {}),
  ];
}
