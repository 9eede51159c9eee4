import type { APIRoute } from 'astro';
import { previewLimitSchema } from '../../../../contract';
import { answer, body, context, heavily } from '../../../../server';

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => {
    const change = await body(request, previewLimitSchema);
    return heavily(context(), 'limitPreview', [params.id ?? '', change], request.signal);
  });
