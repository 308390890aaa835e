import { addMonths, date } from '@zakat/core/calendar/local-date';
import { cents, showDollars } from '@zakat/core/money/cents';
import { PDFDocument, PDFName, type PDFRawStream } from 'pdf-lib';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
}, 60_000);
afterAll(() => stack.stop(), 30_000);

interface Row {
  readonly id: string;
  readonly paycheckId: string | null;
  readonly number: number;
  readonly payee: string;
  readonly amount: number;
  readonly status: string;
  readonly version: number;
  readonly runId: string | null;
}
interface Checks {
  readonly toMake: { paycheckId: string; amount: number; name: string }[];
  readonly checks: Row[];
  readonly accounts: { bankAccountId: string; next: number }[];
}
const checksOf = async (payrollId: string): Promise<Checks> =>
  (await preparer('GET', `/payrolls/${payrollId}/checks`)).body as Checks;
const idsOf = ({ toMake }: Checks): string[] => toMake.map(({ paycheckId }) => paycheckId);
const print = (payrollId: string, bankAccountId: string, firstNumber: number, paycheckIds: readonly string[]) =>
  preparer('POST', `/payrolls/${payrollId}/checks`, { bankAccountId, firstNumber, paycheckIds, position: 'top' });
const end = (row: Row | undefined, act: string, reason = 'Lost in the mail') =>
  preparer('POST', `/checks/${row?.id ?? ''}/end`, { act, version: row?.version, reason });

