import { and, asc, gt, inArray, lte, sql } from 'drizzle-orm';
import { codeKey, type LearnedCode } from '../../core/identify';
import type { LimitOverrides } from '../../core/limits';
import { limitChange, shopChange } from '../schema';
import type { Queryable } from '../store';
import type { LearnedCodeRecord } from './codes';
import type { ShopChangeRecord } from './shop';
import type { ShopStanding } from './standing';

/** How the changes of schools and of codes are named. */
const SCHOOL = 'school.';
const CODE = 'code.';

/** What stood at a moment of all that was changed since, by its name; null where nothing did. */
type Stood<T> = ReadonlyMap<string, T | null>;

async function limitsChangedSince(db: Queryable, at: string): Promise<Stood<LimitOverrides[string]>> {
  const { limitId, value } = limitChange;
  const changed = db.selectDistinct({ limitId }).from(limitChange).where(gt(limitChange.at, at));
  const [since, before] = await Promise.all([
    changed,
    db
      .select({ limitId, value })
      .from(limitChange)
      .where(and(inArray(limitId, changed), lte(limitChange.at, at)))
      .orderBy(asc(limitChange.seq)),
  ]);
  return new Map([
    ...since.map((each) => [each.limitId, null] as const),
    ...before.map((each) => [each.limitId, each.value as LimitOverrides[string] | null] as const),
  ]);
}

async function shopChangedSince(db: Queryable, at: string): Promise<Stood<ShopChangeRecord>> {
  const { what } = shopChange;
  const isJudgedBy = sql`(${what} GLOB ${`${SCHOOL}*`} OR ${what} GLOB ${`${CODE}*`})`;
  const changed = db
    .selectDistinct({ what })
    .from(shopChange)
    .where(and(isJudgedBy, gt(shopChange.at, at)));
  const [since, before] = await Promise.all([
    changed,
    db
      .select()
      .from(shopChange)
      .where(and(inArray(what, changed), lte(shopChange.at, at)))
      .orderBy(asc(shopChange.seq)),
  ]);
  return new Map([
    ...since.map((each) => [each.what, null] as const),
    ...before.map((each) => [each.what, each.value === null ? null : each] as const),
  ]);
}

/** What stands, with all that was changed since as it stood. */
function asItStood<T>(stands: Readonly<Record<string, T>>, stood: Stood<T>): Readonly<Record<string, T>> {
  const unchanged = Object.entries(stands).filter(([name]) => !stood.has(name));
  const changed = [...stood].flatMap(([name, value]) => (value === null ? [] : [[name, value] as const]));
  return Object.fromEntries([...unchanged, ...changed]);
}

const codeOf = ({ what, value, at, by }: ShopChangeRecord): LearnedCodeRecord => ({
  code: what.slice(CODE.length),
  ...(JSON.parse(value!) as Omit<LearnedCode, 'code'>),
  ...{ at, by },
});

/** The changes whose name begins so, with what they are read as. */
const those = <T>(
  stood: Stood<ShopChangeRecord>,
  begin: string,
  nameOf: (name: string) => string,
  read: (change: ShopChangeRecord) => T,
): Stood<T> =>
  new Map(
    [...stood].flatMap(([name, change]) =>
      name.startsWith(begin) ? [[nameOf(name), change && read(change)] as const] : [],
    ),
  );

/**
 * How the shop stood at a moment, as far as it judges by it: its limits, schools, codes and studies. What it says of
 * itself is that of today.
 * @param now how it stands
 * @param at a moment, as the store writes it
 */
export async function shopStandingAt(db: Queryable, now: ShopStanding, at: string): Promise<ShopStanding> {
  const [limits, shop] = await Promise.all([limitsChangedSince(db, at), shopChangedSince(db, at)]);
  const schools = those(
    shop,
    SCHOOL,
    (name) => name,
    ({ value }) => value!,
  );
  const codes = those(shop, CODE, (name) => codeKey(name.slice(CODE.length)), codeOf);
  const codesNow = Object.fromEntries(now.codes.map((code) => [codeKey(code.code), code]));
  return {
    people: now.people,
    facts: asItStood(now.facts, schools),
    overrides: asItStood(now.overrides, limits),
    codes: Object.entries(asItStood(codesNow, codes))
      .sort(([one], [other]) => (one < other ? -1 : 1))
      .map(([, code]) => code),
    studies: now.studies
      .filter((study) => study.at <= at)
      .map((study) => (study.setAside && study.setAside.at > at ? { ...study, setAside: null } : study)),
  };
}
