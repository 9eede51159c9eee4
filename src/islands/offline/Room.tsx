import { useEffect, useState } from 'react';
import { waitingCounts } from '../../offline/outbox';
import { useFrame } from '../frame/frame-context';
import { wholeNumber } from '../../wording';
import * as texts from '#language/screens/offline';

/** What the browser says of the room it gives, and whether it keeps to it. */
interface Given {
  readonly used: number;
  readonly quota: number;
  readonly isPersistent: boolean;
}

async function given(): Promise<Given> {
  const [{ usage = 0, quota = 0 }, isPersistent] = await Promise.all([
    navigator.storage.estimate(),
    navigator.storage.persisted(),
  ]);
  return { used: usage, quota, isPersistent };
}

/** A browser that offers to install a site says so by this event, and takes it once. */
interface InstallOffer extends Event {
  readonly prompt: () => Promise<unknown>;
}

function useInstallOffer(): InstallOffer | null {
  const [offer, setOffer] = useState<InstallOffer | null>(null);
  useEffect(() => {
    const offered = (event: Event) => {
      event.preventDefault();
      setOffer(event as InstallOffer);
    };
    window.addEventListener('beforeinstallprompt', offered);
    return () => window.removeEventListener('beforeinstallprompt', offered);
  }, []);
  return offer;
}

/** How much is kept, what waits, and whether the browser may throw it away. */
export function Room({ pictures }: { readonly pictures: number }) {
  const { shop } = useFrame();
  const [room, setRoom] = useState<Given | null>(null);
  const [waits] = useState(() => [...waitingCounts(window.localStorage).values()].reduce((sum, each) => sum + each, 0));
  const offer = useInstallOffer();
  useEffect(() => void given().then(setRoom, () => undefined), []);
  const megabytes = (bytes: number) => texts.megabytes(wholeNumber(Math.ceil(bytes / 1e6), shop));
  const ask = async () => {
    await navigator.storage.persist();
    setRoom(await given());
  };
  return (
    <div className="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2">
      {waits > 0 && <strong className="text-brass">{texts.readingsWait(waits)}</strong>}
      {pictures > 0 && <strong className="text-brass">{texts.picturesWait(pictures)}</strong>}
      {room && (
        <p>
          {texts.takes(megabytes(room.used), megabytes(room.quota))}{' '}
          {room.isPersistent ? texts.isPersistent : texts.mayBeThrownAway}
        </p>
      )}
      {room && !room.isPersistent && (
        <button type="button" className="quiet" onClick={() => void ask()}>
          {texts.askForPersistence}
        </button>
      )}
      {offer && (
        <button type="button" className="quiet" onClick={() => void offer.prompt()}>
          {texts.install}
        </button>
      )}
    </div>
  );
}
