/** People: who they are, how they come in, and what becomes of it. */
export * from './accounts';
export * from './audit';
export * from './me';
export * from './own-secrets';
export * from './sign-in';
export * from './tokens';
