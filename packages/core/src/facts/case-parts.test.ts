import { describe, expect, it } from '@jest/globals';
import { runCase } from '../casefile/run-case.js';
import type { JsonObject } from '../casefile/reader.js';
import { date } from '../calendar/local-date.js';
import { PAY_FREQUENCIES, type PayFrequency } from '../calendar/pay-frequency.js';
import { ZERO, cents, dollars } from '../money/cents.js';
import {
  employeePart,
  employerPart,
  leavePart,
  otherRates,
  ownItems,
  settingsPart,
  usualLines,
  type Taken,
} from './case-parts.js';
import { newestFirst, type DatedFact } from './in-force.js';
import { clientOnDay, personOnDay, placeOf } from './on-day.js';
import { paySpans, shareByWorkdays, type EmployedPeriod } from './period-pay.js';

const DAY = '2026-06-12';
let next = 0;
const fact = (kind: string, value: Record<string, unknown>, from = '2026-01-01'): DatedFact => ({
  id: String((next += 1)),
  kind,
  from,
  value,
});
const person = (...facts: DatedFact[]) => personOnDay(newestFirst(facts), DAY);
const client = (...facts: DatedFact[]) => clientOnDay(newestFirst(facts), DAY);
const nothingTaken: Taken = () => ZERO;
/** A period of a day: nothing changes inside it. */
const oneDay = (facts: DatedFact[]) =>
  paySpans(newestFirst(facts), { start: date(DAY), end: date(DAY), hiredOn: null, lastDay: null });
const usual = (facts: DatedFact[], frequency: PayFrequency = 'biweekly', of = client(), taken = nothingTaken) =>
  usualLines(person(...facts), of, frequency, taken, oneDay(facts));

const HOURLY = fact('pay', { basis: 'hourly', rate: '22.50' });
const PLACE = fact('place', { work: 'NY', residence: 'NY' });

describe('what a person is usually paid', () => {
  it.each<[PayFrequency, string]>([
    ['weekly', '40'],
    ['biweekly', '80'],
    // Common practice: a full-time year of 2,080 hours.
    ['semimonthly', '86.67'],
    ['monthly', '173.33'],
    ['quarterly', '520'],
    ['annually', '2080'],
  ])('hourly and %s: full-time hours where none are said', (frequency, hours) =>
    expect(usual([HOURLY], frequency).earnings).toEqual([{ item: 'regular', hours, rate: '22.50' }]),
  );
  it('the hours of the schedule stand before that, those of the person before both', () => {
    const schedule = client(
      fact('schedule', { frequency: 'weekly', periodEnd: DAY, whenClosed: 'before', hours: '37.5' }),
    );
    expect(usual([HOURLY], 'weekly', schedule).earnings[0]?.hours).toBe('37.5');
    const own = fact('pay', { basis: 'hourly', rate: '22.50', hours: '24' });
    expect(usual([own], 'weekly', schedule).earnings[0]?.hours).toBe('24');
  });
  it.each<[PayFrequency, PayFrequency, string, string]>([
    // 3,190.00 a month paid weekly: 38,280 ÷ 52 = 736.1538.
    ['monthly', 'weekly', '3190.00', '736.15'],
    ['annually', 'biweekly', '64000.00', '2461.54'],
    ['weekly', 'monthly', '900.00', '3900.00'],
    ['biweekly', 'biweekly', '2750.00', '2750.00'],
  ])('a salary of one frequency (%s) paid %s', (frequency, paid, amount, expected) =>
    expect(usual([fact('pay', { basis: 'salary', amount, frequency })], paid).earnings).toEqual([
      { item: 'salary', amount: expected },
    ]),
  );
  it.each(['commission', 'none'])('nothing stands for %s', (basis) =>
    expect(usual([fact('pay', { basis })])).toEqual({ earnings: [], deductions: [] }),
  );
  it('without any pay there is nothing', () => expect(usual([])).toEqual({ earnings: [], deductions: [] }));

  it('lines of every check are earnings or deductions by their item, those of the client by what they are like', () => {
    const items = client(
      fact('pay-item', { code: 'boots', label: 'Boots', like: 'after-tax', perYear: '300.00' }),
      fact('pay-item', { code: 'stand-by', label: 'Stand-by', like: 'regular' }),
    );
    const lines = usual(
      [
        HOURLY,
        fact('standing', { item: 'stand-by', hours: '4', rate: '12.00' }),
        fact('standing', { item: 'boots', amount: '20.00' }),
        fact('standing', { item: '401k', percent: '6', perCheck: '200.00' }),
      ],
      'biweekly',
      items,
    );
    expect(lines.earnings.at(-1)).toEqual({ item: 'stand-by', hours: '4', rate: '12.00' });
    expect(lines.deductions).toEqual([
      { item: 'boots', amount: '20.00', perYear: '300.00' },
      { item: '401k', percent: '6', perCheck: '200.00' },
    ]);
  });
  it('a limit of the line stands before that of its item', () => {
    const items = client(fact('pay-item', { code: 'boots', label: 'Boots', like: 'after-tax', perYear: '300.00' }));
    const line = fact('standing', { item: 'boots', amount: '20.00', perYear: '100.00' });
    expect(usual([line], 'biweekly', items).deductions[0]?.perYear).toBe('100.00');
  });
  it('a balance is what is left of it, and never below nothing', () => {
    const loan = fact('standing', { item: 'loan', amount: '90.00', balance: '150.00' });
    const left = (taken: string) => usual([loan], 'biweekly', client(), () => dollars(taken)).deductions[0]?.balance;
    expect([left('0.00'), left('90.00'), left('150.00'), left('180.00')]).toEqual(['150.00', '60.00', '0.00', '0.00']);
  });
  it('a line of its own stands before one of the same item in an older record of pay', () => {
    const pay = fact('pay', { basis: 'none', deductions: [{ item: '401k', amount: '50.00' }] });
    expect(usual([pay, fact('standing', { item: '401k', percent: '4' })]).deductions).toEqual([
      { item: '401k', percent: '4' },
    ]);
    expect(usual([pay]).deductions).toEqual([{ item: '401k', amount: '50.00' }]);
  });
});