describe('printed checks', () => {
  it('take numbers in order; after the question only what did not come out well returns', async () => {
    const client = await takeOn(preparer, 'PRINT', 3);
    const payrollId = await postPayroll(preparer, client.id);
    const before = await checksOf(payrollId);
    expect([before.toMake.length, before.accounts[0]?.next]).toEqual([3, 1001]);
    const printed = await print(payrollId, client.bankId, 2001, idsOf(before));
    expect(printed.status).toBe(200);
    const { checks, toMake } = printed.body as unknown as Checks;
    expect([toMake, checks.map(({ number, status }) => `${number} ${status}`)]).toEqual([
      [],
      ['2003 printed', '2002 printed', '2001 printed'],
    ]);
    expect(checks.map(({ amount }) => amount).sort()).toEqual(before.toMake.map(({ amount }) => amount).sort());
    const run = checks[0]?.runId ?? '';
    const bad = checks.find(({ number }) => number === 2002);
    const outcome = await preparer('POST', `/check-runs/${run}/outcome`, { spoiled: [bad?.id] });
    expect((outcome.body as Row[]).map(({ number, status }) => `${number} ${status}`)).toEqual([
      '2003 issued',
      '2002 spoiled',
      '2001 issued',
    ]);
    // Said once.
    expect((await preparer('POST', `/check-runs/${run}/outcome`, { spoiled: [] })).status).toBe(409);
    const after = await checksOf(payrollId);
    expect([after.toMake.map(({ paycheckId }) => paycheckId), after.accounts[0]?.next]).toEqual([
      [bad?.paycheckId],
      2004,
    ]);
  });
  it('are made out once, however often they are asked for at once, and no number twice', async () => {
    const client = await takeOn(preparer, 'TWICE', 2);
    const payrollId = await postPayroll(preparer, client.id);
    const ids = idsOf(await checksOf(payrollId));
    const answers = await Promise.all(
      Array.from({ length: 6 }, (_, index) => print(payrollId, client.bankId, 3001 + 10 * index, ids)),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409, 409, 409]);
    const { checks } = await checksOf(payrollId);
    expect(checks.length).toBe(2);
    expect((await end(checks[0], 'void', 'Torn')).status).toBe(200);
    const used = await print(payrollId, client.bankId, checks[0]?.number ?? 0, [checks[0]?.paycheckId ?? '']);
    expect([used.status, used.body.problems[0].field]).toEqual([422, 'firstNumber']);
  });
  it('are reprinted as the very same page, and that is logged', async () => {
    const client = await takeOn(preparer, 'AGAIN', 2);
    const payrollId = await postPayroll(preparer, client.id);
    const { body } = await print(payrollId, client.bankId, 1, idsOf(await checksOf(payrollId)));
    const [first] = (body as unknown as Checks).checks;
    const image = async (): Promise<string> =>
      (await preparer('GET', `/checks/${first?.id ?? ''}/image.pdf`)).body as unknown as string;
    const once = await image();
    expect(once).toMatch(/^%PDF/);
    expect(await image()).toBe(once);
    const run = await preparer('GET', `/check-runs/${first?.runId ?? ''}.pdf`);
    expect(run.status).toBe(200);
    // The newest is the last sheet of its run: alone on one page, with what was drawn there.
    const read = (text: string) => PDFDocument.load(Buffer.from(text, 'latin1'), { updateMetadata: false });
    const [whole, alone] = [await read(run.body as unknown as string), await read(once)];
    expect([whole.getPageCount(), alone.getPageCount(), alone.getTitle()]).toEqual([2, 1, 'Check 2']);
    const drawn = (pdf: PDFDocument, page: number): string =>
      (pdf.context.lookup(pdf.getPage(page).node.get(PDFName.of('Contents'))) as PDFRawStream).getContentsString();
    expect(drawn(alone, 0)).toBe(drawn(whole, 1));
    expect(drawn(alone, 0)).not.toBe(drawn(whole, 0));
    const { rows } = (await preparer('GET', '/audit')).body as { rows: { sentence: string }[] };
    expect(rows.filter(({ sentence }) => /opened the image of check 2 to/.test(sentence)).length).toBe(2);
  });
  it('stopped, the pay waits for another check; the amounts stand', async () => {
    const client = await takeOn(preparer, 'STOP', 1);
    const payrollId = await postPayroll(preparer, client.id);
    const before = await checksOf(payrollId);
    const { body } = await print(payrollId, client.bankId, 501, idsOf(before));
    const [row] = (body as unknown as Checks).checks;
    expect((await end(row, 'stop')).status).toBe(409);
    await preparer('POST', `/check-runs/${row?.runId ?? ''}/outcome`, { spoiled: [] });
    const issued = (await checksOf(payrollId)).checks[0];
    expect((await end(issued, 'stop', ' ')).body.problems[0].field).toBe('reason');
    expect((await end(issued, 'stop')).status).toBe(200);
    const after = await checksOf(payrollId);
    expect([after.toMake, after.checks[0]?.status]).toEqual([before.toMake, 'stopped']);
    const again = await print(payrollId, client.bankId, 502, idsOf(after));
    expect((again.body as unknown as Checks).checks.map(({ number, amount }) => [number, amount])).toEqual([
      [502, row?.amount],
      [501, row?.amount],
    ]);
  });
  it('written by hand keep their number and are not to be printed; stock that is waste keeps its numbers too', async () => {
    const client = await takeOn(preparer, 'HAND', 2);
    const payrollId = await postPayroll(preparer, client.id);
    const [first, second] = idsOf(await checksOf(payrollId));
    const written = await preparer('POST', `/payrolls/${payrollId}/handwritten-checks`, {
      bankAccountId: client.bankId,
      number: 77,
      paycheckId: first,
    });
    expect(written.status).toBe(200);
    const left = await checksOf(payrollId);
    expect([idsOf(left), left.checks[0]?.status]).toEqual([[second], 'issued']);
    expect((await preparer('GET', `/checks/${left.checks[0]?.id ?? ''}/image.pdf`)).status).toBe(409);
    const waste = await preparer('POST', `/clients/${client.id}/spoiled-stock`, {
      bankAccountId: client.bankId,
      from: 80,
      to: 82,
      reason: 'Coffee',
    });
    expect((waste.body as Row[]).filter(({ status }) => status === 'spoiled').length).toBe(3);
    const taken = await print(payrollId, client.bankId, 81, [second ?? '']);
    expect([taken.status, taken.body.problems[0].sentence]).toEqual([422, expect.stringMatching(/81/)]);
    const found = (await preparer('GET', `/clients/${client.id}/checks?words=77`)).body as Row[];
    expect(found.map(({ number }) => number)).toEqual([77]);
    // By the amount, and by days; a bank need not pay a check more than six months after its date.
    const one = async (query: string) =>
      (await preparer('GET', `/clients/${client.id}/checks?${query}`)).body as (Row & {
        amount: number;
        checkDate: string;
        staleFrom: string | null;
      })[];
    const [out] = (await one('status=issued')).slice(-1);
    const dollars = `$${showDollars(cents(out?.amount ?? 0))}`;
    expect((await one(`words=${encodeURIComponent(dollars)}`)).map(({ number }) => number)).toContain(out?.number);
    expect(await one(`words=${encodeURIComponent('$0.01')}`)).toEqual([]);
    expect(out?.staleFrom).toBe(addMonths(date(out?.checkDate ?? ''), 6));
    expect((await one('status=spoiled')).map(({ staleFrom }) => staleFrom)).toEqual([null, null, null]);
    expect(await one(`from=${out?.checkDate ?? ''}&to=${out?.checkDate ?? ''}&status=issued`)).not.toEqual([]);
    expect(await one('from=2020-01-01&to=2020-12-31')).toEqual([]);
  });
  it('of a voided paycheck are no longer to be made out', async () => {
    const client = await takeOn(preparer, 'GONE', 2);
    const payrollId = await postPayroll(preparer, client.id);
    const [first, second] = idsOf(await checksOf(payrollId));
    const proposed = await preparer('POST', `/payrolls/${payrollId}/voids`, {
      paycheckIds: [first],
      reason: 'Not ours',
    });
    await reviewer('POST', `/voids/${String(proposed.body.id)}/post`, { version: 1 });
    expect(idsOf(await checksOf(payrollId))).toEqual([second]);
    expect((await print(payrollId, client.bankId, 1, [first ?? ''])).status).toBe(409);
  });
});

