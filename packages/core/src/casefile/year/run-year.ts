import { date, type LocalDate } from '../../calendar/local-date.js';
import type { ClassFacts } from '../../deposits/deposit-class.js';
import { depositDates, type Accrued, type DepositDates } from '../../deposits/deposit-dates.js';
import { familyOf, findFamily, type DepositFamily } from '../../deposits/family.js';
import {
  emptyInput,
  type FilingInput,
  type FilingKind,
  type FilingTable,
  type WageDetail,
} from '../../filings/kind.js';
import { periodKey, periodsOfYear, twelfthOf, type FilingPeriod } from '../../filings/period.js';
import { FILING_KINDS, filesKind, type FormChoice } from '../../filings/registry.js';
import { contributionsOf, unemploymentPay } from '../../filings/us-940/pay.js';
import type { FormW2, W2Person } from '../../filings/us-w2/form.js';
import { problem, type Issue } from '../../issues/issue.js';
import type { OwnRules } from '../../jurisdictions/dated.js';
import { isLiability, isPayment, type LedgerEntry } from '../../ledger/entry.js';
import { ZERO, cents, negate, parseDollars, sum, toDollars, type Cents } from '../../money/cents.js';
import { parsePercent, type Rate } from '../../money/rate.js';
import type { Tracked } from '../../computation/result.js';
import { taxOf, type TaxCode } from '../../tax-registry/registry.js';
import { ownRules, readRows } from '../../rules/pack.js';
import { isObject, type JsonObject } from '../reader.js';
import { shownProblem, type CaseProblem } from '../run-case.js';
import {
  changedYear,
  correctionsOf,
  repaidEntries,
  type Consequence,
  type ShownCorrection,
  type YearContents,
} from './corrections.js';
import { readYear, type YearCase } from './read-year.js';
import { yearLedger, type PaidCheck, type YearLedger } from './year-ledger.js';

export interface YearAnswer {
  readonly id: string;
  readonly liabilities?: readonly {
    readonly group: string;
    readonly agency: string;
    readonly accrued: string;
    readonly amount: string;
    readonly deposited: string;
    readonly due: string | null;
    readonly class: string | null;
    readonly rule: string;
  }[];
  readonly returns?: readonly {
    readonly kind: string;
    readonly period: string;
    readonly due: string;
    /** A later day that holds because everything was deposited on time. */
    readonly laterDue?: string;
    readonly lines: Readonly<Record<string, string>>;
    readonly schedules: Readonly<Record<string, unknown>>;
  }[];
  readonly wageStatements?: readonly {
    readonly person: string;
    readonly boxes: JsonObject;
    readonly states: readonly JsonObject[];
    readonly localities: readonly JsonObject[];
  }[];
  readonly corrections?: readonly ShownCorrection[];
  readonly consequences?: readonly Consequence[];
  readonly problems: readonly CaseProblem[];
}

/** Computes a year case: every check in its order, what each deposit owes by when, the returns and the wage statements. */
export function runYear(value: JsonObject): YearAnswer {
  const id = typeof value['id'] === 'string' ? value['id'] : '';
  const issues: Issue[] = [];
  const year = readYear(value, issues);
  if (!year) return { id, problems: issues.map(shownProblem) };
  const more = Object.fromEntries(
    ['rules', 'places'].flatMap((field) => (value[field] === undefined ? [] : [[field, value[field]]])),
  );
  const ledger = yearLedger(year, more);
  if (ledger.issues.some((issue) => issue.severity === 'error'))
    return { id, problems: ledger.issues.map(shownProblem) };
  const own = value['rules'] === undefined ? null : ownRules(readRows(value['rules'], 'rules', issues));
  const run = new YearRun(year, ledger, own);
  const asked = year.asks;
  const answer = {
    ...(asked.has('liabilities') ? { liabilities: run.liabilities() } : {}),
    ...(asked.has('returns') ? { returns: run.returns() } : {}),
    ...(asked.has('wage-statements') ? { wageStatements: run.wageStatements() } : {}),
    ...(year.filed.length > 0 ? corrected(year, ledger, run, own, more) : {}),
  };
  return { id, ...answer, problems: run.issues.map(shownProblem) };
}

