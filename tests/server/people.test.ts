import { readFileSync } from 'node:fs';
import { addHours } from 'date-fns';
import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PIN_TRIES } from '../../src/core/people';
import { backupStore } from '../../src/data/keeping/backup';
import { putBackInPlace } from '../../src/data/keeping/put-back';
import { writeArchive } from '../../src/data/keeping/archive/write';
import { accounts } from '../../src/data/repositories';
import { body } from '../../src/server/http/endpoint';
import { askedBy, whoAsks, writtenBy, type Known } from '../../src/server/people/actor';
import { actorOf } from '../../src/server/people/sessions';
import { recoverOwner } from '../../src/server/use-cases/people/recover';
import {
  auditAsCsv,
  auditAsked,
  auditView,
  changePerson,
  givePassword,
  joinShop,
  makeToken,
  peopleView,
  revokeSession,
  setOwnPassword,
  setOwnPin,
  signIn,
  signOut,
  takeOver,
  takeTokenBack,
} from '../../src/server/use-cases/people';
import * as contract from '../../src/contract';
import { demoContext, type TestContext } from '../support/context';
import { as, FROM, OTHER_PASSWORD, PASSWORD, shownBy, withPassword } from '../support/people';

let context: TestContext;
beforeEach(() => (context = demoContext()));
afterEach(() => context.done());

const known = async (secret: string | null) => {
  const actor = await shownBy(context, secret);
  return 'name' in actor ? actor.name : actor.as;
};
const later = (hours: number): TestContext => ({ ...context, now: () => addHours(context.now(), hours) });

describe('a shop where nobody has a password', () => {
  it('is open to whoever is at the machine, under the name that they choose', async () => {
    expect(await shownBy(context, null)).toEqual({ as: 'bench', shop: '' });
    expect(await shownBy(context, 'anything')).toEqual({ as: 'bench', shop: '' });
    expect(askedBy({ as: 'bench', shop: '' }, () => writtenBy('Tam'))).toBe('Tam');
  });

  it('begins with the password of an owner', async () => {
    await joinShop(context, { name: 'Una' });
    const una = (await accounts(context.store.db)).find(({ name }) => name === 'Una')!;
    await expect(givePassword(context, una.id, PASSWORD, FROM)).rejects.toMatchObject({ code: 'not-an-owner' });
    await changePerson(context, una.id, { role: 'owner' });
    await expect(givePassword(context, una.id, 'sunshine2026', FROM)).rejects.toMatchObject({
      code: 'password-refused',
    });
    const { begun } = await givePassword(context, una.id, PASSWORD, FROM);
    expect(await known(begun!.secret)).toBe('Una');
    expect(await known(null)).toBe('nobody');
  });
});

