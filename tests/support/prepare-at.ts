import { copyFileSync } from 'node:fs';
import { inject } from 'vitest';

/** Puts a copy of the prepared demo somewhere. */
export const prepareDemoAt = (file: string): void => copyFileSync(inject('prepared').demo, file);
