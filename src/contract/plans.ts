import { z } from 'zod';
import { CHOICES, type Choices, type PlanShown, type PlansShown } from '../core/plan';
import { PARTS, type Part } from '../core/reading';
import type { Action } from '../core/sheet';

/** A repair plan as the screen shows it. */
export type PlanView = PlanShown;

/** The plans of a job, made with what is on the shelf now. */
export interface PlansView extends PlansShown {
  /** Readings that it was made with go up to this one. */
  readonly upToReading: number;
}

/** The plan that is signed: what is done with each part, what goes on, and why where another plan beats it. */
export const chosenPlanSchema = z.strictObject({
  key: z.string().min(1).max(600),
  choices: z.partialRecord(z.enum(PARTS), z.enum(CHOICES)),
  skus: z.array(z.string().max(60)).max(7),
  costToday: z.int().min(0),
  /** Required where another plan beats the chosen one. */
  reason: z.string().trim().max(400),
  /** Whether the supplier was asked: then it is asked again before it is signed. */
  supplier: z.boolean().optional(),
});
export type ChosenPlan = z.infer<typeof chosenPlanSchema>;

/** A plan as it was signed, with the parts that it takes; older versions did not keep them. */
export type SignedPlan = ChosenPlan & { readonly parts?: PlanView['parts'] };

/** A change of a limit or a rate, as typed, to be looked at before it is saved. */
export const previewLimitSchema = z.strictObject({ value: z.string().max(40) });
export type PreviewLimit = z.infer<typeof previewLimitSchema>;

/** What a change would do to the open jobs. */
export interface LimitPreview {
  /** Open jobs that were looked at. */
  readonly jobs: number;
  readonly effects: readonly {
    readonly id: string;
    readonly tag: string;
    readonly verdicts: readonly { readonly part: Part; readonly from: Action; readonly to: Action }[];
    /** The plan with the cheapest hour becomes another one. */
    readonly otherPlan: { readonly from: Choices; readonly to: Choices } | null;
    /** By how much the least that must be paid today changes, smallest units. */
    readonly todayBy: number;
  }[];
}
