import ICAL from 'ical.js';
import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { handOverSchema, type HandOverDocument } from '../../src/core/report';
import type { WrittenBenchSheet } from '../../src/core/sheet';
import { DEMO_FURTHER_JOBS, DEMO_SHEETS } from '../../src/data/demo';
import { benchView } from '../../src/server/use-cases/bench';
import { visitCalendar } from '../../src/server/use-cases/calendar';
import { driftFactorFor } from '../../src/server/use-cases/drift';
import { handOverOf, handOverView } from '../../src/server/use-cases/hand-over';
import { handOverJob } from '../../src/server/use-cases/handing-over';
import { revisionOf } from '../../src/server/use-cases/rests-on';
import { actOnPart } from '../../src/server/use-cases/job-parts';
import { jobSheet, jobView, putReadings } from '../../src/server/use-cases/jobs';
import { reopen } from '../../src/server/use-cases/sign-off';
import { searchView } from '../../src/server/use-cases/stock';
import { changeShopFacts, shopView } from '../../src/server/use-cases/shop';
import { createJob } from '../../src/server/use-cases/take-in';
import type { PutShopFacts } from '../../src/contract';
import { paperOf, writePaper, PAPERS } from '../../src/server/papers';
import { paperPdf } from '../../src/server/papers/pdf';
import { demoContext, type TestContext } from '../support/context';
import { pdfFonts, pdfPages, pdfText } from '../support/poppler';
import { jobOf, signPlan } from '../support/signing';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

const give = async (id: string, over: Partial<Parameters<typeof handOverJob>[2]> = {}) =>
  handOverJob(
    context,
    id,
    { by: 'Ines', revision: await revisionOf(context.store.db, id), nextVisit: null, note: '', ...over },
    { unit: 'mm', origin: 'http://127.0.0.1:4173' },
  );

async function write(id: string, entries: Readonly<Record<string, string>>): Promise<void> {
  const { readings } = await jobView(context, id);
  await putReadings(context, id, {
    by: 'Ines',
    readings: Object.entries(entries).map(([path, text]) => ({
      id: crypto.randomUUID(),
      path,
      text,
      unit: 'mm' as const,
      instrument: null,
      supersedes: readings.find((reading) => reading.path === path)?.id ?? null,
    })),
  });
}

/** A job of the demo that was handed over, by its tag. */
async function goneJob(tag: string): Promise<string> {
  const { jobs } = await benchView(context, { page: '1', done: true });
  return jobs.find((job) => job.tag === tag)!.id;
}

