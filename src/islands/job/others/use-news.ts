import { useEffect, useRef, useState } from 'react';
import { PARTS, type Part } from '../../../core/reading';
import type { Appraisal } from '../../../core/assess';
import { useJob } from '../store/JobContext';
import type { FromElsewhere } from '../store/job-store';

/** A verdict that changed while somebody looked at it, and why. */
export interface News {
  /** What came in from elsewhere; none where the rules were changed. */
  readonly came: readonly FromElsewhere[];
  readonly changed: readonly { readonly part: Part; readonly was: Action; readonly is: Action }[];
}
type Action = Appraisal['verdicts'][Part]['action'];

/** What verdicts hang on, as it was looked at last. */
interface Looked {
  readonly verdicts: Appraisal['verdicts'];
  readonly came: readonly FromElsewhere[];
  readonly rulesMark: string;
}

/**
 * Verdicts that changed because of what others wrote: by their readings, or by the rules of the shop.
 * @returns the news, and what puts it aside
 */
export function useNews(): readonly [News | null, () => void] {
  const { appraisal, snapshot, view } = useJob();
  const looked = useRef<Looked | null>(null);
  const [news, setNews] = useState<News | null>(null);
  const { verdicts } = appraisal;
  const { fromElsewhere: came } = snapshot;
  const { rulesMark } = view;
  useEffect(() => {
    const was = looked.current;
    looked.current = { verdicts, came, rulesMark };
    if (!was || (was.came === came && was.rulesMark === rulesMark)) return;
    const changed = PARTS.filter((part) => was.verdicts[part].action !== verdicts[part].action).map((part) => ({
      part,
      was: was.verdicts[part].action,
      is: verdicts[part].action,
    }));
    if (changed.length > 0) setNews({ came: was.came === came ? [] : came, changed });
  }, [verdicts, came, rulesMark]);
  return [news, () => setNews(null)];
}
