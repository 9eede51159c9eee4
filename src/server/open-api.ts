import { z } from 'zod';
import { errorReplySchema, OPERATION_IDS, OPERATIONS, type Operation, type OperationId } from '../contract';
import { list, roleWord } from '../wording';
import { ruleOf } from './people/access';
import { PROGRAMME_VERSION } from './version';
import * as texts from '#language/screens/programs';

type Json = Readonly<Record<string, unknown>>;

/** A schema as the description has it: what is sent is described as it is sent, what is answered as it comes. */
function schemaOf(schema: z.ZodType, io: 'input' | 'output'): Json {
  const { $schema: _schema, ...rest } = z.toJSONSchema(schema, { io, unrepresentable: 'any' }) as Record<
    string,
    unknown
  >;
  return rest;
}

/** What is sent, without the name that the server knows by the token. */
function withoutName(schema: Json): Json {
  const { properties, required, ...rest } = schema as { properties?: Json; required?: readonly string[] };
  if (!properties || !('by' in properties)) return schema;
  const { by: _by, ...others } = properties;
  return { ...rest, properties: others, required: (required ?? []).filter((name) => name !== 'by') };
}

/** An address as the description writes it. */
const pathOf = (route: string): string => route.replace(/\[(\w+)\]/g, '{$1}');

const named = (route: string): readonly string[] => [...route.matchAll(/\[(\w+)\]/g)].map(([, name]) => name!);

const ERROR = { $ref: '#/components/schemas/Refusal' };
const refusal = { description: texts.refusals, content: { 'application/json': { schema: ERROR } } };

function operation(id: OperationId): Json {
  const { method, route, query, body, answer }: Operation = OPERATIONS[id];
  const rule = ruleOf(route, method)!;
  const parameters = [
    ...named(route).map((name) => ({ name, in: 'path', required: true, schema: { type: 'string' } })),
    ...Object.entries(query ?? {}).map(([name, schema]) => ({
      name,
      in: 'query',
      required: !schema.safeParse(undefined).success,
      schema: schemaOf(schema, 'input'),
    })),
  ];
  const [type, schema] =
    typeof answer === 'string' ? [answer, { type: 'string' }] : ['application/json', schemaOf(answer, 'input')];
  return {
    operationId: id,
    summary: texts.operationSays[id],
    ...(parameters.length === 0 ? {} : { parameters }),
    ...(body
      ? {
          requestBody: {
            required: true,
            content: { 'application/json': { schema: withoutName(schemaOf(body, 'input')) } },
          },
        }
      : {}),
    responses: {
      200: { description: texts.operationSays[id], content: { [type]: { schema } } },
      default: refusal,
    },
    'x-roles': rule.who === 'anyone' ? [] : [...rule.who],
    security: rule.who === 'anyone' ? [{}] : [{ token: [] }],
  };
}

let made: Json | null = null;

/** The interface for other programs, described by itself: OpenAPI 3.1, made of the schemas that the server reads by. */
export function openApi(): Json {
  const paths: Record<string, Record<string, Json>> = {};
  if (made) return made;
  for (const id of OPERATION_IDS) {
    const { method, route } = OPERATIONS[id];
    (paths[pathOf(route)] ??= {})[method.toLowerCase()] = operation(id);
  }
  made = {
    openapi: '3.1.0',
    info: { title: texts.title, version: PROGRAMME_VERSION, description: texts.howItWorks },
    servers: [{ url: '/' }],
    paths,
    components: {
      schemas: { Refusal: schemaOf(errorReplySchema, 'output') },
      securitySchemes: { token: { type: 'http', scheme: 'bearer' } },
    },
  };
  return made;
}

/** An operation as people read of it. */
export interface OperationLine {
  readonly heading: string;
  readonly says: string;
  readonly about: string;
}

/** What programs may ask for, a line each. */
export const operationLines = (): readonly OperationLine[] =>
  OPERATION_IDS.map((id) => {
    const { method, route, query, body, answer }: Operation = OPERATIONS[id];
    const who = ruleOf(route, method)?.who ?? 'anyone';
    const taken = [...Object.keys(query ?? {}).map((name) => `?${name}`), ...(body ? ['application/json'] : [])];
    return {
      heading: `${method} ${pathOf(route)}`,
      says: texts.operationSays[id],
      about: texts.aboutOperation(
        who === 'anyone'
          ? texts.anyone
          : list(
              who.map((role) => roleWord[role]),
              'or',
            ),
        taken.join(', '),
        typeof answer === 'string' ? answer : 'application/json',
      ),
    };
  });
