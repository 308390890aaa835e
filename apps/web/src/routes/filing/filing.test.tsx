import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { inClient, ofClient } from '../../testing/client-pages.js';
import { asked, open, refusal, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import { ReturnsPage } from '../clients/returns.js';
import { FilingPage } from './filing.js';

afterEach(startAnew);

const changes = (): string[] => asked.filter((call) => !call.startsWith('GET'));
const where = (): string => document.querySelector('output')?.textContent ?? '';
const filing = (more: Partial<Schemas['FilingView']> = {}): Schemas['FilingView'] => ({
  id: 'f1',
  clientId: 'c1',
  clientName: 'Gannet Boatyard',
  einTail: '4561',
  kind: 'us-941',
  title: 'Form 941, Q3 2026',
  noun: 'return',
  period: '2026-Q3',
  status: 'draft',
  attempt: 1,
  version: 4,
  due: '2026-11-02',
  lines: [
    { id: '1', label: 'Employees', value: 2, kind: 'count', working: [], taxes: null, of: null, before: null },
    {
      id: '2',
      label: 'Wages, tips and other compensation',
      value: 3_218_430,
      kind: 'amount',
      working: [{ label: 'Wages of the quarter', value: '32,184.30', how: 'sum of the register' }],
      taxes: 'US-FIT',
      of: 'liabilities',
      before: 2_900_000,
    },
  ],
  beforePeriod: null,
  tables: [],
  w2s: null,
  isElsewhere: false,
  typed: null,
  asks: [],
  questions: [],
  correction: null,
  correctsId: null,
  copies: [],
  balance: null,
  signedWith: 'Form 8879-EMP',
  agent: null,
  handedTo: null,
  laterDue: null,
  amendedBy: 'Form 941-X',
  problems: [],
  events: [],
  preparedBy: 'Tobias Renn',
  signedBy: null,
  submissionId: null,
  refusableUntil: null,
  documentId: null,
  delivery: null,
  isSnapshot: false,
  ...more,
});
const slip = {
  title: 'Form 941, third quarter of 2026',
  act: 'release',
  figures: [{ label: 'Line 12', value: '8,104.22' }],
  leaves: 'The return goes to the Internal Revenue Service.',
  becomesImpossible: 'The figures of this attempt can no longer be changed.',
  wayBack: 'An amended return.',
  checks: [{ label: 'Signed', isPassed: true, says: 'by the client' }],
  mayRelease: true,
  file: '<Return/>',
};
const show = (more: Partial<Schemas['FilingView']> = {}, answers: Answers = {}): void => {
  serve({
    'GET /api/session': { body: session },
    'GET /api/filings/f1': { body: filing(more) },
    'GET /api/filings/f1/slip': { body: slip },
    ...answers,
  });
  open('/filings/f1', <Route path="/filings/:filingId" element={<FilingPage />} />);
};
const press = async (name: string | RegExp): Promise<void> =>
  void fireEvent.click(await screen.findByRole('button', { name }));

describe('a return', () => {
  it('writes out how a line was made, and leads to its entries', async () => {
    show();
    expect(await screen.findByRole('heading', { name: 'Form 941, Q3 2026' })).toBeTruthy();
    fireEvent.click(screen.getByText('32,184.30'));
    expect(await screen.findByText('sum of the register')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Open the entries that make it' }).getAttribute('href')).toBe(
      '/clients/c1/ledger?year=2026&quarter=3&group=US-FIT&of=liabilities',
    );
  });
  it('stands beside the period before, where one was prepared here', async () => {
    show({ beforePeriod: 'Q2 2026' });
    expect(await screen.findByRole('columnheader', { name: 'Q2 2026' })).toBeTruthy();
    expect(screen.getByText('29,000.00')).toBeTruthy();
  });
  it('has Schedule B with a total that equals line 12', async () => {
    show({
      tables: [
        {
          isList: false,
          title: 'Schedule B, liability by day',
          columns: [
            { label: 'Check date', kind: 'day' },
            { label: 'Liability', kind: 'amount' },
          ],
          rows: [
            ['2026-07-10', 400_000],
            ['2026-07-24', 410_422],
          ] as unknown as Record<string, unknown>,
        },
      ],
    });
    expect(await screen.findByText('8,104.22')).toBeTruthy();
  });
  it('follows the ledger until it is checked, then stands as it was', async () => {
    show();
    expect(await screen.findByText(/follow the ledger until they are checked/)).toBeTruthy();
    await press('Run the checks');
    await waitFor(() => expect(changes()).toEqual(['POST /api/filings/f1/check {"version":4}']));
    startAnew();
    show({ status: 'checked', isSnapshot: true });
    expect(await screen.findByText(/as they were checked/)).toBeTruthy();
  });
  it('that is a page of somebody else’s return is recorded when it was filed there, and never released', async () => {
    show({ status: 'checked', isSnapshot: true, signedWith: null, handedTo: 'the owner’s Form 1040' });
    await press(/It was filed with the owner’s Form 1040/);
    fireEvent.change(screen.getByLabelText('Filed on'), { target: { value: '10/20/2026' } });
    fireEvent.blur(screen.getByLabelText('Filed on'));
    await press('Record that it was filed');
    await waitFor(() => expect(changes()).toEqual(['POST /api/filings/f1/hand-over {"version":4,"on":"2026-10-20"}']));
    expect(screen.queryByRole('button', { name: /Release|Rehearse/ })).toBeNull();
    expect(screen.getByText(/nothing is sent from here/)).toBeTruthy();
  });
  it('says what the checks find, with the way to the field', async () => {
    const problem = {
      code: 'x',
      field: 'client.ein',
      severity: 'error' as const,
      sentence: 'The EIN is missing.',
      fix: 'Enter it.',
    };
    show({ problems: [problem] });
    expect(await screen.findByText('The checks would say')).toBeTruthy();
    expect(screen.getByText(/The EIN is missing/)).toBeTruthy();
    const ways = screen.getAllByRole('link').map((link) => link.getAttribute('href'));
    expect(ways).toContain('/clients/c1/facts?field=ein&back=%2Ffilings%2Ff1');
  });
  it('takes the signature by its PIN, and says when it is wrong', async () => {
    show({ status: 'checked' }, { 'POST /api/filings/f1/sign': refusal(422, 'A PIN has five digits.') });
    fireEvent.change(await screen.findByLabelText(/Signer’s PIN/), { target: { value: '123' } });
    await press('Enter the signature');
    expect(await screen.findByText(/A PIN has five digits/)).toBeTruthy();
    expect(changes()).toEqual(['POST /api/filings/f1/sign {"version":4,"pin":"123","payment":null}']);
  });
  it('needs no PIN of the client where the firm signs as reporting agent, and says under what', async () => {
    const agent = 'Odile Marrack of Breakwater as reporting agent, under Form 8655 signed by Ruth';
    show({ status: 'checked', agent });
    expect(await screen.findByText(`Its release signs it: ${agent}.`)).toBeTruthy();
    expect(screen.queryByLabelText(/Signer’s PIN/)).toBeNull();
    expect(screen.queryByRole('button', { name: 'Enter the signature' })).toBeNull();
    expect(screen.getByRole('button', { name: 'Release…' })).toBeTruthy();
  });
  it('is rehearsed from a draft, and released once from the slip however often it is clicked', async () => {
    show({ status: 'checked', signedBy: 'Ruth Gannet' }, { 'POST /api/filings/f1/release': { body: filing() } });
    expect(screen.queryByLabelText(/Signer’s PIN/)).toBeNull();
    await press('Release…');
    const release = await screen.findByRole('button', { name: 'Release the return' });
    expect(screen.getByText('The return goes to the Internal Revenue Service.')).toBeTruthy();
    fireEvent.click(release);
    fireEvent.click(release);
    await waitFor(() => expect(screen.queryByRole('region', { name: 'Release slip' })).toBeNull());
    expect(changes()).toEqual(['POST /api/filings/f1/release {"version":4}']);
    startAnew();
    show();
    expect(await screen.findByRole('button', { name: 'Rehearse the release' })).toBeTruthy();
  });
  it('keeps the slip open when the release is refused, with the reason', async () => {
    show(
      { status: 'checked', signedBy: 'Ruth Gannet' },
      { 'POST /api/filings/f1/release': refusal(409, 'A second person has to release it.') },
    );
    await press('Release…');
    await press('Release the return');
    expect(await screen.findByText(/A second person has to release it/)).toBeTruthy();
    expect(screen.getByRole('region', { name: 'Release slip' })).toBeTruthy();
    await press('not now');
    expect(screen.queryByRole('region', { name: 'Release slip' })).toBeNull();
  });
  it('that was rejected tells why and opens for another attempt', async () => {
    show(
      {
        status: 'rejected',
        submissionId: 'S-1',
        documentId: 'd1',
        events: [
          {
            at: '2026-10-20T09:30:00Z',
            attempt: 1,
            stage: 'rejected',
            code: 'R-12',
            field: null,
            message: 'EIN and name differ.',
          },
        ],
      },
      { 'POST /api/filings/f1/reopen': { body: filing() } },
    );
    const row = within((await screen.findByText('R-12')).closest('tr') as HTMLElement);
    expect([row.getByText('10/20/2026 9:30 AM'), row.getByText('EIN and name differ.')]).toHaveLength(2);
    expect(screen.getByRole('link', { name: 'the file as it was sent' }).getAttribute('href')).toBe(
      '/api/filings/f1/file',
    );
    await press('Open it for another attempt');
    await waitFor(() => expect(changes()).toEqual(['POST /api/filings/f1/reopen {"version":4}']));
  });
  it('that was accepted has nothing more to do', async () => {
    show({ status: 'accepted', isSnapshot: true, delivery: 'Accepted on Tuesday.' });
    expect(await screen.findByText('Accepted on Tuesday.')).toBeTruthy();
    for (const name of ['Run the checks', 'back to draft', 'Release…', 'Rehearse the release'])
      expect(screen.queryByRole('button', { name })).toBeNull();
  });
});

describe('the returns of a client', () => {
  const form = (more: Partial<Schemas['FormOwed']> = {}): Schemas['FormOwed'] => ({
    kind: 'us-941',
    title: 'Form 941, Q3 2026',
    noun: 'return',
    period: '2026-Q3',
    periodEnd: '2026-09-30',
    due: '2026-11-02',
    isOver: true,
    files: true,
    why: 'It pays wages.',
    isElsewhere: false,
    filingId: null,
    status: null,
    ...more,
  });
  const showList = (rows: object[], answers: Answers = {}, query = 'year=2026'): void => {
    serve({
      'GET /api/session': { body: session },
      'GET /api/clients/c1': { body: ofClient },
      'GET /api/clients/c1/forms?year=2026': { body: rows },
      ...answers,
    });
    open(`/clients/c1/returns?${query}`, inClient(<ReturnsPage />));
  };
  it('begin on their own line, with the kind and the period it stands for', async () => {
    showList([form()], { 'POST /api/clients/c1/filings': { status: 201, body: { id: 'f9' } } });
    await press('begin the return: Form 941, Q3 2026');
    await waitFor(() => expect(where()).toBe('/filings/f9'));
    expect(changes()).toEqual(['POST /api/clients/c1/filings {"kind":"us-941","period":"2026-Q3"}']);
  });
  it('have the one that was asked for under the keys', async () => {
    showList(
      [form({ kind: 'us-w2', title: 'Forms W-2 and W-3, 2026', period: '2026' }), form()],
      {},
      'kind=us-941&period=2026-Q3',
    );
    await waitFor(() =>
      expect(document.activeElement).toBe(screen.getByRole('button', { name: 'begin the return: Form 941, Q3 2026' })),
    );
  });
  it('say why one cannot be begun', async () => {
    showList([form()], { 'POST /api/clients/c1/filings': refusal(409, 'The return of this quarter is begun.') });
    await press('begin the return: Form 941, Q3 2026');
    expect(await screen.findByText(/The return of this quarter is begun/)).toBeTruthy();
  });
  it('lead to those that are begun, and offer none that the client does not file or that was filed elsewhere', async () => {
    showList([
      form({ filingId: 'f2', status: 'accepted' }),
      form({ period: '2026-Q1', title: 'Form 941, Q1 2026', isElsewhere: true }),
      form({ kind: 'us-940', title: 'Form 940, 2026', period: '2026', files: false, why: 'It is exempt.' }),
    ]);
    const link = await screen.findByRole('link', { name: 'Form 941, Q3 2026' });
    expect(link.getAttribute('href')).toBe('/filings/f2');
    expect(screen.getByText('It is exempt.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Begin/ })).toBeNull();
  });
});

describe('what only the return knows', () => {
  const asks = [
    { name: 'researchCredit', line: '11', label: 'Credit for research activities', help: 'From Form 8974', amount: 0 },
  ];
  it('is entered on a draft and goes with its version', async () => {
    show({ asks }, { 'PUT /api/filings/f1/entered': { body: filing({ asks }) } });
    const field = await screen.findByLabelText(/Line 11/);
    fireEvent.change(field, { target: { value: '12x' } });
    expect(screen.getByText('Write it like 1234.56.')).toBeTruthy();
    fireEvent.change(field, { target: { value: '1,250.00' } });
    await press('Put them on the return');
    await waitFor(() =>
      expect(changes()).toEqual([
        'PUT /api/filings/f1/entered {"version":4,"amounts":[{"name":"researchCredit","amount":125000}]}',
      ]),
    );
  });
  it('a balance may be paid with the return when it is signed', async () => {
    show(
      { status: 'checked', isSnapshot: true, balance: { amount: 67_200, from: null, on: null } },
      {
        'GET /api/clients/c1': {
          body: {
            ...ofClient,
            bankAccounts: [{ id: 'b1', label: 'Operating', bankName: 'Harbor', routing: '1', accountTail: '2345' }],
          },
        },
        'POST /api/filings/f1/sign': { body: filing({ status: 'checked', signedBy: 'Tobias Renn' }) },
      },
    );
    fireEvent.click(await screen.findByLabelText('Pay the balance of 672.00 with the return'));
    fireEvent.change(screen.getByLabelText(/Signer’s PIN/), { target: { value: '31415' } });
    await press('Enter the signature');
    await waitFor(() =>
      expect(changes()).toEqual([
        'POST /api/filings/f1/sign {"version":4,"pin":"31415","payment":{"bankAccountId":"b1","on":"2026-11-02"}}',
      ]),
    );
  });
});

describe('an accepted return', () => {
  const correction = {
    kind: 'us-941-x',
    name: 'Form 941-X',
    differs: 1,
    lines: [
      { id: '5a.1', label: 'Taxable social security wages', kind: 'amount' as const, filed: 502_400, now: 1_004_800 },
    ],
    corrections: [],
  };
  const accepted = { status: 'accepted' as const, isSnapshot: true };
  it('lies under what the records say today, and the correction begins there', async () => {
    show(
      { ...accepted, correction },
      {
        'POST /api/clients/c1/filings': { body: { id: 'f9', warnings: [] } },
        'GET /api/filings/f9': { body: filing({ id: 'f9' }) },
      },
    );
    const row = (await screen.findByText('Taxable social security wages')).closest('tr');
    expect([...(row?.querySelectorAll('td') ?? [])].slice(2).map(({ textContent }) => textContent)).toEqual([
      '5,024.00',
      '10,048.00',
      '5,024.00',
    ]);
    await press('Begin Form 941-X');
    await waitFor(() =>
      expect(changes()).toEqual(['POST /api/clients/c1/filings {"kind":"us-941-x","period":"2026-Q3"}']),
    );
  });
  it('that agrees says so; one whose correction is under way leads to it', async () => {
    show({ ...accepted, correction: { ...correction, differs: 0, lines: [] } });
    expect(await screen.findByText(/Nothing differs from what was accepted/)).toBeTruthy();
    startAnew();
    show({
      ...accepted,
      correction: { ...correction, corrections: [{ id: 'f9', title: 'Form 941-X, Q3 2026', status: 'draft' }] },
    });
    expect((await screen.findByRole('link', { name: 'Form 941-X, Q3 2026' })).getAttribute('href')).toBe('/filings/f9');
    expect(screen.queryByRole('button', { name: /^Begin/ })).toBeNull();
  });
});

describe('a draft of which nothing has left', () => {
  it('is discarded when that is said twice', async () => {
    show({}, { 'POST /api/filings/f1/discard': { status: 204, body: null } });
    await press('discard it');
    expect(screen.getByText('Discard this return and what was entered on it?')).toBeTruthy();
    await press('yes, discard');
    await waitFor(() => expect(changes()).toEqual(['POST /api/filings/f1/discard {"version":4}']));
  });
});

describe('what a correction asks', () => {
  const questions = [
    {
      name: 'discovered',
      label: 'Day on which the error was found',
      help: 'It decides',
      kind: 'day' as const,
      choices: [],
      answer: '2026-11-02',
    },
    {
      name: 'process',
      label: 'Process',
      help: 'If too high',
      kind: 'choice' as const,
      choices: [{ value: 'claim', label: 'Claim for refund' }],
      answer: '',
    },
    { name: 'explanation', label: 'Explanation', help: 'Part 4', kind: 'text' as const, choices: [], answer: '' },
  ];
  it('is answered on the draft, all of it at its version', async () => {
    show({ questions, correctsId: 'f0' }, { 'PUT /api/filings/f1/answers': { body: filing({ questions }) } });
    fireEvent.change(await screen.findByLabelText('Process'), { target: { value: 'claim' } });
    fireEvent.change(screen.getByLabelText('Explanation'), { target: { value: 'Hours of another week.' } });
    await press('Save the answers');
    await waitFor(() =>
      expect(changes()).toEqual([
        'PUT /api/filings/f1/answers {"version":4,"answers":[{"name":"discovered","answer":"2026-11-02"},{"name":"process","answer":"claim"},{"name":"explanation","answer":"Hours of another week."}]}',
      ]),
    );
    expect(screen.getByRole('link', { name: 'what was accepted' }).getAttribute('href')).toBe('/filings/f0');
  });
  it('is said once it is no draft any more', async () => {
    show({
      status: 'checked',
      questions: questions.map((one) => (one.name === 'process' ? { ...one, answer: 'claim' } : one)),
    });
    expect(await screen.findByText('Claim for refund')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Save the answers' })).toBeNull();
  });
});
