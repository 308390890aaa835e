import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { zipSync } from 'fflate';
import writeXlsxFile from 'write-excel-file/node';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let clientId: string;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  clientId = (await takeOn(preparer, 'FILES', 0)).id;
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const HEADINGS = [
  'Last name',
  'First name',
  'SSN',
  'Hired',
  'Born',
  'Hourly rate',
  'W-4 filing status',
  'Street',
  'City',
  'State',
  'ZIP',
];
const row = (index: number, more: Record<number, string> = {}): string[] =>
  [
    'Brine',
    'Ada',
    `89945${1000 + index}`,
    '2024-03-04',
    '1990-02-03',
    '21.50',
    'single',
    `${index} Row`,
    'Saltmarsh',
    'NY',
    '13999',
  ].map((cell, at) => more[at] ?? cell);
const csv = (rows: string[][], headings = HEADINGS): Buffer =>
  Buffer.from([headings, ...rows].map((cells) => cells.join(',')).join('\n'), 'utf8');
const upload = (content: Buffer, fileName = 'people.csv') =>
  preparer('POST', `/clients/${clientId}/people-files`, { fileName, content: content.toString('base64') });
const people = async (): Promise<number> =>
  (await preparer('GET', `/clients/${clientId}/employees`)).body.total as number;

/** Written five hundred to a statement: enough of them to be seen on the way, on a busy machine too. */
const MANY = 1800;

