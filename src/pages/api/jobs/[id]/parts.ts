import type { APIRoute } from 'astro';
import { jobPartSchema } from '../../../../contract';
import { actOnPart, answer, body, context, supplierAt } from '../../../../server';

/** Takes a part of the plan from the shelf, puts it back, or orders it. */
export const POST: APIRoute = ({ params, request, url }) =>
  answer(async () => actOnPart(context(), params.id ?? '', await body(request, jobPartSchema), supplierAt(url)));
