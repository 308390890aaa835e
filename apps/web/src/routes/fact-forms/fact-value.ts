import { stateNamed } from '@zakat/core/jurisdictions/state-named';
import { isAsked, type FactField } from '@zakat/core/facts/field';
import { parsePercent, ratePerThousand } from '@zakat/core/money/rate';
import { readTypedDate } from '@zakat/core/calendar/typed-date';

/** What is typed in a form of a fact: text, yes or no, or rows of the same. */
export type Typed = Readonly<Record<string, string | boolean | readonly Typed[]>>;

/** The stored value as a form shows it. */
export function typedFrom(fields: readonly FactField[], value: Readonly<Record<string, unknown>>): Typed {
  return Object.fromEntries(
    fields.map((field): [string, Typed[string]] => {
      const given = value[field.name];
      if (field.kind === 'flag') return [field.name, given === true];
      if (field.kind === 'rows')
        return [
          field.name,
          Array.isArray(given) ? given.map((row) => typedFrom(field.of ?? [], row as Record<string, unknown>)) : [],
        ];
      return [field.name, typeof given === 'string' || typeof given === 'number' ? String(given) : ''];
    }),
  );
}

/** `$1,250` as `1250`; what is no number stays as typed, for the check to name. */
const plainNumber = (text: string): string => {
  const bare = text
    .trim()
    .replace(/^\$/, '')
    .replace(/,(?=\d{3}(?:\D|$))/g, '');
  return /^\d+\.?$/.test(bare) ? bare.replace('.', '') : bare;
};

const plainPercent = (text: string): string => plainNumber(text.trim().replace(/\s*%$/, ''));

function storedText(field: FactField, text: string): unknown {
  const trimmed = text.trim();
  switch (field.kind) {
    case 'amount': {
      const bare = plainNumber(trimmed);
      return /^\d+$/.test(bare) ? `${bare}.00` : /^\d+\.\d$/.test(bare) ? `${bare}0` : bare;
    }
    case 'decimal':
      // `10%` is no rate of pay: it stays as typed, for the check to name.
      return plainNumber(trimmed);
    case 'percent':
      return plainPercent(trimmed);
    case 'whole':
      return /^\d+$/.test(trimmed) ? Number(trimmed) : trimmed;
    case 'date':
      return readTypedDate(trimmed) ?? trimmed;
    case 'state':
      return stateNamed(trimmed) ?? trimmed;
    default:
      return trimmed;
  }
}

/** The value that is stored: what is blank or not asked for is left out. */
export function valueFrom(fields: readonly FactField[], typed: Typed): Record<string, unknown> {
  const value: Record<string, unknown> = {};
  for (const field of fields) {
    const given = typed[field.name];
    if (!isAsked(field, value)) continue;
    if (given === true) value[field.name] = true;
    else if (typeof given === 'string' && given.trim() !== '') value[field.name] = storedText(field, given);
    else if (Array.isArray(given) && given.length > 0)
      value[field.name] = (given as readonly Typed[]).map((row) => valueFrom(field.of ?? [], row));
  }
  return value;
}

/** A percentage read back: 2.7% = 27.00 per 1,000. */
export function percentEcho(text: string): string | null {
  const rate = parsePercent(plainPercent(text));
  return text.trim() === '' || !rate ? null : ratePerThousand(rate);
}
