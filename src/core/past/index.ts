/** What is foreseen of a part that comes again, as a belief that today's readings are heard beside. */
export * from './foreseen';
export * from './weighed';
