import type { APIRoute } from 'astro';
import { answer, context, orderFrom, Refusal, stockAnswers } from '../../../server';

export const GET: APIRoute = ({ url }) =>
  answer(async () => {
    const order = orderFrom(url.searchParams);
    if (!order)
      throw new Refusal(422, 'no-order', 'Give pitch, gauge and links, such as ?pitch=325&gauge=.050&links=72.');
    return stockAnswers(context(), order);
  });
