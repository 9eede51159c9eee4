/** Sprocket and loop geometry, the tensioner's travel, listed lengths and the loops of the trade. */
export * from './geometry';
export * from './adjuster';
export * from './common-loops';
export * from './listed-length';
