import { closeSync, openSync, readSync } from 'node:fs';

/** Whether a file begins with a signature of single bytes. */
export function beginsWith(file: string, signature: string): boolean {
  const start = Buffer.alloc(signature.length);
  const handle = openSync(file, 'r');
  try {
    readSync(handle, start, 0, start.length, 0);
  } finally {
    closeSync(handle);
  }
  return start.toString('latin1') === signature;
}
