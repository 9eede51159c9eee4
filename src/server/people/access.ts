import type { Role } from '../../core/people';

/** Who may: anyone at all, or those of some roles. */
export type Who = 'anyone' | readonly Role[];

/** What an address is about: a reader may only where it is their customer's. */
export type About = 'customer' | 'saw' | 'piece' | 'job';

/** Who may use a method of an address. */
export interface Rule {
  readonly who: Who;
  /** What the address names, of which a reader sees what is their customer's. */
  readonly own?: About;
  /** Of papers, those that a reader may see. */
  readonly papers?: readonly string[];
  /** Whether it is about the reader themselves, and no customer. */
  readonly anyReader?: true;
  /** Whether it is for programs alone, by a token. */
  readonly byToken?: true;
  /** Whether the session must have begun with the password: a PIN is seen by whoever stands near. */
  readonly withPassword?: true;
  /** Whether it is about the whole store: the first shop keeps it for the others. */
  readonly ofFirst?: true;
}

type Methods = Readonly<Partial<Record<'GET' | 'POST' | 'PUT' | 'DELETE', Rule>>>;

const ANYONE: Rule = { who: 'anyone' };
/** Whoever works in the shop. */
const STAFF: Rule = { who: ['technician', 'counter', 'owner'] };
/** Who judges. */
const BENCH: Rule = { who: ['technician', 'owner'] };
const OWNER: Rule = { who: ['owner'] };
/** What can let somebody in, or undo what others did. */
const SURE_OWNER: Rule = { ...OWNER, withPassword: true };
/** What is about the store, and so about every shop in it. */
const KEEPER: Rule = { ...SURE_OWNER, ofFirst: true };
const EVERYBODY = ['technician', 'counter', 'owner', 'reader'] as const;
/** Whoever is signed in, for themselves. */
const THEMSELVES: Rule = { who: EVERYBODY, anyReader: true };
/** Staff, and the reader whose customer it is about. */
const own = (about: About): Rule => ({ who: EVERYBODY, own: about });
const READERS_PAPERS = ['customer', 'condemned'];

/** What the server itself answers, before any page. */
export const AT_THE_SERVER: readonly string[] = ['/api/live'];

/**
 * Who may what: every page and every endpoint, by the pattern of its address. What is not among them is not answered;
 * a test holds it against the files.
 */
