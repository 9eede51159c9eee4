import { listCodes, putCode, removeCode } from '../../data/repositories';
import type { LearnedCodeView, PutCode } from '../../contract';
import type { Context } from '../context';
import { Refusal } from '../refusal';

/** Learns a drive-link code. It must stand for something: a pitch, a gauge, or both. */
export async function learnCode(context: Context, { by, code }: PutCode): Promise<readonly LearnedCodeView[]> {
  if (code.pitch === null && code.gauge === null)
    throw new Refusal(422, 'code-means-nothing', 'Say what the code stands for: a pitch, a gauge, or both.');
  const at = context.now().toISOString();
  await context.store.write((tx) => putCode(tx, { ...code, at, by }));
  return listCodes(context.store.db);
}

/** Forgets a code that turned out wrong. */
export async function forgetCode(context: Context, code: string): Promise<readonly LearnedCodeView[]> {
  await context.store.write((tx) => removeCode(tx, code));
  return listCodes(context.store.db);
}
