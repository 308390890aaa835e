import { describe, expect, it } from '@jest/globals';
import { isBusinessDay } from '../calendar/business-days.js';
import { addDays, date, parseDate } from '../calendar/local-date.js';
import { showQuarter } from '../calendar/quarter.js';
import { dollars, type Cents } from '../money/cents.js';
import { NOTHING_SAID, duesOf, followed } from '../testing/deposits.js';
import { achSendBy } from './ach-days.js';
import { classFromLookback, classOfYear, lookbackQuarters, type ClassFacts, type ClassFound } from './deposit-class.js';
import { dueBy, isDayRule, semiweeklyPeriodEnd } from './due-rules.js';
import { DEPOSIT_FAMILIES, familyOf, findFamily } from './family.js';

const dueOf = (family: string, depositClass: string) => (day: string) =>
  followed(family, depositClass, [day, '1000']).dues.get(date(day))?.due;
const semiweekly = dueOf('US-941', 'semiweekly');
const monthly = dueOf('US-941', 'monthly');
const RULES = findFamily('US-941')?.calendar?.rules.at(-1)?.value;
const fromLookback = (total: Cents): string | null =>
  RULES?.lookback ? classFromLookback(RULES, RULES.lookback, total).class : null;

// Publication 15 (Employer's Tax Guide), section 11, "When To Deposit"; rules as stated there, dates worked out by hand.
describe('federal deposits, Publication 15 section 11', () => {
  it('the lookback decides: 50,000 or less is monthly, more is semiweekly', () => {
    expect(['50000.00', '50000.01', '60000', '40000'].map((total) => fromLookback(dollars(total)))).toEqual([
      'monthly',
      'semiweekly',
      'semiweekly',
      'monthly',
    ]);
  });
  it('monthly: the 15th of the next month', () => expect(monthly('2026-09-18')).toBe('2026-10-15'));
  it('monthly: the 15th on a Saturday or Sunday moves to Monday', () => {
    expect(monthly('2026-07-10')).toBe('2026-08-17');
    expect(monthly('2026-10-16')).toBe('2026-11-16');
  });
  it('monthly: a Sunday before a legal holiday moves to Tuesday, and says so', () => {
    const [due] = [...followed('US-941', 'monthly', ['2026-01-09', '2274.37']).dues.values()];
    expect(due?.due).toBe('2026-02-17');
    expect(due?.rule).toMatch(/^Monthly: the 15th of the month after the check date, moved from .*15/);
  });
  it('says that less than 2,500.00 for the quarter may wait for the return', () => {
    const rules = (...lines: [string, string][]): boolean[] =>
      [...followed('US-941', 'monthly', ...lines).dues.values()].map(({ rule }) =>
        /paid with the return instead/.test(rule),
      );
    expect(rules(['2026-01-09', '1249.99'], ['2026-02-06', '1250.00'])).toEqual([true, true]);
    expect(rules(['2026-01-09', '1250.00'], ['2026-02-06', '1250.00'], ['2026-04-03', '1.00'])).toEqual([
      false,
      false,
      true,
    ]);
  });
  it('semiweekly: Wednesday, Thursday, Friday are due the following Wednesday', () => {
    expect(['2026-10-21', '2026-10-22', '2026-10-23'].map(semiweekly)).toEqual([
      '2026-10-28',
      '2026-10-28',
      '2026-10-28',
    ]);
  });
  it('semiweekly: Saturday to Tuesday are due the following Friday', () => {
    expect(['2026-10-24', '2026-10-25', '2026-10-26', '2026-10-27'].map(semiweekly)).toEqual([
      '2026-10-30',
      '2026-10-30',
      '2026-10-30',
      '2026-10-30',
    ]);
  });
  it('semiweekly: a legal holiday in the three days after the period gives one more day', () => {
    // Monday 12 October 2026 is Columbus Day.
    expect(semiweekly('2026-10-09')).toBe('2026-10-15');
    // Thanksgiving, Thursday 26 November 2026.
    expect(semiweekly('2026-11-24')).toBe('2026-11-30');
  });
  it('semiweekly: a period that spans two quarters ends with the first', () => {
    expect(semiweeklyPeriodEnd(date('2026-09-30'))).toBe('2026-09-30');
    expect(semiweeklyPeriodEnd(date('2026-10-01'))).toBe('2026-10-02');
  });
});

