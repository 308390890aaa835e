import type { INestApplication } from '@nestjs/common';
import 'reflect-metadata';
import argon2 from 'argon2';
import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inflateSync } from 'node:zlib';
import pg from 'pg';
import type { DataSource } from 'typeorm';
import { makeService } from '../../agencies/src/service.js';
import { makeApplication } from '../src/application.js';
import type { Config } from '../src/config/config.js';
import { makeDataSource } from '../src/database/data-source.js';
import { FirmDatabase, type Actor } from '../src/database/firm-database.js';
import { Clock } from '../src/modules/clock/clock.js';
import { Documents } from '../src/modules/documents/index.js';
import { createFirm, type FirmFile } from '../src/modules/identity/create-firm.js';
import { makeQueues } from '../src/queue/queues.js';
import { date } from '@zakat/core/calendar/local-date';

const BASE = process.env['ZAKAT_TEST_DATABASE_URL'] ?? '';
const TOKEN = 'a-token-for-the-tests';

export type Caller = (method: string, path: string, body?: unknown) => Promise<{ status: number; body: any }>; // oxlint-disable-line typescript/no-explicit-any

export const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });

const PASSWORD = 'a-long-enough-password';
/** A hash says what it cost: signing in with one that was made for little costs little. Passwords that a test sets cost the whole. */
const lightHash = (password: string): Promise<string> =>
  argon2.hash(password, { memoryCost: 1024, timeCost: 2, parallelism: 1 });
export const firmFile = (name: string): FirmFile => ({
  firm: {
    name,
    ein: '401234568',
    street: '12 Lantern Row',
    city: 'Saltmarsh',
    state: 'NY',
    zip: '13999',
    phone: '3155550110',
    email: 'desk@firm.example',
    contactName: 'Odile Marrack',
    preparerName: 'Odile Marrack',
    preparerPtin: 'P00000001',
    efw2UserId: 'BRKWTR01',
    efin: '990001',
  },
  users: ['preparer', 'reviewer', 'administrator'].map((role) => ({
    name: `${name} ${role}`,
    email: `${role}@${name.toLowerCase()}.example`,
    role,
    password: PASSWORD,
  })),
  payees: [
    ['IRS', '000000107'],
    ['NY-TAX', '000000204'],
    ['NY-DOL', '000000204'],
    ['TX-TWC', '000000314'],
  ].map(([agency, routing]) => ({
    agency: agency ?? '',
    name: `AGENCY ${agency}`,
    routing: routing ?? '',
    account: '9400000001',
  })),
});

const configOf = (databaseUrl: string, port: number, outside: string): Config => ({
  databaseUrl,
  port,
  key: Buffer.alloc(32, 7),
  clock: 'simulated',
  clockToken: TOKEN,
  bankUrl: `${outside}/bank`,
  returnsUrl: `${outside}/returns`,
  wagesUrl: `${outside}/wages`,
  statesUrl: `${outside}/states`,
  debitsUrl: `${outside}/debits`,
  publicUrl: `http://127.0.0.1:${port}`,
  webFolder: null,
  processes: 1,
});
const urlOf = (database: string): string => BASE.replace(/\/[^/]*$/, `/${database}`);
const TEMPLATE = 'zakat_template';
/** Any number: it keeps the suites from making the template, or copying it, at once. */
const TEMPLATE_LOCK = 4711;

/** A database with the schema: the migrations run once, every suite gets a copy. */
async function copyOfTemplate(database: string): Promise<void> {
  const owner = new pg.Client(BASE);
  await owner.connect();
  try {
    await owner.query('SELECT pg_advisory_lock($1)', [TEMPLATE_LOCK]);
    const known = await owner.query('SELECT 1 FROM pg_database WHERE datname = $1', [TEMPLATE]);
    if (known.rowCount === 0) {
      const making = `${TEMPLATE}_making`;
      await owner.query(`DROP DATABASE IF EXISTS ${making}`);
      await owner.query(`CREATE DATABASE ${making}`);
      const dataSource = await makeDataSource(urlOf(making)).initialize();
      await dataSource.runMigrations();
      await makeQueues(urlOf(making));
      await dataSource.destroy();
      await owner.query(`ALTER DATABASE ${making} RENAME TO ${TEMPLATE}`);
    }
    await owner.query(`CREATE DATABASE ${database} TEMPLATE ${TEMPLATE}`);
  } finally {
    await owner.end();
  }
}

/**
 * A whole Zakat with a database of its own and stand-ins of its own, on free ports. The database is left behind: it goes
 * with the cluster, and dropping it takes longer than making it.
 */
export class Stack {
  private constructor(
    readonly app: INestApplication,
    readonly dataSource: DataSource,
    readonly config: Config,
    readonly url: string,
    readonly outside: string,
    private readonly agencies: Server,
    private readonly folder: string,
  ) {}

