import type { APIRoute } from 'astro';
import { changeGearSchema } from '../../../contract';
import { answer, body, changeGear, context } from '../../../server';

/** Says something of customers, saws and pieces beyond the jobs, or takes it back. */
export const POST: APIRoute = ({ request }) =>
  answer(async () => changeGear(context(), await body(request, changeGearSchema)));
