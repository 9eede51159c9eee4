import type { APIRoute } from 'astro';
import { shareGearSchema } from '../../../contract';
import { answer, body, context, shareGear } from '../../../server';

/** Whether the other shops find this one's customers and their saws. */
export const PUT: APIRoute = ({ request }) =>
  answer(async () => shareGear(context(), await body(request, shareGearSchema)));
