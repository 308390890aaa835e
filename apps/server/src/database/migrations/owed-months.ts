import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables, shutTo } from '../row-level-security.js';

const MONTHS = Array.from({ length: 12 }, (_, index) => index + 1);
/** Entries of a month count one, reversals take one away. */
const PLAIN = `CASE cause WHEN 'reversal' THEN -1 ELSE 1 END`;
const counted = (each: string): string =>
  MONTHS.map(
    (month) => `coalesce(sum(${each}) FILTER (WHERE extract(month FROM liability_date) = ${month}), 0)::bigint`,
  ).join(', ');
const yearsOf = (table: string, each = PLAIN): string =>
  `SELECT firm_id, client_id, tax, extract(year FROM liability_date)::smallint AS year, ARRAY[${counted(each)}] AS entries
   FROM ${table} WHERE cause IN ('payroll', 'reversal', 'return') GROUP BY 1, 2, 3, 4 ORDER BY 2, 3, 4`;

/** What counts the entries that were added; `each`: what one of them counts. */
export const countOwedYears = (each: string): string =>
  `CREATE OR REPLACE FUNCTION count_owed_years() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
  INSERT INTO owed_year (firm_id, client_id, tax, year, entries) ${yearsOf('added', each)}
  ON CONFLICT (client_id, tax, year) DO UPDATE SET entries =
    (SELECT array_agg(u.before + u.more ORDER BY u.month) FROM unnest(owed_year.entries, EXCLUDED.entries) WITH ORDINALITY AS u(before, more, month));
  RETURN NULL; END $$;`;

/**
 * In which months a client owed a tax, kept by the ledger itself: the returns of every client are found from it without adding
 * the entries of a quarter up. `months` has a bit for each month with more entries than reversals, January the lowest.
 */
const OWED_YEARS = `
CREATE TABLE owed_year (firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, tax text NOT NULL, year smallint NOT NULL,
  entries bigint[] NOT NULL CHECK (array_length(entries, 1) = 12),
  months int NOT NULL GENERATED ALWAYS AS (${MONTHS.map((month) => `CASE WHEN entries[${month}] > 0 THEN ${2 ** (month - 1)} ELSE 0 END`).join(' + ')}) STORED,
  PRIMARY KEY (client_id, tax, year));
CREATE INDEX owed_year_of_firm ON owed_year (firm_id, year, client_id, tax) INCLUDE (months);
${countOwedYears(PLAIN)}
INSERT INTO owed_year (firm_id, client_id, tax, year, entries) ${yearsOf('ledger_entry')};
CREATE TRIGGER owed_years AFTER INSERT ON ledger_entry REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION count_owed_years();
`;

export class OwedMonths1799000000000 implements MigrationInterface {
  readonly name = 'OwedMonths1799000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(OWED_YEARS);
    await secureTables(runner, [{ name: 'owed_year', isOfClients: true }]);
    await shutTo(runner, 'no_employee', ['owed_year']);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
