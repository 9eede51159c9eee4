import { describe, expect, it } from 'vitest';
import { INSTRUMENTS, toolsAt } from '../core/quantity';
import { STEPS } from '../core/reading';
import {
  minutesFor,
  NEEDS,
  READINGS,
  readingAt,
  SUBJECTS,
  type Askable,
  type ReadingId,
  type ReadingPath,
} from '../core/sheet';
import { choicesAt, instrumentName, READING_WORDS, readingName } from './index';
import { PLACES } from '../../tests/support/entries';

const SAID_ELSEWHERE = [
  'bar.reworkDone',
  'chain.reworkDone',
  'driveSprocket.reworkDone',
  'setAside',
  'chain.span.instrument',
  'saw.turnLog.came',
  'saw.turnLog.went',
  'saw.foreseen.of',
  'saw.foreseen.edge',
];

describe('every reading of the catalogue', () => {
  it('is met by the places of a sheet, and by nothing else', () => {
    expect(new Set(PLACES.map((path) => readingAt(path)!.id))).toEqual(new Set(READINGS.map(({ id }) => id)));
  });

  it.each(PLACES as readonly ReadingPath[])('%s has words, minutes and a step', (path) => {
    const { told } = readingAt(path)!;
    expect(readingName(path)).not.toContain('undefined');
    expect(readingName(path)).not.toContain(path);
    expect(minutesFor(path)).toBeGreaterThan(0);
    expect(STEPS).toContain(told.step);
  });

  it.each(READINGS.filter(({ kind }) => kind.kind === 'length'))(
    '$id has tools, its usual one among them',
    ({ id, kind }) => {
      if (kind.kind !== 'length') throw new Error('no length');
      const tools = toolsAt(kind.spec.kind, id);
      expect(tools).toContain(kind.spec.instrument);
      for (const tool of tools) expect(instrumentName(tool)).toMatch(/\w/);
    },
  );

  it('named by a tool exists, and is a length', () => {
    const named = Object.values(INSTRUMENTS).flatMap((tool) => ('at' in tool ? [...tool.at] : []));
    expect(named).toContain('bar.checks.bow');
    for (const id of named) expect(READINGS.find((each) => each.id === id)?.kind.kind, id).toBe('length');
    expect(toolsAt('smallDefect', 'bar.checks.bow')).toContain('rule');
    expect(toolsAt('smallDefect', 'driveSprocket.wear')).toContain('rule');
    expect(toolsAt('smallDefect', 'chain.checks.tangBurr')).not.toContain('rule');
  });

  it('that is chosen from words has a word for each, and for nothing else', () => {
    for (const path of PLACES as readonly ReadingPath[]) {
      const { id, kind } = readingAt(path)!;
      const options = kind.kind === 'yes-no' ? ['yes', 'no'] : 'options' in kind ? kind.options : [];
      if (options.length === 0 || SAID_ELSEWHERE.includes(id)) continue;
      const words = READING_WORDS[id as ReadingId];
      if (typeof words === 'string' || !('words' in words)) throw new Error(`${id} has no words to choose from`);
      expect(Object.keys(words.words).sort(), id).toEqual([...options].sort());
      expect(choicesAt(path).map(({ value }) => value)).toEqual([...options]);
      for (const { label } of choicesAt(path)) expect(label).toMatch(/\w/);
    }
  });
});

describe('what the catalogue names', () => {
  it('exists: what a verdict waits for, and what a reading goes with', () => {
    const named = READINGS.flatMap(({ told: { idle, needed } }) => [
      ...(typeof idle === 'object' && idle.code === 'goes-with' ? idle.readings : []),
      ...(needed?.asks ? [needed.asks] : []),
    ]);
    const asked = [...named, ...NEEDS.map(({ asks }) => asks), ...Object.keys(SUBJECTS)] as readonly Askable[];
    expect(asked.length).toBeGreaterThan(30);
    for (const each of asked) expect(readingName(each), each).toMatch(/^[\w ,’-]+$/);
    const ids: readonly string[] = READINGS.map(({ id }) => id);
    for (const { places } of NEEDS) for (const keys of places.slice(1)) expect(ids).toContain(keys.join('.'));
  });

  it('is what the verdicts have always waited for', () => {
    expect(NEEDS.map(({ asks, by }) => `${asks}: ${by.join(', ')}`).sort()).toEqual(
      [
        'bar.checks.bow: bar',
        'bar.checks.crack: bar',
        'bar.checks.hardNose: nose',
        'bar.checks.noseTurns: bar, nose',
        'bar.edges.A.stations: bar',
        'bar.edges.B.stations: bar',
        'bar.edges.mouth: bar',
        'chain.checks.crack: chain',
        'chain.cuttersLeft: chain',
        'chain.pushPull: chain',
        'driveSprocket.wear: driveSprocket',
      ].sort(),
    );
  });
});
