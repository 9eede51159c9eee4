import { useEffect, useState, type ReactNode } from 'react';
import { drawInTurn } from './paint';

/** What is drawn in its turn. Its room is there from the first; where nothing is painted, it is drawn at once. */
export function InItsTurn({ children }: { children: ReactNode }) {
  const [isDrawn, setDrawn] = useState(() => typeof window === 'undefined');
  useEffect(() => drawInTurn(() => setDrawn(true)), []);
  return isDrawn && children;
}
