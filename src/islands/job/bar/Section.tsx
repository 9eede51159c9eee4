import { useRef, useState } from 'react';
import { estimate, type LengthReading } from '../../../core/quantity';
import { CrossSection } from '../../../ui/drawings/CrossSection';
import { useFrame } from '../../frame/frame-context';
import { ExportDrawing } from './ExportDrawing';
import { later } from '../../frame/later';
import { useJob } from '../store/JobContext';
import { useTarget } from '../target';
import { FINER, sectionAt, type Edge, type StationRow } from './stations';
import * as texts from '#language/screens/job-bar';

/** Fetched when they are asked for: most stations do without. */
const { View: FinerFields } = later(() => import('./FinerFields').then((there) => there.FinerFields));

const value = (reading: LengthReading | undefined): number | null =>
  reading ? (estimate(reading)?.value ?? null) : null;

/** The cross-section at the chosen station, with its figures and its finer readings. */
export function Section({ edge, row, number }: { edge: Edge; row: StationRow; number: number }) {
  const { appraisal, entered } = useJob();
  const { show, position } = useFrame();
  const [factor, setFactor] = useState(1);
  const drawing = useRef<HTMLDivElement>(null);
  const chain = entered.sheet.chain;
  const figures = sectionAt(row, edge, appraisal, { kerf: value(chain?.kerf), tipHeight: value(chain?.tipHeight) });
  const facts = [
    { name: texts.step, text: figures.step === null ? null : show(Math.abs(figures.step)) },
    { name: texts.rock, text: figures.rock === null ? null : `${figures.rock.toFixed(1)}°` },
    {
      name: texts.setLean,
      text: figures.rawLean === null || figures.lean === null ? null : `${figures.lean.toFixed(1)}°`,
    },
    { name: texts.play, text: figures.play === null ? null : show(figures.play) },
  ];
  return (
    <section aria-label={texts.crossSectionEdgeStation(edge, number)}>
      <h3 className="font-bold">
        {texts.edgeStation(edge, number)}{' '}
        <span className="figures font-normal text-ink-soft">{texts.atPosition(position(row.at))}</span>
      </h3>
      <div ref={drawing} className="max-md:mx-auto max-md:max-w-80">
        <CrossSection figures={figures} exaggeration={factor} show={show} />
      </div>
      <dl className="grid grid-cols-[auto_auto_auto_auto] justify-between gap-x-2 text-sm">
        {facts.map(({ name, text }) => (
          <div key={name}>
            <dt className="text-ink-soft">{name}</dt>
            <dd className="figures font-semibold">{text ?? '–'}</dd>
          </div>
        ))}
      </dl>
      <Believed edge={edge} row={row} />
      <label className="mt-1 flex items-center gap-2 text-sm">
        <span className="shrink-0">{texts.leanDrawn(factor)}</span>
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
      <FinerReadings row={row} />
      <ExportDrawing of={drawing} file={`section-${edge}-${number}`} label={texts.section} />
    </section>
  );
}

/** What all readings together say of the station, beside what was read there. */
function Believed({ edge, row }: { edge: Edge; row: StationRow }) {
  const { appraisal } = useJob();
  const { show, figure } = useFrame();
  const place = row.index === null ? null : appraisal.bar.edges[edge].belief?.stations[row.index];
  if (!place) return null;
  const part = ({ value, u }: { value: number; u: number }) => `${figure(value)} ± ${show(2 * u)}`;
  return (
    <p className="mt-1 text-sm">
      <span className="text-ink-soft">{texts.allReadingsSay} </span>
      <span className="figures font-semibold whitespace-nowrap">{part(place.near)}</span>
      <span className="text-ink-soft">{texts.andFar} </span>
      <span className="figures font-semibold whitespace-nowrap">{part(place.far)}</span>
    </p>
  );
}

/** What is read now and then at a station. The fields are made when they are asked for. */
function FinerReadings({ row }: { row: StationRow }) {
  const [open, setOpen] = useState(false);
  useTarget((path) => {
    if (FINER.some((field) => path === `${row.path}.${field}`)) setOpen(true);
  });
  return (
    <details className="border-t border-line" open={open} onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="flex min-h-11 items-center text-sm font-semibold text-pine">{texts.finerReadings}</summary>
      {open && <FinerFields row={row} />}
    </details>
  );
}
