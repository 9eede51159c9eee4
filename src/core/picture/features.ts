import type { Lift } from './measure';

/** How high over the card the measured places of a part lie, and how well that is known, mm (shop's figures). */
export const LIFTS = {
  /** Heads of rivets of a chain that lies on its side. */
  rivets: { h: 3, u: 0.2 },
  /** The upper face of a bar: plates of 3.5 to 5 mm. */
  mount: { h: 4.2, u: 0.4 },
} as const satisfies Record<string, Lift>;

/** What may be looked for in a picture. */
export type Feature = keyof typeof LIFTS;
export const FEATURES = Object.keys(LIFTS) as readonly Feature[];
