import type { APIRoute } from 'astro';
import { answerFile, metricsText } from '../../server';

/** What the server counts, for a program that watches over it. */
export const GET: APIRoute = () =>
  answerFile(async () => {
    const { text, type } = await metricsText();
    return new Response(text, { headers: { 'Content-Type': type, 'Cache-Control': 'no-store' } });
  });
