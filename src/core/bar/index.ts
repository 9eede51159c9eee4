/** Stations, lean and rock, clearance, wear pattern, and the dressing plan. */
export * from './rock';
export * from './station';
export * from './play';
export * from './figures';
export * from './level-tests';
export * from './believed';
export type { TestFound } from './edge-level';
export type { PlaceDraws } from './edge-draws';
export * from './believed-play';
export * from './dressing';
export * from './pattern';
export * from './turns';
export * from './drift';
export * from './wear-place';
