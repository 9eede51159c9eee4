import type { Appraisal, Rules } from '../../core/assess';
import type { Assessment } from '../../core/report';
import { sheetFromEntries, type BenchSheet, type WrittenBenchSheet } from '../../core/sheet';
import { currentReadings, type JobRecord } from '../../data/repositories';
import type { ShopView } from '../../contract';
import { assessmentDocument } from '../../wording';
import type { Context } from '../context';
import { courseOf, type StoredCourse } from './course';
import { jobRules, type JobRules } from './job-rules';
import { appraised } from './kept-appraisals';
import { mustFindJob } from './jobs';

/** A job as it is stored, read once, with what it comes to by its rules and the plan that was signed. */
export interface AppraisedJob {
  readonly record: JobRecord;
  readonly shop: ShopView;
  readonly rules: Rules;
  readonly course: StoredCourse;
  readonly sheet: BenchSheet;
  readonly written: WrittenBenchSheet;
  readonly appraisal: Appraisal;
}

/**
 * Reads a job and appraises it: the one way in which papers, documents and plans come by either.
 * @param by the rules; those by which the job is judged, where they are not given
 */
export async function appraisedJob(
  context: Context,
  id: string,
  by?: Pick<JobRules, 'shop' | 'rules'>,
): Promise<AppraisedJob> {
  const { db } = context.store;
  const record = await mustFindJob(context, id);
  const [readings, { shop, rules }, course] = await Promise.all([
    currentReadings(db, [id]),
    by ?? jobRules(db, record),
    courseOf(db, record),
  ]);
  const { sheet, written } = sheetFromEntries(readings, rules.studies);
  return {
    record,
    shop,
    rules,
    course,
    sheet,
    written: { ...written, job: { ...written.job, reference: record.tag } },
    appraisal: appraised(sheet, rules, course.choices),
  };
}

/** Whose a job is, as papers and documents name it. */
export const whoseJob = ({ customer, saw }: JobRecord): { readonly customer: string; readonly saw: string | null } => ({
  customer: customer.name,
  saw: saw && [saw.label, saw.tag].filter(Boolean).join(', '),
});

/** The assessment of a job as a document. */
export const assessedJob = async (context: Context, id: string): Promise<Assessment> =>
  assessmentDocument((await appraisedJob(context, id)).appraisal);
