import { describe, expect, it } from '@jest/globals';
import { dollars } from '../../money/cents.js';
import { filingFacts, sendingOf } from '../../testing/filings.js';
import { w2Person } from '../../testing/people.js';
import { kindOf } from '../registry.js';
import { noBoxes, type FormW2, type W2Set } from '../us-w2/form.js';
import { setAsFiled } from '../us-w2/read-file.js';
import { w2cSet } from './form.js';
import { correctedByFile, isEfw2c, readEfw2c } from './read-file.js';

const form = (id: string, ssn: string, more: Partial<FormW2> = {}): FormW2 => ({
  ...noBoxes(),
  person: w2Person(id, ssn),
  box1: dollars('48200.00'),
  box3: dollars('48200.00'),
  box4: dollars('2988.40'),
  ...more,
});
const original = setAsFiled(2025, [form('a', '899123401'), form('b', '899123402')], []);
const written = (corrected: W2Set): string => {
  const made = w2cSet(original, corrected, { isLaterYear: false, isAdministrative: false });
  return kindOf('us-w2c').makeFile(made, sendingOf(filingFacts('2025', '2026-03-02'))).content;
};
const nobody = () => ({ id: 'c', isStranger: true });
const with12 = (code: string, amount: string) => ({ box12: [{ code, amount: dollars(amount) }] });

describe('a file of corrections', () => {
  it.each<readonly [string, W2Set]>([
    ['amounts', setAsFiled(2025, [form('a', '899123401', { box1: dollars('47000.00') }), form('b', '899123402')], [])],
    ['a number', setAsFiled(2025, [form('a', '899123411'), form('b', '899123402')], [])],
    ['box 12', setAsFiled(2025, [form('a', '899123401', with12('D', '500.00')), form('b', '899123402')], [])],
    ['a rarer box', setAsFiled(2025, [form('a', '899123401', with12('S', '90.00')), form('b', '899123402')], [])],
    [
      'both people, the second one first by name',
      setAsFiled(
        2025,
        [
          form('a', '899123401', { box1: dollars('1.00') }),
          form('b', '899123402', { person: { ...w2Person('b', '899123402'), lastName: 'ABBOT' } }),
        ],
        [],
      ),
    ],
  ])('read back upon the original gives what was corrected: %s', (_, corrected) => {
    const content = written(corrected);
    expect(isEfw2c(content)).toBe(true);
    const file = readEfw2c(content);
    expect(file).toMatchObject({ year: 2025, issues: [] });
    const { set, issues } = correctedByFile(original, file.corrections, nobody);
    expect(issues).toEqual([]);
    // The file has capitals.
    const plain = (one: W2Set) => JSON.stringify(one.forms).toUpperCase();
    expect(plain(set.corrected)).toEqual(plain(corrected));
  });
  it('somebody without a statement before gets one, as nobody of the client where nobody is', () => {
    const more = setAsFiled(2025, [...original.forms, form('c', '899123403')], []);
    const { set } = correctedByFile(original, readEfw2c(written(more)).corrections, nobody);
    expect(set.forms.map(({ is, person }) => [is, person.employeeId])).toEqual([['missing', 'c']]);
    expect(set.corrected.strangers).toEqual(['c']);
  });
  it('that says another amount than stands is refused with both', () => {
    const file = readEfw2c(written(setAsFiled(2025, [form('a', '899123401', { box1: dollars('1.00') })], [])));
    const moved = setAsFiled(
      2025,
      [form('a', '899123401', { box1: dollars('48000.00') }), ...original.forms.slice(1)],
      [],
    );
    const { issues } = correctedByFile(moved, file.corrections, nobody);
    expect(issues[0]).toMatchObject({
      code: 'wage-file.previous',
      parameters: { said: '48,200.00', had: '48,000.00' },
    });
  });
  const good = written(
    setAsFiled(2025, [form('a', '899123401', { box1: dollars('1.00') }), form('b', '899123402')], []),
  );
  it('with records of states is read without them, and they are counted', () => {
    const file = readEfw2c(good.replace('RCT', `RCS${' '.repeat(1021)}\r\nRCT`));
    expect([file.issues, file.stateRecords, file.corrections]).toEqual([[], 1, readEfw2c(good).corrections]);
  });
  it.each([
    ['a record that is cut', good.replace(/RCF0+1 /, 'RCF'), 'wage-file.length-of-corrections'],
    ['another EIN before', good.replace(/(RCE2025) {9}/, '$1123456789'), 'wage-file.ein-corrected'],
    ['a total that differs', good.replace(/(RCT0000001\d{14})\d/, '$19'), 'wage-file.totals'],
    ['half of a pair', good.replace('00004820000', ' '.repeat(11)), 'wage-file.amount'],
    ['what is not known', good.replace(/^(RCW.{1019})../m, '$1XX'), 'wage-file.beyond'],
    ['a missing record', good.replace(/^RCW.*\r\n/m, ''), 'wage-file.count'],
  ])('with %s is refused', (_, content, code) =>
    expect(readEfw2c(content).issues.map((issue) => issue.code)).toContain(code),
  );
});
