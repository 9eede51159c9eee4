import type { APIRoute } from 'astro';
import { setStudyAsideSchema } from '../../../contract';
import { answer, body, context, putStudyAside } from '../../../server';

export const POST: APIRoute = ({ request }) =>
  answer(async () => putStudyAside(context(), await body(request, setStudyAsideSchema)));
