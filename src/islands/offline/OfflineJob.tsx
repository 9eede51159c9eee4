import { useEffect, useState } from 'react';
import type { JobView } from '../../contract';
import { keptView, type Kept } from '../../offline/kept';
import { Empty } from '../../ui/parts/Notice';
import { notReached } from '../frame/away/connection';
import { KEPT } from '../frame/away/keep';
import { Frame } from '../frame/Frame';
import { preferencesFrom } from '../frame/preferences';
import { OpenJob } from '../job/JobPage';
import { UNKNOWN_SHOP } from './shop-known';
import * as texts from '#language/screens/offline';

/** A job as the browser keeps it, opened at its own address while the shop cannot be reached. */
export function OfflineJob() {
  const [found, setFound] = useState<Kept<JobView> | 'none' | null>(null);
  const [preferences] = useState(() => preferencesFrom(document.cookie));
  useEffect(() => {
    notReached();
    const id = window.location.pathname.split('/').filter(Boolean).at(-1) ?? '';
    keptView<JobView>(`${KEPT.job}${id}`).then(
      (kept) => setFound(kept ?? 'none'),
      () => setFound('none'),
    );
  }, []);
  if (found === null) return null;
  if (found !== 'none') {
    const step = new URLSearchParams(window.location.search).get('step') ?? '';
    return <OpenJob view={found.value} preferences={preferences} step={step} seenAt={found.at} />;
  }
  return (
    <Frame shop={UNKNOWN_SHOP} preferences={preferences} place="bench">
      <Empty title={texts.jobIsNotKept}>
        <p>{texts.openItWithTheShop}</p>
        <a className="underline" href="/offline/kept">
          {texts.whatIsKept}
        </a>
      </Empty>
    </Frame>
  );
}
