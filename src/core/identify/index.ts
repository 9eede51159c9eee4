/** Evidence → pitch, gauge and drive links, per part, each settled, open or in conflict. */
export * from './reasons';
export * from './stamp';
export * from './combine';
export * from './pitch';
export * from './gauge';
export * from './pitch-and-gauge';
export * from './links';
export * from './identify';
