import type { APIRoute } from 'astro';
import { sayHereSchema } from '../../../contract';
import { answer, body, sayHere } from '../../../server';

/** Says at which job and step somebody is, and what they type into. */
export const POST: APIRoute = ({ request }) => answer(async () => sayHere(await body(request, sayHereSchema)));
