import { problem, warning, type Issue } from '../issues/issue.js';
import { inForce, type Dated } from '../jurisdictions/dated.js';
import type { StateRules } from '../jurisdictions/state.js';
import { findState } from '../jurisdictions/states.js';
import { ADDITIONAL_HI, FUTA, HI_RATE, OASDI_BASE, OASDI_RATE } from '../jurisdictions/us/parameters.js';
import { ZERO, showDollars, subtract, sum, toDollars, type Cents } from '../money/cents.js';
import { cappedTax, overMark, underBase } from '../taxes/capped-tax.js';
import { federalIncomeTax } from '../taxes/federal-income-tax.js';
import { taxOf, type TaxCode, type WageBase } from '../taxes/registry.js';
import { annualTableTax } from '../taxes/state-income-tax.js';
import type { Tape } from '../working/tape.js';
import { earningAmount } from './earnings.js';
import type { PaycheckInput } from './input.js';
import type { DeductionLine, EarningLine, PaycheckResult, TaxLine } from './result.js';

/** Wages of one base in this check, split as withholding needs them. Deductions lower the regular part first. */
interface BaseWages {
  readonly regular: Cents;
  readonly supplemental: Cents;
  readonly total: Cents;
}

class Computation {
  readonly problems: Issue[] = [];
  readonly taxes: TaxLine[] = [];
  readonly earnings: EarningLine[];
  readonly deductions: DeductionLine[];

  constructor(
    readonly input: PaycheckInput,
    readonly tape: Tape | undefined,
  ) {
    this.earnings = input.earnings.map((earning) => ({
      item: earning.item.code,
      label: earning.item.label,
      amount: earningAmount(earning),
    }));
    this.deductions = input.deductions.map((deduction) => ({
      item: deduction.item.code,
      label: deduction.item.label,
      amount: deduction.amount,
    }));
  }

  wagesOf(base: WageBase): BaseWages {
    let regular = 0;
    let supplemental = 0;
    this.input.earnings.forEach((earning, index) => {
      const line = this.earnings[index];
      if (!line || earning.item.outOf.includes(base)) return;
      if (earning.item.kind === 'supplemental') supplemental += line.amount;
      else regular += line.amount;
    });
    let out = 0;
    for (const deduction of this.input.deductions) if (deduction.item.outOf.includes(base)) out += deduction.amount;
    const fromRegular = Math.min(out, Math.max(regular, 0));
    const left = Math.max(supplemental - (out - fromRegular), 0);
    return {
      regular: (regular - fromRegular) as Cents,
      supplemental: left as Cents,
      total: (regular - fromRegular + left) as Cents,
    };
  }

  toDate(base: WageBase): Cents {
    // A base without an entry has no wages before this check: the year to date starts empty.
    return this.input.wagesToDate[base] ?? ZERO;
  }

  push(code: TaxCode, subject: Cents, wages: Cents, amount: Cents): void {
    this.taxes.push({ code, payer: taxOf(code).payer, subject, wages, amount });
  }

  rule<T>(rows: readonly Dated<T>[], what: string): Dated<T> | null {
    const row = inForce(rows, this.input.checkDate);
    if (!row)
      this.problems.push(
        problem('rule.none-in-force', 'checkDate', {
          what,
          date: this.input.checkDate,
          from: rows[0]?.from ?? 'never',
        }),
      );
    return row;
  }

  isExempt(...codes: TaxCode[]): boolean {
    return codes.some((code) => this.input.exemptFrom.has(code));
  }

  federalIncomeTax(): void {
    if (this.isExempt('US-FIT')) return;
    const wages = this.wagesOf('US-FIT');
    const { input } = this;
    const { tax, problems } = federalIncomeTax(
      {
        checkDate: input.checkDate,
        payFrequency: input.payFrequency,
        certificate: input.federal,
        regularWages: wages.regular,
        supplementalWages: wages.supplemental,
        supplementalMethod: input.supplementalMethod,
        supplementalToDate: input.supplementalToDate,
        toDollar: input.roundWithholdingToDollar,
      },
      this.tape,
    );
    this.problems.push(...problems);
    this.push('US-FIT', wages.total, wages.total, tax);
  }