describe('handing over', () => {
  it('lists what is open and lets it through with a reason, which stays on record', async () => {
    const id = await jobOf(context, 'L-0414');
    const { draft } = await handOverView(context, id);
    expect(draft.open).toEqual(
      expect.arrayContaining(['Work on the bar is not ticked off.', 'The saw was not proved.']),
    );
    await expect(give(id)).rejects.toMatchObject({ code: 'reason-missing', problems: draft.open });
    const { last } = await give(id, { note: 'Customer finishes it himself.' });
    expect(last).toMatchObject({ by: 'Ines', document: { note: 'Customer finishes it himself.', open: draft.open } });
    await expect(give(id, { note: 'again' })).rejects.toMatchObject({ code: 'handed-over-already' });
  });

  it('is refused where readings have come in since, or the next visit lies in the past', async () => {
    const id = await jobOf(context, 'L-0414');
    const revision = await revisionOf(context.store.db, id);
    await write(id, { 'refit.lift': '9' });
    await expect(give(id, { revision, note: 'so' })).rejects.toMatchObject({ code: 'read-again' });
    await expect(give(id, { nextVisit: '2020-01-01', note: 'so' })).rejects.toMatchObject({ code: 'visit-past' });
  });

  it('takes a job off the bench with its document as it stood, and opening it again keeps that', async () => {
    const id = await jobOf(context, 'L-0416');
    const { last } = await give(id);
    expect(handOverSchema.safeParse(last!.document).success).toBe(true);
    const bench = async (done: boolean) =>
      (await benchView(context, { page: '1', done })).jobs.some((job) => job.id === id);
    expect([await bench(false), await bench(true)]).toEqual([false, true]);
    await reopen(context, id);
    await write(id, { 'bar.checks.crack': 'yes' });
    expect((await handOverView(context, id)).last!.document).toEqual(last!.document);
    expect((await handOverOf(context, id)).parts.find(({ part }) => part === 'bar')!.condemned).not.toBeNull();
    expect([await bench(false), await bench(true)]).toEqual([true, false]);
  });

  it('is never changed or deleted, not by anybody with the file in hand', async () => {
    await expect(context.store.db.run(sql`UPDATE hand_over SET next_visit = '2030-01-01'`)).rejects.toThrow();
    await expect(context.store.db.run(sql`DELETE FROM hand_over`)).rejects.toThrow();
    await expect(context.store.db.run(sql`DELETE FROM part_order`)).rejects.toThrow();
    await expect(context.store.db.run(sql`UPDATE part_order_event SET state = 'arrived'`)).rejects.toThrow();
  });

  it('says what was condemned and why, what went on in its place, and the numbers for next time', async () => {
    const id = await jobOf(context, 'L-0418');
    const [sku] = await signPlan(context, id, ({ bar, chain }) => bar === 'replace' && chain === 'recondition');
    const document = (await handOverView(context, id)).draft;
    const bar = document.parts.find(({ part }) => part === 'bar')!;
    expect(bar).toMatchObject({ verdict: 'replace', choice: 'replace' });
    expect(bar.condemned!.length).toBeGreaterThan(0);
    expect(document.open).toContain(`Not taken from the shelf: ${sku}.`);
    // What was not taken is not on the saw.
    expect(document.fitted).toEqual([]);
    await actOnPart(context, id, { id: 'take', by: 'Ines', sku: sku!, act: 'take' }, 'http://127.0.0.1:9');
    expect((await handOverView(context, id)).draft.fitted).toMatchObject([{ sku }]);
    expect(document.numbers).toEqual({ pitch: '38', gauge: '.058', driveLinks: 72 });
    // What was found of the old bar does not go out with the new one.
    expect(document.findings.filter(({ part }) => part === 'bar').every(({ after }) => after === null)).toBe(true);
  });

  it('tells before and after of a bar that was dressed', async () => {
    const id = await jobOf(context, 'L-0417');
    const depths = { A: ['7.9', '7.6', '7.2', '6.9', '7.3', '7.6'], B: ['8.2', '8.1', '8.0', '7.9', '8.0', '8.1'] };
    await write(id, {
      'bar.reworkDone': 'clean-oil-holes, rake-groove, dress-rails, deburr',
      ...Object.fromEntries(
        (['A', 'B'] as const).flatMap((edge) =>
          depths[edge].flatMap((depth, i) =>
            ['near', 'far'].map((rail) => [`bar.edges.${edge}.stations.${i}.after.${rail}`, depth]),
          ),
        ),
      ),
    });
    const { draft } = await handOverView(context, id);
    const step = draft.findings.find(({ check }) => check === 'bar.step')!;
    expect(step.before!.outcome).toBe('fail');
    expect(step.after!.outcome).toBe('ok');
    expect(draft.parts.find(({ part }) => part === 'bar')!.done).toContain('dress-rails');
  });
});

