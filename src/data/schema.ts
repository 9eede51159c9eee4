import { sql } from 'drizzle-orm';
import {
  blob,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
  type AnySQLiteColumn,
} from 'drizzle-orm/sqlite-core';
import { SPROCKET_KINDS } from '../core/declared';
import { SEQUENCES } from '../core/identify';
import { STOCK_KINDS } from '../core/stock';
import { GEAR_CHANGES } from '../core/life';
import { TOPICS } from '../core/live';
import { PEOPLE_EVENTS, ROLES, SESSION_ENDS } from '../core/people';
import { THIS_SHOP, THIS_SHOP_OF_A_RECORD } from './shops/names';

/** Moments are stored as ISO 8601 text in UTC, which sorts as it should. */
const moment = (name: string) => text(name).notNull();

/**
 * The shop that a row is of; empty for the first shop of a store. Whoever writes does not say it: the store knows whose
 * it is just now.
 */
const ofShop = () =>
  text('shop_id')
    .notNull()
    .$defaultFn(() => THIS_SHOP);

/** The same of a record in the chain, where what older versions wrote stays as it was: null for the first shop. */
const recordOfShop = () => text('shop_id').$defaultFn(() => THIS_SHOP_OF_A_RECORD);

/** Shops that share this store. What they are called is among their facts. */
export const shop = sqliteTable('shop', {
  /** Empty for the first. */
  id: text('id').primaryKey(),
  /** Whether the other shops find its customers and their saws. */
  sharesGear: integer('shares_gear', { mode: 'boolean' }).notNull(),
  at: moment('at'),
  by: text('by').notNull(),
});

/** People of a shop. Every write names one, by the name that no two of them share. */
export const person = sqliteTable('person', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  role: text('role', { enum: ROLES }).notNull().default('technician'),
  /** The one customer whose saws a reader sees; null for everybody else. */
  customerId: text('customer_id').references((): AnySQLiteColumn => customer.id),
  /** Since when they are here no more; null while they are. What they wrote keeps their name. */
  leftAt: text('left_at'),
  shopId: ofShop(),
});

/** What somebody proves with who they are: kept as a hash, in the store and in backups alone. */
export const credential = sqliteTable(
  'credential',
  {
    personId: text('person_id')
      .notNull()
      .references(() => person.id),
    kind: text('kind', { enum: ['password', 'pin'] }).notNull(),
    /** Argon2id, with its salt and its cost. */
    hash: text('hash').notNull(),
    /** Wrong answers in a row since the last right one. */
    wrong: integer('wrong').notNull().default(0),
    at: moment('at'),
    by: text('by').notNull(),
  },
  (table) => [primaryKey({ columns: [table.personId, table.kind] })],
);

/** A browser that somebody signed in with. It ends, and is never taken away: triggers see to that. */
export const session = sqliteTable(
  'session',
  {
    id: text('id').primaryKey(),
    /** SHA-256 of what the browser shows: whoever reads the store cannot show it. */
    hash: text('hash').notNull(),
    personId: text('person_id')
      .notNull()
      .references(() => person.id),
    how: text('how', { enum: ['password', 'pin'] }).notNull(),
    /** What it runs on, as its browser says it. */
    device: text('device').notNull(),
    startedAt: moment('started_at'),
    /** When it was last heard of, to some minutes. */
    seenAt: moment('seen_at'),
    /** The moment after which it counts no more, however busy it is. */
    endsAt: moment('ends_at'),
    endedAt: text('ended_at'),
    why: text('why', { enum: SESSION_ENDS }),
  },
  (table) => [
    uniqueIndex('session_hash').on(table.hash),
    index('session_of_person').on(table.personId),
    // Those that still go on are few, however many there ever were.
    index('session_going_on')
      .on(table.seenAt)
      .where(sql`ended_at IS NULL`),
  ],
);

/** What another program shows to be let in. Revoked, never taken away: triggers see to that. */
export const accessToken = sqliteTable(
  'access_token',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    role: text('role', { enum: ROLES }).notNull(),
    customerId: text('customer_id').references(() => customer.id),
    hash: text('hash').notNull(),
    endsAt: moment('ends_at'),
    at: moment('at'),
    by: text('by').notNull(),
    revokedAt: text('revoked_at'),
    revokedBy: text('revoked_by'),
    shopId: ofShop(),
  },
  (table) => [uniqueIndex('access_token_hash').on(table.hash)],
);