  oasdi(): void {
    if (this.isExempt('US-OASDI-EE', 'US-OASDI-ER')) return;
    const base = this.rule(OASDI_BASE, 'OASDI wage base');
    const rateRow = this.rule(OASDI_RATE, 'OASDI rate');
    if (!base || !rateRow) return;
    const subject = this.wagesOf('US-OASDI').total;
    const toDate = this.toDate('US-OASDI');
    const taxed = underBase(subject, toDate, base.value);
    for (const code of ['US-OASDI-EE', 'US-OASDI-ER'] as const) {
      const limit = { label: 'Wage base', amount: base.value, row: base };
      const amount = cappedTax(
        { figure: code, label: taxOf(code).label, subject, taxed, toDate, rate: rateRow.value, rateRow, limit },
        this.tape,
      );
      this.push(code, subject, taxed, amount);
    }
  }

  medicare(): void {
    if (this.isExempt('US-HI-EE', 'US-HI-ER')) return;
    const rateRow = this.rule(HI_RATE, 'HI rate');
    const additional = this.rule(ADDITIONAL_HI, 'additional Medicare rate');
    if (!rateRow || !additional) return;
    const subject = this.wagesOf('US-HI').total;
    const toDate = this.toDate('US-HI');
    for (const code of ['US-HI-EE', 'US-HI-ER'] as const) {
      const amount = cappedTax(
        { figure: code, label: taxOf(code).label, subject, taxed: subject, toDate, rate: rateRow.value, rateRow },
        this.tape,
      );
      this.push(code, subject, subject, amount);
    }
    const taxed = overMark(subject, toDate, additional.value.over);
    const limit = { label: 'Withhold on wages over', amount: additional.value.over, row: additional };
    const amount = cappedTax(
      {
        figure: 'US-HI-ADD',
        label: taxOf('US-HI-ADD').label,
        subject,
        taxed,
        toDate,
        rate: additional.value.rate,
        rateRow: additional,
        limit,
      },
      this.tape,
    );
    this.push('US-HI-ADD', subject, taxed, amount);
  }

  federalUnemployment(): void {
    if (this.isExempt('US-FUTA')) return;
    const row = this.rule(FUTA, 'federal unemployment rate');
    if (!row) return;
    const subject = this.wagesOf('US-FUTA').total;
    const toDate = this.toDate('US-FUTA');
    const taxed = underBase(subject, toDate, row.value.base);
    const limit = { label: 'Wage base', amount: row.value.base, row };
    const amount = cappedTax(
      {
        figure: 'US-FUTA',
        label: taxOf('US-FUTA').label,
        subject,
        taxed,
        toDate,
        rate: row.value.rate,
        rateRow: row,
        limit,
      },
      this.tape,
    );
    this.push('US-FUTA', subject, taxed, amount);
  }

  stateIncomeTax(state: StateRules): void {
    const code: TaxCode = `${state.code}-SIT`;
    const rule = state.incomeTax;
    if (rule.kind === 'none' || this.isExempt(code)) return;
    const wages = this.wagesOf(`${state.code}-SIT`);
    const { tax, problems } = annualTableTax(state, rule, this.input, wages.regular, wages.supplemental, this.tape);
    this.problems.push(...problems);
    this.push(code, wages.total, wages.total, tax);
  }

  stateUnemployment(state: StateRules): void {
    const code: TaxCode = `${state.code}-SUI`;
    if (this.isExempt(code)) return;
    const base = this.rule(state.unemployment.base, `${state.name} unemployment wage base`);
    const own = this.input.unemploymentRates[state.code];
    if (own === undefined) {
      this.problems.push(
        problem('employer.no-unemployment-rate', `employer.unemploymentRates.${state.code}`, { state: state.name }),
      );
      return;
    }
    if (!base) return;
    const subject = this.wagesOf(code).total;
    const toDate = this.toDate(code);
    const taxed = underBase(subject, toDate, base.value);
    const limit = { label: 'Wage base', amount: base.value, row: base };
    const amount = cappedTax(
      { figure: code, label: taxOf(code).label, subject, taxed, toDate, rate: own, rateRow: null, limit },
      this.tape,
    );
    this.push(code, subject, taxed, amount);
  }

