import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables } from '../row-level-security.js';

const TABLES = `
-- The firm's trust account stands among the accounts that payments leave from; it is no client's.
ALTER TABLE bank_account ALTER COLUMN client_id DROP NOT NULL;
ALTER TABLE bank_account ADD COLUMN is_trust boolean NOT NULL DEFAULT false;
ALTER TABLE bank_account ADD CONSTRAINT bank_account_of_somebody CHECK (is_trust = (client_id IS NULL));
CREATE UNIQUE INDEX bank_account_one_trust ON bank_account (firm_id) WHERE is_trust;

CREATE TABLE trust_entry (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, bank_account_id uuid NOT NULL REFERENCES bank_account, client_id uuid REFERENCES client,
  day date NOT NULL, kind text NOT NULL, amount bigint NOT NULL CHECK (amount <> 0), is_at_bank boolean NOT NULL, reference text NOT NULL, memo text NOT NULL DEFAULT '',
  -- The collection, payment or file of pay that it follows from.
  subject_id uuid, reverses uuid REFERENCES trust_entry, position bigint GENERATED ALWAYS AS IDENTITY, created_by uuid REFERENCES app_user, created_at timestamptz NOT NULL,
  CONSTRAINT trust_entry_once UNIQUE NULLS NOT DISTINCT (subject_id, kind, client_id, reference),
  CONSTRAINT trust_entry_reversed_once UNIQUE (reverses));
CREATE INDEX trust_entry_by_client ON trust_entry (bank_account_id, client_id, day);

-- What each client, and the firm, has in the account. A client's part is never below zero: the database refuses it.
CREATE TABLE trust_balance (
  bank_account_id uuid NOT NULL REFERENCES bank_account, holder uuid NOT NULL, firm_id uuid NOT NULL REFERENCES firm, client_id uuid REFERENCES client, amount bigint NOT NULL,
  PRIMARY KEY (bank_account_id, holder), CONSTRAINT trust_balance_not_below_zero CHECK (client_id IS NULL OR amount >= 0));

CREATE FUNCTION trust_balance_follows() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  UPDATE trust_balance SET amount = amount + NEW.amount WHERE bank_account_id = NEW.bank_account_id AND holder = coalesce(NEW.client_id, NEW.firm_id);
  IF NOT FOUND THEN
    INSERT INTO trust_balance (bank_account_id, holder, firm_id, client_id, amount) VALUES (NEW.bank_account_id, coalesce(NEW.client_id, NEW.firm_id), NEW.firm_id, NEW.client_id, NEW.amount)
    ON CONFLICT (bank_account_id, holder) DO UPDATE SET amount = trust_balance.amount + NEW.amount;
  END IF;
  RETURN NEW;
END $$;
CREATE TRIGGER trust_balance_follows AFTER INSERT ON trust_entry FOR EACH ROW EXECUTE FUNCTION trust_balance_follows();

-- What the firm asks for the work of a month; a month of a client is invoiced once.
CREATE TABLE invoice (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, number int NOT NULL, month date NOT NULL, issued_on date NOT NULL, due date NOT NULL,
  total bigint NOT NULL CHECK (total > 0), is_collected boolean NOT NULL, status text NOT NULL DEFAULT 'issued', version int NOT NULL DEFAULT 1, paid_on date, reference text, reason text,
  prepared_by uuid NOT NULL REFERENCES app_user, document_id uuid NOT NULL REFERENCES document, created_at timestamptz NOT NULL, CONSTRAINT invoice_number_once UNIQUE (firm_id, number));
CREATE UNIQUE INDEX invoice_month_once ON invoice (client_id, month) WHERE status <> 'voided';
CREATE TABLE invoice_line (
  invoice_id uuid NOT NULL REFERENCES invoice, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, position int NOT NULL, label text NOT NULL, count int NOT NULL, price bigint NOT NULL, amount bigint NOT NULL,
  PRIMARY KEY (invoice_id, position));

CREATE TABLE collection (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, trust_account_id uuid NOT NULL REFERENCES bank_account,
  bank_account_id uuid NOT NULL REFERENCES bank_account, kind text NOT NULL CHECK (kind IN ('debit','prenote')), reference text NOT NULL UNIQUE, entry_class text NOT NULL CHECK (entry_class IN ('CCD','PPD')),
  amount bigint NOT NULL CHECK (amount >= 0), advance bigint NOT NULL DEFAULT 0 CHECK (advance >= 0), settles date NOT NULL, usable date NOT NULL,
  retries int NOT NULL DEFAULT 0, retry_of uuid REFERENCES collection, status text NOT NULL DEFAULT 'planned', version int NOT NULL DEFAULT 1,
  prepared_by uuid NOT NULL REFERENCES app_user, released_by uuid REFERENCES app_user, document_id uuid REFERENCES document, confirmation text, return_code text, returned_reason text, returned_on date,
  created_at timestamptz NOT NULL,
  -- A debit that came back is sent once more once.
  CONSTRAINT collection_retried_once UNIQUE (retry_of));
CREATE INDEX collection_by_client ON collection (client_id, created_at);
CREATE TABLE collection_item (
  collection_id uuid NOT NULL REFERENCES collection, position int NOT NULL, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, payroll_id uuid REFERENCES payroll, invoice_id uuid REFERENCES invoice,
  what text NOT NULL CHECK (what IN ('taxes','net-pay','fees')), amount bigint NOT NULL, is_live boolean NOT NULL, PRIMARY KEY (collection_id, position), CHECK ((what = 'fees') = (invoice_id IS NOT NULL) AND (what <> 'fees') = (payroll_id IS NOT NULL)));
-- What a payroll, or an invoice, needs is collected once at a time.
CREATE UNIQUE INDEX collection_item_once ON collection_item (coalesce(payroll_id, invoice_id), what) WHERE is_live;

CREATE TABLE trust_line (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, bank_account_id uuid NOT NULL REFERENCES bank_account, day date NOT NULL, amount bigint NOT NULL CHECK (amount <> 0),
  reference text NOT NULL, description text NOT NULL, sequence int NOT NULL,
  -- The same statement read twice adds nothing.
  CONSTRAINT trust_line_once UNIQUE (bank_account_id, day, amount, reference, description, sequence));
CREATE TABLE trust_closing (
  bank_account_id uuid NOT NULL REFERENCES bank_account, day date NOT NULL, firm_id uuid NOT NULL REFERENCES firm, balance bigint NOT NULL, PRIMARY KEY (bank_account_id, day));
CREATE TABLE trust_match (
  entry_id uuid PRIMARY KEY REFERENCES trust_entry, line_id uuid NOT NULL REFERENCES trust_line, firm_id uuid NOT NULL REFERENCES firm, matched_by uuid REFERENCES app_user);
CREATE INDEX trust_match_by_line ON trust_match (line_id);
CREATE TABLE trust_reconciliation (
  bank_account_id uuid NOT NULL REFERENCES bank_account, day date NOT NULL, firm_id uuid NOT NULL REFERENCES firm, bank bigint NOT NULL, book bigint NOT NULL, clients bigint NOT NULL, firm_part bigint NOT NULL,
  document_id uuid NOT NULL REFERENCES document, made_by uuid NOT NULL REFERENCES app_user, made_at timestamptz NOT NULL, PRIMARY KEY (bank_account_id, day));

ALTER TABLE document ALTER COLUMN client_id DROP NOT NULL;
ALTER TABLE outbox DROP CONSTRAINT outbox_kind_check, ADD CONSTRAINT outbox_kind_check CHECK (kind IN ('ach-file','pay-file','collection-file','filing'));
`;

