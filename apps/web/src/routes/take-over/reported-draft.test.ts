import { describe, expect, it } from '@jest/globals';
import type { Schemas } from '../../api/client.js';
import { acceptSlip } from './accept-slip.js';
import { distanceOf, draftOf, faultOf, inputsOf } from './reported-draft.js';

const figure = (more: Partial<Schemas['FigureView']> = {}): Schemas['FigureView'] => ({
  quarter: 1,
  code: 'US-941.paid',
  label: 'Form 941 taxes, deposited',
  kind: 'paid',
  balances: 298_900,
  amount: null,
  day: null,
  ...more,
});
const takeOver = (more: Partial<Schemas['TakeOverView']> = {}): Schemas['TakeOverView'] => ({
  id: 'one',
  clientId: 'client',
  year: 2026,
  status: 'open',
  version: 3,
  fileName: 'balances.csv',
  headings: [],
  mapping: [],
  columns: [],
  problems: [],
  rows: 2,
  wrong: 0,
  wrongRows: [],
  days: [{ from: '2026-01-01', day: '2026-03-31', people: 2, gross: 2_600_000, net: 2_100_000 }],
  figures: [figure({ amount: 298_900, day: '2026-04-15' })],
  differences: [],
  tiesOut: true,
  by: 'Tobias',
  at: '2026-10-22T10:00:00Z',
  ...more,
});

describe('figures reported elsewhere', () => {
  it('are sent as whole cents, blank as nothing', () => {
    const figures = [figure({ amount: 298_900, day: '2026-04-15' }), figure({ code: '941.2', kind: 'line' })];
    expect(inputsOf(figures, draftOf(figures))).toEqual([
      { quarter: 1, code: 'US-941.paid', amount: 298_900, day: '2026-04-15' },
      { quarter: 1, code: '941.2', amount: null, day: null },
    ]);
  });
  it.each([
    [{ amount: '1,234.56', day: '' }, null],
    [{ amount: '', day: '2026-04-15' }, null],
    [{ amount: 'some', day: '' }, 'Type an amount, like 1,234.56.'],
    [{ amount: '1.234', day: '' }, 'Type an amount, like 1,234.56.'],
    [{ amount: '1', day: '2026-02-30' }, 'Type month, day and year, like 04/15/2026.'],
  ])('typed as %j', (typed, fault) => expect(faultOf(typed)).toBe(fault));
  it('stand beside what the rows add up to', () => {
    expect(distanceOf(figure(), { amount: '2,989.01', day: '' })).toBe(1);
    expect(distanceOf(figure(), { amount: '', day: '' })).toBeNull();
  });
});

describe('the slip of accepting balances', () => {
  it('adds up what it is about', () =>
    expect(acceptSlip(takeOver(), 'Theatre', true).figures.map((line) => line.value)).toEqual([
      '2',
      '26,000.00',
      '2,989.00',
      'none',
    ]));
  it.each([
    ['a difference is open', { tiesOut: false }, true],
    ['a preparer holds it', {}, false],
  ])('lets nobody accept while %s', (_, more, isSenior) =>
    expect(acceptSlip(takeOver(more), 'Theatre', isSenior).mayRelease).toBe(false),
  );
  it('may be accepted by a reviewer when all ties out', () =>
    expect(acceptSlip(takeOver(), 'Theatre', true).mayRelease).toBe(true));
});
