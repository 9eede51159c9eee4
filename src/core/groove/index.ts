/**
 * The groove of a bar: stations along it, how a link stands in it, and what is believed of rails and mouth between
 * them.
 */
export * from './rock';
export * from './station';
export * from './play';
export * from './level-tests';
export * from './believed';
export type { TestFound } from './edge-level';
export type { PlaceDraws } from './edge-draws';
export * from './believed-play';
