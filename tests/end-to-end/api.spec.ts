import { Agent, get } from 'node:http';
import { expect, test } from './bench';
import { assessmentSchema } from '../../src/core/report';
import { benchSheetSchema } from '../../src/core/sheet';

interface Hit {
  readonly href: string;
}

const newJob = { by: 'Ines Holloway', customer: { name: 'API tester' }, saw: null, complaint: '', promisedFor: null };
const reading = (path: string, text: string, supersedes: string | null = null) => ({
  id: crypto.randomUUID(),
  path,
  text,
  unit: 'mm',
  instrument: null,
  supersedes,
});

test('a job can be taken in, measured, assessed and exported without a browser', async ({ request }) => {
  const { id, tag } = (await (await request.post('/api/jobs', { data: newJob })).json()) as { id: string; tag: string };
  const put = await request.post(`/api/jobs/${id}/readings`, {
    data: { by: 'Tam', readings: [reading('bar.checks.crack', 'yes'), reading('bar.checks.bow', '0,2')] },
  });
  expect(((await put.json()) as { results: { outcome: string }[] }).results.map(({ outcome }) => outcome)).toEqual([
    'stored',
    'stored',
  ]);
  const assessment = assessmentSchema.parse(await (await request.get(`/api/jobs/${id}/assessment.json`)).json());
  expect(assessment.verdicts.bar).toMatchObject({ action: 'replace', decidedBy: 'bar.crack' });
  const exported = await request.get(`/api/jobs/${id}/sheet.json`);
  expect(exported.headers()['content-disposition']).toContain(`${tag}.bench-sheet.json`);
  const sheet = (await exported.json()) as unknown;
  expect(benchSheetSchema.safeParse(sheet).success).toBe(true);
  const again = await request.post('/api/jobs', { data: { ...newJob, sheet } });
  expect(again.status()).toBe(200);
});

test('the door turns away what does not belong, with a code and a sentence', async ({ request }) => {
  const cases = [
    {
      sent: request.post('/api/jobs', { data: newJob, headers: { 'sec-fetch-site': 'cross-site' } }),
      status: 403,
      code: 'foreign-origin',
    },
    { sent: request.post('/api/jobs', { form: { a: 'b' } }), status: 415, code: 'not-json' },
    {
      sent: request.post('/api/jobs', { data: { ...newJob, complaint: 'x'.repeat(1_100_000) } }),
      status: 413,
      code: 'too-large',
    },
    {
      sent: request.post('/api/jobs', {
        data: Buffer.from('no json {'),
        headers: { 'content-type': 'application/json' },
      }),
      status: 400,
      code: 'not-json',
    },
    { sent: request.post('/api/jobs', { data: { by: 'Ines' } }), status: 422, code: 'not-understood' },
    {
      sent: request.post('/api/jobs/nobody/readings', { data: { by: 'x', readings: [reading('bar.mount', 'M2')] } }),
      status: 404,
      code: 'not-found',
    },
    { sent: request.get('/api/jobs/nobody'), status: 404, code: 'not-found' },
    {
      sent: request.put('/api/limits/bar.bowl', { data: { by: 'x', value: '1', source: null } }),
      status: 404,
      code: 'not-found',
    },
    {
      sent: request.put('/api/limits/bar.bow', { data: { by: 'x', value: 'wide', source: null } }),
      status: 422,
      code: 'limit-refused',
    },
    { sent: request.get('/api/stock/match?pitch=325'), status: 422, code: 'no-order' },
    { sent: request.post('/api/people', { data: { name: ' ' } }), status: 422, code: 'not-understood' },
  ];
  for (const { sent, status, code } of cases) {
    const response = await sent;
    const reply = (await response.json()) as { code: string; message: string };
    expect([response.status(), reply.code]).toEqual([status, code]);
    expect(reply.message.length).toBeGreaterThan(5);
    expect(JSON.stringify(reply)).not.toMatch(/at .*\.(ts|mjs|js):/);
  }
});

test('a sign-off of what nobody has looked at is refused', async ({ request }) => {
  const { id } = (await (await request.post('/api/jobs', { data: newJob })).json()) as { id: string };
  await request.post(`/api/jobs/${id}/readings`, {
    data: { by: 'Tam', readings: [reading('bar.checks.crack', 'no')] },
  });
  const job = (await (await request.get(`/api/jobs/${id}`)).json()) as { rulesMark: string };
  const refused = await request.post(`/api/jobs/${id}/sign-off`, {
    data: { by: 'Ines', upToReading: 0, rules: job.rulesMark },
  });
  expect(refused.status()).toBe(409);
  expect(((await refused.json()) as { code: string }).code).toBe('read-again');
});

test('every answer carries the safety headers, and pages a policy without holes', async ({ request }) => {
  for (const address of ['/', '/stock', '/api/health']) {
    const headers = (await request.get(address)).headers();
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-frame-options']).toBe('DENY');
  }
  const policy = (await request.get('/')).headers()['content-security-policy']!;
  expect(policy).toContain("default-src 'self'");
  // Style attributes hold no code and are what standard controls write; scripts and style sheets stay closed.
  expect(policy.replace("style-src-attr 'unsafe-inline'", '')).not.toContain('unsafe');
  expect(policy).toMatch(/script-src 'self' 'sha256/);
  const slip = (await (await request.get('/api/search?q=L-0423')).json()) as Hit[];
  expect((await request.get(`${slip[0]!.href}/slip`)).status()).toBe(200);
  expect((await request.get('/jobs/nobody')).status()).toBe(404);
  expect((await request.get('/jobs/nobody/slip')).status()).toBe(404);
});

/** Asks for the plain answer over the agent's connection, and tells whether it was one already open. */
const overAgain = (agent: Agent, address: string): Promise<boolean> =>
  new Promise((resolve, reject) => {
    const sent = get(`${address}/api/health`, { agent }, (answer) =>
      answer.resume().on('end', () => resolve(sent.reusedSocket)),
    ).on('error', reject);
  });

test('a connection outlasts the pause between two readings', async ({ baseURL }) => {
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  expect(await overAgain(agent, baseURL!)).toBe(false);
  await new Promise((resolve) => setTimeout(resolve, 7000));
  expect(await overAgain(agent, baseURL!)).toBe(true);
  agent.destroy();
});

test('stock answers an order, and the search answers oddities', async ({ request }) => {
  const answers = (await (
    await request.get('/api/stock/match?pitch=38lp&gauge=.050&links=56&class=low-kickback')
  ).json()) as { part: { sku: string }; misses: string[] }[];
  expect(answers[0]).toMatchObject({ part: { sku: 'LD-9050-56' }, misses: [] });
  for (const text of ['', '"', '*', 'a"b', 'x'.repeat(500), 'ünïcödé']) {
    expect((await request.get(`/api/search?q=${encodeURIComponent(text)}`)).status()).toBe(200);
  }
});
