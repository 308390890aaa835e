import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bankDaysAfter, isBankOpen } from './calendar.js';
import { judgeForm941 } from './returns/form-941-reader.js';
import { makeService, type Settings } from './service.js';
import { judgeWageFile } from './wages/efw2-reader.js';

const folder = mkdtempSync(join(tmpdir(), 'zakat-outside-'));
const settings: Settings = {
  folder,
  today: '2026-10-22',
  clockUrl: null,
  clockToken: '',
  taxpayers: [],
  refusedNumbers: [],
};
let server: Server;
let url: string;
beforeAll(async () => {
  server = makeService(settings).app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => {
  server.close();
  rmSync(folder, { recursive: true, force: true });
});

const pad = (text: string, width: number): string => text.padEnd(width);
/** A file written by hand, position by position, as another bank's customer might. */
function ach(change: { amount?: string; control?: string; effective?: string } = {}): string {
  const amount = change.amount ?? '0000010000';
  const entry = `622${'00000010'}7${pad('9400000001', 17)}${amount}${pad('REF1', 15)}${pad('US TREASURY', 22)}  1${'00000012'}0000001`;
  const lines = [
    `101 000000123${'1471234561'}2610220000A094101${pad('HARBOUR', 23)}${pad('FIRM', 23)}${' '.repeat(8)}`,
    `5220${pad('YARD', 16)}${' '.repeat(20)}1471234561CCD${pad('TAX PYMT', 10)}261022${change.effective ?? '261023'}   1000000120000001`,
    entry,
    `705${pad('TXP*471234561*94105*261231*1*0000010000\\', 80)}00010000001`,
    `8220000002${'0000000010'}${'0'.repeat(12)}${(change.control ?? '10000').padStart(12, '0')}1471234561${' '.repeat(25)}000000120000001`,
    `9000001000001${'00000002'}${'0000000010'}${'0'.repeat(12)}${(change.control ?? '10000').padStart(12, '0')}${' '.repeat(39)}`,
  ];
  while (lines.length % 10 !== 0) lines.push('9'.repeat(94));
  return lines.map((line) => `${line}\r\n`).join('');
}
/** The same for a payment to a person. */
function personal(
  change: {
    code?: string;
    amount?: string;
    control?: string;
    account?: string;
    indicator?: string;
    effective?: string;
  } = {},
): string {
  const control = (change.control ?? '10000').padStart(12, '0');
  const lines = [
    `101 000000123${'1471234561'}2610220000P094101${pad('HARBOUR', 23)}${pad('FIRM', 23)}${' '.repeat(8)}`,
    `5220${pad('YARD', 16)}${' '.repeat(20)}1471234561PPD${pad('PAYROLL', 10)}261022${change.effective ?? '261023'}   1000000120000001`,
    `6${change.code ?? '22'}${'00000010'}7${pad(change.account ?? '5500', 17)}${change.amount ?? '0000010000'}${pad('101', 15)}${pad('WIL SPRAGUE', 22)}  ${change.indicator ?? '0'}${'00000012'}0000001`,
    `8220000001${'0000000010'}${'0'.repeat(12)}${control}1471234561${' '.repeat(25)}000000120000001`,
    `9000001000001${'00000001'}${'0000000010'}${'0'.repeat(12)}${control}${' '.repeat(39)}`,
  ];
  while (lines.length % 10 !== 0) lines.push('9'.repeat(94));
  return lines.map((line) => `${line}\r\n`).join('');
}
let refusals = 0;
const send = async (key: string, content: string): Promise<Record<string, unknown>> => {
  const taken = await fetch(`${url}/bank/files`, {
    method: 'POST',
    headers: { 'Idempotency-Key': key, 'Content-Type': 'text/plain' },
    body: content,
  });
  const { reference } = (await taken.json()) as { reference: string };
  return { reference, ...((await (await fetch(`${url}/bank/files/${reference}`)).json()) as object) };
};

describe('the bank', () => {
  it('takes a file once, whatever is sent again under its key', async () => {
    const first = await send('k1', ach());
    const second = await send('k1', ach({ amount: '0000099999' }));
    expect([first['state'], second['reference']]).toEqual(['received', first['reference']]);
  });
  it.each([
    ['F-TOT', ach({ control: '10001' })],
    ['E-TXP', ach({ amount: '0000010001', control: '10001' })],
    ['F-LEN', ach().replace('101 ', '101')],
    ['B-DATE', ach({ effective: '261024' })],
    ['B-DATE', ach({ effective: '261022' })],
    ['F-BLOCK', 'nonsense'],
  ])('refuses %s', async (code, content) => {
    expect(await send(`refused ${(refusals += 1)}`, content)).toMatchObject({ state: 'rejected', code, isFinal: true });
  });
  it.each([
    ['E-CODE', personal({ code: '27' })],
    ['E-AMT', personal({ code: '23' })],
    ['E-AMT', personal({ amount: '0000000000', control: '0' })],
    ['E-ADD', personal({ indicator: '1' })],
    ['E-ACC', personal({ account: '' })],
    ['B-SEC', personal().replace('PPDPAYROLL', 'WEBPAYROLL')],
    ['F-TOT', personal({ control: '9999' })],
  ])('refuses a payment to a person: %s', async (code, content) => {
    expect(await send(`refused ${(refusals += 1)}`, content)).toMatchObject({ state: 'rejected', code, isFinal: true });
  });
  it('needs a key', async () =>
    expect((await fetch(`${url}/bank/files`, { method: 'POST', body: 'x' })).status).toBe(400));
  it('is closed when it is told to be', async () => {
    await fetch(`${url}/console/mood`, { method: 'POST', body: new URLSearchParams({ party: 'bank', mood: 'down' }) });
    expect(
      (await fetch(`${url}/bank/files`, { method: 'POST', headers: { 'Idempotency-Key': 'k9' }, body: 'x' })).status,
    ).toBe(503);
    await fetch(`${url}/console/mood`, {
      method: 'POST',
      body: new URLSearchParams({ party: 'bank', mood: 'normal' }),
    });
  });
  it('settles when its day comes, and never moves back in time', async () => {
    const { reference } = await send('k2', ach());
    expect(
      (await fetch(`${url}/console/date`, { method: 'POST', body: new URLSearchParams({ today: '2026-10-01' }) }))
        .status,
    ).toBe(422);
    await fetch(`${url}/console/date`, {
      method: 'POST',
      redirect: 'manual',
      body: new URLSearchParams({ today: '2026-10-23' }),
    });
    expect(await (await fetch(`${url}/bank/files/${String(reference)}`)).json()).toMatchObject({
      state: 'settled',
      settledOn: '2026-10-23',
      isFinal: false,
    });
  });
  it('lets a single entry come back from an account that is not there, and keeps the rest', async () => {
    const at = async (today: string): Promise<unknown> => {
      await fetch(`${url}/console/date`, { method: 'POST', redirect: 'manual', body: new URLSearchParams({ today }) });
      return (await fetch(`${url}/bank/files/${String(reference)}`)).json();
    };
    const { reference } = await send('k3', personal({ account: '99990403', effective: '261026' }));
    expect(await at('2026-10-26')).toMatchObject({ state: 'settled', isFinal: false, entries: [] });
    const back = [{ trace: '000000120000001', code: 'R03', message: 'No account, unable to locate' }];
    expect(await at('2026-10-27')).toMatchObject({ state: 'settled', isFinal: false, entries: back });
    expect(await at('2026-10-28')).toMatchObject({ state: 'settled', isFinal: true, entries: back });
  });
  it('keeps its records over a restart', () =>
    expect(makeService(settings).store.records.bank.some((row) => row.key === 'k2' && row.state === 'settled')).toBe(
      true,
    ));
  it('knows the Federal Reserve’s holidays', () =>
    expect([
      isBankOpen('2026-11-26'),
      isBankOpen('2026-07-03'),
      isBankOpen('2027-07-05'),
      bankDaysAfter('2026-12-24', 1),
    ]).toEqual([false, true, false, '2026-12-28']));
});

const return941 = (change: (xml: string) => string = (xml) => xml): string =>
  change(`<?xml version="1.0"?><Return><ReturnHeader><TaxPeriodEndDt>2026-09-30</TaxPeriodEndDt><Filer><EIN>471234561</EIN><BusinessNameControlTxt>GANN</BusinessNameControlTxt></Filer>
    <BusinessOfficerGrp><TaxpayerPIN>31415</TaxpayerPIN></BusinessOfficerGrp><PreparerPersonGrp><PTIN>P00000001</PTIN></PreparerPersonGrp></ReturnHeader><ReturnData><IRS941>
    <FederalIncomeTaxWithheldAmt>240.00</FederalIncomeTaxWithheldAmt><SocialSecurityTaxCashWagesAmt>4050.00</SocialSecurityTaxCashWagesAmt><SocialSecurityTaxAmt>502.20</SocialSecurityTaxAmt>
    <TaxableMedicareWagesTipsAmt>4050.00</TaxableMedicareWagesTipsAmt><TaxOnMedicareWagesTipsAmt>117.45</TaxOnMedicareWagesTipsAmt><TaxableWagesTipsSubjAddnlMedAmt>0.00</TaxableWagesTipsSubjAddnlMedAmt><TaxOnWageTipsSubjAddnlMedcrAmt>0.00</TaxOnWageTipsSubjAddnlMedcrAmt>
    <TotSocialSecurityMedicareTaxAmt>619.65</TotSocialSecurityMedicareTaxAmt><TotalTaxBeforeAdjustmentAmt>859.65</TotalTaxBeforeAdjustmentAmt><CurrentQtrFractionsCentsAmt>0.02</CurrentQtrFractionsCentsAmt><TotalTaxAmt>859.67</TotalTaxAmt>
    <TotalTaxDepositAmt>859.67</TotalTaxDepositAmt><BalanceDueAmt>0.00</BalanceDueAmt><OverpaidAmt>0.00</OverpaidAmt></IRS941></ReturnData></Return>`);

describe('the tax agency', () => {
  const codes = (xml: string, taxpayers = [{ ein: '471234561', nameControl: 'GANN' }]): string[] =>
    judgeForm941(xml, taxpayers, '2026-10-22').refusals.map((refusal) => refusal.code);
  it('accepts a return that adds up', () => expect(codes(return941())).toEqual([]));
  it.each<[string, string, string]>([
    ['R0000-922-01', 'GANN', 'OTHR'],
    ['R0000-031', '31415', ''],
    ['R0000-112', 'P00000001', '00000001'],
    ['F941-003', '502.20', '502.21'],
    ['F941-012', '859.67</TotalTaxAmt>', '859.66</TotalTaxAmt>'],
    ['F941-014', '<BalanceDueAmt>0.00', '<BalanceDueAmt>1.00'],
    ['R0000-098', '2026-09-30', '2026-12-31'],
  ])('refuses with %s', (code, from, to) => expect(codes(return941((xml) => xml.replace(from, to)))).toContain(code));
  it('refuses what is no XML', () => expect(codes('<Return>')).toEqual(['X0000-005']));
});

describe('the wage agency', () => {
  const blank = (): string[] => ' '.repeat(512).split('');
  const record = (...fields: [number, string][]): string => {
    const line = blank();
    for (const [from, text] of fields) [...text].forEach((sign, index) => (line[from - 1 + index] = sign));
    return line.join('');
  };
  const money = (value: number): string => String(value).padStart(11, '0');
  const worker = (ssn: string): string =>
    record(
      [1, 'RW'],
      [3, ssn],
      [12, 'WIL'],
      [42, 'SPRAGUE'],
      [188, money(100000)],
      [199, money(5000)],
      [210, money(100000)],
      [221, money(6200)],
      [232, money(100000)],
      [243, money(1450)],
      [287, money(0)],
      [441, money(0)],
    );
  const file = (people: string[], totals: Partial<Record<number, number>> = {}): string => {
    const sum = (value: number, position: number): [number, string] => [
      position,
      String(totals[position] ?? value * people.length).padStart(15, '0'),
    ];
    return [
      record([1, 'RA'], [12, 'BRKWTR01']),
      record([1, 'RE'], [3, '2026'], [8, '471234561'], [40, 'GANNET']),
      ...people.map(worker),
      record(
        [1, 'RT'],
        [3, String(people.length).padStart(7, '0')],
        sum(100000, 10),
        sum(5000, 25),
        sum(100000, 40),
        sum(6200, 55),
        sum(100000, 70),
        sum(1450, 85),
        sum(0, 145),
        sum(0, 370),
      ),
      record([1, 'RF'], [8, String(people.length).padStart(9, '0')]),
    ]
      .map((line) => `${line}\r\n`)
      .join('');
  };
  const codes = (content: string, refused: string[] = [], today = '2027-01-11'): string[] =>
    judgeWageFile(content, refused, today).refusals.map((refusal) => `${refusal.code} ${refusal.field}`);
  it('accepts a file that adds up', () => expect(codes(file(['899123401', '899123402']))).toEqual([]));
  it('names the record and the field it refuses', () =>
    expect(codes(file(['899123401', '900123402']))).toEqual(['RW-SSN RW 2 Social Security Number (SSN)']));
  it('checks names against its own records', () =>
    expect(codes(file(['899123401']), ['899123401'])).toEqual(['RW-NAME-MATCH RW 1 Employee Last Name']));
  it('finds a number twice, a total that differs, a year that is not over, a record that is too short', () => {
    expect(codes(file(['899123401', '899123401']))).toContain('RW-SSN-DUP RW 2 Social Security Number (SSN)');
    expect(codes(file(['899123401'], { 25: 1 }))).toEqual(['RT-TOTAL RT Federal Income Tax Withheld']);
    expect(codes(file(['899123401']), [], '2026-10-22')).toContain('RE-YEAR RE Tax Year');
    expect(codes(file(['899123401']).replace('RA', 'R'))).toEqual(['REC-LEN file']);
  });
  it('reads the rarer amounts behind a person, and their totals', () => {
    const other = record([1, 'RO'], [23, money(630)], [45, money(3000)]);
    const totals = (count: string, simple: number): string =>
      record([1, 'RU'], [3, count], [25, String(630).padStart(15, '0')], [55, String(simple).padStart(15, '0')]);
    const withRare = (lines: { other: string; total: string }): string => {
      const [submitter, employer, worker1, total, last] = file(['899123401']).split('\r\n');
      return [submitter, employer, worker1, lines.other, total, lines.total, last, ''].join('\r\n');
    };
    expect(codes(withRare({ other, total: totals('0000001', 3000) }))).toEqual([]);
    expect(codes(withRare({ other, total: totals('0000001', 2999) }))).toEqual([
      'RU-TOTAL RU Simple Retirement Account',
    ]);
    expect(codes(withRare({ other, total: totals('0000002', 3000) }))).toEqual(['RU-COUNT RU Number of RO Records']);
    expect(codes(withRare({ other: totals('0000001', 3000), total: other }))).toEqual(['REC-ORDER file']);
  });
});
