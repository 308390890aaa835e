import { describe, expect, it } from '@jest/globals';
import { XMLParser } from 'fast-xml-parser';
import { date } from '../../calendar/local-date.js';
import type { StateCode } from '../../jurisdictions/state.js';
import type { LedgerEntry } from '../../ledger/entry.js';
import { dollars, toDollars } from '../../money/cents.js';
import { filingFacts, filingInput, sendingOf } from '../../testing/filings.js';
import type { FilingInput, UnemploymentPay } from '../kind.js';
import { lineOf } from '../return-lines.js';
import { form940, type Form940, type LineId } from './form.js';
import { US_940 } from './kind.js';
import { write940 } from './file.js';

const pay = (
  employeeId: string,
  state: StateCode | null,
  paid: string,
  exempt: Record<string, string> = {},
  wages?: string,
): UnemploymentPay => {
  const out = Object.fromEntries(Object.entries(exempt).map(([item, amount]) => [item, dollars(amount)]));
  const subject = Object.values(out).reduce((left, amount) => left - amount, dollars(paid) as number);
  return {
    employeeId,
    state,
    paid: dollars(paid),
    exempt: out,
    subject: dollars(String(subject / 100)),
    wages: wages === undefined ? dollars(String(Math.min(subject, 700_000) / 100)) : dollars(wages),
  };
};
const owed = (day: string, amount: string, cause: LedgerEntry['cause'] = 'payroll'): LedgerEntry => ({
  employeeId: null,
  tax: 'US-FUTA',
  cause,
  liabilityDate: date(day),
  effectiveDate: date(day),
  subject: dollars('0'),
  wages: dollars('0'),
  amount: dollars(amount),
});
const make = (unemployment: UnemploymentPay[], more: Partial<FilingInput> = {}): Form940 =>
  form940(filingInput('2025', { unemployment, ...more }));
const lines = (form: Form940, ...ids: LineId[]) => ids.map((id) => `${id} ${toDollars(lineOf(form.lines, id))}`);

describe('Form 940 from the year’s pay', () => {
  // Instructions for Form 940, example for line 5: 44,000, 8,000 and 16,000 paid (recalled).
  it('line 5 is what each person has over 7,000', () =>
    expect(
      lines(
        make([pay('a', 'TX', '44000'), pay('b', 'TX', '8000'), pay('c', 'TX', '16000')]),
        '3',
        '4',
        '5',
        '6',
        '7',
        '8',
      ),
    ).toEqual(['3 68000.00', '4 0.00', '5 47000.00', '6 47000.00', '7 21000.00', '8 126.00']));
  it('line 4 is what is exempt, with the boxes that say why', () => {
    const form = make([
      pay('a', 'TX', '44000', { 'section-125-health': '1200', 'dependent-care': '500' }),
      pay('b', 'TX', '6000', { 'group-term-life': '40' }),
      pay('owner’s daughter', null, '5000', { regular: '5000' }),
    ]);
    expect(lines(form, '3', '4', '5', '7')).toEqual(['3 55000.00', '4 6740.00', '5 35300.00', '7 12960.00']);
    expect(form.exemptions).toEqual(['4a', '4b', '4d', '4e']);
  });
  it('one state is line 1a and has no Schedule A; several have one', () => {
    expect(make([pay('a', 'TX', '7000')])).toMatchObject({ state: 'TX', scheduleA: [] });
    const two = make([pay('a', 'TX', '7000'), pay('b', 'NJ', '3000')]);
    expect([two.state, two.scheduleA.map((row) => `${row.state} ${toDollars(row.wages)}`)]).toEqual([
      null,
      ['NJ 3000.00', 'TX 7000.00'],
    ]);
  });
  // Schedule A (Form 940) for 2025: California 0.012 (recalled).
  it('a credit reduction is wages of that state × its rate, line 11, and not in the ledger', () => {
    const form = make([pay('a', 'CA', '9000'), pay('b', 'TX', '7000')], { entries: [owed('2025-03-31', '84.00')] });
    expect(lines(form, '8', '11', '12', '16d', '17')).toEqual([
      '8 84.00',
      '11 84.00',
      '12 168.00',
      '16d 0.00',
      '17 0.00',
    ]);
    expect(form.besides).toBe(8400);
    expect(form.scheduleA.find((row) => row.state === 'CA')).toMatchObject({ rate: '0.012', reduction: 8400 });
  });
  it('more than 500 is shown by quarter, and what only the return adds belongs to the fourth', () => {
    const people = Array.from({ length: 8 }, (_, index) => pay(`p${index}`, 'CA', '7000'));
    const form = make(people, { entries: [owed('2025-03-31', '252.00'), owed('2025-06-30', '84.00')] });
    expect(lines(form, '8', '11', '12', '16a', '16b', '16c', '16d', '17')).toEqual([
      '8 336.00',
      '11 672.00',
      '12 1008.00',
      '16a 252.00',
      '16b 84.00',
      '16c 0.00',
      '16d 672.00',
      '17 1008.00',
    ]);
  });
  it('deposits and an overpayment applied stand in line 13; what is left is lines 14 or 15', () => {
    const entries = [owed('2025-03-31', '42.00'), owed('2025-03-31', '-42.00', 'payment')];
    expect(lines(make([pay('a', 'TX', '7000')], { entries }), '13', '14', '15')).toEqual([
      '13 42.00',
      '14 0.00',
      '15 0.00',
    ]);
    const applied = { entries, entered: { overpaymentApplied: dollars('10.00') } };
    expect(lines(make([pay('a', 'TX', '7000')], applied), '13', '14', '15')).toEqual([
      '13 52.00',
      '14 0.00',
      '15 10.00',
    ]);
  });
});

