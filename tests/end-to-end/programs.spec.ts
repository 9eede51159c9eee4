import { readFileSync } from 'node:fs';
import { Validator } from '@seriousme/openapi-schema-validator';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { OPERATION_IDS, OPERATIONS, type Operation, type OperationId } from '../../src/contract';
import { axeFindsNothing } from './axe';
import { address, expect, test } from './bench';

interface Described {
  readonly openapi: string;
  readonly paths: Readonly<
    Record<
      string,
      Readonly<
        Record<
          string,
          {
            readonly operationId: OperationId;
            readonly requestBody?: {
              readonly content: Record<string, { readonly schema: Readonly<Record<string, unknown>> }>;
            };
            readonly responses: Readonly<
              Record<string, { readonly content: Record<string, { readonly schema: object }> }>
            >;
          }
        >
      >
    >
  >;
}

const described = async (): Promise<Described> =>
  (await (await fetch(`${address()}/api/openapi.json`)).json()) as Described;

const post = (path: string, body: unknown): Promise<Response> =>
  fetch(`${address()}${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });

/** A job of the demo that is signed off, by its id. */
async function aJob(): Promise<string> {
  const hits = (await (await fetch(`${address()}/api/search?q=L-0416`)).json()) as { href: string }[];
  return hits
    .find(({ href }) => href.startsWith('/jobs/'))!
    .href.split('/')
    .at(-1)!;
}

test('the description of the interface is OpenAPI 3.1, and each operation answers as it says', async () => {
  const document = await described();
  expect(document.openapi).toBe('3.1.0');
  const { valid, errors } = await new Validator().validate(structuredClone(document) as never);
  expect(errors ?? []).toEqual([]);
  expect(valid).toBe(true);

  const operations = Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]) => ({ path, method, ...operation })),
  );
  expect(operations.map(({ operationId }) => operationId).toSorted()).toEqual([...OPERATION_IDS].toSorted());

  const sheet: unknown = await (await fetch(`${address()}/api/jobs/${await aJob()}/sheet.json`)).json();
  const taken = { customer: { name: 'By a program' }, saw: null, complaint: '', promisedFor: null, sheet };
  const made = (await (await post('/api/jobs', { by: 'Till', ...taken })).json()) as { id: string };
  const { revision } = (await (await fetch(`${address()}/api/jobs/${made.id}/hand-over`)).json()) as {
    revision: string;
  };
  const ID: Partial<Record<OperationId, string>> = {
    listDue: 'c-towpath',
    dueCalendar: 'c-towpath',
    handOver: made.id,
  };
  const QUERY: Partial<Record<OperationId, string>> = {
    findAnything: '?q=tow',
    findCustomers: '?name=tow',
    listStock: '?q=chain',
  };
  const BODY: Partial<Record<OperationId, unknown>> = {
    assess: sheet,
    takeInJob: { by: 'Till', ...taken },
    handOver: { by: 'Till', revision, nextVisit: null, note: 'as it stands' },
  };
  // What the schemas say that no check of theirs can be made of, such as notes for people, is no fault.
  const ajv = addFormats.default(new Ajv2020({ strict: false, allErrors: true }));
  for (const { path, method, operationId, requestBody, responses } of operations) {
    const { answer }: Operation = OPERATIONS[operationId];
    const id = ID[operationId] ?? (await aJob());
    const response = await fetch(`${address()}${path.replace('{id}', id)}${QUERY[operationId] ?? ''}`, {
      method: method.toUpperCase(),
      ...(method === 'post'
        ? { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(BODY[operationId]) }
        : {}),
    });
    expect(response.status, operationId).toBe(200);
    const type = typeof answer === 'string' ? answer : 'application/json';
    expect(response.headers.get('content-type'), operationId).toContain(type);
    const { schema } = responses[200]!.content[type]!;
    const isAsDescribed = ajv.compile(schema);
    const heard: unknown = type === 'application/json' ? await response.json() : await response.text();
    expect(isAsDescribed(heard), `${operationId}: ${JSON.stringify(isAsDescribed.errors?.slice(0, 3))}`).toBe(true);
    // What is sent is as it is described, too: without the name that a token says.
    if (!requestBody) continue;
    const isToBeSent = ajv.compile(requestBody.content['application/json']!.schema);
    const { by: _by, ...sent } = BODY[operationId] as { by?: string };
    expect(isToBeSent(sent), `${operationId}: ${JSON.stringify(isToBeSent.errors?.slice(0, 3))}`).toBe(true);
    expect(isToBeSent({ nothing: 'of the kind' }), operationId).toBe(false);
  }
});

test('a sheet that cannot be read is answered with what is wrong, place by place, and nothing is stored', async () => {
  const answer = await post('/api/assess', {
    format: 'serrata-bench-sheet',
    version: 1,
    bar: { checks: { bow: 'very' } },
  });
  expect(answer.status).toBe(422);
  const { code, problems } = (await answer.json()) as { code: string; problems: string[] };
  expect(code).toBe('sheet-refused');
  expect(problems.join('\n')).toContain('bow');
});

test('what programs may ask for is read as a page', async ({ page }) => {
  await page.goto('/programs');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('For other programs');
  for (const id of OPERATION_IDS)
    await expect(
      page.getByRole('heading', {
        level: 2,
        name: `${OPERATIONS[id].method} ${OPERATIONS[id].route.replace('[id]', '{id}')}`,
        exact: true,
      }),
    ).toBeVisible();
  await axeFindsNothing(page, 'programs');
  // It names no version but the one that runs.
  const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };
  expect(JSON.stringify(await described())).toContain(version);
});
