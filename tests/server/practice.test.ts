import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { everything, FAULT_IDS, makeTruth, PAPERS, PRACTICE_PARTS, THEME_IDS } from '../../src/core/practice';
import { findRound, recipeOf } from '../../src/data/repositories';
import {
  answerRound,
  beginRound,
  giveHint,
  nextRound,
  pocketPaper,
  practiceView,
  resultPaper,
  roundPageView,
  takeReading,
} from '../../src/server/practice';
import { dueNext, skillsOf } from '../../src/server/practice/again';
import { askedBy } from '../../src/server/people/actor';
import type { BeginRound, PracticeAnswer, RoundView } from '../../src/contract';
import type { ReadingPath } from '../../src/core/sheet';
import { demoContext, type TestContext } from '../support/context';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

const by = 'Ines';
const begin = (round: BeginRound['round'], who = by): Promise<RoundView> => beginRound(context, { by: who, round });
const take = (round: RoundView, path: ReadingPath, at: number | null = null) =>
  takeReading(context, round.id, { by: round.by, before: round.taken.length, path, at, instrument: null });

/** What is said by whoever knows how the set was made, or by somebody who is always wrong. */
async function known(round: RoundView, isWrong = false): Promise<PracticeAnswer> {
  const truth = makeTruth(recipeOf((await findRound(context.store.db, round.id))!));
  const action = (part: (typeof PRACTICE_PARTS)[number]) =>
    isWrong ? (truth.actions[part].includes('keep') ? 'replace' : 'keep') : truth.actions[part][0]!;
  const parts = Object.fromEntries(PRACTICE_PARTS.map((part) => [part, { action: action(part), sure: 0.9 }]));
  return {
    by: round.by,
    parts: parts as PracticeAnswer['parts'],
    faults: isWrong ? [] : [...truth.faults],
    causes: isWrong ? [] : [...truth.causes],
    belongs: isWrong ? !truth.belongs : truth.belongs,
    order: truth.order,
  };
}

const answerWell = async (round: RoundView) => answerRound(context, round.id, await known(round));

