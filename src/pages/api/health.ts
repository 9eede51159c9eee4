import type { APIRoute } from 'astro';
import { answer, context, shopView } from '../../server';

/** Answers when the store answers. */
export const GET: APIRoute = () =>
  answer(async () => {
    await shopView(context());
    return { status: 'open' };
  });
