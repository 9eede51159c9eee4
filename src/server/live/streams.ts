import type { IncomingMessage, ServerResponse } from 'node:http';
import { LIVE_ADDRESS, type SayHere } from '../../contract';
import { context } from '../context';
import { SAFETY_HEADERS, type Turned } from '../http/guard';
import { shownBy } from '../http/shown';
import { complained } from '../log';
import { shopOfActor, writtenBy } from '../people/actor';
import { admit } from '../people/admit';
import { liveDoor, liveDoorIs } from './between';
import { placeFrom } from './event';
import { LiveHub } from './hub';
import * as texts from '#language/server';

/** Bytes that wait to be read by a browser: it hears of more when it comes back. */
const MOST_WAITING = 256_000;

let hub: LiveHub | null = null;
const theHub = (): LiveHub => (hub ??= new LiveHub(context().store));

const TOO_MANY: Turned = { status: 503, code: 'too-many', message: texts.tooManyStreams };

const FAILED: Turned = { status: 503, code: 'failed', message: texts.somethingWentWrong };

function refused(response: ServerResponse, { status, code, message }: Turned): void {
  response.writeHead(status, {
    'Content-Type': 'application/json; charset=utf-8',
    'Cache-Control': 'no-store',
    ...SAFETY_HEADERS,
  });
  response.end(JSON.stringify({ code, message }));
}

const headersOf = ({ headers }: IncomingMessage): Headers =>
  new Headers(
    Object.entries(headers).flatMap(([name, value]) => (typeof value === 'string' ? [[name, value]] : [])) as [
      string,
      string,
    ][],
  );

/** Opens a stream to a browser, where whoever asks may look at what the shop does. */
async function opened(request: IncomingMessage, response: ServerResponse): Promise<void> {
  const shown = shownBy(headersOf(request));
  const wanted = { route: LIVE_ADDRESS, method: request.method ?? 'GET', params: {}, shown, isQuiet: true as const };
  const { actor, turned } = await admit(context(), wanted);
  const not = turned ?? (theHub().isFull ? TOO_MANY : null);
  if (not) return refused(response, not);
  response.writeHead(200, {
    'Content-Type': 'text/event-stream; charset=utf-8',
    'Cache-Control': 'no-cache, no-transform',
    'X-Accel-Buffering': 'no',
    ...SAFETY_HEADERS,
  });
  response.flushHeaders();
  const asked = new URL(request.url ?? '/', 'http://here').searchParams.get('since');
  const leave = await theHub().open(
    {
      write: (text) => {
        response.write(text);
        return response.writableLength < MOST_WAITING;
      },
      end: () => response.end(),
      shop: shopOfActor(actor),
      mayListen: async () => (await admit(context(), wanted)).turned === null,
    },
    placeFrom(request.headers['last-event-id']?.toString() ?? asked),
  );
  if (!leave) return void response.end();
  if (response.destroyed) leave();
  else response.once('close', leave);
}

/** Lets streams be opened where the server asks for it. */
export function letListen(): void {
  if (liveDoor()) return;
  liveDoorIs({
    open: (request, response) =>
      void opened(request, response).catch((error: unknown) => {
        complained(error);
        if (response.headersSent) response.end();
        else refused(response, FAILED);
      }),
    end: () => hub?.end(),
  });
}

/** Says where somebody is. @returns whether their stream is one of ours: else they open another */
export const sayHere = ({ by, ...said }: SayHere): { readonly heard: boolean } => ({
  heard: theHub().sayHere(writtenBy(by), said),
});
