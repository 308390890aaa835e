import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { FilingView, TakenInWageFile, TypedBoxes } from '@zakat/contract/filings';
import { writeRecord, type FieldValues } from '@zakat/core/formats/fixed-width/writer';
import type { RecordLayout } from '@zakat/core/formats/fixed-width/field';
import { RA, RE, RF, RT, RW } from '@zakat/core/formats/efw2/layout';
import { RCA, RCE, RCF, RCT, RCW } from '@zakat/core/formats/efw2c/layout';
import { Stack, takeOn, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;

beforeAll(async () => {
  stack = await Stack.start('2026-03-02');
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  client = await takeOn(preparer, 'YARD', 2);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const line = (layout: RecordLayout, values: FieldValues): string => {
  const written = writeRecord(layout, values, '');
  if (written.issues.length > 0) throw new Error(JSON.stringify(written.issues));
  return written.line;
};
const PLACE = { 'Delivery Address': '1 ROW', City: 'SALTMARSH', 'State Abbreviation': 'NY', 'ZIP Code': '13999' };
const person = (ssn: string, last: string, wages: number) =>
  line(RW, {
    'Social Security Number (SSN)': ssn,
    'Employee First Name': 'WIL',
    'Employee Last Name': last,
    ...PLACE,
    'Wages, Tips and Other Compensation': wages,
    'Federal Income Tax Withheld': 410_000,
    'Social Security Wages': wages,
    'Social Security Tax Withheld': 298_840,
    'Medicare Wages and Tips': wages,
    'Medicare Tax Withheld': 69_890,
    'Statutory Employee Indicator': '0',
    'Retirement Plan Indicator': '0',
    'Third-Party Sick Pay Indicator': '0',
  });
/** A file of last year as a former provider sent it: two who work here, one who never came. */
const fileOf = (ein = '471234561', year = 2025): string => {
  const [wages, other, stranger] = [4_820_000, 3_000_000, 1_200_000];
  const total = wages + other + stranger;
  const submitter = Object.fromEntries(Object.entries(PLACE).map(([name, value]) => [`Submitter ${name}`, value]));
  return [
    line(RA, {
      "Submitter's EIN": '990000001',
      'User Identification (User ID)': 'FORMER01',
      'Resub Indicator': '0',
      'Software Code': '98',
      'Company Name': 'FORMER PAYROLL',
      ...PLACE,
      'Submitter Name': 'FORMER PAYROLL',
      ...submitter,
      'Contact Name': 'X',
      'Contact Phone Number': '3155550100',
      'Contact E-Mail/Internet': 'X@Y.EXAMPLE',
      'Preparer Code': 'A',
    }),
    line(RE, {
      'Tax Year': year,
      'Employer/Agent EIN': ein,
      'Terminating Business Indicator': '0',
      'Employer Name': 'BOATYARD YARD INC',
      ...PLACE,
      'Kind of Employer': 'N',
      'Employment Code': 'R',
      'Third-Party Sick Pay Indicator': '0',
    }),
    person('899123401', 'SPRAGUEA', wages),
    person('899123402', 'SPRAGUEB', other),
    person('899999999', 'GONE', stranger),
    line(RT, {
      'Number of RW Records': 3,
      'Wages, Tips and Other Compensation': total,
      'Federal Income Tax Withheld': 1_230_000,
      'Social Security Wages': total,
      'Social Security Tax Withheld': 896_520,
      'Medicare Wages and Tips': total,
      'Medicare Tax Withheld': 209_670,
    }),
    line(RF, { 'Number of RW Records': 3 }),
  ].join('\r\n');
};
const takeIn = (text: string) =>
  preparer('POST', `/clients/${client.id}/filed-wage-files`, {
    fileName: 'W2REPORT.txt',
    content: Buffer.from(text, 'latin1').toString('base64'),
  });
const look = async (id: string): Promise<FilingView> => (await preparer('GET', `/filings/${id}`)).body as FilingView;

describe('wage statements that somebody else filed', () => {
  it.each([
    ['of another employer', () => fileOf('112223334'), 'wage-file.other-ein'],
    ['without its end', () => fileOf().replace(/RW899999999[^\r]*\r\n/, ''), 'wage-file.count'],
  ])('%s are refused, and nothing is kept', async (_, text, code) => {
    const { status, body } = await takeIn(text());
    expect([status, body.problems[0].code]).toEqual([422, code]);
    expect(await stack.dataSource.query(`SELECT 1 FROM document WHERE kind = 'filed-elsewhere'`)).toEqual([]);
  });
  it('of a year that is not over are refused', async () => {
    const { status, body } = await takeIn(fileOf('471234561', 2026));
    expect([status, body.problems[0].sentence]).toEqual([422, 'The year 2026 is not over.']);
  });
  it('are taken in once, whole, as accepted, with whom nobody knows here, and may be put away again', async () => {
    const first = (await takeIn(fileOf())).body as TakenInWageFile;
    expect(first).toMatchObject({ year: 2025, statements: 3, strangers: ['GONE, WIL'] });
    expect((await takeIn(fileOf())).status).toBe(409);
    const { version } = await look(first.id);
    expect((await preparer('POST', `/filings/${first.id}/discard`, { version })).status).toBe(204);
    const again = (await takeIn(fileOf())).body as TakenInWageFile;
    const view = await look(again.id);
    expect(view).toMatchObject({ status: 'accepted', isElsewhere: true, correction: { kind: 'us-w2c', differs: 0 } });
    expect(view.w2s?.rows.map(({ name, isHere }) => [name, isHere])).toEqual([
      ['SPRAGUEA, WIL', true],
      ['SPRAGUEB, WIL', true],
      ['GONE, WIL', false],
    ]);
    expect(String((await preparer('GET', `/filings/${again.id}/file`)).body)).toBe(fileOf());
  });
  it('are corrected by typing what is right: only that is on the form and in the file', async () => {
    const { id } = (await preparer('POST', `/clients/${client.id}/filings`, { kind: 'us-w2c', period: '2025' }))
      .body as { id: string };
    const draft = await look(id);
    const employeeId = draft.typed?.find(({ name }) => name.startsWith('SPRAGUEA'))?.employeeId ?? '';
    expect(employeeId).toBe(client.employeeIds[0]);
    const statement = (await preparer('GET', `/filings/${id}/boxes/${employeeId}`)).body as TypedBoxes;
    expect(statement.boxes[0]).toEqual({ box: '1', filed: 4_820_000, correct: 4_820_000 });
    const type = (boxes: { box: string; correct: number }[], version: number) =>
      preparer('PUT', `/filings/${id}/boxes/${employeeId}`, { version, boxes });
    const wrong = await type([{ box: '12D', correct: 1 }], draft.version);
    expect([wrong.status, wrong.body.problems[0].sentence]).toEqual([422, 'There is no box “12D”.']);
    const typed = (
      await type(
        [
          { box: '1', correct: 4_715_000 },
          { box: '2', correct: 410_000 },
          { box: '12 D', correct: 105_000 },
        ],
        draft.version,
      )
    ).body as FilingView;
    // Box 12 D was not on the statement that was filed.
    expect(typed.tables[0]?.rows).toEqual([
      ['SPRAGUEA, WIL', '1', 4_820_000, 4_715_000, -105_000],
      ['SPRAGUEA, WIL', '12D', 0, 105_000, 105_000],
    ]);
    const act = async (caller: Caller, name: string) =>
      caller('POST', `/filings/${id}/${name}`, { version: (await look(id)).version });
    expect((await act(preparer, 'check')).status).toBe(200);
    expect((await act(reviewer, 'release')).status).toBe(200);
    expect(
      (
        await until(
          () => look(id),
          ({ status }) => ['accepted', 'rejected'].includes(status),
        )
      ).status,
    ).toBe('accepted');
    const sent = String((await preparer('GET', `/filings/${id}/file`)).body);
    const records = sent.split('\r\n').filter((one) => one.startsWith('RCW'));
    expect(records.map((one) => [one.slice(12, 21), one.slice(243, 265)])).toEqual([
      ['899123401', '0000482000000004715000'],
    ]);
  });
});

describe('corrections that somebody else sent', () => {
  const fields = (of: Record<string, number>): FieldValues =>
    Object.fromEntries(Object.entries(of).map(([name, amount]) => [name, String(amount).padStart(11, '0')]));
  /** Two people of the file: wages and number of one, a name of the other. */
  const corrections = (previous: number): string =>
    [
      line(RCA, {
        "Submitter's EIN": '990000001',
        'User Identification (User ID)': 'FORMER01',
        'Software Code': '98',
        'Company Name': 'FORMER PAYROLL',
        ...PLACE,
        'Contact Name': 'X',
        'Contact Phone Number': '3155550100',
        'Contact E-Mail/Internet': 'X@Y.EXAMPLE',
        'Preparer Code': 'A',
        'Resub Indicator': '0',
      }),
      line(RCE, {
        'Tax Year': 2024,
        "Employer's/Agent's Correct EIN": '471234561',
        'Employer Name': 'BOATYARD YARD INC',
        ...PLACE,
        'Employment Code, Correct': 'R',
        'Kind of Employer': 'N',
      }),
      line(RCW, {
        'Social Security Number (SSN), Originally Reported': '899123401',
        'Social Security Number (SSN), Correct': '899123411',
        'Employee First Name, Correct': 'WIL',
        'Employee Last Name, Correct': 'SPRAGUEA',
        ...PLACE,
        ...fields({
          'Wages, Tips and Other Compensation, Originally Reported': previous,
          'Wages, Tips and Other Compensation, Correct': 4_700_000,
        }),
      }),
      line(RCT, {
        'Total Number of RCW Records': 1,
        'Wages, Tips and Other Compensation, Originally Reported': String(previous).padStart(15, '0'),
        'Wages, Tips and Other Compensation, Correct': '000000004700000',
      }),
      line(RCF, { 'Number of RCW Records': 1 }),
    ].join('\r\n');
  it('need the statements before them, stand upon those, and are corrected in their turn', async () => {
    const early = await takeIn(corrections(4_820_000));
    expect([early.status, early.body.problems[0].code]).toEqual([422, 'wage-file.no-original']);
    const original = (await takeIn(fileOf('471234561', 2024))).body as TakenInWageFile;
    const other = await takeIn(corrections(4_820_100));
    expect([other.status, other.body.problems[0].code]).toEqual([422, 'wage-file.previous']);
    const made = (await takeIn(corrections(4_820_000))).body as TakenInWageFile;
    expect(made).toMatchObject({ year: 2024, statements: 1 });
    expect(await look(made.id)).toMatchObject({ kind: 'us-w2c', status: 'accepted', isElsewhere: true });
    const { id } = (await preparer('POST', `/clients/${client.id}/filings`, { kind: 'us-w2c', period: '2024' }))
      .body as { id: string };
    const whose = (await look(id)).typed?.find(({ name }) => name.startsWith('SPRAGUEA'))?.employeeId ?? '';
    const { boxes } = (await preparer('GET', `/filings/${id}/boxes/${whose}`)).body as TypedBoxes;
    expect(boxes[0]).toEqual({ box: '1', filed: 4_700_000, correct: 4_700_000 });
    expect((await look(original.id)).status).toBe('accepted');
  });
});

describe('statements that are typed from the paper', () => {
  const typeFiled = (year: number, boxes: { box: string; amount: number }[]) =>
    preparer('POST', `/clients/${client.id}/filed-statements`, {
      year,
      source: 'Copy C of the employee',
      statements: [{ employeeId: client.employeeIds[1], boxes }],
    });
  it('are refused with the box that is none, and nothing is kept', async () => {
    const wrong = await typeFiled(2023, [{ box: '99', amount: 1 }]);
    expect([wrong.status, wrong.body.problems[0].field]).toEqual([422, 'statements[0].boxes[0].box']);
    expect((await typeFiled(2026, [{ box: '1', amount: 1 }])).status).toBe(422);
  });
  it('stand as filed, and what corrects them goes out with the number of the person', async () => {
    const made = await typeFiled(2023, [
      { box: '1', amount: 3_000_000 },
      { box: '16 NY', amount: 3_000_000 },
    ]);
    expect([made.status, made.body.detail]).toEqual([201, undefined]);
    expect((await typeFiled(2023, [{ box: '1', amount: 1 }])).status).toBe(409);
    const { id } = (await preparer('POST', `/clients/${client.id}/filings`, { kind: 'us-w2c', period: '2023' }))
      .body as { id: string };
    const draft = await look(id);
    const body = { version: draft.version, boxes: [{ box: '1', correct: 2_900_000 }] };
    await preparer('PUT', `/filings/${id}/boxes/${client.employeeIds[1]}`, body);
    // Filed for the wrong year, all of it would go to zero: the first of two sets.
    const answer = async (withdrawn: string) =>
      preparer('PUT', `/filings/${id}/answers`, {
        version: (await look(id)).version,
        answers: [{ name: 'withdrawn', answer: withdrawn }],
      });
    expect(((await answer('yes')).body as FilingView).tables[0]?.rows).toEqual([
      ['SpragueB, Wil', '1', 3_000_000, 0, -3_000_000],
      ['SpragueB, Wil', '16 NY', 3_000_000, 0, -3_000_000],
    ]);
    await answer('no');
    expect((await preparer('POST', `/filings/${id}/check`, { version: (await look(id)).version })).status).toBe(200);
    const slip = (await preparer('GET', `/filings/${id}/slip`)).body as { file: string };
    const record = slip.file.split('\r\n').find((one) => one.startsWith('RCW')) ?? '';
    expect([record.slice(12, 21), record.slice(243, 265)]).toEqual(['899123402', '0000300000000002900000']);
  });
});
