import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { SHARED_EIN, Stack, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
/** More than one look works out by itself. */
const CLIENTS = 40;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  for (let index = 0; index < CLIENTS; index += 1) {
    const made = await preparer('POST', '/clients', {
      key: `YARD${index}`,
      legalName: `Yard ${index} Inc`,
      ...{ tradeName: '', ein: '471234561', nameControl: 'YARD', street: '3 Slipway', city: 'Saltmarsh', state: 'NY' },
      ...{ zip: '13999', phone: '3155550121', email: 'office@yard.example', contactName: 'Ruth', signerName: 'Ruth' },
      ...{ signerTitle: 'President', kindOfEmployer: 'N', payFrequency: 'weekly', ...SHARED_EIN },
      facts: [
        {
          kind: 'schedule',
          from: '2026-01-01',
          value: { frequency: 'weekly', periodEnd: '2026-10-24', daysToCheck: 5, whenClosed: 'before' },
        },
      ],
    });
    if (made.status !== 201) throw new Error(JSON.stringify(made.body));
  }
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('the ladder of many clients that changed', () => {
  it('answers before all of them are worked out, says how many are left, and has them all in the end', async () => {
    const ladder = async () => (await preparer('GET', '/ladder')).body as { count: number; waiting: number };
    const first = await ladder();
    expect(first.waiting).toBe(CLIENTS - 25);
    const last = await until(ladder, ({ waiting }) => waiting === 0);
    expect(last.count).toBeGreaterThan(first.count);
    expect(await ladder()).toEqual(last);
    const stale = (await stack.dataSource.query('SELECT count(*)::int AS count FROM agenda_stale')) as {
      count: number;
    }[];
    expect(stale[0]?.count).toBe(0);
  });
});
