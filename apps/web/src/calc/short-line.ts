import type { OwnItem } from '@zakat/core/casefile/compose';
import { findItem, type PayItem } from '@zakat/core/items/registry';
import type { DailyOvertime } from '@zakat/core/jurisdictions/overtime';
import { parseRate, rate, showRate, type Rate } from '@zakat/core/money/rate';
import { SPLIT_ITEMS, splitDays } from '@zakat/core/paycheck/workweeks';

/** What a word of a short line may mean besides the standard pay items: the client's own, and rates of the person. */
export interface OwnWords {
  readonly items: readonly OwnItem[];
  readonly rates: readonly { readonly label: string; readonly rate: string }[];
  /** Jobs and customers that pay can be booked to. */
  readonly jobs: readonly string[];
  /** Dollars an hour of the person, where nothing else is said; empty: none. */
  readonly usualRate: string;
  /** What the state of work says about the hours of a day, for an hourly rate. */
  readonly dailyRule: (hourly: Rate | null) => DailyOvertime | null;
}
export const NO_OWN_WORDS: OwnWords = { items: [], rates: [], jobs: [], usualRate: '', dailyRule: () => null };

/** One line of pay, or one deduction, as it was typed. */
export interface TypedLine {
  /** Code of a standard item or of one of the client's own. */
  readonly item: string;
  readonly list: 'earning' | 'deduction';
  /** `net`: what the line is to leave in the hand, after all that is taken from it. */
  readonly measure: 'hours' | 'amount' | 'net';
  readonly value: string;
  /** Dollars an hour, where it is not the person's usual rate. */
  readonly rate: string | null;
  /** The job that the line is booked to, where it names one. */
  readonly job: string | null;
}
export interface ShortLine {
  readonly lines: readonly TypedLine[];
  /** What could not be read, in words; null when all of it was. */
  readonly problem: string | null;
}

const SHORT: Readonly<Record<string, string>> = {
  reg: 'regular',
  ot: 'overtime',
  dt: 'double-time',
  hol: 'holiday',
  vac: 'vacation',
  comm: 'commission',
  tips: 'tips-reported',
  hrs: 'regular',
  hours: 'regular',
  reimb: 'reimbursement',
  reimbursed: 'reimbursement',
  health: 'section-125-health',
  roth: 'roth-401k',
  union: 'union-dues',
  dues: 'union-dues',
};
/** The words that are always understood, as a page lists them. */
export const USUAL_WORDS = 'reg, ot, dt, hol, sick, vac, pto, personal, bonus, comm, tips, reimb, mileage';
/** Items whose number is hours unless it is marked as dollars. */
const BY_THE_HOUR: ReadonlySet<string> = new Set([
  'regular',
  'overtime',
  'double-time',
  'overtime-not-qualified',
  'double-time-not-qualified',
  'overtime-premium',
  'holiday',
  'sick',
  'vacation',
  'pto',
  'personal',
  'bereavement',
  'jury',
]);

/** A label as one word of a line: `Night desk` is `night-desk`. */
export const asWord = (label: string): string =>
  label
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

/** The client's own items as words of a line. */
const ownWords = ({ items }: OwnWords): string => items.map(({ code }) => code).join(', ') || 'it has none of its own';

interface Meaning {
  readonly item: string;
  readonly standard: PayItem;
  readonly rate: string | null;
}

function meaningOf(word: string, own: OwnWords): Meaning | null {
  const item = own.items.find((candidate) => candidate.code === word || asWord(candidate.label) === word);
  const code = item ? item.like : (SHORT[word] ?? word);
  const standard = findItem(code);
  if (standard) return { item: item ? item.code : code, standard, rate: null };
  const named = own.rates.find((rate) => asWord(rate.label) === word);
  const regular = findItem('regular');
  return named && regular ? { item: 'regular', standard: regular, rate: named.rate } : null;
}

const NUMBER = /^(\$?)(\d+(?:\.\d+)?)$/;
const HOURS = String.raw`\d{1,3}(?:\.\d{1,4})?`;
/** Hours of the days of a week: `8/10/8`; a week of one day has none. */
const DAYS = String.raw`${HOURS}(?:/${HOURS}){0,6}`;
/** Hours of one workweek after the other, `45+40`, or of their days: `8/10/8/8/8+9/8/8/8/8`. */
const WEEKS = new RegExp(String.raw`^(?:${DAYS}(?:\+${DAYS})+|${HOURS}(?:/${HOURS}){1,6})$`);
const RATE = /^@(.+)$/;
const JOB = /^#(.*)$/;

