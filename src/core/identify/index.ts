/** Evidence → pitch, gauge and drive links, per part, each settled, open or in conflict. */
export * from './reasons';
export * from './stamp';
export * from './combine';
export * from './pitch';
export * from './gauge';
export * from './learned-code-schema';
export * from './learned-code';
export * from './pitch-and-gauge';
export * from './sequence';
export * from './links';
export * from './collect';
export * from './loop-evidence';
export * from './settle';
export * from './findings';
export * from './identify';
export * from './effect';