describe('pay statements', () => {
  it('are kept as they were made once the pay is out', async () => {
    const client = await takeOn(preparer, 'STUB', 1);
    const payrollId = await postPayroll(preparer, client.id);
    const pdf = async (): Promise<string> =>
      (await preparer('GET', `/payrolls/${payrollId}/statements.pdf`)).body as unknown as string;
    expect(await pdf()).toMatch(/^%PDF/);
    await print(payrollId, client.bankId, 1, idsOf(await checksOf(payrollId)));
    expect(await pdf()).toBe(await pdf());
    const rows = (await stack.dataSource.query(
      `SELECT count(*)::int AS count FROM document WHERE kind = 'pay-statements'`,
    )) as { count: number }[];
    expect(rows[0]?.count).toBe(1);
  });
});

describe('a statement of the bank', () => {
  it('clears what agrees, once, and tells the rest', async () => {
    const client = await takeOn(preparer, 'BANK', 3);
    const payrollId = await postPayroll(preparer, client.id);
    const { body } = await print(payrollId, client.bankId, 601, idsOf(await checksOf(payrollId)));
    const { checks } = body as unknown as Checks;
    const amountOf = (number: number): string =>
      String(checks.find((row) => row.number === number)?.amount ?? 0).replace(/(\d\d)$/, '.$1');
    await preparer('POST', `/check-runs/${checks[0]?.runId ?? ''}/outcome`, { spoiled: [] });
    const lines = [
      'Check Number,Amount,Date',
      `601,${amountOf(601)},10/21/2026`,
      `601,${amountOf(601)},10/22/2026`,
      '602,1.00,10/21/2026',
      '999,5.00,10/21/2026',
      'x,5.00,10/21/2026',
    ];
    const send = (isTaken: boolean) =>
      preparer('POST', `/clients/${client.id}/bank-statements`, {
        bankAccountId: client.bankId,
        fileName: 'statement.csv',
        content: Buffer.from(lines.join('\n')).toString('base64'),
        isTaken,
      });
    const looked = await send(false);
    expect(
      (looked.body as unknown as { rows: { number: number; outcome: string }[] }).rows.map(
        ({ number, outcome }) => `${number} ${outcome}`,
      ),
    ).toEqual(['601 cleared before', '602 another amount', '999 not ours', '601 clears']);
    expect((looked.body as unknown as { unread: string[] }).unread).toEqual([expect.stringMatching(/^Row 6/)]);
    expect((await checksOf(payrollId)).checks.every(({ status }) => status === 'issued')).toBe(true);
    expect((await send(true)).status).toBe(200);
    expect((await checksOf(payrollId)).checks.map(({ number, status }) => `${number} ${status}`)).toEqual([
      '603 issued',
      '602 issued',
      '601 cleared',
    ]);
    expect((await send(true)).status).toBe(409);
    const file = await preparer('GET', `/clients/${client.id}/positive-pay.csv?from=2026-01-01&to=2026-12-31`);
    const rows = (file.body as unknown as string).trim().split('\n');
    expect([rows.length, rows[1]?.includes('5500012345,601,10/30/2026')]).toEqual([4, true]);
  });
});

