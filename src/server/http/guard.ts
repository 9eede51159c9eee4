import * as texts from '#language/server';
/** Largest request body taken, bytes. A bench sheet of two edges with sixty stations is far below it. */
export const MAX_BODY_BYTES = 1_000_000;

/** Largest photograph taken, bytes. The browser makes larger ones smaller before it sends them. */
export const MAX_PHOTO_BYTES = 4_000_000;

/** Largest backup that is brought from elsewhere, bytes. */
export const MAX_BROUGHT_BYTES = 4_000_000_000;

const SAFE_METHODS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Why a request is turned away at the door. */
export interface Turned {
  readonly status: number;
  readonly code: string;
  readonly message: string;
}

/**
 * True when nothing that a browser says speaks against one of our own pages: both headers must agree. Requests that are
 * no browser's carry neither.
 */
function ownOrigin(headers: Headers): boolean {
  const site = headers.get('sec-fetch-site');
  if (site && site !== 'same-origin' && site !== 'none') return false;
  const origin = headers.get('origin');
  if (!origin) return true;
  return URL.canParse(origin) && new URL(origin).host === headers.get('host');
}

/** What a kind of address takes: everything is JSON but photographs and backups. */
const KINDS = {
  json: {
    type: /^application\/json\b/,
    code: 'not-json',
    message: texts.sendJson,
    most: MAX_BODY_BYTES,
  },
  photo: {
    type: /^image\/(png|jpeg)$/,
    code: 'not-a-photo',
    message: texts.sendPngOrJpeg,
    most: MAX_PHOTO_BYTES,
  },
  backup: {
    type: /^application\/(octet-stream|zip)$/,
    code: 'not-a-backup',
    message: texts.sendOctets,
    most: MAX_BROUGHT_BYTES,
  },
} as const;

function kindOf(method: string, path: string): keyof typeof KINDS {
  if (method === 'POST' && /(\/photos|^\/api\/picture)\/?$/.test(path)) return 'photo';
  return method === 'POST' && /^\/api\/backups\/bring\/?$/.test(path) ? 'backup' : 'json';
}

/** Checks origin, type and size of every request that can change something. Null lets it pass. */
export function turnAway(method: string, headers: Headers, path = '/'): Turned | null {
  if (SAFE_METHODS.has(method)) return null;
  if (!ownOrigin(headers)) return { status: 403, code: 'foreign-origin', message: texts.fromAnotherSite };
  // Takes nothing but an address: there is no body to bound.
  if (method === 'DELETE') return null;
  const { type, code, message, most } = KINDS[kindOf(method, path)];
  if (!type.test(headers.get('content-type') ?? '')) return { status: 415, code, message };
  const length = headers.get('content-length');
  if (length === null) return { status: 411, code: 'length-required', message: texts.sendTheLength };
  if (!(Number(length) <= most)) {
    return { status: 413, code: 'too-large', message: texts.theBodyIsLarger(most / 1e6) };
  }
  return null;
}

/** Headers on every answer that travels encrypted: it is asked for so ever after. */
export const ENCRYPTED_HEADERS: Readonly<Record<string, string>> = {
  'Strict-Transport-Security': 'max-age=15724800',
};

/** Headers on every answer. The script and style policy is written by the build, which knows the hashes. */
export const SAFETY_HEADERS: Readonly<Record<string, string>> = {
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'same-origin',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'X-Frame-Options': 'DENY',
};