describe('a round of practice', () => {
  it('tells nothing of its set that was not asked for, before the answer', async () => {
    for (const theme of THEME_IDS) {
      const round = await begin({ kind: 'one', level: 'usual', theme });
      const record = (await findRound(context.store.db, round.id))!;
      const truth = makeTruth(recipeOf(record));
      const read = await take(round, 'chain.checks.edge');
      const page = await roundPageView(context, round.id, by);
      for (const view of [round, read, page.round]) {
        // What was chosen is known to whoever chose it.
        const text = JSON.stringify({ ...view, theme: null });
        expect(text).not.toContain(String(record.seed));
        for (const fault of FAULT_IDS) expect(text).not.toContain(`"${fault}"`);
        expect(text).not.toContain(truth.shape.stamps.bar);
        expect(Object.keys(view).sort()).toEqual(Object.keys(round).sort());
        expect(view.review).toBeNull();
      }
      expect(read.taken.flatMap(({ entries }) => entries.map(({ path }) => path))).toEqual(['chain.checks.edge']);
    }
  });

  it('says of what is due, and of a paper, not even what it is about', async () => {
    expect((await begin({ kind: 'due', level: 'plain' })).theme).toBeNull();
    expect((await begin({ kind: 'paper', paper: 'plain' })).theme).toBeNull();
    expect((await begin({ kind: 'one', level: 'plain', theme: 'lean' })).theme).toBe('lean');
  });

  it('takes a reading once, however often it is sent, and counts its minutes', async () => {
    const round = await begin({ kind: 'one', level: 'usual', theme: 'any' });
    const one = { by, before: 0, path: 'bar.edges.A.stations.0.near', at: 120, instrument: null } as const;
    const [first, again] = [await takeReading(context, round.id, one), await takeReading(context, round.id, one)];
    expect(again.taken).toEqual(first.taken);
    expect(first.taken[0]!.entries.map(({ path }) => path)).toHaveLength(3);
    expect(first.minutes).toBeGreaterThan(0);
    const more = await take(first, 'bar.edges.A.stations.1.near', 200);
    expect(more.minutes).toBeGreaterThan(first.minutes);
  });

  it('takes nothing for what no set tells of, and a look for damage where there is none', async () => {
    const round = await begin({ kind: 'one', level: 'usual', theme: 'nothing-wrong' });
    await expect(take(round, 'bar.thickness')).rejects.toMatchObject({ code: 'not-in-practice' });
    expect((await take(round, 'chain.damage.0.kind')).minutes).toBeGreaterThan(0);
  });

  it('gives a hint for its minutes, and none on a paper', async () => {
    const round = await begin({ kind: 'one', level: 'usual', theme: 'lean' });
    const hinted = await giveHint(context, round.id, { by, before: 0 });
    expect(hinted.hints[0]!.measure).not.toBeNull();
    expect(hinted.minutes).toBe(3);
    expect((await giveHint(context, round.id, { by, before: 0 })).minutes).toBe(3);
    const paper = await begin({ kind: 'paper', paper: 'plain' });
    await expect(giveHint(context, paper.id, { by, before: 0 })).rejects.toMatchObject({ code: 'no-help' });
  });

  it('is answered once and scored against its making, with what was missed', async () => {
    const round = await begin({ kind: 'one', level: 'usual', theme: 'deep-damage' });
    const answered = await answerRound(context, round.id, await known(round));
    expect(answered.review!.score.points).toBeGreaterThan(0.95);
    expect(answered.review!.truth.faults).toEqual(['damage-deep']);
    expect(answered.review!.untold.map(({ fault }) => fault)).toContain('damage-deep');
    await expect(answerRound(context, round.id, await known(round))).rejects.toMatchObject({ code: 'answered' });
    await expect(take(round, 'bar.stamp')).rejects.toMatchObject({ code: 'answered' });
  });

  it('leaves nobody a part open who read nothing', async () => {
    const round = await begin({ kind: 'one', level: 'usual', theme: 'nothing-wrong' });
    const said = await known(round);
    const guess = { ...said, parts: { ...said.parts, bar: { action: 'undecided', sure: 0.5 } as const } };
    expect((await answerRound(context, round.id, guess)).review!.score.parts.bar).toBe('wrong');
  });

  it('is somebody’s own', async () => {
    const round = await begin({ kind: 'one', level: 'usual', theme: 'any' });
    const other = { by: 'Tam', before: 0 };
    await expect(giveHint(context, round.id, other)).rejects.toMatchObject({ status: 404 });
    await expect(answerRound(context, round.id, { ...(await known(round)), by: 'Tam' })).rejects.toMatchObject({
      status: 404,
    });
    await expect(roundPageView(context, round.id, 'Tam')).rejects.toMatchObject({ status: 404 });
    await expect(beginRound(context, { by: 'Tam', round: { kind: 'first' } })).resolves.toMatchObject({ by: 'Tam' });
  });

  it('touches no real record', async () => {
    const tables = ['job', 'reading', 'stock_part', 'stock_movement', 'chain_link', 'changed', 'gear_change'];
    const counts = () =>
      context.store.whole.write(async (tx) =>
        Promise.all(tables.map(async (table) => (await tx.all(`SELECT count(*) AS n FROM ${table}`))[0])),
      );
    const before = await counts();
    const round = await begin({ kind: 'one', level: 'usual', theme: 'any' });
    await answerWell(await take(round, 'bar.stamp'));
    expect(await counts()).toEqual(before);
  });
});