describe('the next visit', () => {
  it('is due on the bench until the saw comes back, and overdue ones come first', async () => {
    const { due } = await benchView(context, { page: '1' });
    expect(due.length).toBeGreaterThan(1);
    expect(due.map(({ day }) => day)).toEqual(due.map(({ day }) => day).sort());
    const [first] = due;
    const { jobs } = await benchView(context, { page: '1', done: true });
    const gone = await jobView(context, jobs.find(({ id }) => id === first!.jobId)!.id);
    await createJob(context, {
      by: 'Ines',
      customer: { id: gone.customer.id },
      saw: { id: gone.saw!.id },
      complaint: '',
      promisedFor: null,
    });
    expect((await benchView(context, { page: '1' })).due.map(({ jobId }) => jobId)).not.toContain(first!.jobId);
  });

  it('is a calendar file that another program reads', async () => {
    const id = await goneJob('L-0405');
    const document = await handOverOf(context, id);
    const { file } = await visitCalendar(context, id, 'http://127.0.0.1:4321/jobs/x');
    const calendar = new ICAL.Component(ICAL.parse(file) as unknown[]);
    const event = new ICAL.Event(calendar.getFirstSubcomponent('vevent')!);
    expect(event.startDate.isDate).toBe(true);
    expect(event.startDate.toString()).toBe(document.nextVisit.on);
    expect(event.summary).toContain('Ondral 47');
    expect(event.description).toContain(document.nextVisit.why);
    expect(event.duration.toString()).toBe('P1D');
  });

  it('comes sooner for milling, and on the agreed day where one was agreed', async () => {
    const days = async (tag: string) => (await handOverOf(context, await goneJob(tag))).nextVisit.days;
    expect(await days('L-0405')).toBeLessThan(await days('L-0407'));
    const id = await jobOf(context, 'L-0416');
    const { last } = await give(id, { nextVisit: '2027-02-01' });
    expect(last!.document.nextVisit).toMatchObject({ on: '2027-02-01', why: 'Agreed on with the customer.' });
  });
});

describe('the shop’s factor', () => {
  it('is fitted over the test cuts of other jobs', async () => {
    const [id, other] = [await jobOf(context, 'L-0415'), await jobOf(context, 'L-0416')];
    const cuts = DEMO_FURTHER_JOBS.filter(({ sheet }) => sheet.proof?.cut).length;
    const { factor, interval, cuts: others } = await driftFactorFor(context, id);
    expect(others).toBe(cuts - 1);
    expect(interval!.low).toBeLessThan(factor);
    // A cut that is taken back counts no more.
    expect((await driftFactorFor(context, other)).cuts).toBe(cuts);
    await write(id, { 'proof.cut.depth': '' });
    expect((await driftFactorFor(context, other)).cuts).toBe(cuts - 1);
  });
});

describe('the search', () => {
  it('finds jobs by notes, by why a part was condemned, and by the parts that were chosen', async () => {
    const hits = async (text: string) =>
      (await searchView(context, text)).filter(({ kind }) => kind === 'job').map(({ title }) => title);
    expect(await hits('wedge-shaped')).toContain('L-0426');
    expect(await hits('worst cutter')).toContain('L-0423');
    expect(await hits('worst cutter')).not.toContain('L-0417');
    expect(await hits('LD-9050-62')).toContain('L-0413');
    expect(await hits('Perrydown Velm E18')).toContain('L-0421');
    const id = await jobOf(context, 'L-0420');
    await write(id, { 'job.complaint': 'Rattles like a milk float' });
    expect(await hits('milk float')).toEqual(['L-0420']);
  });
});

describe('out and in again', () => {
  const imported = async (document: unknown): Promise<WrittenBenchSheet> => {
    const { id } = await createJob(context, {
      by: 'Wilf',
      customer: { name: 'Another shop' },
      saw: null,
      complaint: '',
      promisedFor: null,
      sheet: document,
    });
    return (await jobSheet(context, id)).written;
  };
  const plain = ({ job: { reference: _reference, ...job } = {}, ...sheet }: WrittenBenchSheet) => ({ ...sheet, job });

  it('a job’s bench sheet is the very same, with the hands that measured', async () => {
    for (const tag of ['L-0417', 'L-0419', 'L-0423', 'L-0413', 'L-0415']) {
      const { written } = await jobSheet(context, await jobOf(context, tag));
      expect(plain(await imported(JSON.parse(JSON.stringify(written)))), tag).toEqual(plain(written));
    }
    expect(Object.keys(DEMO_SHEETS).length).toBeGreaterThan(5);
  });

  it('a hand-over brings its bench sheet, and one that cannot be read says where', async () => {
    const document: HandOverDocument = await handOverOf(context, await goneJob('L-0407'));
    expect(plain(await imported(JSON.parse(JSON.stringify(document))))).toEqual(plain(document.sheet));
    await expect(imported({ ...document, version: 2 })).rejects.toMatchObject({
      code: 'hand-over-refused',
      problems: [expect.stringContaining('version')],
    });
  });
});

