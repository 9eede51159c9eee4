import type { APIRoute } from 'astro';
import { preferencesFrom, unitOn } from '../../../../../islands/frame/preferences';
import { answerFile, context, download, heavily, reachedAt, shopView, writePaper } from '../../../../../server';

/** A paper of a job as PDF. */
export const GET: APIRoute = ({ params, request, url }) =>
  answerFile(async () => {
    const unit = unitOn(preferencesFrom(request.headers.get('cookie') ?? ''), await shopView(context()));
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
