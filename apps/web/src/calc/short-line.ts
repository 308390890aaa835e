/** Words of a short line and the column each fills. */
const WORDS: Readonly<Record<string, HourColumn | AmountColumn>> = {
  reg: 'regular',
  regular: 'regular',
  ot: 'overtime',
  overtime: 'overtime',
  dt: 'double-time',
  hol: 'holiday',
  holiday: 'holiday',
  sick: 'sick',
  vac: 'vacation',
  vacation: 'vacation',
  bonus: 'bonus',
  comm: 'commission',
  commission: 'commission',
};
export type HourColumn = 'regular' | 'overtime' | 'double-time' | 'holiday' | 'sick' | 'vacation';
export type AmountColumn = 'bonus' | 'commission';

export interface ShortLine {
  readonly values: Readonly<Partial<Record<HourColumn | AmountColumn, string>>>;
  /** What could not be read, in words; null when all of it was. */
  readonly problem: string | null;
}

/**
 * Reads an exception typed as text: `38.5 reg 4 ot sick 3`. A number belongs to the word beside it: before it, unless
 * that word came first. A lone number is regular hours.
 */
export function readShortLine(text: string): ShortLine {
  const tokens = text
    .trim()
    .toLowerCase()
    .split(/[\s,;]+/)
    .filter((token) => token !== '');
  const values: Partial<Record<HourColumn | AmountColumn, string>> = {};
  let number: string | null = null;
  let word: HourColumn | AmountColumn | null = null;
  const put = (column: HourColumn | AmountColumn, amount: string): string | null => {
    if (values[column] !== undefined) return `${column} stands twice`;
    values[column] = amount;
    number = null;
    word = null;
    return null;
  };
  for (const token of tokens) {
    const column = WORDS[token];
    let problem: string | null = null;
    if (column === undefined && !/^\d+(\.\d+)?$/.test(token))
      return { values: {}, problem: `${token} is not known; use reg, ot, dt, hol, sick, vac, bonus, comm` };
    if (column === undefined) {
      if (word !== null) problem = put(word, token);
      else if (number !== null) return { values: {}, problem: `${number} has no word beside it` };
      else number = token;
    } else if (number !== null) problem = put(column, number);
    else if (word !== null) return { values: {}, problem: `${word} has no number` };
    else word = column;
    if (problem) return { values: {}, problem };
  }
  if (word !== null) return { values: {}, problem: `${String(word)} has no number` };
  if (number !== null) {
    if (values.regular !== undefined) return { values: {}, problem: `${String(number)} has no word beside it` };
    values.regular = number;
  }
  return { values, problem: null };
}
