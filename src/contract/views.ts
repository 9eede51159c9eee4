import type { BackupView } from './backups';
import type { RecordsView } from './records';
import type { Step, Part, Waits } from '../core/reading';
import type { VisitFacts } from '../core/life';
import type { NearMiss } from '../core/fit';
import type { LimitId, Limits } from '../core/limits';
import type { PartSaid } from '../core/course';
import type { SignedChoices } from '../core/refit';
import type { Schools } from '../core/schools';
import type { Need, StockMatch, StockPart, PlannedPart } from '../core/stock';
import type { ShelvedPartView } from './stock';
import type { Study } from '../core/hand';
import type { LearnedCode } from '../core/identify';
import type { UnitSystem } from '../core/quantity';
import type { JobPartView } from './job-parts';
import type { SignedPlan } from './plans';
import type { StudyView } from './studies';
import type { Action } from '../core/sheet';
import type { Me } from './people';
import type { SetUpItem, SetUpState } from './set-up';
import type { ShopFacts } from './shop-style';
import type { Cause } from '../core/symptom';
import type { SupplierMood } from './supplier';
import type { StoredReadingMessage } from './readings';

/** What every page knows: the shop and the people at its bench. */
export interface ShopView extends Omit<Required<ShopFacts>, 'style' | 'unit'> {
  /** What lengths are shown in where a device has not chosen. */
  readonly unit: UnitSystem;
  /** Language tag whose numbers and dates are written; the words stay English. */
  readonly style: string;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  /** Whether everything in the store is invented, to look around in. */
  readonly isDemo: boolean;
  /** Who is signed in; null where nobody signs in here. */
  readonly me: Me | null;
}

/** What the Bench shows of a job without reading it all. */
/** A sentence, as it is said in each unit. */
export type InEachUnit = Readonly<Record<UnitSystem, string>>;

export interface JobSummary {
  readonly verdicts: Readonly<Record<Part, Action>>;
  /** What is said of each part that is judged, at the moment of the job. */
  readonly stories: readonly PartSaid[];
  /** Parts that something is said of. */
  readonly brought: readonly Part[];
  /** Parts whose verdicts the job's page tells: these, and those that came and nobody has looked at yet. */
  readonly judged: readonly Part[];
  /** What decides the verdict on each part. */
  readonly why: Readonly<Record<Part, InEachUnit>>;
  readonly next: { readonly step: Step | null; readonly text: InEachUnit };
  readonly orderReady: boolean;
  /** What it waits for. */
  readonly waits: Waits;
  /** What it says of its parts to the jobs that follow it. */
  readonly visit: VisitFacts;
  /** What was found to bring about what the customer complains of. */
  readonly causes: readonly Cause[];
  /** How a wrong part would have been bought by what is on the saw. */
  readonly nearMisses: readonly NearMiss[];
}

/** What of it a list of jobs and a job's page show; the rest is for the pages that look over many jobs. */
export type ShownSummary = Omit<JobSummary, 'visit' | 'causes' | 'nearMisses'>;

export interface JobRow {
  readonly id: string;
  readonly tag: string;
  readonly state: 'open' | 'signed-off' | 'handed-over';
  readonly promisedFor: string | null;
  readonly customer: string;
  readonly saw: string | null;
  readonly complaint: string;
  readonly summary: Omit<ShownSummary, 'why'>;
}

/** A visit that is due. */
export interface DueView {
  readonly jobId: string;
  readonly tag: string;
  readonly day: string;
  readonly customer: string;
  readonly saw: string | null;
}

export interface BenchView {
  readonly shop: ShopView;
  readonly today: string;
  readonly title: string | null;
  readonly jobs: readonly JobRow[];
  /** What the list is narrowed to; null where it is not. */
  readonly waits: Waits | null;
  /** How many jobs wait for each thing; what nobody waits for is left out. */
  readonly waiting: Readonly<Partial<Record<Waits, number>>>;
  /** Whether nobody has begun a shop here yet. */
  readonly isNew: boolean;
  /** Visits that are due, the longest due first. */
  readonly due: readonly DueView[];
  readonly total: number;
  readonly page: number;
  readonly pages: number;
}

