import 'reflect-metadata';
import { parseDate } from '@zakat/core/calendar/local-date';
import { readFileSync } from 'node:fs';
import type { DataSource } from 'typeorm';
import { readConfig } from './config/config.js';
import { makeDataSource } from './database/data-source.js';
import { FirmDatabase } from './database/firm-database.js';
import { Audit } from './modules/audit/index.js';
import { Clock } from './modules/clock/index.js';
import { createFirm, type FirmFile } from './modules/identity/index.js';
import { makeQueues } from './queue/queues.js';

async function setDate(dataSource: DataSource, text: string): Promise<void> {
  const day = parseDate(text);
  if (!day) throw new Error('give a day like 2026-10-22');
  await new Clock(readConfig(process.env), dataSource).move(day);
}

async function verifyAudit(dataSource: DataSource): Promise<void> {
  const audit = new Audit(new Clock(readConfig(process.env), dataSource));
  const database = new FirmDatabase(dataSource);
  const firms = (await dataSource.query('SELECT firm_ids() AS id')) as { id: string }[];
  for (const { id } of firms) {
    const { entries, brokenAt } = await database.run({ firmId: id }, (manager) => audit.verify(manager));
    process.stdout.write(
      `firm ${id}: ${entries} entries, ${brokenAt === null ? 'the chain holds' : `BROKEN at entry ${brokenAt}`}\n`,
    );
    if (brokenAt !== null) process.exitCode = 1;
  }
}

async function bringUpToDate(dataSource: DataSource): Promise<void> {
  await dataSource.runMigrations();
  await makeQueues(readConfig(process.env).databaseUrl);
}

/** What went wrong with the database, in words that say what to do. */
function explain(error: unknown): string {
  const { code } = error as { code?: string };
  if (code === '42501')
    return 'The user of DATABASE_URL must own the database and be allowed to create a role:  ALTER ROLE ... CREATEROLE';
  if (code === 'ECONNREFUSED' || code === 'ENOTFOUND')
    return 'The database of DATABASE_URL does not answer. Is it running, and is the address right?';
  if (code === '28P01' || code === '28000') return 'The database of DATABASE_URL refuses the user or the password.';
  if (code === '3D000') return 'The database named in DATABASE_URL does not exist. Create it first.';
  return error instanceof Error ? error.message : 'failed';
}

const COMMANDS: Readonly<Record<string, (dataSource: DataSource, argument: string) => Promise<void>>> = {
  migrate: (dataSource) => bringUpToDate(dataSource),
  // Brings the database up to date; an empty one gets its first day. Says which it was.
  prepare: async (dataSource, firstDay) => {
    await bringUpToDate(dataSource);
    const isEmpty = ((await dataSource.query('SELECT firm_ids()')) as unknown[]).length === 0;
    if (isEmpty) await setDate(dataSource, firstDay);
    process.stdout.write(isEmpty ? 'empty\n' : 'used\n');
  },
  'create-firm': (dataSource, path) => createFirm(dataSource, JSON.parse(readFileSync(path, 'utf8')) as FirmFile),
  'verify-audit': verifyAudit,
  openapi: async (dataSource) => {
    const { makeApplication } = await import('./application.js');
    const { openApiDocument } = await import('./http/open-api.js');
    const app = await makeApplication(readConfig(process.env), dataSource);
    const text = JSON.stringify(openApiDocument(app), null, 2);
    // A pipe takes a long text in parts: leaving before it is through would cut it short.
    await new Promise((resolve) => process.stdout.write(text, resolve));
  },
};

const [, , name = '', argument = ''] = process.argv;
const command = COMMANDS[name];
if (!command) {
  process.stderr.write(`Commands: ${Object.keys(COMMANDS).join(', ')}\n`);
  process.exit(2);
}
const dataSource = makeDataSource(readConfig(process.env).databaseUrl);
try {
  if (name !== 'openapi') await dataSource.initialize();
  await command(dataSource, argument);
} catch (error) {
  process.stderr.write(`${name}: ${explain(error)}\n`);
  process.exitCode = 1;
} finally {
  if (dataSource.isInitialized) await dataSource.destroy();
}
process.exit();
