import pg from 'pg';

/** A text is given a name when it comes again, up to so many: a list of another length is another text. */
const MOST_NAMES = 400;
const MOST_TEXTS = 4000;
const LONGEST = 20_000;

const names = new Map<string, string>();
const seen = new Set<string>();

/** The name under which the database keeps what a text was parsed and planned to; null for one that came only once. */
export function nameOf(text: string): string | null {
  const known = names.get(text);
  if (known !== undefined) return known;
  if (names.size >= MOST_NAMES || text.length > LONGEST) return null;
  if (!seen.has(text)) {
    if (seen.size < MOST_TEXTS) seen.add(text);
    return null;
  }
  const name = `z${names.size + 1}`;
  names.set(text, name);
  seen.delete(text);
  return name;
}

type Ask = (asked: unknown, values?: unknown, done?: unknown) => unknown;

/**
 * A connection on which a question with values is parsed once and planned a few times. Policies of rows are part of a plan
 * and look at the firm when it is carried out; the database plans anew when the role is another.
 */
export class PreparedClient extends pg.Client {
  constructor(config?: string | pg.ClientConfig) {
    super(config);
    const ask = super.query.bind(this) as Ask;
    const prepared: Ask = (asked, values, done) => {
      const name = typeof asked === 'string' && Array.isArray(values) && values.length > 0 ? nameOf(asked) : null;
      return name === null ? ask(asked, values, done) : ask({ name, text: asked, values }, done);
    };
    this.query = prepared as typeof this.query;
  }
}
