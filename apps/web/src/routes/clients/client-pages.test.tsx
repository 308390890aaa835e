import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { inClient, ofClient } from '../../testing/client-pages.js';
import { asked, open, refusal, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import { ItemsPage } from './items.js';
import { LedgerPage } from './ledger.js';
import { PayrollsPage } from './payrolls.js';
import { TaxAccounts } from './tax-accounts.js';
import { useClient } from './client-frame.js';

afterEach(startAnew);

const openAt = (path: string, page: ReactNode, answers: Answers, client: object = ofClient) => {
  serve({ 'GET /api/session': { body: session }, 'GET /api/clients/c1': { body: client }, ...answers });
  open(`/clients/c1/${path}`, inClient(page));
};
const posted = (): string[] => asked.filter((call) => call.startsWith('POST'));
const type = (label: string | RegExp, value: string): void =>
  void fireEvent.change(screen.getByLabelText(label), { target: { value } });
const where = (): string => screen.getAllByRole('status').at(-1)?.textContent ?? '';

describe('the payrolls of a client', () => {
  const suggestion = {
    periodStart: '2026-10-11',
    periodEnd: '2026-10-24',
    checkDate: '2026-10-30',
    why: 'Follows the period that ended on 10 October.',
    schedule: '',
    part: '',
    schedules: [''],
  };
  const row = (more: object) => ({
    id: 'p1',
    clientId: 'c1',
    periodStart: '2026-09-27',
    periodEnd: '2026-10-10',
    checkDate: '2026-10-16',
    kind: 'regular',
    status: 'posted',
    people: 2,
    gross: 500_000,
    net: 380_000,
    version: 3,
    schedule: '',
    part: '',
    isVoid: false,
    voids: null,
    ...more,
  });
  const answers = (more: Answers = {}): Answers => ({
    'GET /api/clients/c1/payrolls': { body: [] },
    'GET /api/clients/c1/next-payroll': { body: suggestion },
    ...more,
  });

  it('begin with the next period of the schedule, and why', async () => {
    openAt('payrolls', <PayrollsPage />, answers());
    expect(await screen.findByText(suggestion.why)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Check date').value).toBe('10/30/2026');
    expect(await screen.findByText(/^No payroll yet/)).toBeTruthy();
  });
  it('have the calendar of the year, with what moved and the payroll that was made', async () => {
    const schedule = {
      id: '1',
      kind: 'schedule',
      from: '2026-01-01',
      value: { frequency: 'weekly', periodEnd: '2026-06-06', daysToCheck: 6, whenClosed: 'before' },
      sentence: '',
      isInForce: true,
    };
    const made = row({ periodStart: '2026-06-07', periodEnd: '2026-06-13', checkDate: '2026-06-18' });
    openAt('payrolls', <PayrollsPage />, answers({ 'GET /api/clients/c1/payrolls': { body: [made] } }), {
      ...ofClient,
      facts: [schedule],
    });
    expect(await screen.findByText('30 check dates in 2026, 3 of them moved')).toBeTruthy();
    const line = (await screen.findByText('06/07/2026 to 06/13/2026', { selector: 'details td' })).closest('tr');
    expect([...(line as HTMLTableRowElement).cells].map((cell) => cell.textContent)).toEqual([
      'Thu, Jun 18, 2026',
      '06/07/2026 to 06/13/2026',
      '06/19/2026',
      'posted',
    ]);
    fireEvent.click(screen.getByRole('button', { name: '2027' }));
    expect(screen.getByText(/check dates in 2027/)).toBeTruthy();
  });
  it('start with one click, and the sheet opens', async () => {
    openAt(
      'payrolls',
      <PayrollsPage />,
      answers({ 'POST /api/clients/c1/payrolls': { status: 201, body: { id: 'p9' } } }),
    );
    fireEvent.click(await screen.findByRole('button', { name: 'Start the payroll' }));
    await waitFor(() => expect(where()).toBe('/payrolls/p9'));
    expect(posted()).toEqual([
      'POST /api/clients/c1/payrolls {"periodStart":"2026-10-11","periodEnd":"2026-10-24","checkDate":"2026-10-30","kind":"regular","schedule":""}',
    ]);
  });
  it.each(['30 October', '2026-02-30', ''])(
    'a check date of "%s" is told at its field and asks nothing',
    async (day) => {
      openAt('payrolls', <PayrollsPage />, answers());
      await screen.findByText(suggestion.why);
      type('Check date', day);
      fireEvent.click(screen.getByRole('button', { name: 'Start the payroll' }));
      expect(await screen.findByText('Type month, day and year, like 10/30/2026.')).toBeTruthy();
      expect(posted()).toEqual([]);
    },
  );
  it('a refusal keeps what was typed', async () => {
    const refused = refusal(409, 'There is a payroll of this period already.');
    openAt('payrolls', <PayrollsPage />, answers({ 'POST /api/clients/c1/payrolls': refused }));
    await screen.findByText(suggestion.why);
    type('Payroll type', 'extra');
    fireEvent.click(screen.getByRole('button', { name: 'Start the payroll' }));
    expect(await screen.findByText('There is a payroll of this period already.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLSelectElement>('Payroll type').value).toBe('extra');
  });
  it('show amounts only of those that are posted', async () => {
    const rows = [row({}), row({ id: 'p2', status: 'open', checkDate: '2026-10-30', gross: 111, net: 99 })];
    openAt('payrolls', <PayrollsPage />, answers({ 'GET /api/clients/c1/payrolls': { body: rows } }));
    expect(await screen.findByText('5,000.00')).toBeTruthy();
    expect(screen.queryByText('1.11')).toBeNull();
    const open2 = within(screen.getAllByRole('row').at(-1) as HTMLElement);
    expect(open2.getByRole('link').getAttribute('href')).toBe('/payrolls/p2');
  });
});

describe('the pay items of a client', () => {
  const own = (value: object) => ({
    id: '1',
    kind: 'pay-item',
    from: '2026-01-01',
    value: { code: 'cabin', label: 'Cabin', like: 'fringe-benefit', ...value },
    sentence: 'Cabin (cabin)',
    isInForce: true,
    recordedBy: 'Tobias Renn',
  });
  const people = { rows: [{ id: 'e1', workState: 'PA' }], total: 1 };
  const openItems = async (facts: object[] = [], path = 'items') => {
    openAt(path, <ItemsPage />, { 'GET /api/clients/c1/employees': { body: people } }, { ...ofClient, facts });
    await screen.findByRole('columnheader', { name: 'PA income' });
  };
  const cell = (item: string | RegExp, column: string): string => {
    const heads = screen.getAllByRole('columnheader').map((head) => head.textContent);
    const line = screen.getByRole('rowheader', { name: item }).closest('tr') as HTMLTableRowElement;
    return line.cells[heads.indexOf(column)]?.textContent ?? 'no such column';
  };

  it('say of each item what is wages where', async () => {
    await openItems();
    expect(cell('401(k) deferral', 'Federal income')).toBe('lowers');
    expect(cell('401(k) deferral', 'OASDI and HI')).toBe('–');
    expect(cell('Health, section 125', 'OASDI and HI')).toBe('lowers');
    expect(cell('Reimbursement, accountable', 'Federal income')).toBe('–');
    expect(cell('Bonus', 'NY unemployment')).toBe('wages');
    expect(cell('401(k) match', 'Federal income')).toBe('–');
  });
  it('mark where a state sees it otherwise', async () => {
    await openItems();
    // Pennsylvania taxes deferrals, which lower federal and New York's wages.
    expect(cell('401(k) deferral', 'PA income')).toBe('– unlike federal');
    expect(cell('401(k) deferral', 'NY income')).toBe('lowers');
  });
  it('have the client’s own below what they are like, with what is different', async () => {
    await openItems([own({ 'for-social': 'untaxed' })], 'items');
    const name = /Cabin/;
    expect(cell(name, 'OASDI and HI')).toBe('– unlike taxable fringe benefit');
    expect(cell(name, 'Federal income')).toBe('wages');
  });
  it('a treatment that says what holds anyway is no difference', async () => {
    await openItems([own({ 'for-social': 'taxed' })]);
    expect(cell(/Cabin/, 'OASDI and HI')).toBe('wages');
  });
  it('show the usual ones until all are wanted', async () => {
    await openItems();
    expect(screen.queryByRole('rowheader', { name: 'Tips allocated' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'show every standard item' }));
    expect(await screen.findByRole('rowheader', { name: 'Tips allocated' })).toBeTruthy();
    expect(where()).toContain('show=all');
    expect(cell('Tips allocated', 'Federal income')).toBe('–');
  });
});

describe('the tax accounts of a client', () => {
  const Page = (): ReactNode => <TaxAccounts client={useClient()} />;
  const start = async (more: Answers = {}, client: object = ofClient) => {
    openAt('facts', <Page />, more, client);
    await screen.findByRole('button', { name: 'add an account, a new rate or a deposit frequency' });
    await waitFor(() => expect(asked).toContain('GET /api/session'));
    fireEvent.click(screen.getByRole('button', { name: 'add an account, a new rate or a deposit frequency' }));
    await screen.findByLabelText('Agency');
  };
  const done = { 'POST /api/clients/c1/tax-accounts': { status: 201, body: ofClient } };

  it('open for the state that a paycheck lacks, and lead back when it is recorded', async () => {
    openAt('facts?account=NJ&back=%2Femployees%2Fe1', <Page />, done);
    expect((await screen.findByLabelText<HTMLSelectElement>('Agency')).value).toBe('NJ-DOL');
    fireEvent.click(screen.getByLabelText('Applied for'));
    type(/Unemployment rate/, '2.7');
    fireEvent.click(screen.getByRole('button', { name: 'Record' }));
    await waitFor(() => expect(where()).toBe('/employees/e1'));
    expect(posted()[0]).toContain('"agency":"NJ-DOL"');
  });
  it('never lead to another site', async () => {
    openAt('facts?account=NJ&back=%2F%2Fevil.example', <Page />, done);
    fireEvent.click(await screen.findByLabelText('Applied for'));
    fireEvent.click(screen.getByRole('button', { name: 'Record' }));
    await waitFor(() => expect(posted()).toHaveLength(1));
    expect(where()).toContain('/clients/c1/facts');
  });
  it('ask for a rate only of an unemployment agency, and echo it in words', async () => {
    await start();
    type('Agency', 'NY-TAX');
    expect(screen.queryByLabelText(/Unemployment rate/)).toBeNull();
    type('Agency', 'NY-DOL');
    type(/Unemployment rate/, '4.1');
    expect(screen.getByText(/41\.00 per 1,000/)).toBeTruthy();
  });
  it('tell a number that has not the agency’s form, unless it stands so on its letter', async () => {
    await start(done);
    type('Agency', 'NY-DOL');
    type('Account number', '12');
    expect(document.querySelector('[aria-invalid="true"]')).toBeTruthy();
    fireEvent.click(screen.getByLabelText("It is printed so on the agency's letter"));
    expect(document.querySelector('[aria-invalid="true"]')).toBeNull();
    type(/Unemployment rate/, '4.1%');
    fireEvent.click(screen.getByRole('button', { name: 'Record' }));
    await waitFor(() =>
      expect(posted()).toEqual([
        'POST /api/clients/c1/tax-accounts {"agency":"NY-DOL","accountNumber":"12","unemploymentRate":"4.1","from":"2026-01-01","isApplied":false,"isAsPrinted":true,"depositFrequency":""}',
      ]),
    );
    await waitFor(() => expect(screen.queryByLabelText('Agency')).toBeNull());
  });
  it('of one that is applied for there is no number yet', async () => {
    await start(done);
    type('Agency', 'NY-TAX');
    type('Account number', '47-1234561');
    fireEvent.click(screen.getByLabelText(/^Applied for/));
    expect(screen.queryByLabelText('Account number')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Record' }));
    await waitFor(() => expect(posted()[0]).toContain('"accountNumber":"","unemploymentRate":null'));
  });
  it('show what the server refused at its field, and keep what was typed', async () => {
    const problems = [
      { field: 'unemploymentRate', severity: 'error', sentence: '41% is too high.', fix: 'Write 4.1.', code: 'x' },
    ];
    await start({ 'POST /api/clients/c1/tax-accounts': refusal(422, 'It cannot be recorded.', problems) });
    type('Agency', 'NY-DOL');
    type(/Unemployment rate/, '41');
    fireEvent.click(screen.getByRole('button', { name: 'Record' }));
    expect((await screen.findAllByText(/41% is too high\. Write 4\.1\./)).length).toBeGreaterThan(0);
    expect(screen.getByLabelText<HTMLInputElement>(/Unemployment rate/).value).toBe('41');
  });
  it('stand with their rate in words, or as applied for', async () => {
    const account = (more: object) => ({
      id: 'a1',
      agency: 'NY-DOL',
      agencyName: 'NY Labor',
      accountNumber: '49-00123',
      from: '2026-01-01',
      rateInWords: null,
      isApplied: false,
      isAsPrinted: false,
      ...more,
    });
    const taxAccounts = [
      account({ rateInWords: '4.1% = 41.00 per 1,000' }),
      account({ id: 'a2', agencyName: 'PA Labor', isApplied: true, accountNumber: '' }),
      account({ id: 'a3', agencyName: 'PA Revenue', isAsPrinted: true, accountNumber: '77' }),
    ];
    openAt('facts', <Page />, {}, { ...ofClient, taxAccounts });
    expect(await screen.findByText('4.1% = 41.00 per 1,000')).toBeTruthy();
    expect(screen.getByText('applied for')).toBeTruthy();
    expect(screen.getByText(/as on the agency's letter/)).toBeTruthy();
  });
});

describe('the ledger of a client', () => {
  const entry = (more: object) => ({
    id: '1',
    tax: 'US-FIT',
    label: 'Federal income tax',
    liabilityDate: '2026-10-16',
    effectiveDate: '2026-10-16',
    employee: 'Wil Sprague',
    cause: 'payroll',
    payrollId: 'p1',
    remittanceId: null,
    wages: 100_000,
    amount: 12_345,
    ...more,
  });
  const answers = (rows: object[], costs: object[] = []): Answers => ({
    'GET /api/clients/c1/ledger': { body: rows },
    'GET /api/clients/c1/job-costs': { body: costs },
  });

  it('shows each entry with its cause, and their sum', async () => {
    openAt('ledger?year=2026&quarter=4', <LedgerPage />, {
      ...answers([
        entry({}),
        entry({ id: '2', cause: 'payment', payrollId: null, remittanceId: 'r1', employee: null, amount: -12_000 }),
      ]),
    });
    expect(await screen.findByText('3.45')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'payroll' }).getAttribute('href')).toBe('/payrolls/p1');
    expect(screen.getByRole('link', { name: 'payment settled' }).getAttribute('href')).toBe('/remittances/r1');
    expect(screen.getByText('all, on the total')).toBeTruthy();
  });
  it('has the costs of the period by job before the entries', async () => {
    const costs = [{ job: 'Pier 4', people: 2, gross: 60_000, employerTaxes: 4590, employerPaid: 0 }];
    openAt('ledger?year=2026&quarter=4', <LedgerPage />, answers([], costs));
    const row = (await screen.findByText('Pier 4')).closest('tr') as HTMLTableRowElement;
    expect([...row.cells].map((cell) => cell.textContent)).toEqual(['Pier 4', '2', '600.00', '45.90', '–', '645.90']);
    expect(asked.find((call) => call.includes('/job-costs'))).toContain('quarter=4');
  });
  it('of one tax says so, and leads back to all', async () => {
    openAt('ledger?year=2026&quarter=4&group=US-FIT&of=payments', <LedgerPage />, answers([]));
    expect(await screen.findByText(/^No entries in this period/)).toBeTruthy();
    expect(asked.find((call) => call.includes('/ledger'))).toContain('group=US-FIT');
    expect(screen.getByRole('link', { name: 'Show every tax' }).getAttribute('href')).toBe(
      '/clients/c1/ledger?year=2026&quarter=4',
    );
  });
});
