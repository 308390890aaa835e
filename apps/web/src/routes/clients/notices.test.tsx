import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { inClient, ofClient } from '../../testing/client-pages.js';
import { asked, open, refusal, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import { NoticesSection, periodTyped } from './notices.js';

afterEach(startAnew);

const notice = (more: object = {}) => ({
  id: 'n1',
  agency: 'IRS',
  agencyName: 'Internal Revenue Service',
  number: 'CP161',
  kind: 'balance-due',
  datedOn: '2026-10-12',
  respondBy: '2026-11-02',
  period: '2026-Q3',
  amount: 25_000,
  says: 'A deposit is missing.',
  replyTo: '',
  filingId: null,
  filingTitle: null,
  status: 'open',
  version: 1,
  answer: '',
  answeredOn: null,
  ended: '',
  ledger: [
    { label: 'Open by the ledger', detail: 'taxes less payments', amount: 0 },
    { label: 'Difference', detail: 'asked beyond what the ledger has open', amount: 25_000 },
  ],
  ...more,
});
const show = (notices: object[], answers: Answers = {}): void => {
  serve({
    'GET /api/session': { body: session },
    'GET /api/clients/c1': { body: ofClient },
    'GET /api/clients/c1/notices': {
      body: {
        notices,
        agencies: [
          { code: 'IRS', name: 'Internal Revenue Service' },
          { code: 'NY-TAX', name: 'New York tax' },
        ],
        returns: [{ id: 'f1', title: 'Form 941, Q3 2026', agency: 'IRS' }],
      },
    },
    ...answers,
  });
  open('/clients/c1/returns', inClient(<NoticesSection clientId="c1" />));
};
const posted = (): string[] => asked.filter((call) => call.startsWith('POST'));
const type = (label: string, value: string): void =>
  void fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('the notices of a client', () => {
  it('take a period as it is written', () => {
    expect(['Q3 2026', '3q26', '3/2026', '2026-q3', ' 2026 ', 'fall'].map(periodTyped)).toEqual([
      '2026-Q3',
      '2026-Q3',
      '2026-Q3',
      '2026-Q3',
      '2026',
      'FALL',
    ]);
  });
  it('are recorded with their day, period, amount and return', async () => {
    show([], { 'POST /api/clients/c1/notices': { status: 201, body: { id: 'n1', warnings: [] } } });
    expect(await screen.findByText(/^None\. A letter of an agency/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'record a notice' }));
    type('Notice number', 'CP161');
    type('Date of the notice', '10/12/2026');
    type('Answer by', '11/2/26');
    type('Quarter or year', 'Q3 2026');
    type('Amount asked', 'two hundred');
    type('Return', 'f1');
    type('Reply address, as on the notice', 'Box 4\nPort Verity, TX 77999');
    fireEvent.click(screen.getByRole('button', { name: 'Record the notice' }));
    expect(screen.getByText(/^Type dollars and cents/)).toBeTruthy();
    expect(posted()).toEqual([]);
    type('Amount asked', '$250');
    fireEvent.click(screen.getByRole('button', { name: 'Record the notice' }));
    await waitFor(() => expect(posted()).toHaveLength(1));
    expect(JSON.parse(posted()[0]?.replace(/^\S+ \S+ /, '') ?? '')).toEqual({
      agency: 'IRS',
      number: 'CP161',
      kind: 'balance-due',
      datedOn: '2026-10-12',
      respondBy: '2026-11-02',
      period: '2026-Q3',
      amount: 25_000,
      says: '',
      replyTo: 'Box 4\nPort Verity, TX 77999',
      filingId: 'f1',
    });
  });
  it('are set against the ledger, answered, and keep an answer that did not get through', async () => {
    show([notice()], { 'POST /api/notices/n1/answer': refusal(409, 'Somebody answered it.') });
    fireEvent.click(await screen.findByRole('button', { name: 'look at notice CP161' }));
    expect(screen.getByText('Difference')).toBeTruthy();
    expect(screen.queryByRole('link', { name: /letter to the agency/ })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'answer it' }));
    type('Answer, as the letter says it', 'It was paid on 10/15/2026.');
    fireEvent.click(screen.getByRole('button', { name: 'Keep the answer' }));
    expect(await screen.findByText(/Somebody answered it/)).toBeTruthy();
    expect(posted()).toEqual(['POST /api/notices/n1/answer {"version":1,"answer":"It was paid on 10/15/2026."}']);
    expect(screen.getByLabelText<HTMLTextAreaElement>('Answer, as the letter says it').value).toMatch(/^It was paid/);
  });
  it('have a letter once answered, and are closed with how they ended', async () => {
    const answered = notice({ status: 'answered', version: 2, answer: 'Paid.', answeredOn: '2026-10-20' });
    show([answered], { 'POST /api/notices/n1/close': { body: answered } });
    fireEvent.click(await screen.findByRole('button', { name: 'look at notice CP161' }));
    expect(screen.getByRole('link', { name: /letter to the agency/ }).getAttribute('href')).toBe(
      '/api/notices/n1/answer.pdf',
    );
    fireEvent.click(screen.getByRole('button', { name: 'close it' }));
    type('How it ended', 'Nothing is owed.');
    fireEvent.click(screen.getByRole('button', { name: 'Close the notice' }));
    await waitFor(() =>
      expect(posted()).toEqual(['POST /api/notices/n1/close {"version":2,"why":"Nothing is owed."}']),
    );
  });
});
