import type { LadderView } from '@zakat/contract/filings';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { cents, toDollars } from '@zakat/core/money/cents';
import { type Caller, employee, SHARED_EIN, Stack, takeOn, until } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;

beforeAll(async () => {
  stack = await Stack.start('2026-06-01');
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
}, 60_000);
afterAll(() => stack.stop(), 30_000);

interface Tax {
  code: string;
  wages: number;
  amount: number;
}
interface Person {
  employeeId: string;
  name: string;
  isPaid: boolean;
  earnings: { item: string; hours?: string; rate?: string; amount?: string }[];
  deductions: { item: string; amount: string }[];
  paycheck: { gross: number; net: number; taxes: Tax[]; problems: { code: string }[] };
}
const entriesOf = (people: Person[]) =>
  people.map(({ employeeId, isPaid, earnings, deductions }) => ({ employeeId, isPaid, earnings, deductions }));

/** An extra payroll that pays each person the amounts given, posted at once. */
async function pay(clientId: string, checkDate: string, amounts: Record<string, string>): Promise<Person[]> {
  const { id } = (
    await preparer('POST', `/clients/${clientId}/payrolls`, {
      periodStart: checkDate,
      periodEnd: checkDate,
      checkDate,
      kind: 'extra',
    })
  ).body as { id: string };
  const open = (await preparer('GET', `/payrolls/${id}`)).body as { persons: Person[]; version: number };
  const entries = open.persons.map((person) => ({
    employeeId: person.employeeId,
    isPaid: amounts[person.employeeId] !== undefined,
    earnings: amounts[person.employeeId] === undefined ? [] : [{ item: 'salary', amount: amounts[person.employeeId] }],
    deductions: [],
  }));
  const saved = await preparer('PUT', `/payrolls/${id}`, { version: open.version, entries });
  const reviewed = await preparer('POST', `/payrolls/${id}/review`, { version: saved.body.version });
  const posted = await preparer('POST', `/payrolls/${id}/post`, { version: reviewed.body.version });
  if (posted.status !== 200) throw new Error(JSON.stringify(posted.body));
  return posted.body.persons as Person[];
}
const tax = (people: Person[], employeeId: string, code: string): Tax | undefined =>
  people.find((person) => person.employeeId === employeeId)?.paycheck.taxes.find((line) => line.code === code);