/** A customer who is known, with the saws a job may be about. */
export interface OwnerView {
  readonly id: string;
  readonly name: string;
  readonly saws: readonly { readonly id: string; readonly label: string; readonly tag: string }[];
}

export interface JobView {
  readonly shop: ShopView;
  readonly job: {
    readonly id: string;
    readonly tag: string;
    readonly state: 'open' | 'signed-off' | 'handed-over';
    readonly promisedFor: string | null;
    readonly createdAt: string;
    readonly createdBy: string;
  };
  readonly customer: { readonly id: string; readonly name: string; readonly contact: string };
  readonly saw: { readonly id: string; readonly label: string; readonly tag: string } | null;
  readonly readings: readonly StoredReadingMessage[];
  readonly limits: Limits;
  readonly codes: readonly LearnedCode[];
  readonly schools: Schools;
  /** Studies of hands and tools that count. */
  readonly studies: readonly Study[];
  /**
   * Names limits, codes, schools and studies as they were when this view was made: a sign-off says what it was looked
   * at with.
   */
  readonly rulesMark: string;
  /** The moment whose rules these are, of a job that has gone and would be judged otherwise by those in force; else null. */
  readonly rulesAsOf: string | null;
  /** What is kept of the job for the Bench, made with these rules. */
  readonly kept: ShownSummary;
  /** How the bar of this saw was turned, newest first. */
  readonly turnOvers: readonly TurnOverView[];
  readonly photos: readonly PhotoView[];
  /** What is done with each part, by the plan or by the hand-over; null where nobody signed a plan. */
  readonly choices: SignedChoices | null;
  readonly signOffs: readonly {
    readonly id: string;
    readonly at: string;
    readonly by: string;
    readonly upToReading: number;
    /** The plan that was chosen with it; null where none was. */
    readonly plan: SignedPlan | null;
    /** The verdicts that were signed. */
    readonly actions: Readonly<Record<Part, Action>>;
  }[];
}

/** What one job says of the edge that was down: as the bar came, and as it went back. */
export interface TurnOverView {
  readonly tag: string;
  readonly at: string;
  readonly by: string;
  readonly came: string | null;
  readonly went: string | null;
}

/** A picture taken when the job came in; its bytes are fetched by its id. */
export interface PhotoView {
  readonly id: string;
  readonly type: string;
  readonly width: number;
  readonly height: number;
  readonly at: string;
  readonly by: string;
}

/** A part that answers a need, may answer it, or nearly does. */
export interface StockAnswer {
  readonly part: StockPart;
  readonly answer: StockMatch['answer'];
  readonly misses: readonly string[];
  /** Equal parts on the shelf, where this one is out. */
  readonly equals: readonly string[];
  /** The sister shop whose shelf it lies on; null of one's own. */
  readonly shop: string | null;
}

/** A part beside the chain that must be replaced: what it must be, and what is on the shelf. */
export interface OrderedPartView {
  readonly part: PlannedPart;
  readonly need: Need;
  readonly answers: readonly StockAnswer[];
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
    /** Order of the cutters, in words. */
    readonly sequence: string;
  } | null;
  readonly withheld: readonly string[];
  /** Numbers that stand on one mark alone, with what confirms them. */
  readonly cautions: readonly string[];
  readonly fit: readonly { readonly holds: boolean | null; readonly text: string }[];
  /**
   * Parts that were condemned, a sentence each: the chain of the slip takes the old one's place, the others are not on
   * it.
   */
  readonly replaces: readonly string[];
  /** New parts of the signed plan, as the shelf has them. */
  readonly planned: readonly Pick<JobPartView, 'sku' | 'name' | 'left' | 'priceCents' | 'state'>[];
  /** What the shelf answers to the order; nothing where the plan names the chain. */
  readonly stock: readonly StockAnswer[];
  /** Other parts that must be replaced: what a new one must be, and those on the shelf that are. */
  readonly others: readonly {
    readonly part: PlannedPart;
    readonly name: string;
    readonly needed: string;
    readonly stock: readonly StockAnswer[];
  }[];
}

