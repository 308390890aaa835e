import { createCipheriv, createHmac, randomBytes, randomUUID } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import { fail } from '../scripts/say.mjs';
import { withFirm } from './firm.mjs';

/** The wage files of a year for 100,000 invented people at 20 clients: boxes, totals, checks and file of each. */
const CLIENTS = 20;
const PEOPLE_EACH = 5000;
const CHECKS = 4;
const YEAR = 2026;

/** A client with its people, their checks and what the ledger has of them. */
const FILL = `
INSERT INTO client (id, firm_id, key, legal_name, trade_name, ein, name_control, street, city, state, zip, phone, email, contact_name, signer_name, signer_title, kind_of_employer, pay_frequency, lookback_amount)
SELECT $1, firm.id, 'W' || $2::text, 'Wages ' || $2::text, '', '47' || lpad($2::text, 7, '0'), 'WAGE', '1 Row', 'Port Verity', 'TX', '77999', '3255550100', '', 'Ada Brine', '', '', 'N', 'weekly', 0 FROM firm`;
const PEOPLE = `
INSERT INTO employee (id, firm_id, client_id, number, first_name, middle_name, last_name, suffix, ssn_cipher, ssn_tail, ssn_mark, street, city, state, zip, hired_on, kind, is_retirement_plan)
SELECT p.id, firm.id, $1, p.number, 'Ada', '', 'Brine' || p.number, '', decode(p.cipher, 'base64'), p.tail, decode(p.mark, 'base64'), '1 Row', 'Port Verity', 'TX', '77999', '2024-01-02', 'employee', true
FROM firm, jsonb_to_recordset($2::jsonb) AS p(id uuid, number text, cipher text, tail text, mark text)`;
const PAYROLLS = `
INSERT INTO payroll (id, firm_id, client_id, period_start, period_end, check_date, kind, status, version, posted_at, posted_by, created_by)
SELECT gen_random_uuid(), firm.id, $1, day, day + 6, day + 10, 'regular', 'posted', 3, now(), u.id, u.id
FROM firm, (SELECT id FROM app_user LIMIT 1) u, (SELECT date '${YEAR}-01-05' + 84 * n AS day FROM generate_series(0, ${CHECKS - 1}) AS n) d`;
const PAYCHECKS = `
INSERT INTO paycheck (id, firm_id, client_id, payroll_id, employee_id, check_date, gross, net, supplemental, lines, facts)
SELECT gen_random_uuid(), e.firm_id, e.client_id, p.id, e.id, p.check_date, 860000, 690000, 0,
  '{"earnings":[{"item":"regular","amount":860000}],"deductions":[{"item":"401k","amount":20000}],"employerPaid":[],"tracked":{}}', '{}'
FROM employee e JOIN payroll p ON p.client_id = e.client_id WHERE e.client_id = $1`;
const LEDGER = `
INSERT INTO ledger_entry (firm_id, client_id, payroll_id, employee_id, cause, tax, agency, subject, wages, amount, liability_date, effective_date, posted_by, posted_at)
SELECT e.firm_id, e.client_id, p.id, e.id, 'payroll', t.tax, 'IRS', t.subject, t.subject, t.amount, p.check_date, p.check_date, p.posted_by, now()
FROM employee e JOIN payroll p ON p.client_id = e.client_id,
  (VALUES ('US-FIT', 840000, 70000), ('US-OASDI-EE', 860000, 53320), ('US-HI-EE', 860000, 12470)) AS t(tax, subject, amount) WHERE e.client_id = $1`;

const seal = (key, text) => {
  const nonce = randomBytes(12);
  const cipher = createCipheriv('aes-256-gcm', key, nonce);
  return Buffer.concat([nonce, cipher.update(text, 'utf8'), cipher.final(), cipher.getAuthTag()]).toString('base64');
};
function peopleOf(client, secret) {
  const key = Buffer.from(secret, 'hex');
  return Array.from({ length: PEOPLE_EACH }, (_, index) => {
    // No part of a number is all zeros.
    const nth = client * PEOPLE_EACH + index;
    const ssn = `810${String(1 + Math.floor(nth / 9999)).padStart(2, '0')}${String(1 + (nth % 9999)).padStart(4, '0')}`;
    return {
      id: randomUUID(),
      number: String(index + 1),
      cipher: seal(key, ssn),
      tail: ssn.slice(-4),
      mark: createHmac('sha256', key).update(ssn).digest('base64'),
    };
  });
}

/** Megabytes of the server's processes: of each the most it ever had. */
function mostMemory(server) {
  const own = (pid) => {
    try {
      return readFileSync(`/proc/${pid}/status`, 'utf8');
    } catch {
      return '';
    }
  };
  return readdirSync('/proc')
    .filter((pid) => Number(pid) === server || own(pid).includes(`PPid:\t${server}\n`))
    .map((pid) => Math.round(Number(/VmHWM:\s+(\d+)/.exec(own(pid))?.[1] ?? '0') / 1024));
}

await withFirm(`${YEAR + 1}-01-11`, async ({ owner, ask, key, server }) => {
  const clients = Array.from({ length: CLIENTS }, () => randomUUID());
  for (const [index, id] of clients.entries()) {
    await owner.query(FILL, [id, index]);
    await owner.query(PEOPLE, [id, JSON.stringify(peopleOf(index, key))]);
    for (const statement of [PAYROLLS, PAYCHECKS, LEDGER]) await owner.query(statement, [id]);
  }
  await owner.query('ANALYZE');
  const spans = { begun: 0, checked: 0, shown: 0, rehearsed: 0 };
  const timed = async (span, work) => {
    const from = performance.now();
    const answer = await work();
    spans[span] += performance.now() - from;
    return answer;
  };
  let people = 0;
  for (const id of clients) {
    const { id: filing } = await timed('begun', () =>
      ask('POST', `/clients/${id}/filings`, { kind: 'us-w2', period: String(YEAR) }),
    );
    const { version, w2s } = await timed('shown', () => ask('GET', `/filings/${filing}`));
    people += w2s.total;
    await timed('checked', () => ask('POST', `/filings/${filing}/check`, { version }));
    await timed('rehearsed', () => ask('GET', `/filings/${filing}/slip`));
  }
  const seconds = (span) => `${(spans[span] / 1000).toFixed(1)} s`;
  process.stdout.write(
    `\n${people.toLocaleString('en-US')} people at ${CLIENTS} clients: boxes and totals shown in ${seconds('shown')}, checked and kept in ${seconds('checked')}, ` +
      `the file rehearsed for the slip in ${seconds('rehearsed')}; most memory of a process ${Math.max(...mostMemory(server))} MB\n`,
  );
}).catch(fail);
