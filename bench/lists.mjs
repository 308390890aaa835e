import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { buildAll } from '../scripts/build.mjs';
import { clusterFolder, installPostgres, removeCluster, startCluster } from '../scripts/postgres.mjs';
import { ROOT, freePort } from '../scripts/run.mjs';
import { fail } from '../scripts/say.mjs';

/** Lists, search and a file of 5,000 people, with 2,000 clients and 100,000 people in the database. All are invented. */
const CLIENTS = 2000;
const PEOPLE = 100_000;
const ROUNDS = 200;

const FILL = `
INSERT INTO client (id, firm_id, key, legal_name, trade_name, ein, name_control, street, city, state, zip, phone, email, contact_name, signer_name, signer_title, kind_of_employer, pay_frequency, lookback_amount, new_york_days)
SELECT gen_random_uuid(), (SELECT id FROM firm), 'C' || n, 'Client ' || n || ' ' || md5(n::text), '', '47' || lpad(n::text, 7, '0'), 'CLIE', '1 Row', 'Port Verity', 'TX', '77999', '', '', '', '', '', 'N', 'weekly', 0, 5
FROM generate_series(1, ${CLIENTS}) AS n;
INSERT INTO employee (id, firm_id, client_id, number, first_name, middle_name, last_name, suffix, ssn_cipher, ssn_tail, ssn_mark, street, city, state, zip, hired_on, kind, is_retirement_plan)
SELECT gen_random_uuid(), c.firm_id, c.id, (n / ${CLIENTS} + 1)::text, 'First' || substr(md5(n::text), 1, 5), '', 'Last' || substr(md5((n * 7)::text), 1, 7), '', '\\x00', right('0000' || n, 4), decode(md5(n::text), 'hex'), '1 Row', 'Port Verity', 'TX', '77999', '2024-01-02', 'employee', false
FROM generate_series(0, ${PEOPLE - 1}) AS n JOIN (SELECT id, firm_id, row_number() OVER (ORDER BY key) - 1 AS place FROM client) c ON c.place = n % ${CLIENTS};
INSERT INTO employee_fact (firm_id, employee_id, kind, effective_from, value, recorded_by, recorded_at)
SELECT e.firm_id, e.id, f.kind, '2024-01-02', f.value::jsonb, (SELECT id FROM app_user LIMIT 1), now() FROM employee e,
  (VALUES ('pay', '{"basis":"hourly","rate":"21.50","hours":"40"}'), ('place', '{"work":"TX","residence":"TX"}')) AS f(kind, value);
ANALYZE;`;

const percentile = (times, share) => [...times].sort((a, b) => a - b)[Math.floor(times.length * share)];

async function main() {
  if (!existsSync(join(ROOT, 'apps/server/dist/main.js'))) await buildAll();
  const { cli, stackEnvironment, startStack } = await import('../scripts/stack.mjs');
  await installPostgres();
  const folder = mkdtempSync(join(tmpdir(), 'zakat-bench-'));
  const cluster = clusterFolder(join(folder, 'database'));
  const database = await startCluster(cluster, await freePort());
  let stack = null;
  try {
    const home = join(folder, 'home');
    const today = '2026-10-22';
    const ports = { port: await freePort(), agenciesPort: await freePort() };
    const env = stackEnvironment({ folder: home, databaseUrl: database.url, ...ports, today, clock: 'simulated' });
    await cli(env, 'prepare', today);
    await cli(env, 'create-firm', join(ROOT, 'demo/firm.json'));
    const owner = new pg.Client(env.DATABASE_URL);
    await owner.connect();
    await owner.query(FILL);
    await owner.end();
    stack = await startStack(env, home);
    const { users } = JSON.parse(readFileSync(join(ROOT, 'demo/firm.json'), 'utf8'));
    const api = `http://127.0.0.1:${ports.port}/api`;
    const json = { 'Content-Type': 'application/json' };
    const { email, password } = users.find((user) => user.role === 'preparer');
    const entered = await fetch(`${api}/session`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify({ email, password }),
    });
    const headers = { ...json, cookie: entered.headers.get('set-cookie').split(';')[0] };
    const ask = async (method, path, body) => {
      const answer = await fetch(`${api}${path}`, { method, headers, ...(body ? { body: JSON.stringify(body) } : {}) });
      const text = await answer.text();
      if (!answer.ok) throw new Error(`${path}: ${text.slice(0, 300)}`);
      return JSON.parse(text);
    };
    const { rows } = await ask('GET', '/clients');
    const hex = (round) => (round * 7919).toString(16).slice(0, 3);
    const measures = [
      ['the first 200 clients', () => '/clients'],
      ['clients with a part of a name', (round) => `/clients?find=${hex(round)}`],
      ["a client's people", (round) => `/clients/${rows[round % rows.length].id}/employees`],
      ['search over all clients and people', (round) => `/search?find=last${hex(round)}`],
      ['search with a rare part', (round) => `/search?find=${hex(round)}${hex(round + 3)}`],
    ];
    process.stdout.write(`\n${CLIENTS} clients, ${PEOPLE} people, ${ROUNDS} requests each, one after another\n`);
    for (const [label, pathOf] of measures) {
      const times = [];
      for (let round = 0; round < ROUNDS; round += 1) {
        const start = performance.now();
        await ask('GET', pathOf(round));
        times.push(performance.now() - start);
      }
      process.stdout.write(
        `  ${label.padEnd(36)} median ${percentile(times, 0.5).toFixed(1)} ms, 95th percentile ${percentile(times, 0.95).toFixed(1)} ms\n`,
      );
    }
    const file = [
      'Last name,First name,SSN,Hired,Born,Hourly rate,W-4 filing status,Works in',
      ...Array.from(
        { length: 5000 },
        (_, index) => `Brine,Ada,8994${String(10_001 + index)},2025-01-02,1990-01-02,21.50,Single,TX`,
      ),
    ].join('\n');
    let start = performance.now();
    const read = await ask('POST', `/clients/${rows[0].id}/people-files`, {
      fileName: 'people.csv',
      content: Buffer.from(file).toString('base64'),
    });
    process.stdout.write(
      `  a file of 5,000 people: read and checked in ${((performance.now() - start) / 1000).toFixed(2)} s`,
    );
    start = performance.now();
    await ask('POST', `/people-files/${read.id}/accept`, { version: read.version });
    process.stdout.write(`, taken on in ${((performance.now() - start) / 1000).toFixed(2)} s\n`);
  } finally {
    await stack?.stop();
    await database.stop();
    removeCluster(cluster);
    rmSync(folder, { recursive: true, force: true });
  }
}
main().then(() => process.exit(0), fail);
