import { createRequire } from 'node:module';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { jobSchema } from '../core/src/job/schema.ts';

/** docs/job.schema.json, made from the schema that guards the door: `npm run schema`. */
export function schemaText(): string {
  const toJson = createRequire(join(process.cwd(), 'package.json'))('joi-to-json') as (
    schema: unknown,
    kind: string,
  ) => object;
  return `${JSON.stringify({ title: 'Kovelin job', ...toJson(jobSchema, 'json-draft-2019-09') }, null, 2)}\n`;
}

if (process.argv[1]?.endsWith('schema.ts')) writeFileSync(join(process.cwd(), 'docs/job.schema.json'), schemaText());
