import 'reflect-metadata';
import { parseDate } from '@zakat/core/calendar/local-date';
import { readFileSync } from 'node:fs';
import type { DataSource } from 'typeorm';
import { readConfig } from './config/config.js';
import { makeDataSource } from './database/data-source.js';
import { FirmDatabase } from './database/firm-database.js';
import { Audit } from './modules/audit/audit.js';
import { Clock } from './modules/clock/clock.js';
import { createFirm, type FirmFile } from './modules/identity/create-firm.js';
import { makeApplication } from './application.js';
import { openApiDocument } from './http/open-api.js';

async function verifyAudit(dataSource: DataSource): Promise<void> {
  const audit = new Audit(new Clock(readConfig(process.env), dataSource));
  const database = new FirmDatabase(dataSource);
  const firms = (await dataSource.query('SELECT firm_ids() AS id')) as { id: string }[];
  for (const { id } of firms) {
    const { entries, brokenAt } = await database.run({ firmId: id }, (manager) => audit.verify(manager));
    process.stdout.write(`firm ${id}: ${entries} entries, ${brokenAt === null ? 'the chain holds' : `BROKEN at entry ${brokenAt}`}\n`);
    if (brokenAt !== null) process.exitCode = 1;
  }
}

const COMMANDS: Readonly<Record<string, (dataSource: DataSource, argument: string) => Promise<void>>> = {
  migrate: async (dataSource) => void (await dataSource.runMigrations()),
  'create-firm': (dataSource, path) => createFirm(dataSource, JSON.parse(readFileSync(path, 'utf8')) as FirmFile),
  'set-date': async (dataSource, text) => {
    const day = parseDate(text);
    if (!day) throw new Error('give a day like 2026-10-22');
    await new Clock(readConfig(process.env), dataSource).move(day);
  },
  'is-empty': async (dataSource) => void process.stdout.write(((await dataSource.query('SELECT firm_ids()')) as unknown[]).length === 0 ? 'empty\n' : 'used\n'),
  'verify-audit': verifyAudit,
  openapi: async (dataSource) => {
    const app = await makeApplication(readConfig(process.env), dataSource);
    process.stdout.write(JSON.stringify(openApiDocument(app), null, 2));
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
  process.stderr.write(`${name}: ${error instanceof Error ? error.message : 'failed'}\n`);
  process.exitCode = 1;
} finally {
  if (dataSource.isInitialized) await dataSource.destroy();
}
process.exit();
