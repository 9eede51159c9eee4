import type { APIRoute } from 'astro';
import { chooseSchoolSchema } from '../../contract';
import { answer, body, chooseSchool, context } from '../../server';

export const PUT: APIRoute = ({ request }) =>
  answer(async () => chooseSchool(context(), await body(request, chooseSchoolSchema)));