const begins = (code: (year: number) => 'monthly' | 'semiweekly'): ClassFacts => ({
  ...NOTHING_SAID,
  entered: (year) => dollars(code(year) === 'monthly' ? '0' : '50000.01'),
});
const always = (code: 'monthly' | 'semiweekly') => begins(() => code);

describe('the 100,000 next-day rule, Publication 15 section 11', () => {
  it('100,000 in a deposit period: the next business day', () => {
    const { nextDays, dues } = followed(
      'US-941',
      always('semiweekly'),
      ['2026-10-19', '60000'],
      ['2026-10-20', '40000'],
      ['2026-10-21', '99999.99'],
    );
    // All that accumulated is due the day after it came to 100,000, not the check that crossed alone.
    expect([...nextDays]).toEqual([
      ['2026-10-19', '2026-10-20'],
      ['2026-10-20', '2026-10-20'],
    ]);
    expect(dues.get(date('2026-10-19'))?.due).toBe('2026-10-21');
    expect(duesOf(followed('US-941', always('monthly'), ['2026-10-09', '100000']))).toEqual(['2026-10-09 2026-10-13']);
  });
  it('a monthly depositor who reaches it is semiweekly for the rest of the year and the next', () => {
    const { nextDays, classOn } = followed(
      'US-941',
      always('monthly'),
      ['2026-03-02', '100000'],
      ['2026-03-12', '50000'],
      ['2026-03-16', '60000'],
    );
    expect([...nextDays.keys()]).toEqual(['2026-03-02']);
    expect(
      ['2026-02-27', '2026-03-02', '2026-03-12', '2026-12-31', '2027-06-11'].map((day) => classOn(date(day)).class),
    ).toEqual(['monthly', 'monthly', 'semiweekly', 'semiweekly', 'semiweekly']);
    expect(classOn(date('2026-03-12')).why).toMatch(/Mon, Mar 2, 2026/);
  });
  // 26 CFR 31.6302-1(b)(2)(ii): it is the monthly depositor who is turned.
  it('leaves the next year of a semiweekly depositor to its lookback', () => {
    const { nextDays, classOn } = followed(
      'US-941',
      begins((year) => (year === 2025 ? 'semiweekly' : 'monthly')),
      ['2025-03-03', '100000'],
      ['2026-03-02', '100000'],
    );
    expect([...nextDays.keys()]).toEqual(['2025-03-03', '2026-03-02']);
    expect(
      ['2025-12-31', '2026-01-08', '2026-03-02', '2026-03-05', '2027-06-09'].map((day) => classOn(date(day)).class),
    ).toEqual(['semiweekly', 'monthly', 'monthly', 'semiweekly', 'semiweekly']);
  });
  it('what gathers is counted within the period of the schedule that holds', () => {
    // A month: 99,999.99 and one cent. For a semiweekly depositor these are three periods.
    const lines: [string, string][] = [
      ['2026-05-01', '50000'],
      ['2026-05-15', '49999.99'],
      ['2026-05-29', '0.01'],
    ];
    expect([...followed('US-941', always('monthly'), ...lines).nextDays.keys()]).toEqual([
      '2026-05-01',
      '2026-05-15',
      '2026-05-29',
    ]);
    expect([...followed('US-941', always('semiweekly'), ...lines).nextDays]).toEqual([]);
  });
});

