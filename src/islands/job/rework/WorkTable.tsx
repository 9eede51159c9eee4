import { useRef } from 'react';
import { Field } from '../parts/Field';
import { EntryField } from '../parts/EntryField';
import { useFrame } from '../../frame/frame-context';
import { checkSentence, exceptionSentence, railSide } from '../../../wording';
import { useJob } from '../store/JobContext';
import type { Edge, StationRow } from '../bar/stations';
import * as texts from '#language/screens/job-rework';

/** What is measured again at a station, in order. */
const FIELDS = ['near', 'far', 'mouth'] as const;

/** One edge of the work card: what to take off which rail at each station, and the second measurement beside it. */
export function WorkTable({ edge, rows }: { edge: Edge; rows: readonly StationRow[] }) {
  const { appraisal } = useJob();
  const { position, show, unit } = useFrame();
  const table = useRef<HTMLTableElement>(null);
  // As in the first measurement, Enter walks on: near, far, width, next station.
  const goOn = (from: number) => table.current?.querySelectorAll('input')[from + 1]?.focus();
  const { dressing, stations } = appraisal.bar.edges[edge];
  const byHand = appraisal.bar.byHand[edge];
  const measured = rows.filter(({ index }) => index !== null);
  if (byHand && measured.length === 0) return <ByHand edge={edge} said={checkSentence(byHand, unit)} />;
  if ((!dressing?.advised && !byHand) || measured.length === 0) return null;
  const off = (rail: 'near' | 'far', index: number): string => {
    if (!dressing?.advised)
      return byHand?.note?.code === 'by-hand' && byHand.note.high === rail ? texts.untilItShines : '–';
    const amount = (rail === 'near' ? dressing.plan.removeNear : dressing.plan.removeFar)[index] ?? null;
    return amount === null ? texts.leftOut : amount < 0.005 ? '–' : show(amount);
  };
  return (
    <section aria-label={texts.workOnEdge(edge)} className="mt-2 border-t border-line pt-2">
      <h3 className="font-bold">{texts.edgeTakeOffThenMeasure(edge)}</h3>
      <div className="relative overflow-x-auto">
        <table ref={table} className="w-full border-collapse max-md:min-w-[34rem]">
          <thead>
            <tr className="text-left text-sm text-ink-soft">
              <th scope="col" className="w-20">
                {texts.at}
              </th>
              <th scope="col">{texts.nearOff}</th>
              <th scope="col">{texts.farOff}</th>
              {[railSide.near, railSide.far, texts.grooveWidth].map((name) => (
                <th key={name} scope="col">
                  {texts.readingAfter(name)} <span className="figures">{unit}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {measured.map((row, i) => (
              <tr key={row.key} className="border-t border-line">
                <th scope="row" className="text-left figures font-semibold">
                  {position(row.at)}
                </th>
                <td className="pr-3 figures text-lg font-bold whitespace-nowrap text-brass">
                  {off('near', row.index!)}
                </td>
                <td className="pr-3 figures text-lg font-bold whitespace-nowrap text-brass">
                  {off('far', row.index!)}
                </td>
                {FIELDS.map((field, k) => (
                  <td key={field} className="py-0.5 pr-2">
                    <EntryField
                      path={`${row.path}.after.${field}`}
                      label={texts.edgeStationAfter(
                        edge,
                        i + 1,
                        field === 'mouth' ? texts.grooveWidth : railSide[field],
                      )}
                      bare
                      onEnter={(accepted) => accepted && goOn(i * FIELDS.length + k)}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {byHand && <p className="mt-1 text-sm font-semibold">{checkSentence(byHand, unit)}</p>}
      {(dressing?.advised ? dressing.exceptions : []).map(({ station, saves }) => {
        const row = measured.find(({ index }) => index === station);
        return (
          <div key={station} className="mt-1 flex flex-wrap items-center gap-3 text-sm">
            <p className="flex-1">{exceptionSentence(stations[station]!.at, saves, unit)}</p>
            {row && <Field path={`${row.path}.leaveLow`} />}
          </div>
        );
      })}
      {stations
        .filter(({ leaveLow }) => leaveLow)
        .map((station) => (
          <p key={station.index} className="mt-1 text-sm font-semibold">
            {texts.theDipAtIsLeft(position(station.at))}
          </p>
        ))}
    </section>
  );
}

/** An edge that level tests alone send to the file: nothing tells how much, so it is dressed until it shines. */
function ByHand({ edge, said }: { edge: Edge; said: string }) {
  return (
    <section aria-label={texts.workOnEdge(edge)} className="mt-2 border-t border-line pt-2">
      <h3 className="font-bold">{texts.edgeDressUntilBothRails(edge)}</h3>
      <p className="text-sm">{said}</p>
    </section>
  );
}
