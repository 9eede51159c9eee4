import { FEATURES, type Feature, type Pixel } from '../../core/picture';
import { Refusal } from '../refusal';
import type { AskedOfPicture } from './measure';
import * as texts from '#language/server';

/** Taps beyond this are no taps. */
const MOST_TAPS = 60;

const notUnderstood = (): Refusal => new Refusal(400, 'bad-picture-question', texts.pictureNotUnderstood);

function numberOf(text: string): number {
  const value = text.trim() === '' ? NaN : Number(text);
  if (!Number.isFinite(value)) throw notUnderstood();
  return value;
}

function tapsOf(text: string): readonly Pixel[] {
  const all = text === '' ? [] : text.split(';');
  if (all.length > MOST_TAPS) throw notUnderstood();
  return all.map((each) => {
    const [x = '', y = '', ...more] = each.split(',');
    if (more.length > 0) throw notUnderstood();
    return { x: numberOf(x), y: numberOf(y) };
  });
}

/** What is asked of a picture, as an address says it: `find`, `points` and `line`. */
export function askedOfPicture(params: URLSearchParams): AskedOfPicture {
  const find = params.get('find');
  if (find !== null && !(FEATURES as readonly string[]).includes(find)) throw notUnderstood();
  const line = params.get('line');
  return {
    line: line === null ? null : numberOf(line),
    points: tapsOf(params.get('points') ?? ''),
    find: find as Feature | null,
    exact: false,
  };
}
