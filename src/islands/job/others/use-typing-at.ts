import { useCallback, useSyncExternalStore } from 'react';
import { live } from '../../frame/live';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job';

/** Who else types into a place of this job just now; null where nobody does. What they type is not told. */
export function useTypingAt(path: string): string | null {
  const { id } = useJob().view.job;
  const find = useCallback(() => {
    const other = [...live.here().values()].find(
      (here) => here.at?.job === id && here.at.path === path && !live.isOwn(here),
    );
    return other ? other.who || texts.somebody : null;
  }, [id, path]);
  return useSyncExternalStore(live.onPresent, find, () => null);
}