describe('the class of a year, Publication 15 section 11', () => {
  const facts = (more: Partial<ClassFacts> = {}): ClassFacts => ({
    ...NOTHING_SAID,
    liabilities: [
      { date: date('2025-06-30'), amount: dollars('90000') },
      { date: date('2025-07-01'), amount: dollars('30000') },
      { date: date('2026-06-30'), amount: dollars('20000.01') },
      { date: date('2026-07-01'), amount: dollars('90000') },
    ],
    completeFrom: date('2025-01-10'),
    otherwise: dollars('1000'),
    ...more,
  });
  const ofYear = (more?: Partial<ClassFacts>): ClassFound | null =>
    RULES ? classOfYear(RULES, 2027, facts(more)) : null;
  it('Form 941 follows the four quarters that end on June 30 of the year before', () => {
    expect(lookbackQuarters('year-to-june', 2027).map(showQuarter)).toEqual([
      'Q3 2025',
      'Q4 2025',
      'Q1 2026',
      'Q2 2026',
    ]);
    expect(ofYear()).toEqual({
      class: 'semiweekly',
      why: 'Lookback taxes of 50,000.01 are more than 50,000.00. They are those of the ledger, Q3 2025 to Q2 2026.',
    });
  });
  // Publication 15, section 11, "Lookback period", for Forms 943, 944 and 945 (recalled).
  it('Forms 943, 944 and 945 follow the second calendar year before', () =>
    expect(lookbackQuarters('second-year-before', 2026).map(showQuarter)).toEqual([
      'Q1 2024',
      'Q2 2024',
      'Q3 2024',
      'Q4 2024',
    ]));
  it('goes by what was entered for the year before anything else', () =>
    expect(ofYear({ entered: () => dollars('50000') })?.class).toBe('monthly'));
  it('does not take a ledger that begins later for the whole: it says what is missing', () => {
    const said = ofYear({ completeFrom: date('2026-01-01') });
    expect(said?.class).toBe('monthly');
    expect(said?.why).toMatch(/does not have Q3 2025, Q4 2025/);
    expect(ofYear({ completeFrom: null })?.why).toMatch(/Q3 2025, Q4 2025, Q1 2026, Q2 2026/);
  });
  it('with nothing entered either it is a question, not a guess', () =>
    expect(ofYear({ completeFrom: null, otherwise: null })).toEqual({
      class: null,
      why: 'The ledger does not have Q3 2025, Q4 2025, Q1 2026, Q2 2026.',
    }));
  it('knows that nothing was owed before wages were first paid', () =>
    expect(
      ofYear({ liabilities: [], completeFrom: null, otherwise: null, firstWages: date('2026-07-02') })?.class,
    ).toBe('monthly'));
  it('takes a quarter in which the ledger begins for whole', () =>
    expect(ofYear({ completeFrom: date('2025-09-30') })?.class).toBe('semiweekly'));
});

describe('federal unemployment deposits, Publication 15 section 14', () => {
  const unpaid = (...lines: [string, string][]) => duesOf(followed('US-940', NOTHING_SAID, ...lines));
  it('499.99 is carried forward, 500.01 is due after the quarter', () => {
    expect(unpaid(['2026-02-13', '499.99'])).toEqual(['2026-02-13 2027-02-01']);
    expect(unpaid(['2026-02-13', '500.01'])).toEqual(['2026-02-13 2026-04-30']);
  });
  it('what was carried is due with the quarter that passes 500', () =>
    expect(unpaid(['2026-02-13', '300'], ['2026-05-15', '250'], ['2026-08-14', '100'])).toEqual([
      '2026-02-13 2026-07-31',
      '2026-05-15 2026-07-31',
      '2026-08-14 2027-02-01',
    ]));
  it('what was deposited of its own accord does not count towards the 500', () =>
    expect(
      duesOf(followed('US-940', NOTHING_SAID, ['2026-02-13', '300', ['2026-04-02', '300']], ['2026-05-15', '250'])),
    ).toEqual(['2026-02-13 2027-02-01', '2026-05-15 2027-02-01']));
});

