import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { shiftOf } from '@zakat/core/facts/client-facts';
import { dollars, type Cents } from '@zakat/core/money/cents';
import { CHECK_LAYOUTS, checkPage, fitting, type CheckSheet, type StubLine } from '../src/modules/checks/check-page.js';
import { drawChecks } from '../src/modules/checks/draw-check.js';
import { stubLines } from '../src/modules/checks/stub-lines.js';
import { Stack, takeOn, type Caller } from './stack.js';

const line = (label: string, amount: string, toDate = amount): StubLine => ({
  label,
  amount: dollars(amount),
  toDate: dollars(toDate),
});
const sheet: CheckSheet = {
  layout: 'top',
  isSample: false,
  client: { name: 'Saltmarsh Boatyard Inc', street: '3 Slipway', place: 'Saltmarsh, NY 13999' },
  bankName: 'Harbor Mutual',
  number: '1042',
  checkDate: '2026-10-30',
  period: '2026-10-11 to 2026-10-24',
  memo: 'pay of the period',
  payee: { name: 'Wil Sprague', street: '1 Row', place: 'Saltmarsh, NY 13999' },
  earnings: [{ ...line('Regular', '2512.00', '52752.00'), hours: '80', rate: '31.40' }],
  taxes: [line('Federal income tax', '201.16', '4224.36')],
  deductions: [line('401(k) deferral', '100.00', '2100.00')],
  gross: line('', '2512.00', '52752.00'),
  net: line('', '2210.84', '46427.64'),
  amount: dollars('2210.84'),
};

describe('a page for a printer that prints aside', () => {
  const moved = (more: Partial<CheckSheet>) => checkPage({ ...sheet, ...more });
  it('is moved whole, and torn where the stock is torn', () => {
    const [straight, aside] = [moved({}), moved({ shift: { right: 4.32, down: -2 } })];
    const at = ({ texts, rules }: ReturnType<typeof checkPage>) => [
      ...texts.map(({ x, y }) => [x, y]),
      ...rules.filter(({ isDashed }) => !isDashed).map(({ from, y }) => [from, y]),
    ];
    expect(at(aside)).toEqual(at(straight).map(([x = 0, y = 0]) => [x + 4.32, y - 2]));
    const folds = ({ rules }: ReturnType<typeof checkPage>) => rules.filter(({ isDashed }) => isDashed);
    expect(folds(aside)).toEqual(folds(straight));
  });
  it('has crosses a quarter of an inch from the edges of the check on a sample, and on no check', () => {
    expect(moved({ layout: 'middle', isSample: true }).marks).toEqual([
      { x: 18, y: 288 },
      { x: 594, y: 288 },
      { x: 18, y: 504 },
      { x: 594, y: 504 },
    ]);
    expect(moved({}).marks).toEqual([]);
  });
  it.each([
    ['', 0],
    ['0.06', 0.06],
    ['-.12', -0.12],
    ['0.51', null],
    ['a bit', null],
    ['1/8', null],
  ])('a length of %j is %j inches', (given, inches) => expect(shiftOf(given)).toBe(inches));
});

