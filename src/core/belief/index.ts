/** What is believed from all readings together: profiles along a line, and the least of many. */
export * from './profile';
export * from './design';
export * from './pair';
export * from './normal-points';
export * from './dip';
export * from './least';
export * from './alike';
export * from './many';
export * from './latent';
export * from './answers';
export * from './graded';
export { factorise, solveLower } from './matrix';
