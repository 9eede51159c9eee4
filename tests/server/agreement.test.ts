import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { isRenewed, saidByHandOver, type Moment, type PartSaid } from '../../src/core/course';
import type { WrittenBenchSheet } from '../../src/core/sheet';
import type { JobView, Paper, PaperBlock, PlanView } from '../../src/contract';
import { DEMO_SHEETS } from '../../src/data/demo';
import { lastHandOver, lastReading } from '../../src/data/repositories';
import { meaningOf, type Meaning } from '../../src/islands/job/store/meaning';
import { benchView } from '../../src/server/use-cases/bench';
import { handOverView } from '../../src/server/use-cases/hand-over';
import { handOverJob } from '../../src/server/use-cases/handing-over';
import { revisionOf } from '../../src/server/use-cases/rests-on';
import { actOnPart, jobParts } from '../../src/server/use-cases/job-parts';
import { jobView } from '../../src/server/use-cases/jobs';
import { jobPlans } from '../../src/server/use-cases/plans';
import { rulesInForce, rulesMark } from '../../src/server/use-cases/shop';
import { signOff } from '../../src/server/use-cases/sign-off';
import { slipView } from '../../src/server/use-cases/stock';
import { appraisedJob, type AppraisedJob } from '../../src/server/use-cases/appraised';
import { createJob } from '../../src/server/use-cases/take-in';
import { PAPERS } from '../../src/server/papers';
import type { GivenPapers } from '../../src/server/papers/given';
import { inSentence, money, nextSentence, partName, storyWord, verdictReason } from '../../src/wording';
import { demoContext, type TestContext } from '../support/context';
import { anySheet } from '../support/sheets';

/** Jobs that are made up beside those of the demo. */
const GENERATED = 300;

let context: TestContext;
beforeAll(() => {
  context = demoContext();
});
afterAll(() => context.done());

/** Where the demo's tags lead. */
const ORIGIN = 'http://127.0.0.1:4173';

/** All that a job's screens and papers are made of, at one moment. */
interface Told {
  readonly id: string;
  readonly view: JobView;
  readonly meaning: Meaning;
  readonly papers: Readonly<Record<keyof typeof PAPERS, Paper>>;
  readonly job: AppraisedJob;
  readonly parts: Awaited<ReturnType<typeof jobParts>>['parts'];
}

async function told(id: string): Promise<Told> {
  const view = await jobView(context, id);
  const standing = new Map(view.readings.map((reading) => [reading.path, { ...reading, conflict: null }]));
  const meaning = meaningOf({ standing, drafts: new Map(), view, who: 'Ines' } as never);
  // As each paper is written, from a job that is read and appraised once for all of them; as it was given once it went.
  const job = await appraisedJob(context, id);
  const given = view.job.state === 'handed-over' ? ((await lastHandOver(context.store.db, id))!.papers as object) : {};
  const written = await Promise.all(
    Object.entries(PAPERS).map(
      async ([name, paper]) =>
        [name, await paper.write({ context, job, unit: 'mm', origin: ORIGIN, going: null })] as const,
    ),
  );
  // Nothing was judged otherwise since; but what a slip tells of the shelf has moved on.
  const { slip: _slip, ...kept } = given as GivenPapers;
  for (const [name, { blocks }] of Object.entries(kept))
    expect(blocks).toEqual(JSON.parse(JSON.stringify(written.find(([id]) => id === name)![1].blocks)));
  const { parts } = await jobParts(context, id);
  return { id, view, meaning, papers: Object.fromEntries(written) as Told['papers'], job, parts };
}

const flat = (blocks: readonly PaperBlock[]): readonly PaperBlock[] =>
  blocks.flatMap((block) =>
    block.is === 'section'
      ? [block, ...flat(block.blocks)]
      : block.is === 'columns'
        ? [block, ...block.columns.flatMap(flat)]
        : [block],
  );

/** Every text of a paper. */
const textOf = (paper: Paper): string => JSON.stringify(paper.blocks);

/** Part → word, as a place has it. */
type Words = Readonly<Record<string, string>>;
const wordsOf = (said: readonly PartSaid[]): Words =>
  Object.fromEntries(said.map((each) => [partName[each.part], inSentence(storyWord(each))]));

