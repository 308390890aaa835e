import { addDays, addMonths, makeDate, monthOf, weekday, yearOf, type LocalDate } from '../../calendar/local-date.js';
import { inForce } from '../../jurisdictions/dated.js';
import { problem, warning, type Issue } from '../../issues/issue.js';
import type { StateCode } from '../../jurisdictions/state.js';
import type { LineAmount, ReturnTax, StateLine, StateReturn } from '../../jurisdictions/state-return.js';
import { findState } from '../../jurisdictions/states.js';
import { isPayment } from '../../ledger/entry.js';
import { ZERO, add, cents, notBelowZero, showDollars, subtract, sum, type Cents } from '../../money/cents.js';
import { round, showExact, times } from '../../money/exact.js';
import { showPercent, type Rate } from '../../money/rate.js';
import { TAXES, programsOf, taxOf, type TaxCode, type TaxGroup } from '../../tax-registry/registry.js';
import type { FilingInput, ReportedCheck } from '../kind.js';
import type { FilingPeriod } from '../period.js';
import { LineSheet, type ReturnLine } from '../return-lines.js';
import type { W2Person } from '../us-w2/form.js';

/** What a report says of one person. Amounts in cents, hours in hundredths. */
export interface DetailRow {
  readonly person: Pick<W2Person, 'employeeId' | 'ssn' | 'firstName' | 'middleName' | 'lastName' | 'suffix'>;
  readonly wages: Cents;
  readonly excess: Cents;
  readonly taxable: Cents;
  readonly incomeWages: Cents;
  readonly incomeTax: Cents;
  readonly weeks: number;
  readonly hours: number;
  /** Whether a pay period includes the 12th of the first, second and third month. */
  readonly months: readonly [boolean, boolean, boolean];
}
export interface PlaceRow {
  readonly place: string;
  readonly people: number;
  readonly wages: Cents;
  readonly tax: Cents;
}
/** A return of a state. Amounts in cents. */
export interface StateContent {
  readonly lines: readonly ReturnLine[];
  readonly detail: readonly DetailRow[];
  readonly places: readonly PlaceRow[];
  readonly account: string;
  /** The client's own unemployment rate, in percent; blank where the return has none. */
  readonly rate: string;
  /** What the return says of each group of taxes. */
  readonly amounts: Readonly<Record<string, Cents>>;
  /** What the return owes and the ledger does not: wages times the rate, rounded once. */
  readonly besides: readonly { readonly tax: TaxCode; readonly amount: Cents }[];
  readonly issues: readonly Issue[];
}

/** Codes of the taxes that a return names. */
export function codesOf(state: StateCode, spec: Pick<StateReturn, 'agency'>, named: readonly ReturnTax[]): TaxCode[] {
  return named.flatMap((name): TaxCode[] =>
    name === 'LOCAL'
      ? TAXES.filter((tax) => tax.jurisdiction === state && tax.level === 'local' && tax.agency === spec.agency).map(
          ({ code }) => code,
        )
      : [`${state}-${name}`],
  );
}

/** The 12th of each month of a quarter. */
const twelfths = ({ start }: FilingPeriod): LocalDate[] =>
  [0, 1, 2].map((month) => {
    const first = addMonths(makeDate(yearOf(start), monthOf(start), 1), month);
    return makeDate(yearOf(first), monthOf(first), 12);
  });
/** Weeks, Sunday to Saturday, that pay periods reach into within the period: by their Saturdays. */
function weeksOf(checks: readonly ReportedCheck[], { start, end }: FilingPeriod): number {
  const weeks = new Set<LocalDate>();
  for (const { periodStart, periodEnd } of checks) {
    const from = periodStart < start ? start : periodStart;
    const to = periodEnd > end ? end : periodEnd;
    for (let day = from; day <= to; day = addDays(day, 7)) weeks.add(addDays(day, 6 - weekday(day)));
    if (from <= to) weeks.add(addDays(to, 6 - weekday(to)));
  }
  return weeks.size;
}

class StateSheet {
  readonly sheet: LineSheet<string>;
  readonly issues: Issue[] = [];
  readonly amounts = new Map<TaxGroup, Cents>();
  readonly besides: { tax: TaxCode; amount: Cents }[] = [];
  private readonly own: readonly TaxCode[];

  constructor(
    private readonly state: StateCode,
    private readonly spec: StateReturn,
    private readonly input: FilingInput,
    private readonly detail: readonly DetailRow[],
  ) {
    this.own = codesOf(state, spec, spec.taxes);
    this.sheet = new LineSheet<string>(input.entries.filter((entry) => this.own.includes(entry.tax)));
    for (const tax of this.own) {
      const { group } = taxOf(tax);
      this.amounts.set(group, add(this.amounts.get(group) ?? ZERO, this.sheet.total([tax], 'amount')));
    }
  }

