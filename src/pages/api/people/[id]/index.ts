import type { APIRoute } from 'astro';
import { changePersonSchema } from '../../../../contract';
import { answer, body, changePerson, context } from '../../../../server';

/** Changes what somebody may do, or whether they are here. */
export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => changePerson(context(), params.id ?? '', await body(request, changePersonSchema)));
