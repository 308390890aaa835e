import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, refusal, serve, startAnew, type Answers } from '../../testing/pages.js';
import { PeopleFilePage } from './people-file.js';

afterEach(startAnew);

const changes = (): string[] => asked.filter((call) => !call.startsWith('GET'));
const wrong = {
  code: 'ssn.length',
  field: 'SSN',
  severity: 'error',
  sentence: 'It has eight digits.',
  fix: 'Give nine.',
  column: 'ssn',
  cell: '8994570',
};
const row = (number: number, more: object = {}) => ({
  row: number,
  number: String(100 + number),
  name: `Person ${number}`,
  isWrong: false,
  says: ['20.00 an hour', 'works in NY'],
  problems: [],
  ...more,
});
const file = (more: object = {}) => ({
  id: 'i1',
  clientId: 'c1',
  fileName: 'people.csv',
  status: 'previewed',
  by: 'Tobias Renn',
  at: '2026-10-22T10:00:00Z',
  version: 3,
  people: 2,
  wrong: 0,
  headings: ['Nr', 'Surname'],
  mapping: ['number', 'lastName'],
  headingRow: 1,
  above: [],
  skipped: [],
  columns: [
    { name: 'number', label: 'Number' },
    { name: 'lastName', label: 'Last name' },
  ],
  problems: [],
  rows: [row(2), row(3)],
  ...more,
});
const show = (body: object, answers: Answers = {}): void => {
  serve({ 'GET /api/people-files/i1': { body }, ...answers });
  open('/people-files/i1', <Route path="/people-files/:fileId" element={<PeopleFilePage />} />);
};
const button = (name: string): HTMLButtonElement => screen.getByRole<HTMLButtonElement>('button', { name });

describe('a file of people', () => {
  it('that is sound takes on all of them at once', async () => {
    show(file(), { 'POST /api/people-files/i1/accept': { status: 204, body: null } });
    expect(await screen.findByText('2 employees in the file, every row can be imported.')).toBeTruthy();
    expect(screen.getAllByText('20.00 an hour · works in NY')).toHaveLength(2);
    fireEvent.click(button('Import all 2'));
    await waitFor(() => expect(changes()).toEqual(['POST /api/people-files/i1/accept {"version":3}']));
  });
  it('with a wrong row takes on nobody, and shows the wrong ones first', async () => {
    show(file({ wrong: 1, rows: [row(2), row(3, { isWrong: true, says: [], problems: [wrong] })] }));
    expect(await screen.findByText('2 employees in the file, 1 of them cannot be imported yet.')).toBeTruthy();
    expect(button('Import all 2').disabled).toBe(true);
    expect(screen.getByText('SSN: It has eight digits. Give nine.')).toBeTruthy();
    expect(screen.queryByText('Person 2')).toBeNull();
    fireEvent.click(button('show every row'));
    expect(screen.getByText('Person 2')).toBeTruthy();
  });
  it('says what is wrong with the file as a whole', async () => {
    show(
      file({ problems: [{ ...wrong, field: 'file', sentence: 'No column is the last name.', fix: 'Choose one.' }] }),
    );
    expect(await screen.findByText(/No column is the last name/)).toBeTruthy();
    expect(button('Import all 2').disabled).toBe(true);
  });
  it('has its columns chosen anew', async () => {
    show(file(), { 'PUT /api/people-files/i1/mapping': { body: file() } });
    const surname = await screen.findByLabelText(/Surname/);
    // Passing another column on the way is not kept.
    fireEvent.change(surname, { target: { value: 'number' } });
    fireEvent.change(surname, { target: { value: '' } });
    fireEvent.blur(surname);
    await waitFor(() =>
      expect(changes()).toEqual(['PUT /api/people-files/i1/mapping {"version":3,"mapping":["",""]}']),
    );
  });
  it('has a wrong cell corrected where it stands, a row skipped, and a skipped one taken', async () => {
    show(
      file({
        wrong: 1,
        rows: [row(3, { isWrong: true, problems: [wrong] })],
        skipped: [{ row: 9, text: 'Total · 9' }],
      }),
      {
        'PUT /api/people-files/i1/cell': { body: file() },
        'PUT /api/people-files/i1/skip': { body: file() },
      },
    );
    expect(await screen.findByText('Person 3')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('SSN, row 3'), { target: { value: '899-45-7012' } });
    fireEvent.click(button('Correct'));
    await waitFor(() =>
      expect(changes()).toEqual([
        'PUT /api/people-files/i1/cell {"version":3,"row":3,"column":"ssn","value":"899-45-7012"}',
      ]),
    );
    startAnew();
    show(file({ skipped: [{ row: 9, text: 'Total · 9' }] }), { 'PUT /api/people-files/i1/skip': { body: file() } });
    fireEvent.click(await screen.findByRole('button', { name: 'skip row 2' }));
    await waitFor(() => expect(changes()).toHaveLength(1));
    startAnew();
    show(file({ skipped: [{ row: 9, text: 'Total · 9' }] }), { 'PUT /api/people-files/i1/skip': { body: file() } });
    expect(await screen.findByText(/Row 9 is skipped: Total · 9/)).toBeTruthy();
    fireEvent.click(button('take it'));
    await waitFor(() =>
      expect(changes()).toEqual(['PUT /api/people-files/i1/skip {"version":3,"row":9,"isSkipped":false}']),
    );
  });
  it('says in which row the headings are, what stands above, and has another row chosen', async () => {
    show(file({ headingRow: 3, above: ['Harbor Signs LLC', '10/22/2026'] }), {
      'PUT /api/people-files/i1/heading': { body: file() },
    });
    expect(await screen.findByText(/Harbor Signs LLC \/ 10\/22\/2026/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Headings are in row'), { target: { value: '2' } });
    await waitFor(() => expect(changes()).toEqual(['PUT /api/people-files/i1/heading {"version":3,"row":2}']));
  });
  it('of very many rows says how many are shown', async () => {
    show(file({ people: 5000 }));
    expect(await screen.findByText('2 of 5000 rows are shown; every one of them is checked.')).toBeTruthy();
  });
  it('can be put away, or taken back as a whole', async () => {
    show(file(), { 'POST /api/people-files/i1/discard': { status: 204, body: null } });
    fireEvent.click(await screen.findByRole('button', { name: 'cancel the import' }));
    await waitFor(() => expect(changes()).toEqual(['POST /api/people-files/i1/discard {"version":3}']));
    startAnew();
    show(file({ status: 'accepted' }), {
      'POST /api/people-files/i1/undo': refusal(409, 'One of them was paid on 30 October.'),
    });
    fireEvent.click(await screen.findByRole('button', { name: 'undo the import' }));
    expect(await screen.findByText(/One of them was paid on 30 October/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Import all/ })).toBeNull();
  });
});
