import type { APIRoute } from 'astro';
import { changeLimitSchema } from '../../../../contract';
import { answer, body, changeLimit, context } from '../../../../server';

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => changeLimit(context(), params.id ?? '', await body(request, changeLimitSchema)));
