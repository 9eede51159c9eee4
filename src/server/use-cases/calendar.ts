import { createEvent, type DateArray } from 'ics';
import type { Context } from '../context';
import { handOverOf } from './hand-over';
import * as texts from '#language/server';

/** The next visit of a job as a calendar file (RFC 5545): a whole day, with whose saw it is and why then. */
export async function visitCalendar(
  context: Context,
  jobId: string,
  address: string,
): Promise<{ readonly file: string; readonly tag: string }> {
  const { job, nextVisit, shop } = await handOverOf(context, jobId);
  const start = nextVisit.on.split('-').map(Number) as unknown as DateArray;
  const { error, value } = createEvent({
    uid: `${jobId}@serrata`,
    productId: 'serrata',
    calName: shop,
    title: texts.sawDue([job.saw, job.customer].filter(Boolean).join(', ')),
    description: `${job.reference}. ${nextVisit.why}`,
    location: shop,
    url: address,
    start,
    duration: { days: 1 },
    startInputType: 'utc',
    busyStatus: 'FREE',
  });
  if (error || typeof value !== 'string') throw error ?? new Error(texts.noCalendarFileWasMade);
  return { file: value, tag: job.reference };
}
