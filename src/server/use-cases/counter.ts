import { answerCounter, type CounterAnswer, type CounterNumbers } from '../../core/counter';
import { GAUGES } from '../../core/families';
import { readStamp, type LearnedCode, codeOf } from '../../core/identify';
import { isWithin, readingAt, sheetFromEntries, type Entry } from '../../core/sheet';
import {
  addCustomer,
  addSaw,
  currentReadings,
  findCustomerByName,
  findSawByLabel,
  findSaws,
  knownMounts,
  knownSaw,
  listJobs,
  rememberSaw,
  sawMemoryOf,
  type KnownSaw,
} from '../../data/repositories';
import type { Transaction } from '../../data/store';
import type {
  CounterAsk,
  CounterReply,
  MountView,
  KnownSawView,
  RememberSaw,
  SawMemoryView,
  SlipView,
  StampPieceView,
} from '../../contract';
import {
  shopDay,
  counterCaution,
  counterValue,
  entryProblem,
  familyLabel,
  familyShort,
  identityReason,
  list,
  questionAsked,
  questionWhy,
  stampMeaning,
  kickbackClassWord,
  sequenceWord,
} from '../../wording';
import type { Context } from '../context';
import { notFound, Refusal } from '../refusal';
import { modelsFor } from './gear/models';
import { rulesInForce, shopView } from './shop';
import { answersTo, orderFrom, stockAnswers } from './stock';
import * as texts from '#language/server';

const NAMES = { pitch: texts.pitch, gauge: texts.gauge, driveLinks: texts.driveLinks } as const;
const PROPERTIES = Object.keys(NAMES) as (keyof typeof NAMES)[];

function pieces(text: string | undefined, codes: readonly LearnedCode[]): readonly StampPieceView[] {
  return readStamp(text ?? '').tokens.map((token) => {
    const code = codeOf(token.text, codes);
    if (code) return { text: token.text, means: texts.codeOfThisShop, certain: true, isRead: true };
    const means = token.meanings.length === 0 ? texts.notRead : list(token.meanings.map(stampMeaning), 'or');
    return { text: token.text, means, certain: token.meanings.length === 1, isRead: token.meanings.length > 0 };
  });
}

/** The reasons of a number, from the part it was read from; from both where they disagree. */
function reasonsOf({ identity, numbers }: CounterAnswer, property: keyof CounterNumbers): readonly string[] {
  const { from } = numbers[property];
  const parts = from ? [from] : (['chain', 'bar'] as const);
  const why = parts.flatMap((part) =>
    identity[part][property].candidates.length > 0 ? identity[part][property].why : [],
  );
  return why.map((reason) => identityReason(reason));
}

function orderOf({ numbers, need, identity }: CounterAnswer): CounterReply['order'] {
  const { pitch, gauge, driveLinks } = numbers;
  if (!pitch.settled || !gauge.settled || !driveLinks.settled) return null;
  return {
    pitch: pitch.values[0]!,
    gauge: gauge.values[0]!,
    links: driveLinks.values[0]!,
    kickbackClass: need.kickbackClass,
    sequence: need.sequence,
    counted: identity.chain.driveLinks.value !== null,
  };
}

/** Answers half a knowledge: what is settled, what to ask next, and what is on the shelf. */
export async function counterReply(context: Context, { entries, kind, inHand }: CounterAsk): Promise<CounterReply> {
  const { codes, schools } = await rulesInForce(context);
  const { sheet, refused } = sheetFromEntries(entries);
  const answer = answerCounter(sheet, kind, inHand, codes, schools);
  const { question, cautions, numbers } = answer;
  return {
    numbers: PROPERTIES.map((property) => ({
      property,
      name: NAMES[property],
      status: numbers[property].status,
      value: counterValue(property, numbers),
      why: reasonsOf(answer, property),
    })),
    question: question && { path: question.asks, ask: questionAsked(question), why: questionWhy(question) },
    clashes: cautions.filter(({ code }) => code === 'clash').map(counterCaution),
    cautions: cautions.filter(({ code }) => code !== 'clash').map(counterCaution),
    pieces: { bar: pieces(sheet.bar?.stamp, codes), chain: pieces(sheet.chain?.stamp, codes) },
    refused: refused.map(({ path, problem }) => ({ path, message: entryProblem(problem, 'mm') })),
    stock: await answersTo(context, answer.need),
    order: kind === 'chain' ? orderOf(answer) : null,
  };
}

const SAWS_OFFERED = 8;
const sawName = ({ label, tag }: { label: string; tag: string }): string => [label, tag].filter(Boolean).join(', ');

async function sawView({ store }: Context, saw: KnownSaw): Promise<KnownSawView> {
  const memory = await sawMemoryOf(store.db, saw.id);
  return { id: saw.id, label: sawName(saw), customer: saw.customer, remembered: memory !== null, isModel: false };
}

