import type { StateCertificate } from '../jurisdictions/state.js';
import type { Quantity, Tier, Worksheet } from '../jurisdictions/worksheet.js';
import { ZERO, cents, notBelowZero, parseDollars, showDollars, smaller, subtract, type Cents } from '../money/cents.js';
import { dividedBy, exact, isBelowZero, minus, times, type Exact } from '../money/exact.js';
import { showPercent, type Rate } from '../money/rate.js';
import { amountOfPeriod } from './period-tables.js';
import { at } from './worksheet-columns.js';

/** Where an amount of a worksheet is asked for. */
export interface Setting {
  readonly certificate: StateCertificate;
  readonly basis: Worksheet['basis'];
  readonly column: string;
  /** Wages of the year, or of the period where the worksheet works on periods. */
  readonly wages: Cents;
  readonly periods: number;
  /** Whether amounts are a period's by now. */
  readonly isPeriod: boolean;
  /** Federal income tax of the period on the same wages, without extra withholding. */
  readonly federalTax: Cents;
  /** OASDI and HI of the employee for the period on the same wages, and in the year before it. */
  readonly socialInsurance: Cents;
  readonly socialInsuranceToDate: Cents;
}

/** An amount on a certificate, which the reader has checked. */
export function certificateAmount(certificate: StateCertificate, field: string): Cents {
  const value = certificate[field];
  if (value === undefined) return ZERO;
  const amount = parseDollars(String(value));
  if (amount === null) throw new RangeError(`unchecked certificate amount ${field}`);
  return amount;
}
const certificateCount = (certificate: StateCertificate, field: string): number => Number(certificate[field] ?? 0);
const claimedOn = (certificate: StateCertificate, given: Extract<Quantity, { is: 'count' }>): number =>
  certificateCount(certificate, given.field);

const chosenOf = (given: Extract<Quantity, { is: 'when' }>, certificate: StateCertificate): Quantity | undefined => {
  const value = certificate[given.field];
  const isSet = given.isGiven ? value !== undefined : value === true || Number(value ?? 0) > 0;
  return isSet ? given.then : given.otherwise;
};

/** A year's amount as it stands in the worksheet: divided and rounded where the worksheet works on periods. */
export const scaled = ({ basis, periods }: Setting, amount: Cents): Cents =>
  basis === 'annual' || amount === 0 ? amount : amountOfPeriod(amount, periods, basis.period);
/** As `scaled`, for credits, which the publications print to the cent. */
const scaledToCent = ({ basis, periods }: Setting, amount: Cents): Cents =>
  basis === 'annual' || amount === 0 ? amount : amountOfPeriod(amount, periods, 'cent');

/** An amount of a worksheet, unrounded where the publication does not round it. */
export function amountOf(given: Quantity, setting: Setting, isCredit: boolean): Exact {
  const { certificate, column, wages, periods, isPeriod } = setting;
  const scale = isCredit ? scaledToCent : scaled;
  switch (given.is) {
    case 'fixed':
      return exact(scale(setting, at(given.by, column)));
    case 'count': {
      const claimed = claimedOn(certificate, given);
      const number = given.atMost === undefined ? claimed : Math.min(claimed, given.atMost);
      if (number === 0) return exact(ZERO);
      const each = at(given.each, column);
      return given.tableUpTo !== undefined && number <= given.tableUpTo
        ? exact(scale(setting, cents(each * number)))
        : exact(cents(scale(setting, each) * number));
    }
    case 'given': {
      const amount = certificateAmount(certificate, given.field);
      if (given.per === 'year')
        return isPeriod && setting.basis !== 'annual' ? dividedBy(amount, periods) : exact(amount);
      return isPeriod ? exact(amount) : exact(cents(amount * periods));
    }
    case 'share': {
      const amount = times(wages, given.rate);
      const most = given.most ? exact(scale(setting, at(given.most, column))) : null;
      const least = given.least ? exact(scale(setting, at(given.least, column))) : null;
      if (most && isBelowZero(minus(most, amount))) return most;
      return least && isBelowZero(minus(amount, least)) ? least : amount;
    }
    case 'slide':
      return slideOf(given, setting);
    case 'fade': {
      const start = at(given.start, column);
      const over = at(given.over, column);
      const until = at(given.until, column);
      if (wages <= over) return exact(start);
      if (wages >= until) return exact(ZERO);
      return times(exact(start), { n: until - wages, d: until - over });
    }
    case 'tiers': {
      const amount = tierAmount(at(given.rows, column), wages);
      const number = given.times === undefined ? 1 : certificateCount(certificate, given.times);
      return exact(cents(scale(setting, amount) * number));
    }
    case 'federal-tax': {
      const annual = cents(setting.federalTax * (isPeriod ? 1 : periods));
      const most = given.most ? tierAmount(at(given.most, column), wages) : null;
      return exact(most !== null && most < annual ? most : annual);
    }
    case 'social-insurance': {
      const room = notBelowZero(subtract(given.most, setting.socialInsuranceToDate));
      return exact(cents(smaller(setting.socialInsurance, room) * (isPeriod ? 1 : periods)));
    }
    case 'when': {
      const chosen = chosenOf(given, certificate);
      return chosen ? amountOf(chosen, setting, isCredit) : exact(ZERO);
    }
  }
}

