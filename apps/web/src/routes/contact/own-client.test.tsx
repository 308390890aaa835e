import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, refusal, serve, startAnew, type Answers } from '../../testing/pages.js';
import { OwnClient } from './own-client.js';

afterEach(startAnew);

const question = (more: object = {}) => ({
  id: 'q1',
  who: 'Piet Lomax',
  asks: 'On which day was Piet born?',
  answer: '',
  status: 'asked',
  chaseOn: '2026-10-29',
  version: 1,
  ...more,
});
const show = (
  questions: object[],
  done: object[] = [],
  answers: Answers = {},
  payrolls: object[] = [],
  funds: object | null = null,
): void => {
  serve({
    'GET /api/own-client': {
      body: { clientName: 'Low Tide Animal Clinic', einTail: '4562', questions, done, payrolls, funds },
    },
    ...answers,
  });
  open('/', <Route path="/" element={<OwnClient />} />);
};
const changes = (): string[] => asked.filter((call) => !call.startsWith('GET'));
const ANSWER = 'Answer: Piet Lomax On which day was Piet born?';

describe('what somebody of the client sees', () => {
  it('is what is asked, and an answer goes in process', async () => {
    show([question()], [], { 'POST /api/own-client/questions/q1/answer': { status: 204, body: null } });
    expect(await screen.findByText('1 question')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Answer' }).disabled).toBe(true);
    fireEvent.change(screen.getByLabelText(ANSWER), { target: { value: '22 August 1996' } });
    fireEvent.click(screen.getByRole('button', { name: 'Answer' }));
    await waitFor(() =>
      expect(changes()).toEqual(['POST /api/own-client/questions/q1/answer {"version":1,"answer":"22 August 1996"}']),
    );
  });
  it('keeps an answer that did not get through', async () => {
    show([question()], [], { 'POST /api/own-client/questions/q1/answer': refusal(409, 'Somebody answered it.') });
    fireEvent.change(await screen.findByLabelText(ANSWER), { target: { value: 'in August' } });
    fireEvent.click(screen.getByRole('button', { name: 'Answer' }));
    expect(await screen.findByText(/Somebody answered it/)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>(ANSWER).value).toBe('in August');
  });
  it('shows an answer that was given, without asking again', async () => {
    show([question({ status: 'answered', answer: '22 August 1996', who: '' })]);
    expect(await screen.findByText('22 August 1996')).toBeTruthy();
    expect(screen.getByText('in process into the records')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Answer' })).toBeNull();
  });
  it('shows what is held and what is taken from the account, with why it came back', async () => {
    const taken = {
      reference: 'C-26-00041',
      settles: '2026-10-14',
      amount: 120_050,
      status: 'planned',
      returnedReason: null,
    };
    const back = { ...taken, reference: 'C-26-00032', status: 'returned', returnedReason: 'Insufficient funds' };
    show([], [], {}, [], { held: 98_700, taken: [taken, back] });
    const section = (await screen.findByText(/Taken from your account/)).closest('section')!;
    expect(within(section).getByText('987.00')).toBeTruthy();
    expect(within(section).getByText('C-26-00041')).toBeTruthy();
    expect(within(section).getByText('Insufficient funds')).toBeTruthy();
  });
  it('says nothing of an account nothing is taken from', async () => {
    show([question()]);
    await screen.findByText('1 question');
    expect(screen.queryByText(/Taken from your account/)).toBeNull();
  });
  it('lists what was filed and paid, with its confirmation', async () => {
    const paid = {
      day: '2026-10-15',
      what: 'Deposit',
      to: 'IRS',
      standing: 'settled',
      confirmation: 'E-77',
      amount: 216_472,
    };
    const filed = {
      day: '2026-07-14',
      what: 'Form 941, Q2',
      to: 'IRS',
      standing: 'accepted',
      confirmation: null,
      amount: null,
    };
    const back = { ...paid, standing: 'returned', confirmation: 'E-78', returnedId: 'r1' };
    show([], [paid, filed, back]);
    expect((await screen.findByRole('link', { name: /why, and what to do/ })).getAttribute('href')).toBe(
      '/api/own-client/remittances/r1/returned.pdf',
    );
    const row = within((await screen.findByText('E-77')).closest('tr') as HTMLElement);
    expect([row.getByText('2,164.72'), row.getByText('settled')]).toHaveLength(2);
    expect(screen.getByText('Nothing is asked. Thank you.')).toBeTruthy();
  });
});
