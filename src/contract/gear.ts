import type { Backtest, Beginning, Custom, Ending, Marks, Reach, WearId, WornValue } from '../core/life';
import type { Part } from '../core/reading';
import type { Operation } from '../core/sheet';
import type { CustomerFactsView, GearSaidView } from './gear-changes';
import type { SawName } from './names';
import type { ModelView } from './saw-models';
import type { JobRow, ShopView } from './views';

/** A customer, as gear names one. */
export interface WhoseView {
  readonly id: string;
  readonly name: string;
  readonly contact: string;
}

/** A saw, as gear names one. */
export interface SawView {
  readonly id: string;
  readonly label: string;
  readonly tag: string;
  readonly mount: string | null;
  readonly maxRpm: number | null;
  /** Whether it is offered no more. */
  readonly retired: boolean;
}

/** When a piece reaches the first of its limits. */
export interface FirstLimitView {
  readonly wear: WearId;
  readonly now: WornValue;
  readonly limit: number;
  /** Measured once: how fast it wears is what the shop's figures say of such pieces. */
  readonly isByFigures: boolean;
  /** Running hours from its last look. */
  readonly hours: Reach;
  /** Days, as ISO dates. */
  readonly on: { readonly middle: string | null; readonly from: string | null; readonly until: string | null };
}

/** A piece, as lists show it. */
export interface PieceLine {
  readonly id: string;
  readonly part: Part;
  readonly marks: Marks;
  /** As somebody wrote it on the piece; empty where nobody did. */
  readonly tag: string;
  readonly began: Beginning;
  /** The saw that it came from, where it came from another. */
  readonly from: SawName | null;
  readonly ended: Ending | null;
  readonly to: SawName | null;
  /** Whether it goes in turn with the chain that is on the saw, and how many go in turn, it among them. */
  readonly rests: boolean;
  readonly turns: number;
  /** Of a drive sprocket: chains that ran while it was on, as far as the records go; of anything else null. */
  readonly chains: number | null;
  /** How many jobs it came with. */
  readonly looks: number;
  readonly hours: { readonly value: number; readonly u: number };
  /** The part that went on, where the hand-over names it. */
  readonly sold: { readonly sku: string; readonly name: string } | null;
  readonly first: FirstLimitView | null;
}

/** A job of a saw, as its past shows it. */
export interface GearVisit {
  readonly jobId: string;
  readonly tag: string;
  readonly state: JobRow['state'];
  readonly came: string;
  readonly went: string | null;
  readonly complaint: string;
  readonly worked: readonly { readonly part: Part; readonly operations: readonly Operation[] }[];
  readonly renewed: readonly Part[];
  /** The chain that it came with, by its piece; null where it came with none. */
  readonly chain: string | null;
}

/** The numbers of a saw's set, with the chains of the list that answer them. */
export interface NumbersView {
  readonly marks: Marks;
  readonly sprocket: Marks;
  /** Chain, bar and sprocket do not belong together. */
  readonly clashes: boolean;
  /** What is told of a saw that nothing was measured of, as a bar would have it punched on; empty where nothing is. */
  readonly told: string;
  readonly chains: readonly {
    readonly sku: string;
    readonly name: string;
    readonly quantity: number;
    readonly kickbackClass: Marks['kickbackClass'] | null;
  }[];
}

/** A saw with what is on it. */
export interface SawGear {
  readonly saw: SawView;
  readonly numbers: NumbersView;
  /** What is on it now. */
  readonly set: readonly PieceLine[];
  /** Chains that go in turn with the one that is on it. */
  readonly resting: readonly PieceLine[];
  readonly visits: number;
  readonly last: Pick<GearVisit, 'jobId' | 'tag' | 'state' | 'came'> | null;
}

/** Gear: saws found, or those that were in the shop last. */
export interface GearView {
  readonly shop: ShopView;
  readonly asked: string;
  readonly saws: readonly (SawGear & { readonly customer: WhoseView })[];
  /** Lists of saws that were taken in lately. */
  readonly lists: readonly GearSaidView[];
  /** Customers whose name answers. */
  readonly customers: readonly WhoseView[];
  readonly today: string;
}

