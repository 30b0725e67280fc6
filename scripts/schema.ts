import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { jobSchema } from '../core/src/job/schema.ts';

/** What Joi says of itself, as far as the job's schema uses it. */
interface Described {
  readonly type?: string;
  readonly flags?: { readonly presence?: string; readonly only?: boolean };
  readonly allow?: readonly unknown[];
  readonly keys?: Readonly<Record<string, Described>>;
  readonly patterns?: readonly { readonly regex?: string; readonly schema?: Described; readonly rule: Described }[];
  readonly items?: readonly Described[];
  readonly rules?: readonly {
    readonly name: string;
    readonly args?: { readonly limit?: number; readonly regex?: string };
  }[];
}

const source = (regex = '') => regex.replace(/^\/|\/[a-z]*$/g, '');

/** One rule of Joi's in the words of JSON Schema. */
function rule(type: string, name: string, limit: number | undefined, regex: string | undefined): object {
  const size = type === 'string' ? 'Length' : type === 'array' ? 'Items' : 'imum';
  if (name === 'min' || name === 'max') return { [`${name}${size}`]: limit };
  if (name === 'length') return { [`min${size}`]: limit, [`max${size}`]: limit };
  if (name === 'greater') return { exclusiveMinimum: limit };
  if (name === 'less') return { exclusiveMaximum: limit };
  if (name === 'integer') return { type: 'integer' };
  if (name === 'pattern') return { pattern: source(regex) };
  if (name === 'unique') return { uniqueItems: true };
  // a check of our own: of a text, a day; of a list, what JSON Schema has no words for
  if (name === 'custom') return type === 'string' ? { format: 'date' } : {};
  if (name === 'isoDate') return { format: 'date' };
  throw new Error(`the schema uses “${name}”, which JSON Schema is not told about here`);
}

function convert(d: Described): object {
  const allowed = d.allow ?? [];
  if (d.flags?.only) return { enum: allowed };
  const type = d.type ?? 'object';
  const body: Record<string, unknown> = { type };
  for (const { name, args } of d.rules ?? []) Object.assign(body, rule(type, name, args?.limit, args?.regex));
  if (type === 'object') {
    const keys = Object.entries(d.keys ?? {});
    const required = keys.filter(([, value]) => value.flags?.presence === 'required').map(([key]) => key);
    if (keys.length) body['properties'] = Object.fromEntries(keys.map(([key, value]) => [key, convert(value)]));
    if (required.length) body['required'] = required;
    body['additionalProperties'] = false;
    for (const { schema, rule: value } of d.patterns ?? []) {
      if (schema) body['propertyNames'] = convert(schema);
      body['additionalProperties'] = convert(value);
    }
  }
  if (type === 'array' && d.items?.length) body['items'] = d.items.length === 1 ? convert(d.items[0] as Described) : {};
  return allowed.includes(null) ? { anyOf: [body, { type: 'null' }] } : body;
}

/** docs/job.schema.json, made from the schema that guards the door: `npm run schema`. */
export function schemaText(): string {
  const schema = {
    $schema: 'http://json-schema.org/draft-07/schema#',
    title: 'Kovelin job',
    ...convert(jobSchema.describe() as Described),
  };
  return `${JSON.stringify(schema, null, 1)}\n`;
}

if (process.argv[1]?.endsWith('schema.ts')) writeFileSync(join(process.cwd(), 'docs/job.schema.json'), schemaText());
