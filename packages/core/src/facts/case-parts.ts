import { isObject, type JsonObject } from '../casefile/reader.js';
import type { OwnItem } from '../casefile/compose.js';
import type { PayFrequency } from '../calendar/pay-frequency.js';
import { PERIODS_PER_YEAR } from '../calendar/pay-frequency.js';
import { findItem } from '../items/registry.js';
import { BASE_FAMILIES, TREATMENTS, type Treatment } from '../items/treatment.js';
import { ZERO, cents, notBelowZero, parseDollars, subtract, toDollars, type Cents } from '../money/cents.js';
import { dividedBy, round } from '../money/exact.js';
import { convertSalary } from '../paycheck/earnings.js';
import { treatmentField } from './client-facts.js';
import { text, type FactValue } from './fact-kind.js';
import { joined, shareByWorkdays, type PaySpan } from './period-pay.js';
import type { DatedFact } from './in-force.js';
import type { ClientOnDay, PersonOnDay } from './on-day.js';

/** What was taken by a standing line or an order: since it began, for balances, or in the calendar year of the check. */
export type Taken = (kind: 'standing' | 'garnishment', fact: DatedFact, span: 'ever' | 'year') => Cents;
/** What of a line is owed from earlier checks, by its code. */
export type Owed = (item: string) => Cents;
/** Where a leave plan stands after the last posted check, if there was one since the plan began. */
export type LeaveStand = (fact: DatedFact) => { readonly balance: string; readonly lastCheck: string } | null;

const isGiven = (value: unknown): boolean => value !== undefined && value !== null && value !== '';
const pick = (value: FactValue, names: readonly string[]): JsonObject =>
  Object.fromEntries(names.filter((name) => isGiven(value[name])).map((name) => [name, value[name]]));

const takenThisYear = (taken: Cents): { takenThisYear?: string } =>
  taken === 0 ? {} : { takenThisYear: toDollars(taken) };
const left = (value: FactValue, taken: Cents): { balance?: string } => {
  const balance = parseDollars(text(value, 'balance'));
  return balance === null || text(value, 'balance') === ''
    ? {}
    : { balance: toDollars(notBelowZero(subtract(balance, taken))) };
};

/** An employee who gave no Form W-4 is withheld on as single, without other adjustments (Publication 15, section 9). */
const WITHOUT_CERTIFICATE = { form: '2020', filingStatus: 'single' };

/** The part of a case that says who the person is to the tax rules. */
export function employeePart(
  person: PersonOnDay,
  bornOn: string | null,
  clientExempt: readonly string[],
  taken: Taken,
): JsonObject {
  const worker = person.worker;
  const ownExempt = Array.isArray(worker?.['exemptFrom'])
    ? worker['exemptFrom'].filter(isObject).map((line) => text(line, 'tax'))
    : [];
  const garnishments = person.garnishments.map((fact) => ({
    ...pick(fact.value, [
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
      'fee',
    ]),
    ...left(fact.value, taken('garnishment', fact, 'ever')),
    ...(text(fact.value, 'kind') === 'creditor' ? takenThisYear(taken('garnishment', fact, 'year')) : {}),
  }));
  return {
    ...(worker ? pick(worker, ['kind', 'workClass', 'priorYearWages']) : {}),
    ...(bornOn === null ? {} : { birthDate: bornOn }),
    federal: person.federal ?? WITHOUT_CERTIFICATE,
    residence: person.place?.residence ?? { state: '' },
    work: person.place?.work ?? [],
    ...(person.place?.unemploymentState ? { unemploymentState: person.place.unemploymentState } : {}),
    ...(person.place?.localization ? { localization: person.place.localization } : {}),
    certificates: person.certificates,
    exemptFrom: [...new Set([...clientExempt, ...ownExempt])],
    ...(garnishments.length > 0 ? { garnishments } : {}),
  };
}

/** The part of a case that says who the employer is. */
export function employerPart(client: ClientOnDay, unemploymentRates: JsonObject, people: number): JsonObject {
  const { employer } = client;
  const size = employer && isGiven(employer['employees']) ? Number(employer['employees']) : people;
  return {
    ...(employer ? pick(employer, ['kind', 'quarterlyPayroll']) : {}),
    employees: size,
    unemploymentRates,
    ...(client.ownRates.length > 0
      ? { rates: Object.fromEntries(client.ownRates.map((rate) => [text(rate, 'tax'), text(rate, 'percent')])) }
      : {}),
    ...(client.classes.length > 0
      ? { workersCompensation: client.classes.map((one) => pick(one, ['class', 'per', 'rate', 'employeeRate'])) }
      : {}),
  };
}

export const settingsPart = (client: ClientOnDay): JsonObject => ({
  supplementalMethod: 'flat',
  ...(client.withholding
    ? pick(client.withholding, ['supplementalMethod', 'withholdingMethod', 'roundWithholdingToDollar'])
    : {}),
  ...(text(client.overtime ?? {}, 'premium') === 'regular-rate' ? { overtimeOnRegularRate: true } : {}),
});

export const leavePart = (person: PersonOnDay, stand: LeaveStand): JsonObject[] =>
  person.leave.map((fact) => ({
    ...pick(fact.value, ['item', 'per', 'hours', 'balance', 'maximum', 'waitsUntil', 'resetOn', 'carryOver']),
    lastCheck: fact.from,
    ...(stand(fact) ?? {}),
  }));

