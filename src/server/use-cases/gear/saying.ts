import type { GearAct } from '../../../contract';
import type { GearChangeRecord } from '../../../data/repositories';
import { sawFactsOf } from '../../../data/repositories';
import type { Transaction } from '../../../data/store';
import * as texts from '#language/server';
import { notFound, Refusal } from '../../refusal';
import type { GearOfSaws, PieceOn } from './pieces';

/** What a change is about, and what undoing it needs. */
export type About = Pick<GearChangeRecord, 'what' | 'said'> &
  Partial<Pick<GearChangeRecord, 'customerId' | 'sawId' | 'otherSawId' | 'piece' | 'before' | 'undoes'>>;

/** Where something is said: in one write, with its moment. */
export interface Saying {
  readonly tx: Transaction;
  /** The piece that is spoken of, as it stood when it was looked at. */
  readonly piece: PieceOn | null;
  /** The pieces of the saw whose chains are spoken of, as they stood then. */
  readonly gear: GearOfSaws | null;
  readonly id: string;
  readonly at: string;
  readonly by: string;
  readonly newId: () => string;
}

export type Act<Say extends GearAct['say']> = Extract<GearAct, { readonly say: Say }>;

/** A saw that is not merged into another. */
export async function standingSaw(tx: Transaction, id: string) {
  const saw = await sawFactsOf(tx, id);
  if (!saw) throw notFound('saw');
  if (saw.mergedInto !== null) throw new Refusal(409, 'saw-merged', texts.sawIsMerged(saw.facts.label));
  return saw;
}

/** As it stood before; what was entered by mistake is kept and offered no more. */
export const asBefore = <Facts extends { readonly retired: boolean }>(said: Facts, before: Facts | null): Facts =>
  before ?? { ...said, retired: true };

/** Something else was said of it since. */
export const isGoneBy = (label: string) => new Refusal(409, 'changed-since', texts.changedSinceUndoThat(label));