describe('sign-in', () => {
  beforeEach(async () => void (await withPassword(context, 'Una', 'owner')));

  it('takes a name in any case, and says no more than that they do not go together', async () => {
    const { secret } = await signIn(context, { name: ' una ', password: PASSWORD }, FROM);
    expect(await known(secret)).toBe('Una');
    const wrong = [
      { name: 'Una', password: OTHER_PASSWORD },
      { name: 'Nobody', password: PASSWORD },
      // Somebody who has no password yet.
      { name: 'Tam Okoro', password: PASSWORD },
    ];
    const said = await Promise.all(
      wrong.map((each, i) =>
        signIn(context, each, { ...FROM, address: `10.0.0.${i}` }).catch(
          ({ status, code, message }: Error & { status: number; code: string }) => ({ status, code, message }),
        ),
      ),
    );
    expect(new Set(said.map((each) => JSON.stringify(each))).size).toBe(1);
    expect(said[0]).toMatchObject({ status: 401 });
  });

  it('takes as long for a name that nobody has', async () => {
    const took = async (name: string) => {
      const from = { ...FROM, address: `10.1.${Math.random()}` };
      const began = performance.now();
      await signIn(context, { name, password: OTHER_PASSWORD }, from).catch(() => undefined);
      return performance.now() - began;
    };
    // Alternately, so that whatever else the machine does meets both alike; names anew, so that none has to wait.
    const [there, nowhere]: number[][] = [[], []];
    await took('Warm');
    for (let i = 0; i < 4; i += 1) {
      const name = `Known ${i}`;
      await withPassword(context, name, 'counter');
      there!.push(await took(name), await took(name));
      nowhere!.push(await took(`Unknown ${i}`), await took(`Unknown ${i}`));
    }
    const middle = (all: number[]) => all.toSorted((a, b) => a - b)[all.length / 2]!;
    // A ratio of one run, wide enough for a busy machine: without the hash it would be a twentieth.
    expect(middle(nowhere!) / middle(there!)).toBeGreaterThan(0.4);
    expect(middle(nowhere!) / middle(there!)).toBeLessThan(2.5);
  });

  it('has a name wait after some wrong passwords, longer each time, and one that nobody has as well', async () => {
    vi.useFakeTimers({ toFake: ['Date'] });
    try {
      await withPassword(context, 'Ula', 'counter');
      for (const name of ['Ula', 'Nobody at all']) {
        const tried = () =>
          signIn(context, { name, password: OTHER_PASSWORD }, { ...FROM, address: `10.2.0.${name.length}` }).catch(
            ({ code }: { code: string }) => code,
          );
        const codes: unknown[] = [];
        for (let i = 0; i < 7; i += 1) codes.push(await tried());
        expect(codes.slice(0, 5), name).toEqual(Array(5).fill('not-known'));
        expect(codes.slice(5), name).toEqual(['wait', 'wait']);
      }
      // The right one waits, too.
      await expect(signIn(context, { name: 'Ula', password: PASSWORD }, FROM)).rejects.toMatchObject({ status: 429 });
    } finally {
      vi.useRealTimers();
    }
  });

  it('begins a session that nobody showed before, and ends the one that was shown', async () => {
    const first = await signIn(context, { name: 'Una', password: PASSWORD }, FROM);
    const actor = (await shownBy(context, first.secret)) as Known;
    const second = await askedBy(actor, () => signIn(context, { name: 'Una', password: PASSWORD }, FROM));
    expect(second.secret).not.toBe(first.secret);
    expect(await known(first.secret)).toBe('nobody');
    expect(await known(second.secret)).toBe('Una');
  });

  it('ends when somebody signs out, is not heard of for half a day, or after thirty days', async () => {
    const { secret } = await signIn(context, { name: 'Una', password: PASSWORD }, FROM);
    expect(await shownBy(later(11), secret)).toMatchObject({ name: 'Una' });
    await context.store.write(async () => undefined);
    // Heard of then: it goes on from there.
    expect(await shownBy(later(22), secret)).toMatchObject({ name: 'Una' });
    await context.store.write(async () => undefined);
    expect(await shownBy(later(35), secret)).toEqual({ as: 'nobody' });
    for (let hours = 30; hours < 24 * 30; hours += 10) {
      await shownBy(later(hours), secret);
      await context.store.write(async () => undefined);
    }
    expect(await shownBy(later(24 * 30 + 1), secret)).toEqual({ as: 'nobody' });
    const other = await signIn(context, { name: 'Una', password: PASSWORD }, FROM);
    await askedBy((await shownBy(context, other.secret)) as Known, () => signOut(context));
    expect(await known(other.secret)).toBe('nobody');
  });

  it('keeps no more than hashes, and none of them in an archive', async () => {
    const { secret } = await signIn(context, { name: 'Una', password: PASSWORD }, FROM);
    const { token } = await as(context, 'Una', () => makeToken(context, { name: 'Till', role: 'counter', days: 3 }));
    await context.store.fold();
    const [backup, archive] = [`${context.path}.backup`, `${context.path}.zip`];
    await backupStore(context.store.url, backup);
    for (const file of [context.path, backup]) {
      const bytes = readFileSync(file);
      for (const said of [PASSWORD, secret, token]) expect(bytes.includes(said), file).toBe(false);
      expect(bytes.includes('$argon2id$')).toBe(true);
    }
    await writeArchive(context.store.url, archive, new Date());
    expect(readFileSync(archive).includes('credential')).toBe(false);
    expect(readFileSync(archive).includes('tables/session.csv')).toBe(false);
  });

  it('lets nobody in again by a backup that was made before they were shut out', async () => {
    const { secret } = await signIn(context, { name: 'Una', password: PASSWORD }, FROM);
    const { token } = await as(context, 'Una', () => makeToken(context, { name: 'Till', role: 'counter', days: 3 }));
    const backup = `${context.path}.backup`;
    await backupStore(context.store.url, backup);
    await putBackInPlace(context.store.url, backup, `${context.path}.before`);
    expect(await known(secret)).toBe('nobody');
    expect(await actorOf(context, { session: null, token, inside: null, shop: null })).toEqual({ as: 'nobody' });
    expect(await known((await signIn(context, { name: 'Una', password: PASSWORD }, FROM)).secret)).toBe('Una');
  });

  it('keeps sessions and tokens that have ended as they ended', async () => {
    const { secret } = await signIn(context, { name: 'Una', password: PASSWORD }, FROM);
    await askedBy((await shownBy(context, secret)) as Known, () => signOut(context));
    for (const change of [
      sql`UPDATE session SET ended_at = NULL WHERE ended_at IS NOT NULL`,
      sql`DELETE FROM session`,
      sql`UPDATE session SET ends_at = '2999-01-01'`,
      sql`INSERT OR REPLACE INTO session SELECT * FROM session`,
    ])
      await expect(context.store.db.run(change)).rejects.toThrow();
  });
});

