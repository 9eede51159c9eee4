import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { partsBySku } from '../../src/data/repositories';
import { changePart, movePart } from '../../src/server/use-cases/shelf';
import { takeInBatch, undoImport } from '../../src/server/use-cases/stock-imports';
import { stockPart } from '../support/stock-part';
import { testContext, type TestContext } from '../support/context';

let context: TestContext;
beforeEach(() => {
  context = testContext();
});
afterEach(() => context.done());

/** One thing that happens to the shelf. */
type Event =
  | { readonly what: 'import'; readonly quantity: number; readonly price: number }
  | { readonly what: 'again' | 'undo'; readonly which: number }
  | { readonly what: 'taken' | 'booked'; readonly pieces: number }
  | { readonly what: 'counted'; readonly quantity: number };

const pieces = fc.integer({ min: 1, max: 6 });
const event: fc.Arbitrary<Event> = fc.oneof(
  fc.record({ what: fc.constant('import' as const), quantity: fc.integer({ min: 0, max: 12 }), price: pieces }),
  fc.record({ what: fc.constantFrom('again' as const, 'undo' as const), which: fc.nat(9) }),
  fc.record({ what: fc.constantFrom('taken' as const, 'booked' as const), pieces }),
  fc.record({ what: fc.constant('counted' as const), quantity: fc.integer({ min: 0, max: 12 }) }),
);

/**
 * The shelf as somebody would keep it on paper: a line for each thing that happened, one struck out where a list was
 * undone, and what stands is what the lines come to.
 */
class Paper {
  private lines: { readonly kind: 'set' | 'move'; readonly by: number; readonly list: number | null }[] = [
    { kind: 'set', by: 5, list: null },
  ];

  get stands(): number {
    return this.sum(this.lines);
  }

  private sum(lines: Paper['lines']): number {
    return lines.reduce((stands, { kind, by }) => (kind === 'set' ? by : stands + by), 0);
  }

  move(by: number): boolean {
    if (this.stands + by < 0) return false;
    this.lines = [...this.lines, { kind: 'move', by, list: null }];
    return true;
  }

  count(by: number, list: number | null = null): void {
    // What says again what stands there already is no line.
    if (by !== this.stands || list === null) this.lines = [...this.lines, { kind: 'set', by, list }];
  }

  /** Strikes a list out, unless somebody counted since, or more was taken since than there would be. */
  strike(list: number): void {
    const at = this.lines.findIndex((line) => line.list === list);
    const since = this.lines.slice(at + 1);
    if (at === -1 || since.some(({ kind }) => kind === 'set')) return;
    const without = [...this.lines.slice(0, at), ...since];
    if (this.sum(without) >= 0) this.lines = without;
  }
}

describe('stories of a shelf', () => {
  it('of lists, takings, bookings, counts and undoings come to what paper comes to', async () => {
    let story = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(event, { minLength: 1, maxLength: 14 }), async (events) => {
        story += 1;
        const sku = `P-${story}`;
        const start = stockPart({ sku, quantity: 5, priceCents: 100 });
        await takeInBatch(context, `start-${story}`, { by: 'Ines', name: 'start', parts: [start] });
        const paper = new Paper();
        const lists: { readonly id: string; readonly parts: (typeof start)[]; undone: boolean }[] = [];
        const now = async () => (await partsBySku(context.store.db, [sku]))[0]!;
        for (const [i, happened] of events.entries()) {
          const id = `${story}-${i}`;
          if (happened.what === 'import') {
            const parts = [{ ...start, quantity: happened.quantity, priceCents: happened.price }];
            await takeInBatch(context, id, { by: 'Ines', name: id, parts });
            paper.count(happened.quantity, lists.length);
            lists.push({ id, parts, undone: false });
          } else if ('which' in happened) {
            const which = happened.which % Math.max(1, lists.length);
            const list = lists[which];
            if (!list || list.undone) continue;
            if (happened.what === 'again')
              await takeInBatch(context, list.id, { by: 'Ines', name: list.id, parts: list.parts });
            else {
              await undoImport(context, list.id, 'Tam');
              list.undone = true;
              paper.strike(which);
            }
          } else if (happened.what === 'counted') {
            const { version, minimum, priceCents } = await now();
            const quantity = happened.quantity;
            await changePart(context, sku, { by: 'Tam', version, minimum, priceCents, quantity });
            if (quantity !== paper.stands) paper.count(quantity);
          } else {
            const by = happened.what === 'taken' ? -happened.pieces : happened.pieces;
            const move = movePart(context, sku, {
              id,
              by: 'Tam',
              kind: happened.what,
              pieces: happened.pieces,
              note: '',
            });
            if (paper.move(by)) await move;
            else await expect(move).rejects.toMatchObject({ code: 'too-few' });
          }
          expect((await now()).quantity, JSON.stringify(events.slice(0, i + 1))).toBe(paper.stands);
        }
      }),
      { seed: 28, numRuns: 60 },
    );
  });
});
