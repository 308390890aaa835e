import { PAY_FREQUENCIES, type PayFrequency } from '../calendar/pay-frequency.js';
import type { IssueCode } from '../issues/catalogue.js';
import { type Issue, problem } from '../issues/issue.js';
import {
  type DeductionItem,
  type EarningItem,
  type EmployerItem,
  PAY_ITEMS,
  type PayItem,
  findItem,
  isElected,
} from '../items/registry.js';
import { BASE_FAMILIES, TREATMENTS, type Treatment } from '../items/treatment.js';
import type { DailyOvertime } from '../jurisdictions/overtime.js';
import { type LeavePlan, leaveHours } from '../leave/accrual.js';
import { cents, type Cents } from '../money/cents.js';
import { parseRate, showPercent, showRate, type Rate } from '../money/rate.js';
import { isPlausibleFactor, withFactor } from '../items/factor.js';
import { convertSalary } from '../paycheck/earnings.js';
import { GARNISHMENT_KINDS, type Garnishment } from '../computation/orders.js';
import {
  type Deduction,
  type Earning,
  type EmployerPaid,
  FILING_STATUSES,
  type LeaveAccount,
  type MatchTier,
  type Override,
  type OwnItemName,
} from '../computation/input.js';
import type { LeftOut, WantedBy } from '../computation/left-out.js';
import type { WorkClass } from '../computation/work-class.js';
import { SPLIT_ITEMS, splitDays, splitWeeks, type SplitHours } from '../paycheck/workweeks.js';
import { Reader } from './reader.js';

/** How often the check is paid, for a salary of another frequency. */
export interface PaidEvery {
  readonly frequency: PayFrequency;
  readonly days: number;
  /** Lines of overtime that do not say otherwise have their premium on the regular rate. */
  readonly isOvertimeOnRegularRate: boolean;
  /** What the state of work says about the hours of a day, for an hourly rate. */
  readonly dailyRule: (hourly: Rate | null) => DailyOvertime | null;
}
const SALARY_FREQUENCIES = PAY_FREQUENCIES.filter((one) => one !== 'miscellaneous');

const EARNING_FIELDS = [
  'item',
  'name',
  'label',
  'treatment',
  'hours',
  'weeks',
  'days',
  'rate',
  'amount',
  'per',
  'regularRate',
  'job',
  'factor',
];
const HOURS_OF_A_WEEK = 168;
const HOURS_OF_A_DAY = 24;
const DAYS_OF_A_WEEK = 7;
const NO_HOURS: SplitHours = splitWeeks([]);

/** Decimals of a list, or one alone; null with an issue for what is none, or is more than `most`. */
function readHours(given: unknown, path: string, most: number, tooLong: IssueCode, issues: Issue[]): Rate[] | null {
  const hours = (Array.isArray(given) ? (given as unknown[]) : [given]).map((one) =>
    typeof one === 'string' ? parseRate(one) : null,
  );
  const read = hours.filter((one) => one !== null);
  if (read.length < hours.length || read.some((one) => one.n < 0))
    issues.push(problem('input.not-a-decimal', path, { value: JSON.stringify(given) }));
  else if (read.some((one) => one.n > most * one.d)) issues.push(problem(tooLong, path));
  else return read;
  return null;
}

/** Hours of each day, a list for each workweek. */
function readDays(given: unknown, path: string, issues: Issue[]): Rate[][] | null {
  if (!Array.isArray(given) || !given.every((week) => Array.isArray(week))) {
    issues.push(problem('input.not-a-decimal', path, { value: JSON.stringify(given) }));
    return null;
  }
  const weeks = given.map((week, index) =>
    readHours(week, `${path}[${index}]`, HOURS_OF_A_DAY, 'earning.day-too-long', issues),
  );
  const long = weeks.findIndex((week) => week !== null && week.length > DAYS_OF_A_WEEK);
  if (long >= 0) issues.push(problem('earning.week-of-days', `${path}[${long}]`));
  const read = weeks.filter((week) => week !== null);
  return read.length === weeks.length && long < 0 ? read : null;
}

