import type { APIRoute } from 'astro';
import { preferencesFrom } from '../../../../../islands/frame/preferences';
import { answerFile, context, download, heavily, reachedAt, writePaper } from '../../../../../server';

/** A paper of a job as PDF. */
export const GET: APIRoute = ({ params, request, url }) =>
  answerFile(async () => {
    const { unit } = preferencesFrom(request.headers.get('cookie') ?? '');
    const paper = await writePaper(params.paper ?? '', {
      context: context(),
      jobId: params.id ?? '',
      unit,
      origin: reachedAt(request, url),
      given: url.searchParams.get('given'),
    });
    const pdf = await heavily(context(), 'pdf', [paper], request.signal);
    return download(new Uint8Array(pdf), 'application/pdf', `${paper.tag}-${params.paper}.pdf`, true);
  });
