import { readTypedDate } from '../calendar/typed-date.js';
import { problem, type Issue } from '../issues/issue.js';
import { stateNamed } from '../jurisdictions/state-named.js';
import { APPLIED_FOR, checkSsn, isAppliedFor } from '../identity/numbers.js';
import { plain, type PeopleColumn } from './columns.js';

/** What a cell says, in the form the records keep; or what is wrong with it. Blank cells are not read. */
export type ReadCell = { readonly value: string | number | boolean } | { readonly issue: Issue };

const YES = ['yes', 'y', 'true', 'x', '1', 'checked'];
const NO = ['no', 'n', 'false', '0', 'unchecked'];
/** What spreadsheets write where a formula fails. */
const FORMULA_ERROR = /^#(N\/A|REF!|VALUE!|DIV\/0!|NAME\?|NUM!|NULL!)/i;
const LOST_DIGITS = /^\d(\.\d+)?E\+\d+$/i;

const number = (text: string): string => text.replace(/[$,\s]/g, '').replace(/%$/, '');

export function readCell(column: PeopleColumn, given: string): ReadCell {
  const text = given.trim();
  const fail = (issue: Issue): ReadCell => ({ issue });
  if (FORMULA_ERROR.test(text)) return fail(problem('file.formula', column.name, { value: text }));
  switch (column.kind) {
    case 'name':
      return { value: text };
    case 'text':
      return text.length > (column.most ?? 200)
        ? fail(problem('input.too-long', column.name, { most: String(column.most ?? 200) }))
        : { value: text };
    case 'date': {
      const day = readTypedDate(text);
      return day === null ? fail(problem('input.not-a-date', column.name, { value: text })) : { value: day };
    }
    case 'amount': {
      const value = number(text);
      if (!/^-?\d+(\.\d{1,2})?$/.test(value)) return fail(problem('input.not-an-amount', column.name, { value: text }));
      if (value.startsWith('-')) return fail(problem('input.negative', column.name, { what: column.label }));
      const [whole = '0', part = ''] = value.split('.');
      return { value: `${whole}.${part.padEnd(2, '0')}` };
    }
    case 'percent':
    case 'decimal': {
      // `10%` is no rate of pay.
      const value = column.kind === 'percent' ? number(text) : number(text.replace(/%$/, ' percent'));
      if (!/^-?\d+(\.\d+)?$/.test(value)) return fail(problem('input.not-a-decimal', column.name, { value: text }));
      return value.startsWith('-') ? fail(problem('input.negative', column.name, { what: column.label })) : { value };
    }
    case 'whole': {
      const value = number(text).replace(/\.0+$/, '');
      return /^\d{1,6}$/.test(value)
        ? { value: Number(value) }
        : fail(problem('input.not-whole', column.name, { value: text }));
    }
    case 'flag': {
      const word = plain(text);
      if (YES.includes(word)) return { value: true };
      return NO.includes(word) ? { value: false } : fail(problem('file.yes-no', column.name, { value: text }));
    }
    case 'state': {
      const found = stateNamed(text);
      return found ? { value: found } : fail(problem('rule.state-unknown', column.name, { state: text }));
    }
    case 'zip': {
      const short = text.replace(/-\d{4}$/, '');
      // A spreadsheet drops the leading zeros of a number.
      const value = /^\d{3,4}$/.test(short) ? short.padStart(5, '0') : short;
      // Letters are those of another country's postal code; whether the row names one is seen with the whole address.
      return /^[A-Za-z0-9][A-Za-z0-9 -]{2,14}$/.test(value) ? { value } : fail(problem('zip.shape', column.name));
    }
    case 'ssn': {
      if (isAppliedFor(text)) return { value: APPLIED_FOR };
      if (LOST_DIGITS.test(text)) return fail(problem('file.rounded', column.name, { value: text }));
      const digits = text.replace(/[\s-]/g, '');
      // Only a bare number can have lost its leading zeros: with hyphens a digit was left out.
      const whole = /^\d{7,8}$/.test(text) ? text.padStart(9, '0') : digits;
      const issue = checkSsn(whole, column.name)[0];
      return issue ? fail(issue) : { value: whole };
    }
    case 'choice': {
      const value = column.words?.[plain(text)];
      return value === undefined
        ? fail(
            problem('input.not-one-of', column.name, {
              value: text,
              choices: [...new Set(Object.values(column.words ?? {}))].join(', '),
            }),
          )
        : { value };
    }
  }
}