describe('a page with a check', () => {
  const textsOf = (more: Partial<CheckSheet> = {}) => checkPage({ ...sheet, ...more }).texts;
  it('has amount and words once, on the check, and every line of pay on both stubs', () => {
    const all = textsOf().map(({ text }) => text);
    const count = (text: string): number => all.filter((one) => one === text).length;
    expect(count('Two thousand two hundred ten and 84/100 dollars')).toBe(1);
    expect(count('$ 2,210.84')).toBe(1);
    expect(['Regular  80 × 31.40', 'Federal income tax', '401(k) deferral', '4,224.36', 'Net pay'].map(count)).toEqual([
      2, 2, 2, 2, 2,
    ]);
  });
  it.each([
    ['top', 0, [252, 522]],
    ['middle', 270, [0, 522]],
    ['bottom', 540, [0, 270]],
  ] as const)('of the layout %s: the check from %d on, stubs at %j, each within its part', (layout, top, stubs) => {
    const page = checkPage({ ...sheet, layout });
    expect(page.check).toEqual({ y: top, height: 252 });
    const inside = (from: number, height: number) =>
      page.texts.filter(({ y, size }) => y >= from && y + size <= from + height).map(({ text }) => text);
    expect(inside(top, 252)).toContain('Pay to the order of');
    for (const stub of stubs) expect(inside(stub, 270)).toEqual(expect.arrayContaining(['Gross pay', 'Net pay']));
    expect(inside(top, 252).length + stubs.reduce<number>((sum, stub) => sum + inside(stub, 270).length, 0)).toBe(
      page.texts.length,
    );
  });
  it('keeps every text on the paper', () => {
    for (const layout of CHECK_LAYOUTS)
      for (const { x, y, width, size } of textsOf({ layout }))
        expect([x >= 36 && x + width <= 576, y >= 0 && y + size <= 792]).toEqual([true, true]);
  });
  it('adds up the lines that do not fit, so that no cent is missing', () => {
    const many = Array.from({ length: 16 }, (_, index) => line(`Line ${index}`, `${index}.10`));
    const shown = fitting(many, 13);
    expect([shown.length, shown.at(-1)?.label]).toEqual([13, '4 more lines']);
    const total = (lines: readonly StubLine[]): number => lines.reduce((sum, { amount }) => sum + amount, 0);
    expect(total(shown)).toBe(total(many));
    expect(fitting(many.slice(0, 13), 13)).toHaveLength(13);
  });
  it('is not made for less than nothing', () =>
    expect(() => checkPage({ ...sheet, amount: -1 as Cents })).toThrow(/less than nothing/));
  it('is one page of a PDF', async () => {
    const pdf = (await drawChecks([{ ...sheet, isSample: true }])).toString('latin1');
    expect(pdf.slice(0, 5)).toBe('%PDF-');
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1);
  });
});

describe('the lines of a stub', () => {
  const part = (key: string, amount: string) => ({ key, amount: dollars(amount) });
  const before = new Map([
    ['a', dollars('100.00')],
    ['b', dollars('20.00')],
    ['c', dollars('0.00')],
  ]);
  it('come to the year with what earlier checks had, also where this check has none of it', () => {
    const lines = stubLines([part('a', '10.00'), part('d', '5.00'), part('e', '0.00')], before, (key) =>
      key.toUpperCase(),
    );
    expect(lines).toEqual([line('A', '10.00', '110.00'), line('D', '5.00'), line('B', '0.00', '20.00')]);
  });
  it('of one name have the amount of the year once', () => {
    const lines = stubLines([part('a', '10.00'), part('a', '1.00')], before, (key) => key);
    expect(lines.map(({ amount, toDate }) => [amount, toDate])).toEqual([
      [1000, 11_100],
      [100, 0],
      [0, 2000],
    ]);
  });
});

describe('a sample of a client’s checks', () => {
  let stack: Stack;
  let preparer: Caller;
  beforeAll(async () => {
    stack = await Stack.start();
    await stack.addFirm('Alder');
    preparer = await stack.signIn('Alder', 'preparer');
  }, 60_000);
  afterAll(() => stack.stop(), 30_000);

  it('is there before any check, with or without people, and leaves no trace', async () => {
    const peopled = await takeOn(preparer, 'SAMPLE', 1);
    const empty = await takeOn(preparer, 'EMPTY', 0);
    const counts = async (): Promise<unknown> =>
      stack.dataSource.query(
        'SELECT (SELECT count(*) FROM paycheck) AS checks, (SELECT count(*) FROM audit_entry) AS trail',
      );
    const before = await counts();
    for (const { id } of [peopled, empty])
      for (const layout of CHECK_LAYOUTS) {
        const answer = await preparer('GET', `/clients/${id}/check-sample.pdf?layout=${layout}`);
        expect([answer.status, String(answer.body).slice(0, 5)]).toEqual([200, '%PDF-']);
      }
    expect(await counts()).toEqual(before);
  });
  it('of no known layout is refused with the choices', async () => {
    const { id } = await takeOn(preparer, 'WRONG', 0);
    const answer = await preparer('GET', `/clients/${id}/check-sample.pdf?layout=left`);
    expect([answer.status, JSON.stringify(answer.body)]).toEqual([
      422,
      expect.stringContaining('top, middle or bottom'),
    ]);
  });
});
