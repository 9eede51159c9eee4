import { isDeepStrictEqual } from 'node:util';
import { keyOfModel } from '../../../core/saw-model';
import { addModel, findModel, modelsInUse, setModelFacts, type ModelFacts } from '../../../data/repositories';
import type { Transaction } from '../../../data/store';
import { letOthers } from '../../../data/turn';
import { modelText } from '../../../wording';
import { notFound, Refusal } from '../../refusal';
import { mustStandAsSeen } from '../based-on';
import { asBefore, isGoneBy, type About, type Act, type Saying } from './saying';
import * as texts from '#language/server';

/** Of a name and a bar one model is in use. */
async function mustBeNewModel(tx: Transaction, facts: ModelFacts, own: string | null): Promise<void> {
  if (facts.retired) return;
  const known = await modelsInUse(tx, [keyOfModel(facts)], own);
  if (known.size > 0) throw new Refusal(422, 'model-known', texts.modelIsKnown(modelText(facts)));
}

export async function enterModel({ facts }: Act<'model-entered'>, { tx, id, at, by }: Saying): Promise<About> {
  await mustBeNewModel(tx, facts, null);
  const { retired: _retired, ...model } = facts;
  await addModel(tx, { id, model, at, by });
  return { what: 'model-entered', said: { modelId: id, facts } };
}

export async function mendModel({ modelId, facts, was }: Act<'model-mended'>, { tx, at }: Saying): Promise<About> {
  const stands = await modelFactsOf(tx, modelId);
  mustStandAsSeen(stands, was, modelText(stands));
  await mustBeNewModel(tx, facts, modelId);
  await setModelFacts(tx, modelId, facts, at);
  return { what: 'model-mended', said: { modelId, facts }, before: stands };
}

/** Models that are written before others have their turn. */
const AT_ONCE = 40;

/** Takes in a list of models; those that are in use already are left as they are. */
export async function listModels(
  { name, models }: Act<'models-listed'>,
  { tx, at, by, newId }: Saying,
): Promise<About> {
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

/** A model as it stood before; of one that was entered it is offered no more. */
export async function takeBackModel(said: unknown, before: unknown, tx: Transaction, at: string): Promise<void> {
  const { modelId, facts } = said as { readonly modelId: string; readonly facts: ModelFacts };
  const stands = await modelFactsOf(tx, modelId);
  if (!isDeepStrictEqual(stands, facts)) throw isGoneBy(modelText(stands));
  const then = asBefore(facts, before as ModelFacts | null);
  await mustBeNewModel(tx, then, modelId);
  await setModelFacts(tx, modelId, then, at);
}
