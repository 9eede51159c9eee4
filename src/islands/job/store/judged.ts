import { inTurns } from '../../frame/turns';
import { keepWhatHolds } from './keeping';
import { meaning, meaningOf, type Given, type Meaning } from './meaning';

/** Lists of a meaning that are long, and of which little is drawn. */
const AFRESH = new Set(['checks', 'stations', 'figures', 'hangsOn']);

/**
 * What the readings of a screen meant last. What is drawn asks for it `now`; who has time works it out `ahead`, in
 * turns of its own. Each meaning keeps all of the one before that still holds.
 */
export class Judged {
  constructor(
    private given: Given,
    private last: Meaning,
  ) {}

  /** What readings mean: as it was worked out, or else in one go. */
  now(given: Given): Meaning {
    return this.stands(given) ? this.last : this.keep(given, meaningOf(given));
  }

  /** Works out what readings mean while the page goes on answering; left where nobody waits for it. */
  async ahead(given: Given, isGone: () => boolean): Promise<void> {
    if (this.stands(given)) return;
    const found = await inTurns(meaning(given), isGone);
    if (found) this.keep(given, found);
  }

  private stands(given: Given): boolean {
    return (Object.keys(given) as (keyof Given)[]).every((each) => given[each] === this.given[each]);
  }

  private keep(given: Given, meaning: Meaning): Meaning {
    this.given = given;
    this.last = keepWhatHolds(this.last, meaning, AFRESH);
    return this.last;
  }
}