describe('a year of payrolls', () => {
  it('OASDI stops at 184,500 on the check that crosses it, and additional Medicare begins at 200,000', async () => {
    const client = await takeOn(preparer, 'CROSSING', 1);
    const id = client.employeeIds[0] ?? '';
    const first = await pay(client.id, '2026-03-02', { [id]: '180000.00' });
    expect(tax(first, id, 'US-OASDI-EE')).toMatchObject({ wages: 18_000_000, amount: 1_116_000 });
    const second = await pay(client.id, '2026-04-02', { [id]: '10000.00' });
    expect(tax(second, id, 'US-OASDI-EE')).toMatchObject({ wages: 450_000, amount: 27_900 });
    expect(tax(second, id, 'US-OASDI-ER')).toMatchObject({ wages: 450_000, amount: 27_900 });
    const third = await pay(client.id, '2026-05-04', { [id]: '20000.00' });
    expect(tax(third, id, 'US-OASDI-EE')).toMatchObject({ wages: 0, amount: 0 });
    expect(tax(third, id, 'US-HI-ADD')).toMatchObject({ wages: 1_000_000, amount: 9_000 });
    const fourth = await pay(client.id, '2026-05-05', { [id]: '1000.00' });
    expect(tax(fourth, id, 'US-HI-ADD')).toMatchObject({ wages: 100_000, amount: 900 });
  });
  it('a new year starts from nothing', async () => {
    const client = await takeOn(preparer, 'NEWYEAR', 1);
    const id = client.employeeIds[0] ?? '';
    await pay(client.id, '2025-12-30', { [id]: '176000.00' });
    const december = await pay(client.id, '2025-12-31', { [id]: '5000.00' });
    expect(tax(december, id, 'US-OASDI-EE')).toMatchObject({ wages: 10_000 });
    const january = await pay(client.id, '2026-01-02', { [id]: '5000.00' });
    expect(tax(january, id, 'US-OASDI-EE')).toMatchObject({ wages: 500_000 });
    expect(tax(january, id, 'US-FUTA')).toMatchObject({ wages: 500_000, amount: 3_000 });
  });
  it('a raise counts from its day: checks before it stay as they were', async () => {
    const client = await takeOn(preparer, 'RAISE', 1);
    const id = client.employeeIds[0] ?? '';
    const earlier = await pay(client.id, '2026-05-15', { [id]: '1000.00' });
    await preparer('POST', `/employees/${id}/facts`, {
      kind: 'federal-certificate',
      from: '2026-05-20',
      value: { form: '2020', filingStatus: 'married-jointly' },
    });
    const later = await pay(client.id, '2026-05-29', { [id]: '1000.00' });
    expect(tax(earlier, id, 'US-FIT')?.amount).toBeGreaterThan(0);
    expect(tax(later, id, 'US-FIT')?.amount).toBe(0);
    const stored = (await stack.dataSource.query(
      `SELECT amount::int FROM paycheck_tax WHERE employee_id = $1 AND tax = 'US-FIT' ORDER BY check_date`,
      [id],
    )) as { amount: number }[];
    expect(stored.map((row) => row.amount)).toEqual([tax(earlier, id, 'US-FIT')?.amount, 0]);
  });
  it('a partner is in no payroll: a draw is not wages', async () => {
    const client = await takeOn(preparer, 'PARTNER', 1);
    await preparer('POST', `/clients/${client.id}/employees`, { ...employee('8'), kind: 'partner' });
    const { id } = (
      await preparer('POST', `/clients/${client.id}/payrolls`, {
        periodStart: '2026-05-01',
        periodEnd: '2026-05-14',
        checkDate: '2026-05-20',
        kind: 'regular',
      })
    ).body as { id: string };
    expect(((await preparer('GET', `/payrolls/${id}`)).body.persons as Person[]).map((person) => person.name)).toEqual([
      'Wil SpragueA',
    ]);
  });
  it('a 501(c)(3) owes no federal unemployment tax (IRC § 3306(c)(8))', async () => {
    const fields = {
      legalName: 'Theatre',
      tradeName: '',
      ein: '471234561',
      ...SHARED_EIN,
      nameControl: 'THEA',
      street: '',
      city: '',
      state: 'NY',
      zip: '',
      phone: '',
      email: '',
      contactName: '',
      signerName: '',
      signerTitle: '',
      payFrequency: 'biweekly',
      lookbackAmount: 0,
    };
    const { id } = (await preparer('POST', '/clients', { ...fields, key: 'THEATRE', kindOfEmployer: 'T' })).body as {
      id: string;
    };
    await preparer('POST', `/clients/${id}/tax-accounts`, {
      agency: 'NY-DOL',
      accountNumber: '49-00123',
      unemploymentRate: '2.0',
      from: '2024-01-01',
    });
    const person = (await preparer('POST', `/clients/${id}/employees`, employee('1'))).body as { id: string };
    const paid = await pay(id, '2026-05-20', { [person.id]: '1000.00' });
    expect(paid[0]?.paycheck.taxes.map((line) => line.code)).not.toContain('US-FUTA');
  });
  it('the usual pay fills a regular payroll, an exception is kept, the rest is untouched', async () => {
    const client = await takeOn(preparer, 'USUAL', 2);
    const { id } = (
      await preparer('POST', `/clients/${client.id}/payrolls`, {
        periodStart: '2026-05-01',
        periodEnd: '2026-05-14',
        checkDate: '2026-05-20',
        kind: 'regular',
      })
    ).body as { id: string };
    const open = (await preparer('GET', `/payrolls/${id}`)).body as { persons: Person[]; version: number };
    expect(open.persons.map((person) => person.paycheck.gross)).toEqual([251_200, 251_200]);
    expect((open as unknown as { columns: string[] }).columns).toEqual([]);
    const keep = (columns: string[]) => preparer('PUT', `/clients/${client.id}/sheet-columns`, { columns });
    expect((await keep(['rate', 'sick', 'sick'])).status).toBe(204);
    expect((await preparer('GET', `/payrolls/${id}`)).body).toMatchObject({ columns: ['rate', 'sick'] });
    expect((await keep(['sikc'])).status).toBe(422);
    const entries = entriesOf(open.persons);
    const first = entries[0];
    if (first) first.earnings = [{ item: 'regular', hours: '72', rate: '31.40' }];
    const saved = (await preparer('PUT', `/payrolls/${id}`, { version: open.version, entries })).body as {
      persons: Person[];
    };
    expect(saved.persons.map((person) => person.paycheck.gross)).toEqual([226_080, 251_200]);
    const stale = await preparer('PUT', `/payrolls/${id}`, { version: open.version, entries });
    expect([stale.status, stale.body.detail]).toEqual([409, expect.stringMatching(/Somebody else saved/)]);
    // Whoever has it open beside them asks how far it is; lines of one person leave those of the others.
    const reviewer = await stack.signIn('Alder', 'reviewer');
    const latest = async () => (await reviewer('GET', `/payrolls/${id}/latest`)).body as object;
    expect(await latest()).toEqual({
      version: 2,
      status: 'open',
      by: expect.stringMatching(/preparer/i),
      isOwn: false,
    });
    const second = entries[1];
    const more = await reviewer('PUT', `/payrolls/${id}`, {
      version: 2,
      entries: [{ ...second, earnings: [{ item: 'regular', hours: '70', rate: '31.40' }] }],
    });
    expect((more.body as unknown as { persons: Person[] }).persons.map((person) => person.paycheck.gross)).toEqual([
      226_080, 219_800,
    ]);
    expect(await latest()).toMatchObject({ version: 3, isOwn: true });
    expect((await reviewer('GET', `/payrolls/00000000-0000-4000-8000-000000000000/latest`)).status).toBe(404);
  });
  it('every figure of a posted check still shows the working it was made with', async () => {
    const client = await takeOn(preparer, 'WORKING', 1);
    const id = client.employeeIds[0] ?? '';
    const paid = await pay(client.id, '2026-05-15', { [id]: '1000.00' });
    await preparer('POST', `/employees/${id}/facts`, {
      kind: 'federal-certificate',
      from: '2026-01-01',
      value: { form: '2020', filingStatus: 'married-jointly' },
    });
    const payrolls = (await preparer('GET', `/clients/${client.id}/payrolls`)).body as { id: string }[];
    const working = (await preparer('GET', `/payrolls/${payrolls[0]?.id ?? ''}/working/${id}?figure=US-FIT`)).body as {
      title: string;
      lines: { value: string; isResult?: boolean; parameter?: { publication: string } }[];
    };
    expect(working.title).toBe('Federal income tax, Wil SpragueA');
    expect(working.lines.at(-1)?.value.replace(',', '')).toBe(toDollars(cents(tax(paid, id, 'US-FIT')?.amount ?? 0)));
    expect(working.lines.some((line) => line.parameter?.publication.includes('Publication 15-T'))).toBe(true);
  });
  it('the next payroll follows the last, its check date before a bank holiday', async () => {
    const client = await takeOn(preparer, 'NEXT', 1);
    await preparer('POST', `/clients/${client.id}/payrolls`, {
      periodStart: '2026-05-30',
      periodEnd: '2026-06-12',
      checkDate: '2026-06-18',
      kind: 'regular',
    });
    // Two weeks on, six days after the end: Friday 3 July 2026, when the banks are open.
    expect((await preparer('GET', `/clients/${client.id}/next-payroll`)).body).toMatchObject({
      periodStart: '2026-06-13',
      periodEnd: '2026-06-26',
      checkDate: '2026-07-02',
    });
  });
  it('a payroll that comes near stands on the ladder until somebody begins it', async () => {
    const client = await takeOn(preparer, 'NEAR', 1);
    const { id } = (
      await preparer('POST', `/clients/${client.id}/payrolls`, {
        periodStart: '2026-05-16',
        periodEnd: '2026-05-29',
        checkDate: '2026-06-04',
        kind: 'regular',
      })
    ).body as { id: string };
    const rungs = async () =>
      ((await preparer('GET', '/ladder')).body as LadderView).rungs
        .filter((rung) => rung.clientId === client.id && rung.kind === 'payroll')
        .map((rung) => `${rung.due} ${rung.move}`);
    expect(await rungs()).toEqual(['2026-06-04 Preparer: enter and review']);
    const { version } = (await preparer('POST', `/payrolls/${id}/review`, { version: 1 })).body as { version: number };
    await preparer('POST', `/payrolls/${id}/post`, { version });
    // The next one is due on 18 June, more than a fortnight after 1 June.
    expect(await rungs()).toEqual([]);
    await stack.console('date', { today: '2026-06-08' });
    expect(await rungs()).toEqual(['2026-06-18 Preparer: start the payroll']);
  });
  it('a payroll in the wrong order of days is refused with the field', async () => {
    const client = await takeOn(preparer, 'ORDER', 1);
    const make = (days: Record<string, string>) =>
      preparer('POST', `/clients/${client.id}/payrolls`, {
        periodStart: '2026-05-01',
        periodEnd: '2026-05-14',
        checkDate: '2026-05-20',
        kind: 'regular',
        ...days,
      });
    expect((await make({ periodEnd: '2026-04-01' })).body.problems[0].field).toBe('periodEnd');
    expect((await make({ checkDate: '2026-04-01' })).body.problems[0].field).toBe('checkDate');
    expect((await make({ checkDate: '2026-02-30' })).body.problems[0]).toMatchObject({
      code: 'input.not-a-date',
      field: 'checkDate',
    });
  });
});

