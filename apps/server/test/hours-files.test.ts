import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let payrollId: string;

const DAYS = { periodStart: '2026-10-11', periodEnd: '2026-10-24', checkDate: '2026-10-30' };
interface View {
  readonly columns: string[];
  readonly rows: { row: number; problems: { code: string }[] }[];
  readonly wrong: number;
  readonly people: number;
  readonly missing: string[];
  readonly unknownCodes: string[];
  readonly totals: { label: string; file: string; taken: string }[];
  readonly isTaken: boolean;
}
interface Person {
  readonly isPaid: boolean;
  readonly earnings: { item: string; hours?: string; rate?: string; amount?: string }[];
}
const file = (lines: readonly string[]): string => Buffer.from(lines.join('\n')).toString('base64');
const payroll = async () =>
  (await preparer('GET', `/payrolls/${payrollId}`)).body as unknown as { version: number; persons: Person[] };
const send = async (lines: readonly string[], more: object = {}, version?: number) =>
  preparer('POST', `/payrolls/${payrollId}/hours-file`, {
    fileName: 'clock.csv',
    content: file(lines),
    version: version ?? (await payroll()).version,
    isTaken: false,
    ...more,
  });

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  client = await takeOn(preparer, 'YARD', 3);
  payrollId = String((await preparer('POST', `/clients/${client.id}/payrolls`, { ...DAYS, kind: 'regular' })).body.id);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const LINES = [
  'Clock export',
  'Emp #,Employee,Reg,OT,Zone',
  '1,,76:30,,A',
  ',"SpragueB, Wil",80,3.25,A',
  '9,Nobody,8,,A',
];

describe('a file of hours', () => {
  it('is shown row by row with its totals, and changes nothing', async () => {
    const before = await payroll();
    const { status, body } = await send(LINES);
    const view = body as unknown as View;
    expect([status, view.columns, view.people, view.wrong]).toEqual([
      200,
      ['number', 'name', 'hours:regular', 'hours:overtime', ''],
      2,
      1,
    ]);
    expect(view.rows[0]).toMatchObject({ row: 5, problems: [{ code: 'hours-file.unknown-person' }] });
    expect(view.totals.map(({ label, file: all, taken }) => `${label} ${all} ${taken}`)).toEqual([
      'Regular 164.5 156.5',
      'Overtime 3.25 3.25',
    ]);
    expect(view.missing.length).toBe(1);
    expect(await payroll()).toEqual(before);
  });
  it('taken, stands in the payroll with the rates that were there; twice changes nothing more', async () => {
    expect(((await send(LINES, { isTaken: true })).body as unknown as View).isTaken).toBe(true);
    const once = (await payroll()).persons;
    expect(once.map(({ earnings }) => earnings)).toEqual([
      [{ item: 'regular', hours: '76.5', rate: '31.40' }],
      [
        { item: 'regular', hours: '80', rate: '31.40' },
        { item: 'overtime', hours: '3.25', rate: '31.40' },
      ],
      [{ item: 'regular', hours: '80', rate: '31.40' }],
    ]);
    await send(LINES, { isTaken: true });
    expect((await payroll()).persons.map(({ earnings }) => earnings)).toEqual(once.map(({ earnings }) => earnings));
  });
  it('is not taken over what somebody else saved meanwhile', async () => {
    const { version } = await payroll();
    expect((await send(LINES, { isTaken: true }, version)).status).toBe(200);
    const late = await send(LINES, { isTaken: true }, version);
    expect([late.status, late.body.detail]).toEqual([409, expect.stringMatching(/meanwhile/)]);
  });
  it('asks for a pay code once, and remembers it with the columns', async () => {
    const lines = ['Who,Code,Hrs', '2,Worked,40', '2,XZ,2'];
    const columns = ['number', 'code', 'hours'];
    const first = (await send(lines, { columns })).body as unknown as View;
    expect([first.unknownCodes, first.wrong]).toEqual([['XZ'], 1]);
    expect((await send(lines, { columns, codes: { XZ: 'holiday' }, isTaken: true })).status).toBe(200);
    const again = (await send(lines)).body as unknown as View;
    expect([again.columns, again.unknownCodes, again.wrong]).toEqual([columns, [], 0]);
    const [, second] = (await payroll()).persons;
    expect(second?.earnings.map(({ item, hours }) => `${item} ${hours ?? ''}`)).toEqual([
      'regular 40',
      'overtime 3.25',
      'holiday 2',
    ]);
  });
  it('of which nothing can be taken, or for a payroll that is not open, is refused', async () => {
    expect((await send(['Name,Reg', 'Nobody,8'], { isTaken: true })).status).toBe(409);
    expect((await send(['Shoe,Size', '1,2'], { isTaken: true })).status).toBe(422);
    expect((await send(['Name,Reg', 'Wil,8'], { columns: ['name'] })).body.problems[0].field).toBe('columns');
    await preparer('POST', `/payrolls/${payrollId}/review`, { version: (await payroll()).version });
    expect((await send(LINES)).status).toBe(409);
  });
});