/** The firm's trust account: whose money is in it, how it is collected, and how it agrees with the bank. Forward only. */
export class TrustAccount1788000000000 implements MigrationInterface {
  readonly name = 'TrustAccount1788000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(TABLES);
    await secureTables(runner, [
      { name: 'trust_entry', isAppendOnly: true, isOfClients: true },
      { name: 'trust_balance', isOfClients: true },
      { name: 'invoice', isOfClients: true },
      { name: 'invoice_line', isAppendOnly: true, isOfClients: true },
      { name: 'collection', isOfClients: true },
      { name: 'collection_item', isOfClients: true },
      { name: 'trust_line', isAppendOnly: true },
      { name: 'trust_closing', isAppendOnly: true },
      { name: 'trust_match', mayDelete: true },
      { name: 'trust_reconciliation', isAppendOnly: true },
    ]);
    // The balances follow from the entries, and from nothing else.
    await runner.query('REVOKE INSERT, UPDATE ON trust_balance FROM zakat_app');
    for (const table of ['collection', 'invoice', 'trust_entry'])
      for (const event of table === 'trust_entry' ? ['INSERT'] : ['INSERT', 'UPDATE'])
        await runner.query(
          `CREATE TRIGGER agenda_${event.toLowerCase()} AFTER ${event} ON ${table} REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION agenda_touch()`,
        );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
