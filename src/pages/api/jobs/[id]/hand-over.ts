import type { APIRoute } from 'astro';
import { preferencesFrom, unitOn } from '../../../../islands/frame/preferences';
import { handOverRequestSchema, type HandOverPage, type HandOverView } from '../../../../contract';
import { answer, body, context, handOverJob, handOverView, PAPER_LINKS, reachedAt, shopView } from '../../../../server';

const page = (view: HandOverView): HandOverPage => ({ ...view, papers: PAPER_LINKS });

/** The hand-over as it would be written now, and as it was written last. */
export const GET: APIRoute = ({ params }) => answer(async () => page(await handOverView(context(), params.id ?? '')));

/** Hands the job over, with its papers in the unit of whoever does. */
export const POST: APIRoute = ({ params, request, url }) =>
  answer(async () => {
    const unit = unitOn(preferencesFrom(request.headers.get('cookie') ?? ''), await shopView(context()));
    const asked = await body(request, handOverRequestSchema);
    return page(await handOverJob(context(), params.id ?? '', asked, { unit, origin: reachedAt(request, url) }));
  });