  fill(): void {
    for (const one of this.spec.lines) this.fillLine(one, one.amount);
  }

  private codes(named: readonly ReturnTax[]): TaxCode[] {
    return codesOf(this.state, this.spec, named);
  }

  private fillLine({ id, label }: StateLine, amount: LineAmount): void {
    const { sheet } = this;
    switch (amount.is) {
      case 'workers': {
        const count = this.detail.filter(({ months }) => months[amount.month - 1]).length;
        return sheet.count(id, label, count, [
          { label: 'People whose pay period includes the 12th', value: String(count) },
        ]);
      }
      case 'people': {
        const codes = this.codes([amount.tax]);
        const people = this.input.wageDetail.checks.filter((check) =>
          check.taxes.some((tax) => codes.includes(tax.code) && (tax.subject !== 0 || tax.amount !== 0)),
        );
        const count = new Set(people.map(({ employeeId }) => employeeId)).size;
        return sheet.count(id, label, count, [{ label: 'People with paychecks in the period', value: String(count) }]);
      }
      case 'wages': {
        const codes = this.codes([amount.tax]);
        if (amount.part !== 'excess')
          return sheet.fromLedger(id, label, codes, amount.part === 'all' ? 'subject' : 'wages');
        const all = sheet.total(codes, 'subject');
        const taxable = sheet.total(codes, 'wages');
        return sheet.put(id, label, subtract(all, taxable), [
          { label: 'Wages before the base', value: showDollars(all) },
          { label: 'Less taxable wages', value: showDollars(taxable) },
        ]);
      }
      case 'tax':
        return sheet.fromLedger(id, label, this.codes(amount.taxes), 'amount');
      case 'by-rate':
        return this.byRate(id, label, amount.from, this.codes([amount.tax])[0] ?? `${this.state}-${amount.tax}`);
      case 'sum':
        return sheet.addUp(id, label, amount.of);
      case 'less': {
        const rest = sum([sheet.value(amount.from), ...amount.of.map((other) => cents(-sheet.value(other)))]);
        const value = amount.part === undefined ? rest : notBelowZero(amount.part === 'owed' ? rest : cents(-rest));
        return sheet.put(id, label, value, [
          { label: `Line ${amount.from}`, value: showDollars(sheet.value(amount.from)) },
          ...amount.of.map((other) => ({ label: `Less line ${other}`, value: showDollars(sheet.value(other)) })),
        ]);
      }
      case 'paid': {
        const codes = this.codes(amount.taxes);
        const paid = sheet.entries.filter((entry) => isPayment(entry) && codes.includes(entry.tax));
        return sheet.put(
          id,
          label,
          cents(-sum(paid.map((entry) => entry.amount))),
          [{ label: `${paid.length} payment lines`, value: '', how: 'settled deposits of the period’s liabilities' }],
          { taxes: codes, part: 'amount', of: 'payments' },
        );
      }
      case 'entered': {
        const value = this.input.entered[amount.name] ?? ZERO;
        return sheet.put(id, label, value, [{ label, value: showDollars(value), how: 'as entered on the return' }]);
      }
    }
  }

  /** Wages × rate, half a cent up; the ledger takes the cents of the difference over when the return is accepted. */
  private byRate(id: string, label: string, from: string, tax: TaxCode): void {
    const { sheet } = this;
    const ledger = sheet.total([tax], 'amount');
    const rate = this.rateOf(tax);
    if (rate === null) {
      const wages = sheet.value(from);
      if (isOwnRate(this.state, tax) && wages !== 0)
        this.issues.push(problem('check.no-own-rate', `line.${id}`, { tax: taxOf(tax).label }));
      return sheet.fromLedger(id, label, [tax], 'amount');
    }
    const wages = sheet.value(from);
    const unrounded = times(wages, rate);
    const product = round(unrounded, 'half-up');
    const difference = subtract(product, ledger);
    const rows = sheet.liabilities.filter((entry) => entry.tax === tax).length;
    if (Math.abs(difference) > rows)
      this.issues.push(
        warning('check.rate-differs', `line.${id}`, {
          wages: showDollars(wages),
          rate: showPercent(rate),
          product: showDollars(product),
          ledger: showDollars(ledger),
        }),
      );
    if (difference !== 0) {
      this.besides.push({ tax, amount: difference });
      const { group } = taxOf(tax);
      this.amounts.set(group, add(this.amounts.get(group) ?? ZERO, difference));
    }
    return sheet.put(
      id,
      label,
      product,
      [
        {
          label: `Line ${from}`,
          value: showDollars(wages),
          how: `× ${showPercent(rate)} = ${showExact(unrounded)}`,
          rounding: 'half a cent up',
        },
        { label: 'Taxes in the ledger', value: showDollars(ledger), how: 'rounded payroll by payroll' },
      ],
      { taxes: [tax], part: 'amount', of: 'liabilities' },
    );
  }