/** The corrections of what was filed: the year as it was against the year with its changes. */
function corrected(
  year: YearCase,
  ledger: YearLedger,
  run: YearRun,
  own: OwnRules | null,
  more: JsonObject,
): Pick<YearAnswer, 'corrections' | 'consequences'> {
  const changed = changedYear(year, year.changes);
  const then = yearLedger(changed, more);
  run.issues.push(...then.issues.filter((issue) => issue.severity === 'error'));
  const put = { ...then, entries: [...then.entries, ...repaidEntries(year, ledger, year.changes)] };
  const contents = (of: YearRun, entries: YearLedger): YearContents => ({
    ledger: entries,
    inputOf: (kind, period) => of.inputOf(kind, period),
  });
  const found = correctionsOf(
    year.filed,
    year.changes,
    contents(run, ledger),
    contents(new YearRun(changed, put, own), put),
  );
  run.issues.push(...found.issues);
  return { corrections: found.corrections, consequences: found.consequences };
}

class YearRun {
  readonly issues: Issue[] = [];
  private readonly dates = new Map<string, DepositDates>();

  constructor(
    private readonly year: YearCase,
    private readonly ledger: YearLedger,
    private readonly rules: OwnRules | null,
  ) {
    for (const [index, { family }] of year.payments.entries())
      if (!ledger.entries.some((entry) => this.familyOf(entry.tax).code === family))
        this.issues.push(
          problem('year.payment-for-nothing', `payments[${index}].group`, { group: family.toLowerCase() }),
        );
  }

  private familyOf(tax: TaxCode): DepositFamily {
    return familyOf(tax, this.year.employer.form);
  }
  private entriesOf(family: DepositFamily): LedgerEntry[] {
    return this.ledger.entries.filter((entry) => this.familyOf(entry.tax).code === family.code);
  }

  private datesOf(family: DepositFamily): DepositDates {
    const known = this.dates.get(family.code);
    if (known) return known;
    const accrued = this.entriesOf(family).map((entry): Accrued =>
      isLiability(entry)
        ? { date: entry.liabilityDate, amount: entry.amount }
        : {
            date: entry.liabilityDate,
            amount: ZERO,
            deposited: [{ date: entry.effectiveDate, amount: negate(entry.amount) }],
          },
    );
    const made = depositDates(family, family.calendar, accrued, this.classFacts(family));
    this.dates.set(family.code, made);
    return made;
  }

  private classFacts(family: DepositFamily): ClassFacts {
    const { year, frequency, lookback, firstWages } = this.year;
    const said = frequency.get(family.code) ?? frequency.get(family.agency);
    return {
      said: () => (said === undefined ? null : { class: said, since: date(`${year}-01-01`) }),
      entered: (of) => (of === year ? (lookback.get(family.code) ?? null) : null),
      liabilities: [],
      completeFrom: null,
      firstWages,
      otherwise: null,
    };
  }

  liabilities(): NonNullable<YearAnswer['liabilities']> {
    const families = new Map(
      this.ledger.entries.map((entry) => [this.familyOf(entry.tax).code, this.familyOf(entry.tax)]),
    );
    return [...families.values()].flatMap((family) => {
      const entries = this.entriesOf(family);
      const { dues } = this.datesOf(family);
      const days = [...new Set(entries.map(({ liabilityDate }) => liabilityDate))].sort();
      return days.flatMap((day) => {
        const own = entries.filter(({ liabilityDate }) => liabilityDate === day);
        const amount = sum(own.filter(isLiability).map((entry) => entry.amount));
        const deposited = negate(sum(own.filter(isPayment).map((entry) => entry.amount)));
        if (amount === 0 && deposited === 0) return [];
        const due = dues.get(day);
        if (due?.question && !this.issues.some((issue) => issue.field === due.question.field))
          this.issues.push({ ...due.question, field: `employer.${due.question.field}` });
        return [
          {
            group: family.code.toLowerCase(),
            agency: family.agency,
            accrued: day,
            amount: toDollars(amount),
            deposited: toDollars(deposited),
            due: due?.due ?? null,
            class: due?.class ?? null,
            rule: due?.rule ?? '',
          },
        ];
      });
    });
  }

  private kinds(): FilingKind[] {
    const { forms, employer } = this.year;
    const choices: FormChoice[] = (forms ?? []).map((kind) => ({ kind, files: true, reason: 'forms' }));
    return FILING_KINDS.filter((kind) =>
      forms ? forms.includes(kind.code) || kind.statements !== undefined : filesKind(kind, employer, choices).is,
    );
  }

  returns(): NonNullable<YearAnswer['returns']> {
    return this.kinds()
      .filter((kind) => kind.statements === undefined)
      .flatMap((kind) =>
        periodsOfYear(kind.period, this.year.year)
          .filter((period) => period.start <= this.year.asOf && this.isOwed(kind, period))
          .map((period) => this.returnOf(kind, period)),
      );
  }

  private isOwed(kind: FilingKind, { start, end }: FilingPeriod): boolean {
    return this.ledger.entries.some(
      (entry) =>
        entry.liabilityDate >= start && entry.liabilityDate <= end && kind.owedFor.includes(taxOf(entry.tax).group),
    );
  }

