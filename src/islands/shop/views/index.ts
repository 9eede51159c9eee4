import type { ComponentType } from 'react';
import type { Me, ShopPageView } from '../../../contract';
import { laterEach, viewsOf } from '../../frame/later';
import * as people from '#language/screens/people';
import * as shops from '#language/screens/shops';
import * as texts from '#language/screens/shop';

/** The views of the shop, in the order of their tabs. */
export const SHOP_VIEWS = {
  limits: texts.limits,
  rates: texts.ratesAndLives,
  figures: texts.figures,
  instruments: texts.instruments,
  about: texts.about,
  codes: texts.codes,
  schools: texts.schools,
  supplier: texts.supplier,
  backup: texts.backup,
  records: texts.records,
  people: people.people,
  shops: shops.shops,
  audit: people.audit,
} as const;
export type ShopViewName = keyof typeof SHOP_VIEWS;
export const SHOP_VIEW_NAMES = Object.keys(SHOP_VIEWS) as readonly ShopViewName[];

/** Who changes something on a view beside an owner: nobody, or whoever judges; on the others everybody of the shop may. */
const CHANGED_BY: Partial<Readonly<Record<ShopViewName, 'owner' | 'judging'>>> = {
  limits: 'owner',
  rates: 'owner',
  about: 'owner',
  schools: 'owner',
  supplier: 'owner',
  backup: 'owner',
  codes: 'judging',
  instruments: 'judging',
};

/** Who must be asked to change something on a view; null for whoever may do it. */
export function changedBy(view: ShopViewName, me: Me | null): 'owner' | 'judging' | null {
  if (me === null || me.role === 'owner') return null;
  const by = CHANGED_BY[view] ?? null;
  return by === 'judging' && me.role === 'technician' ? null : by;
}

/** Views that are an owner's alone. */
const FOR_OWNERS: ReadonlySet<ShopViewName> = new Set(['people', 'shops', 'audit']);

/** The views that somebody may open. */
export const viewsFor = (me: Me | null): readonly ShopViewName[] =>
  SHOP_VIEW_NAMES.filter((name) => me === null || me.role === 'owner' || !FOR_OWNERS.has(name));

/** What a view of the shop is given. */
export interface ShopViewProps {
  readonly view: ShopPageView;
}

/** The view that an address asks for; limits where it asks for none. */
export const viewAsked = (asked: string | null, me: Me | null): ShopViewName =>
  viewsFor(me).find((name) => name === asked) ?? 'limits';

/** What each tab shows. */
export const SHOP_VIEW = viewsOf(
  laterEach(SHOP_VIEW_NAMES, import.meta.glob<{ readonly default: ComponentType<ShopViewProps> }>('./*.tsx')),
);
