import { useRef, useState } from 'react';
import type { PictureView } from '../../contract';
import type { Feature } from '../../core/picture';
import { api, failure } from '../frame/api';
import { shrunk } from '../job/photos/shrink';
import * as texts from '#language/screens/picture';

/** A tap, pixels of the picture as it is sent. */
export interface Tap {
  readonly x: number;
  readonly y: number;
}

/** A picture that is open: as it is sent, and where it is shown from. */
export interface OpenPicture {
  readonly blob: Blob;
  readonly address: string;
  readonly width: number;
  readonly height: number;
}

async function opened(file: File): Promise<OpenPicture> {
  const blob = await shrunk(file);
  const bitmap = await createImageBitmap(blob);
  const { width, height } = bitmap;
  bitmap.close();
  return { blob, address: URL.createObjectURL(blob), width, height };
}

/** A length as it is typed; null for none, undefined for what is none. */
export function typedLine(text: string): number | null | undefined {
  if (text.trim() === '') return null;
  const value = Number(text.replace(',', '.'));
  return value > 0 ? value : undefined;
}

/** A photograph that is measured, again with each change of what is asked of it. */
export function usePicture() {
  const [picture, setPicture] = useState<OpenPicture | null>(null);
  const [feature, setFeature] = useState<Feature>('rivets');
  const [line, setLine] = useState('');
  const [taps, setTaps] = useState<readonly Tap[]>([]);
  const [view, setView] = useState<PictureView | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isMeasuring, setIsMeasuring] = useState(false);
  /** Of the last question: an answer to one before it comes too late. */
  const turn = useRef(0);
  /** The line as it was last asked with: leaving the field unchanged asks nothing. */
  const askedLine = useRef<number | null>(null);
  const measure = async (open: OpenPicture, find: Feature, by: readonly Tap[]) => {
    const measured = typedLine(line);
    if (measured === undefined) return;
    const mine = (turn.current += 1);
    askedLine.current = measured;
    setIsMeasuring(true);
    setTrouble(null);
    const asked = new URLSearchParams({ find, points: by.map(({ x, y }) => `${x},${y}`).join(';') });
    if (measured !== null) asked.set('line', String(measured));
    try {
      const answer = await api.send<PictureView>(`/api/picture?${asked.toString()}`, open.blob);
      if (turn.current !== mine) return;
      setView(answer);
    } catch (error) {
      if (turn.current !== mine) return;
      setView(null);
      setTrouble(failure(error, texts.notMeasured));
    }
    setIsMeasuring(false);
  };
  const open = async (file: File) => {
    setTaps([]);
    setView(null);
    try {
      const next = await opened(file);
      if (picture) URL.revokeObjectURL(picture.address);
      setPicture(next);
      await measure(next, feature, []);
    } catch {
      setTrouble(texts.noPicture(file.name));
    }
  };
  const choose = (next: Feature) => {
    setFeature(next);
    setTaps([]);
    setView(null);
    if (picture && next === 'rivets') void measure(picture, next, []);
  };
  return {
    ...{ picture, feature, line, taps, view, trouble, isMeasuring, open, choose, setLine, setTaps },
    measure: () => picture && void measure(picture, feature, taps),
    /** Measures anew where the printed line is another than it was. */
    lineTyped: () => {
      if (picture && typedLine(line) !== askedLine.current) void measure(picture, feature, taps);
    },
  };
}
