import { marksOfPiece, type Marks } from '../../../core/life';
import { entriesOfModel, keyOfModel, punched } from '../../../core/saw-model';
import {
  countModels,
  findModel,
  modelsCalled,
  sawModels,
  sawsById,
  sawsCalled,
  type ModelRecord,
} from '../../../data/repositories';
import type { KnownSawView, ModelOffer, ModelsView, ModelView, RowsView, SawMemoryView } from '../../../contract';
import { familyShort, modelText } from '../../../wording';
import type { Context } from '../../context';
import { rowsFrom } from '../../paging';
import { notFound } from '../../refusal';
import { rulesInForce, shopView } from '../shop';
import { piecesOfSaws } from './pieces';
import { modelsSaidView } from './said';
import * as texts from '#language/server';

/** The first rows come with the page. */
const FIRST = 60;
/** Models that a call is offered. */
const OFFERED = 4;
/** Saws of a name that are looked at for what is usual. */
const MOST_LOOKED_AT = 12;

const modelView = ({ id, ...facts }: ModelRecord): ModelView => ({ id, facts });

/** The first models of the shop, with what was said of them. */
export async function modelsView(context: Context): Promise<ModelsView> {
  const { db } = context.store;
  const models = await sawModels(db, { limit: FIRST, offset: 0 });
  return {
    shop: await shopView(context),
    models: models.map(modelView),
    said: await modelsSaidView(db),
    total: await countModels(db),
  };
}

/** Some of the models, from where it was asked on. */
export const modelRows = ({ store }: Context, from: string | null): Promise<RowsView<ModelView>> =>
  rowsFrom(from, async (page) => (await sawModels(store.db, page)).map(modelView));

const asKnown = (model: ModelRecord): KnownSawView => ({
  id: model.id,
  label: modelText(model),
  customer: '',
  remembered: false,
  isModel: true,
});

/** Models that the words of a call may mean. */
export const modelsFor = async ({ store }: Context, text: string): Promise<readonly KnownSawView[]> =>
  (await modelsCalled(store.db, text, OFFERED)).map(asKnown);

/** What is usual for a model, as a call begins with it. */
export async function modelMemory({ store }: Context, id: string): Promise<SawMemoryView> {
  const model = await findModel(store.db, id);
  if (!model) throw notFound('model');
  const entries = entriesOfModel(model).map(({ path, text, unit }) => ({ path, text, unit }));
  return { saw: asKnown(model), entries, note: texts.usualForModel(modelText(model)) };
}

/** The value that most have, of those that have one. */
function commonest<T>(values: readonly (T | null | undefined)[]): T | null {
  const counts = new Map<T, number>();
  for (const value of values)
    if (value !== null && value !== undefined) counts.set(value, (counts.get(value) ?? 0) + 1);
  return (
    [...counts].reduce<[T, number] | null>((most, each) => (most && most[1] >= each[1] ? most : each), null)?.[0] ??
    null
  );
}

/** What was measured on saws of a name, the commonest of each: offered for a model of that name. */
export async function modelOffer(context: Context, name: string): Promise<ModelOffer> {
  const { db } = context.store;
  const nameOf = (text: string) => keyOfModel({ name: text, bar: '' });
  const wanted = nameOf(name);
  const called = name.trim() === '' ? [] : await sawsById(db, await sawsCalled(db, name, MOST_LOOKED_AT));
  const saws = called.filter(({ saw }) => nameOf(saw.label) === wanted);
  const ids = saws.map(({ saw }) => saw.id);
  const { pieces } = await piecesOfSaws(context, ids, await rulesInForce(context));
  const on = pieces.filter(({ saw, ended }) => ended === null && ids.includes(saw));
  const marks = (part: (typeof on)[number]['part']): readonly Marks[] =>
    on.filter((piece) => piece.part === part).map(marksOfPiece);
  const [chains, sprockets] = [[...marks('chain'), ...marks('bar')], marks('driveSprocket')];
  const [pitch, gauge, links] = [
    commonest(chains.map((each) => each.pitch)),
    commonest(chains.map((each) => each.gauge)),
    commonest(chains.map((each) => each.driveLinks)),
  ];
  return {
    saws: new Set(on.map(({ saw }) => saw)).size,
    numbers: {
      mount: commonest(saws.map(({ saw }) => saw.mount)),
      pitch: (pitch && punched('pitch', familyShort[pitch])) ?? '',
      gauge: (gauge && punched('gauge', gauge)) ?? '',
      links: links === null ? '' : punched('links', String(links))!,
      sprocketKind: commonest(sprockets.map((each) => each.kind)),
      teeth: commonest(sprockets.map((each) => each.teeth)),
    },
  };
}
