/** Everything that can be said of a job, declared once: part by part, and where on a bar a reading lies. */
export * from './edges';
export * from './bar';
export * from './stations';
export * from './nose';
export * from './chain';
export * from './drive-sprocket';
export * from './loop';
export * from './acts';
export * from './take-in';
export * from './refit';
export * from './proof';
