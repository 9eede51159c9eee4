import { useCallback } from 'react';
import type { ChangedGear, GearAct } from '../../../contract';
import { UNNAMED } from '../../../wording';
import { api } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { sentOnce } from '../../frame/sent-once';

const STAYS = ['/gear/saws/', '/gear/models'];

/** Says something of gear, and goes to the page of what was spoken of, which is drawn afresh. */
export function useSay(): (act: GearAct) => Promise<void> {
  const by = useFrame().who || UNNAMED;
  return useCallback(
    async (act) => {
      const { href } = await sentOnce({ by, act }, (id) => api.post<ChangedGear>('/api/gear/changes', { id, by, act }));
      const { pathname } = window.location;
      // What is undone on a saw's page, or among the models, is looked at there; a piece's page may be gone with it.
      const stays = act.say === 'undone' && STAYS.some((place) => pathname.startsWith(place));
      if (stays || href === pathname) window.location.reload();
      else window.location.assign(href);
    },
    [by],
  );
}