/** Who came, went and was let in to what. Never changed, never deleted: triggers see to that. */
export const peopleEvent = sqliteTable('people_event', {
  seq: integer('seq').primaryKey({ autoIncrement: true }),
  what: text('what', { enum: PEOPLE_EVENTS }).notNull(),
  /** The person or the token it is about, by name. */
  about: text('about').notNull(),
  /** A role, a device, a day: what there is to say beside. */
  detail: text('detail').notNull().default(''),
  at: moment('at'),
  by: text('by').notNull(),
  shopId: recordOfShop(),
});

/** Facts about the shop itself: its name, its currency. */
export const shopFact = sqliteTable(
  'shop_fact',
  {
    shopId: ofShop(),
    key: text('key').notNull(),
    value: text('value').notNull(),
  },
  (table) => [primaryKey({ columns: [table.shopId, table.key] })],
);

export const customer = sqliteTable('customer', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  contact: text('contact').notNull().default(''),
  createdAt: moment('created_at'),
  createdBy: text('created_by').notNull(),
  /** Since when it is offered no more; null while it is. */
  retiredAt: text('retired_at'),
  shopId: ofShop(),
});

export const saw = sqliteTable(
  'saw',
  {
    id: text('id').primaryKey(),
    customerId: text('customer_id')
      .notNull()
      .references(() => customer.id),
    label: text('label').notNull(),
    tag: text('tag').notNull().default(''),
    mount: text('mount'),
    maxRpm: integer('max_rpm'),
    createdAt: moment('created_at'),
    createdBy: text('created_by').notNull(),
    /** Since when it is offered no more; null while it is. */
    retiredAt: text('retired_at'),
    /** The record that it turned out to be one with; its jobs are there. */
    mergedInto: text('merged_into'),
    shopId: ofShop(),
  },
  (table) => [
    index('saw_customer').on(table.customerId),
    index('saw_merged')
      .on(table.mergedInto)
      .where(sql`merged_into IS NOT NULL`),
  ],
);

/**
 * A job. What was seen and measured hangs on it as readings; `summary` is what the Bench shows without reading them
 * all.
 */
export const job = sqliteTable(
  'job',
  {
    id: text('id').primaryKey(),
    tag: text('tag').notNull(),
    customerId: text('customer_id')
      .notNull()
      .references(() => customer.id),
    sawId: text('saw_id').references(() => saw.id),
    state: text('state', { enum: ['open', 'signed-off', 'handed-over'] })
      .notNull()
      .default('open'),
    promisedFor: text('promised_for'),
    summary: text('summary', { mode: 'json' }),
    /** The limits and the programme the summary was made with. */
    summaryKey: text('summary_key').notNull().default(''),
    /** What it waits for on the Bench; null once it has left it. */
    waits: text('waits'),
    createdAt: moment('created_at'),
    createdBy: text('created_by').notNull(),
    shopId: ofShop(),
  },
  (table) => [
    uniqueIndex('job_tag').on(table.shopId, table.tag),
    // Each ends in the order in which jobs were taken in, whatever the clock said.
    index('job_promised').on(table.state, table.promisedFor),
    index('job_in_state').on(table.state),
    index('job_of_customer').on(table.customerId),
    index('job_of_saw').on(table.sawId),
    // The Bench is short, however many jobs there ever were.
    index('job_on_bench')
      .on(table.waits, table.promisedFor)
      .where(sql`waits IS NOT NULL`),
  ],
);

/** One thing as typed. Never changed, never deleted (triggers see to that): a new reading supersedes the old. */
export const reading = sqliteTable(
  'reading',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    id: text('id').notNull(),
    jobId: text('job_id')
      .notNull()
      .references(() => job.id),
    path: text('path').notNull(),
    text: text('text').notNull(),
    unit: text('unit', { enum: ['mm', 'in'] }).notNull(),
    instrument: text('instrument'),
    supersedes: text('supersedes'),
    at: moment('at'),
    by: text('by').notNull(),
  },
  (table) => [
    uniqueIndex('reading_id').on(table.id),
    // Two readings cannot supersede the same one, and a place has one first reading: a conflict is refused by the store
    // itself.
    uniqueIndex('reading_supersedes').on(table.supersedes),
    uniqueIndex('reading_first')
      .on(table.jobId, table.path)
      .where(sql`supersedes IS NULL`),
    index('reading_job').on(table.jobId, table.seq),
    // One place of many jobs is found without passing all that was read of them.
    index('reading_place').on(table.jobId, table.path),
  ],
);

