import { fail } from '../scripts/say.mjs';
import { withFirm } from './firm.mjs';

/**
 * Lists, search, the ladder and a file of 5,000 people, in a firm that grows to 2,000 clients with 100,000 people and a year
 * of weekly payrolls; then 200 people at once. All are invented.
 */
const STAGES = [10, 100, 1000, 2000];
const PEOPLE_EACH = 50;
const ROUNDS = 200;
const ROUNDS_OF_ALL = 10;
const USERS = 200;
const PAUSE = 3000;
const LOAD_SECONDS = 30;
/** Before it is measured, everybody has signed in and looked at something. */
const WARM_UP_SECONDS = 10;
const OPEN_PAYROLLS = 20;

/** Clients of one stage with their people and schedule, and a year of payrolls that are deposited but for the last weeks. */
const fill = (from, to) => `
INSERT INTO client (id, firm_id, key, legal_name, trade_name, ein, name_control, street, city, state, zip, phone, email, contact_name, signer_name, signer_title, kind_of_employer, pay_frequency, lookback_amount)
SELECT gen_random_uuid(), (SELECT id FROM firm), 'C' || n, 'Client ' || n || ' ' || md5(n::text), '', '47' || lpad(n::text, 7, '0'), 'CLIE', '1 Row', 'Port Verity', 'TX', '77999', '', '', '', '', '', 'N', 'weekly', 0
FROM generate_series(${from + 1}, ${to}) AS n;
CREATE TEMP TABLE fresh ON COMMIT DROP AS SELECT id, firm_id, substr(key, 2)::int AS n FROM client WHERE substr(key, 2)::int > ${from};
INSERT INTO employee (id, firm_id, client_id, number, first_name, middle_name, last_name, suffix, ssn_cipher, ssn_tail, ssn_mark, street, city, state, zip, hired_on, kind, is_retirement_plan)
SELECT gen_random_uuid(), c.firm_id, c.id, p::text, 'First' || substr(md5((c.n * 100 + p)::text), 1, 5), '', 'Last' || substr(md5((c.n * 700 + p)::text), 1, 7), '', '\\x00', right('0000' || p, 4), decode(md5((c.n * 100 + p)::text), 'hex'), '1 Row', 'Port Verity', 'TX', '77999', '2024-01-02', 'employee', false
FROM fresh c, generate_series(1, ${PEOPLE_EACH}) AS p;
INSERT INTO employee_fact (firm_id, employee_id, kind, effective_from, value, recorded_by, recorded_at)
SELECT e.firm_id, e.id, f.kind, '2024-01-02', f.value::jsonb, (SELECT id FROM app_user LIMIT 1), now() FROM employee e JOIN fresh c ON c.id = e.client_id,
  (VALUES ('pay', '{"basis":"hourly","rate":"21.50","hours":"40"}'), ('place', '{"work":"TX","residence":"TX"}')) AS f(kind, value);
INSERT INTO client_fact (firm_id, client_id, kind, effective_from, value, recorded_by, recorded_at)
SELECT c.firm_id, c.id, f.kind, '2024-01-02', f.value::jsonb, (SELECT id FROM app_user LIMIT 1), now() FROM fresh c,
  (VALUES ('employer', '{"kind":"business","entity":"corporation","formFamily":"941"}'), ('schedule', '{"frequency":"weekly","periodEnd":"2025-10-17","daysToCheck":7,"whenClosed":"before"}')) AS f(kind, value);
INSERT INTO payroll (id, firm_id, client_id, period_start, period_end, check_date, kind, status, version, posted_at, posted_by, created_by)
SELECT gen_random_uuid(), c.firm_id, c.id, date '2025-10-11' + 7 * w, date '2025-10-17' + 7 * w, date '2025-10-24' + 7 * w, 'regular', 'posted', 3, now(), u.id, u.id
FROM fresh c, generate_series(0, 51) AS w, (SELECT id FROM app_user LIMIT 1) u;
INSERT INTO ledger_entry (firm_id, client_id, payroll_id, cause, tax, agency, subject, wages, amount, liability_date, effective_date, posted_by, posted_at)
SELECT p.firm_id, p.client_id, p.id, 'payroll', t.tax, t.agency, 4300000, 4300000, t.amount, p.check_date, p.check_date, p.posted_by, now()
FROM payroll p JOIN fresh c ON c.id = p.client_id,
  (VALUES ('US-FIT', 'IRS', 350000), ('US-OASDI-EE', 'IRS', 266600), ('US-OASDI-ER', 'IRS', 266600), ('US-HI-EE', 'IRS', 62350), ('US-HI-ER', 'IRS', 62350), ('US-FUTA', 'IRS', 2100), ('TX-SUI', 'TX-TWC', 9450)) AS t(tax, agency, amount);
INSERT INTO filing (id, firm_id, client_id, kind, jurisdiction, period_start, period_end, due, status, prepared_by, created_at)
SELECT gen_random_uuid(), c.firm_id, c.id, 'us-941', 'US', q.day, (q.day + interval '3 months - 1 day')::date, '2026-10-31', 'accepted', u.id, now()
FROM fresh c, (VALUES (date '2025-10-01'), ('2026-01-01'), ('2026-04-01')) AS q(day), (SELECT id FROM app_user LIMIT 1) u;
INSERT INTO ledger_entry (firm_id, client_id, filing_id, cause, tax, agency, subject, wages, amount, liability_date, effective_date, posted_by, posted_at)
SELECT l.firm_id, l.client_id, (SELECT f.id FROM filing f WHERE f.client_id = l.client_id LIMIT 1), 'payment', l.tax, l.agency, 0, 0, -l.amount, l.liability_date, l.liability_date + 5, l.posted_by, now()
FROM ledger_entry l JOIN fresh c ON c.id = l.client_id WHERE l.cause = 'payroll' AND l.liability_date < CASE WHEN l.tax = 'TX-SUI' THEN date '2026-07-01' ELSE date '2026-10-01' END;`;

