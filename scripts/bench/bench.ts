import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { compile, drawnDoubt, drawWorld, emptyWorld, judgeWorld, seeded } from '../../src/core/doubt';
import { DEFAULTS } from '../../src/core/limits';
import { chainNeed, searchStock } from '../../src/core/stock';
import { effectOf, identify } from '../../src/core/identify';
import { entriesFromSheet, readSheet, sheetFromEntries, type WrittenBenchSheet } from '../../src/core/sheet';
import { planSet } from '../../src/core/plan';
import { DEMO_SHEETS } from '../../src/data/demo';
import { bringUpToDate } from '../../src/data/migrate';
import { openStore } from '../../src/data/store';
import { assessmentDocument } from '../../src/wording';
import { answerRatios, application, bareNode, type Answering, type WatchedServer } from './answers';
import { fillStore, PARTS_IN_STOCK } from './big-store';
import { atTheDoor } from './door';
import { manyStreams } from './live';
import { longWork, underLoad } from './load';
import { manyParts } from './many-parts';
import { signingIn } from './sign-in';
import { KEYSTROKE_STATIONS, keystrokes } from './keystrokes';
import { chainOfRecords } from './records';
import { scale } from './scale';
import { stalls } from './stalls';
import { quantile, table, type Measured } from './table';
import { throttled } from './throttled';
import { scriptWeight } from './weights';

const STATIONS = 12;
const JOBS = Number(process.argv.find((arg) => /^--jobs=\d+$/.test(arg))?.slice('--jobs='.length) ?? 200_000);
const REQUESTS = 200;
/** Jobs of the shop in which it is measured how long one waits. */
const WAITING_JOBS = 10_000;

/** The demo's dressed bar with so many stations on each edge. */
function longSheet(count = STATIONS): WrittenBenchSheet {
  const sheet = structuredClone(DEMO_SHEETS['L-0417']!);
  const edge = (lean: number) => ({
    stations: Array.from({ length: count }, (_, i) => ({
      at: `${40 + Math.round((i * 432) / count)} mm`,
      near: `${(8 - 0.05 * i).toFixed(2)} mm`,
      far: `${(8 - 0.05 * i - lean * (i % 4)).toFixed(2)} mm`,
      mouth: `${(1.38 + 0.01 * i).toFixed(2)} mm`,
      deep: '1.34 mm',
      deepAt: '3 mm',
    })),
  });
  sheet.bar!.edges = { A: edge(0.1), B: edge(-0.05) };
  return sheet;
}

/** A machine shared with others stalls for a while: what is timed is timed in rounds, and the quietest one counts. */
const ROUNDS = 8;

/**
 * Milliseconds of each run of the quietest round, after a round that is not counted: what is measured is a page that
 * has been open for a while.
 */
function timed(runs: number, work: () => unknown): readonly number[] {
  const round = () =>
    Array.from({ length: Math.ceil(runs / ROUNDS) }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    });
  for (let i = 0; i < runs; i += 1) work();
  const rounds = Array.from({ length: ROUNDS }, round);
  return rounds.reduce((quietest, next) => (quantile(next, 0.5) < quantile(quietest, 0.5) ? next : quietest));
}

/** Draws of doubt that the interface makes, and that are timed in one go. */
const DRAWS = 20_000;
const DRAWS_AT_ONCE = 1000;

