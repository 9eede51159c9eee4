import { flatMap } from '../flat-map';
import type { Declaration } from './declare';
import { isSide, type Join, type Side } from './place';

/** Marks a declaration as telling what a part is; a list tells by each of these members. */
interface Evident<M extends string> {
  readonly evidence: readonly M[];
}

/**
 * A reading, or a group read as one, that tells what a part is: it can be set aside, and counts again when it is put
 * back.
 */
export const evidence = <const D extends Declaration>(declaration: D): D & Evident<''> => ({
  ...declaration,
  evidence: [''],
});

/** A list whose members each tell what a part is; those beyond the last that is named here count with it. */
export const evidenceOfEach = <const D extends Declaration, const M extends string>(
  members: readonly M[],
  declaration: D,
): D & Evident<M> => ({ ...declaration, evidence: members });

type Own<D, P extends string> = D extends Evident<infer M> ? (M extends '' ? P : Join<P, M>) : never;
type Within<D, P extends string, Q extends string> = D extends { readonly is: 'list'; readonly item: infer I }
  ? EvidenceOf<I, Q, Q>
  : D extends { readonly is: 'group'; readonly shape: infer S }
    ? { [K in keyof S & string]: EvidenceOf<S[K], K extends Side ? P : Join<P, K>, P> }[keyof S & string]
    : never;

/**
 * The ids of all evidence within a declaration, whichever edge it belongs to: `chain.driveLinks.0`. What is read at
 * many stations is one evidence: `bar.edges.mouth`.
 * @template P the place of the declaration
 * @template Q the place of the group that it stands in
 */
export type EvidenceOf<D, P extends string = '', Q extends string = ''> = Own<D, P> | Within<D, P, Q>;

const join = (place: string, key: string): string => (place === '' ? key : `${place}.${key}`);

function idsWithin(declaration: Declaration & Partial<Evident<string>>, place: string, group: string): string[] {
  const own = (declaration.evidence ?? []).map((member) => (member === '' ? place : join(place, member)));
  if (declaration.is === 'list') return [...own, ...idsWithin(declaration.item as Declaration, group, group)];
  if (declaration.is === 'reading') return own;
  const shape = Object.entries(declaration.shape as Readonly<Record<string, Declaration>>);
  const within = flatMap(shape, ([key, each]) => idsWithin(each, isSide(key) ? place : join(place, key), place));
  return [...own, ...within];
}

/** The ids of all evidence within a declaration, in its order. */
export const evidenceOf = <D extends Declaration>(declaration: D): readonly EvidenceOf<D>[] =>
  [...new Set(idsWithin(declaration, '', ''))] as EvidenceOf<D>[];
