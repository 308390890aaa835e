import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { type Caller, employee, postPayroll, SHARED_EIN, Stack, takeOn } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let administrator: Caller;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  administrator = await stack.signIn('Alder', 'administrator');
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const who = (key: string, more: Record<string, unknown> = {}) => ({
  key,
  legalName: `The ${key} Company`,
  tradeName: '',
  ein: '47-1234561',
  nameControl: '',
  street: '1 Quay',
  city: 'Saltmarsh',
  state: 'NY',
  zip: '13999',
  phone: '315-555-0121',
  email: 'office@quay.example',
  contactName: 'Ruth',
  signerName: 'Ruth',
  signerTitle: 'President',
  ...SHARED_EIN,
  ...more,
});
const fact = (kind: string, value: Record<string, unknown>, from = '2026-01-01') => ({ kind, from, value });
const EMPLOYER = fact('employer', { kind: 'business', entity: 'corporation', formFamily: '941' });
const SCHEDULE = fact('schedule', {
  frequency: 'biweekly',
  periodEnd: '2026-10-24',
  daysToCheck: 6,
  whenClosed: 'before',
});
const made = async (key: string, more: Record<string, unknown> = {}): Promise<string> =>
  ((await preparer('POST', '/clients', who(key, more))).body as { id: string }).id;
const codes = (answer: { body: { problems?: { code: string; field: string }[] } }): string[] =>
  (answer.body.problems ?? []).map((problem) => `${problem.code} ${problem.field}`);

