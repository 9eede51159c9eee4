import type { APIRoute } from 'astro';
import { signOffSchema } from '../../../../contract';
import { answer, body, context, signOff, supplierAt } from '../../../../server';

export const POST: APIRoute = ({ params, request, url }) =>
  answer(async () => signOff(context(), params.id ?? '', await body(request, signOffSchema), supplierAt(url)));
