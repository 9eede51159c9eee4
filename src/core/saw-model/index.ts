/** What is usual for a model of saw, as the shop wrote it: told, measured by nobody. */
export * from './saw-model';
export * from './model-row';
