import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, takeOn, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  client = await takeOn(preparer, 'INN', 1);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

async function pay(checkDate: string, earnings: Record<string, string>[]): Promise<void> {
  const { id } = (
    await preparer('POST', `/clients/${client.id}/payrolls`, {
      periodStart: '2026-10-11',
      periodEnd: '2026-10-24',
      checkDate,
      kind: 'extra',
    })
  ).body as { id: string };
  const saved = await preparer('PUT', `/payrolls/${id}`, {
    version: 1,
    entries: [{ employeeId: client.employeeIds[0], isPaid: true, earnings, deductions: [] }],
  });
  const reviewed = await preparer('POST', `/payrolls/${id}/review`, { version: saved.body.version });
  expect((await preparer('POST', `/payrolls/${id}/post`, { version: reviewed.body.version })).status).toBe(200);
}

/** Prepares, checks, signs and releases; answers with the filing as the agency left it. */
async function file(body: Record<string, unknown>, isSigned: boolean) {
  const { id } = (await preparer('POST', `/clients/${client.id}/filings`, body)).body as { id: string };
  let { version } = (await preparer('POST', `/filings/${id}/check`, { version: 1 })).body as { version: number };
  if (isSigned)
    ({ version } = (await preparer('POST', `/filings/${id}/sign`, { version, pin: '41873', payment: null })).body);
  expect((await reviewer('POST', `/filings/${id}/release`, { version })).status).toBe(200);
  const { body: filing } = await until(
    () => preparer('GET', `/filings/${id}`),
    (answer) => ['accepted', 'rejected'].includes(answer.body.status as string),
  );
  return filing;
}

describe('tips', () => {
  beforeAll(async () => {
    await pay('2026-10-30', [
      { item: 'regular', hours: '60', rate: '20.00' },
      { item: 'tips-reported', amount: '400.00' },
    ]);
    // Ten hours and much in tips: what the cash does not cover is not collected.
    await pay('2026-11-13', [
      { item: 'regular', hours: '10', rate: '10.00' },
      { item: 'tips-reported', amount: '3000.00' },
    ]);
    await stack.console('date', { today: '2027-01-04' });
  });
  it('stand on lines of their own of Form 941, which the agency takes', async () => {
    const filing = await file({ kind: 'us-941', period: '2026-Q4' }, true);
    const line = (id: string): number =>
      (filing.lines as { id: string; value: number }[]).find((one) => one.id === id)?.value ?? NaN;
    expect([filing.status, line('5a.1'), line('5b.1')]).toEqual(['accepted', 130_000, 340_000]);
    // 7.65% of 3,100.00 is 237.15; New York's own deductions leave less than the 100.00 of cash for it.
    expect(line('9')).toBeLessThan(-13_715);
    expect(Math.abs(line('7'))).toBeLessThan(5);
    expect(line('12')).toBe(line('6') + line('7') + line('8') + line('9'));
  });
  it('keep the tie-out of the quarter', async () => {
    const { body } = await preparer('GET', `/clients/${client.id}/tie-out?year=2026&quarter=4`);
    const rows = body.rows as { key: string; differences: { cause: string; to: string }[] }[];
    const returns = rows.flatMap((row) => row.differences.filter((difference) => difference.to === 'returns'));
    expect(returns.every((difference) => difference.cause === 'rounding')).toBe(true);
  });
  it('are box 7 of Form W-2, and not in box 3', async () => {
    const { id } = (await preparer('POST', `/clients/${client.id}/filings`, { kind: 'us-w2', period: '2026' })).body;
    const filing = (await preparer('GET', `/filings/${String(id)}`)).body;
    expect(filing.w2s.rows[0]).toMatchObject({ box3: 130_000, box7: 340_000, box5: 470_000 });
  });
});
