export * from './topics';
