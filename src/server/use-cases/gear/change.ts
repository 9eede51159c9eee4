import { isDeepStrictEqual } from 'node:util';
import type { GearChange } from '../../../core/life';
import {
  addCustomer,
  addGearChange,
  addSaw,
  customerFactsOf,
  findCustomerByName,
  findGearChange,
  jobsOfSaw,
  putJobsOn,
  retireModels,
  setCustomerFacts,
  setMergedInto,
  setSawFacts,
  type CustomerFacts,
  type GearChangeRecord,
  type SaidRecord,
  type SawFacts,
} from '../../../data/repositories';
import type { Transaction } from '../../../data/store';
import type { ChangedGear, ChangeGear, GearAct } from '../../../contract';
import type { Context } from '../../context';
import { notFound, Refusal } from '../../refusal';
import { mustStandAsSeen } from '../based-on';
import { rulesInForce } from '../shop';
import { enterModel, listModels, mendModel, takeBackModel } from './model-acts';
import { movePiece, tagPiece, tellChain, tellPiece, turnChains } from './piece-acts';
import { pieceOn, piecesOfSaws } from './pieces';
import { takeBackList } from './saw-list';
import { asBefore, isGoneBy, standingSaw, type About, type Act, type Saying } from './saying';
import * as texts from '#language/server';

/** What each act does; what it returns is stored as said. */
const ACTS: { readonly [Say in GearAct['say']]: (act: Act<Say>, saying: Saying) => Promise<About> } = {
  'customer-entered': enterCustomer,
  'customer-mended': mendCustomer,
  'saw-entered': enterSaw,
  'saw-mended': mendSaw,
  'saws-merged': mergeSaws,
  'model-entered': enterModel,
  'model-mended': mendModel,
  'models-listed': listModels,
  'piece-tagged': tagPiece,
  'piece-moved': movePiece,
  'piece-told': tellPiece,
  'chains-in-turn': turnChains,
  'chain-told': tellChain,
  undone: undo,
};

/** Says something of customers, saws and pieces; said twice by the same id it is said once. */
export async function changeGear(context: Context, { id, by, act }: ChangeGear): Promise<ChangedGear> {
  const piece = 'piece' in act ? await pieceOn(context, act.piece) : null;
  const gear = 'pieces' in act ? await piecesOfSaws(context, [act.sawId], await rulesInForce(context)) : null;
  return context.store.write(async (tx) => {
    const known = await findGearChange(tx, id);
    if (known) return { href: hrefOf(known) };
    const at = context.now().toISOString();
    const said = await (ACTS[act.say] as (given: GearAct, saying: Saying) => Promise<About>)(act, {
      tx,
      piece,
      gear,
      id,
      at,
      by,
      newId: () => context.newId(),
    });
    const record: GearChangeRecord = {
      ...{ customerId: null, sawId: null, otherSawId: null, piece: null, before: null, undoes: null },
      ...said,
      ...{ id, at, by },
    };
    await addGearChange(tx, record);
    return { href: hrefOf(record) };
  });
}

/** The page of what was spoken of; of two saws that became one, the one that is left. */
function hrefOf({ what, customerId, sawId, otherSawId, piece }: GearChangeRecord): string {
  if (piece !== null) return `/gear/pieces/${piece}`;
  if (what === 'saws-merged') return `/gear/saws/${otherSawId}`;
  if (MODELS_SAID.includes(what)) return '/gear/models';
  // A list is told of where it was taken in.
  if (sawId === null && customerId === null) return '/gear';
  return sawId === null ? `/gear/customers/${customerId}` : `/gear/saws/${sawId}`;
}

const MODELS_SAID: readonly GearChange[] = ['model-entered', 'model-mended', 'models-listed'];

async function mustBeNewName(tx: Transaction, name: string, own: string | null): Promise<void> {
  const known = await findCustomerByName(tx, name);
  if (known && known.id !== own) throw new Refusal(422, 'name-known', texts.customerIsKnown(known.name));
}

async function enterCustomer({ facts }: Act<'customer-entered'>, { tx, id, at, by }: Saying): Promise<About> {
  await mustBeNewName(tx, facts.name, null);
  await addCustomer(tx, { id, name: facts.name, contact: facts.contact, at, by });
  return { what: 'customer-entered', customerId: id, said: facts };
}

