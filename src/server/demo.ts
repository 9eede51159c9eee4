import { addDays, subDays } from 'date-fns';
import type { Rules } from '../core/assess';
import { entriesFromSheet, type WrittenBenchSheet } from '../core/sheet';
import { studiesThatCount } from '../core/hand';
import { DEFAULT_SCHOOLS } from '../core/schools';
import { DEFAULTS } from '../core/limits';
import {
  DEMO_CODES,
  DEMO_CUSTOMERS,
  DEMO_FURTHER_SAWS,
  DEMO_JOBS,
  DEMO_MEMORIES,
  DEMO_MODELS,
  DEMO_PEOPLE,
  DEMO_SAWS,
  DEMO_SHEETS,
  DEMO_SHOP,
  DEMO_SLIPS,
  DEMO_STOCK,
  DEMO_STUDIES,
} from '../data/demo';
import {
  addCustomer,
  addJob,
  addPerson,
  addSaw,
  addStock,
  addStudy,
  countJobs,
  findJob,
  lastReading,
  putCode,
  rememberSaw,
  setShopFact,
  shopStanding,
  storeFirstReadings,
} from '../data/repositories';
import type { Transaction } from '../data/store';
import { calendarDay } from '../wording';
import type { Context } from './context';
import { DEMO_TAGGED } from '../data/demo/history';
import { loadFurther } from './demo-further';
import { demoReadings } from './demo-readings';
import { changeGear } from './use-cases/gear/change';
import { piecesOfSaws } from './use-cases/gear/pieces';
import { rulesInForce, rulesMark } from './use-cases/shop';
import { BEGUN_FACT, DEMO_FACT } from './use-cases/set-up-facts';
import { signOff } from './use-cases/sign-off';
import { keep, keptOf, summaryKey } from './use-cases/summary';

const momentAgo = ({ now }: Context, days: number): string => subDays(now(), days).toISOString();

/** The rules of the demo shop, as they are in force once it is loaded. */
function demoRules(context: Context): Rules {
  const studies = DEMO_STUDIES.map(({ by, instrument, daysAgo, takes, known }) => ({
    by,
    instrument,
    on: momentAgo(context, daysAgo).slice(0, 10),
    takes,
    known,
  }));
  return { limits: DEFAULTS, codes: DEMO_CODES, schools: DEFAULT_SCHOOLS, studies: studiesThatCount(studies) };
}

const SHOP_BEGAN_DAYS_AGO = 1100;

const nameOf = (id: string): string => DEMO_PEOPLE.find((person) => person.id === id)!.name;

/** A job of the demo: whose, on which sheet, due in how many days. */
type DemoJob = Omit<(typeof DEMO_JOBS)[number], 'signedOff' | 'tag' | 'sawId' | 'customerId' | 'due'> & {
  readonly tag: string;
  readonly customerId: string;
  readonly sawId: string | null;
  readonly due: number;
  readonly sheet: WrittenBenchSheet;
};

async function loadJob(
  tx: Transaction,
  context: Context,
  { tag, customerId, sawId, due, by: person, sheet }: DemoJob,
  rules: Rules,
): Promise<string> {
  const by = nameOf(person);
  const id = context.newId();
  const saw = [...DEMO_SAWS, ...DEMO_FURTHER_SAWS].find((each) => each.id === sawId);
  const about = saw ? { 'saw.label': saw.label, 'saw.mount': saw.mount, 'saw.maxRpm': String(saw.maxRpm) } : {};
  const slips = DEMO_SLIPS.filter((slip) => slip.tag === tag).flatMap(({ path, text, position }) => [
    { path: path.replace(/\w+$/, 'at'), text: position, unit: 'mm' as const },
    { path, text, unit: 'mm' as const },
  ]);
  const entries = [
    ...Object.entries(about).map(([path, text]) => ({ path, text, unit: 'mm' as const })),
    ...entriesFromSheet(sheet),
    ...slips,
  ];
  const { began, readings } = demoReadings(context, entries, { jobId: id, seed: Number(tag.replace(/\D/g, '')), by });
  const promisedFor = calendarDay(addDays(context.now(), due), DEMO_SHOP.timeZone);
  await addJob(tx, { id, tag, customerId, sawId, promisedFor, at: began, by });
  await storeFirstReadings(tx, readings);
  const job = (await findJob(tx, id))!;
  const theirs = entries.map((entry) => ({ ...entry, by }));
  await keep(tx, job, await keptOf(tx, job, rules, theirs), summaryKey(rules));
  return id;
}

