import type { Rules } from '../../core/assess';
import { createHash } from 'node:crypto';
import { studiesThatCount } from '../../core/hand';
import { DEFAULTS, LIMIT_IDS, resolveLimits, type LimitId, type Limits } from '../../core/limits';
import { resolveSchools, SCHOOLS, type Schools } from '../../core/schools';
import {
  addLimitChange,
  limitChanges,
  setShopFact,
  shopChanges,
  shopStanding,
  type ShopStanding,
} from '../../data/repositories';
import { CUSTOMER_PRICES } from '../../contract';
import type { ChangeLimit, ChooseSchool, PutShopFacts, ShopPageView, ShopView } from '../../contract';
import { calendarDay, limitProblem, schoolAnswerWord, UNNAMED } from '../../wording';
import type { Context } from '../context';
import { notFound, Refusal } from '../refusal';
import { backupsKept } from './backup';
import { recordsView } from './records';
import { mustStandAsSeen } from './based-on';
import { me } from './people/me';
import { DEMO_FACT } from './set-up-facts';
import { stillToSetUp } from './set-up-items';
import { keeperOf } from './sister-shops';
import { newestFirst } from './studies';
import { moodOf } from './supplier';
import * as texts from '#language/server';

/** Where the machine stands, until the shop says where it does. */
const MACHINE_ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The shop and its people, for the band of every page. */
export const shopView = async ({ store }: Context): Promise<ShopView> => shopOf(await shopStanding(store.db));

/** What a shop says of itself. */
export const factsOf = ({ facts }: Pick<ShopStanding, 'facts'>): Omit<ShopView, 'people' | 'me' | 'isDemo'> => ({
  name: facts.name ?? 'Saw room',
  currency: facts.currency ?? 'EUR',
  timeZone: facts.timeZone ?? MACHINE_ZONE,
  style: facts.style ?? 'en-GB',
  customerPrice: CUSTOMER_PRICES.find((each) => each === facts.customerPrice) ?? 'left-out',
  unit: facts.unit === 'in' ? 'in' : 'mm',
});

/** A shop as whoever asks may see it: a reader learns of no people but themselves. */
export const shopOf = ({ facts, people }: ShopStanding): ShopView => ({
  ...factsOf({ facts }),
  people: me()?.role === 'reader' ? [] : people,
  isDemo: facts[DEMO_FACT] !== undefined,
  me: me(),
});

/** The limits in force: defaults with the shop's changes laid over them. */
function limitsOf({ overrides }: ShopStanding): Limits {
  const resolved = resolveLimits(overrides);
  // What was stored was checked when it was stored; a limit that has gone from the programme since must not stop the
  // bench.
  return resolved.ok ? resolved.value : DEFAULTS;
}

const SCHOOL = 'school.';

/** The schools among the shop's facts. */
function schoolsOf(facts: Readonly<Record<string, string>>): Schools {
  const chosen = Object.entries(facts).flatMap(([key, value]) =>
    key.startsWith(SCHOOL) ? [[key.slice(SCHOOL.length), value]] : [],
  );
  return resolveSchools(Object.fromEntries(chosen) as Record<string, string>);
}

/** Follows another school on one question. */
export async function chooseSchool(context: Context, { by, school, answer, was }: ChooseSchool): Promise<Schools> {
  if (!(SCHOOLS[school] as readonly string[]).includes(answer))
    throw new Refusal(422, 'no-such-school', texts.answersAre(SCHOOLS[school].join(', ')));
  const at = context.now().toISOString();
  await context.store.write(async (tx) => {
    const stands: string = schoolsOf((await shopStanding(tx)).facts)[school];
    mustStandAsSeen(stands, was, texts.isFollowedNow(schoolAnswerWord(school, stands)));
    await setShopFact(tx, `${SCHOOL}${school}`, answer, { at, by: by ?? UNNAMED });
  });
  return (await rulesInForce(context)).schools;
}

/** The rules in force in this shop. */
export const rulesInForce = async ({ store }: Context): Promise<Rules> => rulesOf(await shopStanding(store.db));

/** The shop with the rules in force, for pages that show both. */
export async function shopAndRules({ store }: Context): Promise<{ readonly shop: ShopView; readonly rules: Rules }> {
  const standing = await shopStanding(store.db);
  return { shop: shopOf(standing), rules: rulesOf(standing) };
}

