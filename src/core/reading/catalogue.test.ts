import { describe, expect, it } from 'vitest';
import { count, group, length, limit, listOf, oneOf, orderedList, placeAt, placeOf, readingsOf, seen } from './index';

const depth = { kind: 'depth', instrument: 'depth-rod' } as const;
const PART = group(
  {
    edges: group({
      A: group({ stations: orderedList(group({ at: length(depth), near: length(depth) }, {}, ['at']), 3, 'at') }),
      B: group({ stations: orderedList(group({ at: length(depth), near: length(depth) }, {}, ['at']), 3, 'at') }),
    }),
    recounts: listOf(count({ from: 1, to: 9 }), 2),
    twist: seen({ none: 'ok', slight: ['watch', 'straighten'], plain: 'fail' }, { check: 'bar.twist', condemns: true }),
    bow: length(depth, {
      minutes: 3,
      judged: {
        check: 'bar.bow',
        most: limit(0.5, 'mm', 'practice'),
        watch: { straighten: limit(0.25, 'mm', 'shop') },
        condemns: true,
      },
    }),
    room: length(depth, { judged: { check: 'bar.room', least: limit(1, 'mm', 'practice') } }),
    kind: oneOf(['spur', 'rim'], { view: 'marks' }),
  },
  { step: 'bar', view: 'look', minutes: 0.5 },
);
const ROOT = placeOf(PART);
const told = (path: string) => {
  const place = placeAt(ROOT, path);
  if (place?.is !== 'reading') throw new Error(path);
  return place.reading.told;
};

describe('places of a declaration', () => {
  it('are found by their path, members by number and edges by letter, and nothing else is', () => {
    for (const path of ['edges.A.stations.2.near', 'edges.B.stations.0.at', 'recounts.1', 'twist'])
      expect(placeAt(ROOT, path)?.is, path).toBe('reading');
    expect(placeAt(ROOT, 'edges.A.stations')?.is).toBe('list');
    for (const path of ['edges.C.stations.0.near', 'edges.A.stations.x.near', 'recounts.1.2', 'bend', '', 'toString'])
      expect(placeAt(ROOT, path), path).toBeNull();
  });

  it('name a reading once, whichever edge or member it belongs to', () => {
    const ids = readingsOf(ROOT).map(({ id }) => id);
    expect(ids).toEqual([...new Set(ids)]);
    expect(ids).toContain('edges.stations.near');
  });

  it('are told what their group is told, where they do not say otherwise', () => {
    expect(told('twist')).toMatchObject({ step: 'bar', view: 'look', minutes: 0.5 });
    expect(told('bow').minutes).toBe(3);
    expect(told('kind').view).toBe('marks');
  });
});

describe('what a reading is judged by', () => {
  it('is what its words say of the part', () => {
    expect(told('twist').seen).toMatchObject({
      part: 'bar',
      condemns: true,
      words: {
        none: { outcome: 'ok', work: null },
        slight: { outcome: 'watch', work: 'straighten' },
        plain: { outcome: 'fail', work: null },
      },
    });
  });

  it('is its limit, with the side of it that is good, and the id of its warning band', () => {
    expect(told('bow').judged).toEqual({
      check: 'bar.bow',
      part: 'bar',
      role: 'max',
      limit: { value: 0.5, unit: 'mm', provenance: 'practice' },
      watch: { id: 'bar.bow.straighten', limit: { value: 0.25, unit: 'mm', provenance: 'shop' } },
      condemns: true,
      always: false,
      together: false,
      work: null,
    });
    expect(told('room').judged).toMatchObject({ role: 'min', watch: null, condemns: false });
    expect(told('kind').judged).toBeUndefined();
  });
});