describe('credit lost (Form 940, lines 9 and 10, and its worksheet)', () => {
  it('all wages outside the states’ laws: 5.4% on line 9', () =>
    expect(lines(make([pay('a', null, '7000')]), '8', '9', '10', '12')).toEqual([
      '8 42.00',
      '9 378.00',
      '10 0.00',
      '12 420.00',
    ]));
  it('some outside: the credit is what was paid to the states with the additional credit', () => {
    // Line 7: 14,000, at most 756.00. Texas at 2.7% on 7,000: 189.00 paid and 189.00 additional.
    const contributions = [{ state: 'TX', wages: dollars('7000'), owed: dollars('189'), late: dollars('0') }] as const;
    expect(lines(make([pay('a', null, '7000'), pay('b', 'TX', '7000')], { contributions }), '9', '10')).toEqual([
      '9 0.00',
      '10 378.00',
    ]);
  });
  it('what was paid late counts for 90%', () => {
    // At most 378.00; additional 189.00; 189.00 late give 170.10: 18.90 are lost.
    const contributions = [
      { state: 'TX', wages: dollars('7000'), owed: dollars('189'), late: dollars('189') },
    ] as const;
    expect(lines(make([pay('b', 'TX', '7000')], { contributions }), '10')).toEqual(['10 18.90']);
  });
  it('a state whose rate is over 5.4% gives no more than the most', () => {
    const contributions = [{ state: 'TX', wages: dollars('9000'), owed: dollars('540'), late: dollars('0') }] as const;
    const form = make([pay('a', null, '100'), pay('b', 'TX', '7000')], { contributions });
    expect(lines(form, '10')).toEqual(['10 0.00']);
  });
});

describe('checks before Form 940', () => {
  const codes = (form: Form940, today = '2026-01-12') =>
    US_940.check(form, filingFacts('2025', today)).map((issue) => `${issue.code} ${issue.field}`);
  it('a sound return has none', () => expect(codes(make([pay('a', 'TX', '7000')]))).toEqual([]));
  it('is not released before the year is over', () =>
    expect(codes(make([pay('a', 'TX', '7000')]), '2025-12-31')).toEqual(['check.period-open period']));
  it('a year whose credit reductions are not published cannot be filed', () => {
    const of2026 = form940(filingInput('2026', { unemployment: [pay('a', 'CA', '7000')] }));
    expect(US_940.check(of2026, filingFacts('2026', '2027-01-11')).map((issue) => issue.code)).toEqual([
      'check.credit-reduction',
    ]);
  });
  it('a line below zero is named', () =>
    expect(codes(make([{ ...pay('a', 'TX', '0'), paid: dollars('-5.00') }]))).toContain(
      'check.line-below-zero line.3',
    ));
});

describe('when Form 940 is due', () => {
  const { period } = filingInput('2025');
  it('January 31, and February 10 where all tax was deposited on time', () =>
    // January 31, 2026, is a Saturday.
    expect([US_940.due(period).due, US_940.laterWhenDeposited?.(period)]).toEqual(['2026-02-02', '2026-02-10']));
  it('nonprofits and household employers do not file it', () => {
    const { employer } = filingInput('2025');
    expect(US_940.files({ ...employer, isWithoutUnemployment: true }).is).toBe(false);
    expect(US_940.files({ ...employer, form: 'schedule-h' }).is).toBe(false);
    expect(US_940.files({ ...employer, form: '943' }).is).toBe(true);
  });
});

describe('the XML of Form 940', () => {
  it('an independent reader finds lines, boxes, quarters and Schedule A', () => {
    const people = Array.from({ length: 8 }, (_, index) => pay(`p${index}`, 'CA', '8000', { 'dependent-care': '100' }));
    const form = make([...people, pay('t', 'TX', '7000')], {
      entries: [owed('2025-03-31', '378.00')],
      employer: { ...filingInput('2025').employer, isSuccessor: true, lastWages: date('2025-11-28') },
    });
    const xml = write940(form, sendingOf(filingFacts('2025', '2026-01-12')));
    const { Return } = new XMLParser({ parseTagValue: false }).parse(xml) as {
      Return: { ReturnHeader: object; ReturnData: { IRS940: object; IRS940ScheduleA: { StateGrp: object[] } } };
    };
    expect(Return.ReturnHeader).toMatchObject({ ReturnTypeCd: '940', TaxYr: '2025', TaxPeriodEndDt: '2025-12-31' });
    expect(Return.ReturnData.IRS940).toMatchObject({
      SuccessorEmployerInd: 'X',
      FinalBusinessClosedInd: 'X',
      MultiStateContributionInd: 'X',
      CreditReductionInd: 'X',
      TotalWagesAmt: '71000.00',
      DependentCareInd: 'X',
      TotalTaxableWagesAmt: '63000.00',
      CreditReductionAmt: '672.00',
      FUTATaxAfterAdjustmentsAmt: '1050.00',
      QuarterlyLiabilityGrp: { Quarter1LiabilityAmt: '378.00', Quarter4LiabilityAmt: '672.00' },
    });
    expect(Return.ReturnData.IRS940ScheduleA).toMatchObject({
      StateGrp: [
        {
          StateAbbreviationCd: 'CA',
          FUTATaxableWagesAmt: '56000.00',
          ReductionRt: '0.012',
          CreditReductionAmt: '672.00',
        },
        { StateAbbreviationCd: 'TX', FUTATaxableWagesAmt: '7000.00', CreditReductionAmt: '0.00' },
      ],
      TotalCreditReductionAmt: '672.00',
    });
  });
});
