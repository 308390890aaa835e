import { describe, expect, it } from '@jest/globals';
import { runLine } from '../run-line.js';
import type { YearAnswer } from './run-year.js';

type Given = Record<string, unknown>;
const PERSON = {
  id: 'p1',
  name: { first: 'Wil', last: 'Sprague' },
  ssn: '899-12-3401',
  federal: { form: '2020', filingStatus: 'single' },
  residence: { state: 'TX' },
  work: [{ state: 'TX' }],
};
const check = (checkDate: string, amount: string, more: Given = {}): Given => ({
  person: 'p1',
  checkDate,
  periodStart: `${checkDate.slice(0, 7)}-01`,
  periodEnd: checkDate,
  earnings: [{ item: 'salary', amount }],
  ...more,
});
const year = (changes: Given[], more: Given = {}): Given => ({
  id: 'y',
  kind: 'year',
  year: 2025,
  employer: { states: { TX: { unemploymentRate: '2.7' } }, lookback: { 'us-941': '21500.00' } },
  people: [PERSON],
  paychecks: [check('2025-01-31', '6000.00'), check('2025-02-28', '6000.00')],
  filed: ['us-941:2025-Q1', 'us-w2'],
  changes,
  ask: ['corrections'],
  ...more,
});
const run = (given: Given): YearAnswer => runLine(JSON.stringify(given)) as YearAnswer;
const of = (answer: YearAnswer, kind: string) => answer.corrections?.find((one) => one.kind === kind);

// 12.4% and 2.9% of the difference by hand (Form 941-X, lines 8 and 12, recalled).
describe('wages reported too high, found in the same year', () => {
  const answer = run(
    year([{ on: '2025-08-04', paycheck: 0, set: { earnings: [{ item: 'salary', amount: '5000.00' }] } }]),
  );
  it('Form 941-X has corrected, reported, difference and tax, line by line', () => {
    const x = of(answer, 'us-941-x');
    expect(x?.lines).toMatchObject({
      '6': ['11000.00', '12000.00', '-1000.00', null],
      '8': ['11000.00', '12000.00', '-1000.00', '-124.00'],
      '12': ['11000.00', '12000.00', '-1000.00', '-29.00'],
    });
    const withheld = x?.lines?.['7'];
    expect(withheld?.[3]).toBe(withheld?.[2]);
    expect(Number(withheld?.[2])).toBeLessThan(0);
    expect(x?.lines?.['27']).toEqual([null, null, null, x?.total]);
    expect([x?.process, x?.period, x?.due]).toEqual(['adjusted', '2025-Q1', '2029-04-15']);
  });
  it('Form W-2c has only the boxes that change', () => {
    const boxes = of(answer, 'us-w2c')?.boxes ?? {};
    expect(Object.keys(boxes).sort()).toEqual(['1', '2', '3', '4', '5', '6']);
    expect([boxes['1'], boxes['3'], boxes['4'], boxes['6']]).toEqual([
      ['12000.00', '11000.00'],
      ['12000.00', '11000.00'],
      ['744.00', '682.00'],
      ['174.00', '159.50'],
    ]);
  });
  it('says what else is to be done: a credit, a refund to the person, the copies', () =>
    expect(answer.consequences?.map(({ what }) => what)).toEqual([
      'us-941-x',
      'credit',
      'us-w2c',
      'employee-copy',
      'refund',
    ]));
});

