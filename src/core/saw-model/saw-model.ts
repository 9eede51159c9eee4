import { SPROCKET_KINDS, type SprocketKind } from '../declared';
import { flatMap } from '../flat-map';
import { tokenMeanings } from '../identify';
import type { Entry, ReadingPath } from '../sheet';

/** What is usual for a model of saw with a bar of one length. */
export interface SawModel {
  readonly name: string;
  /** The bar, as the shop calls its length; empty where the model has but one. */
  readonly bar: string;
  readonly mount: string | null;
  /** The three numbers as they would be punched on; empty where they are not known. */
  readonly pitch: string;
  readonly gauge: string;
  readonly links: string;
  readonly sprocketKind: SprocketKind | null;
  readonly teeth: number | null;
  readonly splines: number | null;
}

/** What each of the three numbers may be written as, read as a stamp is. */
const NUMBERS = { pitch: 'pitch', gauge: 'gauge', links: 'driveLinks' } as const;
export type NumberName = keyof typeof NUMBERS;
export const NUMBER_NAMES = Object.keys(NUMBERS) as readonly NumberName[];

/**
 * One of the three numbers, written as it is punched; null where it is none.
 * @example punched('links', '72') // '72DL'
 */
export function punched(name: NumberName, text: string): string | null {
  const written = name === 'links' && /^\d+$/.test(text) ? `${text}DL` : text.replace(/\s+/g, '');
  const isRead = tokenMeanings(written).some(({ property }) => property === NUMBERS[name]);
  return isRead ? written : null;
}

/** The kinds of drive sprocket that a model may take, by their words in a list. */
export const sprocketKindOf = (text: string): SprocketKind | null =>
  SPROCKET_KINDS.find((kind) => kind === text.trim().toLowerCase()) ?? null;

/**
 * What a model tells of a saw, at its places of the bench sheet: its numbers as a bar's stamp would, so that the counter
 * asks for a count before anything is sold by them.
 */
export function entriesOfModel(model: SawModel): readonly Entry[] {
  const { name, mount, pitch, gauge, links, sprocketKind, teeth, splines } = model;
  const told: Readonly<Partial<Record<ReadingPath, string | number | null>>> = {
    'saw.label': name,
    'saw.mount': mount,
    'saw.sprocketKind': sprocketKind,
    'saw.splines': splines,
    'driveSprocket.type': sprocketKind,
    'driveSprocket.teeth': teeth,
    'bar.stamp': [pitch, gauge, links].filter(Boolean).join(' '),
  };
  return flatMap(Object.entries(told), ([path, text]): readonly Entry[] =>
    text === null || text === undefined || text === '' ? [] : [{ path, text: String(text), unit: 'mm' }],
  );
}
