import { useState } from 'react';
import { INSTRUMENT_IDS } from '../../../core/quantity';
import { figuresOf, flawsOf, studyResult } from '../../../core/hand';
import type { StudyView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import {
  biasSentence,
  flawSentence,
  instrumentSentence,
  instrumentTitle,
  scatterSentence,
  shopDay,
  UNNAMED,
} from '../../../wording';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { useChangedHere } from '../../frame/server-data';
import { StudyForm } from './StudyForm';
import * as texts from '#language/screens/shop-instruments';

interface InstrumentsProps {
  readonly studies: readonly StudyView[];
  /** Today in the shop's zone, as an ISO date. */
  readonly today: string;
}

/** What each tool can do and where that comes from, the studies of the shop's hands, and a new study. */
export function Instruments({ studies, today }: InstrumentsProps) {
  return (
    <>
      <p className="mb-3 max-w-prose text-ink-soft">{texts.everyReadingCarriesTheDoubt}</p>
      <StudyForm today={today} />
      <ul className="mt-4 border-t-2 border-ink">
        {INSTRUMENT_IDS.map((id) => (
          <li key={id} className="border-b border-line py-2">
            <div className="grid grid-cols-[10rem_minmax(0,1fr)] gap-x-4 max-md:grid-cols-1">
              <h3 className="font-bold">{instrumentTitle(id)}</h3>
              <p className="text-ink-soft">{instrumentSentence(id)}</p>
            </div>
            <Studies studies={studies.filter(({ instrument }) => instrument === id)} today={today} />
          </li>
        ))}
      </ul>
    </>
  );
}

/** The studies with one tool, the newest first; of each hand the first that has enough takes and stands counts. */
function Studies({ studies, today }: InstrumentsProps) {
  if (studies.length === 0) return null;
  return (
    <ul className="mt-1 ml-40 grid gap-2 border-l-2 border-line pl-4 max-md:ml-0">
      {studies.map((study) => (
        <StudyLine key={study.id} study={study} today={today} />
      ))}
    </ul>
  );
}

function StudyLine({ study, today }: { study: StudyView; today: string }) {
  const { shop, who } = useFrame();
  const changedHere = useChangedHere();
  const [trouble, setTrouble] = useState<string | null>(null);
  const found = studyResult(study);
  const { setAside } = study;
  const putAside = async () => {
    try {
      await api.post('/api/studies/aside', { by: who || UNNAMED, id: study.id });
      await changedHere();
    } catch (error) {
      setTrouble(failure(error, texts.itWasNotSetAside));
    }
  };
  return (
    <li className={setAside ? 'text-ink-soft' : ''}>
      <p>
        <span className="font-semibold">{study.by}</span>, {shopDay(study.at, shop)}
        {study.note && <span className="text-ink-soft">, {study.note}</span>}
        {setAside ? (
          <span> {texts.setAsideBy(setAside.by)}</span>
        ) : (
          <button type="button" className="ml-2 min-h-6 text-sm underline" onClick={() => void putAside()}>
            {texts.setAside}
          </button>
        )}
      </p>
      <p className="text-sm">
        {scatterSentence(found)} {biasSentence(found, !setAside && figuresOf(study) !== null)}
      </p>
      {!setAside &&
        flawsOf(study, today).map((flaw) => (
          <p key={flaw.code} className="text-sm font-semibold text-brass">
            {flawSentence(flaw)}
          </p>
        ))}
      {trouble && <Notice kind="error">{trouble}</Notice>}
    </li>
  );
}