function slideOf(given: Extract<Quantity, { is: 'slide' }>, setting: Setting): Exact {
  const { column, wages } = setting;
  const start = exact(scaled(setting, at(given.start, column)));
  const least = exact(scaled(setting, at(given.least, column)));
  const excess = wages - scaled(setting, at(given.over, column));
  if (excess <= 0) return start;
  const drop =
    'rate' in given.by
      ? times(cents(excess), at(given.by.rate, column))
      : exact(cents(Math.floor(excess / at(given.by.step, column)) * at(given.by.drop, column)));
  const left = minus(start, drop);
  return isBelowZero(minus(left, least)) ? least : left;
}

/** How an amount came about, and the figure of the publication it came from. */
export interface AmountWords {
  readonly how?: string;
  readonly parameter: string;
}
const upTo = (most: Cents | null): string => (most === null ? '' : `, at most ${showDollars(most)}`);

/** How a year's amount came to be one of the period, where the publication prints tables of the period. */
function dividedWords({ basis, periods }: Setting, isCredit: boolean): string {
  return basis === 'annual' ? '' : ` a year ÷ ${periods}, to the ${isCredit ? 'cent' : basis.period}`;
}

export function wordsOf(given: Quantity, setting: Setting, isCredit: boolean): AmountWords {
  const { certificate, column, wages, periods, isPeriod } = setting;
  const divided = dividedWords(setting, isCredit);
  const byPeriods = isPeriod ? '' : ` × ${periods}`;
  switch (given.is) {
    case 'fixed': {
      const amount = showDollars(at(given.by, column));
      return divided === '' ? { parameter: amount } : { how: `${amount}${divided}`, parameter: amount };
    }
    case 'count': {
      const each = showDollars(at(given.each, column));
      return { how: `${claimedOn(certificate, given)} × ${each}${divided}`, parameter: `${each} each` };
    }
    case 'given': {
      const amount = showDollars(certificateAmount(certificate, given.field));
      return { how: 'as on the certificate', parameter: amount };
    }
    case 'share': {
      const by = showPercent(given.rate);
      const most = given.most ? at(given.most, column) : null;
      const least = given.least ? `, at least ${showDollars(at(given.least, column))}` : '';
      return { how: `${by} of ${showDollars(wages)}${least}${upTo(most)}`, parameter: by };
    }
    case 'slide': {
      const mark = scaled(setting, at(given.over, column));
      const [start, over] = [showDollars(scaled(setting, at(given.start, column))), showDollars(mark)];
      if (wages <= mark) return { how: `in full up to wages of ${over}`, parameter: start };
      const drop =
        'rate' in given.by
          ? `${showPercent(at(given.by.rate, column))} of what is over ${over}`
          : `${showDollars(at(given.by.drop, column))} for each full ${showDollars(at(given.by.step, column))} over ${over}`;
      return { how: `${start} less ${drop}`, parameter: start };
    }
    case 'fade': {
      const [over, until] = [showDollars(at(given.over, column)), showDollars(at(given.until, column))];
      return {
        how: `fades from wages of ${over} to ${until}`,
        parameter: showDollars(at(given.start, column)),
      };
    }
    case 'tiers': {
      const amount = showDollars(tierAmount(at(given.rows, column), wages));
      if (given.times === undefined) return { how: `at wages of ${showDollars(wages)}`, parameter: amount };
      return { how: `${certificateCount(certificate, given.times)} × ${amount}`, parameter: `${amount} each` };
    }
    case 'federal-tax': {
      const most = given.most ? tierAmount(at(given.most, column), wages) : null;
      return {
        how: `${showDollars(setting.federalTax)}${byPeriods}${upTo(most)}`,
        parameter: most === null ? 'all of it' : showDollars(most),
      };
    }
    case 'social-insurance': {
      const left = notBelowZero(subtract(given.most, setting.socialInsuranceToDate));
      const own = setting.socialInsurance;
      const held = own > left ? `${showDollars(left)}, which is left of the year’s limit,` : showDollars(own);
      return { how: `${held}${byPeriods}`, parameter: showDollars(given.most) };
    }
    case 'when': {
      const chosen = chosenOf(given, certificate);
      return chosen ? wordsOf(chosen, setting, isCredit) : { parameter: showDollars(ZERO) };
    }
  }
}

/** Rows are open at the bottom: wages of exactly `over` still have the row before. */
function tierAmount(rows: readonly Tier[], wages: Cents): Cents {
  let found: Cents = rows[0]?.amount ?? ZERO;
  for (const row of rows) {
    if (wages <= row.over) break;
    found = row.amount;
  }
  return found;
}
export function rateAt(rows: readonly { readonly over: Cents; readonly rate: Rate }[], wages: Cents): Rate {
  let found: Rate = rows[0]?.rate ?? { n: 0, d: 1 };
  for (const row of rows) {
    if (wages <= row.over) break;
    found = row.rate;
  }
  return found;
}
