import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Plus } from 'lucide-react';
import { RailProfile } from '../../../ui/drawings/RailProfile';
import { InItsTurn } from '../../../ui/parts/InItsTurn';
import { checkSentence, dressingSentence } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { isTyping, useKeys } from '../../frame/keys';
import { FIELD_KINDS } from '../../../core/quantity';
import { Field } from '../parts/Field';
import { useJob } from '../store/JobContext';
import { takeTool, useToolsInHand } from '../tools/tool-in-hand';
import { ToolPick } from '../tools/ToolPick';
import { ExportDrawing } from './ExportDrawing';
import { Section } from './Section';
import type { Edge } from './stations';
import { StationTable } from './StationTable';
import type { Stations } from './useStations';
import * as texts from '#language/screens/job-bar';

const EDGES = ['A', 'B'] as const;

/** Stations on both edges: typed in the entry path, drawn at every keystroke. */
export function Measure({ stations }: { stations: Stations }) {
  const { appraisal, view } = useJob();
  const { show, unit, position } = useFrame();
  const { rows, points, bands, edge, row, selected, select, toEdge, add } = stations;
  const { bar } = appraisal;
  const drawing = useRef<HTMLDivElement>(null);
  useCaretOnEmptyBar(
    Object.values(rows)
      .flat()
      .every(({ index }) => index === null),
  );
  useKeys(
    useMemo(
      () => [
        { shown: ['['], does: texts.edgeA, on: '[', act: () => toEdge('A') },
        { shown: [']'], does: texts.edgeB, on: ']', act: () => toEdge('B') },
        { shown: ['Enter'], does: texts.alongABar },
        { shown: ['↑', '↓', '←', '→'], does: texts.moveBetweenStationsAndReadings },
      ],
      [toEdge],
    ),
  );
  const showDepth = useCallback((depth: number) => show(depth, unit === 'mm' ? 1 : 2), [show, unit]);
  const onSelect = useCallback((key: string) => select(edge, key), [edge, select]);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_16.5rem] gap-4 max-md:grid-cols-1">
      <div className="min-w-0">
        <div ref={drawing}>
          <RailProfile
            edges={points}
            bands={bands}
            limit={bar.depthLimit}
            tang={bar.setting.tang?.value ?? null}
            room={view.limits['bar.floor-clearance'].value}
            selected={selected}
            onSelect={select}
            show={showDepth}
            showPosition={position}
          />
        </div>
        <DressingLines stationAt={(each, station) => bar.edges[each].stations[station]?.at ?? 0} />
        <EdgeSwitch edge={edge} onEdge={toEdge} onAdd={add} />
        <StationTable edge={edge} rows={rows[edge]} selected={row?.key ?? null} onSelect={onSelect} onEdge={toEdge} />
        <p className="mb-2 text-[13px] text-ink-soft">
          {texts.whichEdge} <kbd className="figures">F8</kbd> {texts.changesTheTool}
        </p>
        <Field path={`bar.edges.${edge}.stands`} />
      </div>
      <div className="min-w-0 border-l border-line pl-4 max-md:border-l-0 max-md:pl-0">
        <InItsTurn>
          {row && <Section edge={edge} row={row} number={rows[edge].indexOf(row) + 1} />}
          <ExportDrawing of={drawing} file="rail-profile" label={texts.profile} />
        </InItsTurn>
      </div>
    </div>
  );
}

/**
 * A bar that nothing was measured of yet is opened with the caret in its first field, unless somebody is typing
 * elsewhere, or walks along the tabs.
 */
function useCaretOnEmptyBar(isEmpty: boolean): void {
  const [wasEmpty] = useState(isEmpty);
  useEffect(() => {
    const at = document.activeElement;
    if (!wasEmpty || isTyping(at) || at?.getAttribute('role') === 'tab') return;
    document.querySelector<HTMLElement>('[data-cell="0:1"]')?.focus({ preventScroll: true });
  }, [wasEmpty]);
}

function EdgeSwitch({ edge, onEdge, onAdd }: { edge: Edge; onEdge: (edge: Edge) => void; onAdd: () => void }) {
  return (
    <div role="group" aria-label={texts.edge} className="my-1 flex items-center gap-1 max-md:flex-wrap">
      {EDGES.map((each) => (
        <button
          key={each}
          type="button"
          aria-pressed={edge === each}
          onClick={() => onEdge(each)}
          className="quiet whitespace-nowrap aria-pressed:border-pine aria-pressed:bg-pine aria-pressed:text-pine-ink"
        >
          {texts.edgeNamed(each)} <kbd className="figures font-normal opacity-80">{each === 'A' ? '[' : ']'}</kbd>
        </button>
      ))}
      <ToolsOfTable />
      <button
        type="button"
        className="ml-auto flex quiet shrink-0 items-center gap-1 whitespace-nowrap"
        onClick={onAdd}
      >
        <Plus size={16} aria-hidden="true" />
        {texts.station}
      </button>
    </div>
  );
}

/** The tools that depths and widths are read with: taken once, changed by one tap or F8. A reading keeps its own. */
function ToolsOfTable() {
  const tools = useToolsInHand();
  return (
    <div className="mx-1 grid grid-cols-[auto_auto] items-center gap-x-1.5 gap-y-0.5 text-[13px] leading-tight text-ink-soft">
      {TABLE_KINDS.map(({ kind, name }) => (
        <div key={kind} className="contents">
          <span>{texts.read(name)}</span>
          <ToolPick
            tools={FIELD_KINDS[kind].tools}
            tool={tools[kind] ?? FIELD_KINDS[kind].tools[0]}
            label={texts.measuredWith(name)}
            onTake={(tool) => takeTool(kind, tool)}
          />
        </div>
      ))}
    </div>
  );
}

const TABLE_KINDS = [
  { kind: 'depth', name: texts.depths },
  { kind: 'grooveWidth', name: texts.widths },
] as const;

/**
 * What the dressing of each edge amounts to: work in the colour of work, the rest quietly. Of a finished bar only what
 * cannot be done.
 */
function DressingLines({ stationAt }: { stationAt: (edge: Edge, station: number) => number }) {
  const { appraisal } = useJob();
  const { unit } = useFrame();
  const isFinished = appraisal.verdicts.bar.action === 'replace';
  return (
    <p className="text-sm">
      {EDGES.map((edge) => {
        const { dressing } = appraisal.bar.edges[edge];
        const byHand = appraisal.bar.byHand[edge];
        if (byHand && !isFinished)
          return (
            <span key={edge} className="font-semibold text-brass">
              {checkSentence(byHand, unit)}{' '}
            </span>
          );
        if (!dressing || (isFinished && !dressing.stoppedBy)) return null;
        return (
          <span key={edge} className={dressing.advised ? 'font-semibold text-brass' : 'text-ink-soft'}>
            {dressingSentence(edge, dressing, (station) => stationAt(edge, station), unit)}{' '}
          </span>
        );
      })}
    </p>
  );
}