function core(): Measured[] {
  const written = longSheet();
  const read = readSheet(written);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const entries = entriesFromSheet(written);
  const assessing = timed(400, () => appraise(read.value, DEFAULT_RULES, null));
  const keystroke = timed(200, () => appraise(sheetFromEntries(entries).sheet, DEFAULT_RULES, null));
  const document = timed(200, () => assessmentDocument(appraise(read.value, DEFAULT_RULES, null)));
  const parts = manyParts(PARTS_IN_STOCK);
  const need = chainNeed({
    pitch: '325',
    gauge: '.050',
    driveLinks: 72,
    kickbackClass: 'low-kickback',
    sequence: null,
  });
  const searching = timed(60, () => searchStock(need, parts));
  const judged = { sheet: read.value, ...appraise(read.value, DEFAULT_RULES, null) };
  const planning = timed(40, () => planSet({ judged, limits: DEFAULTS, stock: parts, toOrder: true }));
  const identity = identify(read.value);
  const effects = timed(60, () => identity.evidence.map(({ id }) => effectOf(read.value, identity, id)));
  const appraisal = appraise(read.value, DEFAULT_RULES, null);
  const compiled = compile(appraisal.hangsOn);
  const [world, deserved, stream] = [emptyWorld(compiled), new Uint8Array(compiled.parts.length), seeded(1)];
  const compiledOnce = timed(80, () => {
    for (let draw = 0; draw < DRAWS_AT_ONCE; draw += 1) {
      drawWorld(compiled, draw, stream, world);
      judgeWorld(compiled, world, deserved);
    }
  });
  const perDraw = quantile(compiledOnce, 0.5) / DRAWS_AT_ONCE;
  const doubting = timed(16, () => drawnDoubt(appraisal, DRAWS, 1));
  return [
    {
      what: `${DRAWS.toLocaleString('en')} draws of doubt with what each reading would buy, median`,
      value: quantile(doubting, 0.5),
      budget: 1000,
      unit: 'ms',
    },
    {
      what: `a draw of doubt (${Math.round(1 / perDraw)} thousand a second), median`,
      value: 1000 * perDraw,
      budget: 50,
      unit: 'µs',
    },
    { what: 'compiled draw ÷ whole assessment', value: perDraw / quantile(assessing, 0.5), budget: 0.05, unit: '×' },
    {
      what: `stock search over ${PARTS_IN_STOCK.toLocaleString('en')} parts, median`,
      value: quantile(searching, 0.5),
      budget: 50,
      unit: 'ms',
    },
    {
      what: `plans over ${PARTS_IN_STOCK.toLocaleString('en')} parts in stock, median`,
      value: quantile(planning, 0.5),
      budget: 50,
      unit: 'ms',
    },
    { what: 'effect of every piece of evidence, median', value: quantile(effects, 0.5), budget: 16, unit: 'ms' },
    { what: `full assessment, 2×${STATIONS} stations, median`, value: quantile(assessing, 0.5), budget: 2, unit: 'ms' },
    {
      what: 'entries → sheet → assessment (each keystroke), median',
      value: quantile(keystroke, 0.5),
      budget: 16,
      unit: 'ms',
    },
    { what: 'assessment document with sentences, median', value: quantile(document, 0.5), budget: 16, unit: 'ms' },
  ];
}

/** JavaScript that a page needs, against its budget. */
async function weight(address: string, name: string, budget: number, step: string | null = null): Promise<Measured> {
  const html = await (await fetch(address)).text();
  return { what: `${name}: JavaScript, gzip`, value: scriptWeight(html, step), budget, unit: 'kB' };
}

/** What the counter makes of a stamp: everything from the request to the shelf. */
async function counter(address: string): Promise<Measured> {
  const ask = JSON.stringify({
    entries: [
      { path: 'bar.stamp', text: '18 in 325 .050 72DL', unit: 'mm' },
      { path: 'job.operatorTrained', text: 'no', unit: 'mm' },
    ],
    kind: 'chain',
    inHand: false,
  });
  const times: number[] = [];
  for (let i = 0; i < REQUESTS; i += 1) {
    const start = performance.now();
    const response = await fetch(`${address}/api/counter/answer`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: ask,
    });
    await response.text();
    times.push(performance.now() - start);
  }
  return {
    what: `Counter answers, ${PARTS_IN_STOCK.toLocaleString('en')} parts in stock, p95`,
    value: quantile(times, 0.95),
    budget: 25,
    unit: 'ms',
  };
}

/** A store with the demo, a large shelf and so many jobs beside, and the application on it. */
async function shopWith(jobs: number, folder: string): Promise<WatchedServer> {
  const file = join(folder, `bench-${jobs}.db`);
  const store = openStore(`file:${file}`);
  await bringUpToDate(store);
  await fillStore({ store, now: () => new Date(), newId: () => crypto.randomUUID() }, jobs);
  store.close();
  return application(file);
}

const bar = async (address: string): Promise<string> => {
  const [hit] = (await (await fetch(`${address}/api/search?q=L-0417`)).json()) as { href: string }[];
  return `${address}${hit!.href}?step=bar`;
};

/** The bar with three years behind it. */
const piece = async (address: string): Promise<string> => {
  const saw = await (await fetch(`${address}/gear/saws/s-brask-66`)).text();
  return `${address}${/\/gear\/pieces\/bar\.[\w.-]+/.exec(saw)![0]}`;
};

