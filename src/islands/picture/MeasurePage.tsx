import { Camera } from 'lucide-react';
import { useRef } from 'react';
import type { PictureView } from '../../contract';
import { FEATURES } from '../../core/picture';
import { Choice } from '../../ui/parts/Choice';
import { Notice } from '../../ui/parts/Notice';
import { useHydrated } from '../frame/hydrated';
import { MarkedPicture } from './MarkedPicture';
import { TakeOver } from './TakeOver';
import { typedLine, usePicture } from './use-picture';
import * as texts from '#language/screens/picture';

const OPTIONS = FEATURES.map((value) => ({ value, label: texts.features[value] }));

/** What a photograph told: the numbers first, then what to look at. */
function Told({ view }: { readonly view: PictureView }) {
  return (
    <section aria-labelledby="told">
      <h2 id="told" className="text-xl font-extrabold">
        {texts.result}
      </h2>
      {view.refused && (
        <Notice kind="error">
          <p>{view.refused}</p>
        </Notice>
      )}
      <ul>
        {view.readings.map(({ name, value, doubt, says }, i) => (
          <li key={i} className="border-b border-line py-2">
            <p className="text-sm font-semibold text-ink-soft">{name}</p>
            <p className="figures text-2xl font-bold">{value}</p>
            {doubt && <p className="figures">{doubt}</p>}
            {says && <p>{says}</p>}
          </li>
        ))}
      </ul>
      {view.cautions.length > 0 && (
        <Notice kind="caution">
          <p className="font-bold">{texts.lookFirst}</p>
          {view.cautions.map((caution) => (
            <p key={caution}>{caution}</p>
          ))}
        </Notice>
      )}
      {view.seen && <p className="mt-2 text-sm text-ink-soft">{view.seen}</p>}
    </section>
  );
}

interface MeasurePageProps {
  /** The job that asked for it; null for none. */
  readonly job: string | null;
  readonly who: string;
}

/** A photograph is measured by the card that lies in it. */
export function MeasurePage({ job, who }: MeasurePageProps) {
  const { picture, feature, line, taps, view, trouble, isMeasuring, ...does } = usePicture();
  const isLine = typedLine(line) !== undefined;
  const opened = useRef<HTMLDivElement>(null);
  const tapsAre = (next: typeof taps) => {
    does.setTaps(next);
    // One that had the focus has gone.
    if (next.length < taps.length) opened.current?.focus();
  };
  return (
    <div data-ready={useHydrated()} className="mt-4 grid gap-4">
      <div className="flex flex-wrap items-start gap-4">
        <Choice
          legend={texts.whatToLookFor}
          options={OPTIONS}
          value={feature}
          onChoose={(value) => {
            const chosen = FEATURES.find((each) => each === value);
            if (chosen) does.choose(chosen);
          }}
        />
        <label className="grid max-w-72 gap-1">
          <span className="text-sm font-semibold text-ink-soft">{texts.printedLine}</span>
          <input
            className="entry w-32 figures"
            inputMode="decimal"
            value={line}
            aria-invalid={!isLine}
            aria-describedby="line-hint"
            onChange={({ target }) => does.setLine(target.value)}
            onBlur={does.lineTyped}
          />
          <span id="line-hint" className="text-sm text-ink-soft">
            {isLine ? texts.lineHint : texts.notALength}
          </span>
        </label>
        <label className="flex act cursor-pointer items-center gap-2 has-focus-visible:outline-3 has-focus-visible:outline-steel">
          <Camera size={20} aria-hidden="true" />
          {texts.choosePicture}
          <input
            type="file"
            accept="image/*"
            className="sr-only"
            onChange={({ target }) => {
              const [file] = target.files ?? [];
              if (file) void does.open(file);
              target.value = '';
            }}
          />
        </label>
      </div>
      <p role="status">{isMeasuring ? texts.measuring : ''}</p>
      {trouble && (
        <Notice kind="error">
          <p>{trouble}</p>
        </Notice>
      )}
      <div className="grid gap-4 lg:grid-cols-[18rem_minmax(0,1fr)]">
        {view && (
          <div>
            <Told view={view} />
            {job && view.span && <TakeOver key={view.span.length} job={job} who={who} span={view.span} />}
          </div>
        )}
        {picture && (
          <div
            ref={opened}
            tabIndex={-1}
            role="group"
            aria-label={texts.thePhotograph}
            className="grid content-start gap-2 lg:col-start-2 lg:row-start-1"
          >
            <p className="text-sm text-ink-soft">{texts.tapsFor[feature]}</p>
            <MarkedPicture picture={picture} marks={view?.marks ?? []} taps={taps} onTaps={tapsAre} />
            <div className="flex flex-wrap gap-2">
              <button
                type="button"
                className="quiet"
                onClick={() => tapsAre([...taps, { x: picture.width / 2, y: picture.height / 2 }])}
              >
                {texts.addATap}
              </button>
              {taps.length > 0 && (
                <>
                  <button type="button" className="act" disabled={isMeasuring} onClick={does.measure}>
                    {texts.measureAgain}
                  </button>
                  <button type="button" className="quiet" onClick={() => tapsAre([])}>
                    {texts.withoutTaps}
                  </button>
                </>
              )}
            </div>
          </div>
        )}
      </div>
    </div>
  );
}
