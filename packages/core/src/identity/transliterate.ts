/** Letters that do not come apart into a plain letter and a mark. */
const LETTERS: Readonly<Record<string, string>> = {
  ß: 'ss',
  ẞ: 'SS',
  æ: 'ae',
  Æ: 'AE',
  œ: 'oe',
  Œ: 'OE',
  ø: 'o',
  Ø: 'O',
  ł: 'l',
  Ł: 'L',
  đ: 'd',
  Đ: 'D',
  ð: 'd',
  Ð: 'D',
  þ: 'th',
  Þ: 'Th',
  ı: 'i',
  ħ: 'h',
  Ħ: 'H',
  ŋ: 'n',
  Ŋ: 'N',
  ĸ: 'k',
  ŧ: 't',
  Ŧ: 'T',
  ſ: 's',
  '’': "'",
  '‘': "'",
  ʼ: "'",
  ʻ: "'",
  '`': "'",
  '´': "'",
  '′': "'",
  '“': '"',
  '”': '"',
  '–': '-',
  '—': '-',
  '‐': '-',
  '‑': '-',
  '−': '-',
  '\u00a0': ' ',
  '\u2009': ' ',
  '\u202f': ' ',
  '…': '...',
  '№': 'No',
};

/**
 * Text in the letters that the agencies' files can carry (ASCII): marks are taken off their letters, typographic signs become
 * plain ones. What has no such form stays, for the check of the file to name.
 */
export const transliterate = (text: string): string =>
  PLAIN.test(text)
    ? text
    : [...text.normalize('NFC')]
        .map((sign) => LETTERS[sign] ?? LETTERS[sign.normalize('NFD')] ?? sign.normalize('NFD').replace(/\p{M}+/gu, ''))
        .join('');
/** ASCII without the grave accent, the one of its signs that becomes another: nearly every text of a file. */
const PLAIN = /^[ -_a-~]*$/;

/** A name as the wage file carries it: letters, digits, blanks, hyphens and apostrophes, without periods. */
export const nameInFile = (name: string): string => transliterate(name).replace(/\./g, '').replace(/\s+/g, ' ').trim();
