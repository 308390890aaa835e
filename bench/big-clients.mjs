import { createCipheriv, createHmac, randomBytes, randomUUID } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';

/** Clients with many invented people and posted checks, put into the database by set. */
const CLIENT = `
INSERT INTO client (id, firm_id, key, legal_name, trade_name, ein, name_control, street, city, state, zip, phone, email, contact_name, signer_name, signer_title, kind_of_employer, pay_frequency, lookback_amount)
SELECT $1, firm.id, 'W' || $2::text, 'Wages ' || $2::text, '', '47' || lpad($2::text, 7, '0'), 'WAGE', '1 Row', 'Port Verity', 'TX', '77999', '3255550100', '', 'Ada Brine', '', '', 'N', 'weekly', 0 FROM firm`;
const PEOPLE = `
INSERT INTO employee (id, firm_id, client_id, number, first_name, middle_name, last_name, suffix, ssn_cipher, ssn_tail, ssn_mark, street, city, state, zip, hired_on, kind, is_retirement_plan)
SELECT p.id, firm.id, $1, p.number, 'Ada', '', 'Brine' || translate(p.number, '0123456789', 'abcdefghij'), '', decode(p.cipher, 'base64'), p.tail, decode(p.mark, 'base64'), '1 Row', 'Port Verity', 'TX', '77999', '2024-01-02', 'employee', true
FROM firm, jsonb_to_recordset($2::jsonb) AS p(id uuid, number text, cipher text, tail text, mark text)`;
const payrolls = (year, count) => `
INSERT INTO payroll (id, firm_id, client_id, period_start, period_end, check_date, kind, status, version, posted_at, posted_by, created_by)
SELECT gen_random_uuid(), firm.id, $1, day, day + 6, day + 10, 'regular', 'posted', 3, now(), u.id, u.id
FROM firm, (SELECT id FROM app_user LIMIT 1) u, (SELECT date '${year}-01-05' + ${Math.floor(336 / count)} * n AS day FROM generate_series(0, ${count - 1}) AS n) d`;
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
const TAXES = `
INSERT INTO paycheck_tax (firm_id, client_id, paycheck_id, employee_id, check_date, tax, payer, base, subject, wages, amount)
SELECT c.firm_id, c.client_id, c.id, c.employee_id, c.check_date, t.tax, t.payer, t.tax, t.subject, t.subject, t.amount
FROM paycheck c, (VALUES ('US-FIT', 'employee', 840000, 70000), ('US-OASDI-EE', 'employee', 860000, 53320), ('US-HI-EE', 'employee', 860000, 12470), ('US-OASDI-ER', 'employer', 860000, 53320), ('US-HI-ER', 'employer', 860000, 12470)) AS t(tax, payer, subject, amount) WHERE c.client_id = $1`;

const seal = (key, text) => {
  const nonce = randomBytes(12);
  const cipher = createCipheriv('aes-256-gcm', key, nonce);
  return Buffer.concat([nonce, cipher.update(text, 'utf8'), cipher.final(), cipher.getAuthTag()]).toString('base64');
};
/** `place`: which of the clients it is, so that no number comes twice. */
export function peopleOf(place, count, secret) {
  const key = Buffer.from(secret, 'hex');
  return Array.from({ length: count }, (_, index) => {
    // No part of a number is all zeros.
    const nth = place * count + index;
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

export const addPeople = (owner, client, people) => owner.query(PEOPLE, [client, JSON.stringify(people)]);

/** Clients with so many people, each paid so often in the year; answers with their ids. */
export async function addBigClients({ owner, key }, { clients, people, checks, year, withTaxes = false }) {
  const ids = Array.from({ length: clients }, () => randomUUID());
  for (const [place, id] of ids.entries()) {
    await owner.query(CLIENT, [id, place]);
    await addPeople(owner, id, peopleOf(place, people, key));
    for (const statement of [payrolls(year, checks), PAYCHECKS, LEDGER, ...(withTaxes ? [TAXES] : [])])
      await owner.query(statement, [id]);
  }
  await owner.query('VACUUM ANALYZE');
  return ids;
}

/** Megabytes of the server's processes: of each the most it ever had. */
export function mostMemory(server) {
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