/** Hours worked by the workweek or by the day, as regular hours and overtime; null when none are given so. */
function readSplit(reader: Reader, item: PayItem | null, issues: Issue[], { dailyRule }: PaidEvery): SplitHours | null {
  const by = reader.has('days') ? 'days' : 'weeks';
  if (!reader.has(by)) return null;
  const path = `${reader.path}.${by}`;
  const isAlone = !['hours', 'amount', by === 'days' ? 'weeks' : 'days'].some((other) => reader.has(other));
  if (item?.code !== 'regular' || !isAlone) {
    issues.push(problem('earning.weeks', path, { item: item?.label ?? '' }));
    return NO_HOURS;
  }
  if (by === 'days') {
    const days = readDays(reader.raw(by), path, issues);
    return days ? splitDays(days, dailyRule(reader.has('rate') ? reader.decimal('rate') : null)) : NO_HOURS;
  }
  const weeks = readHours(reader.raw(by), path, HOURS_OF_A_WEEK, 'earning.week-too-long', issues);
  return weeks ? splitWeeks(weeks) : NO_HOURS;
}

/** Paid at more than its rate, or the premium alone, as the standard item is: a night shift at 1.1 is no overtime. */
function isOvertime({ code }: EarningItem): boolean {
  const standard = findItem(code);
  return standard?.list === 'earning' && standard.factor !== '1';
}

/** The item at the multiple of the rate that a client's own item has. */
function multiplied(item: PayItem | null, reader: Reader, issues: Issue[]): PayItem | null {
  if (!reader.has('factor')) return item;
  const factor = reader.decimal('factor');
  if (!factor || !item || item.list !== 'earning') return item;
  const isPlausible = isPlausibleFactor(factor);
  if (isPlausible && reader.has('name')) return withFactor(item, factor, showRate(factor));
  issues.push(
    isPlausible
      ? problem('input.missing', `${reader.path}.name`, { what: 'the name of the item' })
      : problem('item.factor', `${reader.path}.factor`, { factor: showRate(factor) }),
  );
  return item;
}

export function readEarning(reader: Reader, issues: Issue[], paid: PaidEvery): Earning[] {
  reader.only(EARNING_FIELDS);
  const item = multiplied(readItem(reader, 'earning', issues), reader, issues);
  const split = readSplit(reader, item, issues, paid);
  const hours = split ? split.regular : reader.decimal('hours');
  const rate = reader.decimal('rate');
  const per = reader.has('per') ? reader.oneOf('per', SALARY_FREQUENCIES) : null;
  const given = reader.has('amount') && !split ? reader.amount('amount') : null;
  if (per && given === null) issues.push(problem('input.missing', `${reader.path}.amount`, { what: 'the amount' }));
  const amount = per && given !== null ? cents(convertSalary(given, per, paid.frequency) * paid.days) : given;
  if (!item || item.list !== 'earning') return [];
  const path = reader.path;
  if (amount !== null && hours !== null) issues.push(problem('earning.both', path, { item: item.label }));
  else if (amount === null && hours === null) issues.push(problem('earning.no-amount', path, { item: item.label }));
  else if (hours !== null && rate === null)
    issues.push(problem('earning.hours-without-rate', `${path}.rate`, { item: item.label }));
  const own = readOwn(reader);
  const isAsked = reader.has('regularRate');
  const isOnRegularRate = isAsked ? reader.flag('regularRate') : paid.isOvertimeOnRegularRate && isOvertime(item);
  const isSplitOnRegularRate = isAsked ? isOnRegularRate : paid.isOvertimeOnRegularRate;
  const job = reader.has('job') ? reader.text('job') : null;
  if (!split) return [{ item, ...own, hours, rate, amount, isOnRegularRate, job }];
  return SPLIT_ITEMS.flatMap(([part, code]): Earning[] => {
    const standard = findItem(code);
    if (part === 'regular') return [{ item, ...own, hours, rate, amount, isOnRegularRate: false, job }];
    if (split[part].n === 0 || standard?.list !== 'earning') return [];
    const isOnRate = isSplitOnRegularRate;
    return [{ item: standard, own: null, hours: split[part], rate, amount, isOnRegularRate: isOnRate, job }];
  });
}