  /** `taxpayers`: what the tax agency's own register says of some. */
  static async start(
    today = '2026-10-22',
    taxpayers: readonly { readonly ein: string; readonly nameControl: string }[] = [],
  ): Promise<Stack> {
    if (BASE === '') throw new Error('ZAKAT_TEST_DATABASE_URL is not set: run npm test');
    const database = `zakat_${process.pid}_${Math.floor(performance.now() * 1000)}`;
    const databaseUrl = urlOf(database);
    await copyOfTemplate(database);
    const [port, agenciesPort] = [await freePort(), await freePort()];
    const folder = mkdtempSync(join(tmpdir(), 'zakat-agencies-'));
    const outside = `http://127.0.0.1:${agenciesPort}`;
    const { app: standIns } = makeService({
      folder,
      today,
      clockUrl: `http://127.0.0.1:${port}/api/clock`,
      clockToken: TOKEN,
      taxpayers,
      refusedNumbers: [],
    });
    const agencies = await new Promise<Server>((resolve) => {
      const server = standIns.listen(agenciesPort, '127.0.0.1', () => resolve(server));
    });
    const config = configOf(databaseUrl, port, outside);
    const dataSource = await makeDataSource(databaseUrl).initialize();
    await new Clock(config, dataSource).move(date(today));
    const app = await makeApplication(config, dataSource);
    // Here the caller alone closes an idle connection: after a stall under load both would, in either order.
    (app.getHttpServer() as Server).keepAliveTimeout = 0;
    await app.listen(port, '127.0.0.1');
    return new Stack(app, dataSource, config, `http://127.0.0.1:${port}/api`, outside, agencies, folder);
  }

  async stop(): Promise<void> {
    await this.app.close();
    if (this.dataSource.isInitialized) await this.dataSource.destroy();
    const gone = new Promise((resolve) => this.agencies.close(resolve));
    this.agencies.closeAllConnections();
    await gone;
    rmSync(this.folder, { recursive: true, force: true });
  }

  addFirm(name: string): Promise<void> {
    return createFirm(this.dataSource, firmFile(name), lightHash);
  }

  signIn(firm: string, role: 'preparer' | 'reviewer' | 'administrator'): Promise<Caller> {
    return this.signInAs(`${role}@${firm.toLowerCase()}.example`, PASSWORD);
  }

  async signInAs(email: string, password: string): Promise<Caller> {
    const answer = await fetch(`${this.url}/session`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ email, password }),
    });
    if (answer.status !== 204) throw new Error(`sign-in: ${answer.status}`);
    const cookie = (answer.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
    return (method, path, body) => this.call(method, path, body, { cookie });
  }

  async call(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): ReturnType<Caller> {
    const response = await fetch(`${this.url}${path}`, {
      method,
      headers: { 'Content-Type': 'application/json', ...headers },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const isPdf = response.headers.get('content-type') === 'application/pdf';
    const text = isPdf ? Buffer.from(await response.arrayBuffer()).toString('latin1') : await response.text();
    return { status: response.status, body: text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : text };
  }

  async console(path: string, form: Record<string, string>): Promise<void> {
    const answer = await fetch(`${this.outside}/console/${path}`, {
      method: 'POST',
      redirect: 'manual',
      body: new URLSearchParams(form),
    });
    if (answer.status !== 303) throw new Error(await answer.text());
  }
  /** Stores a file as it was never made, in the name of the first firm. */
  async keep(kind: string, content: string): Promise<string> {
    const [firm] = (await this.dataSource.query('SELECT id FROM firm LIMIT 1')) as { id: string }[];
    const actor: Actor = { firmId: firm?.id ?? '', userId: null, role: 'system' };
    return this.app
      .get(FirmDatabase)
      .run(actor, (manager) =>
        this.app.get(Documents).store(manager, actor, null, kind, 'file.xml', 'application/xml', Buffer.from(content)),
      );
  }
  async received(party: string): Promise<{ key: string; state: string; reference: string }[]> {
    const answer = await fetch(`${this.outside}/console/records`);
    return ((await answer.json()) as Record<string, { key: string; state: string; reference: string }[]>)[party] ?? [];
  }
}

/** The words of a PDF that the house drew: hexadecimal strings in deflated streams, one run of words to a line. */
export function wordsOf(pdf: string): string {
  const streams = [...pdf.matchAll(/\/FlateDecode[^]*?stream\r?\n([^]*?)\r?\nendstream/g)];
  return streams
    .map(([, packed = '']) => inflateSync(Buffer.from(packed, 'latin1')).toString('latin1'))
    .flatMap((content) => [...content.matchAll(/\[([^\]]*)\] TJ/g)])
    .map(([, run = '']) =>
      [...run.matchAll(/<([0-9a-f]*)>/g)].map(([, hex = '']) => Buffer.from(hex, 'hex').toString('latin1')).join(''),
    )
    .join('\n');
}