/** The words of each place that says how the parts of a job stand. */
async function wordsOfPlaces({ id, view, meaning, papers }: Told): Promise<Readonly<Record<string, Words>>> {
  const tag = flat(papers.tag.blocks).find((block) => block.is === 'pairs');
  const marks = flat(papers.customer.blocks).find((block) => block.is === 'marks');
  const { draft, last } = await handOverView(context, id);
  const isOut = view.job.state === 'handed-over';
  const document = isOut && last ? last.document : draft;
  return {
    panel: wordsOf(meaning.stories),
    bench: wordsOf(view.kept.stories),
    'hand-over': wordsOf(saidByHandOver(document, meaning.stories[0]?.moment ?? 'came')),
    tag: Object.fromEntries((tag?.is === 'pairs' ? tag.items : []).map(({ name, value }) => [name, value])),
    customer: Object.fromEntries(
      (marks?.is === 'marks' ? marks.items : []).map(({ word }) => {
        const [name, said] = word.split(': ') as [string, string];
        return [name, said.replace(', the old one was condemned', '')];
      }),
    ),
  };
}

/** A customer is told of a condemned part by that word until a new one is on. */
const asCustomer = (words: Words, customer: Words): Words =>
  Object.fromEntries(
    Object.entries(words).map(([part, word]) => [part, customer[part] === 'condemned' ? 'condemned' : word]),
  );

/** Places say one thing of each part. */
async function agreeOnParts(job: Told): Promise<void> {
  const { panel, customer, ...places } = await wordsOfPlaces(job);
  for (const [place, words] of Object.entries(places)) expect(words, place).toEqual(panel);
  expect(customer, 'customer').toEqual(asCustomer(panel!, customer!));
  const condemnedWords = ['replace', 'condemned'];
  for (const [part, word] of Object.entries(customer!))
    if (word === 'condemned') expect(condemnedWords, `customer, ${part}`).toContain(panel![part]);
}

/** Parts of the plan stand once on the slip, with the price and the count of the shelf, and nothing else contradicts them. */
async function agreeOnOrder({ meaning, papers, job, parts }: Told): Promise<void> {
  const slip = await slipView(context, job);
  expect(slip.planned.map(({ sku, left, priceCents }) => ({ sku, left, priceCents }))).toEqual(
    parts.map(({ sku, left, priceCents }) => ({ sku, left, priceCents })),
  );
  const planned = meaning.stories.filter(isRenewed);
  for (const { part } of planned) expect(slip.others.map((other) => other.part)).not.toContain(part);
  const text = textOf(papers.slip);
  for (const { sku, left, priceCents } of parts) {
    expect(text.split(`"${sku}"`).length - 1, `${sku} on the slip`).toBe(1);
    expect(text).toContain(`${left} left`);
    expect(text).toContain(money(priceCents, slip.shop));
  }
  if (planned.some(({ part }) => part === 'driveSprocket')) expect(text).not.toContain('Replace it first');
  const card = textOf(papers['work-card']);
  const isOut = job.course.handedOver;
  for (const { sku, part, state } of parts)
    if (part && (!isOut || state === 'taken')) expect(card, `${sku} on the work card`).toContain(sku);
  if (planned.length > 0) expect(card).not.toContain('Nothing is to be done');
}

/** The customer reads what was signed, part by part; nothing where a part of the plan was not taken. */
function agreeOnPrice({ view, papers, parts }: Told): void {
  const text = textOf(papers.customer);
  const plan = view.job.state === 'open' ? null : view.signOffs[0]?.plan;
  const isWhole = view.job.state !== 'handed-over' || parts.every(({ state }) => state === 'taken');
  expect(text.includes('"Price"'), 'a price').toBe(Boolean(plan) && isWhole);
  if (!plan || !isWhole) return;
  const [heading] = text.split('"Price"').slice(1);
  const amounts = [plan.costToday, ...(plan.parts ?? []).map(({ priceCents }) => priceCents)];
  for (const amount of amounts) expect(heading).toContain(`"${money(amount, papers.customer.shop)}"`);
}

/** Stations are named by millimetres at which one lies, and by no number. */
function agreeOnStations({ meaning, papers }: Told): void {
  const { appraisal } = meaning;
  // A reading may be asked for where no station is yet.
  const asked = appraisal.next.flatMap(({ at }) => (at === null ? [] : [Math.round(at)]));
  const lying = (edge: 'A' | 'B') => [...appraisal.bar.edges[edge].stations.map(({ at }) => Math.round(at)), ...asked];
  const said = [
    ...appraisal.next.map((next) => nextSentence(next)),
    ...Object.values(appraisal.verdicts).flatMap(({ reasons }) => reasons.map((reason) => verdictReason(reason))),
  ];
  const all = [...Object.values(papers).map(textOf), ...said].join('\n');
  expect(all).not.toMatch(/station \d/);
  for (const [, edge, at] of all.matchAll(/[Ee]dge ([AB]) at (\d+) mm/g))
    expect(lying(edge as 'A' | 'B')).toContain(Number(at));
}