/** The rules of a shop as it stands. */
export function rulesOf(standing: ShopStanding): Rules {
  const studies = standing.studies.filter(({ setAside }) => setAside === null);
  const counting = studiesThatCount(studies).map(({ by, instrument, on, takes, known }) => ({
    by,
    instrument,
    on,
    takes,
    known,
  }));
  return {
    limits: limitsOf(standing),
    schools: schoolsOf(standing.facts),
    studies: counting,
    codes: standing.codes.map(({ at: _at, by: _by, ...code }) => code),
  };
}

/** Names a set of rules: two sets have one name only where every limit, code, school and study is the same. */
export function rulesMark({ limits, codes, schools, studies }: Rules): string {
  return createHash('sha256')
    .update(JSON.stringify([limits, codes, schools, studies]))
    .digest('base64url');
}

/** Changes of limits that the page tells of. */
const CHANGES_SHOWN = 30;

export async function shopPage(context: Context): Promise<ShopPageView> {
  const { db } = context.store;
  const [standing, changes, written, records, keptBy] = await Promise.all([
    shopStanding(db),
    limitChanges(db, CHANGES_SHOWN),
    shopChanges(db, CHANGES_SHOWN),
    recordsView(context),
    keeperOf(context),
  ]);
  const shop = shopOf(standing);
  const { limits, schools } = rulesOf(standing);
  const known = changes.flatMap((change) => {
    const limitId = LIMIT_IDS.find((id) => id === change.limitId);
    return limitId ? [{ limitId, text: changeText(limitId, change.value), at: change.at, by: change.by }] : [];
  });
  return {
    shop,
    codes: standing.codes,
    schools,
    supplier: moodOf(standing),
    limits,
    changes: known,
    written,
    studies: newestFirst(standing),
    today: calendarDay(context.now(), shop.timeZone),
    backups: keptBy === null ? backupsKept(context) : null,
    keptBy,
    records,
    stillOpen: await stillToSetUp(db, standing),
  };
}

function changeText(id: LimitId, value: unknown): string {
  if (value === null) return texts.limitBack(DEFAULTS[id].value, DEFAULTS[id].unit);
  const given = typeof value === 'object' && 'value' in value ? value.value : value;
  return texts.limit(String(given), DEFAULTS[id].unit);
}

/** Changes one limit, or puts its default back. Refused with the reason when the number makes no sense. */
export async function changeLimit(
  context: Context,
  id: string,
  { by, value, source, was }: ChangeLimit,
): Promise<Limits> {
  const limitId = LIMIT_IDS.find((known) => known === id);
  if (!limitId) throw notFound('limit');
  const change = value === null ? null : source ? { value, provenance: 'published' as const, source } : { value };
  const at = context.now().toISOString();
  return context.store.write(async (tx) => {
    const standing = await shopStanding(tx);
    const { value: stands, unit } = limitsOf(standing)[limitId];
    mustStandAsSeen(stands, was, texts.limitStands(stands, unit));
    const { [limitId]: _gone, ...others } = standing.overrides;
    const resolved = resolveLimits(change === null ? others : { ...standing.overrides, [limitId]: change });
    if (!resolved.ok) throw new Refusal(422, 'limit-refused', resolved.error.map(limitProblem).join(' '));
    await addLimitChange(tx, { limitId, value: change, at, by });
    return resolved.value;
  });
}

/** Writes down what the shop says of itself. */
export async function changeShopFacts(context: Context, { by, was, ...facts }: PutShopFacts): Promise<ShopView> {
  const written = { at: context.now().toISOString(), by: by ?? UNNAMED };
  await context.store.write(async (tx) => {
    const stands = factsOf(await shopStanding(tx));
    const { name, currency, timeZone, style, customerPrice, unit } = stands;
    const saw = was && { customerPrice, unit, ...was };
    mustStandAsSeen<object>(stands, saw, texts.shopStands(name, currency, timeZone, style, customerPrice === 'told'));
    for (const [key, value] of Object.entries(facts))
      if (value !== undefined && key in stands && stands[key as keyof typeof stands] !== value)
        await setShopFact(tx, key, value, written);
  });
  return shopView(context);
}
