import type { MigrationInterface, QueryRunner } from 'typeorm';

const CHANGES = `
-- A filing is of a kind and a period; which kinds there are is known by the core alone.
ALTER TABLE filing ADD COLUMN kind text, ADD COLUMN jurisdiction text NOT NULL DEFAULT 'US', ADD COLUMN period_start date, ADD COLUMN period_end date,
  ADD COLUMN corrects uuid REFERENCES filing, ADD COLUMN sequence int NOT NULL DEFAULT 1, ADD COLUMN snapshot_version int,
  -- Amounts that somebody entered on the return, because no ledger knows them.
  ADD COLUMN entered jsonb NOT NULL DEFAULT '{}',
  -- A balance that is paid with the return: from which account, and when.
  ADD COLUMN payment_account_id uuid REFERENCES bank_account, ADD COLUMN payment_on date;
UPDATE filing SET kind = CASE form WHEN '941' THEN 'us-941' ELSE 'us-w2' END, snapshot_version = CASE WHEN snapshot IS NULL THEN NULL ELSE 1 END,
  period_start = make_date(year, CASE WHEN quarter IS NULL THEN 1 ELSE quarter * 3 - 2 END, 1),
  period_end = (make_date(year, CASE WHEN quarter IS NULL THEN 12 ELSE quarter * 3 END, 1) + interval '1 month - 1 day')::date;
ALTER TABLE filing DROP CONSTRAINT filing_form_quarter, DROP CONSTRAINT filing_unique, DROP COLUMN form, DROP COLUMN year, DROP COLUMN quarter,
  ALTER COLUMN kind SET NOT NULL, ALTER COLUMN period_start SET NOT NULL, ALTER COLUMN period_end SET NOT NULL, ALTER COLUMN jurisdiction DROP DEFAULT,
  ADD CONSTRAINT filing_period CHECK (period_start <= period_end), ADD CONSTRAINT filing_unique UNIQUE (client_id, kind, period_start, sequence),
  ADD CONSTRAINT filing_snapshot_version CHECK ((snapshot IS NULL) = (snapshot_version IS NULL)), ADD CONSTRAINT filing_payment CHECK ((payment_account_id IS NULL) = (payment_on IS NULL));
CREATE INDEX filing_by_firm ON filing (firm_id, status);

-- What leaves is routed by its receiver.
ALTER TABLE outbox DROP CONSTRAINT outbox_kind_check, ADD COLUMN receiver text;
UPDATE outbox SET receiver = CASE kind WHEN 'return-941' THEN 'irs' WHEN 'wage-file' THEN 'ssa' ELSE 'bank' END, kind = CASE WHEN kind IN ('return-941','wage-file') THEN 'filing' ELSE kind END;
ALTER TABLE outbox ALTER COLUMN receiver SET NOT NULL, ADD CONSTRAINT outbox_kind_check CHECK (kind IN ('ach-file','pay-file','filing'));

-- A return owes what only it knows, and may have paid its balance itself.
ALTER TABLE ledger_entry ADD COLUMN filing_id uuid REFERENCES filing, DROP CONSTRAINT ledger_entry_cause_check, DROP CONSTRAINT ledger_entry_has_cause, DROP CONSTRAINT ledger_entry_once,
  ADD CONSTRAINT ledger_entry_cause_check CHECK (cause IN ('payroll','payment','payment-returned','reversal','return')),
  ADD CONSTRAINT ledger_entry_has_cause CHECK ((cause IN ('payroll','reversal')) = (payroll_id IS NOT NULL) AND (cause IN ('payment','payment-returned')) = (num_nonnulls(remittance_id, take_over_id) = 1 OR cause = 'payment' AND filing_id IS NOT NULL)
    AND (cause <> 'return' OR filing_id IS NOT NULL)),
  ADD CONSTRAINT ledger_entry_once UNIQUE NULLS NOT DISTINCT (payroll_id, remittance_id, take_over_id, filing_id, employee_id, tax, liability_date, cause);
ALTER TABLE journal_entry ADD COLUMN filing_id uuid REFERENCES filing, DROP CONSTRAINT journal_entry_once,
  ADD CONSTRAINT journal_entry_once UNIQUE NULLS NOT DISTINCT (payroll_id, remittance_id, filing_id, memo);

-- How often somebody deposits is a class of the agency's calendar, kept with the account there.
UPDATE tax_account a SET deposit_frequency = c.new_york_days || '-day' FROM client c WHERE c.id = a.client_id AND a.agency = 'NY-TAX' AND a.deposit_frequency = '';
UPDATE tax_account SET deposit_frequency = lower(trim(deposit_frequency)) WHERE deposit_frequency <> '';
ALTER TABLE client DROP COLUMN new_york_days;
`;

/** One shape for every filing and deposit. Forward only. */
export class FilingKinds1775000000000 implements MigrationInterface {
  readonly name = 'FilingKinds1775000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