/** Hourly rates of a person besides the usual one, by what they are for. */
export const otherRates = (person: PersonOnDay): { readonly label: string; readonly rate: string }[] =>
  (Array.isArray(person.pay?.['rates']) ? person.pay['rates'].filter(isObject) : []).map((line) => ({
    label: text(line, 'label'),
    rate: text(line, 'rate'),
  }));

/** The client's own pay items, as a case composes them. */
export const ownItems = (client: ClientOnDay): OwnItem[] =>
  client.items
    .filter((item) => text(item, 'code') !== text(item, 'like'))
    .map((item) => ({
      code: text(item, 'code'),
      label: text(item, 'label'),
      like: text(item, 'like'),
      ...(hasTreatment(item) ? { treatment: treatmentOf(item) } : {}),
      ...(text(item, 'factor') === '' ? {} : { factor: text(item, 'factor') }),
    }));

const treatmentOf = (item: FactValue): Treatment =>
  Object.fromEntries(
    BASE_FAMILIES.flatMap(([family]) => {
      const choice = TREATMENTS.find((one) => one === text(item, treatmentField(family)));
      return choice ? [[family, choice]] : [];
    }),
  );
const hasTreatment = (item: FactValue): boolean => Object.keys(treatmentOf(item)).length > 0;

export interface UsualEarning {
  item: string;
  hours?: string;
  rate?: string;
  amount?: string;
}
export interface UsualLine {
  item: string;
  amount?: string;
  percent?: string;
  perCheck?: string;
  perYear?: string;
  balance?: string;
  coverage?: string;
  /** Owed from earlier checks. */
  arrears?: string;
  match?: { percent: string; upTo?: string }[];
}

/** Full-time hours of a period: 2,080 a year, to the hundredth of an hour (common practice: 86.67 and 173.33). */
function fullTime(frequency: PayFrequency): string {
  const hundredths = round(dividedBy(cents(208_000), PERIODS_PER_YEAR[frequency]), 'half-up');
  return toDollars(hundredths).replace(/\.?0+$/, '');
}

function payEarning(pay: FactValue, frequency: PayFrequency, scheduleHours: string): UsualEarning[] {
  switch (text(pay, 'basis')) {
    case 'hourly': {
      const full = scheduleHours || fullTime(frequency);
      return [{ item: 'regular', hours: text(pay, 'hours') || full, rate: text(pay, 'rate') }];
    }
    case 'salary': {
      const amount = parseDollars(text(pay, 'amount')) ?? ZERO;
      return [
        { item: 'salary', amount: toDollars(convertSalary(amount, pay['frequency'] as PayFrequency, frequency)) },
      ];
    }
    default:
      return [];
  }
}

/** Limits of the client's own item where the standing line has none of its own. */
function limitsOf(client: ClientOnDay, value: FactValue): JsonObject {
  const item = client.items.find((one) => text(one, 'code') === text(value, 'item'));
  return { ...(item ? pick(item, ['perCheck', 'perYear']) : {}), ...pick(value, ['perCheck', 'perYear']) };
}

/**
 * Pay of a period: one line, or, where a raise, a hire or the end of the employment falls inside it, a line for each part
 * of it by its working days.
 */
function payOfPeriod(spans: readonly PaySpan[], frequency: PayFrequency, scheduleHours: string): UsualEarning[] {
  const parts = joined(spans);
  return parts.flatMap(({ pay }, index) => {
    if (!pay) return [];
    const whole = payEarning(pay, frequency, scheduleHours);
    if (parts.length === 1) return whole;
    const share = (value: string): string => shareByWorkdays(value, parts, index);
    return whole
      .map((line) => ({
        ...line,
        ...(line.hours === undefined ? {} : { hours: share(line.hours).replace(/\.0+$/, '') }),
        ...(line.amount === undefined ? {} : { amount: share(line.amount) }),
      }))
      .filter((line) => line.hours !== '0' && line.amount !== '0.00');
  });
}

/** What a person is usually paid in a period: pay as it stands on its days, and the lines of every check. */
export function usualLines(
  person: PersonOnDay,
  client: ClientOnDay,
  frequency: PayFrequency,
  taken: Taken,
  spans: readonly PaySpan[],
  schedule: FactValue | null = client.schedule,
  owed: Owed = () => ZERO,
): { earnings: UsualEarning[]; deductions: UsualLine[] } {
  const pay = person.pay;
  const earnings = payOfPeriod(spans, frequency, text(schedule ?? {}, 'hours'));
  const old = Array.isArray(pay?.['deductions']) ? pay['deductions'].filter(isObject) : [];
  const deductions: UsualLine[] = old.map((line) => ({ item: text(line, 'item'), amount: text(line, 'amount') }));
  const listOf = (code: string) =>
    (findItem(code) ?? findItem(text(client.items.find((one) => text(one, 'code') === code) ?? {}, 'like')))?.list;
  for (const fact of person.standing) {
    const { value } = fact;
    if (listOf(text(value, 'item')) === 'earning') {
      earnings.push({ item: text(value, 'item'), ...pick(value, ['amount', 'hours', 'rate']) });
      continue;
    }
    // A standing line stands before one of the same item in an older record of pay.
    const same = deductions.findIndex((line) => line.item === text(value, 'item'));
    if (same >= 0) deductions.splice(same, 1);
    deductions.push({
      item: text(value, 'item'),
      ...pick(value, ['amount', 'percent', 'match', 'coverage']),
      ...limitsOf(client, value),
      ...left(value, taken('standing', fact, 'ever')),
    });
  }
  return {
    earnings,
    deductions: deductions.map((line) => {
      const arrears = owed(line.item);
      return arrears > 0 ? { ...line, arrears: toDollars(arrears) } : line;
    }),
  };
}
