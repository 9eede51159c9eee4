import { useCallback, useEffect, useState } from 'react';
import type { PhotoView } from '../../../contract';
import type { WaitingPicture } from '../../../offline/kept';
import { RequestFailed } from '../../frame/api';

const fetchKept = () => import('../../../offline/kept');

/** A picture that waits, at an address of this page. */
interface Shown extends Pick<WaitingPicture, 'id' | 'by'> {
  readonly address: string;
}

/** Pictures of a job that wait for the shop. */
interface WaitingPictures {
  readonly pictures: readonly Shown[];
  /**
   * Keeps a picture that the shop could not be reached for.
   * @throws what went wrong, where it is something else
   */
  readonly keep: (error: unknown, waiting: WaitingPicture) => Promise<void>;
}

/**
 * Pictures that were taken while the shop could not be reached: kept in this browser, and shown with the job's own.
 * @param stored what the shop has by now
 */
export function useWaitingPictures(job: string, stored: readonly PhotoView[]): WaitingPictures {
  const [pictures, setPictures] = useState<readonly Shown[]>([]);
  const look = useCallback(async () => {
    const waiting = await (await fetchKept()).waitingPictures(job);
    setPictures((before) => {
      for (const { address } of before) URL.revokeObjectURL(address);
      return waiting.map(({ id, by, picture }) => ({ id, by, address: URL.createObjectURL(picture) }));
    });
  }, [job]);
  useEffect(() => void look().catch(() => undefined), [look, stored]);
  const keep = useCallback(
    async (error: unknown, waiting: WaitingPicture) => {
      if (!(error instanceof RequestFailed) || !error.unreachable) throw error;
      await (await fetchKept()).keepPicture(waiting);
      await look();
    },
    [look],
  );
  return { pictures, keep };
}
