import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../../core/assess';
import { STEPS } from '../../core/reading';
import { isReadingPath, sheetFromEntries, type Askable, type Entry } from '../../core/sheet';
import { moveFor } from './bar/StationTable';
import { drawnStation, nextKey, plannedPositions, sectionAt, stationRows } from './bar/stations';
import { goNoGoText } from './identify/GoNoGo';
import { compared, isOdd, NOTHING_COUNTED, tapped, type TapAction } from './identify/tapping';
import { fitted } from './photos/shrink';
import { destinationOf } from './places';
import { jointsOf, platesOf, setJointsOf } from './plates';
import type { Snapshot, Standing } from './store/job-store';
import { fieldState, heldAt } from './store/useField';

const entry = (path: string, text: string): Entry => ({ path, text, unit: 'mm' });

/** A screen on which these entries stand. */
function screen(...entries: Entry[]) {
  const standing = new Map(
    entries.map((each): [string, Standing] => [
      each.path,
      { ...each, id: each.path, by: 'Ines', at: null, conflict: null },
    ]),
  );
  const snapshot: Snapshot = {
    standing,
    drafts: new Map(),
    saving: 'saved',
    trouble: null,
    waiting: 0,
    lastReading: 1,
    fromElsewhere: [],
  };
  const entered = sheetFromEntries(entries);
  return { snapshot, entered, appraisal: appraise(entered.sheet, DEFAULT_RULES, null) };
}

describe('stations on the screen', () => {
  it('are five planned ones along a bar nobody has measured', () => {
    const { snapshot, entered } = screen(entry('bar.overallLength', '500'));
    const rows = stationRows('A', snapshot, entered);
    expect(rows.map(({ at }) => at)).toEqual(plannedPositions(500));
    expect(rows.every(({ planned, index }) => planned && index === null)).toBe(true);
  });

  it('keep the planned ones that are still open while the first are measured', () => {
    const [first, second] = plannedPositions(null);
    const { snapshot, entered } = screen(
      entry('bar.edges.A.stations.0.at', `${first}`),
      entry('bar.edges.A.stations.0.near', '8'),
      entry('bar.edges.A.stations.1.at', `${second}`),
    );
    const rows = stationRows('A', snapshot, entered);
    expect(rows).toHaveLength(5);
    expect(rows.map(({ planned }) => planned)).toEqual([false, false, true, true, true]);
  });

  it('offer no planned one beside one that is there', () => {
    const { snapshot, entered } = screen(entry('bar.edges.A.stations.9.at', `${plannedPositions(null)[2]! + 10}`));
    expect(stationRows('A', snapshot, entered).map(({ key }) => key)).toEqual(['0', '1', '9', '3', '4']);
  });

  it('are numbered along the edge whatever their keys, and know their place in the sheet', () => {
    const { snapshot, entered, appraisal } = screen(
      entry('bar.edges.B.stations.0.at', '300'),
      entry('bar.edges.B.stations.0.near', '7'),
      entry('bar.edges.B.stations.5.at', '80'),
      entry('bar.edges.B.stations.5.far', '8'),
    );
    const rows = stationRows('B', snapshot, entered).filter(({ planned }) => !planned);
    expect(rows.map(({ key, index }) => [key, index])).toEqual([
      ['5', 0],
      ['0', 1],
    ]);
    expect(drawnStation(rows[0]!, appraisal.bar.edges.B)).toMatchObject({ near: null, far: 8, target: null });
    expect(sectionAt(rows[1], 'B', appraisal, { kerf: null, tipHeight: null })).toMatchObject({
      near: 7,
      far: null,
      lean: null,
    });
    expect(sectionAt(undefined, 'B', appraisal, { kerf: null, tipHeight: null }).near).toBeNull();
    expect(nextKey(rows)).toBe('6');
  });
});

