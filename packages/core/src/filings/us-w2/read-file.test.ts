import { describe, expect, it } from '@jest/globals';
import { cents } from '../../money/cents.js';
import { emptyInput } from '../kind.js';
import { periodWith } from '../period.js';
import { date } from '../../calendar/local-date.js';
import { kindOf } from '../registry.js';
import { writeEfw2, type Efw2Input } from './file.js';
import type { FormW2 } from './form.js';
import { filingFacts } from '../../testing/filings.js';
import { readEfw2, setAsFiled } from './read-file.js';
import { boxKey, boxesOf } from '../us-w2c/typed-boxes.js';
import type { W2cSet } from '../us-w2c/form.js';

const zero = cents(0);
const form = (last: string, ssn: string, more: Partial<FormW2> = {}): FormW2 => ({
  person: {
    employeeId: `e-${last}`,
    ssn,
    firstName: 'ADA',
    middleName: '',
    lastName: last,
    suffix: '',
    street: '1 QUAY',
    city: 'SALTMARSH',
    state: 'NY',
    zip: '13999',
    country: '',
    province: '',
    isRetirementPlan: true,
    isStatutory: false,
  },
  box1: cents(4_820_000),
  box2: cents(410_000),
  box3: cents(5_020_000),
  box4: cents(311_240),
  box5: cents(5_020_000),
  box6: cents(72_790),
  box7: zero,
  box8: zero,
  box10: zero,
  box11: zero,
  box12: [{ code: 'D', amount: cents(200_000) }],
  isThirdPartySickPay: false,
  withheldByInsurer: { incomeTax: zero, oasdi: zero, hi: zero },
  box14: [],
  states: [],
  locals: [],
  ...more,
});
const address = { street: '1 Quay', city: 'Saltmarsh', state: 'NY', zip: '13999' };
const asFiled = (forms: readonly FormW2[], more: Partial<Efw2Input> = {}): string =>
  writeEfw2({
    taxYear: 2025,
    submitter: {
      ...address,
      ein: '471234561',
      userId: 'ABCD1234',
      name: 'Former',
      contactName: 'X',
      phone: '3155550100',
      email: 'x@y.example',
    },
    employer: {
      ...address,
      ein: '471234561',
      name: 'Quay Inc',
      isTerminating: false,
      kindOfEmployer: 'N',
      employmentCode: 'R',
      contactName: 'R',
      phone: '3155550100',
      email: 'r@y.example',
    },
    forms,
    resubmits: null,
    ...more,
  }).content;
const codes = (text: string): string[] => readEfw2(text).issues.map(({ code }) => code);