describe('taking on a client', () => {
  it('reads back what stands: schedule, next checks around holidays, name control from the name', async () => {
    const id = await made('QUAY', { facts: [EMPLOYER, SCHEDULE] });
    const { body } = await preparer('GET', `/clients/${id}`);
    expect([body.nameControl, body.payFrequency]).toEqual(['QUAY', 'biweekly']);
    expect(body.nextChecks.map((check: { checkDate: string }) => check.checkDate).slice(0, 3)).toEqual([
      '2026-10-30',
      '2026-11-13',
      '2026-11-27',
    ]);
    expect((await preparer('GET', `/clients/${id}/next-payroll`)).body).toMatchObject({
      periodStart: '2026-10-11',
      checkDate: '2026-10-30',
    });
  });
  it.each<[string, Record<string, unknown>, string]>([
    ['a key in small letters', { key: 'quay' }, 'client.key-shape key'],
    ['an EIN with an unassigned prefix', { ein: '07-1234561' }, 'ein.prefix ein'],
    ['an EIN of eight digits', { ein: '47-123456' }, 'ein.shape ein'],
    ['an EIN typed otherwise the second time', { einAgain: '47-1234562' }, 'ein.again einAgain'],
    ['a state that is none', { state: 'XX' }, 'rule.state-unknown state'],
    ['a ZIP of four digits', { zip: '1399' }, 'zip.shape zip'],
    ['a telephone number of six digits', { phone: '555012' }, 'phone.shape phone'],
    ['an e-mail without a place', { email: 'office@' }, 'email.shape email'],
    ['a name control with a dot', { nameControl: 'A.B' }, 'name-control.shape nameControl'],
    [
      'a household that files Form 943',
      { facts: [fact('employer', { kind: 'household', entity: 'person', formFamily: '943' })] },
      'employer.form-family facts[0].value.formFamily',
    ],
    [
      'a half-month that ends on the 14th',
      { facts: [fact('schedule', { frequency: 'semimonthly', periodEnd: '2026-10-14', whenClosed: 'before' })] },
      'schedule.period-end facts[0].value.periodEnd',
    ],
    [
      'a business that closed before it began',
      {
        facts: [fact('employer', { ...EMPLOYER.value, firstWages: '2026-05-01', lastWages: '2026-04-01' })],
      },
      'dates.order facts[0].value.lastWages',
    ],
    [
      'an exemption without its reason',
      { facts: [fact('tax-exemption', { tax: 'US-FUTA' })] },
      'input.missing facts[0].value.reason',
    ],
    [
      'a rate for a tax that is none',
      { facts: [fact('own-rate', { tax: 'NY-XXX', percent: '1' })] },
      'input.not-one-of facts[0].value.tax',
    ],
    [
      'a pay item under the code of a standard one',
      { facts: [fact('pay-item', { code: '401k', label: 'Mine', like: 'after-tax' })] },
      'item.code-taken facts[0].value.code',
    ],
  ])('%s is named, and nothing is kept', async (_, more, expected) => {
    const before = (await preparer('GET', '/clients')).body.total as number;
    const refused = await preparer('POST', '/clients', who('NOT', more));
    expect([refused.status, codes(refused)]).toEqual([422, expect.arrayContaining([expected])]);
    expect((await preparer('GET', '/clients')).body.total).toBe(before);
  });
  it('an account number is checked by the agency’s format, unless it stands so on the letter', async () => {
    const id = await made('FORMAT');
    const account = { agency: 'OH-TAX', accountNumber: '12', unemploymentRate: null, from: '2026-01-01' };
    const send = (more: Record<string, unknown>) =>
      preparer('POST', `/clients/${id}/tax-accounts`, { ...account, ...more });
    expect(codes(await send({}))).toEqual(['account.format accountNumber']);
    expect(codes(await send({ accountNumber: '' }))).toEqual(['account.number-missing accountNumber']);
    expect(codes(await send({ isApplied: true }))).toEqual(['account.applied-with-number accountNumber']);
    expect((await send({ isAsPrinted: true })).status).toBe(201);
    expect((await send({ accountNumber: '', isApplied: true, from: '2026-02-01' })).status).toBe(201);
  });
  it('copies the rules of another client or of the defaults, never its people, dates of its own or history', async () => {
    await administrator(
      'POST',
      '/firm/defaults',
      fact('pay-item', { code: 'uniform', label: 'Uniforms', like: 'after-tax' }),
    );
    const source = await made('SOURCE', {
      facts: [
        fact('employer', { ...EMPLOYER.value, firstWages: '2020-01-01' }),
        SCHEDULE,
        fact('note', { about: 'x', note: 'y' }),
      ],
    });
    await preparer('POST', `/clients/${source}/employees`, employee('1'));
    const copy = await made('COPY', { startFrom: source });
    const { body } = await preparer('GET', `/clients/${copy}`);
    expect(body.facts.map((one: { kind: string }) => one.kind).sort()).toEqual(['employer', 'schedule']);
    expect(body.facts.find((one: { kind: string }) => one.kind === 'employer').value.firstWages).toBeUndefined();
    expect((await preparer('GET', `/clients/${copy}/employees`)).body.total).toBe(0);
    const fromDefaults = await made('DEFAULT', { startFrom: 'defaults' });
    await administrator(
      'POST',
      '/firm/defaults',
      fact('pay-item', { code: 'tools', label: 'Tools', like: 'after-tax' }),
    );
    const facts = (await preparer('GET', `/clients/${fromDefaults}`)).body.facts as { value: { code: string } }[];
    expect(facts.map((one) => one.value.code)).toEqual(['uniform']);
  });
  it('only an administrator changes the defaults and the rule of two persons; the trail keeps the reason', async () => {
    expect((await reviewer('POST', '/firm/defaults', fact('note', { about: 'x', note: 'y' }))).status).toBe(403);
    const off = { isRequired: false, reason: 'one-person week' };
    expect((await preparer('PUT', '/firm/second-person', off)).status).toBe(403);
    expect((await administrator('PUT', '/firm/second-person', off)).body.requiresSecondPerson).toBe(false);
    const trail = (await administrator('GET', '/audit')).body.rows as {
      action: string;
      detail: Record<string, unknown>;
    }[];
    expect(trail.find((row) => row.action === 'firm.second-person')?.detail).toMatchObject({
      from: true,
      to: false,
      ...{ reason: 'one-person week' },
    });
    await administrator('PUT', '/firm/second-person', { isRequired: true, reason: 'back again' });
    expect((await administrator('GET', '/audit/verification')).body.brokenAt).toBeNull();
  });
});