describe('the entry path', () => {
  const caret = { row: 1, column: 1, accepted: true, atStart: true, atEnd: true, rows: 5 };
  it.each([
    ['Enter', {}, { row: 1, column: 2 }],
    ['Enter', { column: 3 }, { row: 2, column: 1 }],
    ['Enter', { row: 4, column: 3 }, { row: 4, column: 3 }],
    ['Enter', { accepted: false }, null],
    ['ArrowUp', { row: 0 }, { row: 0, column: 1 }],
    ['ArrowDown', { row: 4 }, { row: 4, column: 1 }],
    ['ArrowLeft', {}, { row: 1, column: 0 }],
    ['ArrowLeft', { atStart: false }, null],
    ['ArrowRight', { atEnd: false }, null],
    ['ArrowRight', { column: 3 }, { row: 1, column: 3 }],
    ['[', {}, 'edge-A'],
    [']', {}, 'edge-B'],
    ['7', {}, null],
  ] as const)('%s at %j leads to %j', (key, over, to) => {
    expect(moveFor(key, { ...caret, ...over })).toEqual(to);
  });
});

describe('the way to a measurement', () => {
  const stationKeys = { A: ['4', '0'], B: [] };
  it.each([
    ['bar.edges.A.stations.0.far', 'bar', 'bar.edges.A.stations.4.far'],
    ['bar.edges.A.stations.1.mouth', 'bar', 'bar.edges.A.stations.0.mouth'],
    ['bar.edges.B.stations.3.near', 'bar', 'bar.edges.B.stations.0.near'],
    ['bar.checks.bow', 'bar', 'bar.checks.bow'],
    ['bar.edges.A.stations', 'bar', 'bar.edges.A.stations.4.near'],
    ['bar.edges.B.stations', 'bar', 'bar.edges.B.stations.0.near'],
    ['bar.stamp', 'identify', 'bar.stamp'],
    ['chain.driveLinks', 'identify', 'chain.driveLinks.0'],
    ['chain.chassis', 'identify', 'chain.chassis'],
    ['chain.pushPull', 'chain', 'chain.pushPull.joints'],
    ['chain.cuttersLeft', 'chain', 'chain.cuttersLeft.0'],
    ['driveSprocket.wear', 'sprocket', 'driveSprocket.wear'],
    ['bar.nosePitch', 'identify', 'bar.nosePitch'],
    ['bar.edges.A.stations.1.deep', 'bar', 'bar.edges.A.stations.0.deep'],
    ['bar.edges.A.stations.0.after.near', 'rework', 'bar.edges.A.stations.4.after.near'],
    ['bar.after', 'rework', 'bar.edges.A.stations.4.after.near'],
    ['bar.groove', 'identify', 'bar.groove'],
    ['loop.tape', 'identify', 'loop.tape'],
  ] as const satisfies readonly (readonly [Askable, string, string])[])('%s goes to %s, %s', (measure, step, path) => {
    expect(destinationOf(measure, stationKeys)).toEqual({ step, path });
    expect(isReadingPath(path)).toBe(true);
    expect(STEPS).toContain(step);
  });
});

describe('the plates', () => {
  it('show what is settled, an open 3/8, and a contradiction', () => {
    const open = screen(entry('chain.stamp', '3/8'), entry('driveSprocket.pitch', '325'));
    expect(platesOf(open.appraisal, open.entered.sheet).map(({ pitch }) => pitch)).toEqual([
      '.325',
      '3/8?',
      null,
      null,
    ]);
    expect(jointsOf(open.appraisal).map((rules) => rules.map(({ name, state }) => `${name} ${state}`))).toEqual([
      ['pitch clash'],
      ['gauge unknown', 'links unknown', 'pitch unknown'],
      ['pitch unknown'],
    ]);
    expect(setJointsOf(open.appraisal).map(({ name }) => name)).toEqual(['mount', 'oil', 'class', 'pair']);
    const torn = screen(entry('chain.stamp', '.325 .404'));
    expect(platesOf(torn.appraisal, torn.entered.sheet)[1]!.pitch).toBe('≠');
  });

  it('ask no pitch of a hard nose', () => {
    const { appraisal, entered } = screen(entry('bar.nose', 'hard'));
    expect(platesOf(appraisal, entered.sheet)[3]).toMatchObject({ shows: [], note: 'hard nose, no sprocket' });
    expect(jointsOf(appraisal)[2]![0]).toMatchObject({ name: 'pitch', state: 'match' });
  });
});