describe('a sitting', () => {
  it('on a paper has the same sets for everybody, is compared at the end alone, and is printed', async () => {
    const sets = async (who: string) => {
      let round: RoundView | null = await begin({ kind: 'paper', paper: 'usual' }, who);
      const told: (string | null)[] = [];
      let last = round;
      while (round) {
        await expect(nextRound(context, round.id, { by: who })).rejects.toMatchObject({ code: 'not-answered' });
        const answered = await answerRound(context, round.id, await known(await take(round, 'bar.stamp')));
        told.push(answered.taken[0]!.entries[0]!.text);
        last = answered;
        if (told.length < 5) {
          expect(answered.review).toBeNull();
          await expect(resultPaper(context, round.id, who)).rejects.toMatchObject({ status: 404 });
        }
        round = (await nextRound(context, round.id, { by: who })).round;
      }
      expect(last.review).not.toBeNull();
      return { told, last };
    };
    const [one, other] = [await sets('Ines'), await sets('Tam')];
    expect(one.told).toHaveLength(PAPERS.find(({ id }) => id === 'usual')!.sets.length);
    expect(one.told).toEqual(other.told);
    const result = JSON.stringify(await resultPaper(context, one.last.id, 'Ines'));
    for (const word of ['Asked', 'Answered', 'Right', 'stamp on the bar']) expect(result).toContain(word);
  });

  it('goes on to one set, however often and at once it is asked', async () => {
    const round = await begin({ kind: 'paper', paper: 'plain' });
    await answerWell(round);
    const asked = await Promise.all([1, 2, 3].map(() => nextRound(context, round.id, { by })));
    expect(new Set(asked.map((each) => each.round!.id)).size).toBe(1);
  });

  it('of twenty minutes goes on until its readings have taken them', async () => {
    let round = await begin({ kind: 'twenty', level: 'usual' });
    let count = 0;
    for (;;) {
      const truth = makeTruth(recipeOf((await findRound(context.store.db, round.id))!));
      for (const { path, at } of everything(truth).slice(0, 14)) round = await take(round, path, at);
      const { sitting } = await answerRound(context, round.id, await known(round));
      count += 1;
      const { round: next } = await nextRound(context, round.id, { by });
      expect(next === null).toBe(sitting!.spent >= 20);
      if (!next) break;
      // Asked twice, it is the same.
      expect((await nextRound(context, round.id, { by })).round!.id).toBe(next.id);
      round = next;
    }
    expect(count).toBeGreaterThan(1);
  });
});

describe('how somebody does', () => {
  it('counts what was found and missed, brings the missed again sooner, and weighs how sure they were', async () => {
    const found = await begin({ kind: 'one', level: 'usual', theme: 'lean' });
    await answerWell(found);
    const missed = await begin({ kind: 'one', level: 'usual', theme: 'high-gauges' });
    await answerRound(context, missed.id, await known(missed, true));
    const { progress } = await practiceView(context, by, null);
    const skill = (fault: string) => progress.skills.find((each) => each.fault === fault)!;
    expect(skill('rails-stepped')).toMatchObject({ met: 1, found: 1 });
    expect(skill('gauges-high')).toMatchObject({ met: 1, found: 0 });
    expect(skill('gauges-high').due! < skill('rails-stepped').due!).toBe(true);
    expect(progress).toMatchObject({ rounds: 2, statements: 6 });
    expect(progress.brier).toBeCloseTo((3 * 0.01 + 3 * 0.81) / 6, 9);
    const late = new Date(Date.parse(skill('gauges-high').due!) + 1);
    expect(
      dueNext(progress.skills.map((each) => ({ ...each, isDue: each.due !== null && new Date(each.due) <= late }))),
    ).toBe('gauges-high');
    expect(skillsOf([], new Date()).every(({ met, due }) => met === 0 && due === null)).toBe(true);
  });

  it('is seen by themselves and the owner alone', async () => {
    await answerWell(await begin({ kind: 'one', level: 'usual', theme: 'any' }, 'Tam'));
    const asRole = (role: 'owner' | 'technician') =>
      askedBy(
        {
          as: 'person',
          id: 's',
          personId: 'p',
          name: by,
          role,
          customerId: null,
          how: 'password',
          shop: context.store.shop!,
        },
        () => practiceView(context, by, 'Tam'),
      );
    expect(await asRole('owner')).toMatchObject({ isOther: true, progress: { by: 'Tam', rounds: 1 } });
    expect(await asRole('technician')).toMatchObject({ isOther: false, others: [], progress: { by, rounds: 0 } });
  });
});

it('a pocket page holds the limits in force', async () => {
  const page = JSON.stringify(await pocketPaper(context, 'mm'));
  expect(page).toContain('Shortest cutter, where there is no mark');
  expect(page).toContain('4.00 mm');
  expect(page).toContain('maker’s own figures');
});
