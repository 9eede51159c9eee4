import fc from 'fast-check';
import sharp from 'sharp';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { SCHOOLS, type SchoolId } from '../../src/core/schools';
import type { Paper, PutShopFacts } from '../../src/contract';
import { codeOf } from '../../src/data/chain/link';
import { headOf } from '../../src/data/chain/append';
import { lastReading } from '../../src/data/repositories';
import { paperPdf } from '../../src/server/papers/pdf';
import { PAPERS, writePaper } from '../../src/server/papers';
import { learnCode } from '../../src/server/use-cases/codes';
import { handOverView } from '../../src/server/use-cases/hand-over';
import { handOverJob } from '../../src/server/use-cases/handing-over';
import { actOnPart } from '../../src/server/use-cases/job-parts';
import { jobView, putReadings } from '../../src/server/use-cases/jobs';
import { storePhoto } from '../../src/server/use-cases/photos';
import { recordOfCode } from '../../src/server/use-cases/records';
import {
  changeLimit,
  changeShopFacts,
  chooseSchool,
  rulesInForce,
  rulesMark,
  shopView,
} from '../../src/server/use-cases/shop';
import { reopen, signOff } from '../../src/server/use-cases/sign-off';
import { demoContext, type TestContext } from '../support/context';
import { pdfText } from '../support/poppler';
import { jobOf, signPlan } from '../support/signing';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

const GIVING = { unit: 'mm', origin: 'http://127.0.0.1:4173' } as const;
const NO_SUPPLIER = 'http://127.0.0.1:9';

const give = (id: string, revision: string) =>
  handOverJob(context, id, { by: 'Ines', revision, nextVisit: null, note: 'so' }, GIVING);
const shown = async (id: string) => (await handOverView(context, id)).revision;
const paper = (id: string, name: string, given: string | null = null): Promise<Paper> =>
  writePaper(name, { context, jobId: id, given, unit: 'in', origin: 'http://10.0.0.2:80' });

async function read(id: string, path: string, text: string): Promise<void> {
  const { readings } = await jobView(context, id);
  const supersedes = readings.find((reading) => reading.path === path)?.id ?? null;
  const reading = { id: crypto.randomUUID(), path, text, unit: 'mm' as const, instrument: null, supersedes };
  const { results } = await putReadings(context, id, { by: 'Tam', readings: [reading] });
  expect(results[0]!.outcome).toBe('stored');
}

async function sign(id: string): Promise<void> {
  const rules = rulesMark(await rulesInForce(context));
  await signOff(context, id, { by: 'Tam', upToReading: await lastReading(context.store.db, id), rules });
}

let turn = 0;
type Move = (id: string, sku: string) => Promise<unknown>;

/** All that a hand-over rests on, each moved by one step. */
const MOVES: Readonly<Record<string, Move>> = {
  reading: (id) => read(id, 'bar.note', `note ${turn}`),
  limit: () => changeLimit(context, 'bar.step', { by: 'Tam', value: String(0.3 + turn / 1000), source: null }),
  school: async () => {
    const [school, stands] = Object.entries((await rulesInForce(context)).schools)[0] as [SchoolId, string];
    const answer = SCHOOLS[school].find((each) => each !== stands)!;
    await chooseSchool(context, { by: 'Tam', school, answer });
  },
  code: () => {
    const code = { code: `X${turn}`, pitch: '325', gauge: '.050', driveLinks: null, kickbackClass: null } as const;
    return learnCode(context, { by: 'Tam', code: { ...code, replacedBy: '', note: '' } });
  },
  'what the shop says of itself': async () => {
    const { people: _people, ...shop } = await shopView(context);
    await changeShopFacts(context, { ...shop, name: `Shop ${turn}`, by: 'Tam' } as PutShopFacts);
  },
  'a part taken or put back': async (id, sku) => {
    const act = { by: 'Tam', sku, id: `part-${turn}` };
    await actOnPart(context, id, { ...act, act: 'take' }, NO_SUPPLIER).catch(() =>
      actOnPart(context, id, { ...act, act: 'put-back' }, NO_SUPPLIER),
    );
  },
  'opened and signed again': async (id) => {
    await reopen(context, id);
    await signPlan(context, id, ({ bar, chain }) => bar === 'replace' && chain === 'recondition');
  },
};