export const stockPart = sqliteTable(
  'stock_part',
  {
    shopId: ofShop(),
    sku: text('sku').notNull(),
    kind: text('kind', { enum: STOCK_KINDS }).notNull(),
    name: text('name').notNull(),
    pitch: text('pitch', { enum: ['quarter', '325', '38lp', '38', '404'] }),
    gauge: text('gauge', { enum: ['.043', '.050', '.058', '.063'] }),
    driveLinks: integer('drive_links'),
    kickbackClass: text('kickback_class', { enum: ['low-kickback', 'standard'] }),
    sequence: text('sequence', { enum: SEQUENCES }),
    mount: text('mount'),
    oilHole: text('oil_hole'),
    listedInches: real('listed_inches'),
    teeth: integer('teeth'),
    sprocketKind: text('sprocket_kind', { enum: SPROCKET_KINDS }),
    splines: integer('splines'),
    bore: real('bore'),
    saw: text('saw'),
    quantity: integer('quantity').notNull(),
    minimum: integer('minimum').notNull(),
    priceCents: integer('price_cents').notNull(),
    /** Counts the changes: an edit names the one it was based on. */
    version: integer('version').notNull().default(1),
  },
  (table) => [
    primaryKey({ columns: [table.sku, table.shopId] }),
    index('stock_numbers').on(table.shopId, table.kind, table.pitch, table.gauge, table.driveLinks, table.sku),
    index('stock_links').on(table.shopId, table.kind, table.driveLinks, table.gauge),
  ],
);

/** One taking-in of a stock list. Its rows keep what stood before, so that it can be undone as one. */
export const stockImport = sqliteTable('stock_import', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  at: moment('at'),
  by: text('by').notNull(),
  undoneAt: text('undone_at'),
  undoneBy: text('undone_by'),
  shopId: ofShop(),
});

export const stockImportRow = sqliteTable(
  'stock_import_row',
  {
    importId: text('import_id')
      .notNull()
      .references(() => stockImport.id),
    sku: text('sku').notNull(),
    /** The part as it stood before; null when it was new. */
    before: text('before', { mode: 'json' }),
    after: text('after', { mode: 'json' }).notNull(),
    /** The newest movement of the shelf when it was brought: later ones happened since. Null in older imports. */
    movedUpTo: integer('moved_up_to'),
    /** What undoing did with it; null while it was not undone. */
    undone: text('undone', { enum: ['restored', 'kept'] }),
  },
  (table) => [
    primaryKey({ columns: [table.importId, table.sku] }),
    // What is left to undo is found without passing what was undone.
    index('stock_import_row_left')
      .on(table.importId, table.sku)
      .where(sql`undone IS NULL`),
  ],
);

/** A batch of an import that was taken in, and what was answered: sent again, it is answered so and does nothing. */
export const stockImportBatch = sqliteTable(
  'stock_import_batch',
  {
    importId: text('import_id')
      .notNull()
      .references(() => stockImport.id),
    batch: text('batch').notNull(),
    answer: text('answer', { mode: 'json' }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.importId, table.batch] })],
);

/**
 * Every change of what is on the shelf, its minimum or its price, with who and when. Never changed, never deleted:
 * triggers see to that.
 */
export const stockMovement = sqliteTable(
  'stock_movement',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    /** Made where it was written, so that sending it twice moves once. */
    id: text('id').notNull(),
    /** Not tied to the part: what was taken stays taken when a part leaves the list. */
    sku: text('sku').notNull(),
    kind: text('kind', {
      enum: ['taken', 'booked', 'counted', 'changed', 'list', 'list-undone', 'for-job', 'from-job', 'arrived'],
    }).notNull(),
    /** The job that it was taken for, put back from, or that it was ordered for. */
    jobId: text('job_id'),
    /** Pieces more or fewer. */
    change: integer('change').notNull(),
    /** Pieces on the shelf afterwards. */
    left: integer('left').notNull(),
    note: text('note').notNull().default(''),
    at: moment('at'),
    by: text('by').notNull(),
    shopId: recordOfShop(),
  },
  (table) => [
    uniqueIndex('stock_movement_id').on(table.id),
    index('stock_movement_sku').on(table.sku, table.seq),
    index('stock_movement_job')
      .on(table.jobId)
      .where(sql`job_id IS NOT NULL`),
  ],
);