/** The firm's own name and label of a line, when it has them: the item is still the one it is treated as. */
const readOwn = (reader: Reader): { own: OwnItemName | null } => {
  const name = reader.has('name') ? reader.text('name') : null;
  const treatment = reader.has('treatment') ? readTreatment(reader.object('treatment')) : null;
  if (name === null) {
    // A standard item is taxed as the law has it; only one of the client's own can be another thing.
    if (treatment)
      reader.issues.push(problem('input.missing', `${reader.path}.name`, { what: 'the name of the item' }));
    return { own: null };
  }
  return { own: { name, label: reader.has('label') ? (reader.text('label') ?? name) : name, treatment } };
};

function readTreatment(reader: Reader | null): Treatment | null {
  if (!reader) return null;
  const families = BASE_FAMILIES.map(([family]) => family);
  reader.only(families);
  const given = families.filter((family) => reader.has(family));
  return Object.fromEntries(given.map((family) => [family, reader.oneOf(family, TREATMENTS) ?? 'taxed']));
}

type ItemOf<L> = Extract<PayItem, { list: L }>;

export function readItem<L extends PayItem['list']>(reader: Reader, wanted: L, issues: Issue[]): ItemOf<L> | null {
  const code = reader.text('item');
  if (code === null) return null;
  const item = findItem(code);
  const path = `${reader.path}.item`;
  if (!item) {
    const choices = PAY_ITEMS.filter((known) => known.list === wanted).map((known) => known.code);
    issues.push(problem('item.unknown', path, { item: code, choices: choices.join(', ') }));
    return null;
  }
  if (item.list !== wanted) {
    issues.push(problem('item.wrong-list', path, { item: item.label, kind: item.list, wanted }));
    return null;
  }
  return item as ItemOf<L>;
}

/** Whether the line is out of this check: a reason in `leftOut` says so, and is noted. */
function readLeftOut(reader: Reader, label: string | null, wantedBy: WantedBy, out: LeftOut[]): boolean {
  if (!reader.has('leftOut')) return false;
  const reason = reader.text('leftOut')?.trim();
  if (reason === '') reader.issues.push(problem('input.missing', `${reader.path}.leftOut`, { what: 'the reason' }));
  if (label !== null && reason) out.push({ label, wantedBy, reason, field: reader.path });
  return true;
}
/** Another amount than the line comes to, with the reason; null: none is given. */
function readOverride(reader: Reader, mayBeOwed: boolean): Override | null {
  if (!reader.has('override')) return null;
  const given = reader.object('override');
  if (!given) return null;
  given.only(mayBeOwed ? ['amount', 'reason', 'owed'] : ['amount', 'reason']);
  if (!given.has('amount'))
    reader.issues.push(problem('input.missing', `${given.path}.amount`, { what: 'the amount' }));
  const reason = given.has('reason') ? (given.text('reason') ?? '').trim() : '';
  if (reason === '') reader.issues.push(problem('input.missing', `${given.path}.reason`, { what: 'the reason' }));
  return { amount: given.amount('amount'), reason, isOwed: mayBeOwed && given.flag('owed') };
}
const DEDUCTION_FIELDS = [
  'item',
  'name',
  'label',
  'treatment',
  'amount',
  'percent',
  'perCheck',
  'perYear',
  'balance',
  'coverage',
  'arrears',
  'override',
  'leftOut',
];

export function readDeductions(readers: readonly Reader[], issues: Issue[], out: LeftOut[]): Deduction[] {
  return readers.flatMap((reader) => {
    reader.only(DEDUCTION_FIELDS);
    const item: DeductionItem | null = readItem(reader, 'deduction', issues);
    const optional = (field: string): Cents | null => (reader.has(field) ? reader.amount(field) : null);
    const percent = reader.has('percent') ? reader.percent('percent') : null;
    const amount = optional('amount');
    if (amount === null && percent === null && !reader.has('percent'))
      issues.push(problem('input.missing', `${reader.path}.amount`, { what: 'the amount' }));
    if (amount !== null && percent !== null)
      issues.push(problem('deduction.needs-amount', reader.path, { item: item?.label ?? 'The deduction' }));
    if (percent && percent.n > percent.d)
      issues.push(
        problem('percent.over-whole', `${reader.path}.percent`, { percent: showPercent(percent).slice(0, -1) }),
      );
    const limits = { perCheck: optional('perCheck'), perYear: optional('perYear'), balance: optional('balance') };
    const coverage = reader.has('coverage') ? reader.oneOf('coverage', ['self', 'family'] as const) : null;
    const own = readOwn(reader);
    const label = own.own?.label ?? item?.label ?? null;
    if (readLeftOut(reader, label, item && isElected(item) ? 'election' : 'nobody', out)) return [];
    const arrears = optional('arrears');
    const override = readOverride(reader, true);
    return item ? [{ item, ...own, amount, percent, limits, coverage, arrears, override }] : [];
  });
}