const percentile = (times, share) => [...times].sort((a, b) => a - b)[Math.floor(times.length * share)];

/** Payrolls of the first clients, as they are opened to be typed. */
async function openPayrolls(ask, clients) {
  const payrolls = [];
  for (const { id } of clients) {
    const { periodStart, periodEnd, checkDate } = await ask('GET', `/clients/${id}/next-payroll`);
    const payroll = await ask('POST', `/clients/${id}/payrolls`, {
      periodStart,
      periodEnd,
      checkDate,
      kind: 'regular',
    });
    payrolls.push(payroll.id);
  }
  return payrolls;
}

/** Many at once, each with a pause between acts: the time of an answer, and whether all are answers. */
async function underLoad(ask, acts) {
  const times = [];
  let failed = 0;
  const from = performance.now() + WARM_UP_SECONDS * 1000;
  const until = from + LOAD_SECONDS * 1000;
  const somebody = async (seed) => {
    await new Promise((resolve) => setTimeout(resolve, (seed * PAUSE) / USERS));
    for (let act = seed; performance.now() < until; act += 1) {
      const start = performance.now();
      try {
        await acts[act % acts.length](act);
      } catch (error) {
        failed += 1;
        if (failed === 1) process.stdout.write(`\n${error.message}\n`);
      }
      if (start >= from) times.push(performance.now() - start);
      await new Promise((resolve) => setTimeout(resolve, PAUSE));
    }
  };
  await Promise.all(Array.from({ length: USERS }, (_, seed) => somebody(seed)));
  process.stdout.write(
    `\n${USERS} people at once, ${PAUSE / 1000} s between acts, ${times.length} acts: median ${percentile(times, 0.5).toFixed(1)} ms, 95th percentile ${percentile(times, 0.95).toFixed(1)} ms, ${failed} failed\n`,
  );
}

