import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { inClient, ofClient } from '../../testing/client-pages.js';
import { asked, open, refusal, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import { ProofPage } from './proof.js';
import { ReadinessPage } from './readiness.js';

afterEach(startAnew);

const changes = (): string[] => asked.filter((call) => !call.startsWith('GET'));
const openAt = (page: ReactNode, answers: Answers, role = 'preparer'): void => {
  const { user } = session;
  serve({
    'GET /api/session': { body: { ...session, user: { ...user, role } } },
    'GET /api/clients/c1': { body: ofClient },
    'GET /api/clients/c1/sign-ins': { body: [] },
    'GET /api/clients/c1/new-hires': { body: [] },
    ...answers,
  });
  open('/clients/c1/readiness', inClient(page));
};

describe('what is missing of a client', () => {
  const gap = (more: object) => ({
    key: 'ssn',
    field: 'ssn',
    personId: 'e1',
    who: 'Wil Sprague',
    says: 'has no social security number.',
    fix: 'Enter it',
    neededFor: ['wage-statement'],
    by: '2027-02-01',
    move: 'client',
    blocksPaycheck: false,
    passedBecause: null,
    ...more,
  });
  const place = gap({
    key: 'place',
    field: 'place',
    says: 'has no place of work.',
    fix: 'Say where',
    neededFor: ['paycheck'],
    by: '2026-10-30',
    move: 'firm',
    blocksPaycheck: true,
  });
  const question = (more: object) => ({
    id: 'q1',
    who: 'Wil Sprague',
    asks: 'Which is the social security number?',
    answer: '',
    status: 'asked',
    chaseOn: '2026-10-29',
    version: 2,
    personId: 'e1',
    field: 'ssn',
    entersItself: false,
    ...more,
  });
  const answers = (gaps: object[], letter: object[] = [], questions: object[] = [], more: Answers = {}): Answers => ({
    'GET /api/clients/c1/readiness': { body: { gaps, letter } },
    'GET /api/clients/c1/questions': { body: questions },
    ...more,
  });

  it('is nothing, and it says what can be made', async () => {
    openAt(<ReadinessPage />, answers([]));
    expect(await screen.findByText(/Nothing is missing/)).toBeTruthy();
    expect(screen.getByText('There is nothing to ask.')).toBeTruthy();
  });
  it('says what holds the next payroll and leads to the field, in a person or in the client', async () => {
    openAt(
      <ReadinessPage />,
      answers([place, gap({}), gap({ personId: null, field: 'people', who: '', fix: 'Take on' })]),
    );
    expect(await screen.findByText(/1 of 3 missing facts hold the next payroll/)).toBeTruthy();
    expect(screen.getByText('waits for it')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Say where' }).getAttribute('href')).toBe('/employees/e1?field=place');
    expect(screen.getByRole('link', { name: 'Take on' }).getAttribute('href')).toBe('/clients/c1/people');
    // A preparer lets nothing pass.
    expect(screen.queryByRole('button', { name: /let it pass/i })).toBeNull();
  });
  it('holds nothing when it is only needed later, or was let pass', async () => {
    openAt(<ReadinessPage />, answers([gap({}), { ...place, passedBecause: 'paid from the shop only' }]), 'reviewer');
    expect(await screen.findByText(/Nothing holds the next payroll. 2 facts are still needed later/)).toBeTruthy();
    expect(screen.getByText(/paid from the shop only/)).toBeTruthy();
  });
  it('is asked in one go, seven days before it is chased', async () => {
    const letter = [{ about: 'Wil Sprague', asks: ['Which is the number?'], by: '' }];
    openAt(<ReadinessPage />, answers([gap({})], letter, [], { 'POST /api/clients/c1/questions': { body: [] } }));
    fireEvent.click(await screen.findByRole('button', { name: 'Ask everything that is not asked yet' }));
    await waitFor(() => expect(changes()).toEqual(['POST /api/clients/c1/questions {"chaseOn":"2026-10-29"}']));
  });
  it('gets the answer of the client, which a second person accepts', async () => {
    const asking = answers([gap({})], [], [question({})], {
      'POST /api/questions/q1/answer': { status: 204, body: null },
    });
    openAt(<ReadinessPage />, asking);
    const field = await screen.findByLabelText('Answer: Which is the social security number?');
    fireEvent.change(field, { target: { value: '899-12-3401' } });
    fireEvent.submit(field.closest('form') as HTMLFormElement);
    await waitFor(() =>
      expect(changes()).toEqual(['POST /api/questions/q1/answer {"version":2,"answer":"899-12-3401"}']),
    );
    startAnew();
    const answered = question({ status: 'answered', answer: '899-12-3401', entersItself: true });
    const accepting = { 'POST /api/questions/q1/accept': { status: 204, body: null } };
    openAt(<ReadinessPage />, answers([gap({})], [], [answered], accepting), 'reviewer');
    fireEvent.click(await screen.findByRole('button', { name: 'accept and enter' }));
    await waitFor(() => expect(changes()).toEqual(['POST /api/questions/q1/accept {"version":2}']));
  });
  it('an answer is not accepted by who prepares, and is asked again when it is none', async () => {
    const answered = question({ status: 'answered', answer: 'do not know' });
    openAt(
      <ReadinessPage />,
      answers([gap({})], [], [answered], { 'POST /api/questions/q1/reopen': refusal(409, 'Somebody was faster.') }),
    );
    const line = within((await screen.findByText('do not know')).closest('.question') as HTMLElement);
    expect(line.queryByRole('button', { name: /accept/ })).toBeNull();
    expect(line.getByRole('link', { name: 'Enter it in the record' }).getAttribute('href')).toBe(
      '/employees/e1?field=ssn',
    );
    fireEvent.click(line.getByRole('button', { name: 'ask again' }));
    expect(await line.findByText(/Somebody was faster/)).toBeTruthy();
  });
});

describe('the proof set', () => {
  const proof = (more: object) => ({
    id: 'r1',
    employeeId: 'e1',
    employeeName: 'Wil Sprague',
    name: 'usual check',
    checkDate: '2026-01-09',
    computedFor: '2026-10-30',
    agreedBy: 'Ines Okoro',
    agreedAt: '2026-01-05T10:00:00Z',
    isMoved: false,
    problems: [],
    figures: [
      { figure: 'gross', label: 'Gross pay', expected: 250_000, now: 250_000 },
      { figure: 'US-FIT', label: 'Federal income tax', expected: 20_000, now: 20_000 },
      { figure: 'net', label: 'Net pay', expected: 190_000, now: 190_000 },
    ],
    ...more,
  });
  const moved = proof({
    id: 'r2',
    name: 'bonus check',
    isMoved: true,
    figures: [
      { figure: 'gross', label: 'Gross pay', expected: 250_000, now: 250_000 },
      { figure: 'US-FIT', label: 'Federal income tax', expected: 20_000, now: 20_150 },
      { figure: 'NY-SDI', label: 'Disability', expected: null, now: 60 },
    ],
  });
  const show = (rows: object[], more: Answers = {}): void =>
    openAt(<ProofPage />, { 'GET /api/clients/c1/proofs': { body: rows }, ...more });

  it('says how to begin', async () => {
    show([]);
    expect(await screen.findByText(/No check is agreed yet/)).toBeTruthy();
  });
  it('that still agrees shows gross and net', async () => {
    show([proof({})]);
    expect(await screen.findByText('The agreed check still comes out to the cent.')).toBeTruthy();
    expect([screen.getByText('Gross pay'), screen.getByText('Net pay')]).toHaveLength(2);
    expect(screen.queryByText('Federal income tax')).toBeNull();
    expect(screen.queryByRole('button', { name: 'agree to what moved' })).toBeNull();
  });
  it('that moved comes first and shows what moved, by how much', async () => {
    show([proof({}), moved], { 'POST /api/proofs/r2/accept': { body: moved } });
    expect(await screen.findByText('1 of 2 agreed checks have moved.')).toBeTruthy();
    expect(screen.getAllByRole('heading', { level: 2 })[0]?.textContent).toContain('bonus check');
    const cells = (label: string) =>
      [...(screen.getByText(label).closest('tr') as HTMLTableRowElement).cells].map((cell) => cell.textContent);
    expect(cells('Federal income tax')).toEqual(['Federal income tax', '200.00', '201.50', '1.50']);
    expect(cells('Disability')).toEqual(['Disability', '', '0.60', '']);
    fireEvent.click(screen.getByRole('button', { name: 'agree to what moved' }));
    await waitFor(() => expect(changes()).toEqual(['POST /api/proofs/r2/accept ']));
  });
  it('loses one that no longer serves', async () => {
    show([proof({})], { 'POST /api/proofs/r1/withdraw': { status: 204, body: null } });
    fireEvent.click(await screen.findByRole('button', { name: 'take it out of the set' }));
    await waitFor(() => expect(changes()).toEqual(['POST /api/proofs/r1/withdraw ']));
  });
});
