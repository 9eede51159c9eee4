import type { Step } from '../core/assess';
import type { LimitId, Limits } from '../core/families';
import type { StockPart } from '../core/order';
import type { Action, Part } from '../core/sheet';
import type { StoredReadingMessage } from './readings';

/** What every page knows: the shop and the people at its bench. */
export interface ShopView {
  readonly name: string;
  readonly currency: string;
  readonly people: readonly { readonly id: string; readonly name: string }[];
}

/** What the Bench shows of a job without reading it all. */
export interface JobSummary {
  readonly verdicts: Readonly<Record<Part, Action>>;
  readonly brought: readonly Part[];
  readonly next: { readonly step: Step | null; readonly text: string };
  readonly orderReady: boolean;
}

export interface JobRow {
  readonly id: string;
  readonly tag: string;
  readonly state: 'open' | 'signed-off';
  readonly promisedFor: string | null;
  readonly customer: string;
  readonly saw: string | null;
  readonly complaint: string;
  readonly summary: JobSummary;
}

export interface BenchView {
  readonly shop: ShopView;
  readonly today: string;
  readonly title: string | null;
  readonly jobs: readonly JobRow[];
  readonly total: number;
  readonly page: number;
  readonly pages: number;
  readonly customers: readonly {
    readonly id: string;
    readonly name: string;
    readonly saws: readonly { readonly id: string; readonly label: string; readonly tag: string }[];
  }[];
}

export interface JobView {
  readonly shop: ShopView;
  readonly job: {
    readonly id: string;
    readonly tag: string;
    readonly state: 'open' | 'signed-off';
    readonly promisedFor: string | null;
    readonly createdAt: string;
    readonly createdBy: string;
  };
  readonly customer: { readonly id: string; readonly name: string; readonly contact: string };
  readonly saw: { readonly id: string; readonly label: string; readonly tag: string } | null;
  readonly readings: readonly StoredReadingMessage[];
  readonly limits: Limits;
  readonly signOffs: readonly {
    readonly id: string;
    readonly at: string;
    readonly by: string;
    readonly upToReading: number;
  }[];
}

/** A chain that answers an order, or nearly. */
export interface StockAnswer {
  readonly part: StockPart;
  readonly misses: readonly string[];
}

/** The printed order slip. */
export interface SlipView {
  readonly shop: ShopView;
  readonly tag: string;
  readonly customer: string;
  readonly saw: string | null;
  readonly date: string;
  readonly order: {
    readonly pitch: string;
    /** The pitch in full words, where the short form needs them. */
    readonly pitchNote: string;
    readonly gauge: string;
    readonly gaugeNote: string;
    readonly driveLinks: number;
    readonly kickbackClass: string;
  } | null;
  readonly withheld: readonly string[];
  readonly fit: readonly { readonly holds: boolean | null; readonly text: string }[];
  readonly stock: readonly StockAnswer[];
}

export interface StockView {
  readonly shop: ShopView;
  readonly parts: readonly StockPart[];
  readonly total: number;
  readonly page: number;
  readonly pages: number;
  readonly filter: {
    readonly text: string;
    readonly kind: string;
    readonly pitch: string;
    readonly gauge: string;
    readonly driveLinks: string;
  };
}

export interface ShopPageView {
  readonly shop: ShopView;
  readonly limits: Limits;
  readonly changes: readonly {
    readonly limitId: LimitId;
    readonly text: string;
    readonly at: string;
    readonly by: string;
  }[];
}

export interface SearchHitView {
  readonly kind: 'customer' | 'saw' | 'job' | 'part';
  readonly title: string;
  readonly detail: string;
  readonly href: string;
}