/**
 * A part ordered of the supplier for a job. Never changed, never deleted: triggers see to that; how it stands is its
 * newest event.
 */
export const partOrder = sqliteTable(
  'part_order',
  {
    /** Made where it was written, so that sending it twice orders once. */
    id: text('id').primaryKey(),
    jobId: text('job_id')
      .notNull()
      .references(() => job.id),
    sku: text('sku').notNull(),
    /** The part as it was chosen: what it is once it arrives. */
    part: text('part', { mode: 'json' }).notNull(),
    at: moment('at'),
    by: text('by').notNull(),
  },
  (table) => [index('part_order_job').on(table.jobId)],
);

/** What became of an order, step by step. Never changed, never deleted. */
export const partOrderEvent = sqliteTable(
  'part_order_event',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    orderId: text('order_id')
      .notNull()
      .references(() => partOrder.id),
    state: text('state', {
      enum: ['ordered', 'confirmed', 'late', 'refused', 'arrived', 'cancelled'],
    }).notNull(),
    /** The day it is to be here, where the supplier named one. */
    due: text('due'),
    note: text('note').notNull().default(''),
    at: moment('at'),
    by: text('by').notNull(),
  },
  (table) => [index('part_order_event_order').on(table.orderId, table.seq)],
);

/** A job handed over, with its document as it stood. Never changed, never deleted. */
export const handOver = sqliteTable(
  'hand_over',
  {
    id: text('id').primaryKey(),
    jobId: text('job_id')
      .notNull()
      .references(() => job.id),
    document: text('document', { mode: 'json' }).notNull(),
    /** The papers as they were given; null in what older versions handed over. */
    papers: text('papers', { mode: 'json' }),
    /** The day of the next visit, as an ISO date. */
    nextVisit: text('next_visit').notNull(),
    at: moment('at'),
    by: text('by').notNull(),
  },
  (table) => [index('hand_over_job').on(table.jobId), index('hand_over_due').on(table.nextVisit)],
);

/**
 * What the model foresaw of each job's test cut without a factor, and what was measured; made again with the job's
 * summary.
 */
export const testCut = sqliteTable('test_cut', {
  jobId: text('job_id')
    .primaryKey()
    .references(() => job.id),
  /** Drift, mm, to the right above 0. */
  predicted: real('predicted').notNull(),
  measured: real('measured').notNull(),
});

/** Codes punched into drive links, as the shop has learned them. Compared by key: without case and spaces. */
export const learnedCode = sqliteTable(
  'learned_code',
  {
    shopId: ofShop(),
    key: text('key').notNull(),
    code: text('code').notNull(),
    pitch: text('pitch', { enum: ['quarter', '325', '38lp', '38', '404', '3/8'] }),
    gauge: text('gauge', { enum: ['.043', '.050', '.058', '.063'] }),
    driveLinks: integer('drive_links'),
    kickbackClass: text('kickback_class', { enum: ['low-kickback', 'standard'] }),
    replacedBy: text('replaced_by').notNull().default(''),
    note: text('note').notNull().default(''),
    at: moment('at'),
    by: text('by').notNull(),
  },
  (table) => [primaryKey({ columns: [table.shopId, table.key] })],
);

/**
 * Studies of a hand and its tool: one place or one block, measured again and again. Never changed, never deleted:
 * triggers see to that; a study that turned out wrong is set aside by a row that names it, and the newest that stands
 * counts.
 */
