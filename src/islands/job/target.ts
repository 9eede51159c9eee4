import { createContext, useContext, useState } from 'react';

/** The field somebody asked to be taken to; the count tells two wishes for the same field apart. */
export interface Target {
  readonly path: string | null;
  /** Where along an edge the station is to be, mm, that the field belongs to and that is not there yet. */
  readonly at: number | null;
  readonly count: number;
}

/** The latest wish, for views that must open something before the field is there. */
export const TargetContext = createContext<Target>({ path: null, at: null, count: 0 });

/** Calls back once for every new wish, while rendering, so that the field is on the screen when the caret comes. */
export function useTarget(onTarget: (path: string, at: number | null) => void): void {
  const target = useContext(TargetContext);
  const [seen, setSeen] = useState(0);
  if (target.count === seen) return;
  setSeen(target.count);
  if (target.path !== null) onTarget(target.path, target.at);
}
