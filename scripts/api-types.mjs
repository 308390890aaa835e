import openapiTs, { astToString } from 'openapi-typescript';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildServer } from './build.mjs';
import { ROOT } from './run.mjs';
import { fail } from './say.mjs';

/** Writes the web client's types from the server's OpenAPI document. */
async function main() {
  await buildServer();
  const { cli } = await import('./stack.mjs');
  const nowhere = 'http://127.0.0.1:1';
  const text = await cli(
    {
      DATABASE_URL: 'postgres://nobody@127.0.0.1:1/none',
      ZAKAT_KEY: '0'.repeat(64),
      ZAKAT_BANK_URL: nowhere,
      ZAKAT_RETURNS_URL: nowhere,
      ZAKAT_WAGES_URL: nowhere,
      ZAKAT_STATES_URL: nowhere,
      ZAKAT_DEBITS_URL: nowhere,
    },
    'openapi',
  );
  const types = astToString(await openapiTs(JSON.parse(text)));
  writeFileSync(
    join(ROOT, 'apps/web/src/api/schema.d.ts'),
    `/* Written by npm run api-types from the server's OpenAPI document. */\n${types}`,
  );
}
main().catch(fail);
