import { UNNAMED } from '../../wording';
import { learnedCodeSchema } from '../../core/identify';
import { findCode, putCode, removeCode, shopStanding } from '../../data/repositories';
import type { ForgetCode, LearnedCodeView, PutCode } from '../../contract';
import type { Context } from '../context';
import { Refusal } from '../refusal';
import { mustStandAsSeen } from './based-on';
import * as texts from '#language/server';

/** A code without who taught it. */
const knownCode = ({ at: _at, by: _by, ...code }: LearnedCodeView) => code;

/** Learns a drive-link code. It must stand for something: a pitch, a gauge or a count of links. */
export async function learnCode(context: Context, { by, code, was }: PutCode): Promise<readonly LearnedCodeView[]> {
  if (code.pitch === null && code.gauge === null && code.driveLinks === null)
    throw new Refusal(422, 'code-means-nothing', texts.sayWhatItStands);
  const at = context.now().toISOString();
  await context.store.write(async (tx) => {
    const known = await findCode(tx, code.code);
    const stands = known && learnedCodeSchema.parse(knownCode(known));
    mustStandAsSeen(stands, was, known ? texts.hasTaughtCode(known.by, known.code) : texts.itWasForgotten);
    await putCode(tx, { ...code, at, by });
  });
  return (await shopStanding(context.store.db)).codes;
}

/** Forgets a code that turned out wrong. */
export async function forgetCode(context: Context, { by, code }: ForgetCode): Promise<readonly LearnedCodeView[]> {
  const written = { at: context.now().toISOString(), by: by ?? UNNAMED };
  await context.store.write((tx) => removeCode(tx, code, written));
  return (await shopStanding(context.store.db)).codes;
}