/** A saw, as the table of all of them has it. */
export interface SawRowView extends SawView {
  readonly customer: { readonly id: string; readonly name: string };
  readonly jobs: number;
  readonly last: { readonly jobId: string; readonly tag: string } | null;
}

/** Every saw of everybody. */
export interface AllSawsView {
  readonly shop: ShopView;
  readonly filter: { readonly text: string; readonly retired: boolean };
  readonly total: number;
  /** The first of them. */
  readonly saws: readonly SawRowView[];
}

/** A customer, as the table of all of them has it. */
export interface CustomerRowView extends WhoseView {
  readonly saws: number;
  /** Whether it is offered no more. */
  readonly retired: boolean;
}

/** Every customer. */
export interface AllCustomersView {
  readonly shop: ShopView;
  readonly filter: { readonly text: string; readonly retired: boolean };
  readonly total: number;
  /** The first of them. */
  readonly customers: readonly CustomerRowView[];
}

/** What is due of a customer's saws: by a forecast, with its days, or by custom, at the next job. */
export interface DueGear {
  readonly saw: SawView;
  readonly piece: string;
  readonly part: Part;
  readonly because:
    { readonly code: 'limit'; readonly reach: FirstLimitView } | { readonly code: 'custom'; readonly custom: Custom };
}

/** A customer with their saws. */
export interface CustomerGearView {
  readonly shop: ShopView;
  readonly customer: WhoseView;
  readonly saws: readonly SawGear[];
  /** What is said of the customer. */
  readonly facts: CustomerFactsView;
  readonly said: readonly GearSaidView[];
  /** What is due within a year, the soonest first. */
  readonly due: readonly DueGear[];
  readonly total: number;
  readonly page: number;
  readonly pages: number;
  readonly today: string;
}

/** A saw with its past. */
export interface SawGearView extends SawGear {
  readonly shop: ShopView;
  readonly customer: WhoseView;
  readonly past: readonly PieceLine[];
  readonly jobs: readonly GearVisit[];
  /** What was said of the saw and its pieces, the newest first. */
  readonly said: readonly GearSaidView[];
  /** Jobs before these are in the store, and are not looked at. */
  readonly isCut: boolean;
  readonly today: string;
}

/** One point of a life, as it is drawn. */
export interface LifePointView extends WornValue {
  readonly jobId: string;
  readonly tag: string;
  readonly day: string;
  readonly hours: number;
  readonly after: boolean;
}

/** How one thing wears on a piece. */
export interface WearLifeView {
  readonly wear: WearId;
  readonly points: readonly LifePointView[];
  readonly limit: number | null;
  /** Change an hour, and what the shop's figures say of such pieces. */
  readonly rate: { readonly value: number; readonly u: number };
  readonly usual: { readonly value: number; readonly u: number };
  readonly backtest: Backtest;
  readonly reach: FirstLimitView | null;
  /** What is foreseen, day by day from the last look; eight times in ten between low and high. */
  readonly ahead: readonly {
    readonly day: string;
    readonly value: number;
    readonly low: number;
    readonly high: number;
  }[];
}

/** A piece with its life. */
export interface PieceView {
  readonly shop: ShopView;
  readonly customer: WhoseView;
  readonly saw: SawView;
  readonly piece: PieceLine;
  /** A code to scan that says its address: modules a side with the light round them, and the dark ones as a path. */
  readonly code: { readonly side: number; readonly dark: string };
  readonly said: readonly GearSaidView[];
  readonly use: { readonly hoursPerWeek: number; readonly u: number; readonly isTold: boolean };
  readonly wears: readonly WearLifeView[];
  readonly seen: readonly {
    readonly jobId: string;
    readonly tag: string;
    readonly came: string;
    readonly worked: readonly Operation[];
    readonly edge: { readonly came: 'A' | 'B' | null; readonly went: 'A' | 'B' | null } | null;
  }[];
  readonly today: string;
}

/** The models of a shop. */
export interface ModelsView {
  readonly shop: ShopView;
  /** The first of them. */
  readonly models: readonly ModelView[];
  readonly said: readonly GearSaidView[];
  readonly total: number;
}
