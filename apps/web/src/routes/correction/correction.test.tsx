import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { asked, open, refusal, serve, startAnew } from '../../testing/pages.js';
import { CorrectionCases } from '../clients/correction-cases.js';
import { CorrectionPage } from './correction.js';

afterEach(startAnew);

const row = (id: string, more: Partial<Schemas['ConsequenceView']> = {}): Schemas['ConsequenceView'] => ({
  id,
  kind: 'return',
  title: `Form ${id}`,
  amount: 62_298,
  due: '2026-04-30',
  path: `/filings/${id}`,
  status: 'open',
  why: '',
  isDerived: true,
  settledBy: null,
  settledAt: null,
  ...more,
});
const caseOf = (consequences: Schemas['ConsequenceView'][], more: Partial<Schemas['CorrectionCase']> = {}) => ({
  id: 'k1',
  clientId: 'c1',
  clientName: 'Gannet',
  what: 'A payroll was left out',
  since: '2025-12-26',
  foundOn: '2026-01-12',
  foundBy: 'client',
  evidence: 'E-mail of January 9',
  status: 'open',
  version: 3,
  openedBy: 'Tobias Renn',
  ended: '',
  consequences,
  ...more,
});
const show = (consequences: Schemas['ConsequenceView'][], answers: Parameters<typeof serve>[0] = {}) => {
  serve({ 'GET /api/correction-cases/k1': { body: caseOf(consequences) }, ...answers });
  open('/corrections/k1', <Route path="/corrections/:caseId" element={<CorrectionPage />} />);
};
const sent = (): string[] => asked.filter((one) => one.startsWith('POST'));

describe('the page of a correction', () => {
  it('says what was wrong, since when and found how, and what is left', async () => {
    show([row('a'), row('b', { status: 'done', why: 'It agrees.' })]);
    expect(await screen.findByRole('heading', { name: 'A payroll was left out' })).toBeTruthy();
    expect(screen.getByText('1 of 2 left')).toBeTruthy();
    expect(screen.getByText('Form a').getAttribute('href')).toBe('/filings/a');
    expect(screen.getByText('It agrees.')).toBeTruthy();
    expect(screen.getByText(/Evidence: E-mail of January 9/)).toBeTruthy();
  });
  it('refuses what follows from the records with a reason; what is put down by hand is done or refused', async () => {
    show([row('a'), row('b', { kind: 'letter', title: 'A letter', isDerived: false, path: '' })], {
      'POST /api/correction-cases/k1/consequences/b': { body: caseOf([]) },
    });
    fireEvent.click(await screen.findByRole('button', { name: 'settle: Form a' }));
    expect(screen.queryByRole('button', { name: 'it is done' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'cancel' }));
    fireEvent.click(screen.getByRole('button', { name: 'settle: A letter' }));
    fireEvent.change(screen.getByLabelText('How it was done, or why it is not'), { target: { value: 'By mail' } });
    fireEvent.click(screen.getByRole('button', { name: 'it is done' }));
    await waitFor(() =>
      expect(sent()).toEqual(['POST /api/correction-cases/k1/consequences/b {"status":"done","why":"By mail"}']),
    );
  });
  it('a refusal to close stands where it was asked', async () => {
    show([row('a')], { 'POST /api/correction-cases/k1/close': refusal(409, 'One consequence is not done: Form a.') });
    fireEvent.click(await screen.findByRole('button', { name: 'Close the correction' }));
    expect(await screen.findByText(/One consequence is not done/)).toBeTruthy();
  });
});

it('a correction is opened from the client’s returns', async () => {
  serve({
    'GET /api/clients/c1/correction-cases': { body: [] },
    'POST /api/clients/c1/correction-cases': { status: 201, body: { id: 'k9', warnings: [] } },
  });
  open('/', <Route path="/" element={<CorrectionCases clientId="c1" />} />);
  fireEvent.click(await screen.findByRole('button', { name: 'open a correction' }));
  fireEvent.change(screen.getByLabelText('What was wrong'), { target: { value: 'Wrong rate' } });
  fireEvent.change(screen.getByLabelText('Since'), { target: { value: '01/02/2026' } });
  fireEvent.blur(screen.getByLabelText('Since'));
  fireEvent.click(screen.getByRole('button', { name: 'Open the correction' }));
  await waitFor(() =>
    expect(sent()).toEqual([
      'POST /api/clients/c1/correction-cases {"what":"Wrong rate","since":"2026-01-02","foundBy":"review","evidence":""}',
    ]),
  );
});