describe('the signature of an account', () => {
  // One pixel.
  const PICTURE = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==';
  const put = (by: Caller, bankId: string, content: string, most: number | null = null) =>
    by('PUT', `/bank-accounts/${bankId}/signature`, { content, most });
  /** Prints one check of a payroll by somebody; answers with whether a picture is on it. */
  const isSigned = async (by: Caller, payrollId: string, bankId: string, number: number): Promise<boolean> => {
    const [paycheckId = ''] = idsOf(await checksOf(payrollId));
    const printed = await by('POST', `/payrolls/${payrollId}/checks`, {
      bankAccountId: bankId,
      firstNumber: number,
      paycheckIds: [paycheckId],
      position: 'top',
    });
    const made = (printed.body as Checks).checks.find((check) => check.number === number);
    const image = (await preparer('GET', `/checks/${made?.id ?? ''}/image.pdf`)).body as string;
    expect(image.startsWith('%PDF')).toBe(true);
    return image.includes('/Subtype /Image');
  };
  it('is kept by an administrator, as a picture that can be read', async () => {
    const administrator = await stack.signIn('Alder', 'administrator');
    const { bankId, id } = await takeOn(preparer, 'SIGN', 1);
    expect((await put(reviewer, bankId, PICTURE)).status).toBe(403);
    const fault = async (content: string, most: number | null = null): Promise<string> =>
      (await put(administrator, bankId, content, most)).body.problems[0].field;
    expect(await fault(Buffer.from('%PDF-1.7').toString('base64'))).toBe('file');
    // It begins as a picture and goes on as none.
    expect(await fault(Buffer.from(PICTURE, 'base64').subarray(0, 20).toString('base64'))).toBe('file');
    expect(await fault(Buffer.concat([Buffer.from(PICTURE, 'base64'), Buffer.alloc(200_000)]).toString('base64'))).toBe(
      'file',
    );
    expect(await fault(PICTURE, 0)).toBe('most');
    expect((await put(administrator, bankId, PICTURE, 500_000)).status).toBe(204);
    const { bankAccounts } = (await preparer('GET', `/clients/${id}`)).body;
    expect(bankAccounts[0]).toMatchObject({ hasSignature: true, signatureMost: 500_000 });
    expect(JSON.stringify(bankAccounts)).not.toContain('iVBOR');
  });
  it('stands on what a reviewer prints up to its amount, and on nothing that a preparer prints', async () => {
    const administrator = await stack.signIn('Alder', 'administrator');
    const client = await takeOn(preparer, 'SIGNS', 4);
    const payrollId = await postPayroll(preparer, client.id);
    const { toMake } = await checksOf(payrollId);
    const most = Math.max(...toMake.map(({ amount }) => amount));
    expect(await isSigned(reviewer, payrollId, client.bankId, 9001)).toBe(false);
    await put(administrator, client.bankId, PICTURE, most);
    expect(await isSigned(preparer, payrollId, client.bankId, 9002)).toBe(false);
    expect(await isSigned(reviewer, payrollId, client.bankId, 9003)).toBe(true);
    const [left] = (await checksOf(payrollId)).toMake;
    await put(administrator, client.bankId, PICTURE, (left?.amount ?? 0) - 1);
    expect(await isSigned(reviewer, payrollId, client.bankId, 9004)).toBe(false);
    expect((await administrator('DELETE', `/bank-accounts/${client.bankId}/signature`)).status).toBe(204);
    expect((await preparer('GET', `/clients/${client.id}`)).body.bankAccounts[0].hasSignature).toBe(false);
  });
});

