import { z } from 'zod';

const name = z.string().trim().min(1, 'Write the name.').max(80);

/** Another shop begins on this store, with its first owner. */
export const addShopSchema = z.strictObject({
  name,
  /** Whether the other shops find its customers and their saws. */
  sharesGear: z.boolean(),
  owner: name,
  /** The owner's first password; empty while nobody signs in. */
  password: z.string().max(400).default(''),
});
export type AddShop = z.infer<typeof addShopSchema>;

/** Whether the other shops find this one's customers and their saws. */
export const shareGearSchema = z.strictObject({ sharesGear: z.boolean() });
export type ShareGear = z.infer<typeof shareGearSchema>;

/** A shop gets an owner, or its owner another password. */
export const shopOwnerSchema = z.strictObject({ name, password: z.string().min(1).max(400) });
export type ShopOwner = z.infer<typeof shopOwnerSchema>;

/** The shop that a bench works for from now on, where nobody signs in. */
export const workForSchema = z.strictObject({ shop: z.string().max(40) });
export type WorkFor = z.infer<typeof workForSchema>;

/** A shop that shares the store. */
export interface SharingShopView {
  readonly id: string;
  readonly name: string;
  readonly sharesGear: boolean;
  /** People who work there. */
  readonly people: number;
  /** Whether it is the one that asks. */
  readonly isOwn: boolean;
  /** Whether it has an owner who can sign in. */
  readonly hasOwner: boolean;
}

/** All shops that share the store. */
export interface ShopsView {
  readonly shops: readonly SharingShopView[];
  /** Whether people sign in here. */
  readonly isClosed: boolean;
  /** Whether the shop that asks keeps the store: it adds others, and makes its backups. */
  readonly keepsStore: boolean;
}