const TODAY = '2026-10-22';
await withFirm(TODAY, async ({ owner, ask }) => {
  process.stdout.write('\nthe ladder as the firm grows, 50 requests each, one after another\n');
  let before = 0;
  for (const clients of STAGES) {
    await owner.query(`BEGIN; ${fill(before, clients)} COMMIT;`);
    // What the database does by itself a minute after so much has come.
    await owner.query('VACUUM ANALYZE');
    let start = performance.now();
    // The first look works out what changed; the rest goes on behind it.
    for (let waiting = 1; waiting > 0;) ({ waiting } = await ask('GET', '/ladder'));
    const { count: length } = await ask('GET', '/ladder');
    const first = performance.now() - start;
    const times = [];
    for (let round = 0; round < 50; round += 1) {
      start = performance.now();
      await ask('GET', '/ladder');
      times.push(performance.now() - start);
    }
    process.stdout.write(
      `  ${String(clients).padStart(5)} clients, ${length} rungs: median ${percentile(times, 0.5).toFixed(1)} ms, 95th percentile ${percentile(times, 0.95).toFixed(1)} ms; worked out for ${clients - before} new clients in ${(first / 1000).toFixed(2)} s\n`,
    );
    before = clients;
  }
  const { rows } = await ask('GET', '/clients');
  const hex = (round) => (round * 7919).toString(16).slice(0, 3);
  const measures = [
    ['the first 200 clients', () => '/clients'],
    ['clients with a part of a name', (round) => `/clients?find=${hex(round)}`],
    ["a client's people", (round) => `/clients/${rows[round % rows.length].id}/employees`],
    ["a client's payrolls", (round) => `/clients/${rows[round % rows.length].id}/payrolls`],
    ["a client's deposits", (round) => `/clients/${rows[round % rows.length].id}/deposits`],
    ["a client's forms", (round) => `/clients/${rows[round % rows.length].id}/forms?year=2026`],
    ["a client's tie-out", (round) => `/clients/${rows[round % rows.length].id}/tie-out?year=2026&quarter=3`],
    ['readiness of 50 people', (round) => `/clients/${rows[round % rows.length].id}/readiness`],
    ['returns of a quarter of every client', () => '/due-returns?quarter=2026-Q3', ROUNDS_OF_ALL],
    ['search over all clients and people', (round) => `/search?find=last${hex(round)}`],
    ['search with a rare part', (round) => `/search?find=${hex(round)}${hex(round + 3)}`],
  ];
  process.stdout.write(
    `\n${before} clients, ${before * PEOPLE_EACH} people, ${ROUNDS} requests each, one after another\n`,
  );
  for (const [label, pathOf, rounds = ROUNDS] of measures) {
    const times = [];
    for (let round = 0; round < rounds; round += 1) {
      const start = performance.now();
      await ask('GET', pathOf(round));
      times.push(performance.now() - start);
    }
    process.stdout.write(
      `  ${label.padEnd(36)} median ${percentile(times, 0.5).toFixed(1)} ms, 95th percentile ${percentile(times, 0.95).toFixed(1)} ms\n`,
    );
  }
  const open = await openPayrolls(ask, rows.slice(0, OPEN_PAYROLLS));
  const { rows: employees } = await ask('GET', `/clients/${rows[0].id}/employees`);
  const trial = (round) => ({
    employeeId: employees[round % employees.length].id,
    checkDate: null,
    bornOn: null,
    facts: [{ kind: 'pay', from: TODAY, value: { basis: 'hourly', rate: `${20 + (round % 40)}.50`, hours: '40' } }],
  });
  const client = (round) => `/clients/${rows[round % rows.length].id}`;
  await underLoad(ask, [
    () => ask('GET', '/ladder'),
    () => ask('GET', '/clients'),
    (round) => ask('GET', `/clients?find=${hex(round)}`),
    (round) => ask('GET', `${client(round)}/employees`),
    (round) => ask('GET', `${client(round)}/payrolls`),
    (round) => ask('GET', `/payrolls/${open[round % open.length]}`),
    (round) => ask('POST', `/clients/${rows[0].id}/trials`, trial(round)),
    (round) => ask('POST', `/clients/${rows[0].id}/trials`, trial(round + 7)),
    (round) => ask('GET', `${client(round)}/deposits`),
  ]);
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
}).catch(fail);
