/** The demo scenario as data; loading it is a use case of the server. */
export * from './scenario';
export * from './sheets';
export * from './stock';
export * from './studies';
export * from './further';
export * from './pace';