describe('taking over a bench', () => {
  const PIN = '4821';
  let secret = '';
  beforeEach(async () => {
    await withPassword(context, 'Una', 'owner');
    await withPassword(context, 'Odo', 'technician');
    await as(context, 'Odo', () => setOwnPin(context, { password: PASSWORD, pin: PIN }, FROM));
    secret = (await signIn(context, { name: 'Una', password: PASSWORD }, FROM)).secret;
  });
  const atBench = async <T>(work: () => Promise<T>): Promise<T> => askedBy(await shownBy(context, secret), work);

  it('ends the session that was there as the other begins', async () => {
    const begun = await atBench(() => takeOver(context, { name: 'Odo', pin: PIN }, FROM));
    expect(await known(secret)).toBe('nobody');
    expect(await shownBy(context, begun.secret)).toMatchObject({ name: 'Odo', how: 'pin', role: 'technician' });
  });

  it('counts tries that are made at once, and lets a password make the PIN count again', async () => {
    const guesses = Array.from({ length: 40 }, (_, i) => String(1300 + i));
    const answers = await Promise.all(
      guesses.map((pin) =>
        atBench(() => takeOver(context, { name: 'Odo', pin }, FROM)).catch(({ code }: { code: string }) => code),
      ),
    );
    expect(answers.filter((code) => code === 'not-the-pin')).toHaveLength(PIN_TRIES);
    expect(answers.filter((code) => code === 'pin-counts-no-more')).toHaveLength(40 - PIN_TRIES);
    await expect(atBench(() => takeOver(context, { name: 'Odo', pin: PIN }, FROM))).rejects.toMatchObject({
      code: 'pin-counts-no-more',
    });
    await signIn(context, { name: 'Odo', password: PASSWORD }, FROM);
    expect((await atBench(() => takeOver(context, { name: 'Odo', pin: PIN }, FROM))).secret).not.toBe('');
  });

  it('wants a bench that somebody is signed in at, and a PIN of their own', async () => {
    await expect(
      askedBy({ as: 'nobody' }, () => takeOver(context, { name: 'Odo', pin: PIN }, FROM)),
    ).rejects.toMatchObject({ code: 'no-session' });
    await expect(atBench(() => takeOver(context, { name: 'Una', pin: PIN }, FROM))).rejects.toMatchObject({
      code: 'no-pin',
    });
    for (const [pin, code] of [
      ['1234', 'pin-refused'],
      ['12', 'pin-refused'],
    ] as const)
      await expect(
        as(context, 'Odo', () => setOwnPin(context, { password: PASSWORD, pin }, FROM)),
      ).rejects.toMatchObject({ code });
    await expect(
      as(context, 'Odo', () => setOwnPin(context, { password: OTHER_PASSWORD, pin: '8264' }, FROM)),
    ).rejects.toMatchObject({ code: 'not-your-password' });
  });
});

