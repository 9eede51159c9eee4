import { useEffect, useState } from 'react';
import { Notice } from '../../ui/parts/Notice';
import { IS_SIGNED_OUT } from './api';
import { wipe } from './away/keep';
import * as texts from '#language/screens/people';

/** Says that the session has ended meanwhile, and leads to where one signs in and comes back from. */
export function SignedOut() {
  const [isOut, setIsOut] = useState(false);
  useEffect(() => {
    const told = () => {
      setIsOut(true);
      // Whoever was signed in here may look at nothing of the shop any more.
      void wipe();
    };
    window.addEventListener(IS_SIGNED_OUT, told);
    return () => window.removeEventListener(IS_SIGNED_OUT, told);
  }, []);
  if (!isOut) return null;
  const { pathname, search } = window.location;
  return (
    <div className="no-print">
      <Notice kind="error">
        {texts.signedOutMeanwhile}{' '}
        <a
          className="font-bold underline"
          href={`/sign-in?${new URLSearchParams({ next: `${pathname}${search}` }).toString()}`}
        >
          {texts.signInAgain}
        </a>
      </Notice>
    </div>
  );
}
