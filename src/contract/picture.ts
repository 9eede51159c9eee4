/** What a photograph told, as its page shows it. */
export interface PictureView {
  /** Why nothing was measured, and what to do. */
  readonly refused: string | null;
  /** How the card was seen; null where it was not. */
  readonly seen: string | null;
  readonly readings: readonly {
    readonly name: string;
    readonly value: string;
    readonly doubt: string;
    /** What it speaks for, such as a pitch family. */
    readonly says: string | null;
  }[];
  /** A span over rivets, as a job takes it over: an odd number of rivets spans whole pitches. */
  readonly span: { readonly rivets: number; readonly length: string } | null;
  /** Where it was measured, pixels of the picture that was sent. */
  readonly marks: readonly { readonly x: number; readonly y: number }[];
  readonly cautions: readonly string[];
}
