/** Largest request body taken, bytes. A bench sheet of two edges with sixty stations is far below it. */
export const MAX_BODY_BYTES = 1_000_000;

const SAFE_METHODS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Why a request is turned away at the door. */
export interface Turned {
  readonly status: number;
  readonly code: string;
  readonly message: string;
}

/** True when a browser says that the request comes from one of our own pages. Requests that are no browser's carry neither header. */
function ownOrigin(headers: Headers): boolean {
  const site = headers.get('sec-fetch-site');
  if (site) return site === 'same-origin' || site === 'none';
  const origin = headers.get('origin');
  if (!origin) return true;
  return URL.canParse(origin) && new URL(origin).host === headers.get('host');
}

/** Checks origin, type and size of every request that can change something. Null lets it pass. */
export function turnAway(method: string, headers: Headers): Turned | null {
  if (SAFE_METHODS.has(method)) return null;
  if (!ownOrigin(headers))
    return { status: 403, code: 'foreign-origin', message: 'This request comes from another site.' };
  if (!/^application\/json\b/.test(headers.get('content-type') ?? '')) {
    return { status: 415, code: 'not-json', message: 'Send JSON, with the content type application/json.' };
  }
  const length = headers.get('content-length');
  if (length === null) return { status: 411, code: 'length-required', message: 'Send the length of the body.' };
  if (!(Number(length) <= MAX_BODY_BYTES)) {
    return { status: 413, code: 'too-large', message: `The body is larger than ${MAX_BODY_BYTES / 1e6} MB.` };
  }
  return null;
}

/** Headers on every answer. The script and style policy is written by the build, which knows the hashes. */
export const SAFETY_HEADERS: Readonly<Record<string, string>> = {
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'same-origin',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'X-Frame-Options': 'DENY',
};