/** Numbers, words, rates and jobs of a line; a rate or a job belongs to what stands before it. */
interface Part {
  readonly number: string;
  readonly isDollars: boolean;
  /** Hours by the week or by the day, which are several lines. */
  readonly isWeeks: boolean;
  readonly isNet: boolean;
  readonly meaning: Meaning;
  rate: string | null;
  job: string | null;
}

/** Regular hours given by the week or by the day, with the overtime of them; a rate is that of all. */
function linesOfWeeks({ number, meaning, rate: given, job }: Part, { usualRate, dailyRule }: OwnWords): TypedLine[] {
  const by = given ?? meaning.rate;
  const weeks = number.split('+').map((week) => (week.includes('/') ? week.split('/').map(rate) : rate(week)));
  const split = splitDays(weeks, dailyRule(parseRate(by ?? usualRate)));
  return SPLIT_ITEMS.filter(([part]) => part === 'regular' || split[part].n > 0).map(([part, item]) => ({
    item: part === 'regular' ? meaning.item : item,
    list: 'earning',
    measure: 'hours',
    value: showRate(split[part]),
    rate: by,
    job,
  }));
}

interface TypedNumber {
  readonly text: string;
  readonly isWeeks: boolean;
  readonly put: (meaning: Meaning, isNet: boolean) => Part;
}
function asNumber(text: string): TypedNumber | null {
  const [amount, dollars, digits = ''] = NUMBER.exec(text) ?? [];
  if (amount !== undefined)
    return {
      text,
      isWeeks: false,
      put: (meaning, isNet) => ({
        number: digits,
        isDollars: dollars === '$',
        isWeeks: false,
        isNet,
        meaning,
        rate: null,
        job: null,
      }),
    };
  if (!WEEKS.test(text)) return null;
  return {
    text,
    isWeeks: true,
    put: (meaning) => ({ number: text, isDollars: false, isWeeks: true, isNet: false, meaning, rate: null, job: null }),
  };
}
const NET_FIRST =
  'net stands once, between an item that is paid and what it is to leave in the hand, like bonus net 500';
const isPaid = ({ standard }: Meaning): boolean => standard.list === 'earning' && !standard.isNoncash;
const ofWeeks = (text: string): string => `${text} are hours of workweeks, which are regular hours`;
const MOST_OF_A_DAY = 24;
const MOST_OF_A_WEEK = 168;
/** More hours than a day or a week has. */
const isTooLong = (text: string): boolean =>
  text
    .split('+')
    .some((week) =>
      week.split('/').some((hours) => Number(hours) > (week.includes('/') ? MOST_OF_A_DAY : MOST_OF_A_WEEK)),
    );

function lineOf({ number, isDollars, isNet, meaning, rate, job }: Part): TypedLine {
  const { item, standard } = meaning;
  if (isNet) return { item, list: 'earning', measure: 'net', value: number, rate: null, job };
  const by = rate ?? meaning.rate;
  const isHours = !isDollars && (by !== null || BY_THE_HOUR.has(standard.code));
  return {
    item,
    list: standard.list === 'earning' ? 'earning' : 'deduction',
    measure: isHours && standard.list === 'earning' ? 'hours' : 'amount',
    value: number,
    rate: isHours ? by : null,
    job,
  };
}

/** Books the line before to a job; in words why it cannot be, or null. */
function bookTo(name: string, last: Part | undefined, { jobs }: OwnWords): string | null {
  const job = jobs.find((label) => asWord(label) === name);
  if (job === undefined)
    return jobs.length === 0
      ? `#${name} is no job: neither the client nor this person has any`
      : `#${name} is no job; there are ${jobs.map((label) => `#${asWord(label)}`).join(', ')}`;
  if (!last) return `#${name} stands before what is booked to it`;
  if (last.meaning.standard.list !== 'earning') return `${last.meaning.standard.label} is not booked to a job`;
  last.job = job;
  return null;
}

/**
 * Reads an exception typed as text: `38.5 reg 4 ot sick 3`. A number belongs to the word beside it: before it, unless
 * that word came first. A lone number is regular hours. `@22.50` or `@` and the name of a rate says what the hours
 * before it are paid at; `$` says that a number is an amount. `45+40` are the regular hours of two workweeks: what is
 * over 40 in one of them is overtime. `8/10/8/8/8` are those of the days of a week, where the state may have overtime by
 * the day as well. `bonus net 500` is the bonus that leaves 500 in the hand. `20 reg #pier-4` books the hours to a job.
 */
