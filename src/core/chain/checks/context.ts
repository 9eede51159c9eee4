import { flatMap } from '../../flat-map';
import {
  angleSetBackOf,
  filingOf,
  lengthAfterCorrection,
  standingCutters,
  startValues,
  type Correction,
  type Cut,
  type Cutters,
  type Damage,
  type Side,
  type SideSetBack,
  type StandingCutters,
  type StartValues,
} from '..';
import type { FamilyId } from '../../families';
import type { Identity } from '../../identify';
import { gaugeSettingId, type Limit, type Limits } from '../../limits';
import { boundsOf, estimate, type Bounds, type Estimate, type LengthReading } from '../../quantity';
import type { Schools } from '../../schools';
import type { BenchSheet, ChainSheet } from '../../sheet';

/** What every check of the chain looks at. */
export interface ChainContext {
  readonly chain: ChainSheet;
  readonly limits: Limits;
  readonly schools: Schools;
  /** Cutters and damage as they were first measured, and as they stand. */
  readonly before: Cutters;
  readonly standing: StandingCutters;
  readonly correction: Correction | null;
  readonly start: StartValues;
  /** Sides whose top plates stand off the wanted angle by more than the shop lets pass, degrees as found. */
  readonly offAngle: Readonly<Partial<Record<Side, number>>>;
  /**
   * Settings of the depth gauges that the families in question have, each once; one where they agree, none where no
   * family is known.
   */
  readonly settings: readonly Limit<'mm'>[];
}

export const boundsOfAll = (readings: readonly LengthReading[] | undefined): readonly Bounds[] =>
  (readings ?? []).map(boundsOf);

export const estimates = (readings: readonly LengthReading[] | undefined): readonly Estimate[] =>
  flatMap(readings ?? [], (reading) => estimate(reading) ?? []);

const damageOf = (chain: ChainSheet): readonly Damage[] =>
  (chain.damage ?? []).map(({ side, cutter, kind, place, setBack }) => ({
    side,
    cutter,
    setBack: boundsOf(setBack),
    // A wrong angle is the angle itself: it sits where the correction takes it off.
    place: kind === 'angle' ? 'corner' : (place ?? 'corner'),
  }));

/** A candidate lighter than this is out of the question. */
const LIVE = 0.05;

/** Families that the chain may be of: its own, or its bar's where nothing is known of it. */
function familiesOf({ chain, bar }: Identity): readonly FamilyId[] {
  const { candidates } = chain.pitch.candidates.length > 0 ? chain.pitch : bar.pitch;
  return [...candidates]
    .filter(({ weight }) => weight >= LIVE)
    .sort((a, b) => b.weight - a.weight)
    .map(({ value }) => value);
}

const cutOf = ({ job }: BenchSheet): Cut => (job?.use === 'milling' ? 'ripping' : 'cross-cut');

/** What is marked on the gauges or named by the maker wins over the table. */
function settingsOf(chain: ChainSheet, families: readonly FamilyId[], limits: Limits): readonly Limit<'mm'>[] {
  const marked = chain.gaugeSetting && estimate(chain.gaugeSetting)?.value;
  if (marked !== undefined && marked !== null)
    return [
      { ...limits['chain.gauge.38'], value: marked, provenance: 'published', source: 'marked on the depth gauge' },
    ];
  const all = families.map((family) => limits[gaugeSettingId(family)]);
  return all.filter((setting, i) => all.findIndex(({ value }) => value === setting.value) === i);
}

function offAngleOf(chain: ChainSheet, { topPlate }: StartValues, limits: Limits): ChainContext['offAngle'] {
  const found = { left: chain.topPlateAngleLeft, right: chain.topPlateAngleRight };
  const isOff = (angle: number | undefined): angle is number =>
    angle !== undefined && Math.abs(angle - topPlate) > limits['chain.angle'].value;
  return {
    ...(isOff(found.left) ? { left: found.left } : {}),
    ...(isOff(found.right) ? { right: found.right } : {}),
  };
}

/** What correcting the angles takes off the points; nothing is known of it without the plate's width. */
function angleSetBacks(chain: ChainSheet, { topPlate }: StartValues, offAngle: ChainContext['offAngle']): SideSetBack {
  const width = chain.topPlateWidth && estimate(chain.topPlateWidth);
  if (!width) return {};
  return Object.fromEntries(
    Object.entries(offAngle).map(([side, angle]) => [side, angleSetBackOf(width, angle, topPlate)]),
  );
}

/** Edges that a filing must still bring back: until it is said to be done, what it takes is not there to be kept. */
function sharpening({ checks, reworkDone = [] }: ChainSheet, limits: Limits): number {
  const dull = checks?.edge === 'dull' && !reworkDone.includes('sharpen');
  const wrong = (checks?.undercut ?? 'right') !== 'right' && !reworkDone.includes('correct-undercut');
  return dull || wrong ? limits['chain.filing-loss'].value : 0;
}

export function chainContext(sheet: BenchSheet, identity: Identity, limits: Limits, schools: Schools): ChainContext {
  const chain = sheet.chain ?? {};
  const before = { left: boundsOfAll(chain.cuttersLeft), right: boundsOfAll(chain.cuttersRight) };
  const after = { left: boundsOfAll(chain.after?.cuttersLeft), right: boundsOfAll(chain.after?.cuttersRight) };
  const standing = standingCutters(before, after, damageOf(chain));
  const families = familiesOf(identity);
  const start = startValues(
    families.length === 1 ? families[0]! : null,
    filingOf(chain.filing, chain.cutterShape),
    cutOf(sheet),
  );
  const offAngle = offAngleOf(chain, start, limits);
  return {
    chain,
    limits,
    schools,
    before,
    standing,
    correction: lengthAfterCorrection(
      standing.cutters,
      standing.damage,
      angleSetBacks(chain, start, offAngle),
      sharpening(chain, limits),
    ),
    start,
    offAngle,
    settings: settingsOf(chain, families, limits),
  };
}
