import type { PlansView } from '../../../contract';

/** The plans of a job, as far as they are there. */
export type PlansState =
  | { readonly is: 'asking' }
  | {
      readonly is: 'there';
      readonly view: PlansView;
      /** When the shelf was seen that they were made with, of plans that this browser made by itself. */
      readonly seenAt?: string;
    }
  | { readonly is: 'failed'; readonly message: string };