/** The saw that Gear tells most of has its chain tagged, as a shop does with chains that go in turn. */
async function tagChain(context: Context): Promise<void> {
  const { saw, tag } = DEMO_TAGGED;
  const { pieces } = await piecesOfSaws(context, [saw], await rulesInForce(context));
  const chain = pieces.find(({ part, ended }) => part === 'chain' && ended === null)!;
  const act = { say: 'piece-tagged', piece: chain.id, tag } as const;
  await changeGear(context, { id: context.newId(), by: DEMO_PEOPLE[0].name, act });
}

/** What is usual for the models of the crews came as a list. */
async function listModels(context: Context): Promise<void> {
  const act = { say: 'models-listed', name: 'depot.csv', models: DEMO_MODELS } as const;
  await changeGear(context, { id: context.newId(), by: DEMO_PEOPLE[0].name, act });
}

/** Loads the demo scenario into an empty store. Does nothing, and says so, when there is a job in it already. */
export async function loadDemo(context: Context): Promise<{ readonly loaded: number }> {
  const { store } = context;
  if ((await countJobs(store.db, { show: 'bench', waits: null })) > 0) return { loaded: 0 };
  // A shop of somebody's own was begun here.
  if ((await shopStanding(store.db)).facts[BEGUN_FACT] !== undefined) return { loaded: 0 };
  const written = { at: context.now().toISOString(), by: DEMO_PEOPLE[0].name };
  const signed = await store.write(async (tx) => {
    // The shop had said so, and taught its codes, before the first of its jobs.
    const began = { ...written, at: momentAgo(context, SHOP_BEGAN_DAYS_AGO) };
    for (const [key, value] of Object.entries(DEMO_SHOP)) await setShopFact(tx, key, value, began);
    await setShopFact(tx, DEMO_FACT, 'invented', began);
    for (const person of DEMO_PEOPLE) await addPerson(tx, person);
    for (const customer of DEMO_CUSTOMERS) await addCustomer(tx, { ...customer, ...written });
    for (const saw of DEMO_SAWS) await addSaw(tx, { ...saw, ...written });
    await addStock(tx, DEMO_STOCK);
    for (const code of DEMO_CODES) await putCode(tx, { ...code, ...began });
    for (const { id, daysAgo, ...study } of DEMO_STUDIES) {
      await addStudy(tx, { ...study, id, at: momentAgo(context, daysAgo) });
    }
    for (const { sawId, entries } of DEMO_MEMORIES) await rememberSaw(tx, { sawId, entries, ...written });
    const ids: { id: string; by: string }[] = [];
    for (const job of DEMO_JOBS) {
      const id = await loadJob(tx, context, { ...job, sheet: DEMO_SHEETS[job.tag]! }, demoRules(context));
      if (job.signedOff) ids.push({ id, by: nameOf(job.by) });
    }
    return ids;
  });
  const rules = rulesMark(await rulesInForce(context));
  for (const { id, by } of signed)
    await signOff(context, id, { by, upToReading: await lastReading(store.db, id), rules });
  const further = await loadFurther(context, (past, job, customerId) =>
    store.write((tx) => loadJob(tx, past, { ...job, customerId, due: 3 }, demoRules(context))),
  );
  await tagChain(context);
  await listModels(context);
  return { loaded: DEMO_JOBS.length + further };
}
