import type { FamilyId, GaugeId } from '../families';
import { estimate, type LengthReading } from '../quantity';
import type { BarSheet, BenchSheet, ChainSheet, DriveSprocketSheet } from '../sheet';
import type { Evidence } from './combine';
import { gaugeMarkEvidence, grooveEvidence, thicknessEvidence } from './gauge';
import { identifyBarLinks, identifyChainLinks } from './links';
import { chassisEvidence, pitchMarkEvidence, spanEvidence } from './pitch';
import { identifyPitchAndGauge, type PitchAndGaugeEvidence } from './pitch-and-gauge';
import type { Identified, IdentityReason } from './reasons';
import { readStamp, stated } from './stamp';

/** What is known of each part, property by property. Evidence counts for its own part only. */
export interface Identity {
  readonly chain: {
    readonly pitch: Identified<FamilyId>;
    readonly gauge: Identified<GaugeId>;
    readonly driveLinks: Identified<number>;
  };
  readonly bar: {
    readonly pitch: Identified<FamilyId>;
    readonly gauge: Identified<GaugeId>;
    readonly driveLinks: Identified<number>;
  };
  readonly driveSprocket: { readonly pitch: Identified<FamilyId> };
}

type Collected = { -readonly [K in keyof PitchAndGaugeEvidence]: PitchAndGaugeEvidence[K][number][] };

const nothing = (): Collected => ({ pitch: [], gauge: [], pitchNotes: [], gaugeNotes: [] });

/** Files an item where it belongs: evidence is weighed, a bare reason is only said. */
function file<T extends string>(
  item: Evidence<T> | IdentityReason | null,
  evidence: Evidence<T>[],
  notes: IdentityReason[],
): void {
  if (!item) return;
  if ('weightOf' in item) evidence.push(item);
  else notes.push(item);
}

/** What a stamp says of pitch and gauge. Tokens that agree are one statement, not several. */
function fileStamp(stamp: string | undefined, into: Collected): void {
  const reading = readStamp(stamp ?? '');
  for (const { token, meaning } of unique(stated(reading, 'pitch'), ({ meaning: { value } }) => value)) {
    into.pitch.push(pitchMarkEvidence([meaning.value], 'stamp', token));
  }
  for (const { token, meaning } of unique(stated(reading, 'gauge'), ({ meaning: { value } }) => value)) {
    into.gauge.push(gaugeMarkEvidence(meaning.value, token));
  }
  for (const { meaning } of stated(reading, 'outOfScope')) {
    if (meaning.what === 'harvester-pitch') into.pitchNotes.push({ code: 'harvester-pitch' });
    else into.gaugeNotes.push({ code: 'harvester-gauge' });
  }
}

function unique<T>(items: readonly T[], key: (item: T) => string): readonly T[] {
  return items.filter((item, i) => items.findIndex((other) => key(other) === key(item)) === i);
}

/** The span as a reading, with the instrument named beside it laid over the field's usual one. */
function spanReading(span: NonNullable<ChainSheet['span']>): LengthReading {
  if (span.length.kind === 'bounded' || !span.instrument || span.instrument === 'caliper') return span.length;
  return { kind: 'measured', repeats: span.length.repeats, instrument: span.instrument };
}

function chainEvidence(chain: ChainSheet): Collected {
  const into = nothing();
  fileStamp(chain.stamp, into);
  if (chain.span) file(spanEvidence(spanReading(chain.span), chain.span.rivets), into.pitch, into.pitchNotes);
  if (chain.template?.length) into.pitch.push(pitchMarkEvidence(chain.template, 'template', chain.template.join(', ')));
  if (chain.chassis) into.pitch.push(chassisEvidence(chain.chassis));
  if (chain.driveLinkThickness) file(thicknessEvidence(chain.driveLinkThickness), into.gauge, into.gaugeNotes);
  return into;
}

/** The narrowest groove found: wear only widens, so it is nearest to the groove as made. */
function narrowest(bar: BarSheet, field: 'mouth' | 'deep'): LengthReading | null {
  const stations = [...(bar.edges?.A?.stations ?? []), ...(bar.edges?.B?.stations ?? [])];
  const readings = stations.flatMap((station) => (station[field] ? [station[field]] : []));
  const value = (reading: LengthReading) => estimate(reading)?.value ?? Infinity;
  return readings.reduce<LengthReading | null>(
    (least, reading) => (least && value(least) <= value(reading) ? least : reading),
    null,
  );
}

function barEvidence(bar: BarSheet): Collected {
  const into = nothing();
  fileStamp(bar.stamp, into);
  const floor = narrowest(bar, 'deep');
  const mouth = narrowest(bar, 'mouth');
  if (floor) into.gauge.push(grooveEvidence(floor, 'floor'));
  else if (mouth) into.gauge.push(grooveEvidence(mouth, 'mouth'));
  return into;
}

function sprocketEvidence(sprocket: DriveSprocketSheet): Collected {
  const into = nothing();
  if (sprocket.pitch) into.pitch.push(pitchMarkEvidence([sprocket.pitch], 'sprocket', sprocket.pitch));
  return into;
}

/**
 * Identifies chain, bar and drive sprocket from a sheet. Every property ends settled (weight 0.95 or more and nothing against),
 * open, or in conflict, with the reasons.
 */
export function identify(sheet: BenchSheet): Identity {
  const chain = sheet.chain ?? {};
  const bar = sheet.bar ?? {};
  const marks = stated(readStamp(bar.stamp ?? ''), 'driveLinks').map(({ token, meaning }) => ({
    ...meaning,
    text: token,
  }));
  return {
    chain: {
      ...identifyPitchAndGauge(chainEvidence(chain)),
      driveLinks: identifyChainLinks({
        counts: chain.driveLinks ?? [],
        cutters: chain.cutters,
        sequence: chain.sequence,
      }),
    },
    bar: { ...identifyPitchAndGauge(barEvidence(bar)), driveLinks: identifyBarLinks(marks) },
    driveSprocket: { pitch: identifyPitchAndGauge(sprocketEvidence(sheet.driveSprocket ?? {})).pitch },
  };
}