export function readEmployerPaid(readers: readonly Reader[], issues: Issue[], out: LeftOut[]): EmployerPaid[] {
  return readers.flatMap((reader) => {
    reader.only(['item', 'name', 'label', 'amount', 'percent', 'match', 'perCheck', 'perYear', 'override', 'leftOut']);
    const item: EmployerItem | null = readItem(reader, 'employer', issues);
    const measure = readMeasure(reader, item?.label ?? 'The line', issues);
    const optional = (field: string): Cents | null => (reader.has(field) ? reader.amount(field) : null);
    const limits = { perCheck: optional('perCheck'), perYear: optional('perYear') };
    const own = readOwn(reader);
    if (readLeftOut(reader, own.own?.label ?? item?.label ?? null, 'nobody', out)) return [];
    const override = readOverride(reader, false);
    return item && measure ? [{ item, ...own, measure, ...limits, override }] : [];
  });
}

/** An amount, a percentage of gross, or a match of what is deferred: one of them. */
function readMeasure(reader: Reader, item: string, issues: Issue[]): EmployerPaid['measure'] | null {
  const given = ['amount', 'percent', 'match'].filter((name) => reader.has(name));
  if (given.length === 0) issues.push(problem('input.missing', `${reader.path}.amount`, { what: 'the amount' }));
  if (given.length > 1) issues.push(problem('deduction.needs-amount', reader.path, { item }));
  if (given.length !== 1) return null;
  if (given[0] === 'amount') return { is: 'amount', amount: reader.amount('amount') };
  const share = (from: Reader, field: string): Rate | null => {
    const percent = from.percent(field);
    if (percent && percent.n > 10 * percent.d) issues.push(problem('input.too-large', `${from.path}.${field}`));
    return percent;
  };
  if (given[0] === 'percent') {
    const percent = share(reader, 'percent');
    return percent ? { is: 'percent', percent } : null;
  }
  const tiers = reader.list('match', true).flatMap((tier): MatchTier[] => {
    tier.only(['percent', 'upTo']);
    const percent = share(tier, 'percent');
    const upTo = tier.has('upTo') ? share(tier, 'upTo') : null;
    return percent ? [{ percent, upTo }] : [];
  });
  tiers.forEach((tier, index) => {
    const next = tiers[index + 1];
    const isInOrder = !next || (tier.upTo && (!next.upTo || next.upTo.n * tier.upTo.d > tier.upTo.n * next.upTo.d));
    if (!isInOrder) issues.push(problem('match.order', `${reader.path}.match[${index + 1}].upTo`));
  });
  return { is: 'match', tiers };
}