/** Saws that the words typed may mean, and models. */
export async function sawsFor(context: Context, words: string): Promise<readonly KnownSawView[]> {
  const text = words.slice(0, 80);
  const saws = await findSaws(context.store.db, text, SAWS_OFFERED);
  return [...(await Promise.all(saws.map((saw) => sawView(context, saw)))), ...(await modelsFor(context, text))];
}

/** What is known of a saw: what the counter remembered, or what its last job identified. */
export async function sawMemory(context: Context, sawId: string): Promise<SawMemoryView> {
  const { db } = context.store;
  const saw = await knownSaw(db, sawId);
  if (!saw) throw notFound('saw');
  const own: readonly Entry[] = [
    { path: 'saw.label', text: saw.label, unit: 'mm' as const },
    ...(saw.mount ? [{ path: 'saw.mount', text: saw.mount, unit: 'mm' as const }] : []),
  ];
  const plain = (entries: readonly Entry[]) => entries.map(({ path, text, unit }) => ({ path, text, unit }));
  const memory = await sawMemoryOf(db, sawId);
  const shop = await shopView(context);
  if (memory)
    return {
      saw: await sawView(context, saw),
      entries: plain([...memory.entries.filter(({ path }) => !isWithin(path, 'saw')), ...own]),
      note: texts.remembered(memory.by, shopDay(memory.at, shop)),
    };
  const [job] = await listJobs(db, { show: 'saw', sawId }, { limit: 1, offset: 0 });
  const readings = job ? await currentReadings(db, [job.id]) : [];
  const known = readings.filter(({ path, text }) => text !== '' && readingAt(path)?.told.step === 'identify');
  return {
    saw: await sawView(context, saw),
    entries: plain([...known, ...own]),
    note:
      job && known.length > 0
        ? texts.rememberedFromJob(job.tag, shopDay(job.createdAt, shop))
        : texts.nothingIsRemembered,
  };
}

/** Mounts of this shop: what bars it has for each, and which saws have it. */
export async function mountsKnown({ store }: Context): Promise<readonly MountView[]> {
  return knownMounts(store.db);
}

/** The saw to remember: one the shop knows, or its owner's of that name, or a new one. */
async function sawToRemember(tx: Transaction, context: Context, wanted: RememberSaw): Promise<string> {
  if ('id' in wanted.saw) {
    if (!(await knownSaw(tx, wanted.saw.id))) throw notFound('saw');
    return wanted.saw.id;
  }
  const written = { at: context.now().toISOString(), by: wanted.by };
  const { customer, label } = wanted.saw;
  const owner = await findCustomerByName(tx, customer);
  const customerId = owner?.id ?? context.newId();
  if (!owner) await addCustomer(tx, { id: customerId, name: customer, contact: '', ...written });
  const known = await findSawByLabel(tx, customerId, label);
  if (known) return known.id;
  const { sheet } = sheetFromEntries(wanted.entries);
  const id = context.newId();
  const mount = sheet.saw?.mount ?? null;
  await addSaw(tx, { id, customerId, label, tag: '', mount, maxRpm: sheet.saw?.maxRpm ?? null, ...written });
  return id;
}

/** Remembers a saw for the next call. Customer and saw are found by name or added. */
export async function rememberForNextTime(context: Context, wanted: RememberSaw): Promise<KnownSawView> {
  const { entries, by } = wanted;
  if (entries.length === 0) throw new Refusal(422, 'nothing-known', texts.nothingIsKnown);
  const at = context.now().toISOString();
  const id = await context.store.write(async (tx) => {
    const sawId = await sawToRemember(tx, context, wanted);
    await rememberSaw(tx, { sawId, entries, at, by });
    return sawId;
  });
  const found = await knownSaw(context.store.db, id);
  if (!found) throw notFound('saw');
  return sawView(context, found);
}

/** An order slip from the counter, without a job. Null while the address names no order. */
export async function counterSlip(context: Context, params: URLSearchParams): Promise<SlipView | null> {
  const order = orderFrom(params);
  if (!order) return null;
  const counted = params.get('counted') === 'yes';
  const shop = await shopView(context);
  return {
    shop,
    tag: texts.counter,
    customer: (params.get('customer') ?? '').slice(0, 160),
    saw: (params.get('saw') ?? '').slice(0, 120) || null,
    date: shopDay(context.now().toISOString(), shop),
    order: {
      pitch: familyShort[order.pitch],
      pitchNote: order.pitch.startsWith('38') ? familyLabel(order.pitch) : '',
      gauge: order.gauge,
      gaugeNote: `${GAUGES[order.gauge].mmLabel} mm`,
      driveLinks: order.driveLinks,
      kickbackClass: order.kickbackClass ? kickbackClassWord[order.kickbackClass] : texts.toBeAsked,
      sequence: order.sequence ? sequenceWord[order.sequence] : texts.notCounted,
    },
    withheld: [],
    replaces: [],
    cautions: [],
    fit: counted ? [] : [{ holds: null, text: counterCaution({ code: 'count-before-handing-over' }) }],
    planned: [],
    stock: await stockAnswers(context, order),
    others: [],
  };
}
