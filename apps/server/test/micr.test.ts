import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { MICR_CHARACTERS } from '@zakat/core/micr/line';
import { checkPage, type CheckSheet } from '../src/modules/checks/check-page.js';
import { measured } from '../src/modules/checks/measured-typeface.js';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';
import { boxTypeface } from './typeface.js';

const TYPEFACE = boxTypeface(MICR_CHARACTERS.join(''));
const FIRST = { periodStart: '2026-10-11', periodEnd: '2026-10-24', checkDate: '2026-10-30' };

let stack: Stack;
let preparer: Caller;
let administrator: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let payrollId: string;
let bankAccountId: string;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  administrator = await stack.signIn('Alder', 'administrator');
  client = await takeOn(preparer, 'PAPER', 1);
  payrollId = await postPayroll(preparer, client.id, FIRST);
  const { bankAccounts } = (await preparer('GET', `/clients/${client.id}`)).body as { bankAccounts: { id: string }[] };
  bankAccountId = bankAccounts[0]?.id ?? '';
  const blank = await preparer('POST', `/clients/${client.id}/facts`, {
    kind: 'checks',
    from: '2026-01-01',
    value: { nextNumber: 1001, layout: 'top', stock: 'blank' },
  });
  expect([blank.status, blank.body.detail]).toEqual([201, undefined]);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const save = (caller: Caller, bytes: Buffer) =>
  caller('PUT', '/micr-typeface', { name: 'boxes.ttf', content: bytes.toString('base64') });
const print = async () => {
  const { toMake } = (await preparer('GET', `/payrolls/${payrollId}/checks`)).body as {
    toMake: { paycheckId: string }[];
  };
  return preparer('POST', `/payrolls/${payrollId}/checks`, {
    bankAccountId,
    firstNumber: 1001,
    paycheckIds: toMake.map(({ paycheckId }) => paycheckId),
    position: 'top',
  });
};

describe('a typeface of magnetic ink', () => {
  it('is measured as the file has it', () => {
    const font = measured(TYPEFACE);
    expect([font?.unitsPerEm, font?.glyphOf('8')]).toEqual([1000, { advance: 125, width: 91, height: 117, foot: 0 }]);
    expect(font?.glyphOf('x')).toBeNull();
    expect(measured(Buffer.from('no typeface'))).toBeNull();
  });
  it.each([
    ['no typeface', Buffer.from('%PDF-1.7 is none'), /no typeface/],
    ['too few characters', boxTypeface('0123456789'), /has no ⑆/],
    ['other heights', boxTypeface(MICR_CHARACTERS.join(''), (one) => (one === '8' ? 130 : 117)), /8 is 0\.130 inch/],
  ])('with %s is refused, and the field named', async (_what, bytes, words) => {
    const answer = await save(administrator, bytes);
    expect([answer.status, answer.body.problems[0].field]).toEqual([422, 'file']);
    expect(answer.body.problems[0].sentence).toMatch(words);
  });
  it('is an administrator’s to keep', async () => expect((await save(preparer, TYPEFACE)).status).toBe(403));
});

describe('checks on blank stock', () => {
  it('wait for a typeface, then for the bank’s test of a sample', async () => {
    expect((await print()).body.problems[0]).toMatchObject({ field: 'stock' });
    const early = await administrator('PUT', `/bank-accounts/${bankAccountId}/micr-test`, { testedOn: '2026-10-20' });
    expect([early.status, early.body.problems[0].field]).toEqual([422, 'testedOn']);
    expect((await save(administrator, TYPEFACE)).body).toEqual({ name: 'boxes.ttf', size: '72' });
    const untested = await print();
    expect([untested.status, untested.body.problems[0].sentence]).toEqual([
      422,
      expect.stringContaining('Nobody has said'),
    ]);
    const later = await administrator('PUT', `/bank-accounts/${bankAccountId}/micr-test`, { testedOn: '2026-12-20' });
    expect([later.status, later.body.problems[0].field]).toEqual([422, 'testedOn']);
    const tested = await administrator('PUT', `/bank-accounts/${bankAccountId}/micr-test`, { testedOn: '2026-10-20' });
    expect(tested.status).toBe(204);
    expect((await print()).status).toBe(200);
  });
  it('carry the typeface', async () => {
    const { checks } = (await preparer('GET', `/payrolls/${payrollId}/checks`)).body as { checks: { id: string }[] };
    const image = await preparer('GET', `/checks/${checks[0]?.id ?? ''}/image.pdf`);
    const pdf = Buffer.isBuffer(image.body) ? image.body.toString('latin1') : String(image.body);
    expect(pdf.startsWith('%PDF')).toBe(true);
    expect(pdf).toContain('FontFile2');
  });
  it('with another typeface wait for another test', async () => {
    await save(administrator, TYPEFACE);
    const { bankAccounts } = (await preparer('GET', `/clients/${client.id}`)).body as {
      bankAccounts: { micrTestedOn: string | null }[];
    };
    expect(bankAccounts[0]?.micrTestedOn).toBeNull();
    expect((await administrator('DELETE', '/micr-typeface')).body).toEqual({ name: null, size: null });
  });
});

// Clear band and foot of the line: ANSI X9.100-160, recalled.
describe('a check page', () => {
  const nothing = { label: '', amount: 0, toDate: 0 } as CheckSheet['gross'];
  const sheet: CheckSheet = {
    layout: 'middle',
    isSample: false,
    client: { name: 'Client', street: '1 Quay\nUnit 2', place: 'Harbor, WA 98000' },
    bankName: 'Bank',
    number: '1001',
    checkDate: '10/30/2026',
    period: '10/11/2026 to 10/24/2026',
    memo: 'pay of the period',
    payee: { name: 'Somebody', street: '2 Quay', place: 'Harbor, WA 98000' },
    earnings: [],
    taxes: [],
    deductions: [],
    gross: nothing,
    net: nothing,
    amount: 100 as CheckSheet['amount'],
    micr: { typeface: TYPEFACE, size: 72, cells: [{ cell: 14, written: 'C' }, { cell: 33, written: 'A' }] }, // prettier-ignore
  };
  const page = checkPage(sheet);
  it('prints nothing but magnetic ink in the five eighths of an inch at its foot', () => {
    const band = [page.check.y + page.check.height - 45, page.check.y + page.check.height] as const;
    const isInside = (from: number, to: number): boolean => to > band[0] && from < band[1];
    expect(page.texts.filter(({ y, size }) => isInside(y, y + size))).toEqual([]);
    expect(page.rules.filter(({ y }) => isInside(y, y))).toEqual([]);
    expect(isInside(page.signature.y, page.signature.y + page.signature.height)).toBe(false);
  });
  it('has each character in its eighth of an inch, counted from the right edge', () => {
    expect(page.micr.y).toBe(page.check.y + page.check.height - 0.1875 * 72);
    expect(page.micr.characters).toEqual([
      { x: 612 - (5 / 16) * 72 - 14 * 9, written: 'C' },
      { x: 612 - (5 / 16) * 72 - 33 * 9, written: 'A' },
    ]);
  });
});
