import { useState } from 'react';
import type { OpenSessionView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { shopMoment } from '../../../wording';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { useChangedHere } from '../../frame/server-data';
import * as texts from '#language/screens/people';

/** Browsers that somebody is signed in with; each can be signed out from here. */
export function Sessions({ sessions }: { readonly sessions: readonly OpenSessionView[] }) {
  const { shop } = useFrame();
  const changedHere = useChangedHere();
  const [trouble, setTrouble] = useState<string | null>(null);
  const revoke = async (id: string) => {
    try {
      await api.delete(`/api/sessions/${id}`);
      await changedHere();
      setTrouble(null);
    } catch (error) {
      setTrouble(failure(error, texts.notRevoked));
    }
  };
  return (
    <section aria-labelledby="sessions">
      <h2 id="sessions" className="mb-2 text-lg font-bold">
        {texts.signedIn}
      </h2>
      {trouble && <Notice kind="error">{trouble}</Notice>}
      {sessions.length === 0 && <p className="text-ink-soft">{texts.nobodyIsSignedIn}</p>}
      <ul className="border-t-2 border-ink">
        {sessions.map(({ id, name, how, device, seenAt, isThis }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-3 border-b border-line py-1.5">
            <span className="min-w-0 flex-1">
              <span className="font-bold">{name}</span> {device}
              <span className="block text-sm text-ink-soft">
                {how === 'pin' ? texts.byPin : texts.byPassword}; {texts.seenLast(shopMoment(seenAt, shop))}
              </span>
            </span>
            {isThis ? (
              <span className="text-sm text-ink-soft">{texts.thisOne}</span>
            ) : (
              <button
                type="button"
                className="quiet"
                aria-label={texts.revokeOf(name, device)}
                onClick={() => void revoke(id)}
              >
                {texts.revoke}
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
