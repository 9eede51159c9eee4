/** What a customer is told to do differently, from habits and findings. */
export * from './advice';