describe('the tapping counter', () => {
  const run = (...actions: TapAction[]) => actions.reduce(tapped, NOTHING_COUNTED);

  it('counts, takes back, and marks the link it stands on', () => {
    expect(run('tap', 'tap', 'mark', 'tap')).toEqual({ count: 3, marks: [2] });
    expect(run('tap', 'tap', 'mark', 'undo')).toEqual({ count: 1, marks: [] });
    expect(run('undo', 'mark')).toEqual(NOTHING_COUNTED);
    expect(run('tap', 'mark', 'mark', 'again')).toEqual(NOTHING_COUNTED);
  });

  it('compares a count with those before it', () => {
    expect(compared(72, [])).toEqual({ code: 'first' });
    expect(compared(72, [71, 72])).toEqual({ code: 'equal', count: 72 });
    expect(compared(73, [72])).toEqual({ code: 'differs', before: 72, count: 73 });
    expect([isOdd(57), isOdd(56)]).toEqual([true, false]);
  });
});

describe('slots and tabs', () => {
  it('one touch gives both bounds, the far one where there is a neighbour', () => {
    expect(goNoGoText(1, 'slot')).toBe('enters 0.050 in, refuses 0.043 in');
    expect(goNoGoText(1, 'tab')).toBe('enters 0.050 in, refuses 0.058 in');
    expect(goNoGoText(0, 'slot')).toBe('enters 0.043 in');
    expect(goNoGoText(3, 'tab')).toBe('enters 0.063 in');
  });

  it.each([
    ['chain.driveLinkThickness', 'slot', 'chain'],
    ['bar.groove', 'tab', 'bar'],
  ] as const)('%s picked as .050 settles the gauge', (path, tool, part) => {
    const { appraisal } = screen(entry(path, goNoGoText(1, tool)));
    expect(appraisal.identity[part].gauge).toMatchObject({ status: 'settled', value: '.050' });
  });
});

describe('photographs', () => {
  it('are drawn within the bound, and never larger than they are', () => {
    expect(fitted(4000, 3000)).toEqual({ width: 2000, height: 1500 });
    expect(fitted(300, 4000)).toEqual({ width: 150, height: 2000 });
    expect(fitted(800, 600)).toEqual({ width: 800, height: 600 });
  });
});

describe('a length as a field shows it', () => {
  const shown = (text: string, typedIn: 'mm' | 'in', shownIn: 'mm' | 'in') => {
    const { snapshot, entered } = screen({ path: 'bar.thickness', text, unit: typedIn });
    return fieldState('bar.thickness', heldAt('bar.thickness', snapshot), entered, shownIn).text;
  };

  it('is like its neighbours, whether its unit was typed or not', () => {
    expect([shown('4.6', 'mm', 'mm'), shown('4.6 mm', 'mm', 'mm'), shown('4.6mm', 'in', 'mm')]).toEqual([
      '4.6',
      '4.6',
      '4.6',
    ]);
    expect([shown('4.6', 'mm', 'in'), shown('0.18 in', 'mm', 'mm')]).toEqual(['4.6 mm', '0.18 in']);
  });

  it('of several readings, or of no number, stands as it was typed', () => {
    // The unit of the last says nothing of the first.
    expect(shown('0.18; 4.6 mm', 'in', 'mm')).toBe('0.18; 4.6 mm');
    expect(shown('enters 4.6 mm', 'mm', 'mm')).toBe('enters 4.6 mm');
  });
});
