import { useEffect, useRef, useState } from 'react';
import type { CaliperCommand, CaliperMessage } from '../../contract';
import { api } from '../frame/api';

/** Tries again this long after the line was lost. */
const RETRY_MS = 1500;

export type CaliperLine = 'connecting' | 'connected' | 'lost';

/** The simulated caliper as this screen hears it. */
export interface Caliper {
  readonly line: CaliperLine;
  /** What its display shows, mm; null until it has said something. */
  readonly live: number | null;
  readonly battery: number | null;
  readonly command: (command: CaliperCommand) => void;
}

/** Listens while `on`; every reading its button sends is handed over. A lost line is taken up again by itself. */
export function useCaliper(on: boolean, onReading: (mm: number) => void): Caliper {
  const [line, setLine] = useState<CaliperLine>('connecting');
  const [heard, setHeard] = useState<CaliperMessage | null>(null);
  const take = useRef(onReading);
  useEffect(() => {
    take.current = onReading;
  });
  useEffect(() => {
    if (!on) return;
    let stream: EventSource | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const connect = () => {
      stream = new EventSource('/simulated/caliper/stream');
      stream.onopen = () => setLine('connected');
      stream.onmessage = ({ data }) => {
        const message = JSON.parse(String(data)) as CaliperMessage;
        setHeard(message);
        setLine('connected');
        if (message.kind === 'reading') take.current(message.mm);
      };
      stream.onerror = () => {
        stream?.close();
        setLine('lost');
        setHeard(null);
        timer = setTimeout(connect, RETRY_MS);
      };
    };
    connect();
    return () => {
      stream?.close();
      clearTimeout(timer);
    };
  }, [on]);
  return {
    line,
    live: heard?.mm ?? null,
    battery: heard?.battery ?? null,
    // A command that does not arrive shows as what it is: a caliper that does not answer.
    command: (command) => void api.post('/simulated/caliper/command', command).catch(() => setLine('lost')),
  };
}
