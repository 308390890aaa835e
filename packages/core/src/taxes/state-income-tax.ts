import { PERIODS_PER_YEAR } from '../calendar/pay-frequency.js';
import { problem, type Issue } from '../issues/issue.js';
import { inForce } from '../jurisdictions/dated.js';
import type { IncomeTaxRule, StateRules } from '../jurisdictions/state.js';
import { ZERO, add, cents, notBelowZero, parseDollars, showDollars, subtract, type Cents } from '../money/cents.js';
import { dividedBy, exact, round, showExact, times } from '../money/exact.js';
import { showPercent } from '../money/rate.js';
import type { PaycheckInput, StateCertificate } from '../paycheck/input.js';
import type { TaxCode } from '../taxes/registry.js';
import { shownParameter, type Tape } from '../working/tape.js';
import { bracketFor, bracketTax } from './bracket-tax.js';

type AnnualTableRule = Extract<IncomeTaxRule, { kind: 'annual-table' }>;

const amountOf = (certificate: StateCertificate, field: string): Cents => {
  const value = certificate[field];
  if (value === undefined) return ZERO;
  const amount = parseDollars(String(value));
  if (amount === null) throw new RangeError(`unchecked certificate amount ${field}`);
  return amount;
};

/** Withholding by a state's annual table: annualise, deduct, look up, divide by the periods, round once. */
export function annualTableTax(
  state: StateRules,
  rule: AnnualTableRule,
  input: PaycheckInput,
  regularWages: Cents,
  supplementalWages: Cents,
  tape?: Tape,
): { tax: Cents; problems: Issue[] } {
  const figure: TaxCode = `${state.code}-SIT`;
  const field = `employee.certificates.${state.code}`;
  const certificate = input.stateCertificates[state.code];
  if (!certificate)
    return {
      tax: ZERO,
      problems: [problem('certificate.missing', field, { state: state.name, form: rule.certificate.form })],
    };
  const row = inForce(rule.tables, input.checkDate);
  const flat = inForce(rule.supplementalRate, input.checkDate);
  if (!row || !flat) {
    return {
      tax: ZERO,
      problems: [
        problem('rule.none-in-force', 'checkDate', {
          what: `${state.name} withholding table`,
          date: input.checkDate,
          from: '2025-01-01',
        }),
      ],
    };
  }
  if (!rule.frequencies.includes(input.payFrequency)) {
    return {
      tax: ZERO,
      problems: [
        problem('rule.frequency-unknown', 'payFrequency', {
          state: state.name,
          frequency: input.payFrequency,
          choices: rule.frequencies.join(', '),
        }),
      ],
    };
  }
  if (certificate['exempt'] === true) {
    tape?.write(figure, { label: `Exempt on ${rule.certificate.form}`, value: showDollars(ZERO), isResult: true });
    return { tax: ZERO, problems: [] };
  }
  const periods = PERIODS_PER_YEAR[input.payFrequency];
  const aggregate = input.supplementalMethod === 'aggregate';
  const wages = aggregate ? add(regularWages, supplementalWages) : regularWages;
  const tableName = row.value.statusTable[String(certificate['filingStatus'])];
  const table = tableName === undefined ? undefined : row.value.tables[tableName];
  const deduction = tableName === undefined ? undefined : row.value.deduction[tableName];
  if (!table || deduction === undefined) throw new RangeError('unchecked filing status');

  const allowances = Number(certificate['allowances'] ?? 0);
  const annual = cents(wages * periods);
  const reduction = add(deduction, cents(allowances * row.value.allowance));
  const taxable = notBelowZero(subtract(annual, reduction));
  const bracket = bracketFor(table, exact(taxable));
  const annualTax = bracketTax(bracket, exact(taxable));
  const perPeriod = dividedBy(annualTax, periods);
  let tax = round(perPeriod, row.value.rounding);
  if (tape) {
    tape.write(figure, { label: 'Taxable wages this period', value: showDollars(wages) });
    tape.write(figure, {
      label: 'Annual wages',
      value: showDollars(annual),
      how: `${showDollars(wages)} × ${periods} periods`,
    });
    tape.write(figure, {
      label: 'Deduction and exemptions',
      value: showDollars(reduction),
      how: `${showDollars(deduction)} + ${allowances} × ${showDollars(row.value.allowance)}`,
    });
    tape.write(figure, { label: 'Annual taxable', value: showDollars(taxable) });
    tape.write(figure, {
      label: 'Annual tax',
      value: showExact(annualTax),
      how: `${showDollars(bracket.base)} + ${showPercent(bracket.rate)} of the excess over ${showDollars(bracket.over)}`,
      parameter: shownParameter(
        `${state.name}, ${tableName} table`,
        `row: over ${showDollars(bracket.over)}: ${showDollars(bracket.base)} + ${showPercent(bracket.rate)}`,
        row,
      ),
    });
    tape.write(figure, {
      label: 'For this period',
      value: showExact(perPeriod),
      how: `÷ ${periods}`,
      rounding: 'half a cent up',
    });
  }
  if (!aggregate && supplementalWages > 0) {
    const onSupplemental = round(times(supplementalWages, flat.value), 'half-up');
    tax = add(tax, onSupplemental);
    tape?.write(figure, {
      label: 'Supplemental wages, flat rate',
      value: showDollars(onSupplemental),
      how: `${showDollars(supplementalWages)} × ${showPercent(flat.value)}`,
      rounding: 'half a cent up',
      parameter: shownParameter(`${state.name} supplemental rate`, showPercent(flat.value), flat),
    });
  }
  const extra = amountOf(certificate, 'extraWithholding');
  if (extra > 0) tape?.write(figure, { label: 'Additional amount', value: showDollars(extra) });
  if (wages > 0 || supplementalWages > 0) tax = add(tax, extra);
  tape?.write(figure, { label: `${state.name} income tax`, value: showDollars(tax), isResult: true });
  return { tax, problems: [] };
}