describe('a file of people', () => {
  it('says how far it is while it is taken on, and leaves nothing of that behind', async () => {
    const large = (await takeOn(preparer, 'PROGRESS', 0)).id;
    const content = csv(Array.from({ length: MANY }, (_, index) => row(index)));
    const file = (
      await preparer('POST', `/clients/${large}/people-files`, {
        fileName: 'many.csv',
        content: content.toString('base64'),
      })
    ).body;
    expect(file.wrong).toBe(0);
    const seen: { done: number; total: number }[] = [];
    const state = { isOver: false };
    const accepted = preparer('POST', `/people-files/${file.id}/accept`, { version: file.version }).finally(() => {
      state.isOver = true;
    });
    while (!state.isOver) {
      seen.push((await preparer('GET', `/people-files/${file.id}/progress`)).body as never);
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
    expect((await accepted).status).toBe(200);
    expect(seen.some(({ total }) => total === MANY)).toBe(true);
    expect(seen.every(({ done, total }) => done <= total)).toBe(true);
    expect((await preparer('GET', `/people-files/${file.id}/progress`)).body).toEqual({ done: 0, total: 0 });
    expect((await preparer('GET', `/clients/${large}/employees`)).body.total).toBe(MANY);
  }, 60_000);
  it('is previewed row by row, and taken on all or nobody', async () => {
    const file = (await upload(csv([row(1), row(2, { 2: '900451002' }), row(3)]))).body;
    expect([file.people, file.wrong, file.rows[0].row]).toEqual([3, 1, 3]);
    expect(file.rows[0].problems[0]).toMatchObject({ code: 'ssn.area', field: 'Social security number' });
    const refused = await preparer('POST', `/people-files/${file.id}/accept`, { version: file.version });
    expect([refused.status, refused.body.problems[0].field]).toEqual([422, 'row 3: Social security number']);
    expect(await people()).toBe(0);
    const good = (await upload(csv([row(1), row(2), row(3)]))).body;
    const answers = await Promise.all(
      Array.from({ length: 5 }, () => preparer('POST', `/people-files/${good.id}/accept`, { version: good.version })),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409, 409, 409]);
    expect(await people()).toBe(3);
  });
  it('its first trial paychecks are right at once', async () => {
    const { rows } = (await preparer('GET', `/clients/${clientId}/employees`)).body as {
      rows: { id: string; number: string }[];
    };
    expect(rows.map((one) => one.number)).toEqual(['1', '2', '3']);
    const trial = await preparer('POST', `/clients/${clientId}/trials`, {
      employeeId: rows[0]?.id,
      checkDate: null,
      bornOn: null,
      facts: [],
    });
    expect(trial.body.person.paycheck.gross).toBe(172_000);
    expect(trial.body.person.paycheck.taxes.find((tax: { code: string }) => tax.code === 'US-OASDI-EE').amount).toBe(
      10_664,
    );
  });
  it('remembers the columns chosen for this client', async () => {
    const headings = HEADINGS.map((heading) => (heading === 'Hourly rate' ? 'Loon' : heading));
    const file = (await upload(csv([row(11)], headings))).body;
    expect(file.mapping[5]).toBe('');
    const mapping = file.mapping.map((name: string, index: number) => (index === 5 ? 'rate' : name));
    const mapped = await preparer('PUT', `/people-files/${file.id}/mapping`, { version: file.version, mapping });
    expect(mapped.body.rows[0].says).toContain('21.50 an hour');
    expect((await preparer('PUT', `/people-files/${file.id}/mapping`, { version: file.version, mapping })).status).toBe(
      409,
    );
    expect((await upload(csv([row(12)], headings))).body.mapping[5]).toBe('rate');
  });
  it('reads a workbook as it reads CSV: dates, numbers, leading zeros', async () => {
    const cells = [
      HEADINGS.map((value) => ({ value, type: String })),
      [
        { value: 'Cutter', type: String },
        { value: 'Bram', type: String },
        { value: 899451021, type: Number },
        { value: new Date('2025-06-16T00:00:00Z'), type: Date, format: 'mm/dd/yyyy' },
        { value: '1991-04-05', type: String },
        { value: 19.5, type: Number },
        { value: 'Single', type: String },
        { value: '1 Row', type: String },
        { value: 'Newark', type: String },
        { value: 'NJ', type: String },
        { value: 7999, type: Number },
      ],
    ];
    const content = await writeXlsxFile(cells as never).toBuffer();
    const file = (await upload(content, 'people.xlsx')).body;
    expect([file.wrong, file.rows[0].problems]).toEqual([0, []]);
    const accepted = await preparer('POST', `/people-files/${file.id}/accept`, { version: file.version });
    expect(accepted.body.status).toBe('accepted');
    const { rows } = (await preparer('GET', `/clients/${clientId}/employees?find=cutter`)).body as {
      rows: { id: string }[];
    };
    expect((await preparer('GET', `/employees/${rows[0]?.id ?? ''}`)).body).toMatchObject({
      hiredOn: '2025-06-16',
      zip: '07999',
      state: 'NJ',
    });
  });
  it('finds the headings below a title, leaves the total out, and takes corrections of cells', async () => {
    const lines = [
      'Harbor Signs LLC,,,,',
      'as of,10/22/2026,,,',
      'Emp #,Employee Name,Soc. Sec. #,Hire Date,Annual Salary',
      '71,"Brine, Ada",899-45-71,15-Mar-24,"$58,500.00"',
      'Total,1 employee,,,"$58,500.00"',
    ];
    const file = (await upload(Buffer.from(lines.join('\n')), 'report.csv')).body;
    expect([file.headingRow, file.above, file.skipped]).toEqual([
      3,
      ['Harbor Signs LLC', 'as of · 10/22/2026'],
      [{ row: 5, text: 'Total · 1 employee · $58,500.00' }],
    ]);
    expect([file.people, file.wrong, file.rows[0].name, file.rows[0].problems[0]]).toMatchObject([
      1,
      1,
      'Brine, Ada',
      { column: 'ssn', cell: '899-45-71' },
    ]);
    const correct = { version: file.version, row: 4, column: 'ssn', value: '899-45-7171' };
    const corrected = await preparer('PUT', `/people-files/${file.id}/cell`, correct);
    expect([corrected.status, corrected.body.wrong, corrected.body.rows[0].says]).toEqual([
      200,
      0,
      expect.arrayContaining(['Hire date 03/15/2024', 'SSN ending 7171']),
    ]);
    // The same correction from an old view is refused, and so is a heading row with a number in it.
    expect((await preparer('PUT', `/people-files/${file.id}/cell`, correct)).status).toBe(409);
    const { version } = corrected.body;
    const asHeading = await preparer('PUT', `/people-files/${file.id}/heading`, { version, row: 4 });
    expect([asHeading.status, asHeading.body.problems[0].code]).toEqual([422, 'file.heading-is-data']);
    const taken = await preparer('PUT', `/people-files/${file.id}/skip`, { version, row: 5, isSkipped: false });
    expect([taken.body.people, taken.body.wrong]).toEqual([2, 1]);
    await preparer('POST', `/people-files/${file.id}/discard`, { version: taken.body.version });
  });
  it('what was exported can be read back without a fault', async () => {
    const exported = await preparer('GET', `/clients/${clientId}/people.csv`);
    const other = (await takeOn(preparer, 'BACK', 0)).id;
    const file = await preparer('POST', `/clients/${other}/people-files`, {
      fileName: 'back.csv',
      content: Buffer.from(String(exported.body), 'utf8').toString('base64'),
    });
    expect([file.body.people, file.body.wrong, file.body.problems]).toEqual([4, 0, []]);
  });
  it('is undone as a whole, and the numbers are free again; not once somebody was paid', async () => {
    const file = (await upload(csv([row(31), row(32)]))).body;
    const accepted = (await preparer('POST', `/people-files/${file.id}/accept`, { version: file.version })).body;
    const before = await people();
    expect((await preparer('POST', `/people-files/${file.id}/undo`, { version: accepted.version })).body.status).toBe(
      'undone',
    );
    expect(await people()).toBe(before - 2);
    const again = (await upload(csv([row(31), row(32)]))).body;
    const taken = (await preparer('POST', `/people-files/${again.id}/accept`, { version: again.version })).body;
    expect(taken.status).toBe('accepted');
    await postPayroll(preparer, clientId);
    const late = await preparer('POST', `/people-files/${again.id}/undo`, { version: taken.version });
    expect([late.status, late.body.detail]).toEqual([409, expect.stringMatching(/have been paid/)]);
  });
  it.each<[string, Buffer]>([
    ['bytes that are no text', Buffer.from([0, 1, 2, 3, 0, 255])],
    ['a workbook that is none', Buffer.from('PK\u0003\u0004 but nothing behind it')],
    [
      'an archive that unpacks to far too much',
      Buffer.from(zipSync({ 'xl/worksheets/sheet1.xml': new Uint8Array(70_000_000) })),
    ],
    ['quotes that never close', Buffer.from('Name,SSN\n"Brine, Ada,899451234')],
    ['headings only', csv([])],
    [
      'too many columns',
      csv(
        [row(1)],
        Array.from({ length: 200 }, (_, index) => `c${index}`),
      ),
    ],
  ])('%s is refused with a sentence', async (_, content) => {
    const refused = await upload(content);
    expect([refused.status, refused.body.problems?.[0]?.field]).toEqual([422, 'file']);
  });
  it('a cell that begins like a formula is harmless in an export', async () => {
    const file = (await upload(csv([row(41, { 7: '=HYPERLINK(1)' })]))).body;
    await preparer('POST', `/people-files/${file.id}/accept`, { version: file.version });
    expect(String((await preparer('GET', `/clients/${clientId}/people.csv`)).body)).toContain("'=HYPERLINK(1)");
  });
  it('keeps no social security number in the clear', async () => {
    const stored = (await stack.dataSource.query(
      `SELECT encode(table_cipher, 'escape') AS text, headings::text || mapping::text AS rest FROM people_import WHERE table_cipher IS NOT NULL`,
    )) as { text: string; rest: string }[];
    for (const one of stored) expect(one.text + one.rest).not.toMatch(/89945\d{4}/);
    expect(JSON.stringify((await reviewer('GET', '/audit')).body)).not.toMatch(/89945\d{4}/);
  });
});