describe('who a person is to the rules', () => {
  it('without a Form W-4 is single without adjustments (Publication 15, section 9)', () =>
    expect(employeePart(person(PLACE), null, [], nothingTaken)['federal']).toEqual({
      form: '2020',
      filingStatus: 'single',
    }));
  it('is exempt from what the client is exempt from, and from what is recorded of it', () => {
    const worker = fact('worker', {
      kind: 'clergy',
      priorYearWages: '151000.00',
      exemptFrom: [
        { tax: 'NY-SDI', reason: 'owner' },
        { tax: 'US-FUTA', reason: 'too' },
      ],
    });
    expect(employeePart(person(PLACE, worker), '1970-05-04', ['US-FUTA'], nothingTaken)).toMatchObject({
      kind: 'clergy',
      priorYearWages: '151000.00',
      birthDate: '1970-05-04',
      exemptFrom: ['US-FUTA', 'NY-SDI'],
    });
  });
  it('has orders with what is left of them, and nothing blank', () => {
    const order = fact('garnishment', {
      label: 'D-1',
      kind: 'creditor',
      amount: '50.00',
      balance: '100.00',
      headOfFamily: true,
      payee: 'Clerk',
      fee: '',
    });
    const part = employeePart(person(PLACE, order), null, [], (_kind, _fact, span) =>
      cents(span === 'year' ? 1200 : 3000),
    );
    expect(part['garnishments']).toEqual([
      { label: 'D-1', kind: 'creditor', amount: '50.00', balance: '70.00', headOfFamily: true, takenThisYear: '12.00' },
    ]);
  });
  it('is a case that the core reads, made of nothing but facts', () => {
    const known = [
      HOURLY,
      PLACE,
      fact('federal-certificate', { form: '2020', filingStatus: 'married-jointly', dependentCredit: '2200.00' }),
      fact('state-certificate', { state: 'NY', certificate: { filingStatus: 'married-jointly', allowances: 2 } }),
      fact('leave', { item: 'vacation', per: 'period', hours: '4', balance: '10' }),
    ];
    const facts = person(...known);
    const company = client(
      fact('employer', { kind: 'business', entity: 'corporation', formFamily: '941', employees: 12 }),
      fact('own-rate', { tax: 'NJ-TDI-ER', percent: '0.75' }),
      fact('work-class', { class: '8810', per: 'hundred', rate: '0.25' }),
      fact('withholding', { supplementalMethod: 'aggregate', withholdingMethod: 'percentage' }),
    );
    const part: JsonObject = {
      checkDate: DAY,
      payFrequency: 'biweekly',
      employee: employeePart(facts, '1985-01-01', [], nothingTaken),
      employer: employerPart(company, { NY: '4.1' }, 5),
      settings: settingsPart(company),
      leave: leavePart(facts, () => ({ balance: '14', lastCheck: '2026-05-29' })),
      ...usualLines(facts, company, 'biweekly', nothingTaken, oneDay(known)),
    };
    const answer = runCase(part);
    expect([answer.gross, answer.problems]).toEqual(['1800.00', []]);
    expect(answer.leave).toEqual([{ item: 'vacation', accrued: '4', used: '0', lost: '0', balance: '18' }]);
  });
});

