/** Requests, replies and view-models shared by server and browser. */
export * from './readings';
export * from './requests';
export * from './views';