describe('found after the year', () => {
  const change = { on: '2026-02-10', paycheck: 0, set: { earnings: [{ item: 'salary', amount: '7000.00' }] } };
  it('income tax that was not withheld stays as reported; the rest is owed without interest by April 30', () => {
    const x = of(run(year([change])), 'us-941-x');
    expect(x?.lines?.['8']).toEqual(['13000.00', '12000.00', '1000.00', '124.00']);
    expect([x?.lines?.['7'], x?.held, x?.total, x?.due]).toEqual([undefined, ['7'], '153.00', '2026-04-30']);
    expect(of(run(year([change])), 'us-w2c')?.boxes).not.toHaveProperty('2');
  });
  it('an administrative error of the return is corrected in income tax too', () => {
    const x = of(run(year([{ ...change, administrative: true }])), 'us-941-x');
    expect([x?.held, x?.lines?.['7']?.[3] === x?.lines?.['7']?.[2]]).toEqual([[], true]);
  });
  it('only the employer’s share: 6.2% and 1.45% of what was reported too high', () => {
    const less = { ...change, set: { earnings: [{ item: 'salary', amount: '5000.00' }] }, employerShareOnly: true };
    const x = of(run(year([less])), 'us-941-x');
    expect([x?.lines?.['8']?.[3], x?.lines?.['12']?.[3]]).toEqual(['-62.00', '-14.50']);
  });
  // Publication 15, section 13, "Wage repayments": wages of a prior year stay wages for income tax.
  it('wages paid back are corrected for social security and Medicare alone', () => {
    const answer = run(year([{ on: '2026-02-10', paycheck: 0, repaid: '250.00' }]));
    const x = of(answer, 'us-941-x');
    expect([x?.lines?.['6'], x?.lines?.['7'], x?.lines?.['8']?.[3], x?.lines?.['12']?.[3]]).toEqual([
      undefined,
      undefined,
      '-31.00',
      '-7.25',
    ]);
    expect(of(answer, 'us-w2c')?.boxes).toEqual({
      '3': ['12000.00', '11750.00'],
      '4': ['744.00', '728.50'],
      '5': ['12000.00', '11750.00'],
      '6': ['174.00', '170.37'],
    });
  });
  it('in the last 90 days before the period of limitations ends, too much tax is only claimed', () => {
    const late = { on: '2029-02-01', paycheck: 0, set: { earnings: [{ item: 'salary', amount: '5000.00' }] } };
    expect(of(run(year([late])), 'us-941-x')?.process).toBe('claim');
  });
});

// IRC § 3509(a), (b) and § 3111 by hand, on 10,000.00: 1.5%, 20% of 6.2% and of 1.45%, and the employer's own 6.2% and 1.45%.
describe('workers who were not treated as employees', () => {
  const workers = (more: Given = {}): Given => ({
    on: '2026-03-02',
    reclassified: {
      period: '2025-Q1',
      income: '10000.00',
      oasdi: '10000.00',
      hi: '10000.00',
      forms1099: true,
      ...more,
    },
  });
  const taxOf = (change: Given): (string | null | undefined)[] => {
    const { lines, total } = of(run(year([change])), 'us-941-x') ?? {};
    return [...['8', '12', '19', '20', '21'].map((id) => lines?.[id]?.[3]), total];
  };
  it('owe the lower rates where Forms 1099 were filed, and the doubled ones where not', () => {
    expect(taxOf(workers())).toEqual(['620.00', '145.00', '150.00', '124.00', '29.00', '1068.00']);
    expect(taxOf(workers({ forms1099: false }))).toEqual(['620.00', '145.00', '300.00', '248.00', '58.00', '1371.00']);
  });
  it.each<[string, Given, string]>([
    ['not said whether Forms 1099 were filed', { forms1099: undefined }, 'changes[0].reclassified.forms1099'],
    ['of a quarter that was not filed', { period: '2025-Q2' }, 'changes[0].reclassified.period'],
    ['with an unknown field', { fit: '1.00' }, 'changes[0].reclassified.fit'],
  ])('%s, are refused, and the field named', (_what, more, field) =>
    expect(run(year([workers(more)])).problems.map((one) => one.field)).toContain(field),
  );
  it('have one set of rates in a quarter', () =>
    expect(run(year([workers(), workers({ forms1099: false })])).problems.map((one) => one.field)).toContain(
      'changes[1].reclassified.forms1099',
    ));
});

describe('a person', () => {
  it('whose name and number were wrong gets a form without a box of money', () => {
    const answer = run(
      year([{ on: '2026-03-02', person: { id: 'p1', name: { last: 'Spragg' }, ssn: '899-12-3402' } }]),
    );
    expect(answer.corrections).toEqual([
      {
        kind: 'us-w2c',
        period: '2025',
        person: 'p1',
        identity: { ssn: ['899123401', '899123402'], name: ['Wil Sprague', 'Wil Spragg'] },
        boxes: {},
      },
    ]);
  });
});

