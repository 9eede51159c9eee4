/** Why a cause may be one, and what each finding says of it: long words, that only some screens need. */
export * from '#language/causes';
