/** What is said of causes together, and what each finding says of them: long words, that only some screens need. */
export * from '#language/causes';