/** The work card for the vise: what comes off where, in large type. Amounts in mm; null where the file stays off. */
export interface WorkCardView {
  readonly shop: ShopView;
  readonly tag: string;
  readonly customer: string;
  readonly saw: string | null;
  readonly date: string;
  /** Of the bar; null where none was brought. */
  readonly verdict: string | null;
  readonly operations: readonly string[];
  /** Whether the bar is undecided: then no work does not mean that none is needed. */
  readonly isUndecided: boolean;
  /** Whether the work is no more than what is done at every service. */
  readonly isService: boolean;
  /** How it is deburred; empty where it need not be. */
  readonly deburring: readonly string[];
  readonly levelling: { readonly school: string; readonly steps: readonly string[] };
  readonly edges: readonly {
    readonly edge: 'A' | 'B';
    readonly effort: string;
    readonly rows: readonly { readonly at: number; readonly near: number | null; readonly far: number | null }[];
  }[];
  readonly left: readonly string[];
  readonly cautions: readonly string[];
  /** The chain and the drive sprocket, where they call for work or are replaced. */
  readonly others: readonly WorkOnPart[];
}

/** Work on a part beside the bar, as it is printed. */
export interface WorkOnPart {
  readonly title: string;
  readonly verdict: string;
  /** What to take off, and values to work by: what, and how much. */
  readonly rows: readonly { readonly name: string; readonly value: string }[];
  readonly notes: readonly string[];
  readonly operations: readonly string[];
  readonly cautions: readonly string[];
}

export interface StockView {
  readonly shop: ShopView;
  /** The first of them. */
  readonly parts: readonly ShelvedPartView[];
  readonly total: number;
  readonly filter: {
    readonly text: string;
    readonly kind: string;
    readonly pitch: string;
    readonly gauge: string;
    readonly driveLinks: string;
    readonly low: boolean;
  };
  /** The latest takings-in of stock lists. */
  readonly imports: readonly StockImportView[];
}

/** One taking-in of a stock list. */
export interface StockImportView {
  readonly id: string;
  readonly name: string;
  readonly at: string;
  readonly by: string;
  readonly parts: number;
  readonly undoneAt: string | null;
  readonly undoneBy: string | null;
}

export interface ShopPageView {
  readonly shop: ShopView;
  readonly codes: readonly LearnedCodeView[];
  readonly schools: Schools;
  readonly supplier: SupplierMood;
  readonly limits: Limits;
  readonly changes: readonly {
    readonly limitId: LimitId;
    readonly text: string;
    readonly at: string;
    readonly by: string;
  }[];
  /** Null where the store is kept on another machine, and saved there. */
  readonly backups: readonly BackupView[] | null;
  /** The shop that keeps the store, and makes its backups; null where it is this one. */
  readonly keptBy: string | null;
  readonly records: RecordsView;
  /** Studies of hands and tools, the newest first, those set aside included. */
  readonly studies: readonly StudyView[];
  /** Today in the shop's zone, as an ISO date. */
  readonly today: string;
  /** What was changed lately of the shop's facts, schools and codes, newest first. */
  readonly written: readonly ShopChangeView[];
  /** What of the set-up is still open; nothing where the shop was not begun by one. */
  readonly stillOpen: readonly SetUpItem[];
}

export interface LearnedCodeView extends LearnedCode {
  readonly at: string;
  readonly by: string;
}

export interface SearchHitView {
  readonly kind: 'customer' | 'saw' | 'piece' | 'job' | 'part';
  readonly title: string;
  readonly detail: string;
  readonly href: string;
}

/** One change of what the shop says of itself, of a school or a code; null where it was taken away. */
export interface ShopChangeView {
  readonly what: string;
  readonly value: string | null;
  readonly at: string;
  readonly by: string;
}

/** What a shop begins with, and how it stands. */
export interface SetUpView {
  readonly shop: ShopView;
  readonly items: readonly { readonly id: SetUpItem; readonly state: SetUpState }[];
  readonly limits: Limits;
}
