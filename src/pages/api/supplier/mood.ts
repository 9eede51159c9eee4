import type { APIRoute } from 'astro';
import { supplierMoodSchema } from '../../../contract';
import { answer, body, context, setSupplierMood } from '../../../server';

export const PUT: APIRoute = ({ request }) =>
  answer(async () => setSupplierMood(context(), await body(request, supplierMoodSchema)));