// Publication NYS-50, part 4 (recalled), dates worked out by hand.
describe('New York withholding', () => {
  it('700 not paid of the quarter is due so many business days after the payroll that brings it there, all of it', () => {
    expect(
      duesOf(
        followed(
          'NY-SIT',
          '5-day',
          ['2026-10-02', '300'],
          ['2026-10-09', '399.99'],
          ['2026-10-16', '0.01'],
          ['2026-10-23', '250'],
        ),
      ),
    ).toEqual([
      '2026-10-02 2026-10-23',
      '2026-10-09 2026-10-23',
      '2026-10-16 2026-10-23',
      // What is left of the quarter goes with Form NYS-45: January 31, 2027, is a Sunday.
      '2026-10-23 2027-02-01',
    ]);
    expect(duesOf(followed('NY-SIT', '3-day', ['2026-10-16', '700']))).toEqual(['2026-10-16 2026-10-21']);
  });
  it('counting begins again with the quarter, and with each deposit', () => {
    expect(duesOf(followed('NY-SIT', '5-day', ['2026-09-30', '500'], ['2026-10-01', '500']))).toEqual([
      '2026-09-30 2026-11-02',
      '2026-10-01 2027-02-01',
    ]);
    expect(
      duesOf(followed('NY-SIT', '5-day', ['2026-10-02', '500', ['2026-10-05', '500']], ['2026-10-09', '500'])),
    ).toEqual(['2026-10-02 2027-02-01', '2026-10-09 2027-02-01']);
  });
  it('counts the state’s own business days: Election Day is one of its holidays', () =>
    // Tuesday, November 3, 2026.
    expect(duesOf(followed('NY-SIT', '3-day', ['2026-10-30', '700']))).toEqual(['2026-10-30 2026-11-05']));
  it('15,000 withheld in the calendar year before last gives three days instead of five', () => {
    const rules = findFamily('NY-SIT')?.calendar?.rules.at(-1)?.value;
    if (!rules?.lookback) throw new Error('no lookback');
    const { lookback } = rules;
    expect(['14999.99', '15000'].map((total) => classFromLookback(rules, lookback, dollars(total)).class)).toEqual([
      '5-day',
      '3-day',
    ]);
  });
});

// REV-415 and NJ-WT (recalled).
describe('other states', () => {
  it.each([
    ['PA-SIT', 'semimonthly', '2026-10-09', '2026-10-20'],
    ['PA-SIT', 'monthly', '2026-12-11', '2027-02-01'],
    ['PA-SIT', 'quarterly', '2026-09-30', '2026-11-02'],
    ['PA-LOCAL', 'quarterly', '2026-09-30', '2026-10-30'],
    ['NJ-SIT', 'monthly', '2026-08-14', '2026-09-15'],
    ['NJ-SIT', 'monthly', '2026-09-18', '2026-10-30'],
    ['NJ-SIT', 'weekly', '2026-09-18', '2026-09-23'],
    ['CA-SIT', 'semiweekly', '2026-10-16', '2026-10-21'],
    ['IL-SIT', 'monthly', '2026-09-18', '2026-10-15'],
    ['WI-SIT', 'semimonthly', '2026-02-13', '2026-03-02'],
    ['WI-SIT', 'semimonthly', '2026-07-10', '2026-07-31'],
    ['WI-SIT', 'semimonthly', '2026-07-17', '2026-08-17'],
    ['LA-SIT', 'semimonthly', '2026-03-15', '2026-03-31'],
    ['IN-SIT', 'later-monthly', '2026-01-09', '2026-03-02'],
    ['PA-LOCAL', 'monthly', '2026-01-09', '2026-03-02'],
    ['PA-LOCAL', 'monthly', '2026-04-10', '2026-06-01'],
  ])('%s, %s: a check of %s is due %s', (family, depositClass, day, due) =>
    expect(dueOf(family, depositClass)(day)).toBe(due),
  );
  it('unemployment goes with the quarterly report: October 31, 2026, is a Saturday; Michigan has the 25th', () => {
    expect(duesOf(followed('TX-SUI', NOTHING_SAID, ['2026-09-30', '100']))).toEqual(['2026-09-30 2026-11-02']);
    expect(duesOf(followed('MI-SUI', NOTHING_SAID, ['2026-06-30', '100']))).toEqual(['2026-06-30 2026-07-27']);
  });
  it('without a class, or without a calendar, there is no date but a question', () => {
    const asked = followed('NJ-SIT', NOTHING_SAID, ['2026-09-18', '100']).dues.get(date('2026-09-18'));
    expect([asked?.due, asked?.question?.code, asked?.question?.field]).toEqual([
      null,
      'deposit.no-class',
      'frequency.NJ-SIT',
    ]);
    const none = followed('AL-CITY', NOTHING_SAID, ['2026-09-18', '100']).dues.get(date('2026-09-18'));
    expect([none?.due, none?.question?.code]).toEqual([null, 'deposit.no-calendar']);
  });
});

