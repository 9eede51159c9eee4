import { troubleOf, type Trouble } from '../../data/trouble';
import type { ShopId } from '../../data/shops/names';
import { forShop, freshContext, type Context } from '../context';
import { nobodyWaits, Refusal } from '../refusal';
import { isLeft, type Asked } from './asked';
import { standBack } from './aside';
import { perform, type TaskArgs, type Tasks } from './tasks';

/** One task, as it is handed over to a thread. */
export interface Task<T extends keyof Tasks = keyof Tasks> {
  readonly name: T;
  /** Address of the store. */
  readonly url: string;
  /** The shop that it is for. */
  readonly shop: ShopId;
  readonly args: TaskArgs<T>;
  readonly asked: Asked;
}

/** What a thread answers: errors lose their class on the way, so that they are told. */
export type Answered =
  | { readonly is: 'done'; readonly value: unknown }
  | { readonly is: 'refused'; readonly refusal: Pick<Refusal, 'status' | 'code' | 'message' | 'problems'> }
  | { readonly is: 'failed'; readonly trouble: Trouble | null; readonly message: string };

const failed = (error: unknown): Answered => ({
  is: 'failed',
  trouble: troubleOf(error),
  message: error instanceof Error ? (error.stack ?? error.message) : String(error),
});

/**
 * A thread stands still between its tasks, and a write that nobody waited for would stand still with it, holding the
 * store from everybody: a thread looks, and writes nothing.
 */
const neverWrites: Context['store']['write'] = () => Promise.reject(new Error('A thread writes nothing.'));

/** The store as this thread has it open: the one that was asked for last. */
let own: { readonly url: string; readonly context: Context } | null = null;

function contextOf(url: string): Context {
  if (own?.url === url) return own.context;
  own?.context.store.close();
  own = { url, context: freshContext(url) };
  return own.context;
}

standBack('thread');

/** Does one task in this thread. */
export default async function work({ name, url, shop, args, asked }: Task): Promise<Answered> {
  try {
    // Left while it waited, the store is not even opened.
    if (isLeft(asked)) throw nobodyWaits();
    const { store, ...its } = forShop(contextOf(url), shop);
    const context = { ...its, store: { ...store, write: neverWrites }, looksOnly: true, isLeft: () => isLeft(asked) };
    return { is: 'done', value: await perform(context, name, args) };
  } catch (error) {
    if (!(error instanceof Refusal)) return failed(error);
    const { status, code, message, problems } = error;
    return { is: 'refused', refusal: { status, code, message, problems } };
  }
}
