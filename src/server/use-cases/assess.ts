import { appraise } from '../../core/assess';
import type { Assessment } from '../../core/report';
import { readSheet } from '../../core/sheet';
import { assessmentDocument, sheetProblem } from '../../wording';
import type { Context } from '../context';
import { Refusal } from '../refusal';
import { rulesInForce } from './shop';
import * as texts from '#language/server';

/** Assesses a bench sheet by the rules in force. Nothing of it is stored. */
export async function assessSheet(context: Context, document: unknown): Promise<Assessment> {
  const read = readSheet(document);
  if (!read.ok) throw new Refusal(422, 'sheet-refused', texts.sheetNotRead, read.error.map(sheetProblem));
  return assessmentDocument(appraise(read.value, await rulesInForce(context), null));
}
