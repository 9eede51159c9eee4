import { findCustomer, findJob, findSaw } from '../../data/repositories';
import type { Role } from '../../core/people';
import { FIRST_SHOP } from '../../data/shops/names';
import { forShop, type Context } from '../context';
import { doorState } from '../http/door-state';
import type { Turned } from '../http/guard';
import { pieceOn } from '../use-cases/gear/pieces';
import { Refusal } from '../refusal';
import { ruleOf, type About, type Rule } from './access';
import { shopOfActor, type Actor, type Known } from './actor';
import { actorOf, isOurselves, type ShownSecrets } from './sessions';
import * as texts from '#language/people-refusals';
import * as door from '#language/server';

/** What is asked for, as the pages know it. */
export interface Wanted {
  readonly route: string;
  readonly method: string;
  readonly params: Readonly<Record<string, string | undefined>>;
  readonly shown: ShownSecrets;
  /** Whether it is no sign of life: a stream that is open is nobody at work. */
  readonly isQuiet?: true;
}

/** Whose customer something is; null where there is no such thing. */
const WHOSE: Readonly<Record<About, (context: Context, id: string) => Promise<string | null>>> = {
  customer: async ({ store }, id) => (await findCustomer(store.db, id))?.id ?? null,
  saw: async ({ store }, id) => (await findSaw(store.db, id))?.customerId ?? null,
  job: async ({ store }, id) => (await findJob(store.db, id))?.customer.id ?? null,
  piece: async (context, id) => {
    const on = await pieceOn(context, id).catch((error: unknown) => {
      if (error instanceof Refusal) return null;
      throw error;
    });
    return on && ((await findSaw(context.store.db, on.found.saw))?.customerId ?? null);
  },
};

const NOT_THERE: Turned = { status: 404, code: 'not-found', message: door.thereIsNothingHere };

/** Whether what an address names is of the customer a reader sees. What is not is not there for them. */
async function isTheirs(context: Context, { own, papers }: Rule, { customerId }: Known, { params }: Wanted) {
  if (papers && !papers.includes(params.paper ?? '')) return false;
  if (!own || customerId === null) return false;
  return (await WHOSE[own](context, params.id ?? '')) === customerId;
}

async function whyNot(context: Context, rule: Rule, actor: Actor, wanted: Wanted): Promise<Turned | null> {
  const { who } = rule;
  if (who === 'anyone') return null;
  if (rule.ofFirst && shopOfActor(actor) !== FIRST_SHOP && actor.as !== 'nobody')
    return { status: 403, code: 'first-shop', message: door.ofTheFirstShop };
  if (actor.as === 'bench') return null;
  if (actor.as === 'nobody') {
    const message = wanted.shown.token === null ? texts.signInFirst : texts.tokenDoesNotCount;
    return { status: 401, code: 'sign-in', message };
  }
  if (!who.includes(actor.role))
    return { status: 403, code: 'not-for-you', message: texts.notForRole(actor.role, who as readonly Role[]) };
  if (rule.byToken && actor.as !== 'token') return { status: 403, code: 'token-only', message: texts.byTokenAlone };
  if (rule.withPassword && actor.how === 'pin')
    return { status: 403, code: 'password-first', message: texts.passwordFirst };
  if (actor.role === 'reader' && !rule.anyReader && !(await isTheirs(context, rule, actor, wanted))) return NOT_THERE;
  return null;
}

/** Whoever asks, and why they are turned away; null where they are let in. */
export interface Admitted {
  readonly actor: Actor;
  readonly turned: Turned | null;
}

/** Looks who asks, and whether they may. */
export async function admit(context: Context, wanted: Wanted): Promise<Admitted> {
  const rule = ruleOf(wanted.route, wanted.method);
  if (!rule)
    return {
      actor: { as: 'nobody' },
      turned: { status: 405, code: 'no-such-method', message: door.thisMethodIsNotAnswered },
    };
  const actor = await actorOf(context, wanted.shown, wanted.isQuiet).catch((error: unknown): Actor => {
    // How the store is is told whoever asks, above all where it does not answer.
    if (rule.who === 'anyone') return { as: 'nobody' };
    throw error;
  });
  if (actor.as === 'bench' && !isOurselves(wanted.shown.inside) && doorState()?.isNetwork && rule.who !== 'anyone')
    return { actor, turned: { status: 503, code: 'no-owner', message: texts.noOwnerAnyMore } };
  return { actor, turned: await whyNot(forShop(context, shopOfActor(actor)), rule, actor, wanted) };
}