describe('pay that changes inside a period', () => {
  // Mon, Oct 12 to Sun, Oct 25, 2026: ten workdays, Monday to Friday twice.
  const period = { start: date('2026-10-12'), end: date('2026-10-25'), hiredOn: null, lastDay: null };
  const paid = (facts: DatedFact[], more: Partial<EmployedPeriod> = {}) =>
    usualLines(
      personOnDay(newestFirst(facts), '2026-10-30'),
      client(),
      'biweekly',
      nothingTaken,
      paySpans(newestFirst(facts), { ...period, ...more }),
    ).earnings;
  const raised = [HOURLY, fact('pay', { basis: 'hourly', rate: '24.00' }, '2026-10-21')];
  it('a raise is two lines, by the workdays before and from it', () =>
    expect(paid(raised)).toEqual([
      { item: 'regular', hours: '56', rate: '22.50' },
      { item: 'regular', hours: '24', rate: '24.00' },
    ]));
  it('a raise after the period is not in it, though the check comes later', () =>
    expect(paid([HOURLY, fact('pay', { basis: 'hourly', rate: '24.00' }, '2026-10-26')])).toEqual([
      { item: 'regular', hours: '80', rate: '22.50' },
    ]));
  it('a salary is shared out to the cent', () => {
    const salary = fact('pay', { basis: 'salary', amount: '1000.01', frequency: 'biweekly' });
    const more = fact('pay', { basis: 'salary', amount: '1200.00', frequency: 'biweekly' }, '2026-10-15');
    expect(paid([salary, more])).toEqual([
      { item: 'salary', amount: '300.00' },
      { item: 'salary', amount: '840.00' },
    ]);
  });
  it('who is hired or leaves inside the period is proposed the days worked', () => {
    expect(paid([HOURLY], { hiredOn: '2026-10-19' })).toEqual([{ item: 'regular', hours: '40', rate: '22.50' }]);
    expect(paid([HOURLY], { lastDay: '2026-10-14' })).toEqual([{ item: 'regular', hours: '24', rate: '22.50' }]);
    expect(paid([HOURLY], { lastDay: '2026-10-09' })).toEqual([]);
  });
  it('a new record that pays the same splits nothing', () =>
    expect(paid([HOURLY, fact('pay', { basis: 'hourly', rate: '22.50', rates: [] }, '2026-10-21')])).toEqual([
      { item: 'regular', hours: '80', rate: '22.50' },
    ]));
  it('hours with many places are shared out without a loss', () => {
    const shares = [0, 1].map((index) =>
      shareByWorkdays(
        '37.1235',
        [
          { from: period.start, to: period.start, pay: {}, workdays: 1 },
          { from: period.end, to: period.end, pay: {}, workdays: 2 },
        ],
        index,
      ),
    );
    expect(shares).toEqual(['12.3745', '24.749']);
  });
});

