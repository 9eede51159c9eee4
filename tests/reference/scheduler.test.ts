import { createEmptyCard, fsrs, Rating, type Grade } from 'ts-fsrs';
import { expect, it } from 'vitest';

/*
 * The vector of FSRS-6 with its default parameters, as the package's own tests and the reference implementation have it
 * (open-spaced-repetition, test of the review of a card; from memory). Days from one review to the next.
 */
const GRADES: readonly Grade[] = [
  ...[Rating.Good, Rating.Good, Rating.Good, Rating.Good, Rating.Good, Rating.Good],
  ...[Rating.Again, Rating.Again, Rating.Good, Rating.Good, Rating.Good, Rating.Good, Rating.Good],
] as Grade[];
const DAYS = [0, 2, 11, 46, 163, 498, 0, 0, 2, 4, 7, 12, 21];

it('what comes again follows the published schedule', () => {
  const scheduler = fsrs({ enable_fuzz: false });
  let at = new Date('2022-11-29T12:30:00Z');
  let card = createEmptyCard(at);
  const days = GRADES.map((grade) => {
    card = scheduler.next(card, at, grade).card;
    at = card.due;
    return card.scheduled_days;
  });
  expect(days).toEqual(DAYS);
});
