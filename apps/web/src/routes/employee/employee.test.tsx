import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route } from 'react-router';
import { ofClient } from '../../testing/client-pages.js';
import { asked, open, refusal, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import { payrollPerson } from '../../testing/payroll-people.js';
import { EmployeePage } from './employee.js';

afterEach(startAnew);

const fact = (kind: string, value: object, sentence: string, more: object = {}) => ({
  id: kind,
  kind,
  from: '2026-01-05',
  value,
  sentence,
  isInForce: true,
  recordedBy: 'Tobias Renn',
  ...more,
});
const person = (more: object = {}) => ({
  id: 'e1',
  clientId: 'c1',
  clientName: 'Gannet Boatyard',
  number: '101',
  firstName: 'Wil',
  middleName: '',
  lastName: 'Sprague',
  suffix: '',
  ssnTail: '3401',
  street: '',
  city: '',
  state: 'NY',
  zip: '',
  country: '',
  province: '',
  hiredOn: '2026-01-05',
  bornOn: null,
  kind: 'employee',
  isRetirementPlan: true,
  version: 2,
  on: '2026-10-22',
  facts: [
    fact('pay', { basis: 'hourly', rate: '31.40', hours: '80' }, '31.40 an hour, 80 hours'),
    fact('place', { work: 'NY', residence: 'TX' }, 'works in NY, lives in TX'),
  ],
  ...more,
});
const trial = (more: object = {}) => ({
  checkDate: '2026-10-30',
  why: 'The next payroll.',
  payFrequency: 'biweekly',
  own: {},
  problems: [],
  person: payrollPerson(
    { employeeId: 'e1' },
    {
      gross: 251_200,
      net: 197_833,
      earnings: [{ item: 'regular', label: 'Regular', amount: 251_200 }],
      taxes: [
        { code: 'US-FIT', payer: 'employee', subject: 251_200, wages: 251_200, amount: 21_759 },
        { code: 'US-FUTA', payer: 'employer', subject: 251_200, wages: 0, amount: 0 },
      ],
    },
  ),
  ...more,
});
const TRIALS = 'POST /api/clients/c1/trials';
const show = (data: object = person(), answers: Answers = {}, path = '/employees/e1'): void => {
  serve({
    'GET /api/session': { body: session },
    'GET /api/clients/c1': { body: ofClient },
    'GET /api/employees/e1': { body: data },
    'GET /api/employees/e1/crossings': { body: [] },
    [TRIALS]: { body: trial() },
    ...answers,
  });
  open(path, <Route path="/employees/:employeeId" element={<EmployeePage />} />);
};
const changes = (): string[] => asked.filter((call) => !call.startsWith('GET') && !call.startsWith(TRIALS));
const press = async (name: string | RegExp): Promise<void> =>
  void fireEvent.click(await screen.findByRole('button', { name }));

describe('the page of a person', () => {
  it('has what stands, and the trial paycheck beside it', async () => {
    show();
    expect(await screen.findByText('31.40 an hour, 80 hours')).toBeTruthy();
    const beside = within(await screen.findByRole('complementary', { name: 'Trial paycheck' }));
    expect(await beside.findByText('1,978.33')).toBeTruthy();
    expect(beside.getByText(/The next payroll/)).toBeTruthy();
    expect(screen.getByText(/in the retirement plan/)).toBeTruthy();
  });
  it('shows the number only when asked, which is recorded', async () => {
    show(person(), { 'POST /api/employees/e1/number': { body: { ssn: '899-12-3401' } } });
    expect(await screen.findByText(/SSN ending 3401/)).toBeTruthy();
    await press('show it (recorded)');
    expect(await screen.findByText(/SSN 899-12-3401/)).toBeTruthy();
    expect(changes()).toEqual(['POST /api/employees/e1/number ']);
  });
  it('asks for the certificate of each state of work and home, and for none where nothing is withheld', async () => {
    show();
    expect(await screen.findByRole('button', { name: /add Form IT-2104, NY/ })).toBeTruthy();
    expect(screen.getByText('Texas withholds no income tax on wages')).toBeTruthy();
  });
  it('records a certificate under its state, and the trial follows while it is typed', async () => {
    show(person(), { 'POST /api/employees/e1/facts': { status: 201, body: {} } });
    await press(/add Form IT-2104, NY/);
    fireEvent.change(await screen.findByLabelText(/Filing status/), { target: { value: 'single' } });
    fireEvent.change(screen.getByLabelText(/Allowances/), { target: { value: '2' } });
    await waitFor(() =>
      expect(asked.filter((call) => call.startsWith(TRIALS) && call.includes('"allowances":2'))).not.toEqual([]),
    );
    expect(screen.getByText('with what is being typed')).toBeTruthy();
    await press('Record');
    await waitFor(() => expect(changes()).toHaveLength(1));
    expect(JSON.parse((changes()[0] ?? '').replace(/^POST \S+ /, ''))).toEqual({
      kind: 'state-certificate',
      from: '2026-01-05',
      value: { state: 'NY', certificate: { filingStatus: 'single', allowances: 2 } },
      confirmed: [],
    });
  });
  it('keeps a trial that was agreed by hand', async () => {
    show(person(), { 'POST /api/clients/c1/proofs': { status: 201, body: { id: 'r1' } } });
    await press('agreed by hand: keep it in the proof set');
    fireEvent.change(screen.getByLabelText('Name of the proof'), { target: { value: 'first check' } });
    await press('Keep');
    expect(await screen.findByText('Kept in the proof set.')).toBeTruthy();
    expect(changes()).toEqual([
      'POST /api/clients/c1/proofs {"employeeId":"e1","name":"first check","checkDate":null}',
    ]);
  });
  it('says why there is no trial', async () => {
    show(person(), {
      [TRIALS]: {
        body: trial({
          person: null,
          problems: [
            {
              code: 'x',
              field: 'place',
              severity: 'error',
              sentence: 'The place of work is missing.',
              fix: 'Enter it.',
            },
          ],
        }),
      },
    });
    expect(await screen.findByText(/The place of work is missing/)).toBeTruthy();
    expect(screen.queryByText('Employer taxes and contributions')).toBeNull();
  });
  it('leads to the rate of a new state that is missing, and knows the way back', async () => {
    const field = 'employer.unemploymentRates.NJ';
    const problems = [
      { code: 'x', field, severity: 'error', sentence: 'The rate for New Jersey is missing.', fix: '' },
    ];
    show(person(), { [TRIALS]: { body: trial({ problems }) } });
    expect((await screen.findByRole('link', { name: 'Go to the field' })).getAttribute('href')).toBe(
      '/clients/c1/facts?account=NJ&back=%2Femployees%2Fe1',
    );
  });
  it('tells the limits ahead, and shows another day of the life line', async () => {
    show(person(), {
      'GET /api/employees/e1/crossings': {
        body: [
          {
            figure: 'US-FUTA',
            label: 'FUTA',
            what: 'ends',
            checkDate: '2026-12-11',
            subject: 251_200,
            below: 100_000,
          },
        ],
      },
    });
    expect(await screen.findByText(/FUTA ends after 1,000.00 of 2,512.00/)).toBeTruthy();
    startAnew();
    show(person({ on: '2026-03-01' }), {}, '/employees/e1?on=2026-03-01');
    await screen.findByText('31.40 an hour, 80 hours');
    expect(asked).toContain('GET /api/employees/e1?on=2026-03-01');
  });
  it.each([
    ['partner', /Rev. Rul. 69-184/],
    ['contractor', /1099-NEC/],
  ])('of a %s has no paycheck, and says why', async (kind, words) => {
    show(person({ kind }));
    expect(await screen.findByText(words)).toBeTruthy();
    expect(screen.queryByRole('complementary', { name: 'Trial paycheck' })).toBeNull();
    expect(asked.some((call) => call.startsWith(TRIALS))).toBe(false);
  });
  it('saves the identity at the version that was read, and says when somebody was faster', async () => {
    show(person(), { 'PUT /api/employees/e1/identity': refusal(409, 'Somebody changed it meanwhile.') });
    await screen.findByText('31.40 an hour, 80 hours');
    fireEvent.change(screen.getByLabelText(/^Last name/), { target: { value: 'Sprague-Holt' } });
    await press(/^Save/);
    expect(await screen.findByText(/Somebody changed it meanwhile/)).toBeTruthy();
    expect(JSON.parse((changes()[0] ?? '').replace(/^PUT \S+ /, ''))).toMatchObject({
      lastName: 'Sprague-Holt',
      version: 2,
      bornOn: null,
      isRetirementPlan: true,
    });
    expect(screen.getByLabelText<HTMLInputElement>(/^Last name/).value).toBe('Sprague-Holt');
  });
});