export const ACCESS: Readonly<Record<string, Methods>> = {
  '/': { GET: STAFF },
  '/403': { GET: ANYONE },
  '/404': { GET: ANYONE },
  '/500': { GET: ANYONE },
  '/sign-in': { GET: ANYONE },
  '/card': { GET: STAFF },
  '/counter': { GET: STAFF },
  '/counter/slip': { GET: STAFF },
  '/gear': { GET: STAFF },
  '/gear/customers': { GET: STAFF },
  '/gear/customers/[id]': { GET: own('customer') },
  '/gear/models': { GET: STAFF },
  '/gear/pieces/[id]': { GET: own('piece') },
  '/gear/saws': { GET: STAFF },
  '/gear/saws/[id]': { GET: own('saw') },
  '/jobs/[id]': { GET: STAFF },
  '/jobs/[id]/[paper]': { GET: { ...own('job'), papers: READERS_PAPERS } },
  '/offline/job': { GET: ANYONE },
  '/offline/kept': { GET: ANYONE },
  '/picture': { GET: STAFF },
  '/practice': { GET: STAFF },
  '/practice/papers/[id]': { GET: STAFF },
  '/practice/pocket': { GET: STAFF },
  '/practice/rounds/[id]': { GET: STAFF },
  '/programs': { GET: STAFF },
  '/set-up': { GET: OWNER },
  '/shop': { GET: STAFF },
  '/stock': { GET: STAFF },

  '/api/health': { GET: ANYONE },
  '/api/session': { GET: ANYONE, POST: ANYONE, DELETE: ANYONE },
  '/api/session/take-over': { POST: STAFF },
  '/api/session/password': { PUT: THEMSELVES },
  '/api/session/pin': { PUT: STAFF },

  '/api/archive': { POST: KEEPER },
  '/api/assess': { POST: STAFF },
  '/api/audit': { GET: OWNER },
  '/api/audit.csv': { GET: OWNER },
  '/api/backup': { POST: KEEPER },
  '/api/backups/[name]': { GET: KEEPER },
  '/api/backups/bring': { POST: KEEPER },
  '/api/backups/put-back': { POST: KEEPER },
  '/api/bench': { GET: STAFF },
  '/api/card.pdf': { GET: STAFF },
  '/api/codes': { PUT: BENCH },
  '/api/codes/forget': { POST: BENCH },
  '/api/counter/answer': { POST: STAFF },
  '/api/counter/models/[id]': { GET: STAFF },
  '/api/counter/mounts': { GET: STAFF },
  '/api/counter/saws': { GET: STAFF, POST: STAFF },
  '/api/counter/saws/[id]': { GET: STAFF },
  '/api/customers': { GET: STAFF },
  '/api/figures': { GET: STAFF },
  '/api/gear/changes': { POST: STAFF },
  '/api/gear/customers/[id]/due.csv': { GET: own('customer') },
  '/api/gear/customers/[id]/due.ics': { GET: own('customer') },
  '/api/gear/customers/rows': { GET: STAFF },
  '/api/gear/models/offer': { GET: STAFF },
  '/api/gear/models/rows': { GET: STAFF },
  '/api/gear/saw-list': { POST: STAFF },
  '/api/gear/saws/[id]/others': { GET: STAFF },
  '/api/gear/saws/rows': { GET: STAFF },
  '/api/jobs': { POST: STAFF },
  '/api/jobs/[id]': { GET: STAFF },
  '/api/jobs/[id]/assessment.json': { GET: STAFF },
  '/api/jobs/[id]/drift-factor.json': { GET: STAFF },
  '/api/jobs/[id]/hand-over': { GET: STAFF, POST: STAFF },
  '/api/jobs/[id]/hand-over.json': { GET: own('job') },
  '/api/jobs/[id]/next-visit.ics': { GET: own('job') },
  '/api/jobs/[id]/order-parts.json': { GET: STAFF },
  '/api/jobs/[id]/papers/[paper].pdf': { GET: { ...own('job'), papers: READERS_PAPERS } },
  '/api/jobs/[id]/parts': { POST: STAFF },
  '/api/jobs/[id]/parts.json': { GET: STAFF },
  '/api/jobs/[id]/photos': { POST: STAFF },
  '/api/jobs/[id]/photos/[photo]': { GET: STAFF, DELETE: STAFF },
  '/api/jobs/[id]/plans.json': { GET: STAFF },
  '/api/jobs/[id]/readings': { POST: STAFF },
  '/api/jobs/[id]/reopen': { POST: BENCH },
  '/api/jobs/[id]/sheet.json': { GET: STAFF },
  '/api/jobs/[id]/sign-off': { POST: BENCH },
  '/api/live': { GET: STAFF },
  '/api/live/here': { POST: STAFF },
  '/api/limits/[id]': { PUT: OWNER },
  '/api/limits/[id]/preview': { POST: STAFF },
  '/api/metrics': { GET: { ...OWNER, byToken: true } },
  '/api/openapi.json': { GET: ANYONE },
  '/api/orders/[id]': { POST: STAFF },
  '/api/picture': { POST: STAFF },
  '/api/people': { GET: STAFF, POST: SURE_OWNER },
  '/api/people/[id]': { PUT: SURE_OWNER },
  '/api/people/[id]/password': { PUT: SURE_OWNER },
  '/api/people/accounts': { GET: OWNER },
  '/api/practice/rounds': { POST: STAFF },
  '/api/practice/rounds/[id]/answer': { POST: STAFF },
  '/api/practice/rounds/[id]/hints': { POST: STAFF },
  '/api/practice/rounds/[id]/next': { POST: STAFF },
  '/api/practice/rounds/[id]/readings': { POST: STAFF },
  '/api/schools': { PUT: OWNER },
  '/api/search': { GET: STAFF },
  '/api/sessions/[id]': { DELETE: OWNER },
  '/api/set-up': { GET: OWNER, PUT: OWNER },
  '/api/set-up/leave-demo': { POST: KEEPER },
  '/api/shop': { GET: STAFF, PUT: OWNER },
  '/api/shops': { GET: STAFF, POST: KEEPER },
  '/api/shops/[id]/owner': { POST: KEEPER },
  '/api/shops/here': { PUT: STAFF },
  '/api/shops/sharing': { PUT: OWNER },
  '/api/stock': { GET: STAFF },
  '/api/stock/imports/[id]': { POST: STAFF },
  '/api/stock/imports/[id]/undo': { POST: STAFF },
  '/api/stock/list.csv': { GET: STAFF },
  '/api/stock/match': { GET: STAFF },
  '/api/stock/parts/[sku]': { GET: STAFF, PUT: STAFF, POST: STAFF },
  '/api/stock/rows': { GET: STAFF },
  '/api/stock/shelved': { POST: STAFF },
  '/api/store/code': { POST: STAFF },
  '/api/store/inspect': { POST: { ...OWNER, ofFirst: true } },
  '/api/store/verify': { POST: STAFF },
  '/api/studies': { POST: BENCH },
  '/api/studies/aside': { POST: BENCH },
  '/api/supplier/mood': { PUT: OWNER },
  '/api/supplier/quote': { GET: STAFF },
  '/api/tokens': { POST: SURE_OWNER },
  '/api/tokens/[id]': { DELETE: OWNER },

  // Stand-ins for what is no part of Serrata: a caliper on the bench, and a supplier that anyone can ask. They hold
  // nothing of the shop's; the server itself asks the supplier, and signs in nowhere.
  '/simulated/caliper/command': { POST: STAFF },
  '/simulated/caliper/stream': { GET: STAFF },
  '/simulated/supplier': { GET: ANYONE },
  '/simulated/supplier/orders': { GET: ANYONE, POST: ANYONE },
};

/** The rule of an address and a method; undefined where it is not answered. What may be looked at may be asked after. */
export function ruleOf(route: string, method: string): Rule | undefined {
  const asked = method === 'HEAD' ? 'GET' : method;
  const methods = Object.hasOwn(ACCESS, route) ? ACCESS[route]! : {};
  return Object.hasOwn(methods, asked) ? methods[asked as keyof Methods] : undefined;
}
