import { changedSince } from '../../data/repositories';
import type { Context } from '../context';
import { placeText } from './event';

/** The place in the order of all changes that the store is at, as browsers say it; null where it does not answer. */
export const placeNow = ({ store }: Context): Promise<string | null> =>
  changedSince(store.db, null).then(placeText, () => null);