describe('what is owed', () => {
  it('gathers by deposit and due date, with the rule in words; the ladder has it in the order of sending', async () => {
    const client = await takeOn(preparer, 'OWED', 1);
    const id = client.employeeIds[0] ?? '';
    await pay(client.id, '2026-05-20', { [id]: '5000.00' });
    await pay(client.id, '2026-06-17', { [id]: '5000.00' });
    const deposits = (await preparer('GET', `/clients/${client.id}/deposits`)).body as {
      family: string;
      due: string;
      sendBy: string;
      owed: number;
      rule: string;
    }[];
    expect(deposits.map((deposit) => [deposit.family, deposit.due])).toEqual([
      ['US-941', '2026-06-15'],
      ['US-941', '2026-07-15'],
      // Less than 700.00 of the quarter goes with its report.
      ['NY-SIT', '2026-07-31'],
      ['NY-SUI', '2026-07-31'],
      ['NY-WCB', '2026-07-31'],
      ['US-940', '2027-02-01'],
    ]);
    expect(deposits.every((deposit) => deposit.sendBy < deposit.due && deposit.rule.length > 20)).toBe(true);
    const ladder = ((await preparer('GET', '/ladder')).body as LadderView).rungs;
    // What has no day yet stands among those of today.
    const dated = ladder.flatMap(({ sendBy }) => sendBy ?? []);
    expect(dated.length).toBeGreaterThan(20);
    expect(dated).toEqual([...dated].sort());
  });
  it('an extra payroll on the same day adds to what is owed while a payment of the first part is under way', async () => {
    const client = await takeOn(preparer, 'SAMEDAY', 1);
    const id = client.employeeIds[0] ?? '';
    await pay(client.id, '2026-06-17', { [id]: '1000.00' });
    const before = (
      (await preparer('GET', `/clients/${client.id}/deposits`)).body as {
        family: string;
        owed: number;
        settles: string;
        liabilities: { tax: string; liabilityDate: string }[];
      }[]
    ).find((deposit) => deposit.family === 'US-941');
    const planned = (
      await preparer('POST', `/clients/${client.id}/remittances`, {
        items: before?.liabilities.map(({ tax: code, liabilityDate }) => ({ tax: code, liabilityDate })),
        bankAccountId: client.bankId,
        settles: before?.settles,
      })
    ).body as { id: string };
    await pay(client.id, '2026-06-17', { [id]: '1000.00' });
    const after = (
      (await preparer('GET', `/clients/${client.id}/deposits`)).body as {
        family: string;
        owed: number;
        underWay: number;
      }[]
    ).find((deposit) => deposit.family === 'US-941');
    expect(after?.underWay).toBe(before?.owed);
    expect(after?.owed).toBeGreaterThan(before?.owed ?? 0);
    const slip = (await reviewer('GET', `/remittances/${planned.id}/slip`)).body as {
      checks: { label: string; isPassed: boolean }[];
      mayRelease: boolean;
    };
    expect(slip.checks.find((check) => check.label === 'The ledger still owes this amount')?.isPassed).toBe(false);
    expect(slip.mayRelease).toBe(false);
  });
});

