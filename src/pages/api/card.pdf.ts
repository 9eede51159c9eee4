import type { APIRoute } from 'astro';
import { answerFile, cardPaperOf, context, download, heavily } from '../../server';

/** The scale card as PDF. */
export const GET: APIRoute = ({ request, url }) =>
  answerFile(async () => {
    const paper = cardPaperOf(url.searchParams.get('paper'));
    const pdf = await heavily(context(), 'card', [paper], request.signal);
    return download(new Uint8Array(pdf), 'application/pdf', `scale-card-${paper}.pdf`, true);
  });
