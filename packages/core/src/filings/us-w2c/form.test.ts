import { describe, expect, it } from '@jest/globals';
import { layoutFaults, type RecordLayout } from '../../formats/fixed-width/field.js';
import { RCA, RCE, RCF, RCO, RCT, RCU, RCW } from '../../formats/efw2c/layout.js';
import { dollars } from '../../money/cents.js';
import { filingFacts, filingInput, sendingOf } from '../../testing/filings.js';
import { w2Person } from '../../testing/people.js';
import { kindOf } from '../registry.js';
import type { FormW2, W2Set } from '../us-w2/form.js';
import { correctW2, formW3c, w2cSet } from './form.js';

const NONE = {
  box8: dollars('0.00'),
  box10: dollars('0.00'),
  box11: dollars('0.00'),
  box7: dollars('0.00'),
  box12: [],
  isThirdPartySickPay: false,
  withheldByInsurer: { incomeTax: dollars('0.00'), oasdi: dollars('0.00'), hi: dollars('0.00') },
  box14: [],
  states: [],
  locals: [],
};
const form = (id: string, more: Partial<FormW2> = {}): FormW2 => ({
  ...NONE,
  person: w2Person(id, `89912340${id === 'a' ? 1 : 2}`),
  box1: dollars('48200.00'),
  box2: dollars('4100.00'),
  box3: dollars('48200.00'),
  box4: dollars('2988.40'),
  box5: dollars('48200.00'),
  box6: dollars('698.90'),
  ...more,
});
const set = (...forms: FormW2[]): W2Set => ({
  year: 2025,
  forms,
  ledger: {
    incomeTax: dollars('0.00'),
    oasdiWages: dollars('0.00'),
    oasdiTax: dollars('0.00'),
    hiWages: dollars('0.00'),
    hiTax: dollars('0.00'),
  },
});
const SAME_YEAR = { isLaterYear: false, isAdministrative: false };
const LATER = { isLaterYear: true, isAdministrative: false };

describe('Form W-2c', () => {
  it('has only what changes: 48,200.00 is 47,150.00', () => {
    const c = correctW2(form('a'), form('a', { box1: dollars('47150.00') }), SAME_YEAR);
    expect([c?.is, c?.boxes]).toEqual(['amounts', [{ box: '1', previous: 4_820_000, correct: 4_715_000 }]]);
    expect(correctW2(form('a'), form('a'), SAME_YEAR)).toBeNull();
  });
  it('keeps tax withheld in an earlier year, of the states as well', () => {
    const states = (tax: string) => [{ state: 'NY', stateId: '', wages: dollars('48200.00'), tax: dollars(tax) }];
    const was = form('a', { states: states('2000.00') });
    const is = form('a', { box2: dollars('4000.00'), states: states('1900.00') });
    expect(correctW2(was, is, LATER)).toBeNull();
    expect(correctW2(was, is, { ...LATER, isAdministrative: true })?.stateBoxes).toEqual([
      { box: '17 NY', previous: 200_000, correct: 190_000 },
    ]);
  });
  it('of a form that should not exist has zeros, of one that is missing has them before', () => {
    const made = w2cSet(set(form('a')), set(form('b')), SAME_YEAR);
    expect(made.forms.map(({ is, boxes }) => [is, boxes[0]])).toEqual([
      ['unneeded', { box: '1', previous: 4_820_000, correct: 0 }],
      ['missing', { box: '1', previous: 0, correct: 4_820_000 }],
    ]);
  });
  it('W-3c adds up the boxes that change', () => {
    const made = w2cSet(
      set(form('a'), form('b')),
      set(form('a', { box1: dollars('1.00') }), form('b', { box1: dollars('2.00') })),
      SAME_YEAR,
    );
    expect(formW3c(made.forms)).toEqual([{ box: '1', previous: 9_640_000, correct: 300 }]);
  });
  it('box 12 by its code, box 13 by its mark', () => {
    const c = correctW2(
      form('a', { box12: [{ code: 'D', amount: dollars('500.00') }] }),
      form('a', {
        person: { ...w2Person('a', '899123401'), isRetirementPlan: true },
        box12: [{ code: 'AA', amount: dollars('500.00') }],
      }),
      SAME_YEAR,
    );
    expect(c?.boxes.map(({ box }) => box)).toEqual(['12D', '12AA']);
    expect(c?.marks).toEqual([{ mark: 'retirement-plan', previous: false, correct: true }]);
  });
});

describe('what is stored of it', () => {
  const kind = kindOf('us-w2c');
  const wrong = { ...form('a'), person: w2Person('a', '899123409') };
  const made = w2cSet(set(wrong), set(form('a')), SAME_YEAR);
  it('has no number, but its end, and a mark that moves with it', () => {
    const stored = JSON.stringify(kind.store(made, (text) => `m${text.length}`));
    expect(stored).not.toMatch(/89912340/);
    expect(stored).toContain('XXXXX3409');
    const shown = kind.tables(kind.read(JSON.parse(stored), 1));
    expect(shown[0]?.rows).toEqual([[expect.any(String), 'Social security number', 'ending 3409', 'ending 3401']]);
  });
  it('the file has both numbers, and they are read from it again', () => {
    const file = kind.makeFile(made, sendingOf(filingFacts('2025', '2026-03-02'))).content;
    const record = file.split('\r\n').find((line) => line.startsWith('RCW')) ?? '';
    expect([record.slice(3, 12), record.slice(12, 21)]).toEqual(['899123409', '899123401']);
    expect(kind.numbers?.(made, file).get('a')).toBe('899123401');
  });
  it('rarer boxes have a record of their own after the person’s, and codes A and B are one amount of it', () => {
    const box12 = (a: string, b: string) => [
      { code: 'A', amount: dollars(a) },
      { code: 'B', amount: dollars(b) },
    ];
    const tips = w2cSet(
      set(form('a', { box8: dollars('40.00'), box12: box12('6.20', '1.45') }), form('b')),
      set(form('a', { box8: dollars('25.00'), box12: box12('5.00', '1.45') }), form('b', { box1: dollars('1.00') })),
      SAME_YEAR,
    );
    const { content, issues } = kind.makeFile(tips, sendingOf(filingFacts('2025', '2026-03-02')));
    expect(issues).toEqual([]);
    const records = content.split('\r\n').filter((line) => line !== '');
    expect(records.map((line) => line.slice(0, 3))).toEqual(['RCA', 'RCE', 'RCW', 'RCO', 'RCW', 'RCT', 'RCU', 'RCF']);
    // Positions 13 to 56: allocated tips, then the uncollected taxes, each as reported and as it should be.
    expect(records[3]?.slice(12, 56)).toBe('00000004000000000025000000000076500000000645');
    expect(records[6]?.slice(3, 40)).toBe('0000001000000000004000000000000002500');
    expect(kind.check(tips, filingFacts('2025', '2026-03-02')).map(({ code }) => code)).not.toContain(
      'check.box-not-carried',
    );
  });
  it('without what was accepted there is nothing to correct', () => {
    const codes = kind
      .check(kind.compute(filingInput('2025')), filingFacts('2025', '2026-03-02'))
      .map(({ code }) => code);
    expect(codes).toContain('check.no-original');
  });
});

it.each([RCA, RCE, RCW, RCO, RCT, RCU, RCF].map((layout): [string, RecordLayout] => [layout.name, layout]))(
  'the layout %s has no hole',
  (_, layout) => expect(layoutFaults(layout)).toEqual([]),
);
