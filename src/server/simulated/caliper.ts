import { EventEmitter } from 'node:events';
import type { CaliperCommand, CaliperMessage } from '../../contract';
import { Refusal } from '../refusal';
import * as texts from '#language/server';

/** The display is sent this often, ms. */
const DISPLAY_MS = 200;
/** A hand does not hold still: readings scatter by up to this, mm. */
const JITTER = 0.02;
/** A reading costs this much charge, percent. */
const PER_READING = 0.05;

/** Screens that listen at once. */
const MOST_LISTENERS = 40;

/** One caliper on the bench: shared by all screens, as the real one would be. */
class SimulatedCaliper {
  private jaw = 8;
  private battery = 90;
  private line: 'up' | 'down' = 'up';
  private readonly events = new EventEmitter().setMaxListeners(MOST_LISTENERS + 1);

  /**
   * What the display shows now, to a hundredth, with the jitter of a hand. Jaws that are shut show nothing below zero.
   */
  private shown(): number {
    const scatter = (Math.random() * 2 - 1) * JITTER;
    return Math.max(0, Math.round((this.jaw + scatter) * 100) / 100);
  }

  private message(kind: CaliperMessage['kind']): CaliperMessage {
    return { kind, mm: this.shown(), battery: Math.round(this.battery) };
  }

  get listeners(): number {
    return this.events.listenerCount('message');
  }

  get reachable(): boolean {
    return this.line === 'up' && this.battery > 0;
  }

  /** Does as told; a press is heard by every screen that listens. */
  command({ jaw, press, line, battery }: CaliperCommand): { jaw: number; battery: number; line: 'up' | 'down' } {
    if (jaw !== undefined) this.jaw = jaw;
    if (battery !== undefined) this.battery = battery;
    if (line !== undefined) this.line = line;
    if (!this.reachable) this.events.emit('gone');
    else if (press) {
      this.battery = Math.max(1, this.battery - PER_READING);
      this.events.emit('message', this.message('reading'));
    }
    return { jaw: this.jaw, battery: Math.round(this.battery), line: this.line };
  }

  /** Streams the display and the readings until the line goes down or the listener leaves. */
  listen(send: (message: CaliperMessage) => void, gone: () => void): () => void {
    const display = setInterval(() => send(this.message('live')), DISPLAY_MS);
    const stop = () => {
      clearInterval(display);
      this.events.off('message', send);
      this.events.off('gone', end);
    };
    const end = () => {
      stop();
      gone();
    };
    this.events.on('message', send);
    this.events.on('gone', end);
    return stop;
  }
}

const caliper = new SimulatedCaliper();

/** Tells the stand-in what a hand would do with it. */
export function caliperCommand(command: CaliperCommand): ReturnType<SimulatedCaliper['command']> {
  return caliper.command(command);
}

/** Not to be transformed: a compressed stream would be held back until it is long enough. */
const STREAM_HEADERS = { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform' };

/**
 * The caliper's own stream, as server-sent events. Refused while its line is down or its battery empty, and to more
 * screens than a bench has.
 * @param method HEAD is told what would come, and nothing is begun for it
 */
export function caliperStream(method: string): Response {
  if (!caliper.reachable) throw new Refusal(503, 'no-caliper', texts.theCaliperDoesNotAnswer);
  if (method === 'HEAD') return new Response(null, { headers: STREAM_HEADERS });
  if (caliper.listeners >= MOST_LISTENERS) throw new Refusal(503, 'too-many', texts.tooManyListen(MOST_LISTENERS));
  const encoder = new TextEncoder();
  let stop: () => void = () => undefined;
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      stop = caliper.listen(
        (message) => controller.enqueue(encoder.encode(`data: ${JSON.stringify(message)}\n\n`)),
        () => controller.close(),
      );
    },
    cancel: () => stop(),
  });
  return new Response(body, { headers: STREAM_HEADERS });
}