describe('who the employer is', () => {
  it('has as many people as it says, or as it pays', () => {
    const stated = client(
      fact('employer', { kind: 'business', entity: 'corporation', formFamily: '941', employees: 60 }),
    );
    expect(employerPart(stated, {}, 5)['employees']).toBe(60);
    expect(employerPart(client(), {}, 5)['employees']).toBe(5);
  });
  it('has rates of its own by tax, and its classes', () => {
    const part = employerPart(
      client(
        fact('own-rate', { tax: 'NJ-TDI-ER', percent: '0.75' }),
        fact('work-class', { class: '4904', per: 'hour', rate: '0.62', employeeRate: '0.14' }),
      ),
      { NJ: '2.7' },
      1,
    );
    expect(part).toMatchObject({
      rates: { 'NJ-TDI-ER': '0.75' },
      unemploymentRates: { NJ: '2.7' },
      workersCompensation: [{ class: '4904', per: 'hour', rate: '0.62', employeeRate: '0.14' }],
    });
  });
  it('has the overtime premium where its choice says', () => {
    const settings = (premium: string) => settingsPart(client(fact('overtime', { premium })));
    expect(settings('regular-rate')['overtimeOnRegularRate']).toBe(true);
    expect(settings('own-rate')).toEqual({ supplementalMethod: 'flat' });
  });
  it('withholds supplemental wages at the flat rate where nothing is chosen', () =>
    expect(settingsPart(client())).toEqual({ supplementalMethod: 'flat' }));
});

describe('what stands beside a check', () => {
  it('leave begins where the plan begins until a check is posted', () => {
    const plan = fact('leave', { item: 'sick', per: 'hour', hours: '0.05', balance: '6', maximum: '40' }, '2026-03-01');
    const of = (stand: Parameters<typeof leavePart>[1]) => leavePart(person(plan), stand)[0];
    expect(of(() => null)).toMatchObject({ balance: '6', lastCheck: '2026-03-01', maximum: '40' });
    expect(of(() => ({ balance: '9.5', lastCheck: '2026-06-01' }))).toMatchObject({
      balance: '9.5',
      lastCheck: '2026-06-01',
    });
  });
  it('other rates of a person, and own items of the client with what is different', () => {
    const pay = fact('pay', { basis: 'hourly', rate: '20.00', rates: [{ label: 'Night desk', rate: '24.75' }] });
    expect(otherRates(person(pay))).toEqual([{ label: 'Night desk', rate: '24.75' }]);
    expect(
      ownItems(
        client(
          fact('pay-item', { code: 'boots', label: 'Boots', like: 'after-tax' }),
          fact('pay-item', { code: 'cabin', label: 'Cabin', like: 'fringe-benefit', 'for-social': 'untaxed' }),
          // A standard item with another name is no item of its own.
          fact('pay-item', { code: 'bonus', label: 'Prize', like: 'bonus' }),
        ),
      ),
    ).toEqual([
      { code: 'boots', label: 'Boots', like: 'after-tax' },
      { code: 'cabin', label: 'Cabin', like: 'fringe-benefit', treatment: { social: 'untaxed' } },
    ]);
  });
});

describe('where a person works', () => {
  const shares = (...others: string[]): string[] =>
    placeOf({
      work: 'NY',
      residence: 'NJ',
      otherWork: others.map((share, index) => ({ state: ['NJ', 'PA'][index], share })),
    }).work.map((place) => String(place['share']));
  it.each([
    [[], ['1']],
    [['0.4'], ['0.6', '0.4']],
    [['0.3333'], ['0.6667', '0.3333']],
    [
      ['0.125', '0.00625'],
      ['0.86875', '0.125', '0.00625'],
    ],
  ])('the first place has exactly what the others leave: %j', (others, expected) =>
    expect(shares(...others)).toEqual(expected),
  );
  it('says nothing that was left blank', () =>
    expect(
      placeOf({ work: 'NY', residence: 'NJ', workLocality: '', convenienceOf: '', unemploymentState: '' }),
    ).toEqual({
      residence: { state: 'NJ' },
      work: [{ state: 'NY', share: '1' }],
    }));
  it('has what the localization tests ask', () =>
    expect(placeOf({ work: 'NY', residence: 'NJ', baseOfOperations: 'PA', convenienceOf: 'NY' })).toMatchObject({
      localization: { baseOfOperations: 'PA' },
      work: [{ state: 'NY', convenienceOf: 'NY' }],
    }));
});

it('every pay frequency has full-time hours', () => {
  for (const frequency of PAY_FREQUENCIES)
    expect(Number(usual([HOURLY], frequency).earnings[0]?.hours)).toBeGreaterThan(0);
});