describe('people', () => {
  it('set their own password, which signs their other browsers out and no one else’s', async () => {
    await withPassword(context, 'Una', 'owner');
    await withPassword(context, 'Odo', 'technician');
    const [una, tablet, here] = await Promise.all(
      ['Una', 'Odo', 'Odo'].map((name) => signIn(context, { name, password: PASSWORD }, FROM)),
    );
    await askedBy(await shownBy(context, here!.secret), () =>
      setOwnPassword(context, { old: PASSWORD, password: OTHER_PASSWORD }, FROM),
    );
    expect(await Promise.all([una, tablet, here].map((each) => known(each!.secret)))).toEqual(['Una', 'nobody', 'Odo']);
    await expect(signIn(context, { name: 'Odo', password: PASSWORD }, FROM)).rejects.toMatchObject({ status: 401 });
  });

  it('leave and come back, and leave an owner behind', async () => {
    const una = await withPassword(context, 'Una', 'owner');
    const odo = await withPassword(context, 'Odo', 'technician');
    const { secret } = await signIn(context, { name: 'Odo', password: PASSWORD }, FROM);
    await changePerson(context, odo, { left: true });
    expect(await known(secret)).toBe('nobody');
    await expect(signIn(context, { name: 'Odo', password: PASSWORD }, FROM)).rejects.toMatchObject({ status: 401 });
    for (const change of [{ left: true }, { role: 'technician' as const }])
      await expect(changePerson(context, una, change)).rejects.toMatchObject({ code: 'last-owner' });
    await changePerson(context, odo, { left: false, role: 'owner' });
    await changePerson(context, una, { role: 'technician' });
    expect((await peopleView(context)).accounts.find(({ id }) => id === una)).toMatchObject({ role: 'technician' });
  });

  it('see one customer as readers, and only one that there is', async () => {
    await expect(joinShop(context, { name: 'Rosa', role: 'reader' })).rejects.toMatchObject({ code: 'no-customer' });
    await expect(joinShop(context, { name: 'Rosa', role: 'reader', customerId: 'none' })).rejects.toMatchObject({
      code: 'no-customer',
    });
    const shop = await joinShop(context, { name: 'Rosa', role: 'reader', customerId: 'c-towpath' });
    // A reader is not at the bench.
    expect(shop.people.map(({ name }) => name)).not.toContain('Rosa');
  });

  it('are signed out one by one', async () => {
    await withPassword(context, 'Una', 'owner');
    const [one, other] = [
      await signIn(context, { name: 'Una', password: PASSWORD }, FROM),
      await signIn(context, { name: 'Una', password: PASSWORD }, FROM),
    ];
    const { sessions } = await askedBy(await shownBy(context, other.secret), () => peopleView(context));
    const tablet = (await shownBy(context, one.secret)) as Known;
    expect(sessions.find(({ isThis }) => isThis)?.id).not.toBe(tablet.id);
    await revokeSession(context, tablet.id);
    expect(await known(one.secret)).toBe('nobody');
    expect(await known(other.secret)).toBe('Una');
    await expect(revokeSession(context, tablet.id)).rejects.toMatchObject({ status: 404 });
  });

  it('are made owners by a command on the machine', async () => {
    await withPassword(context, 'Una', 'owner');
    const before = await signIn(context, { name: 'Una', password: PASSWORD }, FROM);
    vi.stubEnv('SERRATA_DB', context.path);
    const password = await recoverOwner('una');
    const added = await recoverOwner('Somebody new');
    vi.unstubAllEnvs();
    expect(await known(before.secret)).toBe('nobody');
    await expect(signIn(context, { name: 'Una', password: PASSWORD }, FROM)).rejects.toMatchObject({ status: 401 });
    expect(await known((await signIn(context, { name: 'Una', password }, FROM)).secret)).toBe('Una');
    expect(await known((await signIn(context, { name: 'Somebody new', password: added }, FROM)).secret)).toBe(
      'Somebody new',
    );
    expect(password).toMatch(/^[a-z2-9]{5}(-[a-z2-9]{5}){3}$/);
  });
});

