import type { APIRoute } from 'astro';
import { settleSetUpSchema } from '../../../contract';
import { answer, body, context, settleSetUp, setUpView } from '../../../server';

/** What a shop begins with, and how it stands. */
export const GET: APIRoute = () => answer(() => setUpView(context()));

/** One thing of it is settled, left, or taken up again. */
export const PUT: APIRoute = ({ request }) =>
  answer(async () => settleSetUp(context(), await body(request, settleSetUpSchema)));
