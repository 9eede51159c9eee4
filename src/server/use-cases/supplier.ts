import { UNNAMED } from '../../wording';
import { setShopFact, shopFacts } from '../../data/repositories';
import { SUPPLIER_MOODS, supplierAnswerSchema, type SupplierMood, type SupplierReply } from '../../contract';
import type { Context } from '../context';
import { simulatedSupplier, type SupplierBehaviour } from '../simulated/supplier';

/** The counter waits this long for a supplier, and then goes on without. */
const PATIENCE_MS = 4000;
/** Largest answer read, bytes: a supplier is not trusted to be brief. */
const MOST_BYTES = 200_000;

/** Mood of the simulated supplier. */
export async function supplierMood({ store }: Context): Promise<SupplierMood> {
  const { supplier } = await shopFacts(store.db);
  return SUPPLIER_MOODS.find((mood) => mood === supplier) ?? 'usual';
}

export async function setSupplierMood(
  { store, now }: Context,
  { mood, by }: { readonly mood: SupplierMood; readonly by?: string | undefined },
): Promise<{ mood: SupplierMood }> {
  const written = { at: now().toISOString(), by: by ?? UNNAMED };
  await store.write((tx) => setShopFact(tx, 'supplier', mood, written));
  return { mood };
}

/** What the stand-in does with the question in an address. */
export async function supplierStandIn(context: Context, params: URLSearchParams): Promise<SupplierBehaviour> {
  return simulatedSupplier(await supplierMood(context), {
    pitch: params.get('pitch') ?? '',
    gauge: params.get('gauge') ?? '',
    links: Number(params.get('links')) || 0,
    standard: params.get('class') === 'standard',
  });
}

/**
 * Asks the supplier for price and delivery. Whatever happens on its side (silence, nonsense, a dead line) comes back as a reply: it never blocks
 * the counter.
 * @param address where the supplier answers
 */
export async function askSupplier(
  address: string,
  params: URLSearchParams,
  patienceMs = PATIENCE_MS,
): Promise<SupplierReply> {
  const url = new URL(address);
  for (const name of ['pitch', 'gauge', 'links', 'class']) url.searchParams.set(name, params.get(name) ?? '');
  try {
    const response = await fetch(url, { signal: AbortSignal.timeout(patienceMs) });
    if (!response.ok) return { state: 'no-answer', why: `The supplier's line is down (${response.status}).` };
    const text = await response.text();
    const read = text.length <= MOST_BYTES ? supplierAnswerSchema.safeParse(JSON.parse(text)) : null;
    if (!read?.success) return { state: 'no-answer', why: 'The supplier answered what nobody here can read.' };
    const offers = read.data.offers;
    return offers.length === 0 ? { state: 'none' } : { state: 'offers', offers };
  } catch (error) {
    const late = error instanceof Error && error.name === 'TimeoutError';
    return {
      state: 'no-answer',
      why: late ? `The supplier did not answer within ${patienceMs / 1000} s.` : 'The supplier cannot be reached.',
    };
  }
}

/**
 * Where the supplier answers: as the shop's machine is set up, else the stand-in that ships with the application.
 * @param url any address of the application
 */
export const supplierAt = (url: URL): string =>
  process.env.SERRATA_SUPPLIER ?? new URL('/simulated/supplier', url).href;
