import type { APIRoute } from 'astro';
import { answer, context, shopView } from '../../server';

/** Answers when the store answers, with the memory that the server holds, MB. */
export const GET: APIRoute = () =>
  answer(async () => {
    await shopView(context());
    return { status: 'open', memory: Math.round(process.memoryUsage.rss() / 1e6) };
  });
