import type { SYMPTOMS } from '../declared';
import type { Schools } from '../schools';

/** What a customer complains of. */
export type Symptom = (typeof SYMPTOMS)[number];

/** Where practitioners disagree on what makes a saw cut in a curve. */
export type School = Schools['curvedCuts'];

/**
 * Complaints of a crooked cut, with the side it runs to: they are asked of one drift model, and not of causes that
 * bring a complaint about or not.
 */
const SIDE_OF: Readonly<Partial<Record<Symptom, 'left' | 'right'>>> = {
  'cuts-curved-left': 'left',
  'cuts-curved-right': 'right',
};

/** The side a cut runs to; null for any other complaint. */
export const sideOf = (symptom: Symptom): 'left' | 'right' | null => SIDE_OF[symptom] ?? null;
