import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible';
import { Refusal } from '../refusal';
import * as texts from '#language/people-refusals';

/** Wrong passwords for one name before it has to wait; each further one makes the wait twice as long. */
const FREE_OF_NAME = 5;
const FIRST_WAIT_S = 30;
const LONGEST_WAIT_S = 900;
/** Wrong ones from one address, whatever the names, in a quarter of an hour. */
const FREE_OF_ADDRESS = 40;
const SPAN_S = 900;
const DAY_S = 86_400;

/** Names that exist and names that do not are counted alike: nobody learns which are which. */
const ofName = new RateLimiterMemory({ keyPrefix: 'wrong', points: Number.MAX_SAFE_INTEGER, duration: DAY_S });
const waits = new RateLimiterMemory({ keyPrefix: 'wait', points: 1, duration: DAY_S });
const ofAddress = new RateLimiterMemory({ keyPrefix: 'address', points: FREE_OF_ADDRESS, duration: SPAN_S });

const keyOf = (name: string): string => name.trim().toLowerCase().slice(0, 80);

const secondsOf = (res: RateLimiterRes | null): number => Math.ceil((res?.msBeforeNext ?? 0) / 1000);

/** @throws Refusal while a name, or an address, has to wait */
export async function mustNotWait(name: string, from: string): Promise<void> {
  const [own, shared] = await Promise.all([waits.get(keyOf(name)), ofAddress.get(from)]);
  const wait = own && own.consumedPoints > 1 ? secondsOf(own) : 0;
  const away = shared && shared.consumedPoints >= FREE_OF_ADDRESS ? secondsOf(shared) : 0;
  const seconds = Math.max(wait, away);
  if (seconds > 0) throw new Refusal(429, 'wait', texts.tooManyTries(seconds));
}

/** Counts a wrong password. */
export async function triedInVain(name: string, from: string): Promise<void> {
  const key = keyOf(name);
  await ofAddress.consume(from).catch(() => undefined);
  const { consumedPoints } = await ofName.consume(key);
  const beyond = consumedPoints - FREE_OF_NAME;
  if (beyond >= 0) await waits.block(key, Math.min(FIRST_WAIT_S * 2 ** beyond, LONGEST_WAIT_S));
}

/** A right one: the name begins anew. */
export async function triedRight(name: string): Promise<void> {
  await Promise.all([ofName.delete(keyOf(name)), waits.delete(keyOf(name))]);
}