  private returnOf(kind: FilingKind, period: FilingPeriod): NonNullable<YearAnswer['returns']>[number] {
    const content = kind.compute(this.inputOf(kind, period));
    const where = `${kind.code} ${periodKey(period)}`;
    const found = kind.check(content, NOBODY(period)).filter((issue) => issue.field.startsWith('line.'));
    this.issues.push(...found.map((issue) => ({ ...issue, field: `${where} ${issue.field}` })));
    const later =
      kind.laterWhenDeposited && this.isDepositedOnTime(kind, period) ? kind.laterWhenDeposited(period) : null;
    return {
      kind: kind.code,
      period: periodKey(period),
      due: kind.due(period).due,
      ...(later === null ? {} : { laterDue: later }),
      lines: Object.fromEntries(
        kind
          .lines(content)
          .map((line) => [line.id, line.kind === 'count' ? String(line.value) : toDollars(cents(line.value))]),
      ),
      schedules: Object.fromEntries(kind.tables(content).map((table) => [table.code, scheduleOf(table)])),
    };
  }

  private isDepositedOnTime(kind: FilingKind, { start, end }: FilingPeriod): boolean {
    const family = kind.pays ? findFamily(kind.pays.family) : null;
    if (!family) return false;
    const entries = this.entriesOf(family).filter(
      ({ liabilityDate }) => liabilityDate >= start && liabilityDate <= end,
    );
    const { dues } = this.datesOf(family);
    return (
      sum(entries.map((entry) => entry.amount)) === 0 &&
      entries.filter(isPayment).every((entry) => entry.effectiveDate <= (dues.get(entry.liabilityDate)?.due ?? ''))
    );
  }

  inputOf(kind: FilingKind, period: FilingPeriod): FilingInput {
    const { needs } = kind;
    const isWithin = (day: LocalDate): boolean => day >= period.start && day <= period.end;
    const checks = this.ledger.checks.filter(({ checkDate }) => isWithin(checkDate));
    const entries = this.ledger.entries.filter(({ liabilityDate }) => isWithin(liabilityDate));
    const twelfth = twelfthOf(needs.headcount, period);
    const onTwelfth = this.ledger.checks.filter((check) => check.periodStart <= twelfth && check.periodEnd >= twelfth);
    const family = needs.depositsOf ? findFamily(needs.depositsOf) : null;
    const tracked = (name: keyof Tracked): Cents => sum(checks.map(({ result }) => result.tracked[name]));
    return {
      ...emptyInput(period, this.year.employer),
      entries,
      rules: this.rules,
      headcount: new Set(onTwelfth.map((check) => check.person)).size,
      depositor: family ? this.depositorOf(family, period, isWithin) : null,
      tracked: Object.fromEntries((needs.tracked ?? []).map((name) => [name, tracked(name)])),
      entered: this.year.entered.get(`${kind.code} ${periodKey(period)}`) ?? {},
      statements: needs.statements
        ? {
            people: this.year.people.map(personOf),
            checks: checks.map(({ person, result }) => ({ employeeId: person, ...result })),
            stateIds: {},
          }
        : { people: [], checks: [], stateIds: {} },
      ...(needs.wageDetail ? { wageDetail: this.wageDetail(checks) } : {}),
      unemployment: needs.unemployment
        ? checks.map(({ person, result }) => unemploymentPay({ employeeId: person, ...result }))
        : [],
      contributions: needs.unemployment ? contributionsOf(entries, kind.due(period).due) : [],
    };
  }

  private wageDetail(checks: readonly PaidCheck[]): WageDetail {
    return {
      checks: checks.map(({ person, periodStart, periodEnd, parts, result }) => ({
        employeeId: person,
        periodStart,
        periodEnd,
        hours: hoursOf(parts['earnings']),
        taxes: result.taxes,
      })),
      people: this.year.people.map(personOf),
      rates: ratesOf(this.year.caseEmployer),
      accounts: {},
    };
  }

  private depositorOf(
    family: DepositFamily,
    { end }: FilingPeriod,
    isWithin: (day: LocalDate) => boolean,
  ): FilingInput['depositor'] {
    const dates = this.datesOf(family);
    return { class: dates.classOn(end).class, isReached: [...dates.nextDays.values()].some(isWithin) };
  }

  wageStatements(): NonNullable<YearAnswer['wageStatements']> {
    return this.kinds().flatMap((kind) =>
      kind.statements
        ? periodsOfYear(kind.period, this.year.year).flatMap((period) =>
            (kind.statements?.(kind.compute(this.inputOf(kind, period))) ?? []).map(statementOf),
          )
        : [],
    );
  }
}

