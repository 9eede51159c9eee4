import type { APIRoute } from 'astro';
import { answer, context, leaveDemo } from '../../../server';

/** Leaves the demo for an empty shop; the demo is kept as a backup. */
export const POST: APIRoute = () => answer(() => leaveDemo(context()));
