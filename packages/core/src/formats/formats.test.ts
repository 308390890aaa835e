import { describe, expect, it } from '@jest/globals';
import nacha from '@midlandsbank/node-nacha';
import { date } from '../calendar/local-date.js';
import { ZERO, cents, dollars } from '../money/cents.js';
import { EFW2_RECORDS, RA, RE, RT, RW } from './efw2/layout.js';
import { writeEfw2, type Efw2Input } from '../filings/us-w2/file.js';
import type { RecordLayout } from './fixed-width/field.js';
import { layoutFaults } from './fixed-width/field.js';
import { readRecord, writeRecord } from './fixed-width/writer.js';
import { NACHA_RECORDS } from './nacha/layout.js';
import { txpSegment, writeTaxPayments, type TaxPaymentFile } from './nacha/tax-payment.js';

describe('record layouts', () => {
  it.each([...EFW2_RECORDS, ...NACHA_RECORDS].map((layout) => [layout.name, layout] as const))(
    '%s has no gap, no overlap and the right length',
    (_, layout) => expect(layoutFaults(layout)).toEqual([]),
  );
  it('a faulty table is named', () => {
    const faulty: RecordLayout = {
      name: 'X',
      length: 5,
      fields: [
        { name: 'a', from: 1, to: 2, kind: 'text' },
        { name: 'b', from: 4, to: 4, kind: 'text' },
      ],
    };
    expect(layoutFaults(faulty)).toEqual(['X: b starts at 4, expected 3', 'X: ends at 4, expected 5']);
  });
  // SSA Publication 42-007, record descriptions: positions of the fields an examiner looks at first (recalled).
  it.each<[RecordLayout, string, number, number]>([
    [RA, "Submitter's EIN", 3, 11],
    [RA, 'Company Name', 38, 94],
    [RA, 'Submitter Name', 217, 273],
    [RA, 'Contact E-Mail/Internet', 446, 485],
    [RA, 'Preparer Code', 500, 500],
    [RE, 'Tax Year', 3, 6],
    [RE, 'Employer/Agent EIN', 8, 16],
    [RE, 'Employer Name', 40, 96],
    [RE, 'Kind of Employer', 174, 174],
    [RE, 'Employment Code', 219, 219],
    [RW, 'Social Security Number (SSN)', 3, 11],
    [RW, 'Employee Last Name', 42, 61],
    [RW, 'Wages, Tips and Other Compensation', 188, 198],
    [RW, 'Medicare Tax Withheld', 243, 253],
    [RW, 'Social Security Tips', 254, 264],
    [RW, 'Retirement Plan Indicator', 488, 488],
    [RT, 'Number of RW Records', 3, 9],
    [RT, 'Social Security Wages', 40, 54],
    [RT, 'Deferred Compensation Contributions to Section 401(k)', 145, 159],
  ])('%# %s stands where the publication has it', (layout, name, from, to) =>
    expect(layout.fields.find((field) => field.name === name)).toMatchObject({ from, to }),
  );
});

describe('the writer refuses', () => {
  const layout: RecordLayout = {
    name: 'T',
    length: 12,
    fields: [
      { name: 'word', from: 1, to: 4, kind: 'text', isRequired: true },
      { name: 'sum', from: 5, to: 8, kind: 'amount' },
      { name: 'id', from: 9, to: 12, kind: 'digits' },
    ],
  };
  const codes = (values: Record<string, string | number>): string[] =>
    writeRecord(layout, values, 'r').issues.map((issue) => `${issue.code} ${issue.field}`);
  it.each<[Record<string, string | number>, string]>([
    [{ word: 'ABCDE' }, 'file.overflow r.word'],
    [{ word: 'A', sum: 123456 }, 'file.overflow r.sum'],
    [{ word: 'A', sum: -1 }, 'file.negative r.sum'],
    [{ word: 'A', id: '12a' }, 'file.not-digits r.id'],
    [{ word: 'Ж' }, 'file.character r.word'],
    [{}, 'file.required r.word'],
  ])('%j', (values, expected) => expect(codes(values)).toContain(expected));
  it('and otherwise reads back what it wrote', () => {
    const { line, issues } = writeRecord(layout, { word: 'ab', sum: 75, id: '9' }, 'r');
    expect(issues).toEqual([]);
    expect(line).toBe('AB  00750009');
    expect(readRecord(layout, line)).toEqual({ word: 'AB', sum: '0075', id: '0009' });
  });
  it('a value without a field is a programmer’s error', () =>
    expect(() => writeRecord(layout, { other: 1 }, 'r')).toThrow(RangeError));
});

