import { fail } from '../scripts/say.mjs';
import { addBigClients, addPeople, mostMemory, peopleOf } from './big-clients.mjs';
import { withFirm } from './firm.mjs';

/**
 * A payroll of 1,000 people posted and its checks printed, then the register of 100,000 checks: in pages, and whole as
 * files. All are invented.
 */
const YEAR = 2026;
const TODAY = `${YEAR}-10-22`;
const PAID = 1000;
const PERIODS = [
  [`${YEAR}-08-23`, `${YEAR}-09-05`, `${YEAR}-09-11`],
  [`${YEAR}-09-06`, `${YEAR}-09-19`, `${YEAR}-09-25`],
  [`${YEAR}-09-20`, `${YEAR}-10-03`, `${YEAR}-10-09`],
  [`${YEAR}-10-04`, `${YEAR}-10-17`, `${YEAR}-10-23`],
];
const REGISTER = { clients: 2, people: 5000, checks: 20, year: YEAR, withTaxes: true };
const PAGES = 60;
const ROWS_OF_PAGE = 200;

const FACTS = `
INSERT INTO employee_fact (firm_id, employee_id, kind, effective_from, value, recorded_by, recorded_at)
SELECT e.firm_id, e.id, f.kind, '2024-01-02', f.value::jsonb, u.id, now() FROM employee e, (SELECT id FROM app_user LIMIT 1) u,
  (VALUES ('pay', '{"basis":"hourly","rate":"21.50","hours":"80"}'), ('place', '{"work":"TX","residence":"TX"}'), ('federal-certificate', '{"form":"2020","filingStatus":"single"}')) AS f(kind, value)
WHERE e.client_id = $1`;

const say = (what, figure) => process.stdout.write(`  ${what.padEnd(72, '.')} ${figure}\n`);
const percentile = (times, share) => [...times].sort((a, b) => a - b)[Math.floor(times.length * share)];
async function timed(work) {
  const from = performance.now();
  const answer = await work();
  return { answer, milliseconds: performance.now() - from };
}

/** A client with so many people, their pay and an account. */
async function payingClient({ owner, ask, key }, people) {
  const { id } = await ask('POST', '/clients', {
    key: 'PAYDAY',
    legalName: 'Payday Works Inc',
    tradeName: '',
    ein: '471234561',
    nameControl: 'PAYD',
    street: '1 Row',
    city: 'Port Verity',
    state: 'TX',
    zip: '77999',
    phone: '3255550100',
    email: 'office@payday.example',
    contactName: 'Ada',
    signerName: 'Ada',
    signerTitle: 'President',
    kindOfEmployer: 'N',
    payFrequency: 'biweekly',
    lookbackAmount: 0,
  });
  await ask('POST', `/clients/${id}/tax-accounts`, {
    agency: 'TX-TWC',
    accountNumber: '99-001234-5',
    unemploymentRate: '2.7',
    from: '2024-01-01',
    depositFrequency: '',
  });
  const bank = await ask('POST', `/clients/${id}/bank-accounts`, {
    label: 'Payroll',
    bankName: 'Harbor Mutual',
    routing: '000000123',
    account: '5500012345',
  });
  await addPeople(owner, id, peopleOf(9, people, key));
  await owner.query(FACTS, [id]);
  await owner.query('ANALYZE');
  return { id, bankId: bank.id };
}

async function payroll(ask, client, periodStart, periodEnd, checkDate) {
  const { id } = await ask('POST', `/clients/${client.id}/payrolls`, {
    periodStart,
    periodEnd,
    checkDate,
    kind: 'regular',
  });
  const reviewed = await timed(() => ask('POST', `/payrolls/${id}/review`, { version: 1 }));
  const posted = await timed(() => ask('POST', `/payrolls/${id}/post`, { version: reviewed.answer.version }));
  return { id, reviewed: Math.round(reviewed.milliseconds), posted: Math.round(posted.milliseconds) };
}

async function payday(firm) {
  const { ask } = firm;
  const client = await payingClient(firm, PAID);
  const spans = { reviewed: [], posted: [] };
  let last = '';
  for (const days of PERIODS) {
    const { id, reviewed, posted } = await payroll(ask, client, ...days);
    last = id;
    spans.reviewed.push(reviewed);
    spans.posted.push(posted);
  }
  const words = ([first, ...others]) => `${percentile(others, 0.5)} ms, the first ${first} ms`;
  say(`${PAID} people reviewed`, words(spans.reviewed));
  say(`${PAID} people posted durably`, words(spans.posted));
  const { toMake, position } = await ask('GET', `/payrolls/${last}/checks`);
  const printed = await timed(() =>
    ask('POST', `/payrolls/${last}/checks`, {
      bankAccountId: client.bankId,
      firstNumber: 1001,
      paycheckIds: toMake.map(({ paycheckId }) => paycheckId),
      position,
    }),
  );
  say(`${printed.answer.checks.length} checks drawn as PDF and kept`, `${(printed.milliseconds / 1000).toFixed(1)} s`);
}

async function registers(firm) {
  const [client] = await addBigClients(firm, REGISTER);
  const total = REGISTER.people * REGISTER.checks;
  const span = `from=${YEAR}-01-01&to=${YEAR}-12-31`;
  const page = (number, totals = 'no') =>
    firm.ask('GET', `/clients/${client}/reports/payroll-register?${span}&totals=${totals}&page=${number}`);
  await page(0);
  const times = [];
  for (let index = 0; index < PAGES; index += 1) {
    const number = Math.floor((index * total) / ROWS_OF_PAGE / PAGES);
    times.push((await timed(() => page(number))).milliseconds);
  }
  const of = `register of ${total.toLocaleString('en-US')} checks`;
  say(
    `${of}, a page`,
    `${Math.round(percentile(times, 0.5))} ms, ${Math.round(percentile(times, 0.95))} ms at the 95th percentile`,
  );
  const whole = await timed(() => page(0, 'yes'));
  say(`${of}, the first page with the totals of all`, `${Math.round(whole.milliseconds)} ms`);
  for (const format of ['csv', 'xlsx']) {
    const file = await timed(() =>
      firm.ask('GET', `/clients/${client}/report-files/payroll-register.${format}?${span}`),
    );
    say(
      `${of} as ${format.toUpperCase()}`,
      `${(file.milliseconds / 1000).toFixed(1)} s, most memory of a process ${Math.max(...mostMemory(firm.server))} MB`,
    );
  }
}

await withFirm(TODAY, async (firm) => {
  process.stdout.write('\nPayday\n');
  await payday(firm);
  await registers(firm);
}).catch(fail);
