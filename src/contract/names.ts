/** Letters of the longest name of a customer, in every form and request. */
export const LONGEST_CUSTOMER = 160;

/** A saw by its name and tag, to be told from others. */
export interface SawName {
  readonly id: string;
  readonly label: string;
  readonly tag: string;
}
