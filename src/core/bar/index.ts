/** Stations, lean and rock, clearance, wear pattern, and the dressing plan. */
export * from './rock';
export * from './station';
export * from './dressing';
export * from './pattern';
export * from './turns';
export * from './drift';
export * from './wear-place';
export * from './crooked';
