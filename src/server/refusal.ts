import * as texts from '#language/server';

/** An expected refusal of a request: becomes a status, a code and a sentence. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly problems: readonly string[] = [],
  ) {
    super(message);
  }
}

/** The thing asked for is not there. */
export const notFound = (what: string): Refusal => new Refusal(404, 'not-found', `There is no such ${what}.`);

/** Whoever asked has gone: nobody hears it. */
export const nobodyWaits = (): Refusal => new Refusal(503, 'gone', texts.tooMuchAtOnce);
