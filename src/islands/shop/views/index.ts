import type { ComponentType } from 'react';
import type { Me, ShopPageView } from '../../../contract';
import { laterEach, viewsOf } from '../../frame/later';
import * as people from '#language/screens/people';
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
  audit: people.audit,
} as const;
export type ShopViewName = keyof typeof SHOP_VIEWS;
export const SHOP_VIEW_NAMES = Object.keys(SHOP_VIEWS) as readonly ShopViewName[];

/** Views where an owner alone changes something; the others can be looked at. */
export const OWNERS_VIEWS: ReadonlySet<ShopViewName> = new Set([
  'limits',
  'rates',
  'about',
  'schools',
  'supplier',
  'backup',
]);

/** Views that are an owner's alone. */
const FOR_OWNERS: ReadonlySet<ShopViewName> = new Set(['people', 'audit']);

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
