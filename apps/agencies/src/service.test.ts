import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bankDaysAfter, isBankOpen } from './calendar.js';
import { judgeReturn } from './returns/return-reader.js';
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
    ['F-LEN', 'nonsense'],
    ['F-BLOCK', 'x'.repeat(94)],
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
  /** The tax payment with other signs at a place of a record. */
  const changed = (which: number, from: number, text: string): string =>
    ach()
      .split('\r\n')
      .map((line, index) =>
        index === which ? line.slice(0, from - 1) + text + line.slice(from - 1 + text.length) : line,
      )
      .join('\r\n');
  const txp = (information: string): string => changed(3, 4, information.padEnd(80));
  // Nacha Operating Rules, Appendix Three, field by field; the TXP convention of the Federation of Tax Administrators (recalled).
  it.each<[string, string, string]>([
    ['F-HEAD', 'priority code', changed(0, 2, '02')],
    ['F-HEAD', 'destination without its blank', changed(0, 4, '000000123 ')],
    ['F-HEAD', 'destination with a wrong check digit', changed(0, 4, ' 000000124')],
    ['F-HEAD', 'no origin', changed(0, 14, ' '.repeat(10))],
    ['F-HEAD', 'created on no day', changed(0, 24, '261322')],
    ['F-HEAD', 'created at no time', changed(0, 30, '2561')],
    ['F-HEAD', 'file ID modifier', changed(0, 34, 'a')],
    ['F-HEAD', 'record size', changed(0, 35, '095')],
    ['F-HEAD', 'format code', changed(0, 40, '2')],
    ['F-CHAR', 'a sign outside the set', changed(0, 41, 'É')],
    ['E-CODE', 'a credit in a batch of debits', changed(1, 2, '225')],
    ['B-FLD', 'no company name', changed(1, 5, ' '.repeat(16))],
    ['B-FLD', 'no description', changed(1, 54, ' '.repeat(10))],
    ['B-DATE', 'effective on no day', changed(1, 70, '261032')],
    ['B-FLD', 'a settlement date', changed(1, 76, '296')],
    ['B-FLD', 'originator status', changed(1, 79, '2')],
    ['B-NUM', 'batch number', changed(1, 88, '0000007')],
    ['E-CODE', 'a debit', changed(2, 2, '27')],
    ['E-RTN', 'routing number', changed(2, 12, '8')],
    ['E-ACC', 'no account', changed(2, 13, ' '.repeat(17))],
    ['E-FLD', 'an amount with blanks', changed(2, 30, '     10000')],
    ['E-FLD', 'no receiver', changed(2, 55, ' '.repeat(22))],
    ['E-ADD', 'an addenda that is not announced', changed(2, 79, '0')],
    ['E-TRC', 'trace of another bank', changed(2, 80, '00000099')],
    ['A-FLD', 'addenda type', changed(3, 2, '99')],
    ['A-FLD', 'addenda sequence', changed(3, 84, '0002')],
    ['A-SEQ', 'addenda of another entry', changed(3, 88, '0000002')],
    ['E-ADD', 'no TXP', txp('TAX*471234561*94105*261231*1*0000010000\\')],
    ['E-TXP', 'no end', txp('TXP*471234561*94105*261231*1*0000010000')],
    ['E-TXP', 'no taxpayer', txp('TXP**94105*261231*1*0000010000\\')],
    ['E-TXP', 'a tax type too long', txp('TXP*471234561*941050*261231*1*0000010000\\')],
    ['E-TXP', 'a period that is no day', txp('TXP*471234561*94105*261331*1*0000010000\\')],
    ['E-TXP', 'no amount', txp('TXP*471234561*94105*261231\\')],
    ['E-TXP', 'an amount with a point', txp('TXP*471234561*94105*261231*1*100.00\\')],
    ['E-TXP', 'no amount type', txp('TXP*471234561*94105*261231**0000010000\\')],
    ['E-TXP', 'four amounts', txp('TXP*471234561*94105*261231*1*2500*2*2500*3*2500*4*2500\\')],
    ['C-FLD', 'another company in the control', changed(4, 45, '1471234562')],
    ['C-FLD', 'another bank in the control', changed(4, 80, '00000099')],
    ['C-FLD', 'another batch number in the control', changed(4, 88, '0000002')],
    ['F-TOT', 'debits in the control', changed(4, 21, '000000000001')],
    ['F-CNT', 'entry count', changed(4, 5, '000003')],
    ['F-HASH', 'entry hash', changed(4, 11, '0000000011')],
    ['F-CTL', 'batch count', changed(5, 2, '000002')],
    ['F-CTL', 'block count', changed(5, 8, '000002')],
    ['F-CNT', 'file entry count', changed(5, 14, '00000003')],
    ['F-HASH', 'file hash', changed(5, 22, '0000000011')],
    ['F-TOT', 'file total', changed(5, 44, '000000010001')],
    ['F-CTL', 'something in the reserve', changed(5, 60, 'X')],
    ['F-CTL', 'no file control', changed(5, 1, '9'.repeat(94))],
    ['F-ORDER', 'no batch control', changed(4, 1, '9'.repeat(94))],
  ])('refuses with %s: %s', async (code, _, content) => {
    expect(await send(`refused ${(refusals += 1)}`, content)).toMatchObject({ state: 'rejected', code, isFinal: true });
  });
  it('takes other line ends, and one to three amounts', async () => {
    for (const content of [
      ach().replaceAll('\r\n', '\n'),
      ach().replaceAll('\r\n', ''),
      txp('TXP*471234561*94105*261231*1*5000*2*3000*3*2000\\'),
    ])
      expect(await send(`taken ${(refusals += 1)}`, content)).toMatchObject({ state: 'received' });
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
  it('takes debits in a batch of their own, gives one back without money behind it, and states what moved', async () => {
    const debits = (account: string, company = '1471234568'): string =>
      personal({ code: '27', account, effective: '261030' })
        .replace('5220YARD', '5225YARD')
        .replace('8220000001', '8225000001')
        .replaceAll(`${'0'.repeat(12)}${'10000'.padStart(12, '0')}`, `${'10000'.padStart(12, '0')}${'0'.repeat(12)}`)
        .replaceAll('1471234561', company);
    expect(await send('d0', debits('5500').replace('5225YARD', '5220YARD'))).toMatchObject({ code: 'E-CODE' });
    const post = async (key: string, content: string, name: string): Promise<string> => {
      const taken = await fetch(`${url}/bank/files`, {
        method: 'POST',
        headers: { 'Idempotency-Key': key, 'X-File-Name': name },
        body: content,
      });
      return ((await taken.json()) as { reference: string }).reference;
    };
    await post('d1', debits('5500'), 'ZC1.ach');
    const poor = await post('d2', debits('55000401'), 'ZC2.ach');
    await fetch(`${url}/console/transfer`, {
      method: 'POST',
      redirect: 'manual',
      body: new URLSearchParams({ company: '1471234568', amount: '-12.50', reference: 'FEE1' }),
    });
    const move = (today: string): Promise<unknown> =>
      fetch(`${url}/console/date`, { method: 'POST', redirect: 'manual', body: new URLSearchParams({ today }) });
    const statement = async (day: string): Promise<string[]> =>
      (await (await fetch(`${url}/bank/statements/1471234568?day=${day}`)).text())
        .split('\r\n')
        .filter((line) => /^(03|16)/.test(line))
        .map((line) => line.replace(/BNK\d+,/, ''));
    await move('2026-10-30');
    expect(await statement('2026-10-30')).toEqual([
      '03,1471234568,USD,015,18750,,/',
      '16,142,10000,Z,ZC1,ACH SETTLEMENT/',
      '16,142,10000,Z,ZC2,ACH SETTLEMENT/',
    ]);
    await move('2026-11-02');
    expect(await (await fetch(`${url}/bank/files/${poor}`)).json()).toMatchObject({
      state: 'settled',
      entries: [{ code: 'R01' }],
    });
    expect(await statement('2026-11-02')).toEqual([
      '03,1471234568,USD,015,8750,,/',
      '16,557,10000,Z,ZC2,000000120000001 RETURN R01/',
    ]);
    expect((await fetch(`${url}/bank/statements/1471234568?day=2027-01-01`)).status).toBe(400);
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
  change(`<?xml version="1.0"?><Return><ReturnHeader><TaxPeriodEndDt>2026-09-30</TaxPeriodEndDt><ReturnTypeCd>941</ReturnTypeCd><Filer><EIN>471234561</EIN><BusinessNameControlTxt>GANN</BusinessNameControlTxt></Filer>
    <BusinessOfficerGrp><TaxpayerPIN>31415</TaxpayerPIN></BusinessOfficerGrp><PreparerPersonGrp><PTIN>P00000001</PTIN></PreparerPersonGrp></ReturnHeader><ReturnData><IRS941>
    <FederalIncomeTaxWithheldAmt>240.00</FederalIncomeTaxWithheldAmt><SocialSecurityTaxCashWagesAmt>4050.00</SocialSecurityTaxCashWagesAmt><SocialSecurityTaxAmt>502.20</SocialSecurityTaxAmt>
    <TaxableMedicareWagesTipsAmt>4050.00</TaxableMedicareWagesTipsAmt><TaxOnMedicareWagesTipsAmt>117.45</TaxOnMedicareWagesTipsAmt><TaxableWagesTipsSubjAddnlMedAmt>0.00</TaxableWagesTipsSubjAddnlMedAmt><TaxOnWageTipsSubjAddnlMedcrAmt>0.00</TaxOnWageTipsSubjAddnlMedcrAmt>
    <TotSocialSecurityMedicareTaxAmt>619.65</TotSocialSecurityMedicareTaxAmt><TotalTaxBeforeAdjustmentAmt>859.65</TotalTaxBeforeAdjustmentAmt><CurrentQtrFractionsCentsAmt>0.02</CurrentQtrFractionsCentsAmt><TotalTaxAmt>859.67</TotalTaxAmt>
    <TotalTaxDepositAmt>859.67</TotalTaxDepositAmt><BalanceDueAmt>0.00</BalanceDueAmt><OverpaidAmt>0.00</OverpaidAmt></IRS941></ReturnData></Return>`);

describe('the tax agency', () => {
  const codes = (xml: string, taxpayers = [{ ein: '471234561', nameControl: 'GANN' }]): string[] =>
    judgeReturn(xml, taxpayers, '2026-10-22').refusals.map((refusal) => refusal.code);
  it('accepts a return that adds up', () => expect(codes(return941())).toEqual([]));
  it.each<[string, string, string[]]>([
    ['somebody with a PIN', '<DiscussWithThirdPartyYesInd>X</DiscussWithThirdPartyYesInd><ThirdPartyDesigneePIN>24680</ThirdPartyDesigneePIN>', []],
    ['nobody', '<DiscussWithThirdPartyNoInd>X</DiscussWithThirdPartyNoInd>', []],
    ['somebody without a PIN', '<DiscussWithThirdPartyYesInd>X</DiscussWithThirdPartyYesInd>', ['R0000-151']],
    ['both', '<DiscussWithThirdPartyYesInd>X</DiscussWithThirdPartyYesInd><DiscussWithThirdPartyNoInd>X</DiscussWithThirdPartyNoInd><ThirdPartyDesigneePIN>24680</ThirdPartyDesigneePIN>', ['R0000-150']],
  ])('may ask %s about it', (_who, group, refused) =>
    expect(codes(return941((xml) => xml.replace('</ReturnHeader>', `<ThirdPartyDesigneeGrp>${group}</ThirdPartyDesigneeGrp></ReturnHeader>`)))).toEqual(refused)); // prettier-ignore
  it.each<[string, string, string]>([
    ['R0000-922-01', 'GANN', 'OTHR'],
    ['R0000-031', '31415', ''],
    ['R0000-112', 'P00000001', '00000001'],
    ['F941-003', '502.20', '502.21'],
    ['F941-012', '859.67</TotalTaxAmt>', '859.66</TotalTaxAmt>'],
    ['F941-014', '<BalanceDueAmt>0.00', '<BalanceDueAmt>1.00'],
    ['R0000-098', '2026-09-30', '2026-12-31'],
  ])('refuses with %s', (code, from, to) => expect(codes(return941((xml) => xml.replace(from, to)))).toContain(code));
  it('refuses a type of return that it does not take, and a balance paid with more than is owed', () => {
    expect(codes(return941((xml) => xml.replace('<ReturnTypeCd>941', '<ReturnTypeCd>9410')))).toContain('R0000-904-03');
    const payment = (amount: string, on: string) =>
      return941((xml) =>
        xml.replace(
          '</ReturnData>',
          `<IRSPayment><RoutingTransitNum>000000123</RoutingTransitNum><BankAccountNum>1</BankAccountNum><PaymentAmt>${amount}</PaymentAmt><RequestedPaymentDt>${on}</RequestedPaymentDt></IRSPayment></ReturnData>`,
        ),
      );
    expect(codes(payment('0.00', '2026-10-30'))).toEqual([]);
    expect(codes(payment('0.01', '2026-10-21'))).toEqual(['FPYMT-072', 'FPYMT-086']);
  });
  const return940 = (change: (xml: string) => string = (xml) => xml): string =>
    change(`<?xml version="1.0"?><Return><ReturnHeader><TaxPeriodEndDt>2025-12-31</TaxPeriodEndDt><ReturnTypeCd>940</ReturnTypeCd>
<Filer><EIN>471234561</EIN><BusinessNameControlTxt>GANN</BusinessNameControlTxt></Filer><BusinessOfficerGrp><TaxpayerPIN>31415</TaxpayerPIN></BusinessOfficerGrp>
<PreparerPersonGrp><PTIN>P00000001</PTIN></PreparerPersonGrp></ReturnHeader><ReturnData><IRS940><MultiStateContributionInd>X</MultiStateContributionInd>
<TotalWagesAmt>71000.00</TotalWagesAmt><ExemptWagesAmt>1000.00</ExemptWagesAmt><WagesOverLimitAmt>7000.00</WagesOverLimitAmt>
<TotalExemptWagesAmt>8000.00</TotalExemptWagesAmt><TotalTaxableWagesAmt>63000.00</TotalTaxableWagesAmt><FUTATaxBeforeAdjustmentsAmt>378.00</FUTATaxBeforeAdjustmentsAmt>
<MaximumCreditAmt>0.00</MaximumCreditAmt><AdjustmentsToFUTATaxAmt>0.00</AdjustmentsToFUTATaxAmt><CreditReductionAmt>672.00</CreditReductionAmt>
<FUTATaxAfterAdjustmentsAmt>1050.00</FUTATaxAfterAdjustmentsAmt><TotalTaxDepositedAmt>378.00</TotalTaxDepositedAmt><BalanceDueAmt>672.00</BalanceDueAmt>
<OverpaymentAmt>0.00</OverpaymentAmt><OtherExemptPaymentsInd>X</OtherExemptPaymentsInd><QuarterlyLiabilityGrp><Quarter1LiabilityAmt>378.00</Quarter1LiabilityAmt>
<Quarter4LiabilityAmt>672.00</Quarter4LiabilityAmt></QuarterlyLiabilityGrp></IRS940><IRS940ScheduleA>
<StateGrp><StateAbbreviationCd>CA</StateAbbreviationCd><FUTATaxableWagesAmt>56000.00</FUTATaxableWagesAmt><ReductionRt>0.012</ReductionRt><CreditReductionAmt>672.00</CreditReductionAmt></StateGrp>
<StateGrp><StateAbbreviationCd>TX</StateAbbreviationCd><FUTATaxableWagesAmt>7000.00</FUTATaxableWagesAmt><ReductionRt>0</ReductionRt><CreditReductionAmt>0.00</CreditReductionAmt></StateGrp>
<TotalCreditReductionAmt>672.00</TotalCreditReductionAmt></IRS940ScheduleA></ReturnData></Return>`);
  it('accepts a Form 940 that adds up', () => expect(codes(return940())).toEqual([]));
  it.each<[string, string, string]>([
    ['F940-004', '<OtherExemptPaymentsInd>X</OtherExemptPaymentsInd>', ''],
    ['F940-006', '<TotalExemptWagesAmt>8000.00', '<TotalExemptWagesAmt>8000.01'],
    ['F940-007', '<TotalTaxableWagesAmt>63000.00', '<TotalTaxableWagesAmt>62000.00'],
    ['F940-008', '<FUTATaxBeforeAdjustmentsAmt>378.00', '<FUTATaxBeforeAdjustmentsAmt>378.01'],
    ['F940-009', '<MaximumCreditAmt>0.00', '<MaximumCreditAmt>1.00'],
    ['F940-012', '<FUTATaxAfterAdjustmentsAmt>1050.00', '<FUTATaxAfterAdjustmentsAmt>1049.99'],
    ['F940-014', '<BalanceDueAmt>672.00', '<BalanceDueAmt>600.00'],
    ['F940-017', '<Quarter1LiabilityAmt>378.00', '<Quarter1LiabilityAmt>377.00'],
    ['F940-021', '<ReductionRt>0.012', '<ReductionRt>0.015'],
    ['F940-023', '<FUTATaxableWagesAmt>7000.00', '<FUTATaxableWagesAmt>7000.01'],
  ])('refuses a Form 940 with %s', (code, from, to) =>
    expect(codes(return940((xml) => xml.replace(from, to)))).toContain(code),
  );
  it('asks for Schedule A with several states or a credit reduction', () =>
    expect(codes(return940((xml) => xml.replace(/<IRS940ScheduleA>[^]*<\/IRS940ScheduleA>/, '')))).toEqual([
      'F940-020',
    ]));
  it('refuses what is no XML', () => expect(codes('<Return>')).toEqual(['X0000-005']));
});

describe('the wage agency', () => {
  const blank = (): string[] => ' '.repeat(512).split('');
  /** Where amounts stand, written as zeros where there is none (Publication 42-007, recalled). */
  const ZEROS: Readonly<Record<string, readonly [from: number, to: number][]>> = {
    RW: [
      [188, 264],
      [276, 341],
      [353, 396],
      [408, 484],
      [486, 486],
      [488, 489],
    ],
    RO: [
      [12, 99],
      [111, 143],
    ],
    RT: [
      [10, 114],
      [130, 219],
      [235, 414],
    ],
    RU: [
      [10, 129],
      [145, 189],
    ],
  };
  const record = (...fields: [number, string][]): string => {
    const line = blank();
    for (const [from, to] of ZEROS[fields[0]?.[1] ?? ''] ?? []) line.fill('0', from - 1, to);
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
      [110, 'SALTMARSH'],
      [132, 'NY13999'],
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
      record(
        [1, 'RA'],
        [3, '401234568'],
        [12, 'BRKWTR01'],
        [29, '0'],
        [36, '98'],
        [38, 'BREAKWATER'],
        [139, 'SALTMARSH'],
        [161, 'NY13999'],
        [217, 'BREAKWATER'],
        [318, 'SALTMARSH'],
        [340, 'NY13999'],
        [396, 'ODILE MARRACK'],
        [423, '3155550110'],
        [446, 'DESK@BREAKWATER.EXAMPLE'],
        [500, 'A'],
      ),
      record(
        [1, 'RE'],
        [3, '2026'],
        [8, '471234561'],
        [26, '0'],
        [40, 'GANNET'],
        [141, 'SALTMARSH'],
        [163, 'NY13999'],
        [174, 'N'],
        [219, 'R'],
        [221, '0'],
      ),
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
  /** The file with other signs at a place of a record. */
  const changed = (which: number, from: number, text: string): string =>
    file(['899123401', '899123402'])
      .split('\r\n')
      .map((line, index) =>
        index === which ? line.slice(0, from - 1) + text + line.slice(from - 1 + text.length) : line,
      )
      .join('\r\n');
  it.each<[string, number, number, string]>([
    ["RA-FLD RA Submitter's EIN", 0, 3, '40123456 '],
    ['RA-USER RA User Identification', 0, 12, '        '],
    ['RA-FLD RA Resub Indicator', 0, 29, ' '],
    ['RA-RESUB RA Resub Wage File Identifier (WFID)', 0, 29, '1'],
    ['RA-RESUB RA Resub Wage File Identifier (WFID)', 0, 30, 'ABC123'],
    ['RA-FLD RA Software Code', 0, 36, '97'],
    ['RA-FLD RA Company Name', 0, 38, ' '.repeat(57)],
    ['RA-FLD RA State Abbreviation', 0, 161, 'ZZ'],
    ['RA-FLD RA Contact Phone Number', 0, 423, ' '.repeat(15)],
    ['RA-FLD RA Contact E-Mail/Internet', 0, 446, ' '.repeat(40)],
    ['RA-FLD RA Preparer Code', 0, 500, 'Z'],
    ['RA-FLD RA Blank', 0, 24, 'X'],
    ['RE-FLD RE Tax Year', 1, 3, '20 6'],
    ['RE-FLD RE Terminating Business Indicator', 1, 26, 'Y'],
    ['RE-EIN RE EIN', 1, 8, '4712345-1'],
    ['RE-NAME RE Employer Name', 1, 40, ' '.repeat(57)],
    ['RE-ADDR RE State Abbreviation', 1, 163, '       '],
    ['RE-FLD RE Kind of Employer', 1, 174, ' '],
    ['RE-FLD RE Employment Code', 1, 219, 'Z'],
    ['RE-FLD RE Third-Party Sick Pay Indicator', 1, 221, ' '],
    ['RE-FLD RE Blank', 1, 400, '1'],
    ['RW-FLD RW 1 City', 2, 110, ' '.repeat(22)],
    ['RW-ADDR RW 1 State Abbreviation', 2, 186, 'FR'],
    ['RW-NAME RW 1 Employee Last Name', 2, 42, 'SPR@GUE'],
    ['RW-FLD RW 1 Employee Middle Name or Initial', 2, 27, ' X'],
    ['RW-FLD RW 1 Wages, Tips and Other Compensation', 2, 188, '     100000'],
    ['RW-FLD RW 1 Social Security Tips', 2, 254, ' '.repeat(11)],
    ['RW-FIT RW 1 Federal Income Tax Withheld', 2, 199, '00000100001'],
    ['RW-MCT RW 1 Medicare Tax Withheld', 2, 243, '00000000100'],
    ['RW-MCW RW 1 Medicare Wages and Tips', 2, 232, '00000099999'],
    ['RW-SST RW 1 Social Security Tax Withheld', 2, 221, '00000007000'],
    ['RW-SSW-MAX RW 1 Social Security Wages', 2, 210, '00018450001'],
    ['RW-FLD RW 1 Retirement Plan Indicator', 2, 488, 'X'],
    ['RW-FLD RW 1 Blank', 2, 265, '00000000001'],
    ['RT-TOTAL RT Section 403(b)', 2, 298, '00000000001'],
    ['RT-TOTAL RT QSEHRA', 2, 474, '00000000001'],
    ['RT-COUNT RT Number of RW Records', 4, 3, '0000001'],
    ['RT-FLD RT Blank', 4, 220, '1'],
    ['RF-COUNT RF Number of RW Records', 5, 8, '000000003'],
    ['RF-FLD RF Blank', 5, 100, 'X'],
  ])('finds %s', (code, which, from, text) => expect(codes(changed(which, from, text))).toContain(code));
  it('takes several employers, state records, and other line ends', () => {
    const [submitter = '', employer = '', one = '', two = '', total = '', last = ''] = file([
      '899123401',
      '899123402',
    ]).split('\r\n');
    const state = record([1, 'RS'], [3, '36'], [10, '899123401'], [19, 'WIL'], [49, 'SPRAGUE']);
    const other = employer.replace('471234561', '481234567');
    const both = last.replace('000000002', '000000004');
    const many = [submitter, employer, one, state, two, total, other, one, two, total, both];
    for (const end of ['\r\n', '\n', '']) expect(codes(many.join(end))).toEqual([]);
    expect(
      codes(many.map((line) => (line === state ? state.replace('899123401', '899123402') : line)).join('\n')),
    ).toEqual(['RS-SSN RW 1 RS']);
    expect(codes([submitter, one, employer, two, total, last].join('\n'))).toEqual(['REC-ORDER file']);
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
