import { expect, it } from '@jest/globals';
import { cents } from '../money/cents.js';
import type { ReturnLine } from './return-lines.js';
import { ALLOCATED, allocation } from './us-schedule-r.js';

const line = (id: string, value: number): ReturnLine => ({
  id,
  label: '',
  value: cents(value),
  kind: id === '1' ? 'count' : 'amount',
  entries: null,
  working: [],
});

// Schedule R (Form 941), recalled: a row a client, and the aggregate return of the agent is their sum.
it('allocates an aggregate Form 941 to the clients of an agent, in the order of their EINs', () => {
  const { rows, totals } = allocation([
    { ein: '479000002', name: 'Second', lines: [line('1', 3), line('2', 90_000), line('3', 7000), line('5e', 13_770), line('12', 20_770), line('13', 20_770)] }, // prettier-ignore
    { ein: '479000001', name: 'First', lines: [line('1', 1), line('2', 10_000), line('3', 500), line('5e', 1530), line('12', 2030)] }, // prettier-ignore
  ]);
  expect(rows.map(({ name }) => name)).toEqual(['First', 'Second']);
  expect(rows[0]?.amounts).toEqual([1, 10_000, 500, 1530, 0, 0, 2030, 0]);
  expect(totals).toEqual([4, 100_000, 7500, 15_300, 0, 0, 22_800, 20_770]);
  expect(totals).toHaveLength(ALLOCATED.length);
});
