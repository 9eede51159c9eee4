import { StoreRefused } from '../../data/keeping/backup';
import { ErrandFailed } from '../errands/send';
import { Refusal } from '../refusal';
import * as texts from '#language/server';

/** One at a time, so that asking often costs the shop nothing. */
let isBusy = false;

/** Does long work on the store, where no other is under way. */
export async function alone<T>(work: () => Promise<T>): Promise<T> {
  if (isBusy) throw new Refusal(409, 'making', texts.backupIsUnderWay);
  isBusy = true;
  try {
    return await work();
  } catch (error) {
    if (error instanceof ErrandFailed || error instanceof StoreRefused)
      throw new Refusal(503, 'not-saved', texts.itCouldNotBeDone(error.message));
    throw error;
  } finally {
    isBusy = false;
  }
}
