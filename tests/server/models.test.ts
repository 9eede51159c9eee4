import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { GearAct, ModelFactsView } from '../../src/contract';
import { counterReply, sawsFor } from '../../src/server/use-cases/counter';
import { changeGear } from '../../src/server/use-cases/gear/change';
import { modelMemory, modelOffer, modelsView } from '../../src/server/use-cases/gear';
import { demoContext, type TestContext } from '../support/context';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

const FACTS: ModelFactsView = {
  ...{ name: 'Tarn 40', bar: '40 cm', mount: 'M2', pitch: '.325', gauge: '.050', links: '66DL' },
  ...{ sprocketKind: 'rim', teeth: 7, splines: 7, retired: false },
};
const say = (act: GearAct) => changeGear(context, { id: crypto.randomUUID(), by: 'Tam', act });
const standing = async (name: string) => (await modelsView(context)).models.filter(({ facts }) => facts.name === name);
const lastSaid = async () => (await modelsView(context)).said[0]!;

describe('models of saws', () => {
  it('are entered, mended and retired, with who and when, and undone in turn', async () => {
    expect(await say({ say: 'model-entered', facts: FACTS })).toEqual({ href: '/gear/models' });
    const { id: modelId } = (await standing('Tarn 40'))[0]!;
    const mended = { ...FACTS, links: '67DL' };
    await say({ say: 'model-mended', modelId, facts: mended, was: FACTS });
    expect((await standing('Tarn 40'))[0]!.facts).toEqual(mended);
    expect(await lastSaid()).toMatchObject({ what: 'model-mended', by: 'Tam', before: FACTS, undone: null });
    // Who saw it otherwise is told so.
    await expect(say({ say: 'model-mended', modelId, facts: FACTS, was: FACTS })).rejects.toMatchObject({
      status: 409,
    });
    await say({ say: 'undone', change: (await lastSaid()).id });
    expect((await standing('Tarn 40'))[0]!.facts).toEqual(FACTS);
    const entered = (await modelsView(context)).said.find(({ what }) => what === 'model-entered')!;
    await say({ say: 'undone', change: entered.id });
    expect((await standing('Tarn 40'))[0]!.facts.retired).toBe(true);
    expect((await sawsFor(context, 'Tarn')).filter(({ isModel }) => isModel)).toEqual([]);
  });

  it('are one of a name and a bar', async () => {
    await say({ say: 'model-entered', facts: FACTS });
    const again = { ...FACTS, name: ' TARN  40', links: '70DL' };
    await expect(say({ say: 'model-entered', facts: again })).rejects.toMatchObject({ code: 'model-known' });
    await say({ say: 'model-entered', facts: { ...FACTS, bar: '50 cm' } });
    expect(await standing('Tarn 40')).toHaveLength(2);
  });

  it('come as a list, those that are known left as they are, and go as one', async () => {
    const { retired: _retired, ...model } = FACTS;
    const models = [model, { ...model, bar: '50 cm' }, model];
    await say({ say: 'models-listed', name: 'tarns.csv', models });
    expect((await lastSaid()).said).toEqual({ name: 'tarns.csv', models: 2 });
    await expect(say({ say: 'models-listed', name: 'tarns.csv', models })).rejects.toMatchObject({
      code: 'models-known',
    });
    await say({ say: 'undone', change: (await lastSaid()).id });
    expect((await standing('Tarn 40')).every(({ facts }) => facts.retired)).toBe(true);
  });

  it('answer a call that names them, as told and measured by nobody', async () => {
    const found = await sawsFor(context, 'brask 66');
    expect(found.map(({ label, isModel }) => [label, isModel])).toEqual([
      ['Brask 66, TP-02', false],
      ['Brask 66, 38 cm', true],
      ['Brask 66, 45 cm', true],
    ]);
    const { entries, note } = await modelMemory(context, found[2]!.id);
    expect(note).toContain('not measured: count the links');
    const reply = await counterReply(context, { entries: [...entries], kind: 'chain', inHand: false });
    expect(reply.numbers.map(({ status }) => status)).toEqual(['settled', 'settled', 'settled']);
    expect(reply.stock.flatMap(({ part }) => part.sku)).toContain('LD-3250-72');
    expect(reply.question).not.toBeNull();
  });

  it('can begin with what was measured on saws of just that name', async () => {
    expect(await modelOffer(context, 'brask  66')).toMatchObject({
      saws: 1,
      numbers: { mount: 'M2', pitch: '.325', gauge: '.050', links: '72DL', teeth: 7 },
    });
    expect((await modelOffer(context, 'Brask')).saws).toBe(0);
    expect((await modelOffer(context, '')).saws).toBe(0);
  });
});
