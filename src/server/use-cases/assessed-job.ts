import { assess } from '../../core/assess';
import type { Assessment } from '../../core/sheet';
import { assessmentDocument } from '../../wording';
import type { Context } from '../context';
import { jobSheet } from './jobs';
import { limitsInForce } from './shop';

/** The assessment of a job as a document, made with the limits in force. */
export async function assessedJob(context: Context, id: string): Promise<Assessment> {
  const [{ sheet }, limits] = await Promise.all([jobSheet(context, id), limitsInForce(context)]);
  return assessmentDocument(assess(sheet, limits));
}