describe('which deposit a tax belongs to', () => {
  it('follows the return of the client', () => {
    expect((['941', '943', '944', 'schedule-h'] as const).map((form) => familyOf('US-FIT', form).code)).toEqual([
      'US-941',
      'US-943',
      'US-944',
      'US-SCHEDULE-H',
    ]);
    expect([familyOf('US-FUTA').code, familyOf('US-FUTA', 'schedule-h').code]).toEqual(['US-940', 'US-SCHEDULE-H']);
  });
  it('where one agency collects both, the contributions of employees go with the tax withheld', () =>
    expect((['CA-SDI', 'CA-SIT', 'CA-ETT', 'CA-SUI'] as const).map((tax) => familyOf(tax).code)).toEqual([
      'CA-SIT',
      'CA-SIT',
      'CA-SUI',
      'CA-SUI',
    ]));
});

describe('the day an ACH credit is sent', () => {
  it('is a banking day before it settles, and it settles before a due date on which banks are closed', () => {
    expect(achSendBy(date('2026-11-16'), 0)).toEqual({ settles: '2026-11-16', sendBy: '2026-11-13' });
    expect(achSendBy(date('2026-11-16'), 1).sendBy).toBe('2026-11-12');
    expect(achSendBy(date('2026-11-26'), 0)).toEqual({ settles: '2026-11-25', sendBy: '2026-11-24' });
  });
});

describe('every calendar that is loaded', () => {
  const classes = DEPOSIT_FAMILIES.flatMap(({ code, calendar }) =>
    (calendar?.rules.at(-1)?.value.classes ?? []).flatMap(({ code: depositClass, due }) =>
      isDayRule(due) ? [[code, depositClass, due] as const] : [],
    ),
  );
  const HOLIDAYS = new Map(
    DEPOSIT_FAMILIES.flatMap(({ code, calendar }) => {
      const rules = calendar?.rules.at(-1)?.value;
      return rules ? [[code, rules.holidays] as const] : [];
    }),
  );
  it.each(classes)(
    '%s, %s: each check date of two years is due on a day that is there, a business day, and not before it',
    (code, _, rule) => {
      const holidays = HOLIDAYS.get(code);
      if (!holidays) throw new Error('no holidays');
      const faults: string[] = [];
      for (let day = date('2024-01-01'); day < date('2026-01-01'); day = addDays(day, 1)) {
        const { due } = dueBy(rule, day, holidays);
        if (parseDate(due) === null || due < day || !isBusinessDay(due, holidays)) faults.push(`${day} ${due}`);
      }
      expect(faults).toEqual([]);
    },
  );
});

/** Collector and days as recalled from the city's page for employers: what is held is that its tax is not Act 32's. */
describe('Philadelphia', () => {
  it('collects its wage tax itself; the collectors of Act 32 have the other places', () =>
    expect((['PA-PHILADELPHIA-LIT', 'PA-PITTSBURGH-EIT'] as const).map((tax) => familyOf(tax).code)).toEqual([
      'PA-PHL',
      'PA-LOCAL',
    ]));
  it.each([
    ['quarterly', '2026-05-08', '2026-07-31'],
    // The 15th of August is a Saturday.
    ['monthly', '2026-07-10', '2026-08-17'],
    ['weekly', '2026-10-16', '2026-10-21'],
  ])('%s: a check of %s is due %s', (depositClass, day, due) => expect(dueOf('PA-PHL', depositClass)(day)).toBe(due));
});