describe('taking on a person', () => {
  let id: string;
  beforeAll(async () => {
    id = (await takeOn(preparer, 'PEOPLE', 1)).id;
  });
  it('asks for no more than a name and a number, proposes the next number, and says what is missing', async () => {
    const list = (await preparer('GET', `/clients/${id}/employees`)).body;
    expect([list.total, list.nextNumber]).toEqual([1, '2']);
    const least = {
      number: '2',
      firstName: 'Ada',
      lastName: 'Brine',
      ssn: '899-45-1234',
      street: '',
      city: '',
      state: '',
      zip: '',
    };
    const added = await preparer('POST', `/clients/${id}/employees`, {
      ...least,
      middleName: '',
      suffix: '',
      hiredOn: null,
      bornOn: null,
      kind: 'employee',
      isRetirementPlan: false,
      facts: [],
    });
    expect(added.status).toBe(201);
    const gaps = (await preparer('GET', `/clients/${id}/readiness`)).body.gaps as {
      personId: string;
      field: string;
      blocksPaycheck: boolean;
    }[];
    const own = gaps.filter((gap) => gap.personId === added.body.id);
    expect(
      own
        .filter((gap) => gap.blocksPaycheck)
        .map((gap) => gap.field)
        .sort(),
    ).toEqual(['bornOn', 'hiredOn', 'place', 'street']);
    expect(own.map((gap) => gap.field)).toEqual(expect.arrayContaining(['pay', 'federal-certificate']));
  });
  it.each<[string, Record<string, unknown>, string]>([
    ['a number of area 900', { ssn: '900-45-1234' }, 'ssn.area ssn'],
    ['the number of somebody else here', { number: '9', ssn: '899-12-3401' }, 'field ssn'],
    ['a taken employee number', { ssn: '899-45-9999' }, 'field number'],
    ['a hire date before the birth', { hiredOn: '1980-01-01' }, 'dates.hired-before-born hiredOn'],
    ['a birth in the future', { bornOn: '2040-01-01' }, 'dates.birth-future bornOn'],
    ['a digit in the name', { lastName: 'Brin3' }, 'name.digits lastName'],
    ['a sign the wage file cannot carry', { firstName: 'Ada ★' }, 'name.forbidden firstName'],
    ['a form of address', { firstName: 'Dr Ada' }, 'name.title firstName'],
    [
      'a certificate of another state’s fields',
      { facts: [fact('state-certificate', { state: 'NY', certificate: { filingStatus: 'single', rateTable: 'B' } })] },
      'input.unknown-field facts[0].value.certificate.rateTable',
    ],
    [
      'a bank account with a wrong check digit',
      {
        facts: [
          fact('bank', {
            label: 'A',
            routing: '000000124',
            account: '5500',
            type: 'checking',
            share: 'rest',
            prenote: 'waived',
          }),
        ],
      },
      'routing.check-digit facts[0].value.routing',
    ],
  ])('%s is named, and nothing is kept', async (_, more, expected) => {
    const before = (await preparer('GET', `/clients/${id}/employees`)).body.total as number;
    const refused = await preparer('POST', `/clients/${id}/employees`, { ...employee('1'), ...more });
    expect([refused.status, codes(refused)]).toEqual([422, expect.arrayContaining([expected])]);
    expect((await preparer('GET', `/clients/${id}/employees`)).body.total).toBe(before);
  });
  it('a bank account number is sealed, shown by its tail, and in no answer', async () => {
    const person = (await preparer('GET', `/clients/${id}/employees`)).body.rows[0].id as string;
    const account = fact('bank', {
      label: 'Savings',
      routing: '000000123',
      account: '55000987654',
      type: 'savings',
      share: 'rest',
      prenote: 'waived',
    });
    expect((await preparer('POST', `/employees/${person}/facts`, account)).status).toBe(201);
    const view = JSON.stringify((await preparer('GET', `/employees/${person}`)).body);
    expect([view.includes('55000987654'), view.includes('7654'), view.includes('Sealed')]).toEqual([
      false,
      true,
      false,
    ]);
    const stored = JSON.stringify(await stack.dataSource.query(`SELECT value FROM employee_fact WHERE kind = 'bank'`));
    expect(stored).not.toContain('55000987654');
    expect(JSON.stringify((await administrator('GET', '/audit')).body)).not.toContain('55000987654');
  });
  it('is found across clients by parts of a name, with their client', async () => {
    const found = (await preparer('GET', '/search?find=ada%20br')).body as { kind: string; label: string }[];
    expect(found).toEqual([expect.objectContaining({ kind: 'person', label: 'Ada Brine' })]);
    expect((await preparer('GET', '/search?find=quay')).body[0]).toMatchObject({ kind: 'client' });
    expect((await preparer('GET', '/search?find=%25')).body).toEqual([]);
  });
});

