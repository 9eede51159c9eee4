import { useState } from 'react';
import { ShieldAlert, ShieldCheck } from 'lucide-react';
import type { RecordsView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { misfitSentence, recordsStand, shopMoment } from '../../../wording';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { useChangedHere } from '../../frame/server-data';
import { FindCode } from './FindCode';
import * as texts from '#language/screens/shop-records';

interface RecordsProps {
  readonly records: RecordsView;
  /** Whether the store lies on this machine. */
  readonly isHere: boolean;
}

/** Whether all records are as they were written, and which record a code on a paper names. */
export function Records({ records, isHere }: RecordsProps) {
  return (
    <div className="grid grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] gap-x-10 gap-y-6 max-md:grid-cols-1">
      <Stand records={records} isHere={isHere} />
      <Codes records={records} />
    </div>
  );
}

function Stand({ records: { checked }, isHere }: RecordsProps) {
  const { shop } = useFrame();
  const changedHere = useChangedHere();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const look = async () => {
    setBusy(true);
    setTrouble(null);
    try {
      await api.post<RecordsView>('/api/store/verify', {});
      await changedHere();
    } catch (error) {
      setTrouble(failure(error, texts.notGoneThrough));
    }
    setBusy(false);
  };
  return (
    <section className="max-w-prose">
      <h2 className="mb-1 text-lg font-bold">{texts.areAllAsTheyWere}</h2>
      <div aria-live="polite">{checked === null ? <p>{texts.notLookedYet}</p> : <Found checked={checked} />}</div>
      {checked && <p className="mt-1 text-sm text-ink-soft">{texts.lookedThrough(shopMoment(checked.at, shop))}</p>}
      <div className="my-3">
        {isHere ? (
          <button type="button" className="quiet" disabled={busy} onClick={() => void look()}>
            {busy ? texts.goingThrough : texts.goThroughNow}
          </button>
        ) : (
          <p>{texts.keptElsewhere}</p>
        )}
      </div>
      {trouble && <Notice kind="error">{trouble}</Notice>}
      <p className="text-sm text-ink-soft">{texts.whatItIs}</p>
    </section>
  );
}

function Found({ checked: { count, misfits } }: { readonly checked: NonNullable<RecordsView['checked']> }) {
  const fits = misfits.length === 0;
  const Shield = fits ? ShieldCheck : ShieldAlert;
  return (
    <>
      <p className={`flex items-center gap-2 text-xl font-bold ${fits ? 'text-leaf' : 'text-oxide'}`}>
        <Shield size={24} aria-hidden="true" className="flex-none" />
        {recordsStand(count, misfits.length)}
      </p>
      {!fits && (
        <>
          <ul className="my-2 list-disc pl-6">
            {misfits.map((misfit) => (
              <li key={misfitSentence(misfit)}>{misfitSentence(misfit)}</li>
            ))}
          </ul>
          <p>{texts.doWhat}</p>
        </>
      )}
    </>
  );
}

function Codes({ records: { code, count, began } }: Pick<RecordsProps, 'records'>) {
  const { shop } = useFrame();
  return (
    <section>
      <h2 className="mb-1 text-lg font-bold">{texts.codeNow}</h2>
      <p className="figures text-xl font-bold">{code}</p>
      {began && <p className="mb-4 text-sm text-ink-soft">{texts.countSince(count, shopMoment(began, shop))}</p>}
      <FindCode />
    </section>
  );
}
