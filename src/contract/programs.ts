import { z } from 'zod';
import { assessmentSchema, handOverSchema } from '../core/report';
import { benchSheetSchema } from '../core/sheet';
import { stockPartSchema } from '../core/stock';
import { handOverRequestSchema } from './hand-over';
import { createJobSchema } from './requests';

/** What an answer is: a document of JSON, or a file of another kind. */
export type ProgramAnswer = z.ZodType | 'text/csv' | 'text/calendar';

/** One thing that another program may ask for. */
export interface Operation {
  readonly method: 'GET' | 'POST';
  /** The pattern of its address, as the pages have it. */
  readonly route: string;
  /** What may stand behind the question mark. */
  readonly query?: Readonly<Record<string, z.ZodType>>;
  readonly body?: z.ZodType;
  readonly answer: ProgramAnswer;
}

const savedJob = z.object({ id: z.string(), tag: z.string() });

const saw = z.object({ id: z.string(), label: z.string(), tag: z.string() });

/** Somebody else's programs are told no more of a hit than where it leads. */
const hit = z.object({
  kind: z.enum(['customer', 'saw', 'piece', 'job', 'part']),
  title: z.string(),
  detail: z.string(),
  href: z.string(),
});

const given = z.object({ id: z.string(), at: z.string(), by: z.string() });

const handOverAnswer = z.object({
  draft: handOverSchema,
  last: z.object({ at: z.string(), by: z.string(), document: handOverSchema }).nullable(),
  given: z.array(given),
  /** Sent with the hand-over: it is refused where anything has moved since. */
  revision: z.string(),
  papers: z.array(z.object({ id: z.string(), name: z.string() })),
});

const health = z.object({
  status: z.enum(['open', 'trouble']),
  memory: z.number(),
  store: z.object({ id: z.string(), writable: z.boolean(), trouble: z.string().nullable() }),
  space: z.object({ freeMb: z.number().nullable(), little: z.boolean() }),
  backup: z.object({ at: z.string(), hours: z.number() }).nullable(),
  says: z.string().nullable(),
});

/**
 * What other programs may ask for, each by a name that stays. The description of the interface is made of it, and a
 * test asks for each and holds the answer against it.
 */
export const OPERATIONS = {
  findAnything: { method: 'GET', route: '/api/search', query: { q: z.string() }, answer: z.array(hit) },
  findCustomers: {
    method: 'GET',
    route: '/api/customers',
    query: { name: z.string() },
    answer: z.array(z.object({ id: z.string(), name: z.string(), saws: z.array(saw) })),
  },
  assess: { method: 'POST', route: '/api/assess', body: benchSheetSchema, answer: assessmentSchema },
  takeInJob: { method: 'POST', route: '/api/jobs', body: createJobSchema, answer: savedJob },
  readSheet: { method: 'GET', route: '/api/jobs/[id]/sheet.json', answer: benchSheetSchema },
  readAssessment: { method: 'GET', route: '/api/jobs/[id]/assessment.json', answer: assessmentSchema },
  readHandOver: { method: 'GET', route: '/api/jobs/[id]/hand-over.json', answer: handOverSchema },
  prepareHandOver: { method: 'GET', route: '/api/jobs/[id]/hand-over', answer: handOverAnswer },
  handOver: {
    method: 'POST',
    route: '/api/jobs/[id]/hand-over',
    body: handOverRequestSchema,
    answer: handOverAnswer,
  },
  listStock: {
    method: 'GET',
    route: '/api/stock/rows',
    query: { q: z.string().optional(), from: z.int().min(0).optional() },
    answer: z.object({
      rows: z.array(stockPartSchema.extend({ version: z.int() })),
      next: z.int().nullable(),
    }),
  },
  listDue: { method: 'GET', route: '/api/gear/customers/[id]/due.csv', answer: 'text/csv' },
  dueCalendar: { method: 'GET', route: '/api/gear/customers/[id]/due.ics', answer: 'text/calendar' },
  readHealth: { method: 'GET', route: '/api/health', answer: health },
} as const satisfies Readonly<Record<string, Operation>>;
export type OperationId = keyof typeof OPERATIONS;
export const OPERATION_IDS = Object.keys(OPERATIONS) as readonly OperationId[];

/** A refusal, as every operation may answer it. */
export const errorReplySchema = z.object({
  code: z.string(),
  message: z.string(),
  problems: z.array(z.string()).optional(),
  request: z.string().optional(),
});