describe('papers', () => {
  it.each(Object.keys(PAPERS))('%s is a PDF with the shipped fonts that says what the page says', async (name) => {
    const id = await jobOf(context, 'L-0418');
    const paper = await writePaper(name, { context, jobId: id, unit: 'mm', origin: 'http://127.0.0.1:4321' });
    const pdf = await paperPdf(paper);
    const text = pdfText(pdf).replace(/\s+/g, ' ');
    expect(text).toContain('L-0418');
    for (const line of paper.lines) expect(text).toContain(line);
    for (const block of paper.blocks) if (block.is === 'heading') expect(text).toContain(block.text);
    expect(pdfPages(pdf)).toBeLessThanOrEqual(2);
    expect(pdfFonts(pdf).every((font) => /HankenGrotesk|SplineSansMono/.test(font))).toBe(true);
  });

  it('of the vise take nothing off a bar that goes', async () => {
    const card = async (tag: string) =>
      writePaper('work-card', { context, jobId: await jobOf(context, tag), unit: 'mm', origin: '' });
    expect((await card('L-0418')).blocks.some(({ is }) => is === 'table')).toBe(false);
    const gone = JSON.stringify((await card('L-0418')).blocks);
    expect(gone).toContain('Bar: Replace');
    expect(gone).toContain('Fit a new one: no plan is signed that names it.');
    expect(gone).not.toContain('Nothing is to be done');
    expect(JSON.stringify((await card('L-0417')).blocks)).toContain('near off');
  });

  it('write names of other alphabets', async () => {
    const { id } = await createJob(context, {
      by: 'Ines',
      customer: { name: 'Łukasz Żółć & Cie, Čapek' },
      saw: null,
      complaint: '“Größe” ≥ 3 mm?',
      promisedFor: null,
    });
    const paper = await writePaper('customer', { context, jobId: id, unit: 'mm', origin: 'http://127.0.0.1:4321' });
    expect(pdfText(await paperPdf(paper))).toContain('For Łukasz Żółć & Cie, Čapek');
  });

  it('of the customer name each part, the three numbers, what to do at home and when to come back', async () => {
    const id = await goneJob('L-0407');
    const paper = await writePaper('customer', { context, jobId: id, unit: 'mm', origin: 'http://127.0.0.1:4321' });
    const text = pdfText(await paperPdf(paper));
    for (const said of ['Bar: kept', '.325', '.050', '72', 'Next visit: ', 'no certificate', 'to the right'])
      expect(text).toContain(said);
    expect(() => paperOf('bill')).toThrow(expect.objectContaining({ code: 'not-found' }));
  });

  it('of the customer tell the price that was agreed, where the shop tells it and every part went on', async () => {
    const [id, other] = [await jobOf(context, 'L-0423'), await jobOf(context, 'L-0425')];
    const page = async (of: string) =>
      JSON.stringify(
        (await writePaper('customer', { context, jobId: of, unit: 'mm', origin: 'http://127.0.0.1:4321' })).blocks,
      );
    expect(await page(id)).not.toContain('"Price"');
    for (const each of [id, other])
      await signPlan(context, each, ({ chain, bar }) => chain === 'replace' && bar !== 'replace');
    const { price } = (await handOverView(context, id)).draft;
    const { plan } = (await jobView(context, id)).signOffs[0]!;
    expect(price).toMatchObject({ currency: 'GBP', together: plan!.costToday });
    expect(price!.work + price!.parts.reduce((sum, { amount }) => sum + amount, 0)).toBe(price!.together);
    expect(price!.parts.map(({ sku }) => sku)).toEqual(plan!.skus);
    expect(await page(id)).toContain('"Together"');
    const { people: _people, ...shop } = await shopView(context);
    await changeShopFacts(context, { ...shop, customerPrice: 'left-out' } as PutShopFacts);
    expect(await page(id)).not.toContain('"Price"');
    // Nothing is said of it: it stays as it is.
    const { customerPrice: _price, ...silent } = shop;
    await changeShopFacts(context, silent as PutShopFacts);
    expect((await shopView(context)).customerPrice).toBe('left-out');
    // No part was taken.
    expect((await give(other, { note: 'so' })).last!.document.price).toBeNull();
  });
});