export async function until<T>(ask: () => Promise<T>, isDone: (answer: T) => boolean): Promise<T> {
  for (let tries = 0; tries < 300; tries += 1) {
    const answer = await ask();
    if (isDone(answer)) return answer;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error('waited too long');
}

const W4 = {
  form: '2020',
  filingStatus: 'single',
  multipleJobs: false,
  dependentCredit: '0.00',
  otherIncome: '0.00',
  deductions: '0.00',
  extraWithholding: '0.00',
  exempt: false,
  nonresidentAlien: false,
};
export const employee = (number: string, more: Record<string, unknown> = {}) => ({
  number,
  firstName: 'Wil',
  middleName: '',
  lastName: `Sprague${String.fromCharCode(64 + Number(number))}`,
  suffix: '',
  ssn: `8991234${number.padStart(2, '0')}`,
  street: '1 Row',
  city: 'Saltmarsh',
  state: 'NY',
  zip: '13999',
  hiredOn: '2024-01-02',
  bornOn: '1990-05-04',
  kind: 'employee',
  isRetirementPlan: false,
  facts: [
    { kind: 'pay', from: '2024-01-02', value: { basis: 'hourly', rate: '31.40', hours: '80' } },
    { kind: 'federal-certificate', from: '2024-01-02', value: W4 },
    { kind: 'place', from: '2024-01-02', value: { work: 'NY', residence: 'NY' } },
    {
      kind: 'state-certificate',
      from: '2024-01-02',
      value: { state: 'NY', certificate: { filingStatus: 'single', allowances: 1 } },
    },
  ],
  ...more,
});

/** The clients of a suite have one EIN, which the stand-ins know; that was looked at. */
export const SHARED_EIN = { confirmed: ['doubt.ein-shared ein'] };

/** A client with people and accounts, ready for a payroll. */
export async function takeOn(
  preparer: Caller,
  key: string,
  people = 2,
): Promise<{ id: string; bankId: string; employeeIds: string[] }> {
  const client = await preparer('POST', '/clients', {
    key,
    legalName: `Boatyard ${key} Inc`,
    tradeName: '',
    ein: '471234561',
    nameControl: 'BOAT',
    street: '3 Slipway',
    city: 'Saltmarsh',
    state: 'NY',
    zip: '13999',
    phone: '3155550121',
    email: 'office@yard.example',
    contactName: 'Ruth',
    signerName: 'Ruth',
    signerTitle: 'President',
    kindOfEmployer: 'N',
    payFrequency: 'biweekly',
    lookbackAmount: 2_000_000,
    ...SHARED_EIN,
  });
  const { id } = client.body as { id: string };
  for (const [agency, accountNumber, rate, depositFrequency] of [
    ['NY-DOL', '49-00123', '4.1', ''],
    ['TX-TWC', '99-001234-5', '2.7', ''],
    ['NY-TAX', '47-1234561', null, '5-day'],
    ['NY-WCB', 'DB-884400', null, 'quarterly'],
  ])
    await preparer('POST', `/clients/${id}/tax-accounts`, {
      agency,
      accountNumber,
      unemploymentRate: rate,
      from: '2024-01-01',
      depositFrequency,
    });
  const bank = await preparer('POST', `/clients/${id}/bank-accounts`, {
    label: 'Operating',
    bankName: 'Harbor Mutual',
    routing: '000000123',
    account: '5500012345',
  });
  const employeeIds: string[] = [];
  for (let index = 1; index <= people; index += 1)
    employeeIds.push(
      ((await preparer('POST', `/clients/${id}/employees`, employee(String(index)))).body as { id: string }).id,
    );
  return { id, bankId: (bank.body as { id: string }).id, employeeIds };
}

export async function postPayroll(
  preparer: Caller,
  clientId: string,
  days = { periodStart: '2026-10-11', periodEnd: '2026-10-24', checkDate: '2026-10-30' },
  /** In a closed period: who posts it, and why. */
  closed?: { readonly by: Caller; readonly closedReason: string },
): Promise<string> {
  const { id } = (await preparer('POST', `/clients/${clientId}/payrolls`, { ...days, kind: 'regular' })).body as {
    id: string;
  };
  const reviewed = await preparer('POST', `/payrolls/${id}/review`, { version: 1 });
  const posted = await (closed?.by ?? preparer)('POST', `/payrolls/${id}/post`, {
    version: reviewed.body.version,
    ...(closed ? { closedReason: closed.closedReason } : {}),
  });
  if (posted.status !== 200) throw new Error(JSON.stringify(posted.body));
  return id;
}