describe('records that two people change', () => {
  it('the second one is told, and the first one’s change stays', async () => {
    const client = await takeOn(preparer, 'TWO', 0);
    const view = (await preparer('GET', `/clients/${client.id}`)).body;
    const fields = [
      'legalName',
      'tradeName',
      'ein',
      'nameControl',
      'street',
      'city',
      'state',
      'zip',
      'phone',
      'email',
      'contactName',
      'signerName',
      'signerTitle',
      'version',
    ];
    const body = Object.fromEntries(fields.map((field) => [field, view[field]]));
    expect((await preparer('PUT', `/clients/${client.id}/identity`, { ...body, tradeName: 'First' })).status).toBe(200);
    const second = await reviewer('PUT', `/clients/${client.id}/identity`, { ...body, tradeName: 'Second' });
    expect([second.status, (await preparer('GET', `/clients/${client.id}`)).body.tradeName]).toEqual([409, 'First']);
    const trail = (await preparer('GET', '/audit')).body.rows as { action: string; detail: Record<string, unknown> }[];
    expect(trail.find((row) => row.action === 'client.identity')?.detail).toEqual({
      tradeName: { from: '', to: 'First' },
    });
  });
  it('the unemployment rate of a check is the one in force on its date', async () => {
    const client = await takeOn(preparer, 'RATES', 1);
    await preparer('POST', `/clients/${client.id}/tax-accounts`, {
      agency: 'NY-DOL',
      accountNumber: '49-00123',
      unemploymentRate: '5.2',
      from: '2026-05-01',
    });
    const id = client.employeeIds[0] ?? '';
    const april = await pay(client.id, '2026-04-30', { [id]: '1000.00' });
    const may = await pay(client.id, '2026-05-01', { [id]: '1000.00' });
    expect([tax(april, id, 'NY-SUI')?.amount, tax(may, id, 'NY-SUI')?.amount]).toEqual([4_100, 5_200]);
    const accounts = (await preparer('GET', `/clients/${client.id}`)).body.taxAccounts as {
      agency: string;
      rateInWords: string | null;
    }[];
    expect(accounts.filter((account) => account.agency === 'NY-DOL').map((account) => account.rateInWords)).toEqual([
      '4.1% = 41.00 per 1,000',
      '5.2% = 52.00 per 1,000',
    ]);
  });
});