describe('a printer that prints off its place', () => {
  const drawn = async (pdf: string): Promise<string> => {
    const read = await PDFDocument.load(Buffer.from(pdf, 'latin1'), { updateMetadata: false });
    return (read.context.lookup(read.getPage(0).node.get(PDFName.of('Contents'))) as PDFRawStream).getContentsString();
  };
  it('moves what it prints as the stock of a client does, and both add up', async () => {
    const plain = await takeOn(preparer, 'PLAIN', 1);
    const shift = (id: string, right: string, down: string) =>
      preparer('POST', `/clients/${id}/facts`, { kind: 'checks', from: '2026-01-01', value: { right, down } });
    const sample = async (id: string, printer = ''): Promise<string> =>
      (await preparer('GET', `/clients/${id}/check-sample.pdf?layout=top&printer=${printer}`)).body as string;
    const before = await drawn(await sample(plain.id));
    const made = await preparer('POST', '/check-printers', { name: 'Front desk', right: '0.06', down: '-0.1' });
    expect(made.status).toBe(201);
    const [printer] = made.body as { id: string; name: string }[];
    const byPrinter = await drawn(await sample(plain.id, printer?.id));
    await shift(plain.id, '0.06', '-0.1');
    const byStock = await drawn(await sample(plain.id));
    expect([byPrinter === byStock, byPrinter === before]).toEqual([true, false]);
    await preparer('PUT', `/check-printers/${printer?.id ?? ''}`, { name: 'Front desk', right: '-0.06', down: '0.1' });
    expect(await drawn(await sample(plain.id, printer?.id))).toBe(before);
    expect((await shift(plain.id, '0.7', '')).status).toBe(422);
  });
  it('is one of the firm, with a name and a length that can be', async () => {
    const save = (body: object) =>
      preparer('POST', '/check-printers', { name: 'Back room', right: '', down: '', ...body });
    const [, status] = [await save({}), (await save({})).body.problems[0].field];
    expect(status).toBe('name');
    expect((await save({ name: 'Third', right: '0.7' })).body.problems[0].field).toBe('right');
    expect((await save({ name: 'Third', down: 'a bit' })).body.problems[0].field).toBe('down');
    const client = await takeOn(preparer, 'UNKNOWN', 1);
    const payrollId = await postPayroll(preparer, client.id);
    const refused = await preparer('POST', `/payrolls/${payrollId}/checks`, {
      bankAccountId: client.bankId,
      firstNumber: 1,
      paycheckIds: idsOf(await checksOf(payrollId)),
      position: 'top',
      printerId: '00000000-0000-4000-8000-000000000000',
    });
    expect([refused.status, refused.body.problems[0].field]).toEqual([422, 'printerId']);
    expect((await checksOf(payrollId)).checks).toEqual([]);
    const list = (await preparer('GET', '/check-printers')).body as { id: string; name: string }[];
    const back = list.find(({ name }) => name === 'Back room')?.id ?? '';
    expect((await preparer('DELETE', `/check-printers/${back}`)).status).toBe(200);
    expect((await preparer('DELETE', `/check-printers/${back}`)).status).toBe(404);
    expect((await preparer('PUT', `/check-printers/${back}`, { name: 'x', right: '', down: '' })).status).toBe(404);
  });
});
