import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables } from '../row-level-security.js';

const CHANGES = `
-- What stands on the ladder, by client. It is worked out from the client's records and never the only place of anything.
CREATE TABLE agenda_rung (
  firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, key text NOT NULL, kind text NOT NULL, title text NOT NULL, send_by date, due date, amount bigint,
  standing text NOT NULL, move text NOT NULL, path text NOT NULL,
  -- Shown from and until a day; late after a day. A rung without a day to send by stands where it is seen first.
  shown_from date, shown_until date, late_after date,
  PRIMARY KEY (client_id, key));
CREATE INDEX agenda_rung_by_firm ON agenda_rung (firm_id, send_by);
-- Clients whose rungs have to be worked out again: one row for each change, so that no change waits for another.
CREATE TABLE agenda_stale (id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client);
CREATE INDEX agenda_stale_by_firm ON agenda_stale (firm_id, client_id);
CREATE FUNCTION agenda_touch() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ BEGIN INSERT INTO agenda_stale (firm_id, client_id) SELECT DISTINCT firm_id, client_id FROM changed WHERE client_id IS NOT NULL; RETURN NULL; END $$;
CREATE FUNCTION agenda_touch_client() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ BEGIN INSERT INTO agenda_stale (firm_id, client_id) SELECT DISTINCT firm_id, id FROM changed; RETURN NULL; END $$;
CREATE FUNCTION agenda_touch_person() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ BEGIN INSERT INTO agenda_stale (firm_id, client_id) SELECT DISTINCT e.firm_id, e.client_id FROM changed c JOIN employee e ON e.id = c.employee_id; RETURN NULL; END $$;
CREATE FUNCTION agenda_touch_firm() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ BEGIN INSERT INTO agenda_stale (firm_id, client_id) SELECT c.firm_id, c.id FROM client c JOIN changed f ON f.id = c.firm_id; RETURN NULL; END $$;
INSERT INTO agenda_stale (firm_id, client_id) SELECT firm_id, id FROM client;
`;

/** Which tables say something of a client's rungs, and by which column they name it. */
const WATCHED: readonly (readonly [table: string, touch: string])[] = [
  ['client', 'agenda_touch_client'],
  ['client_fact', 'agenda_touch'],
  ['tax_account', 'agenda_touch'],
  ['payroll', 'agenda_touch'],
  ['ledger_entry', 'agenda_touch'],
  ['remittance', 'agenda_touch'],
  ['remittance_item', 'agenda_touch'],
  ['direct_deposit', 'agenda_touch'],
  ['filing', 'agenda_touch'],
  ['take_over', 'agenda_touch'],
  ['employee_fact', 'agenda_touch_person'],
  ['firm', 'agenda_touch_firm'],
];

/** The ladder as a table of its own, kept by what changes. Forward only. */
export class Agenda1776000000000 implements MigrationInterface {
  readonly name = 'Agenda1776000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    await secureTables(runner, [
      { name: 'agenda_rung', mayDelete: true, isOfClients: true },
      { name: 'agenda_stale', mayDelete: true, isOfClients: true },
    ]);
    for (const [table, touch] of WATCHED)
      for (const event of ['INSERT', 'UPDATE'])
        await runner.query(
          `CREATE TRIGGER agenda_${event.toLowerCase()} AFTER ${event} ON ${table} REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION ${touch}()`,
        );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
