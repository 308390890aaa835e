import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * A client that was added by mistake and never used is taken away: nobody of the firm sees it or its people any more, and its
 * code is free again. The row stays, since the audit trail names it.
 */
const REMOVAL = `
ALTER TABLE client ADD COLUMN is_withdrawn boolean NOT NULL DEFAULT false;
ALTER TABLE client DROP CONSTRAINT client_key_unique;
CREATE UNIQUE INDEX client_key_unique ON client (firm_id, key) WHERE NOT is_withdrawn;
CREATE POLICY not_withdrawn ON client AS RESTRICTIVE FOR SELECT TO zakat_app USING (NOT is_withdrawn);
CREATE FUNCTION withdraw_client(given uuid, at_version int) RETURNS boolean LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ BEGIN
    UPDATE client SET is_withdrawn = true, version = version + 1
      WHERE id = given AND firm_id = current_firm() AND version = at_version AND NOT is_withdrawn;
    IF NOT FOUND THEN RETURN false; END IF;
    UPDATE employee SET is_withdrawn = true, version = version + 1 WHERE client_id = given AND NOT is_withdrawn;
    RETURN true;
  END $$;
REVOKE ALL ON FUNCTION withdraw_client(uuid, int) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION withdraw_client(uuid, int) TO zakat_app;
`;

export class RemovedClients1785000000000 implements MigrationInterface {
  readonly name = 'RemovedClients1785000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(REMOVAL);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
