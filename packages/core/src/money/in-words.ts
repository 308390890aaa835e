import { twoDigits, type Cents } from './cents.js';

const BELOW_TWENTY = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
  'thirteen',
  'fourteen',
  'fifteen',
  'sixteen',
  'seventeen',
  'eighteen',
  'nineteen',
];
const TENS = ['', '', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];
const SCALES = ['', ' thousand', ' million', ' billion', ' trillion', ' quadrillion'];

function belowThousand(value: number): string {
  const hundreds = Math.floor(value / 100);
  const rest = value % 100;
  const ten = TENS[Math.floor(rest / 10)] ?? '';
  const small =
    rest < 20 ? (BELOW_TWENTY[rest] ?? '') : rest % 10 === 0 ? ten : `${ten}-${BELOW_TWENTY[rest % 10] ?? ''}`;
  if (hundreds === 0) return small;
  return `${BELOW_TWENTY[hundreds] ?? ''} hundred${rest === 0 ? '' : ` ${small}`}`;
}

function wholeInWords(value: number): string {
  if (value === 0) return 'zero';
  const groups: string[] = [];
  for (let rest = value, scale = 0; rest > 0; rest = Math.floor(rest / 1000), scale += 1)
    if (rest % 1000 !== 0) groups.unshift(`${belowThousand(rest % 1000)}${SCALES[scale] ?? ''}`);
  return groups.join(' ');
}

/**
 * An amount as a check has it: `One thousand two hundred thirty-four and 56/100`. Where words and figures differ, the words
 * count (UCC § 3-114). Throws for an amount below zero: no check is drawn on one.
 */
export function amountInWords(amount: Cents): string {
  if (amount < 0) throw new RangeError('a check is not drawn on less than nothing');
  const words = wholeInWords(Math.floor(amount / 100));
  return `${words.charAt(0).toUpperCase()}${words.slice(1)} and ${twoDigits(amount % 100)}/100`;
}
