import { familyOf } from '@zakat/core/deposits/family';
import { readFileSync } from 'node:fs';
import { DEFAULTS, LARGE, MORE_CLIENTS } from './more-clients.mjs';
import { yearSoFar } from './year-so-far.mjs';
import { CLIENTS, ENROLLMENT, FILED_QUARTERS, LAST_DAY, TRUST } from './scenario.mjs';

/** Builds the demo through the product's own API, as its own users would, day by day on the simulated clock. */
const API = `http://127.0.0.1:${process.env.PORT}/api`;
const CONSOLE = `http://127.0.0.1:${process.env.AGENCIES_PORT}/console`;
const contacts = JSON.parse(readFileSync(new URL('./contacts.json', import.meta.url), 'utf8'));
const { firm, users } = JSON.parse(readFileSync(new URL('./firm.json', import.meta.url), 'utf8'));

async function signIn(role) {
  const user = users.find((candidate) => candidate.role === role);
  const answer = await fetch(`${API}/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ email: user.email, password: user.password }),
  });
  if (!answer.ok) throw new Error(`sign-in of ${user.email}: ${await answer.text()}`);
  const cookie = answer.headers.get('set-cookie').split(';')[0];
  const call = async (method, path, body) => {
    const response = await fetch(`${API}${path}`, {
      method,
      headers: { cookie, 'Content-Type': 'application/json' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const text = await response.text();
    // What the server asks about is so in the scenario: it was looked at when the scenario was written.
    const asked = response.status === 409 ? JSON.parse(text) : null;
    if (asked?.code === 'second-look' && !body.confirmed)
      return call(method, path, {
        ...body,
        confirmed: asked.problems.map(({ code, field }) => `${code} ${field}`),
      });
    if (!response.ok) throw new Error(`${method} ${path}: ${text}`);
    return text === '' ? null : JSON.parse(text);
  };
  return call;
}

const preparer = await signIn('preparer');
const reviewer = await signIn('reviewer');
const administrator = await signIn('administrator');
const dayBefore = (day) => new Date(Date.parse(`${day}T00:00:00Z`) - 86_400_000).toISOString().slice(0, 10);

/** When another program made the last deposit of each quarter. */
const PAID_ON = { 1: '2026-04-15', 2: '2026-07-15', 3: '2026-10-15', 4: '2026-10-21' };
// The browser tests never open the largest client, and little of what was paid elsewhere: those are for people to look at.
const isWhole = process.env.ZAKAT_DEMO !== 'without-largest';

async function until(what, test) {
  for (let tries = 0; tries < 400; tries += 1) {
    if (await test()) return;
    await new Promise((done) => setTimeout(done, 50));
  }
  throw new Error(`waited too long for ${what}`);
}

async function moveTo(today) {
  const answer = await fetch(`${CONSOLE}/date`, {
    method: 'POST',
    redirect: 'manual',
    body: new URLSearchParams({ today }),
  });
  if (answer.status !== 303) throw new Error(`the date did not move: ${await answer.text()}`);
}

async function takeOn(plan) {
  const { id } = await preparer('POST', '/clients', plan.client);
  for (const account of plan.accounts) await preparer('POST', `/clients/${id}/tax-accounts`, account);
  const bank = await preparer('POST', `/clients/${id}/bank-accounts`, plan.bank);
  for (const fact of plan.extraFacts ?? []) await preparer('POST', `/clients/${id}/facts`, fact);
  for (const person of plan.people) await preparer('POST', `/clients/${id}/employees`, person);
  if (plan.file) await takeOnFile(id, plan.file);
  if (plan.balances) await bringIn(id, plan.balances);
  if (plan.yearSoFar && (isWhole || plan.yearSoFar.isInTests)) await bringInYear(id, plan);
  return {
    ...plan,
    id,
    bankId: bank.id,
    index: 0,
    next: plan.firstPeriod ? { ...plan.firstPeriod, kind: 'regular' } : null,
  };
}

async function takeOnFile(id, text) {
  const content = Buffer.from(text, 'utf8').toString('base64');
  const read = await preparer('POST', `/clients/${id}/people-files`, { fileName: 'people.csv', content });
  await preparer('POST', `/people-files/${read.id}/accept`, { version: read.version });
}

async function bringIn(id, { year, file, reported }) {
  const begun = await preparer('POST', `/clients/${id}/take-overs`, { year });
  const content = Buffer.from(file, 'utf8').toString('base64');
  const read = await preparer('PUT', `/take-overs/${begun.id}/balances`, {
    version: begun.version,
    fileName: 'year-to-date.csv',
    content,
  });
  const compared = await preparer('PUT', `/take-overs/${begun.id}/reported`, {
    version: read.version,
    figures: reported,
  });
  await reviewer('POST', `/take-overs/${begun.id}/accept`, { version: compared.version });
}

/** The year until now was paid and filed by another program; of October's deposits some are still to be made. */
async function bringInYear(id, { people, yearSoFar: { period, before, owes } }) {
  const next = period ?? (await preparer('GET', `/clients/${id}/next-payroll`));
  const { periodStart, periodEnd, checkDate } = next;
  const draft = await preparer('POST', `/clients/${id}/payrolls`, {
    periodStart,
    periodEnd,
    checkDate,
    kind: 'regular',
  });
  const payroll = await preparer('GET', `/payrolls/${draft.id}`);
  await preparer('POST', `/payrolls/${draft.id}/discard`, { version: payroll.version });
  const hiredOn = new Map(people.map(({ number, hiredOn: day }) => [number, day]));
  const { file, lastTaxes } = yearSoFar(payroll, { before: before ?? checkDate, hiredOn });
  const begun = await preparer('POST', `/clients/${id}/take-overs`, { year: Number(LAST_DAY.slice(0, 4)) });
  const read = await preparer('PUT', `/take-overs/${begun.id}/balances`, {
    version: begun.version,
    fileName: 'year-to-date.csv',
    content: Buffer.from(file, 'utf8').toString('base64'),
  });
  const open = Math.ceil(Number(LAST_DAY.slice(5, 7)) / 3);
  const deposited = ({ code, balances }) => {
    if (owes === 'October') return code === 'US-941.paid' ? 0 : balances;
    const last = [...lastTaxes].filter(([tax]) => `${familyOf(tax).code}.paid` === code);
    return owes === 'last check' ? balances - last.reduce((total, [, amount]) => total + amount, 0) : balances;
  };
  const figures = read.figures
    .filter(({ quarter, kind }) => quarter < open || kind === 'paid')
    .map((figure) => ({
      quarter: figure.quarter,
      code: figure.code,
      amount: figure.quarter < open ? figure.balances : deposited(figure),
      day: PAID_ON[figure.quarter],
    }))
    .filter(({ amount }) => amount !== 0);
  const compared = await preparer('PUT', `/take-overs/${begun.id}/reported`, { version: read.version, figures });
  await reviewer('POST', `/take-overs/${begun.id}/accept`, { version: compared.version });
}

async function runPayroll(client) {
  const { periodStart, periodEnd, checkDate } = client.next;
  const { id } = await preparer('POST', `/clients/${client.id}/payrolls`, {
    periodStart,
    periodEnd,
    checkDate,
    kind: 'regular',
  });
  let payroll = await preparer('GET', `/payrolls/${id}`);
  const changes = client.exceptions(client.index);
  if (changes.length > 0) {
    const entries = payroll.persons.map(({ employeeId, isPaid, earnings, deductions, number }) => ({
      employeeId,
      isPaid,
      deductions,
      earnings: changes.find((change) => change.number === number)?.earnings ?? earnings,
    }));
    payroll = await preparer('PUT', `/payrolls/${id}`, { version: payroll.version, entries });
  }
  payroll = await preparer('POST', `/payrolls/${id}/review`, { version: payroll.version });
  await preparer('POST', `/payrolls/${id}/post`, { version: payroll.version });
  await depositPay(client, id);
  await printChecks(client, id);
  client.index += 1;
  client.next = await preparer('GET', `/clients/${client.id}/next-payroll`);
}

/** Sends the pay of those who are paid into an account. */
async function depositPay(client, payrollId) {
  const { deposits } = await preparer('GET', `/payrolls/${payrollId}/pay`);
  if (deposits === 0) return;
  const { file } = await preparer('POST', `/payrolls/${payrollId}/direct-deposit`, { bankAccountId: client.bankId });
  await reviewer('POST', `/direct-deposits/${file.id}/release`, { version: file.version });
  client.lastPaid = payrollId;
  await until('the bank to have the pay', async () =>
    (await preparer('GET', `/payrolls/${payrollId}/pay`)).file.delivery?.startsWith('Sent'),
  );
}

/** Collects what a posted payroll needs, and waits at the bank until it may be paid out. */
async function collect(client) {
  const { next } = await preparer('GET', `/clients/${client.id}/funds`);
  if (!next || next.amount <= 0) return;
  const { id } = await preparer('POST', `/clients/${client.id}/collections`, {
    amount: next.amount,
    settles: next.settles,
  });
  await reviewer('POST', `/collections/${id}/release`, { version: 1 });
  await until('the bank to have the debit', async () =>
    (await preparer('GET', `/collections/${id}`)).delivery?.startsWith('Sent'),
  );
  await moveTo(next.usable < LAST_DAY ? next.usable : LAST_DAY);
  await until('the debit to settle', async () => (await preparer('GET', `/collections/${id}`)).status === 'settled');
}

/** What the firm pays in of its own, through its bank. */
async function payIn({ amount, reference, on }) {
  const company = `1${firm.ein}`;
  await fetch(`${CONSOLE}/transfer`, {
    method: 'POST',
    redirect: 'manual',
    body: new URLSearchParams({ company, amount, reference }),
  });
  await reviewer('POST', '/trust/entries', {
    kind: 'firm-paid-in',
    clientId: null,
    day: on,
    amount: Math.round(Number(amount) * 100),
    reference,
    memo: 'For charges of the bank',
  });
}

/** Pays what must be sent before `nextDay`. */
async function remit(client, nextDay) {
  const released = [];
  for (const deposit of await preparer('GET', `/clients/${client.id}/deposits`)) {
    if (deposit.sendBy === null || deposit.sendBy >= nextDay || deposit.underWay !== 0 || deposit.owed <= 0) continue;
    const items = deposit.liabilities.map(({ tax, liabilityDate }) => ({ tax, liabilityDate }));
    const { id } = await preparer('POST', `/clients/${client.id}/remittances`, {
      items,
      bankAccountId: items.every(({ liabilityDate }) => isFunded(client, liabilityDate)) ? trust.id : client.bankId,
      settles: deposit.settles,
    });
    const approved = await reviewer('POST', `/remittances/${id}/approve`, { version: 1 });
    await reviewer('POST', `/remittances/${id}/release`, { version: approved.version });
    released.push(id);
  }
  for (const id of released)
    await until('the bank to have the file', async () =>
      (await preparer('GET', `/remittances/${id}`)).delivery?.startsWith('Sent'),
    );
}

/** The IRS takes debits from the firm, and has been asked to take one client's. */
async function debitsByAgency() {
  const { agency, filerNumber, client: key, askedOn } = ENROLLMENT;
  const rows = await administrator('GET', '/firm/agency-payments');
  const { method, name, routing, account, identification, taxTypes, mailTo, version } = rows.find(
    (row) => row.agency === agency,
  );
  const said = { method, name, routing, account, identification, taxTypes, mailTo, version };
  await administrator('PUT', `/firm/agency-payments/${agency}`, { ...said, filerNumber });
  const { id, bankId } = otherClients.find(({ client }) => client.key === key);
  await preparer('POST', `/clients/${id}/enrollments`, { agency, bankAccountId: bankId, askedOn });
}

/** Files every return of a client for a quarter, federal and of the states; answers with their ids. */
async function fileQuarter(client, { year, quarter }) {
  const rows = async () =>
    (await preparer('GET', `/due-returns?quarter=${year}-Q${quarter}`)).rows.filter(
      (row) => row.clientId === client.id && row.isOver,
    );
  const atVersion = (some) => some.map(({ filingId: id, version }) => ({ id, version }));
  const toBegin = (await rows()).filter(({ status }) => status === 'not begun');
  await preparer('POST', '/due-returns/begin', {
    returns: toBegin.map(({ clientId, kind, period }) => ({ clientId, kind, period })),
  });
  const drafts = (await rows()).filter(({ status }) => status === 'draft');
  await preparer('POST', '/due-returns/check', { returns: atVersion(drafts) });
  for (const { filingId, version, status, isReady } of await rows())
    if (status === 'checked' && !isReady)
      await preparer('POST', `/filings/${filingId}/sign`, { version, pin: '41873', payment: null });
  const ready = (await rows()).filter(({ isReady }) => isReady);
  await reviewer('POST', '/due-returns/release', { returns: atVersion(ready) });
  return ready.map(({ filingId }) => filingId);
}

/** Prints what of a payroll is paid by check; it came out well. */
async function printChecks(client, payrollId) {
  const { toMake, accounts, position } = await preparer('GET', `/payrolls/${payrollId}/checks`);
  if (toMake.length === 0) return;
  const { checks } = await preparer('POST', `/payrolls/${payrollId}/checks`, {
    bankAccountId: client.bankId,
    firstNumber: accounts.find((account) => account.bankAccountId === client.bankId).next,
    paycheckIds: toMake.map(({ paycheckId }) => paycheckId),
    position,
  });
  await preparer('POST', `/check-runs/${checks[0].runId}/outcome`, { spoiled: [] });
}

const { account: trust } = await administrator('PUT', '/trust/account', TRUST.account);
const isFunded = (client, day) => client.client.facts.some(({ kind, from }) => kind === 'funding' && from <= day);
const clients = [];
for (const plan of CLIENTS) clients.push(await takeOn(plan));
const filed = [];
const toFile = FILED_QUARTERS.flatMap((quarter) => clients.map((client) => ({ client, ...quarter })));

for (;;) {
  const due = clients
    .filter((client) => client.next.checkDate <= client.lastCheckDate)
    .map((client) => ({ client, day: dayBefore(client.next.checkDate) }))
    .sort((a, b) => (a.day < b.day ? -1 : 1));
  const now = due[0];
  if (!now) break;
  await moveTo(now.day);
  if (now.day === TRUST.paidIn.on) await payIn(TRUST.paidIn);
  await runPayroll(now.client);
  await collect(now.client);
  for (const job of toFile.splice(0, toFile.length, ...toFile.filter((job) => job.from > now.day))) {
    if (job.from <= now.day) filed.push(...(await fileQuarter(job.client, job)));
  }
  const nextDay =
    clients
      .filter((client) => client.next.checkDate <= client.lastCheckDate)
      .map((client) => dayBefore(client.next.checkDate))
      .sort()[0] ?? LAST_DAY;
  for (const client of clients) await remit(client, nextDay);
}
await moveTo(LAST_DAY);
await preparer('POST', '/trust/statement/fetch');
await preparer('POST', '/invoices', { month: '2026-09', clientIds: clients.map(({ id }) => id) });
for (const fact of DEFAULTS) await administrator('POST', '/firm/defaults', fact);
await administrator('PUT', '/firm/agent-pin', { pin: '40417' });
const otherClients = [];
for (const plan of [...MORE_CLIENTS, ...(isWhole ? [LARGE] : [])]) otherClients.push(await takeOn(plan));
await debitsByAgency();
for (const { client, employee, ...person } of contacts) {
  const { id } = clients.find((candidate) => candidate.client.key === client);
  if (employee) {
    const people = await preparer('GET', `/clients/${id}/employees`);
    const one = (people.rows ?? people).find(({ number }) => number === employee);
    const { address } = await preparer('POST', `/employees/${one.id}/sign-in`, { email: person.email });
    await preparer('POST', `/welcome/${address.split('/welcome/')[1]}`, { password: person.password });
    continue;
  }
  await administrator('POST', `/clients/${id}/contacts`, person);
  await preparer('POST', `/clients/${id}/questions`, { chaseOn: LAST_DAY });
}
for (const id of filed)
  await until(
    'the returns to be accepted',
    async () => (await preparer('GET', `/filings/${id}`)).status === 'accepted',
  );
for (const { lastPaid } of clients.filter((client) => client.lastPaid)) {
  await until(
    'the pay to settle',
    async () => (await preparer('GET', `/payrolls/${lastPaid}/pay`)).file.status === 'settled',
  );
}
for (const client of clients) {
  await until('the payments to settle', async () =>
    (await preparer('GET', `/clients/${client.id}/remittances`)).every((row) => row.status === 'settled'),
  );
}
