import { useEffect } from 'react';
import { Notice } from '../../../ui/parts/Notice';
import { shopMoment } from '../../../wording';
import { useFrame } from '../frame-context';
import { live } from '../live';
import { bringAllIn } from './bring-in';
import { notReached, reached } from './connection';
import { useAwaySince } from './use-away';
import * as texts from '#language/screens/offline';

/** Asked after so long whether the shop is there again, ms: nobody presses anything for it. */
const ASK_EVERY = 5000;

/** Says since when the shop cannot be reached, and brings in what waits once it can. */
export function Away() {
  const since = useAwaySince();
  const { shop } = useFrame();
  const isAway = since !== null;
  useEffect(() => {
    window.addEventListener('offline', notReached);
    const leave = live.onHello(reached);
    return () => {
      window.removeEventListener('offline', notReached);
      leave();
    };
  }, []);
  useEffect(() => {
    if (!isAway) {
      bringAllIn().catch(() => undefined);
      return;
    }
    const ask = () =>
      void fetch('/api/health').then(
        () => reached(),
        () => undefined,
      );
    window.addEventListener('online', ask);
    const timer = setInterval(ask, ASK_EVERY);
    return () => {
      window.removeEventListener('online', ask);
      clearInterval(timer);
    };
  }, [isAway]);
  if (!since) return null;
  return (
    <section className="no-print" aria-label={texts.away} aria-live="polite">
      <Notice kind="caution">
        {texts.awaySince(shopMoment(since.toISOString(), shop))} {texts.goesOnHere}{' '}
        <a className="font-bold underline" href="/offline/kept">
          {texts.whatIsKept}
        </a>
      </Notice>
    </section>
  );
}