async function mendCustomer({ customerId, facts, was }: Act<'customer-mended'>, { tx, at }: Saying): Promise<About> {
  const stands = await customerFactsOf(tx, customerId);
  if (!stands) throw notFound('customer');
  mustStandAsSeen(stands, was, stands.name);
  await mustBeNewName(tx, facts.name, customerId);
  await setCustomerFacts(tx, customerId, facts, at);
  return { what: 'customer-mended', customerId, said: facts, before: stands };
}

async function enterSaw({ customerId, facts }: Act<'saw-entered'>, { tx, id, at, by }: Saying): Promise<About> {
  if (!(await customerFactsOf(tx, customerId))) throw notFound('customer');
  const { retired: _retired, ...rest } = facts;
  await addSaw(tx, { id, customerId, ...rest, at, by });
  return { what: 'saw-entered', customerId, sawId: id, said: facts };
}

async function mendSaw({ sawId, facts, was }: Act<'saw-mended'>, { tx, at }: Saying): Promise<About> {
  const { customerId, facts: stands } = await standingSaw(tx, sawId);
  mustStandAsSeen(stands, was, stands.label);
  await setSawFacts(tx, sawId, facts, at);
  return { what: 'saw-mended', customerId, sawId, said: facts, before: stands };
}

async function mergeSaws({ sawId, into }: Act<'saws-merged'>, { tx }: Saying): Promise<About> {
  const [saw, other] = [await standingSaw(tx, sawId), await standingSaw(tx, into)];
  if (sawId === into) throw new Refusal(422, 'same-saw', texts.mergeWithAnother);
  if (saw.customerId !== other.customerId) throw new Refusal(422, 'saw-of-another', texts.sawOfAnotherCustomer);
  const jobs = await jobsOfSaw(tx, sawId);
  await putJobsOn(tx, jobs, into);
  await setMergedInto(tx, sawId, into);
  const { customerId } = saw;
  return { what: 'saws-merged', customerId, sawId, otherSawId: into, said: { from: sawId, into }, before: { jobs } };
}

/** Takes back what was said: where something else was said of the same since, that comes first. */
async function undo({ change }: Act<'undone'>, saying: Saying): Promise<About> {
  const { tx, at } = saying;
  const said = await findGearChange(tx, change);
  if (!said || said.undoes !== null) throw notFound('change');
  if (said.undone) throw new Refusal(409, 'undone', texts.isUndoneAlready);
  await takeBack(said, tx, at);
  const { customerId, sawId, otherSawId, piece } = said;
  return { what: 'undone', customerId, sawId, otherSawId, piece, said: null, undoes: change };
}

async function takeBack(
  { what, customerId, sawId, otherSawId, said, before }: SaidRecord,
  tx: Transaction,
  at: string,
): Promise<void> {
  switch (what) {
    case 'customer-entered':
    case 'customer-mended': {
      const stands = await customerFactsOf(tx, customerId!);
      if (!isDeepStrictEqual(stands, said)) throw isGoneBy(stands?.name ?? '');
      await setCustomerFacts(tx, customerId!, asBefore(said as CustomerFacts, before as CustomerFacts | null), at);
      return;
    }
    case 'saw-entered':
    case 'saw-mended': {
      const stands = await standingSaw(tx, sawId!);
      if (!isDeepStrictEqual(stands.facts, said)) throw isGoneBy(stands.facts.label);
      await setSawFacts(tx, sawId!, asBefore(said as SawFacts, before as SawFacts | null), at);
      return;
    }
    case 'saws-merged': {
      // Of a record that went into a third since, that comes first.
      await standingSaw(tx, otherSawId!);
      await putJobsOn(tx, (before as { jobs: readonly string[] }).jobs, sawId!);
      await setMergedInto(tx, sawId!, null);
      return;
    }
    case 'saws-listed':
      await takeBackList(tx, before);
      return;
    case 'model-entered':
    case 'model-mended':
      await takeBackModel(said, before, tx, at);
      return;
    case 'models-listed':
      await retireModels(tx, (before as { readonly models: readonly string[] }).models, at);
      return;
    case 'piece-tagged':
    case 'piece-moved':
    case 'piece-told':
    case 'chains-in-turn':
    case 'chain-told':
    case 'undone':
      return;
  }
}
