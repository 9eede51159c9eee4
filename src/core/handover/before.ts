import type { BenchSheet } from '../sheet';

type Bar = NonNullable<BenchSheet['bar']>;
type Edges = NonNullable<Bar['edges']>;

const edgeAsItCame = <E extends Edges['A']>(edge: E): E =>
  edge && ({ ...edge, stations: edge.stations.map(({ after: _after, ...station }) => station) } as E);

function barAsItCame({ reworkDone: _done, ...bar }: Bar): Bar {
  if (!bar.edges) return bar;
  const { A, B } = bar.edges;
  return {
    ...bar,
    edges: { ...bar.edges, ...(A ? { A: edgeAsItCame(A) } : {}), ...(B ? { B: edgeAsItCame(B) } : {}) },
  };
}

/** The sheet as it was before anything was done: without work, second measurements, refit and proof. */
export function asItCame({
  bar,
  chain,
  driveSprocket,
  refit: _refit,
  proof: _proof,
  ...sheet
}: BenchSheet): BenchSheet {
  const { after: _after, reworkDone: _chainDone, ...chainBefore } = chain ?? {};
  const { reworkDone: _sprocketDone, replaceDone: _replaced, ...sprocketBefore } = driveSprocket ?? {};
  return {
    ...sheet,
    ...(bar ? { bar: barAsItCame(bar) } : {}),
    ...(chain ? { chain: chainBefore as typeof chain } : {}),
    ...(driveSprocket ? { driveSprocket: sprocketBefore } : {}),
  };
}