export function readShortLine(text: string, own: OwnWords = NO_OWN_WORDS): ShortLine {
  const tokens = text
    .trim()
    .toLowerCase()
    .replace(/@\s+/g, '@')
    // `1,250` is one number; a comma before anything else parts two lines.
    .replace(/(\d),(?=\d{3}(?!\d))/g, '$1')
    .split(/[\s,;]+/)
    .filter((token) => token !== '');
  const parts: Part[] = [];
  const fail = (problem: string): ShortLine => ({ lines: [], problem });
  let number: TypedNumber | null = null;
  let word: { readonly text: string; readonly meaning: Meaning } | null = null;
  let isNet = false;
  const put = (amount: TypedNumber, meaning: Meaning): void => {
    parts.push(amount.put(meaning, isNet));
    number = null;
    word = null;
    isNet = false;
  };
  const putRegular = (amount: TypedNumber): void => {
    const regular = meaningOf('reg', NO_OWN_WORDS);
    if (regular) put(amount, regular);
  };
  for (const token of tokens) {
    const amount = asNumber(token);
    const given = RATE.exec(token)?.[1];
    if (isNet && !amount) return fail(NET_FIRST);
    if (token === 'net') {
      if (word === null || !isPaid(word.meaning) || parts.some((part) => part.isNet)) return fail(NET_FIRST);
      isNet = true;
    } else if (JOB.test(token)) {
      if (number !== null && word === null) putRegular(number);
      const problem = bookTo(JOB.exec(token)?.[1] ?? '', parts.at(-1), own);
      if (problem !== null || word !== null) return fail(problem ?? `${token} stands before what is booked to it`);
    } else if (given !== undefined) {
      const rate = NUMBER.test(given)
        ? given.replace('$', '')
        : own.rates.find(({ label }) => asWord(label) === given)?.rate;
      const last = parts.at(-1);
      if (rate === undefined) return fail(`@${given} is no rate of this person`);
      if (!last || number !== null || word !== null) return fail(`${token} stands before what it is the rate of`);
      if (last.meaning.standard.list !== 'earning') return fail(`${last.meaning.standard.label} has no rate`);
      last.rate = rate;
    } else if (amount) {
      if (isNet && amount.isWeeks) return fail(NET_FIRST);
      if (amount.isWeeks && isTooLong(amount.text)) return fail(`${amount.text} has more hours than there are`);
      if (word !== null && amount.isWeeks && word.meaning.item !== 'regular') return fail(ofWeeks(amount.text));
      if (word !== null) put(amount, word.meaning);
      else if (number !== null) return fail(`${number.text} has no word beside it`);
      else number = amount;
    } else {
      const meaning = meaningOf(token, own);
      if (!meaning)
        return fail(
          `${token} is not known; use ${USUAL_WORDS}, a pay item of the client (${ownWords(own)}) or a rate of the person`,
        );
      if (number?.isWeeks && meaning.item !== 'regular') return fail(ofWeeks(number.text));
      if (number !== null) put(number, meaning);
      else if (word !== null) return fail(`${word.text} has no number`);
      else word = { text: meaning.item, meaning };
    }
  }
  if (word !== null) return fail(`${word.text} has no number`);
  if (number !== null) {
    if (parts.some((part) => part.meaning.item === 'regular' && part.job === null))
      return fail(`${number.text} has no word beside it`);
    putRegular(number);
  }
  const lines = parts.flatMap((part) => (part.isWeeks ? linesOfWeeks(part, own) : [lineOf(part)]));
  const twice = lines.find((line, index) =>
    lines.some(
      (other, at) => at < index && other.item === line.item && other.rate === line.rate && other.job === line.job,
    ),
  );
  return twice ? fail(`${twice.item} stands twice`) : { lines, problem: null };
}

/** A line as it could be typed. */
export function asTyped(line: TypeableLine, usualRate: string, own: OwnWords): string {
  const pay = payAsTyped(line, usualRate, own);
  return line.job === undefined ? pay : `${pay} #${asWord(line.job)}`;
}

interface TypeableLine {
  readonly item: string;
  readonly hours?: string | undefined;
  readonly rate?: string | undefined;
  readonly amount?: string | undefined;
  readonly job?: string | undefined;
}
function payAsTyped(line: TypeableLine, usualRate: string, own: OwnWords): string {
  if (line.hours === undefined) {
    const like = own.items.find((item) => item.code === line.item)?.like ?? line.item;
    return `${line.item} ${BY_THE_HOUR.has(like) ? '$' : ''}${line.amount ?? ''}`;
  }
  if (line.rate === undefined || line.rate === usualRate) return `${line.hours} ${line.item}`;
  const named = own.rates.find((rate) => rate.rate === line.rate);
  if (!named) return `${line.hours} ${line.item} @${line.rate}`;
  return line.item === 'regular'
    ? `${line.hours} ${asWord(named.label)}`
    : `${line.hours} ${line.item} @${asWord(named.label)}`;
}
