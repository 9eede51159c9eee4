import { isDeepStrictEqual } from 'node:util';
import type { GearChange } from '../../../core/life';
import { keyOfModel } from '../../../core/saw-model';
import {
  addCustomer,
  addGearChange,
  addModel,
  addSaw,
  customerFactsOf,
  findCustomerByName,
  findGearChange,
  findJob,
  findModel,
  jobsOfSaw,
  modelsInUse,
  putJobsOn,
  retireModels,
  sawFactsOf,
  setCustomerFacts,
  setMergedInto,
  setModelFacts,
  setSawFacts,
  type CustomerFacts,
  type GearChangeRecord,
  type ModelFacts,
  type SaidRecord,
  type SawFacts,
} from '../../../data/repositories';
import type { Transaction } from '../../../data/store';
import { letOthers } from '../../../data/turn';
import type { ChangedGear, ChangeGear, GearAct } from '../../../contract';
import { modelText } from '../../../wording';
import type { Context } from '../../context';
import { notFound, Refusal } from '../../refusal';
import { mustStandAsSeen } from '../based-on';
import { pieceOn, type PieceOn } from './pieces';
import { takeBackList } from './saw-list';
import * as texts from '#language/server';

/** What a change is about, and what undoing it needs. */
type About = Pick<GearChangeRecord, 'what' | 'said'> &
  Partial<Pick<GearChangeRecord, 'customerId' | 'sawId' | 'otherSawId' | 'piece' | 'before' | 'undoes'>>;

/** Where something is said: in one write, with its moment. */
interface Saying {
  readonly tx: Transaction;
  /** The piece that is spoken of, as it stood when it was looked at. */
  readonly piece: PieceOn | null;
  readonly id: string;
  readonly at: string;
  readonly by: string;
  readonly newId: () => string;
}

type Act<Say extends GearAct['say']> = Extract<GearAct, { readonly say: Say }>;

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
  undone: undo,
};

/** Says something of customers, saws and pieces; said twice by the same id it is said once. */
export async function changeGear(context: Context, { id, by, act }: ChangeGear): Promise<ChangedGear> {
  const piece = 'piece' in act ? await pieceOn(context, act.piece) : null;
  return context.store.write(async (tx) => {
    const known = await findGearChange(tx, id);
    if (known) return { href: hrefOf(known) };
    const at = context.now().toISOString();
    const said = await (ACTS[act.say] as (given: GearAct, saying: Saying) => Promise<About>)(act, {
      tx,
      piece,
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

/** A saw that is not merged into another. */
async function standingSaw(tx: Transaction, id: string) {
  const saw = await sawFactsOf(tx, id);
  if (!saw) throw notFound('saw');
  if (saw.mergedInto !== null) throw new Refusal(409, 'saw-merged', texts.sawIsMerged(saw.facts.label));
  return saw;
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

/** Of a name and a bar one model is in use. */
async function mustBeNewModel(tx: Transaction, facts: ModelFacts, own: string | null): Promise<void> {
  if (facts.retired) return;
  const known = await modelsInUse(tx, [keyOfModel(facts)], own);
  if (known.size > 0) throw new Refusal(422, 'model-known', texts.modelIsKnown(modelText(facts)));
}

async function enterModel({ facts }: Act<'model-entered'>, { tx, id, at, by }: Saying): Promise<About> {
  await mustBeNewModel(tx, facts, null);
  const { retired: _retired, ...model } = facts;
  await addModel(tx, { id, model, at, by });
  return { what: 'model-entered', said: { modelId: id, facts } };
}

async function mendModel({ modelId, facts, was }: Act<'model-mended'>, { tx, at }: Saying): Promise<About> {
  const stands = await modelFactsOf(tx, modelId);
  mustStandAsSeen(stands, was, modelText(stands));
  await mustBeNewModel(tx, facts, modelId);
  await setModelFacts(tx, modelId, facts, at);
  return { what: 'model-mended', said: { modelId, facts }, before: stands };
}

/** Models that are written before others have their turn. */
const AT_ONCE = 40;

/** Takes in a list of models; those that are in use already are left as they are. */
async function listModels({ name, models }: Act<'models-listed'>, { tx, at, by, newId }: Saying): Promise<About> {
  const known = new Set(await modelsInUse(tx, models.map(keyOfModel)));
  const brought: string[] = [];
  for (const model of models) {
    const key = keyOfModel(model);
    if (known.has(key)) continue;
    known.add(key);
    const id = newId();
    await addModel(tx, { id, model, at, by });
    brought.push(id);
    // Others are answered meanwhile.
    if (brought.length % AT_ONCE === 0) await letOthers();
  }
  if (brought.length === 0) throw new Refusal(422, 'models-known', texts.modelsAreKnown);
  return { what: 'models-listed', said: { name, models: brought.length }, before: { models: brought } };
}

/** A model as it stands. */
async function modelFactsOf(tx: Transaction, id: string): Promise<ModelFacts> {
  const model = await findModel(tx, id);
  if (!model) throw notFound('model');
  const { id: _id, ...facts } = model;
  return facts;
}

/** It is found by its tag: the store sees to that. */
async function tagPiece({ piece, tag }: Act<'piece-tagged'>, { piece: stands }: Saying): Promise<About> {
  return { what: 'piece-tagged', sawId: stands!.found.saw, piece, said: { tag } };
}

async function movePiece({ piece, to }: Act<'piece-moved'>, { tx, piece: stands }: Saying): Promise<About> {
  const { saw: from, ended } = stands!.found;
  if (ended !== null) throw new Refusal(409, 'piece-gone', texts.pieceIsGone);
  await standingSaw(tx, to);
  if (from === to) throw new Refusal(422, 'same-saw', texts.pieceIsThere);
  return { what: 'piece-moved', sawId: from, otherSawId: to, piece, said: { from, to } };
}

async function tellPiece({ jobId, part, isSame }: Act<'piece-told'>, { tx }: Saying): Promise<About> {
  const job = await findJob(tx, jobId);
  if (!job?.saw) throw notFound('job');
  return { what: 'piece-told', sawId: job.saw.id, said: { jobId, part, isSame } };
}

const isGoneBy = (label: string) => new Refusal(409, 'changed-since', texts.changedSinceUndoThat(label));

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
    case 'model-mended': {
      const { modelId, facts } = said as { readonly modelId: string; readonly facts: ModelFacts };
      const stands = await modelFactsOf(tx, modelId);
      if (!isDeepStrictEqual(stands, facts)) throw isGoneBy(modelText(stands));
      const then = asBefore(facts, before as ModelFacts | null);
      await mustBeNewModel(tx, then, modelId);
      await setModelFacts(tx, modelId, then, at);
      return;
    }
    case 'models-listed':
      await retireModels(tx, (before as { readonly models: readonly string[] }).models, at);
      return;
    case 'piece-tagged':
    case 'piece-moved':
    case 'piece-told':
    case 'undone':
      return;
  }
}

/** As it stood before; what was entered by mistake is kept and offered no more. */
const asBefore = <Facts extends { readonly retired: boolean }>(said: Facts, before: Facts | null): Facts =>
  before ?? { ...said, retired: true };
