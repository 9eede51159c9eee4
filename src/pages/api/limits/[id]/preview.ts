import type { APIRoute } from 'astro';
import { previewLimitSchema } from '../../../../contract';
import { answer, body, context, previewLimit } from '../../../../server';

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => previewLimit(context(), params.id ?? '', await body(request, previewLimitSchema)));