/** Hours of a check as its case has them, in hundredths. */
function hoursOf(earnings: unknown): number {
  const lines = Array.isArray(earnings) ? (earnings as JsonObject[]) : [];
  return lines.reduce((total, line) => {
    const hours = line['hours'];
    const read = typeof hours === 'string' || typeof hours === 'number' ? parseDollars(String(hours)) : null;
    return total + (read ?? 0);
  }, 0);
}
/** The client's own rates: unemployment by state, others by the code of the tax. In percent. */
function ratesOf(employer: JsonObject): Record<string, Rate> {
  const found: Record<string, Rate> = {};
  const take = (code: string, value: unknown): void => {
    const read = typeof value === 'string' || typeof value === 'number' ? parsePercent(String(value)) : null;
    if (read) found[code] = read;
  };
  for (const [state, value] of Object.entries(objectOf(employer['unemploymentRates']))) take(`${state}-SUI`, value);
  for (const [code, value] of Object.entries(objectOf(employer['rates']))) take(code, value);
  return found;
}
const objectOf = (value: unknown): JsonObject => (isObject(value) ? value : {});

/** Facts for the checks of the figures alone: who files and who sends is not asked of a case. */
const NOBODY = (period: FilingPeriod) => {
  const place = { street: '', city: '', state: '', zip: '' };
  return {
    filer: {
      ...place,
      ein: '',
      name: '',
      nameControl: '',
      tradeName: '',
      phone: '',
      email: '',
      contactName: '',
      signerName: '',
      signerTitle: '',
      kindOfEmployer: 'N' as const,
    },
    firm: {
      ...place,
      ein: '',
      name: '',
      contactName: '',
      phone: '',
      email: '',
      preparerName: '',
      preparerPtin: '',
      efin: '',
      efw2UserId: '',
    },
    today: date('2199-01-01'),
    period,
    openPayrolls: [],
  };
};

/** A schedule of days and amounts as an object by day, any other as a list of rows by the names of its columns. */
function scheduleOf({ columns, rows }: FilingTable): unknown {
  const shown = (value: string | number): string => (typeof value === 'number' ? toDollars(cents(value)) : value);
  if (columns.length === 2 && columns[0]?.kind === 'day')
    return Object.fromEntries(rows.map(([day = '', amount = 0]) => [String(day), shown(amount)]));
  return rows.map((row) => Object.fromEntries(columns.map(({ name }, index) => [name, shown(row[index] ?? '')])));
}

const personOf = (person: YearCase['people'][number]): W2Person => ({
  employeeId: person.id,
  ssn: person.ssn,
  firstName: person.firstName,
  middleName: person.middleName,
  lastName: person.lastName,
  suffix: person.suffix,
  street: '',
  city: '',
  state: '',
  zip: '',
  country: '',
  province: '',
  isRetirementPlan: person.isRetirementPlan,
  isStatutory: person.isStatutory,
});

/** Boxes of a Form W-2 that have something in them, by their numbers. */
function statementOf(form: FormW2): NonNullable<YearAnswer['wageStatements']>[number] {
  const amounts = {
    1: 'box1',
    2: 'box2',
    3: 'box3',
    4: 'box4',
    5: 'box5',
    6: 'box6',
    7: 'box7',
    8: 'box8',
    10: 'box10',
    11: 'box11',
  } as const;
  const boxes: Record<string, unknown> = {};
  for (const [number, box] of Object.entries(amounts)) if (form[box] !== 0) boxes[number] = toDollars(form[box]);
  if (form.box12.length > 0) boxes['12'] = form.box12.map(({ code, amount }) => ({ code, amount: toDollars(amount) }));
  const marks = [
    ...(form.person.isStatutory ? ['statutory'] : []),
    ...(form.person.isRetirementPlan ? ['retirement-plan'] : []),
    ...(form.isThirdPartySickPay ? ['third-party-sick-pay'] : []),
  ];
  if (marks.length > 0) boxes['13'] = marks;
  if (form.box14.length > 0)
    boxes['14'] = form.box14.map(({ label, amount }) => ({ label, amount: toDollars(amount) }));
  return {
    person: form.person.employeeId,
    boxes,
    states: form.states.map(({ state, wages, tax }) => ({ '15': state, '16': toDollars(wages), '17': toDollars(tax) })),
    localities: form.locals.map(({ locality, wages, tax }) => ({
      '18': toDollars(wages),
      '19': toDollars(tax),
      '20': locality,
    })),
  };
}

/** A line of the case file that is a year. */
export const isYear = (value: unknown): value is JsonObject => isObject(value) && value['kind'] === 'year';
