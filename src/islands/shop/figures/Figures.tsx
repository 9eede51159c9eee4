import { useEffect, useState } from 'react';
import { Printer } from 'lucide-react';
import type { FiguresView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { plainDay } from '../../../wording';
import { api, failure } from '../../frame/api';
import { Form, SendButton, TextField, useSentForm } from '../../frame/form';
import { useFrame } from '../../frame/frame-context';
import { Doing, Kept, Overridden } from './Doing';
import { Forecasts, Lives, Paces } from './Learned';
import { LearnedFigures } from './LearnedFigures';
import * as texts from '#language/screens/shop-figures';

/** What was asked for last, and what came of it. */
type Found = { readonly view: FiguresView } | { readonly trouble: string } | null;

/** Days, as ISO dates; the last year where nothing is said of the first. */
interface Asked {
  readonly from: string;
  readonly until: string;
}

const lookAt = ({ from, until }: Asked): Promise<Found> =>
  api.get<FiguresView>(`/api/figures?${new URLSearchParams({ from, until }).toString()}`).then(
    (view) => ({ view }),
    (error: unknown) => ({ trouble: failure(error, texts.figuresNotFetched) }),
  );

/** What the shop's own records teach, beside what is in force, and how the shop did in a time that is chosen. */
export function Figures({ today }: { today: string }) {
  const { shop } = useFrame();
  const [asked, setAsked] = useState<Asked>({ from: '', until: today });
  const [found, setFound] = useState<Found>(null);
  useEffect(() => {
    let isStale = false;
    void lookAt(asked).then((answer) => !isStale && setFound(answer));
    return () => {
      isStale = true;
    };
  }, [asked]);
  const form = useSentForm<Asked>({
    start: asked,
    // Asked for again, the same is looked at again.
    send: async (given) => setAsked({ ...given }),
    otherwise: texts.figuresNotFetched,
  });
  return (
    <>
      <div className="no-print mb-3 flex flex-wrap items-end gap-3">
        <Form form={form} className="flex flex-wrap items-end gap-3">
          <TextField form={form} name="from" label={texts.from} type="date" />
          <TextField form={form} name="until" label={texts.until} type="date" />
          <SendButton form={form} busy={texts.lookingAtThem}>
            {texts.show}
          </SendButton>
        </Form>
        <button type="button" className="flex quiet items-center gap-2" onClick={() => window.print()}>
          <Printer size={16} aria-hidden="true" />
          {texts.print}
        </button>
      </div>
      {found === null && <p className="text-ink-soft">{texts.lookingAtThem}</p>}
      {found && 'trouble' in found && <Notice kind="error">{found.trouble}</Notice>}
      {found && 'view' in found && (
        <>
          <p className="mb-3 font-semibold">
            {texts.jobsOf(found.view.jobs, plainDay(found.view.from, shop), plainDay(found.view.until, shop))}
          </p>
          {found.view.isCut && <p className="mb-3 text-sm text-ink-soft">{texts.onlyTheNewest}</p>}
          <LearnedFigures
            figures={found.view.figures}
            onTaken={() => setAsked({ from: found.view.from, until: found.view.until })}
          />
          <div className="mt-6 columns-2 gap-x-8 max-lg:columns-1">
            <Doing view={found.view} />
            <Kept view={found.view} />
            <Overridden view={found.view} />
            <Lives view={found.view} />
            <Paces view={found.view} />
            <Forecasts view={found.view} />
          </div>
        </>
      )}
    </>
  );
}
