import 'reflect-metadata';
import { checkEin, checkRouting } from '@zakat/core/identity/numbers';
import { sentence } from '@zakat/core/issues/issue';
import { parseDate } from '@zakat/core/calendar/local-date';
import argon2 from 'argon2';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { DataSource } from 'typeorm';
import { readConfig } from './config/config.js';
import { makeDataSource } from './database/data-source.js';
import { FirmDatabase } from './database/firm-database.js';
import { Audit } from './modules/audit/audit.js';
import { Clock } from './modules/clock/clock.js';
import { makeApplication } from './application.js';
import { openApiDocument } from './http/open-api.js';

interface FirmFile {
  firm: { name: string; ein: string; street: string; city: string; state: string; zip: string; phone: string; email: string; contactName: string; preparerName: string; preparerPtin: string; efw2UserId: string };
  users: { name: string; email: string; role: string; password: string }[];
  payees: { agency: string; name: string; routing: string; account: string }[];
}

/** Sets up a firm with its first users and the agencies it pays. Refuses a second time with the same users. */
async function createFirm(dataSource: DataSource, file: FirmFile): Promise<void> {
  const issues = [...checkEin(file.firm.ein, 'firm.ein'), ...file.payees.flatMap((payee) => checkRouting(payee.routing, `payees ${payee.agency}`))];
  if (issues.length > 0) throw new Error(issues.map((issue) => `${issue.field}: ${sentence(issue)}`).join('\n'));
  const weak = file.users.find((user) => user.password.length < 12);
  if (weak) throw new Error(`the password of ${weak.email} has fewer than 12 characters`);
  const { firm } = file;
  const id = randomUUID();
  await dataSource.transaction(async (manager) => {
    await manager.query('INSERT INTO firm (id, name, ein, street, city, state, zip, phone, email, contact_name, preparer_name, preparer_ptin, efw2_user_id) VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9,$10,$11,$12,$13)', [
      id, firm.name, firm.ein, firm.street, firm.city, firm.state, firm.zip, firm.phone, firm.email, firm.contactName, firm.preparerName, firm.preparerPtin, firm.efw2UserId,
    ]);
    for (const user of file.users) {
      await manager.query('INSERT INTO app_user (id, firm_id, email, name, role, password_hash) VALUES ($1,$2,$3,$4,$5,$6)', [randomUUID(), id, user.email.toLowerCase(), user.name, user.role, await argon2.hash(user.password)]);
    }
    for (const payee of file.payees) await manager.query('INSERT INTO agency_payee (id, firm_id, agency, name, routing, account) VALUES ($1,$2,$3,$4,$5,$6)', [randomUUID(), id, payee.agency, payee.name, payee.routing, payee.account]);
  });
}

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
