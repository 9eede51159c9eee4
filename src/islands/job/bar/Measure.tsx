import { useState } from 'react';
import { estimate, type LengthReading } from '../../../core/quantity';
import { BarPlan } from '../../../ui/drawings/BarPlan';
import { CrossSection } from '../../../ui/drawings/CrossSection';
import { RailProfile } from '../../../ui/drawings/RailProfile';
import { dressingSentence } from '../../../wording';
import { useFrame } from '../../frame/Frame';
import { useKeys } from '../../frame/keys';
import { ChoiceField } from '../parts/ChoiceField';
import { EntryField } from '../parts/EntryField';
import { OPTIONS } from '../options';
import { useJob } from '../store/JobContext';
import { drawnStation, nextKey, sectionAt, stationRows, type Edge, type StationRow } from './stations';
import { StationTable } from './StationTable';

const EDGES = ['A', 'B'] as const;

interface Selected {
  readonly edge: Edge;
  readonly key: string;
}

const value = (reading: LengthReading | undefined): number | null =>
  reading ? (estimate(reading)?.value ?? null) : null;

/** Rows of both edges; a station that was just added shows before anything is typed into it. */
function useRows(added: readonly Selected[]): Readonly<Record<Edge, readonly StationRow[]>> {
  const { snapshot, entered } = useJob();
  const rows = (edge: Edge): readonly StationRow[] => {
    const there = stationRows(edge, snapshot, entered);
    const last = there.at(-1)?.at ?? 0;
    const fresh = added.filter((one) => one.edge === edge && !there.some(({ key }) => key === one.key));
    return [
      ...there,
      ...fresh.map(({ key }, i): StationRow => ({
        key,
        path: `bar.edges.${edge}.stations.${key}`,
        at: last + 40 * (i + 1),
        planned: true,
        index: null,
      })),
    ];
  };
  return { A: rows('A'), B: rows('B') };
}

/** Stations on both edges: typed in the entry path, drawn at every keystroke. */
export function Measure() {
  const { appraisal, entered } = useJob();
  const { show, unit } = useFrame();
  const [added, setAdded] = useState<readonly Selected[]>([]);
  const rows = useRows(added);
  const [chosen, setChosen] = useState<Selected>({ edge: 'A', key: rows.A[0]?.key ?? '0' });
  const { edge } = chosen;
  const row = rows[edge].find(({ key }) => key === chosen.key) ?? rows[edge][0];
  const selected = row ? { edge, key: row.key } : null;
  const select = (to: Edge, key: string) => setChosen({ edge: to, key });
  const toEdge = (to: Edge) => select(to, rows[to][0]?.key ?? '0');
  useKeys((key) => {
    if (key !== '[' && key !== ']') return false;
    toEdge(key === '[' ? 'A' : 'B');
    return true;
  });
  const { bar } = appraisal;
  const points = {
    A: rows.A.map((each) => drawnStation(each, bar.edges.A)),
    B: rows.B.map((each) => drawnStation(each, bar.edges.B)),
  };
  const positions = (each: Edge) =>
    rows[each].map(({ key, at }, i) => ({
      key,
      at,
      measured: points[each][i]!.near !== null || points[each][i]!.far !== null,
    }));
  const sheet = entered.sheet.bar;
  const showPosition = (mm: number) => show(mm, unit === 'mm' ? 0 : 1);
  return (
    <div className="grid gap-1">
      <BarPlan
        length={value(sheet?.overallLength)}
        height={value(sheet?.bodyHeight)}
        hardNose={sheet?.nose === 'hard'}
        stations={{ A: positions('A'), B: positions('B') }}
        selected={selected}
        onSelect={select}
        stamp={sheet?.stamp ?? ''}
        showPosition={showPosition}
      />
      <RailProfile
        edges={points}
        limit={bar.depthLimit}
        tang={bar.setting.tang?.value ?? null}
        room={1}
        selected={selected}
        onSelect={select}
        show={(mm) => show(mm, unit === 'mm' ? 1 : 2)}
        showPosition={showPosition}
      />
      <DressingLines stationAt={(each, station) => bar.edges[each].stations[station]?.at ?? 0} />
      <div className="mt-1 grid grid-cols-[minmax(0,1.35fr)_minmax(15rem,1fr)] gap-4">
        <div>
          <EdgeSwitch edge={edge} onEdge={toEdge} />
          <StationTable
            edge={edge}
            rows={rows[edge]}
            selected={row?.key ?? null}
            onSelect={(key) => select(edge, key)}
            onEdge={toEdge}
            onAdd={() => {
              const one = { edge, key: nextKey(rows[edge]) };
              setAdded([...added, one]);
              setChosen(one);
            }}
          />
        </div>
        {row && <Section edge={edge} row={row} number={rows[edge].indexOf(row) + 1} />}
      </div>
    </div>
  );
}