export const handStudy = sqliteTable(
  'hand_study',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    /** Made where it was written, so that sending it twice stores it once. */
    id: text('id').notNull(),
    instrument: text('instrument').notNull(),
    /** Takes, mm, in their order. */
    takes: text('takes', { mode: 'json' }).notNull(),
    /** Size of the block and its standard uncertainty, mm; null where the size was not known. */
    known: real('known'),
    knownDoubt: real('known_doubt'),
    note: text('note').notNull().default(''),
    /** The study that this row sets aside; it has no takes then. */
    setsAside: text('sets_aside'),
    at: moment('at'),
    by: text('by').notNull(),
    shopId: recordOfShop(),
  },
  (table) => [
    uniqueIndex('hand_study_id').on(table.id),
    index('hand_study_by').on(table.by, table.instrument, table.seq),
  ],
);

/** Rounds of practice: made of a seed, and of nothing that is real. */
export const practiceRound = sqliteTable(
  'practice_round',
  {
    id: text('id').primaryKey(),
    by: text('by').notNull(),
    kind: text('kind', { enum: ['one', 'due', 'twenty', 'paper', 'first'] }).notNull(),
    /** Rounds that are taken one after the other, and the number in their row, from 1. */
    sitting: text('sitting').notNull(),
    place: integer('place').notNull(),
    paper: text('paper'),
    level: text('level').notNull(),
    theme: text('theme').notNull(),
    seed: integer('seed').notNull(),
    /** What was read, and what it took. */
    taken: text('taken', { mode: 'json' }).notNull(),
    hints: text('hints', { mode: 'json' }).notNull(),
    /** What was said of it; null before the answer. */
    said: text('said', { mode: 'json' }),
    /** How it was scored on the day: what a later version would say of it moves nothing. */
    score: text('score', { mode: 'json' }),
    at: moment('at'),
    answeredAt: text('answered_at'),
    shopId: ofShop(),
  },
  (table) => [
    index('practice_round_by').on(table.by, table.at),
    index('practice_round_sitting').on(table.sitting, table.place),
  ],
);

/** Pictures taken when a job came in. Taking one away hides it; its bytes go after a while, that it was there stays. */
export const photo = sqliteTable(
  'photo',
  {
    id: text('id').primaryKey(),
    jobId: text('job_id')
      .notNull()
      .references(() => job.id),
    type: text('type', { enum: ['image/png', 'image/jpeg'] }).notNull(),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
    at: moment('at'),
    by: text('by').notNull(),
    takenAwayAt: text('taken_away_at'),
  },
  (table) => [index('photo_job').on(table.jobId, table.at)],
);

/**
 * What people said of customers, saws and their pieces beyond the jobs: entered, mended, merged, tagged, moved. Never
 * changed, never deleted: triggers see to that; what was said wrongly is undone by a row that names it.
 */
export const gearChange = sqliteTable(
  'gear_change',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    /** Made where it was said, so that sending it twice says it once. */
    id: text('id').notNull(),
    what: text('what', { enum: GEAR_CHANGES }).notNull(),
    /** Whom, which saw, which piece it is about; the other saw, where there are two. */
    customerId: text('customer_id'),
    sawId: text('saw_id'),
    otherSawId: text('other_saw_id'),
    piece: text('piece'),
    /** What was said, and what stood before, as undoing needs it. */
    said: text('said', { mode: 'json' }),
    before: text('before', { mode: 'json' }),
    /** The row that this one undoes. */
    undoes: text('undoes'),
    at: moment('at'),
    by: text('by').notNull(),
    shopId: recordOfShop(),
  },
  (table) => [
    uniqueIndex('gear_change_id').on(table.id),
    uniqueIndex('gear_change_undoes').on(table.undoes),
    index('gear_change_customer').on(table.customerId, table.seq),
    index('gear_change_saw').on(table.sawId, table.seq),
    index('gear_change_other_saw').on(table.otherSawId, table.seq),
    index('gear_change_piece').on(table.piece, table.seq),
    index('gear_change_list')
      .on(table.seq)
      .where(sql`what = 'saws-listed'`),
    index('gear_change_model')
      .on(table.seq)
      .where(sql`what IN ('model-entered', 'model-mended', 'models-listed')`),
  ],
);

