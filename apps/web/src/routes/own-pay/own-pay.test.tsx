import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, refusal, serve, startAnew, type Answers } from '../../testing/pages.js';
import { EmployeeSignInPart } from '../employee/own-sign-in.js';
import { WelcomePage } from '../session/welcome.js';
import { OwnPayPage } from './own-pay.js';

afterEach(startAnew);

const pay = (more: object = {}) => ({
  name: 'Wil Sprague',
  employer: 'Gannet Boatyard',
  statements: [
    {
      paycheckId: 'k1',
      checkDate: '2026-10-16',
      periodStart: '2026-09-27',
      periodEnd: '2026-10-10',
      gross: 251_200,
      net: 190_000,
    },
  ],
  wageStatements: [],
  electronicSince: null,
  facts: [{ label: 'Form W-4', says: 'Single', from: '2024-01-02' }],
  ...more,
});
const sent = (): string[] => asked.filter((call) => !call.startsWith('GET'));
const show = (body: object, answers: Answers = {}): void => {
  serve({ 'GET /api/own-pay': { body }, ...answers });
  open('/', <Route path="/" element={<OwnPayPage />} />);
};

describe('one’s own pay', () => {
  it('has each statement as a PDF', async () => {
    show(pay());
    expect((await screen.findByRole('link', { name: 'statement (PDF)' })).getAttribute('href')).toBe(
      '/api/own-pay/statements/k1/statement.pdf',
    );
  });
  it('says what agreeing means before it is agreed to', async () => {
    show(pay(), { 'PUT /api/own-pay/consent': { body: pay({ electronicSince: '2026-10-22' }) } });
    expect(await screen.findByText(/^Your Form W-2 comes on paper/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'I agree to have it here' }));
    await waitFor(() => expect(sent()).toEqual(['PUT /api/own-pay/consent {"isElectronic":true}']));
  });
  it('has the Forms W-2, and the way back to paper', async () => {
    show(
      pay({
        electronicSince: '2026-10-22',
        wageStatements: [
          { filingId: 'f1', year: '2025', form: 'W-2' },
          { filingId: 'f2', year: '2025', form: 'W-2c' },
        ],
      }),
      {
        'PUT /api/own-pay/consent': { body: pay() },
      },
    );
    expect((await screen.findByRole('link', { name: 'Form W-2 (PDF)' })).getAttribute('href')).toBe(
      '/api/own-pay/wage-statements/f1/w2.pdf',
    );
    expect(screen.getByRole('link', { name: 'Form W-2c (PDF)' }).getAttribute('href')).toContain('/f2/');
    fireEvent.click(screen.getByRole('button', { name: 'have it on paper again' }));
    await waitFor(() => expect(sent()).toEqual(['PUT /api/own-pay/consent {"isElectronic":false}']));
  });
});

describe('the link that is used once', () => {
  const at = (answers: Answers): void => {
    serve(answers);
    open('/welcome/t1', <Route path="/welcome/:token" element={<WelcomePage />} />);
  };
  const whose = { body: { name: 'Wil Sprague', email: 'wil@home.example', firmName: 'Breakwater' } };
  it('sets the password, or says why not', async () => {
    at({ 'GET /api/welcome/t1': whose, 'POST /api/welcome/t1': refusal(422, 'The password is a common one.') });
    fireEvent.change(await screen.findByLabelText(/^Password/), { target: { value: 'password' } });
    fireEvent.click(screen.getByRole('button', { name: 'Set the password' }));
    expect(await screen.findByText('The password is a common one.')).toBeTruthy();
    startAnew();
    at({ 'GET /api/welcome/t1': whose, 'POST /api/welcome/t1': { status: 204, body: null } });
    fireEvent.change(await screen.findByLabelText(/^Password/), { target: { value: 'four gulls' } });
    fireEvent.click(screen.getByRole('button', { name: 'Set the password' }));
    expect((await screen.findByText(/^Your password is set/)).textContent).toContain('wil@home.example');
  });
  it('that is over says so', async () => {
    at({});
    expect((await screen.findByRole('alert')).textContent).toMatch(/^This link was used already/);
  });
});

describe('the sign-in of an employee', () => {
  it('is a link that is shown once, and is closed', async () => {
    serve({
      'GET /api/employees/e1/sign-in': { body: { state: 'open', email: 'wil@home.example', linkUntil: null } },
      'POST /api/employees/e1/sign-in': {
        status: 201,
        body: { address: 'http://zakat.example/welcome/t1', signIn: { state: 'open', email: '', linkUntil: null } },
      },
      'PUT /api/employees/e1/sign-in': { body: { state: 'closed', email: '', linkUntil: null } },
    });
    open('/', <Route path="/" element={<EmployeeSignInPart employeeId="e1" />} />);
    fireEvent.click(await screen.findByRole('button', { name: 'Make another link' }));
    expect(((await screen.findByLabelText(/shown this once/)) as HTMLInputElement).value).toMatch(/welcome\/t1$/);
    fireEvent.click(screen.getByRole('button', { name: 'close the sign-in' }));
    await waitFor(() =>
      expect(sent()).toEqual([
        'POST /api/employees/e1/sign-in {"email":"wil@home.example"}',
        'PUT /api/employees/e1/sign-in {"isOpen":false}',
      ]),
    );
  });
});
