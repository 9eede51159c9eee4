/**
 * A hand and its tool, measured: a repeatability study, what its readings carry from then on, and what speaks against
 * it.
 */
export * from './study';
export * from './flaws';
export * from './written';
