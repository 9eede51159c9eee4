/** What pages may use of the server. */
export { context } from './context';
export { Refusal } from './refusal';
export { answer, body, errorReply } from './http/endpoint';
export { SAFETY_HEADERS, turnAway } from './http/guard';
export * from './use-cases/bench';
export * from './use-cases/jobs';
export * from './use-cases/sign-off';
export * from './use-cases/take-in';
export * from './use-cases/shop';
export * from './use-cases/stock';
export * from './use-cases/stock-imports';
export * from './use-cases/counter';
export * from './use-cases/work-card';
export { caliperCommand, caliperStream } from './simulated/caliper';
export * from './use-cases/supplier';
export * from './use-cases/codes';
export * from './use-cases/photos';
export { backupToSend } from './use-cases/backup';
