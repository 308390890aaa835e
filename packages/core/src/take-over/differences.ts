import type { LocalDate } from '../calendar/local-date.js';
import { problem, warning, type Issue } from '../issues/issue.js';
import { inForce, type Dated } from '../jurisdictions/dated.js';
import { findState } from '../jurisdictions/states.js';
import { ADDITIONAL_HI, FUTA, HI_RATE, OASDI_BASE, OASDI_RATE } from '../jurisdictions/us/parameters.js';
import { ZERO, notBelowZero, showDollars, subtract, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { showPercent, type Rate } from '../money/rate.js';
import { isStateUnemployment, taxOf, type TaxCode } from '../tax-registry/registry.js';
import type { Balance } from './read-balances.js';
import { askedFigures, quarterOfBalance, reportedOf, totalsByTax, type ReportedFigure } from './reported.js';

/** Something that does not tie out. With `error` it keeps the balances from counting until it is mended or let pass. */
export interface Difference {
  /** Names the difference as long as it is the same, to the cent. */
  readonly key: string;
  readonly about: string;
  readonly amount: Cents;
  readonly issue: Issue;
}

/** Checks in a quarter at the most frequent usual pay, weekly: each rounds by at most half a cent. Common practice. */
const CHECKS_IN_QUARTER = 14;
const roundingOf = (balances: readonly Balance[]): Cents => {
  const checks = balances.reduce((count, balance) => count + (balance.isWholeQuarter ? CHECKS_IN_QUARTER : 1), 0);
  return Math.ceil(checks / 2) as Cents;
};
const sizeOf = (amount: Cents): number => Math.abs(amount);

function make(key: string, about: string, amount: Cents, issue: Issue): Difference {
  return { key: `${key} ${amount}`, about, amount, issue };
}

interface RateRule {
  readonly tax: TaxCode;
  readonly rate: (day: LocalDate) => Dated<Rate> | null;
}
const RATES: readonly RateRule[] = [
  { tax: 'US-OASDI-EE', rate: (day) => inForce(OASDI_RATE, day) },
  { tax: 'US-OASDI-ER', rate: (day) => inForce(OASDI_RATE, day) },
  { tax: 'US-HI-EE', rate: (day) => inForce(HI_RATE, day) },
  { tax: 'US-HI-ER', rate: (day) => inForce(HI_RATE, day) },
];

/** The tax of a person is its rate times the wages, but for the cents that each check rounds. */
function rateDifferences(who: string, own: readonly Balance[], day: LocalDate): Difference[] {
  const totals = totalsByTax(own);
  return RATES.flatMap(({ tax, rate }) => {
    const total = totals.get(tax);
    const row = rate(day);
    if (!total || !row) return [];
    const amount = subtract(total.amount, round(times(total.wages, row.value), 'half-up'));
    if (sizeOf(amount) <= roundingOf(own)) return [];
    return [
      make(
        `rate ${own[0]?.employeeId ?? ''} ${tax}`,
        who,
        amount,
        problem('brought-in.rate', `amount:${tax}`, {
          tax: taxOf(tax).label,
          rate: showPercent(row.value),
          wages: showDollars(total.wages),
          amount: showDollars(total.amount),
          difference: showDollars(amount),
        }),
      ),
    ];
  });
}

function baseOf(tax: TaxCode, day: LocalDate): Cents | null {
  if (tax === 'US-OASDI-EE') return inForce(OASDI_BASE, day)?.value ?? null;
  if (tax === 'US-FUTA') return inForce(FUTA, day)?.value.base ?? null;
  const { jurisdiction } = taxOf(tax);
  const state = isStateUnemployment(taxOf(tax)) ? findState(jurisdiction) : null;
  return state ? (inForce(state.unemployment.base, day)?.value ?? null) : null;
}

/** Taxable wages of a person in the year stop at the base. */
function baseDifferences(who: string, own: readonly Balance[], day: LocalDate): Difference[] {
  return [...totalsByTax(own)].flatMap(([tax, { wages }]) => {
    const base = baseOf(tax, day);
    if (base === null || wages <= base) return [];
    const over = subtract(wages, base);
    return [
      make(
        `base ${own[0]?.employeeId ?? ''} ${tax}`,
        who,
        over,
        problem('brought-in.over-base', `wages:${tax}`, {
          tax: taxOf(tax).label,
          wages: showDollars(wages),
          base: showDollars(base),
          over: showDollars(over),
        }),
      ),
    ];
  });
}

/** Additional Medicare tax is on what the Medicare wages of the year have above the mark. */
function additionalDifferences(who: string, own: readonly Balance[], day: LocalDate): Difference[] {
  const rule = inForce(ADDITIONAL_HI, day);
  if (!rule) return [];
  const totals = totalsByTax(own);
  const said = totals.get('US-HI-ADD')?.wages ?? ZERO;
  const due = notBelowZero(subtract(totals.get('US-HI-EE')?.wages ?? ZERO, rule.value.over));
  const amount = subtract(said, due);
  if (amount === 0) return [];
  return [
    make(
      `additional ${own[0]?.employeeId ?? ''}`,
      who,
      amount,
      problem('brought-in.additional', 'wages:US-HI-ADD', {
        mark: showDollars(rule.value.over),
        due: showDollars(due),
        said: showDollars(said),
      }),
    ),
  ];
}

function personDifferences(balances: readonly Balance[]): Difference[] {
  const people = new Map<string, Balance[]>();
  for (const balance of balances) {
    const own = people.get(balance.employeeId);
    if (own) own.push(balance);
    else people.set(balance.employeeId, [balance]);
  }
  return [...people.values()].flatMap((own) => {
    const first = own[0];
    if (!first) return [];
    const day = own.map((balance) => balance.day).reduce((a, b) => (a > b ? a : b));
    // Without the year's rules nothing is compared: that is a difference of its own, not silence.
    if (!inForce(OASDI_BASE, day))
      return [
        make(
          `rules ${first.employeeId}`,
          first.who,
          ZERO,
          problem('rule.none-in-force', 'day', {
            what: 'OASDI wage base',
            date: day,
            from: OASDI_BASE[0]?.from ?? 'never',
          }),
        ),
      ];
    return [
      ...rateDifferences(first.who, own, day),
      ...baseDifferences(first.who, own, day),
      ...additionalDifferences(first.who, own, day),
    ];
  });
}

/** Every figure somebody filed or paid against what the rows add up to. */
function reportedDifferences(balances: readonly Balance[], reported: readonly ReportedFigure[]): Difference[] {
  return askedFigures(balances).flatMap((asked): Difference[] => {
    const given = reportedOf(reported, asked.quarter, asked.code);
    const about = `Q${asked.quarter}`;
    const key = `${asked.code} ${asked.quarter}`;
    const field = `${asked.quarter}.${asked.code}`;
    const words = { what: asked.label, quarter: String(asked.quarter), rows: showDollars(asked.balances) };
    if (!given) {
      if (asked.kind === 'filed' && asked.code === 'US-941.filed')
        return [make(key, about, ZERO, notFiled(balances, asked.quarter, field))];
      if (asked.kind === 'line' && asked.balances !== 0 && reportedOf(reported, asked.quarter, 'US-941.filed'))
        return [make(key, about, asked.balances, problem('brought-in.line-missing', field, words))];
      if (asked.kind === 'paid' && asked.balances !== 0)
        return [make(key, about, asked.balances, warning('brought-in.not-paid', field, words))];
      return [];
    }
    const amount = subtract(given.amount, asked.balances);
    const undated =
      asked.kind === 'paid' && given.amount > 0 && given.day === null
        ? [make(`${key} day`, about, given.amount, warning('brought-in.day-assumed', field, words))]
        : [];
    if (amount === 0) return undated;
    const more = { ...words, given: showDollars(given.amount), difference: showDollars(amount) };
    if (asked.kind !== 'paid') return [make(key, about, amount, problem('brought-in.filed', field, more))];
    return [
      ...undated,
      make(
        key,
        about,
        amount,
        amount < 0 ? warning('brought-in.still-owed', field, more) : problem('brought-in.over-paid', field, more),
      ),
    ];
  });
}

/** A quarter without a return filed elsewhere is ours to file: that needs the taxes by check date. */
function notFiled(balances: readonly Balance[], quarter: 1 | 2 | 3 | 4, field: string): Issue {
  const isByDay = balances.every((balance) => quarterOfBalance(balance) !== quarter || !balance.isWholeQuarter);
  const words = { quarter: String(quarter) };
  return isByDay ? warning('brought-in.ours-to-file', field, words) : problem('brought-in.needs-days', field, words);
}

/** Everything about brought-in balances that does not tie out: by person, by tax, against what was filed and paid. */
export function takeOverDifferences(balances: readonly Balance[], reported: readonly ReportedFigure[]): Difference[] {
  return [...personDifferences(balances), ...reportedDifferences(balances, reported)];
}
