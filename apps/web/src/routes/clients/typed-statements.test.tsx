import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { inClient, ofClient } from '../../testing/client-pages.js';
import { asked, open, refusal, serve, session, startAnew, type Answers } from '../../testing/pages.js';
import { FiledElsewhere } from './filed-elsewhere.js';
import { readOthers } from './typed-statements.js';

afterEach(startAnew);

describe('other boxes in one text', () => {
  it('are read with their amounts, and what is none is given back', () =>
    expect(readOthers('12 D $500.00; 16 NY 48,200.00 ;18  Kansas City 12; 14 tips; ')).toEqual({
      boxes: [
        { box: '12 D', amount: 50_000 },
        { box: '16 NY', amount: 4_820_000 },
        { box: '18 Kansas City', amount: 1_200 },
      ],
      unread: ['14 tips'],
    }));
});

describe('statements that somebody else filed', () => {
  const KEEP = 'POST /api/clients/c1/filed-statements';
  const kept = (): string[] => asked.filter((call) => call.startsWith(KEEP));
  const show = async (answer: Answers[string]): Promise<void> => {
    serve({
      'GET /api/session': { body: session },
      'GET /api/clients/c1': { body: ofClient },
      'GET /api/clients/c1/employees': {
        body: {
          rows: [
            {
              id: 'e1',
              number: '1',
              name: 'Quay, Rosalind',
              ssnTail: '3401',
              workState: 'NY',
              paySentence: '',
              kind: 'employee',
            },
          ],
          more: 0,
          total: 1,
        },
      },
      [KEEP]: answer,
    });
    open('/clients/c1/filed', inClient(<FiledElsewhere clientId="c1" />));
    fireEvent.click(await screen.findByRole('button', { name: 'type what was filed' }));
    await screen.findByRole('option', { name: 'Quay, Rosalind' });
    fireEvent.change(screen.getByLabelText('Tax year'), { target: { value: '2025' } });
    fireEvent.change(screen.getByLabelText('Typed from'), { target: { value: 'Copy C' } });
    fireEvent.change(screen.getByLabelText('Employee'), { target: { value: 'e1' } });
    fireEvent.change(screen.getByLabelText('Box 1'), { target: { value: '48,200' } });
    fireEvent.blur(screen.getByLabelText('Box 1'));
  };

  it('are kept as typed, each box with its amount', async () => {
    await show({ status: 201, body: { id: 'f1', year: 2025, statements: 1, strangers: [], stateRecords: 0 } });
    fireEvent.change(screen.getByLabelText('Other boxes'), { target: { value: '12 D' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep as filed' }));
    expect(screen.getByText(/is no box with an amount/)).toBeDefined();
    expect(kept()).toEqual([]);
    fireEvent.change(screen.getByLabelText('Other boxes'), { target: { value: '12 D 500.00' } });
    fireEvent.change(screen.getByLabelText('Box 2'), { target: { value: 'some' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep as filed' }));
    expect(screen.getByText('Write it like 1234.56.')).toBeDefined();
    expect(kept()).toEqual([]);
    fireEvent.change(screen.getByLabelText('Box 2'), { target: { value: '' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep as filed' }));
    await screen.findByRole('link', { name: 'Forms W-2 of 2025, 1 statement' });
    expect(kept()).toEqual([
      `${KEEP} ${JSON.stringify({
        year: 2025,
        source: 'Copy C',
        statements: [
          {
            employeeId: 'e1',
            boxes: [
              { box: '1', amount: 4_820_000 },
              { box: '12 D', amount: 50_000 },
            ],
          },
        ],
      })}`,
    ]);
  });
  it('stay in the form when they are refused', async () => {
    await show(refusal(409, 'Forms W-2 of 2025 are here already.'));
    fireEvent.click(screen.getByRole('button', { name: 'Keep as filed' }));
    await waitFor(() => expect(screen.getByText(/are here already/)).toBeDefined());
    expect(screen.getByLabelText<HTMLInputElement>('Typed from').value).toBe('Copy C');
  });
});
