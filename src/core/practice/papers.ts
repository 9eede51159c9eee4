import type { Level } from './faults';
import type { Recipe, Theme } from './truth';

/** Sets that an assessor puts before everybody alike: their seeds are fixed. */
export interface PracticePaper {
  readonly id: string;
  readonly sets: readonly Recipe[];
}

const of = (level: Level, seeds: readonly (readonly [number, Theme])[]): readonly Recipe[] =>
  seeds.map(([seed, theme]) => ({ seed, level, theme }));

/** The papers, the easiest first. A seed once given out stays: two who sat the same paper had the same sets. */
export const PAPERS: readonly PracticePaper[] = [
  {
    id: 'plain',
    sets: of('plain', [
      [4101, 'lean'],
      [4102, 'worn-sprocket'],
      [4103, 'any'],
      [4104, 'nothing-wrong'],
    ]),
  },
  {
    id: 'usual',
    sets: of('usual', [
      [5201, 'any'],
      [5202, 'thin-chain'],
      [5203, 'deep-damage'],
      [5204, 'any'],
      [5205, 'any'],
    ]),
  },
  {
    id: 'fine',
    sets: of('fine', [
      [6301, 'two-at-once'],
      [6302, 'dip-behind-nose'],
      [6303, 'two-at-once'],
      [6304, 'any'],
      [6305, 'two-at-once'],
    ]),
  },
];

export const paperOf = (id: string): PracticePaper | undefined => PAPERS.find((each) => each.id === id);

/** The first round of somebody new: leaning rails, plain to see. */
export const FIRST_RECIPE: Recipe = { seed: 11, level: 'plain', theme: 'lean' };

/** Minutes that a hint costs (shop's figure). */
export const HINT_MINUTES = 3;

/** Minutes of readings in a sitting that is bounded by them. */
export const SITTING_MINUTES = 20;
