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