/** What is usual for a model of saw with a bar of one length, as the shop wrote it. */
export const sawModel = sqliteTable(
  'saw_model',
  {
    id: text('id').primaryKey(),
    /** Name and bar without capitals and more than one space: of those there is one in use. */
    key: text('key').notNull(),
    name: text('name').notNull(),
    bar: text('bar').notNull(),
    mount: text('mount'),
    /** The three numbers as they would be punched on. */
    pitch: text('pitch').notNull(),
    gauge: text('gauge').notNull(),
    links: text('links').notNull(),
    sprocketKind: text('sprocket_kind', { enum: SPROCKET_KINDS }),
    teeth: integer('teeth'),
    splines: integer('splines'),
    retiredAt: text('retired_at'),
    at: moment('at'),
    by: text('by').notNull(),
    shopId: ofShop(),
  },
  (table) => [index('saw_model_key').on(table.key)],
);

/** What the counter learned of a saw, kept for the next call; the newest counts. */
export const sawMemory = sqliteTable(
  'saw_memory',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    sawId: text('saw_id')
      .notNull()
      .references(() => saw.id),
    entries: text('entries', { mode: 'json' }).notNull(),
    at: moment('at'),
    by: text('by').notNull(),
  },
  (table) => [index('saw_memory_saw').on(table.sawId, table.seq)],
);

/** A verdict signed off, with everything it rested on. */
export const signOff = sqliteTable(
  'sign_off',
  {
    id: text('id').primaryKey(),
    jobId: text('job_id')
      .notNull()
      .references(() => job.id),
    at: moment('at'),
    by: text('by').notNull(),
    sheet: text('sheet', { mode: 'json' }).notNull(),
    limits: text('limits', { mode: 'json' }).notNull(),
    assessment: text('assessment', { mode: 'json' }).notNull(),
    /** The repair plan that was chosen, with the reason where another one beats it; null where none was. */
    plan: text('plan', { mode: 'json' }),
    /**
     * Names the rules that it was looked at with: limits, codes, schools and studies. Empty in what older versions
     * signed.
     */
    rules: text('rules').notNull().default(''),
    /** Version of the programme that assessed. */
    version: text('version').notNull(),
    /** Last reading that was taken in, so that later ones show as such. */
    upToReading: integer('up_to_reading').notNull(),
  },
  (table) => [index('sign_off_job').on(table.jobId, table.at)],
);

/**
 * Every change of what the shop says of itself, of its schools and its codes, with who and when. Never changed, never
 * deleted.
 */
export const shopChange = sqliteTable('shop_change', {
  seq: integer('seq').primaryKey({ autoIncrement: true }),
  /** A fact's key, or `code.` and the code. */
  what: text('what').notNull(),
  /** Null where it was taken away. */
  value: text('value'),
  at: moment('at'),
  by: text('by').notNull(),
  shopId: recordOfShop(),
});

/** The shop's changes of limits, newest counting. Kept, not overwritten: a limit is part of a judgement. */
export const limitChange = sqliteTable(
  'limit_change',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    limitId: text('limit_id').notNull(),
    /** Null puts the default back. */
    value: text('value', { mode: 'json' }),
    at: moment('at'),
    by: text('by').notNull(),
    shopId: recordOfShop(),
  },
  (table) => [index('limit_change_id').on(table.limitId, table.seq)],
);

/**
 * The chain over all records that never change, one link a record: what stands in the record and the link before are in
 * its hash, so that a change with the file in hand is seen. A later column of a chained table must be one that may be
 * null: what is null is left out of the hash, and older links go on fitting.
 */
export const chainLink = sqliteTable(
  'chain_link',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    /** The table of the record; `began` for the first link, whose key is the moment. */
    record: text('record').notNull(),
    /** The record's own number or id in its table. */
    key: text('key').notNull(),
    hash: text('hash').notNull(),
  },
  (table) => [uniqueIndex('chain_link_record').on(table.record, table.key)],
);

/**
 * What changed last, by what it is about, written by triggers: whoever shows something asks what changed since they
 * looked. It has one row a job, and few beside.
 */
export const changed = sqliteTable(
  'changed',
  {
    topic: text('topic', { enum: TOPICS }).notNull(),
    /** The job it is about; empty for what there is once. */
    subject: text('subject').notNull(),
    /** Counts all changes; a later one of the same subject takes its place. */
    seq: integer('seq').notNull(),
  },
  (table) => [primaryKey({ columns: [table.topic, table.subject] }), uniqueIndex('changed_seq').on(table.seq)],
);
