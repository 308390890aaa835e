import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { ofClient } from '../../testing/client-pages.js';
import { asked, open, refusal, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import { NewClientPage } from './new-client.js';
import { QuickEntry } from './quick-entry.js';

afterEach(startAnew);

/** Said below the field it is about, not only in the note. */
const AT_FIELD = { selector: '.mantine-InputWrapper-error' };
const type = (label: string | RegExp, value: string): void =>
  void fireEvent.change(screen.getByLabelText(label), { target: { value } });
const posted = (): Record<string, unknown>[] =>
  asked
    .filter((call) => call.startsWith('POST'))
    .map((call) => JSON.parse(call.replace(/^POST \S+ /, '')) as Record<string, unknown>);
const where = (): string => screen.getAllByRole('status').at(-1)?.textContent ?? '';

describe('taking on a client', () => {
  const CREATE = 'POST /api/clients';
  const show = async (answers: Answers = {}): Promise<void> => {
    serve({
      'GET /api/session': { body: session },
      'GET /api/clients': { body: { rows: [{ id: 'c7', legalName: 'Rising Tide Bakery' }], total: 1 } },
      ...answers,
    });
    open('/clients/new', <Route path="/clients/new" element={<NewClientPage />} />);
    await screen.findByRole('option', { name: 'Rising Tide Bakery' });
  };
  const take = (): void => void fireEvent.click(screen.getByRole('button', { name: /^Add (client|employee)$/ }));

  it('asks for no more than the legal name, and proposes key and name control from it', async () => {
    await show({ [CREATE]: { status: 201, body: { id: 'c9' } } });
    type(/^Legal name/, 'The Gannet Boatyard Inc');
    expect(screen.getByText('Blank: GANNET')).toBeTruthy();
    expect(screen.getByText(/^Blank: GANN, from the legal name/)).toBeTruthy();
    take();
    await waitFor(() => expect(where()).toBe('/clients/c9/people'));
    expect(posted()[0]).toMatchObject({
      legalName: 'The Gannet Boatyard Inc',
      key: 'GANNET',
      startFrom: 'defaults',
      facts: [],
    });
  });
  it('takes the rules of another client, and a schedule of its own', async () => {
    await show({ [CREATE]: { status: 201, body: { id: 'c9' } } });
    type(/^Legal name/, 'Low Tide Clinic');
    type('Copy setup from', 'c7');
    type('Pay frequency', 'weekly');
    type('Period end date', '2026-10-17');
    take();
    await waitFor(() => expect(posted()).toHaveLength(1));
    expect(posted()[0]).toMatchObject({
      startFrom: 'c7',
      facts: [{ kind: 'schedule', from: '2026-01-01', value: { frequency: 'weekly', periodEnd: '2026-10-17' } }],
    });
  });
  it('says what is wrong with a schedule at its field, and asks the server nothing', async () => {
    await show();
    type(/^Legal name/, 'Low Tide Clinic');
    type('Pay frequency', 'weekly');
    take();
    expect((await screen.findAllByText(/is missing/, AT_FIELD)).length).toBeGreaterThan(0);
    expect(posted()).toEqual([]);
  });
  it('keeps what was typed when the server refuses, with the sentence at the field', async () => {
    await show({
      [CREATE]: refusal(422, 'Something is wrong.', [
        { code: 'key.taken', field: 'key', severity: 'error', sentence: 'GANNET is taken.', fix: 'Choose another.' },
      ]),
    });
    type(/^Legal name/, 'Gannet Boatyard');
    take();
    expect(await screen.findByText('GANNET is taken. Choose another.', AT_FIELD)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>(/^Legal name/).value).toBe('Gannet Boatyard');
    startAnewButKeep();
    await show();
    expect(screen.getByLabelText<HTMLInputElement>(/^Legal name/).value).toBe('Gannet Boatyard');
    fireEvent.click(screen.getByRole('button', { name: 'clear' }));
    expect(screen.getByLabelText<HTMLInputElement>(/^Legal name/).value).toBe('');
  });
});

/** The page is left and come back to. */
function startAnewButKeep(): void {
  const kept = { ...sessionStorage };
  const local = { ...localStorage };
  startAnew();
  for (const [key, value] of Object.entries(kept)) sessionStorage.setItem(key, String(value));
  for (const [key, value] of Object.entries(local)) localStorage.setItem(key, String(value));
}

describe('a line that takes on a person', () => {
  const CREATE = 'POST /api/clients/c1/employees';
  const show = (answers: Answers = {}, state = 'NY'): void => {
    serve({ 'GET /api/session': { body: session }, ...answers });
    const client = { ...ofClient, state } as unknown as Schemas['ClientView'];
    open('/', <Route path="/" element={<QuickEntry client={client} nextNumber="103" />} />);
  };
  const fill = (): void => {
    type('Last name', 'Ferreday');
    type('First name', 'Calla');
    type('SSN', '899-34-5603');
    type('Hire date', '1/5/2026');
  };
  const take = (): void => void fireEvent.click(screen.getByRole('button', { name: /^Add (client|employee)$/ }));

  it('makes the record with the next number, a day as it is written here, and a place in the state of the client', async () => {
    show({ [CREATE]: { status: 201, body: { id: 'e9', warnings: [] } } });
    fill();
    take();
    expect(await screen.findByText(/Calla Ferreday is added/)).toBeTruthy();
    expect(posted()[0]).toMatchObject({
      number: '103',
      hiredOn: '2026-01-05',
      bornOn: null,
      facts: [{ kind: 'place', from: '2026-01-05', value: { work: 'NY', residence: 'NY' } }],
    });
    // The line is free for the next one.
    expect(screen.getByLabelText<HTMLInputElement>('Last name').value).toBe('');
    expect(screen.getByRole('link', { name: /trial paycheck/ }).getAttribute('href')).toBe('/employees/e9');
  });
  it('takes an address in two lines, a state by its name, and a number that is applied for', async () => {
    show({ [CREATE]: { status: 201, body: { id: 'e9', warnings: [] } } });
    fill();
    type('SSN', 'applied for');
    type('Street', '1425 North Delaware Avenue');
    // A blank that is typed stays: the next word follows it.
    type('Street', '1425 ');
    expect(screen.getByLabelText<HTMLInputElement>('Street').value).toBe('1425 ');
    type('Street', '1425 North Delaware Avenue');
    type('Apartment, suite', 'Suite ');
    expect(screen.getByLabelText<HTMLInputElement>('Apartment, suite').value).toBe('Suite ');
    type('Apartment, suite', 'Suite 200');
    type('City', 'Philadelphia');
    type('State', 'pennsylvania');
    type('ZIP', '19148-1234');
    take();
    await waitFor(() => expect(posted()).toHaveLength(1));
    expect(posted()[0]).toMatchObject({
      ssn: 'applied for',
      street: '1425 North Delaware Avenue\nSuite 200',
      city: 'Philadelphia',
      state: 'PA',
      zip: '19148',
      facts: [{ value: { work: 'NY', residence: 'PA' } }],
    });
    expect(await screen.findByText(/work taken to be in NY and home in PA/)).toBeTruthy();
  });
  it('a contractor, and a person of a client without a state, get no place', async () => {
    show({ [CREATE]: { status: 201, body: { id: 'e9', warnings: [] } } });
    fill();
    type('Worker type', 'contractor');
    take();
    await waitFor(() => expect(posted()).toHaveLength(1));
    expect(posted()[0]).toMatchObject({ kind: 'contractor', facts: [] });
    startAnew();
    show({ [CREATE]: { status: 201, body: { id: 'e9', warnings: [] } } }, '');
    fill();
    take();
    await waitFor(() => expect(posted()).toHaveLength(1));
    expect(posted()[0]?.['facts']).toEqual([]);
  });
  it('says at once that a social security number cannot be one', () => {
    show();
    type('SSN', '000-12-3456');
    expect(screen.getByText(/begin/i)).toBeTruthy();
    type('SSN', '000-12-3');
    expect(screen.queryByText(/begin/i)).toBeNull();
  });
  it('keeps the line when it is refused, with the sentence at its field', async () => {
    show({
      [CREATE]: refusal(422, 'Something is wrong.', [
        { code: 'number.taken', field: 'number', severity: 'error', sentence: '103 is taken.', fix: 'Take another.' },
      ]),
    });
    fill();
    take();
    expect(await screen.findByText('103 is taken. Take another.', AT_FIELD)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Last name').value).toBe('Ferreday');
  });
  it('shows what is worth a look of somebody who was taken on', async () => {
    const warning = {
      code: 'w',
      field: 'ssn',
      severity: 'warning',
      sentence: 'The number is in use.',
      fix: 'Compare.',
    };
    show({ [CREATE]: { status: 201, body: { id: 'e9', warnings: [warning] } } });
    fill();
    take();
    expect(await screen.findByText(/The number is in use/)).toBeTruthy();
  });
});
