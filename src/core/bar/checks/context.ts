import type { Designs } from '../../belief';
import type { Setting } from '..';
import type { BarBelief, StraightEdgeOutcome } from '../../groove';
import type { Edge } from '../../declared';
import type { FamilyId, GaugeId } from '../../families';
import type { Limit, Limits } from '../../limits';
import type { Schools } from '../../schools';
import type { Candidate } from '../../identify';
import type { Estimate } from '../../quantity';
import type { BenchSheet } from '../../sheet';
import type { EdgeAssessment } from './edge';

/** A link that the bar may have been made for, with the weight the evidence leaves it. */
export interface OwnLink {
  readonly gauge: GaugeId | null;
  readonly thickness: Estimate;
  readonly weight: number;
}

/** What the checks of a bar look at. */
export interface BarContext {
  readonly sheet: BenchSheet;
  readonly limits: Limits;
  readonly schools: Schools;
  readonly edges: Readonly<Record<Edge, EdgeAssessment>>;
  readonly belief: BarBelief;
  /** What readings at the places of this sheet allow to know, worked out once. */
  readonly designs: Designs;
  readonly setting: Setting;
  readonly families: readonly Candidate<FamilyId>[];
  /** The same with those that are as good as out of the question: a mark may be misread. */
  readonly anyFamily: readonly Candidate<FamilyId>[];
  /** Links the bar may have been made for; several while its gauge is open, none where nothing tells. */
  readonly ownLinks: readonly OwnLink[];
  /** The same with those that are as good as out of the question. */
  readonly anyLink: readonly OwnLink[];
  /** True when the chain that was on is thinner than the bar's own: a test made with it tells of the chain. */
  readonly thinChain: boolean;
  readonly depthLimit: number | null;
  readonly playLimit: Limit<'mm'>;
  readonly straightEdgePredicted: StraightEdgeOutcome | null;
  /** The same from the least play that the readings allow; null where nothing holds it from below. */
  readonly straightEdgeAtLeast: StraightEdgeOutcome | null;
}
