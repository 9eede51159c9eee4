import type { FiguresView } from '../../../contract';
import { CUTS_NEEDED } from '../../../core/bar';
import { operationWord, partName, sentence, wearName } from '../../../wording';
import { Line, Lines } from './Lines';
import * as texts from '#language/screens/shop-figures';

/** How long parts last that a job put on. */
export const Lives = ({ view: { lives } }: { view: FiguresView }) => (
  <Lines id="figures-lives" title={texts.howLongPartsLast} note={texts.livesOfFitted}>
    {lives.map(({ part, ended, going, hours }) => (
      <Line key={part} about={partName[part]}>
        {hours
          ? texts.halfLast(...([hours.middle, hours.from, hours.until].map(Math.round) as [number, number, number]))
          : texts.noEndKnown}{' '}
        <span className="text-sm text-ink-soft">{texts.endedAndGoing(ended, going)}</span>
      </Line>
    ))}
  </Lines>
);

/** Minutes as short as they are known. */
const minutes = (value: number): string => (value < 10 ? value.toFixed(1) : Math.round(value).toString());

/** How long each operation takes. */
export const Paces = ({ view: { paces } }: { view: FiguresView }) => (
  <Lines id="figures-paces" title={texts.howLongWorkTakes} none={texts.tooFewTimes} note={texts.howMinutesAreTold}>
    {paces.map(({ operation, count, middle, from, until }) => (
      <Line key={operation} about={sentence(operationWord[operation])}>
        {texts.minutesFor(minutes(middle), minutes(from), minutes(until))}{' '}
        <span className="text-sm text-ink-soft">{texts.timesDone(count)}</span>
      </Line>
    ))}
  </Lines>
);

/** How the forecasts did, and the factor that the test cuts tell of foreseen drift. */
export const Forecasts = ({ view: { forecasts, drift } }: { view: FiguresView }) => (
  <Lines id="figures-forecasts" title={texts.howForecastsDid} note={texts.eightInTenWouldBe}>
    {forecasts.length === 0 && <Line key="none">{texts.noneForeseen}</Line>}
    {forecasts.map(({ wear, foreseen, held }) => (
      <Line key={wear} about={wearName[wear]}>
        {texts.heldOf(held, foreseen, Math.round((100 * held) / foreseen))}
      </Line>
    ))}
    <Line key="drift" about={texts.driftFactor}>
      {drift.interval
        ? texts.driftByCuts(
            drift.factor.toFixed(2),
            drift.interval.low.toFixed(2),
            drift.interval.high.toFixed(2),
            drift.cuts,
          )
        : texts.driftNotYet(drift.cuts, CUTS_NEEDED)}
    </Line>
  </Lines>
);