  private rateOf(tax: TaxCode): Rate | null {
    const given = this.input.wageDetail.rates[tax];
    if (given) return given;
    const state = findState(this.state);
    const program = state ? programsOf(state).find((one) => one.tax.code === tax)?.program : undefined;
    const terms = program ? inForce(program.terms, this.input.period.end, this.input.rules)?.value : undefined;
    const only = terms?.length === 1 ? terms[0] : undefined;
    if (!program || !only || only.perHour || only.perQuarter !== undefined || only.ofClass) return null;
    return only.rate === 'own' ? (program.ownRateOtherwise ?? null) : only.rate;
  }
}
/** Taxes whose rate the agency sets for each employer. */
const isOwnRate = (state: StateCode, tax: TaxCode): boolean => tax === `${state}-SUI`;

/** A return of a state from the ledger and the paychecks of its period. */
export function stateReturn(state: StateCode, spec: StateReturn, input: FilingInput): StateContent {
  const detail = spec.detail ? detailOf(state, spec, input) : [];
  const sheet = new StateSheet(state, spec, input, detail);
  sheet.fill();
  const { lines } = sheet.sheet;
  const issues = [...sheet.issues];
  const people = sum(detail.map(({ wages }) => wages));
  const first = codesOf(state, spec, spec.taxes.slice(0, 1));
  const wages = sheet.sheet.total(first, 'subject');
  if (spec.detail && people !== wages)
    issues.push(
      problem('check.detail-differs', `line.${spec.lines.find(({ amount }) => amount.is === 'wages')?.id ?? ''}`, {
        people: showDollars(people),
        line: showDollars(wages),
      }),
    );
  const own = input.wageDetail.rates[`${state}-SUI`];
  return {
    lines,
    detail,
    places: spec.byPlace ? placesOf(state, spec, input) : [],
    account: input.wageDetail.accounts[spec.agency] ?? '',
    rate: own && spec.taxes.includes('SUI') ? showPercent(own) : '',
    amounts: Object.fromEntries(sheet.amounts),
    besides: sheet.besides,
    issues,
  };
}

function detailOf(state: StateCode, spec: StateReturn, input: FilingInput): DetailRow[] {
  const first = codesOf(state, spec, spec.taxes.slice(0, 1));
  const income = [`${state}-SIT`];
  const local = input.wageDetail.people;
  const byPerson = new Map<string, ReportedCheck[]>();
  for (const check of input.wageDetail.checks) {
    if (!check.taxes.some(({ code }) => first.includes(code) || (spec.taxes.includes('SIT') && income.includes(code))))
      continue;
    byPerson.set(check.employeeId, [...(byPerson.get(check.employeeId) ?? []), check]);
  }
  const days = twelfths(input.period);
  return local.flatMap((person): DetailRow[] => {
    const checks = byPerson.get(person.employeeId);
    if (!checks) return [];
    const of = (codes: readonly string[], part: 'subject' | 'wages' | 'amount'): Cents =>
      sum(checks.flatMap(({ taxes }) => taxes.filter(({ code }) => codes.includes(code)).map((tax) => tax[part])));
    const wages = of(first, 'subject');
    const taxable = of(first, 'wages');
    const incomeWages = of(income, 'subject');
    const incomeTax = of(income, 'amount');
    if (wages === 0 && incomeWages === 0 && incomeTax === 0) return [];
    const covered = checks.filter(({ taxes }) => taxes.some(({ code }) => first.includes(code)));
    const [one = false, two = false, three = false] = days.map((day) =>
      covered.some((check) => check.periodStart <= day && check.periodEnd >= day),
    );
    const { employeeId, ssn, firstName, middleName, lastName, suffix } = person;
    return [
      {
        person: { employeeId, ssn, firstName, middleName, lastName, suffix },
        wages,
        excess: subtract(wages, taxable),
        taxable,
        incomeWages,
        incomeTax,
        weeks: weeksOf(covered, input.period),
        hours: covered.reduce((total, { hours }) => total + hours, 0),
        months: [one, two, three],
      },
    ];
  });
}

/** Wages and tax by place. */
function placesOf(state: StateCode, spec: StateReturn, input: FilingInput): PlaceRow[] {
  return codesOf(state, spec, spec.taxes).flatMap((code): PlaceRow[] => {
    const rows = input.wageDetail.checks.flatMap((check) =>
      check.taxes.filter((tax) => tax.code === code).map((tax) => ({ ...tax, employeeId: check.employeeId })),
    );
    const entries = input.entries.filter((entry) => entry.tax === code && !isPayment(entry));
    const tax = sum(entries.map(({ amount }) => amount));
    const wages = sum(entries.map((entry) => entry.wages));
    if (wages === 0 && tax === 0) return [];
    return [{ place: taxOf(code).label, people: new Set(rows.map(({ employeeId }) => employeeId)).size, wages, tax }];
  });
}
