import { z } from 'zod';
import type { ErrorReply } from '../../contract';
import { troubleOf } from '../../data/trouble';
import { storeTrouble } from '../../wording';
import { isTooDeep } from '../../core/sheet';
import { troubleSeen } from '../health';
import { complained, requestId } from '../log';
import { knownAsker } from '../people/actor';
import { Refusal } from '../refusal';
import * as texts from '#language/server';

/** Writes a JSON answer that is never kept by a cache. */
export function json(body: unknown, status = 200): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': 'application/json; charset=utf-8', 'Cache-Control': 'no-store' },
  });
}

/** An error as it leaves the house: a code and a sentence, no stack. */
export function errorReply(status: number, reply: ErrorReply): Response {
  return json(reply, status);
}

/**
 * What was sent, in the name of whoever is signed in: who wrote something is known, whatever name was sent with it.
 */
function inTheirName(document: unknown, schema: z.ZodType): unknown {
  const known = knownAsker();
  const isNamed = schema instanceof z.ZodObject && 'by' in schema.shape;
  if (!known || !isNamed || typeof document !== 'object' || document === null) return document;
  // What one typed and another brings in stays known as the first one's.
  const typedBy = 'typedBy' in schema.shape && 'by' in document ? { typedBy: document.by } : {};
  return { ...document, ...typedBy, by: known.name };
}

/** Reads a JSON body against its schema. */
export async function body<T extends z.ZodType>(request: Request, schema: T): Promise<z.output<T>> {
  const text = await request.text();
  if (isTooDeep(text)) throw new Refusal(422, 'too-deep', texts.bodyTooDeep);
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch {
    throw new Refusal(400, 'not-json', texts.theBodyIsNotJson);
  }
  const parsed = schema.safeParse(inTheirName(document, schema));
  if (parsed.success) return parsed.data;
  const problems = parsed.error.issues.map(({ path, message }) => `${path.join('.') || '(body)'}: ${message}`);
  throw new Refusal(422, 'not-understood', problems[0] ?? texts.theRequestIsNotUnderstood, problems);
}

/** Answers with what the work returns, or with its refusal. */
export const answer = (work: () => Promise<unknown>): Promise<Response> =>
  answerFile(async () => json((await work()) ?? {}));

/** Whether whoever was sending has left in the middle: Node.js says so of what it was still reading. */
const wasCutOff = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && error.code === 'ECONNRESET' && error.message === 'aborted';

/**
 * Answers with the file that the work makes, or with its refusal. Anything else is a defect: logged here, nameless
 * outside.
 */
export async function answerFile(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof Refusal) {
      const { status, code, message, problems } = error;
      return errorReply(status, problems.length > 0 ? { code, message, problems } : { code, message });
    }
    const trouble = troubleOf(error);
    if (trouble) {
      troubleSeen(trouble);
      complained(texts.theStore(storeTrouble[trouble]));
      return errorReply(trouble === 'full' ? 507 : 503, { code: `store-${trouble}`, message: storeTrouble[trouble] });
    }
    if (wasCutOff(error)) return errorReply(400, { code: 'cut-off', message: texts.theRequestWasCutOff });
    complained(error);
    const request = requestId();
    return errorReply(500, {
      code: 'failed',
      message: texts.somethingWentWrong,
      ...(request === null ? {} : { request }),
    });
  }
}
