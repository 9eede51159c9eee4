/** Requests, replies and view-models shared by server and browser. */
export * from './readings';
export * from './requests';
export * from './counter';
export * from './names';
export * from './caliper';
export * from './stock';
export * from './supplier';
export * from './views';
export * from './shop-style';
export { packView, unpackView, type Sent } from './sent';
export * from './sent-job';
export * from './backups';
export * from './records';
export * from './studies';
export * from './plans';
export * from './job-parts';
export * from './paper';
export * from './hand-over';