describe('tokens', () => {
  it('let a program in under their own name until they run out or are revoked', async () => {
    await withPassword(context, 'Una', 'owner');
    const { token, people } = await as(context, 'Una', () =>
      makeToken(context, { name: 'Office till', role: 'counter', days: 2 }),
    );
    const shown = (at: TestContext) => actorOf(at, { session: null, token, inside: null, shop: null });
    expect(await shown(context)).toMatchObject({ as: 'token', name: 'Office till', role: 'counter' });
    expect(await shown(later(49))).toEqual({ as: 'nobody' });
    expect(JSON.stringify(people)).not.toContain(token.slice(8));
    await takeTokenBack(context, people.tokens[0]!.id);
    expect(await shown(context)).toEqual({ as: 'nobody' });
    expect((await peopleView(context)).tokens[0]).toMatchObject({ state: 'revoked', by: 'Una' });
  });
});

describe('what is written', () => {
  const sent = (document: object) => new Request('http://here/', { method: 'POST', body: JSON.stringify(document) });

  it('is written by who is signed in, whatever name was sent, and needs none to be sent', async () => {
    await withPassword(context, 'Una', 'owner');
    const rest = { upToReading: 0, rules: 'x' };
    const read = (document: object) => as(context, 'Una', () => body(sent(document), contract.signOffSchema));
    expect((await read({ by: 'Tam Okoro', ...rest })).by).toBe('Una');
    expect((await read(rest)).by).toBe('Una');
    expect(
      (await askedBy({ as: 'bench', shop: '' }, () => body(sent({ by: 'Tam', ...rest }), contract.signOffSchema))).by,
    ).toBe('Tam');
    expect(whoAsks()).toEqual({ as: 'bench', shop: '' });
  });
});

describe('whatever may be written', () => {
  it('is read by a schema that a name can be put into', () => {
    for (const [name, schema] of Object.entries(contract)) {
      if (!(schema instanceof z.ZodType) || name.endsWith('ReplySchema')) continue;
      const described = JSON.stringify(z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }));
      if (described.includes('"by"')) expect(schema instanceof z.ZodObject && 'by' in schema.shape, name).toBe(true);
    }
  });
});

describe('the audit', () => {
  const asked = (query: string) => auditAsked(new URLSearchParams(query));

  it('tells what everybody did, the newest first, in pages that go on where they ended', async () => {
    await withPassword(context, 'Una', 'owner');
    await signIn(context, { name: 'Una', password: PASSWORD }, FROM);
    const first = await auditView(context, asked(''));
    expect(first.rows[0]).toMatchObject({ kind: 'people', by: 'Una', says: 'Una signed in with Firefox on Linux.' });
    const all = [...first.rows];
    let { before } = first;
    while (before !== null) {
      const page = await auditView(context, asked(`before=${before}`));
      all.push(...page.rows);
      before = page.before;
    }
    const [{ n }] = (await context.store.db.all<{ n: number }>(
      sql`SELECT count(*) AS n FROM chain_link WHERE record <> 'began'`,
    )) as [{ n: number }];
    expect(all).toHaveLength(n);
    expect(all.map(({ seq }) => seq)).toEqual(all.map(({ seq }) => seq).toSorted((a, b) => b - a));
    // What was typed freely stands as it was typed, with its commas.
    expect(all.some(({ says }) => says.includes('Pulls to the left since spring, worse in thick wood.'))).toBe(true);
    for (const { says } of all) expect(says).not.toMatch(/undefined|null|^\.|\[object/);
  });

  it('is narrowed to a person, a kind and days, and given out as a file that no table takes for a formula', async () => {
    await joinShop(context, { name: '=HYPERLINK("x")' });
    const { rows } = await auditView(context, asked('by=tam okoro&kind=jobs'));
    expect(rows.length).toBeGreaterThan(10);
    for (const { by, kind } of rows) expect([by, kind]).toEqual(['Tam Okoro', 'jobs']);
    expect((await auditView(context, asked('until=1990-01-01'))).rows).toEqual([]);
    // What is no kind, no day and no number narrows nothing.
    expect((await auditView(context, asked('kind=x&from=yesterday&before=-3'))).rows.length).toBe(100);
    expect((await auditView(context, asked(`by=${'x'.repeat(200)}`))).rows.length).toBe(100);
    const csv = await auditAsCsv(context, asked('kind=people'));
    expect(csv.split('\n')[0]).toBe('record,at,by,about,job,what');
    expect(csv).toContain('HYPERLINK');
    expect(csv).not.toMatch(/(^|,)"?=/m);
  });
});