function EdgeSwitch({ edge, onEdge }: { edge: Edge; onEdge: (edge: Edge) => void }) {
  return (
    <div role="group" aria-label="Edge" className="mb-1 flex items-center gap-1">
      {EDGES.map((each) => (
        <button
          key={each}
          type="button"
          aria-pressed={edge === each}
          onClick={() => onEdge(each)}
          className="quiet aria-pressed:border-pine aria-pressed:bg-pine aria-pressed:text-pine-ink"
        >
          Edge {each}
        </button>
      ))}
      <span className="ml-2 text-sm text-ink-soft">
        A is down when the stamp reads upright. Near is the stamped side. <kbd className="figures">[</kbd>{' '}
        <kbd className="figures">]</kbd>
      </span>
    </div>
  );
}

/** What the dressing of each edge amounts to. */
function DressingLines({ stationAt }: { stationAt: (edge: Edge, station: number) => number }) {
  const { appraisal } = useJob();
  const { unit } = useFrame();
  const lines = EDGES.flatMap((edge) => {
    const { dressing } = appraisal.bar.edges[edge];
    return dressing ? [dressingSentence(edge, dressing, (station) => stationAt(edge, station), unit)] : [];
  });
  return lines.length === 0 ? null : <p className="text-sm font-semibold text-brass">{lines.join(' ')}</p>;
}

/** The cross-section at the chosen station, with its figures and its finer readings. */
function Section({ edge, row, number }: { edge: Edge; row: StationRow; number: number }) {
  const { appraisal, entered } = useJob();
  const { show } = useFrame();
  const [factor, setFactor] = useState(1);
  const chain = entered.sheet.chain;
  const figures = sectionAt(row, edge, appraisal, { kerf: value(chain?.kerf), tipHeight: value(chain?.tipHeight) });
  const facts = [
    { name: 'step', text: figures.step === null ? null : show(Math.abs(figures.step)) },
    { name: 'rock', text: figures.rock === null ? null : `${figures.rock.toFixed(1)}°` },
    {
      name: 'set lean',
      text: figures.rawLean === null || figures.lean === null ? null : `${figures.lean.toFixed(1)}°`,
    },
    { name: 'play', text: figures.play === null ? null : show(figures.play) },
  ];
  return (
    <section aria-label={`Cross-section, edge ${edge}, station ${number}`} className="border-l border-line pl-3">
      <h3 className="font-bold">
        Edge {edge}, station {number} <span className="figures font-normal text-ink-soft">at {show(row.at, 0)}</span>
      </h3>
      <CrossSection figures={figures} exaggeration={factor} show={show} />
      <dl className="grid grid-cols-4 gap-1 text-sm">
        {facts.map(({ name, text }) => (
          <div key={name}>
            <dt className="text-ink-soft">{name}</dt>
            <dd className="figures font-semibold">{text ?? '–'}</dd>
          </div>
        ))}
      </dl>
      <label className="mt-1 flex items-center gap-2 text-sm">
        <span className="shrink-0">Lean drawn ×{factor}</span>
        <input
          type="range"
          min={1}
          max={8}
          step={1}
          value={factor}
          onChange={({ target }) => setFactor(Number(target.value))}
          className="h-11 w-full accent-pine"
        />
      </label>
      <div className="grid grid-cols-2 gap-3">
        <EntryField path={`${row.path}.deep`} label="Width lower down" suffix="unit" />
        <EntryField path={`${row.path}.deepAt`} label="taken below the rails" suffix="unit" />
        <ChoiceField path={`${row.path}.burrNear`} legend="Burr, near" options={OPTIONS.burr} />
        <ChoiceField path={`${row.path}.burrFar`} legend="Burr, far" options={OPTIONS.burr} />
      </div>
    </section>
  );
}