describe('a hand-over', () => {
  it('is refused when anything that it rests on has moved since it was shown, and goes when nothing has', async () => {
    const id = await jobOf(context, 'L-0418');
    const [sku] = await signPlan(context, id, ({ bar, chain }) => bar === 'replace' && chain === 'recondition');
    const story = fc.array(fc.constantFrom(...Object.keys(MOVES)), { maxLength: 3 });
    await fc.assert(
      fc.asyncProperty(story, async (moves) => {
        const revision = await shown(id);
        for (const move of moves) {
          turn += 1;
          await MOVES[move]!(id, sku!);
        }
        if (moves.length > 0) {
          await expect(give(id, revision)).rejects.toMatchObject({ status: 409, code: 'read-again' });
          expect((await jobView(context, id)).job.state).toBe('signed-off');
          return;
        }
        await give(id, revision);
        await reopen(context, id);
        // What was shown before it went is no more what would be given now.
        await expect(give(id, revision)).rejects.toMatchObject({ code: 'read-again' });
        await signPlan(context, id, ({ bar, chain }) => bar === 'replace' && chain === 'recondition');
      }),
      { seed: 28, numRuns: 12, examples: Object.keys(MOVES).map((move) => [[move]]) },
    );
  });

  it('is one, of several at once', async () => {
    const id = await jobOf(context, 'L-0416');
    const revision = await shown(id);
    const all = await Promise.allSettled([give(id, revision), give(id, revision), give(id, revision)]);
    expect(all.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected', 'rejected']);
    expect((await handOverView(context, id)).given).toHaveLength(1);
  });

  it('shuts a job for readings, parts, pictures and signatures until it is open again', async () => {
    const id = await jobOf(context, 'L-0418');
    const [sku] = await signPlan(context, id, ({ bar, chain }) => bar === 'replace' && chain === 'recondition');
    await read(id, 'bar.note', 'before');
    const standing = (await jobView(context, id)).readings.find(({ path }) => path === 'bar.note')!;
    await give(id, await shown(id));
    const shut = { status: 409, code: 'handed-over', message: expect.stringContaining('open it again') as string };
    await expect(read(id, 'bar.note', 'after')).rejects.toMatchObject(shut);
    await expect(sign(id)).rejects.toMatchObject(shut);
    for (const act of ['take', 'order'] as const)
      await expect(actOnPart(context, id, { id: act, by: 'Tam', sku: sku!, act }, NO_SUPPLIER)).rejects.toMatchObject(
        shut,
      );
    const picture = await sharp({ create: { width: 4, height: 4, channels: 3, background: '#fff' } })
      .png()
      .toBuffer();
    const bytes = new Uint8Array(picture).buffer;
    await expect(storePhoto(context, id, 'Tam', bytes)).rejects.toMatchObject(shut);
    // What was stored before it went may arrive a second time.
    const { path, text, unit } = standing;
    const again = { id: standing.id, path, text, unit, instrument: null, supersedes: null };
    expect((await putReadings(context, id, { by: 'Tam', readings: [again] })).results[0]!.outcome).toBe('stored');
    expect((await jobView(context, id)).job.state).toBe('handed-over');
    await reopen(context, id);
    await read(id, 'bar.note', 'after');
  });
});

describe('papers', () => {
  it('stay as they were given, marked with their day, and what is judged otherwise since stands beside them', async () => {
    const id = await jobOf(context, 'L-0416');
    const before = codeOf(await headOf(context.store.db));
    const { last, given } = await give(id, await shown(id));
    expect(last!.document.recordCode).toBe(before);
    const names = Object.keys(PAPERS);
    const first = await Promise.all(names.map((name) => paper(id, name)));
    for (const each of first) {
      expect(each.foot).toMatch(/^As it was given by Ines on .* · records \d+-/);
      expect(each.foot).toContain(before);
      expect(each.since).toEqual([]);
    }
    await changeLimit(context, 'chain.cutter', { by: 'Tam', value: '6.5', source: null });
    const { people: _people, ...shop } = await shopView(context);
    await changeShopFacts(context, { ...shop, name: 'Another name', by: 'Tam' } as PutShopFacts);
    const later = await Promise.all(names.map((name) => paper(id, name)));
    for (const [i, each] of later.entries()) {
      expect(each.blocks).toEqual(first[i]!.blocks);
      expect(each.lines).toEqual(first[i]!.lines);
      expect(each.since!.join()).toMatch(/Chain: .* then, .* by now/);
    }
    const pdf = pdfText(await paperPdf(later[0]!));
    expect(pdf).toContain(before);
    expect(pdf).not.toContain('Another name');

    // Open again it is written as it stands; what was given before is to be had as it was.
    await reopen(context, id);
    const now = await paper(id, 'customer');
    expect(now.foot).toMatch(/^Records \d+-/);
    expect(now.blocks).not.toEqual(first[0]!.blocks);
    expect((await paper(id, 'customer', given[0]!.id)).blocks).toEqual(first[0]!.blocks);
    const other = await jobOf(context, 'L-0417');
    await expect(paper(other, 'customer', given[0]!.id)).rejects.toMatchObject({ code: 'not-found' });
  });

  it('carry a code by which the store knows what it had written by then', async () => {
    const id = await jobOf(context, 'L-0416');
    await give(id, await shown(id));
    const code = /\d+(-[\dA-Z]{4}){3}/.exec((await paper(id, 'customer')).foot!)![0];
    const { found } = await recordOfCode(context, code.toLowerCase());
    expect(found).toMatchObject({ seq: Number.parseInt(code, 10), record: expect.any(String) as string });
    expect(found!.by).not.toBe('');
    const other = code.endsWith('A') ? code.replace(/A$/, 'B') : code.replace(/.$/, 'A');
    expect(await recordOfCode(context, other)).toEqual({ found: null });
    await expect(recordOfCode(context, 'the saw')).rejects.toMatchObject({ status: 422, code: 'no-code' });
  });
});
