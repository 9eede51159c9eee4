import { OPERATIONS, type Operation } from '../../core/sheet';
import { seeded } from './seeded';

/** Minutes that work takes at the demo's benches; invented, as everything of it. */
const MINUTES: Readonly<Partial<Record<Operation, number>>> = {
  'clean-oil-holes': 3,
  'rake-groove': 4,
  'dress-rails': 11,
  deburr: 5,
  'turn-over': 1,
  sharpen: 9,
};
const OTHERWISE = 7;
/** How far one time is from another, as a share. */
const SCATTER = 0.2;

/** A list of work as it grew, tick by tick, each with the minutes since the one before. */
export function tickedOneByOne(
  list: string,
  seed: number,
): readonly { readonly text: string; readonly after: number }[] {
  const { between } = seeded(seed);
  const words = list.split(', ');
  const done = OPERATIONS.filter((operation) => words.includes(operation));
  return done.map((operation, i) => ({
    text: done.slice(0, i + 1).join(', '),
    after: (MINUTES[operation] ?? OTHERWISE) * between(1 - SCATTER, 1 + SCATTER),
  }));
}