describe('a wage file that somebody else filed', () => {
  it('is read back statement by statement: who, boxes, codes and marks', () => {
    const forms = [form('PIKE', '899123401'), form('ROOK', '', { box8: cents(7500), box1: cents(100) })];
    const read = readEfw2(asFiled(forms));
    expect([read.year, read.ein, read.issues]).toEqual([2025, '471234561', []]);
    expect(read.statements).toEqual(
      forms.map(({ person: { employeeId: _, ...person }, ...boxes }) => ({ ...boxes, person })),
    );
  });
  it('has the state lines of its RS records (positions of EFW2, recalled)', () => {
    const lines = asFiled([form('PIKE', '899123401')]).split('\r\n');
    const state =
      `RS36${' '.repeat(5)}899123401`.padEnd(247) +
      '12-345'.padEnd(20) +
      ' '.repeat(6) +
      '36' +
      '00004820000' +
      '00000250000';
    lines.splice(3, 0, state.padEnd(512));
    expect(readEfw2(lines.join('\r\n')).statements[0]?.states).toEqual([
      { state: 'NY', stateId: '12-345', wages: 4_820_000, tax: 250_000 },
    ]);
  });
  it('has every code of box 12 that the file has, and its local amounts', () => {
    const lines = asFiled([form('PIKE', '899123401', { box8: cents(7500) })]).split('\r\n');
    const at = (line: string, from: number, text: string) =>
      line.slice(0, from - 1) + text + line.slice(from - 1 + text.length);
    lines[2] = at(at(lines[2] ?? '', 430, '00000012300'), 353, '00000000500');
    lines[3] = at(lines[3] ?? '', 34, '00000000700');
    lines.splice(4, 0, at(at(at('RS'.padEnd(512), 5, 'PHL'), 274, '42'), 309, '0000482000000000168700'));
    const read = readEfw2(lines.join('\r\n'));
    const [one] = read.statements;
    expect([read.issues, one?.box11, one?.locals]).toEqual([
      [],
      500,
      [{ state: 'PA', locality: 'PHL', wages: 4_820_000, tax: 168_700 }],
    ]);
    expect(one?.box12.map(({ code, amount }) => `${code} ${amount}`)).toEqual(['D 200000', 'Y 12300', 'R 700']);
  });
  it('names what is no amount, and never takes it for nothing', () => {
    const text = asFiled([form('PIKE', '899123401')]).replace('00000410000', '0000041O000');
    expect(readEfw2(text).issues[0]).toMatchObject({ code: 'wage-file.amount' });
  });
  it('of an agent is the employer’s it was filed for', () => {
    const text = asFiled([form('PIKE', '899123401')]).replace('RE2025 471234561         ', 'RE20251990000001471234561');
    expect(readEfw2(text).ein).toBe('471234561');
  });
  it.each([
    ['no year', asFiled([form('PIKE', '899123401')]).replace('RE2025', 'RE20X5'), 'wage-file.year'],
    ['something else', 'name,ssn\nPike,1', 'wage-file.not-one'],
    ['a cut record', asFiled([form('PIKE', '899123401')]).replace(/ +\r\nRE/, '\r\nRE'), 'wage-file.length'],
    ['two employers', asFiled([form('PIKE', '1')]).replace(/(RE2025[^\r]*\r\n)/, '$1$1'), 'wage-file.employers'],
    [
      'a statement left out',
      asFiled([form('PIKE', '899123401'), form('ROOK', '899123402')]).replace(/RW899123402[^\r]*\r\n/, ''),
      'wage-file.count',
    ],
  ])('%s is refused whole', (_, text, code) => expect(codes(text)).toContain(code));
  it('whose totals are not those of its statements is refused', () =>
    expect(codes(asFiled([form('PIKE', '899123401')]).replace('00004820000', '00004820001'))).toEqual([
      'wage-file.totals',
    ]));
});

describe('Form W-2c of a year whose records are elsewhere', () => {
  const kind = kindOf('us-w2c');
  const period = periodWith('year', date('2025-01-01'));
  const original = setAsFiled(2025, [form('PIKE', '899123401'), form('ROOK', '899123402')], []);
  const input = {
    ...emptyInput(period, {
      kind: 'business',
      form: '941',
      isSeasonal: false,
      isWithoutUnemployment: false,
      lastWages: null,
      isSuccessor: false,
    }),
    original,
    today: date('2026-06-01'),
  };
  it('takes the correct boxes as they are typed, and only what changes is on it', () => {
    expect(kind.takesBoxes?.(input)).toBe(true);
    const set = kind.compute({
      ...input,
      entered: {
        [boxKey('e-PIKE', '1')]: cents(4_715_000),
        [boxKey('e-PIKE', '12 D')]: cents(305_000),
        [boxKey('e-ROOK', '5')]: cents(5_020_000),
      },
    }) as W2cSet;
    expect(set.forms.map(({ person, boxes }) => [person.lastName, boxes])).toEqual([
      [
        'PIKE',
        [
          { box: '1', previous: 4_820_000, correct: 4_715_000 },
          { box: '12D', previous: 200_000, correct: 305_000 },
        ],
      ],
    ]);
  });
  it('differs in nothing while nothing is typed, and says what to do', () => {
    const set = kind.compute(input) as W2cSet;
    expect(set.forms).toEqual([]);
    const found = kind.check(set, filingFacts('2025', '2026-06-01')).map(({ code }) => code);
    expect(found).toContain('check.nothing-typed');
    expect(found).not.toContain('check.nothing-to-correct');
  });
  it('says which boxes can be typed', () =>
    expect(
      boxesOf(form('PIKE', '1', { states: [{ state: 'NY', stateId: '', wages: cents(5), tax: cents(1) }] })).map(
        ({ box }) => box,
      ),
    ).toEqual(['1', '2', '3', '4', '5', '6', '7', '8', '10', '11', '12 D', '16 NY', '17 NY']));
});