export function readGarnishments(readers: readonly Reader[], out: LeftOut[]): Garnishment[] {
  return readers.flatMap((reader) => {
    reader.only([
      'kind',
      'label',
      'amount',
      'priority',
      'supportsOthers',
      'inArrears',
      'filingStatus',
      'dependents',
      'ageOrBlind',
      'headOfFamily',
      'consumerCredit',
      'takenThisYear',
      'fee',
      'balance',
      'override',
      'leftOut',
    ]);
    const kind = reader.oneOf('kind', GARNISHMENT_KINDS);
    if (kind === null) return [];
    const label = reader.has('label') ? (reader.text('label') ?? kind) : kind;
    if (readLeftOut(reader, label, 'order', out)) return [];
    return [
      {
        kind,
        label,
        amount: reader.has('amount') ? reader.amount('amount') : null,
        priority: reader.has('priority') ? reader.whole('priority') : null,
        supportsOthers: reader.flag('supportsOthers'),
        isInArrears: reader.flag('inArrears'),
        levy:
          kind === 'federal-levy'
            ? {
                filingStatus:
                  reader.oneOf('filingStatus', FILING_STATUSES, 'married-separately') ?? 'married-separately',
                dependents: reader.whole('dependents'),
                ageOrBlind: reader.whole('ageOrBlind'),
              }
            : null,
        isHeadOfFamily: reader.flag('headOfFamily'),
        isConsumerCredit: reader.flag('consumerCredit'),
        takenThisYear: reader.amount('takenThisYear'),
        dependents: reader.whole('dependents'),
        fee: reader.amount('fee'),
        balance: reader.has('balance') ? reader.amount('balance') : null,
        override: readOverride(reader, false),
      },
    ];
  });
}

/** The classes of the client's workers' compensation policy. */
export function readWorkClasses(employer: Reader | null, issues: Issue[]): WorkClass[] {
  return (employer?.list('workersCompensation', false) ?? []).flatMap((reader): WorkClass[] => {
    reader.only(['class', 'per', 'rate', 'employeeRate']);
    const code = reader.text('class');
    const per = reader.oneOf('per', ['hundred', 'hour'] as const, 'hundred');
    const rate = reader.decimal('rate');
    const employeeRate = reader.has('employeeRate') ? reader.decimal('employeeRate') : null;
    if (!rate) issues.push(problem('input.missing', `${reader.path}.rate`, { what: 'the rate of the class' }));
    if (rate && employeeRate && (per !== 'hour' || employeeRate.n * rate.d > rate.n * employeeRate.d))
      issues.push(problem('compensation.employee-rate', `${reader.path}.employeeRate`));
    return code && per && rate ? [{ code, per, rate, employeeRate }] : [];
  });
}

/** The person's class among those of the policy; one that the policy does not name is an issue. */
export function classNamed(wanted: string | null, classes: readonly WorkClass[], issues: Issue[]): WorkClass | null {
  if (wanted === null) return null;
  const found = classes.find((candidate) => candidate.code === wanted);
  if (!found)
    issues.push(
      problem('input.not-one-of', 'employee.workClass', {
        value: wanted,
        choices: classes.map((known) => known.code).join(', ') || 'none',
      }),
    );
  return found ?? null;
}

const RESET = /^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

export function readLeave(readers: readonly Reader[], issues: Issue[]): LeaveAccount[] {
  return readers.flatMap((reader) => {
    reader.only(['item', 'per', 'hours', 'balance', 'maximum', 'waitsUntil', 'resetOn', 'carryOver', 'lastCheck']);
    const item = readItem(reader, 'earning', issues);
    const per = reader.oneOf('per', ['period', 'hour', 'year'] as const);
    const hours = reader.decimal('hours');
    if (!reader.has('hours'))
      issues.push(problem('input.missing', `${reader.path}.hours`, { what: 'the hours that build up' }));
    const lastCheck = reader.date('lastCheck');
    const optional = (name: string) => {
      const value = reader.has(name) ? reader.decimal(name) : null;
      return value ? leaveHours(value) : null;
    };
    const resetOn = reader.has('resetOn') ? (reader.text('resetOn') ?? '') : '';
    const [, month, day] = RESET.exec(resetOn) ?? [];
    if (resetOn !== '' && month === undefined)
      issues.push(problem('input.not-an-iso-date', `${reader.path}.resetOn`, { value: resetOn }));
    if (!item || !per || !hours || !lastCheck) return [];
    const plan: LeavePlan = {
      item: item.code,
      per,
      hours: leaveHours(hours),
      maximum: optional('maximum'),
      waitsUntil: reader.has('waitsUntil') ? reader.date('waitsUntil') : null,
      reset:
        month === undefined ? null : { month: Number(month), day: Number(day), carryOver: optional('carryOver') ?? 0 },
    };
    return [{ plan, balance: optional('balance') ?? 0, lastCheck }];
  });
}
