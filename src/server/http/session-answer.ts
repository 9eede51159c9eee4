import { deviceName, unnamedDevice } from '../../wording';
import type { From } from '../use-cases/people/sign-in';
import { answerFile, json } from './endpoint';
import { sessionCookie } from './shown';

/** Browsers and systems by what they call themselves; the first that fits, since most claim to be several. */
const BROWSERS = [
  ['Firefox', /Firefox\//],
  ['Edge', /Edg/],
  ['Chromium', /Chrom(e|ium)\//],
  ['Safari', /Safari\//],
] as const;
const SYSTEMS = [
  ['Android', /Android/],
  ['iPad', /iPad/],
  ['iPhone', /iPhone/],
  ['Windows', /Windows/],
  ['macOS', /Mac OS/],
  ['Linux', /Linux/],
] as const;

/** What somebody's machine is, as its browser says it. */
function deviceOf(headers: Headers): string {
  const says = headers.get('user-agent') ?? '';
  const [browser] = BROWSERS.find(([, mark]) => mark.test(says)) ?? [];
  const [system] = SYSTEMS.find(([, mark]) => mark.test(says)) ?? [];
  return browser && system ? deviceName(browser, system) : unnamedDevice;
}

/** Where somebody signs in from: a proxy that was named says it of those who come by it. */
export const cameFrom = ({ headers }: Request, clientAddress: string): From => ({
  address: headers.get('x-forwarded-for') ?? clientAddress,
  device: deviceOf(headers),
});

/**
 * Answers with a session that begins, or that ends where it is null; where it is undefined, everything stays.
 */
export const sessionAnswer = (
  headers: Headers,
  work: () => Promise<{ secret: string; seconds: number } | null | undefined>,
): Promise<Response> =>
  answerFile(async () => {
    const begun = await work();
    const response = json({});
    if (begun !== undefined) response.headers.append('Set-Cookie', sessionCookie(headers, begun));
    return response;
  });