describe('a check that is voided', () => {
  const answer = run(
    year([{ on: '2025-08-04', paycheck: 1, void: true }], { filed: ['us-941:2025-Q1', 'us-940', 'tx-c-3:2025-Q1'] }),
  );
  it('takes its wages out of the quarter, of the state’s report and of the year', () => {
    expect(of(answer, 'us-941-x')?.lines?.['12']).toEqual(['6000.00', '12000.00', '-6000.00', '-174.00']);
    expect(of(answer, 'tx-c-3-amended')?.lines).toMatchObject({
      '13': ['12000.00', '6000.00'],
      '14': ['9000.00', '6000.00'],
      '15': ['243.00', '162.00'],
    });
    // 7,000.00 of 12,000.00 were taxable; of 6,000.00 all are.
    expect(of(answer, 'us-940-amended')?.lines).toMatchObject({
      '7': ['7000.00', '6000.00'],
      '12': ['42.00', '36.00'],
    });
  });
});

it('is answered whenever something was filed, beside whatever is asked', () => {
  const answer = run(year([{ on: '2025-08-04', paycheck: 1, void: true }], { ask: ['returns'] }));
  expect([answer.returns?.length, of(answer, 'us-941-x')?.period]).toEqual([3, '2025-Q1']);
});

describe('what was filed elsewhere', () => {
  it('is given line by line, and box by box', () => {
    const answer = run(
      year([], {
        filed: [
          {
            kind: 'us-941',
            period: '2025-Q1',
            lines: { '2': '11000.00', '3': '1000.00', '5a.1': '11000.00', '5c.1': '11000.00' },
          },
          { kind: 'us-w2', person: 'p1', boxes: { '1': '48200.00' } },
        ],
      }),
    );
    expect(of(answer, 'us-941-x')?.lines?.['8']).toEqual(['12000.00', '11000.00', '1000.00', '124.00']);
    expect(of(answer, 'us-w2c')?.boxes?.['1']).toEqual(['48200.00', '12000.00']);
  });
  it('with its state boxes, where they are given', () => {
    const answer = run(
      year([], {
        filed: [{ kind: 'us-w2', person: 'p1', boxes: { '1': '12000.00', '16 NY': '500.00', '17 NY': '20.00' } }],
      }),
    );
    expect(of(answer, 'us-w2c')?.stateBoxes).toEqual({ '16 NY': ['500.00', '0.00'], '17 NY': ['20.00', '0.00'] });
  });
});

it.each([
  [{ filed: ['us-999'] }, 'filed[0]'],
  [{ filed: ['us-941:2025'] }, 'filed[0]'],
  [{ filed: [{ kind: 'us-w2', person: 'p9', boxes: { '1': '1.00' } }] }, 'filed[0].person'],
  [{ filed: [{ kind: 'us-941', period: '2025-Q1', lines: { '99': '1.00' } }] }, 'filed[0].lines'],
  [{ filed: [{ kind: 'us-w2', person: 'p1', boxes: { '9': '1.00' } }] }, 'filed[0].boxes'],
  [{ changes: [{ on: '2025-08-04', paycheck: 0, repaid: '6000.01' }] }, 'changes[0].repaid'],
  [{ changes: [{ on: '2025-08-04', paycheck: 7, void: true }] }, 'changes[0].paycheck'],
  [{ changes: [{ on: '2025-08-04' }] }, 'changes[0].paycheck'],
  [{ changes: [{ on: '2025-08-04', paycheck: 0, voided: true }] }, 'changes[0].voided'],
  [{ changes: [{ on: '2025-08-04', paycheck: 0, set: { checkDate: '2025-02-01' } }] }, 'changes[0].set.checkDate'],
  [{ changes: [{ on: '2025-08-04', person: { id: 'p1', height: '6' } }] }, 'changes[0].person.height'],
  [{ changes: [{ on: '2025-08-04', person: { id: 'p1' }, repaid: '250.00' }] }, 'changes[0].paycheck'],
])('%j is refused, and the field named', (more, field) =>
  expect(run(year([], more)).problems.map((one) => one.field)).toContain(field),
);