/** Servers on stores in a folder of their own, stopped and gone once they are measured. */
async function withServers(
  measure: (run: <T extends Answering>(start: Promise<T>) => Promise<T>, folder: string) => Promise<Measured[]>,
): Promise<Measured[]> {
  const folder = mkdtempSync(join(tmpdir(), 'serrata-bench-'));
  const running: Answering[] = [];
  const run = async <T extends Answering>(start: Promise<T>): Promise<T> => {
    const answering = await start;
    running.push(answering);
    return answering;
  };
  try {
    return await measure(run, folder);
  } finally {
    for (const { stop } of running) await stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** How long one waits for the work of others. */
const waiting = (): Promise<Measured[]> =>
  withServers(async (run, folder) =>
    stalls(await run(shopWith(WAITING_JOBS, folder)), (await run(bareNode())).address, WAITING_JOBS),
  );

/** What the chain of records costs. */
const records = (): Promise<Measured[]> => withServers((_run, folder) => chainOfRecords(folder));

const pages = (): Promise<Measured[]> =>
  withServers(async (run, folder) => {
    const { address: large } = await run(shopWith(JOBS, folder));
    const { address: small } = await run(shopWith(0, folder));
    const { address: bare } = await run(bareNode());
    const [largeBar, smallBar] = [await bar(large), await bar(small)];
    const pair = (name: string, path: string) => ({ name, small: `${small}${path}`, large: `${large}${path}` });
    const ratios = await answerRatios(
      bare,
      `${large}/api/health`,
      [
        pair('Bench', '/'),
        { name: 'Job, at the bar', small: smallBar, large: largeBar },
        pair('Counter', '/counter'),
        pair('Stock', '/stock'),
        pair('Shop', '/shop'),
        pair('Gear', '/gear'),
        pair('Gear, searched', '/gear?q=TP-02'),
        pair('Gear of a customer', '/gear/customers/c-garden'),
        pair('All saws', '/gear/saws'),
        pair('A thousand of all saws', '/api/gear/saws/rows?from=5000'),
        pair('A saw', '/gear/saws/s-brask-66'),
        { name: 'A piece', small: await piece(small), large: await piece(large) },
      ],
      JOBS,
    );
    return [...ratios, await counter(large), ...(await underLoad(small)), ...(await longWork(large))];
  });

/** What pages weigh, and what a person feels of them. */
const felt = (): Promise<Measured[]> =>
  withServers(async (run, folder) => {
    const { address: shop } = await run(shopWith(0, folder));
    const atBar = await bar(shop);
    return [
      await weight(`${shop}/`, 'Bench', 105),
      await weight(atBar, 'Job, at the bar', 200, 'bar'),
      await weight(`${shop}/counter`, 'Counter', 105),
      await weight(`${shop}/stock`, 'Stock', 105),
      await weight(`${shop}/gear`, 'Gear', 105),
      ...(await keystrokes(shop, longSheet(KEYSTROKE_STATIONS))),
      ...(await throttled(atBar)),
    ];
  });

/** How a shop stands that is heard by many. */
const heard = (): Promise<Measured[]> =>
  withServers(async (run, folder) => {
    const { address } = await run(shopWith(0, folder));
    return manyStreams(address);
  });

/** All that is measured; `--only=NAME` measures one part. */
const PARTS: Readonly<Record<string, () => Promise<Measured[]> | Measured[]>> = {
  core,
  pages,
  felt,
  waiting,
  records,
  'sign-in': signingIn,
  door: () => withServers(atTheDoor),
  live: heard,
};

/** Asked for by itself: it takes a quarter of an hour. */
const isScale = process.argv.includes('--scale');
const only = process.argv.find((arg) => arg.startsWith('--only='))?.slice('--only='.length);
if (only !== undefined && !PARTS[only])
  throw new Error(`There is no part ${only}; there are ${Object.keys(PARTS).join(', ')}.`);
const rows: Measured[] = [];
if (isScale) rows.push(...(await scale()));
for (const [name, measure] of isScale ? [] : Object.entries(PARTS))
  if (only === undefined || only === name) rows.push(...(await measure()));
console.log(`\n${table(rows)}\n\nA ratio below 1 is within budget. Times are of this machine, in one run.`);
