import type { ComponentType } from 'react';
import type { ShopPageView } from '../../../contract';
import { laterEach, viewsOf } from '../../frame/later';
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
} as const;
export type ShopViewName = keyof typeof SHOP_VIEWS;
export const SHOP_VIEW_NAMES = Object.keys(SHOP_VIEWS) as readonly ShopViewName[];

/** What a view of the shop is given. */
export interface ShopViewProps {
  readonly view: ShopPageView;
}

/** The view that an address asks for; limits where it asks for none. */
export const viewAsked = (asked: string | null): ShopViewName =>
  SHOP_VIEW_NAMES.find((name) => name === asked) ?? 'limits';

/** What each tab shows. */
export const SHOP_VIEW = viewsOf(
  laterEach(SHOP_VIEW_NAMES, import.meta.glob<{ readonly default: ComponentType<ShopViewProps> }>('./*.tsx')),
);