/** The three numbers of a new chain are those that are ordered and those for next time. */
function agreeOnNumbers({ meaning, papers, parts }: Told): void {
  const chain = parts.find((part) => part.chain)?.chain;
  if (!chain || meaning.stories[0]?.moment === 'came') return;
  const numbers = flat(papers.slip.blocks).find((block) => block.is === 'numbers');
  expect(numbers?.is === 'numbers' && numbers.items.map(({ value }) => value).slice(1)).toEqual([
    chain.gauge,
    String(chain.driveLinks),
  ]);
}

async function agree(id: string, moment: Moment): Promise<void> {
  const job = await told(id);
  expect(new Set(job.meaning.stories.map((story) => story.moment))).toEqual(
    new Set(job.meaning.stories.length > 0 ? [moment] : []),
  );
  await agreeOnParts(job);
  await agreeOnOrder(job);
  agreeOnPrice(job);
  agreeOnStations(job);
  agreeOnNumbers(job);
}

/** Signs a job with one of its plans, or with none where it has none. */
async function sign(id: string, choose: number): Promise<PlanView | null> {
  const { plans } = await jobPlans(context, id);
  const plan = plans.length === 0 ? null : plans[choose % plans.length]!;
  await signOff(context, id, {
    by: 'Ines',
    upToReading: await lastReading(context.store.db, id),
    rules: rulesMark(await rulesInForce(context)),
    plan: plan && {
      key: plan.key,
      choices: plan.choices,
      skus: plan.parts.map(({ sku }) => sku),
      costToday: plan.costToday,
      reason: 'as agreed',
    },
  });
  const [signed] = (await jobView(context, id)).signOffs;
  expect(signed!.plan?.costToday ?? null).toBe(plan?.costToday ?? null);
  return plan;
}

/** Takes what the shelf has of a plan. */
async function takeParts(id: string): Promise<void> {
  for (const { sku, state } of (await jobParts(context, id)).parts)
    if (state === 'on-shelf')
      await actOnPart(context, id, { id: crypto.randomUUID(), by: 'Ines', sku, act: 'take' }, 'http://127.0.0.1:9');
}

/** Looks at a job as it came, as planned, and as it went out. */
async function atEachMoment(id: string, choose: number): Promise<void> {
  await agree(id, 'came');
  await sign(id, choose);
  await agree(id, 'planned');
  if (choose % 2 === 0) await takeParts(id);
  const revision = await revisionOf(context.store.db, id);
  const request = { by: 'Ines', revision, nextVisit: null, note: 'It goes as it is.' };
  await handOverJob(context, id, request, { unit: 'mm', origin: ORIGIN });
  await agree(id, 'out');
}

async function takenIn(sheet: WrittenBenchSheet): Promise<string> {
  const { id } = await createJob(context, {
    by: 'Ines',
    customer: { name: 'Agreement' },
    saw: null,
    complaint: '',
    promisedFor: null,
    sheet,
  });
  return id;
}

/** A sheet some of whose parts are those of a job of the demo, the others anything. */
const mixed = fc
  .record({
    drawn: anySheet,
    like: fc.constantFrom(...Object.values(DEMO_SHEETS)),
    own: fc.subarray(['job', 'saw', 'bar', 'chain', 'driveSprocket'] as const),
  })
  .map(({ drawn, like, own }): WrittenBenchSheet => {
    const { refit: _refit, proof: _proof, ...sheet } = like;
    return { ...sheet, ...Object.fromEntries(own.flatMap((part) => (drawn[part] ? [[part, drawn[part]]] : []))) };
  });

describe('every place that speaks of a job tells the same', () => {
  it('of the jobs of the demo', async () => {
    const { jobs } = await benchView(context, { page: '1' });
    for (const { id, state } of jobs) {
      if (state === 'open') await atEachMoment(id, 0);
      else await agree(id, 'planned');
    }
    const gone = await benchView(context, { page: '1', done: true });
    for (const { id } of gone.jobs) await agree(id, 'out');
    expect(jobs.length + gone.jobs.length).toBeGreaterThan(15);
  });

  // A part of them at a time: each has as long as a busy machine needs.
  it.each([0, 1, 2])(`of ${GENERATED} others, part %i`, async (part) => {
    const sheets = fc.sample(mixed, { seed: 1959, numRuns: GENERATED });
    for (const [i, sheet] of sheets.entries()) if (i % 3 === part) await atEachMoment(await takenIn(sheet), i);
  });
});