describe('a trial paycheck', () => {
  it('follows what is recorded and what is only considered, and leaves no trace', async () => {
    const client = await takeOn(preparer, 'TRIAL', 3);
    const ask = (facts: unknown[]) =>
      preparer('POST', `/clients/${client.id}/trials`, {
        employeeId: client.employeeIds[0],
        checkDate: null,
        bornOn: null,
        facts,
      });
    const counted = async () =>
      (
        await stack.dataSource.query(
          'SELECT (SELECT count(*) FROM employee_fact) AS facts, (SELECT count(*) FROM audit_entry) AS trail',
        )
      )[0];
    const before = await counted();
    const plain = (await ask([])).body;
    expect(plain.person.paycheck.gross).toBe(251_200);
    // Premiums go by the size of the employer: one person looked at alone is still one of three.
    expect(plain.person.base.employer.employees).toBe(3);
    const raised = (await ask([fact('pay', { basis: 'hourly', rate: '40.00', hours: '80' })])).body;
    expect(raised.person.paycheck.gross).toBe(320_000);
    const deferred = (await ask([fact('standing', { item: '401k', percent: '10' })])).body;
    expect(deferred.person.paycheck.deductions[0]).toMatchObject({ item: '401k', amount: 25_120 });
    expect((await ask([fact('pay', { basis: 'hourly' })])).body.problems[0].field).toBe('facts[0].value.rate');
    expect(await counted()).toEqual(before);
  });
  it('agreed by hand it is a proof: a changed rate shows what moved until somebody agrees to it', async () => {
    const client = await takeOn(preparer, 'PROOF', 1);
    const keep = { employeeId: client.employeeIds[0], name: 'usual', checkDate: null };
    expect((await preparer('POST', `/clients/${client.id}/proofs`, keep)).status).toBe(201);
    const look = async () => (await preparer('GET', `/clients/${client.id}/proofs`)).body[0];
    expect((await look()).isMoved).toBe(false);
    await preparer('POST', `/clients/${client.id}/tax-accounts`, {
      agency: 'NY-DOL',
      accountNumber: '49-00123',
      unemploymentRate: '5.1',
      from: '2026-10-01',
    });
    const moved = await look();
    expect(moved.isMoved).toBe(true);
    expect(
      moved.figures
        .filter((one: { expected: number; now: number }) => one.expected !== one.now)
        .map((one: { figure: string }) => one.figure),
    ).toEqual(['NY-SUI']);
    expect((await reviewer('POST', `/proofs/${moved.id}/accept`)).body.isMoved).toBe(false);
  });
  it('foresees the limits of the year on the check that meets them', async () => {
    const client = await takeOn(preparer, 'AHEAD', 0);
    await preparer('POST', `/clients/${client.id}/facts`, SCHEDULE);
    const rich = employee('1');
    const facts = rich.facts.map((one) =>
      one.kind === 'pay' ? fact('pay', { basis: 'salary', amount: '9000.00', frequency: 'biweekly' }) : one,
    );
    const { id } = (await preparer('POST', `/clients/${client.id}/employees`, { ...rich, facts })).body as {
      id: string;
    };
    const ahead = (await preparer('GET', `/employees/${id}/crossings`)).body as {
      figure: string;
      checkDate: string;
      below: number;
    }[];
    expect(ahead.find((one) => one.figure === 'US-FUTA')).toMatchObject({ checkDate: '2026-10-30', below: 700_000 });
  });
});

describe('what a client files and what a person is', () => {
  it('a client of another form family gets no Form 941', async () => {
    const id = await made('ORCHARD', {
      facts: [fact('employer', { kind: 'agricultural', entity: 'sole-proprietor', formFamily: '943' })],
    });
    const refused = await preparer('POST', `/clients/${id}/filings`, { kind: 'us-941', period: '2026-Q3' });
    expect([refused.status, codes(refused), refused.body.detail]).toEqual([
      422,
      ['field kind'],
      expect.stringMatching(/Form 943/),
    ]);
  });
  it('somebody who was paid wages stays an employee', async () => {
    const client = await takeOn(preparer, 'KIND', 1);
    const id = client.employeeIds[0] ?? '';
    const change = async (kind: string) => {
      const { firstName, middleName, lastName, suffix, street, city, state, zip, version } = (
        await preparer('GET', `/employees/${id}`)
      ).body;
      return preparer('PUT', `/employees/${id}/identity`, {
        firstName,
        middleName,
        lastName,
        suffix,
        street,
        city,
        state,
        zip,
        version,
        ssn: '',
        kind,
      });
    };
    expect((await change('contractor')).status).toBe(200);
    expect((await change('employee')).status).toBe(200);
    await postPayroll(preparer, client.id);
    expect(codes(await change('contractor'))).toEqual(['field kind']);
  });
});