  workState(): StateRules | null {
    const { workState, residenceState } = this.input;
    const state = findState(workState);
    if (!state) {
      this.problems.push(problem('rule.state-unknown', 'employee.work', { state: workState, choices: 'NY, TX, FL' }));
      return null;
    }
    if (residenceState !== workState) {
      const home = findState(residenceState);
      if (!home || home.incomeTax.kind !== 'none') {
        this.problems.push(
          problem('rule.resident-unknown', 'employee.residence', { residence: residenceState, work: workState }),
        );
      }
    }
    return state;
  }

  run(): PaycheckResult {
    const gross = sum(this.earnings.map((line) => line.amount));
    this.federalIncomeTax();
    this.oasdi();
    this.medicare();
    this.federalUnemployment();
    const state = this.workState();
    if (state) {
      this.stateIncomeTax(state);
      this.stateUnemployment(state);
    }
    const withheld = sum(this.taxes.filter((tax) => tax.payer === 'employee').map((tax) => tax.amount));
    const deducted = sum(this.deductions.map((line) => line.amount));
    const net = subtract(subtract(gross, withheld), deducted);
    if (net < 0) this.problems.push(problem('deduction.over-net', 'deductions', { net: toDollars(net) }));
    this.writeNet(gross, withheld, deducted, net);
    return {
      gross,
      net,
      supplemental: this.wagesOf('US-FIT').supplemental,
      earnings: this.earnings,
      deductions: this.deductions,
      taxes: this.taxes,
      problems: this.problems,
    };
  }

  private writeNet(gross: Cents, withheld: Cents, deducted: Cents, net: Cents): void {
    if (!this.tape) return;
    for (const line of this.earnings) this.tape.write('gross', { label: line.label, value: showDollars(line.amount) });
    this.tape.write('gross', { label: 'Gross pay', value: showDollars(gross), isResult: true });
    this.tape.write('net', { label: 'Gross pay', value: showDollars(gross) });
    for (const tax of this.taxes)
      if (tax.payer === 'employee')
        this.tape.write('net', { label: taxOf(tax.code).label, value: showDollars(subtract(ZERO, tax.amount)) });
    for (const line of this.deductions)
      this.tape.write('net', { label: line.label, value: showDollars(subtract(ZERO, line.amount)) });
    this.tape.write('net', {
      label: 'Net pay',
      value: showDollars(net),
      how: `${showDollars(gross)} − ${showDollars(withheld)} − ${showDollars(deducted)}`,
      isResult: true,
    });
  }
}

/** Warns of regular hours that look like unmarked overtime (29 U.S.C. § 207: over 40 in a workweek). */
function overtimeWarnings(input: PaycheckInput): Issue[] {
  const weeks = input.payFrequency === 'weekly' ? 1 : input.payFrequency === 'biweekly' ? 2 : null;
  if (weeks === null) return [];
  return input.earnings.flatMap((earning, index) => {
    if (earning.item.code !== 'regular' || earning.hours === null || earning.hours.n <= 40 * weeks * earning.hours.d)
      return [];
    const hours = String(earning.hours.n / earning.hours.d);
    return [warning('hours.overtime-suspected', `earnings[${index}].hours`, { hours, frequency: input.payFrequency })];
  });
}

/**
 * One paycheck, gross to net, with every tax of both payers. Amounts in cents. The same pass serves with a tape
 * (every figure's working) and without. Nothing is thrown for what a user can get wrong: see `problems`.
 */
export function computePaycheck(input: PaycheckInput, tape?: Tape): PaycheckResult {
  try {
    const result = new Computation(input, tape).run();
    const warnings = overtimeWarnings(input);
    return warnings.length === 0 ? result : { ...result, problems: [...result.problems, ...warnings] };
  } catch (error) {
    // The guards of money/ refuse amounts beyond exact range; for a user that is a slipped decimal point.
    if (!(error instanceof RangeError)) throw error;
    return {
      gross: ZERO,
      net: ZERO,
      supplemental: ZERO,
      earnings: [],
      deductions: [],
      taxes: [],
      problems: [problem('input.too-large', 'earnings')],
    };
  }
}

export const hasErrors = (result: PaycheckResult): boolean =>
  result.problems.some((issue) => issue.severity === 'error');