const payment = (): TaxPaymentFile => ({
  bankRouting: '000000123',
  bankName: 'Harbor Mutual',
  originName: 'Breakwater Payroll Services',
  companyId: '1471234561',
  companyName: 'Gannet & Sons Boatyard Inc',
  created: date('2026-10-22'),
  settles: date('2026-10-23'),
  fileIdModifier: 'A',
  credits: [
    {
      taxpayerId: '471234561',
      taxType: '94105',
      periodEnd: date('2026-12-31'),
      amounts: [
        { type: '1', amount: dollars('1304.96') },
        { type: '2', amount: dollars('305.20') },
        { type: '3', amount: dollars('554.56') },
      ],
      receiverName: 'US TREASURY',
      receiverRouting: '000000107',
      receiverAccount: '9400000001',
      reference: 'ZK0123456789AB',
    },
  ],
});

describe('ACH tax payments', () => {
  it('the TXP addenda carries tax type, period and amounts', () => {
    const [credit] = payment().credits;
    expect(credit && txpSegment(credit)).toBe('TXP*471234561*94105*261231*1*0000130496*2*0000030520*3*0000055456\\');
  });
  it('records of 94, blocks of ten', () => {
    const lines = writeTaxPayments(payment()).content.split('\r\n').slice(0, -1);
    expect(lines.every((line) => line.length === 94)).toBe(true);
    expect(lines.length % 10).toBe(0);
  });
  // Outside check: the file is read by the independent package @midlandsbank/node-nacha.
  it('an independent reader finds the same entries, addenda and totals', () => {
    const { content, total } = writeTaxPayments(payment());
    const read = nacha.from(content);
    const text = JSON.stringify(read);
    expect(total).toBe(dollars('2164.72'));
    expect(text).toContain('US TREASURY');
    expect(text).toContain('TXP*471234561*94105*261231*1*0000130496*2*0000030520*3*0000055456');
    expect(text).toMatch(/"amount":"?0*216472|2164\.72/);
  });
  it('an amount that does not fit is refused, not cut', () => {
    const file = payment();
    const [credit] = file.credits;
    if (!credit) throw new Error('no credit');
    const wide = writeTaxPayments({
      ...file,
      credits: [{ ...credit, amounts: [{ type: '1', amount: cents(12_345_678_901) }] }],
    });
    expect(wide.issues.map((issue) => issue.code)).toContain('file.overflow');
  });
});

const wageFile = (): Efw2Input => {
  const place = { street: '3 Slipway Lane', city: 'Saltmarsh', state: 'NY', zip: '13999' };
  return {
    taxYear: 2026,
    resubmits: null,
    submitter: {
      ein: '401234568',
      userId: 'BRKWTR01',
      name: 'Breakwater Payroll Services',
      contactName: 'Odile Marrack',
      phone: '3155550110',
      email: 'desk@breakwater.example',
      ...place,
    },
    employer: {
      ein: '471234561',
      name: 'Gannet & Sons Boatyard Inc',
      isTerminating: false,
      kindOfEmployer: 'N',
      employmentCode: 'R',
      contactName: 'Ruth Gannet',
      phone: '3155550121',
      email: 'office@gannet.example',
      ...place,
    },
    forms: ['899123401', '899123402'].map((ssn, index) => ({
      person: {
        employeeId: String(index),
        ssn,
        firstName: 'Wilhelmina',
        middleName: '',
        lastName: 'Sprague',
        suffix: '',
        ...place,
        country: '',
        province: '',
        isRetirementPlan: index === 1,
        isStatutory: false,
      },
      box1: dollars('65000.00'),
      box2: dollars('5657.44'),
      box3: dollars('66000.00'),
      box4: dollars('4092.00'),
      box5: dollars('66000.00'),
      box6: dollars('957.00'),
      box7: dollars('120.00'),
      box8: ZERO,
      box10: ZERO,
      box11: ZERO,
      box12: [{ code: 'D', amount: dollars('1000.00') }],
      isThirdPartySickPay: false,
      withheldByInsurer: { incomeTax: ZERO, oasdi: ZERO, hi: ZERO },
      box14: [],
      locals: [],
      states: [],
    })),
  };
};

describe('EFW2', () => {
  // SSA Publication 42-007, RW record: positions 146-147 and 148-187 for state, ZIP and the foreign address (recalled).
  it('writes an address abroad in the fields of one, and none of the fields of a state', () => {
    const file = wageFile();
    const [first] = file.forms;
    if (!first) throw new Error('no form');
    const person = { ...first.person, state: '', zip: 'V8W 1P6', country: 'CA', province: 'British Columbia' };
    const { content, issues } = writeEfw2({ ...file, forms: [{ ...first, person }] });
    expect(issues).toEqual([]);
    const rw = content.split('\r\n')[2] ?? '';
    const home = writeEfw2(file).content.split('\r\n')[2] ?? '';
    expect([home.slice(131, 138), home.slice(147, 187).trim()]).toEqual(['NY13999', '']);
    expect(rw.slice(131, 142).trim()).toBe('');
    expect(rw.slice(147, 187)).toBe(`${'British Columbia'.padEnd(23)}${'V8W 1P6'.padEnd(15)}CA`.toUpperCase());
  });
  // SSA Publication 42-007 (recalled): RE position 219, the return of the wages; RT 325 to 339, box 14 of Form W-3.
  it.each(['R', 'A', 'F', 'H'] as const)('the employment code %s is that of the client’s return', (employmentCode) => {
    const file = wageFile();
    const { content } = writeEfw2({ ...file, employer: { ...file.employer, employmentCode } });
    expect(content.split('\r\n')[1]?.slice(218, 219)).toBe(employmentCode);
  });
  it('what an insurer withheld of sick pay is among the totals', () => {
    const file = wageFile();
    const withheldByInsurer = { incomeTax: dollars('96.40'), oasdi: dollars('49.60'), hi: dollars('11.60') };
    const { content } = writeEfw2({ ...file, forms: file.forms.map((form) => ({ ...form, withheldByInsurer })) });
    const total = content.split('\r\n').find((line) => line.startsWith('RT')) ?? '';
    expect(total.slice(324, 339)).toBe('000000000019280');
  });
  it('rarer codes are in RO and RU, and dependent care in RW and RT', () => {
    const file = wageFile();
    const [first] = file.forms;
    if (!first) throw new Error('no form');
    const second = { ...first, person: { ...first.person, ssn: '899123402', employeeId: 'second' } };
    const rare = {
      ...first,
      box8: dollars('75.00'),
      box10: dollars('200.00'),
      box11: dollars('900.00'),
      isThirdPartySickPay: true,
      box12: [
        { code: 'S', amount: dollars('30.00') },
        { code: 'EE', amount: dollars('20.00') },
        { code: 'A', amount: dollars('5.10') },
        { code: 'B', amount: dollars('1.20') },
        { code: 'TP', amount: dollars('300.00') },
        { code: 'V', amount: dollars('4000.00') },
      ],
    };
    const { content, issues } = writeEfw2({ ...file, forms: [rare, second] });
    expect(issues).toEqual([]);
    const lines = content.split('\r\n').slice(0, -1);
    expect(lines.map((line) => line.slice(0, 2))).toEqual(['RA', 'RE', 'RW', 'RO', 'RW', 'RT', 'RU', 'RF']);
    expect(lines.every((line) => line.length === 512)).toBe(true);
    const [, , wage = '', other = '', , total = '', otherTotal = ''] = lines;
    // SSA Publication 42-007, by position (recalled): uncollected tax on tips, SIMPLE, Roth 457(b); count and totals in RU.
    expect([other.slice(11, 22), other.slice(22, 33), other.slice(44, 55), other.slice(110, 121)]).toEqual([
      '00000007500',
      '00000000630',
      '00000003000',
      '00000002000',
    ]);
    expect([
      otherTotal.slice(2, 9),
      otherTotal.slice(9, 24),
      otherTotal.slice(24, 39),
      otherTotal.slice(54, 69),
    ]).toEqual(['0000001', '000000000007500', '000000000000630', '000000000003000']);
    expect([wage.slice(275, 286), wage.slice(488, 489), total.slice(129, 144)]).toEqual([
      '00000020000',
      '1',
      '000000000020000',
    ]);
  });
  it('nonqualified plans and stock options are in RW and RT, and allocated tips alone make an RO', () => {
    const file = wageFile();
    const [first] = file.forms;
    if (!first) throw new Error('no form');
    const form = {
      ...first,
      box8: dollars('75.00'),
      box11: dollars('900.00'),
      box12: [{ code: 'V', amount: dollars('4000.00') }],
    };
    const { content, issues } = writeEfw2({ ...file, forms: [form] });
    const [, , wage = '', other = '', total = ''] = content.split('\r\n');
    // SSA Publication 42-007, by position (recalled).
    expect([issues, wage.slice(374, 385), wage.slice(418, 429)]).toEqual([[], '00000090000', '00000400000']);
    expect([other.slice(0, 2), other.slice(11, 22)]).toEqual(['RO', '00000007500']);
    expect([total.slice(0, 2), total.slice(264, 279), total.slice(339, 354)]).toEqual([
      'RT',
      '000000000090000',
      '000000000400000',
    ]);
  });
  it('a code that has no field is a programmer’s error', () => {
    const file = wageFile();
    const forms = file.forms.map((form) => ({ ...form, box12: [{ code: 'Z9', amount: dollars('1.00') }] }));
    expect(() => writeEfw2({ ...file, forms })).toThrow(RangeError);
  });
  it('RA, RE, RW, RT, RF of 512 positions, totals counted once', () => {
    const { content, issues } = writeEfw2(wageFile());
    expect(issues).toEqual([]);
    const lines = content.split('\r\n').slice(0, -1);
    expect(lines.map((line) => [line.slice(0, 2), line.length])).toEqual([
      ['RA', 512],
      ['RE', 512],
      ['RW', 512],
      ['RW', 512],
      ['RT', 512],
      ['RF', 512],
    ]);
    expect(lines[4]?.slice(2, 39)).toBe('0000002' + '000000013000000' + '000000001131488');
    expect(lines[4]?.slice(144, 159)).toBe('000000000200000');
    expect(lines[5]?.slice(7, 16)).toBe('000000002');
  });
  it('names the person whose name does not fit', () => {
    const file = wageFile();
    const [first] = file.forms;
    if (!first) throw new Error('no form');
    const long = {
      ...file,
      forms: [{ ...first, person: { ...first.person, employeeId: 'x', lastName: 'A-name-longer-than-twenty' } }],
    };
    expect(writeEfw2(long).issues.map((issue) => `${issue.code} ${issue.field}`)).toEqual([
      'file.overflow employee.x.Employee Last Name',
    ]);
  });
});