describe('a stand-in that is away', () => {
  it('delays the file, tries again by itself, and the page says so', async () => {
    const client = await takeOn(preparer, 'AWAY', 1);
    const id = client.employeeIds[0] ?? '';
    await pay(client.id, '2026-06-17', { [id]: '1000.00' });
    const deposit = (
      (await preparer('GET', `/clients/${client.id}/deposits`)).body as {
        family: string;
        settles: string;
        liabilities: { tax: string; liabilityDate: string }[];
      }[]
    ).find((row) => row.family === 'US-941');
    const { id: remittance } = (
      await preparer('POST', `/clients/${client.id}/remittances`, {
        items: deposit?.liabilities.map(({ tax: code, liabilityDate }) => ({ tax: code, liabilityDate })),
        bankAccountId: client.bankId,
        settles: deposit?.settles,
      })
    ).body as { id: string };
    await reviewer('POST', `/remittances/${remittance}/approve`, { version: 1 });
    await stack.console('mood', { party: 'bank', mood: 'down' });
    await reviewer('POST', `/remittances/${remittance}/release`, { version: 2 });
    const look = () => preparer('GET', `/remittances/${remittance}`);
    await until(look, (answer) => /Not sent yet: the receiver answered 503/.test(answer.body.delivery));
    expect((await look()).body.status).toBe('released');
    await stack.console('mood', { party: 'bank', mood: 'normal' });
    await until(look, (answer) => /Sent once/.test(answer.body.delivery));
  });
});
