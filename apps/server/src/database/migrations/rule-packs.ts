import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Rule packs of a firm: its own dated rules in front of the product's. What is in a pack never changes. Forward only. */
export class RulePacks1763900000000 implements MigrationInterface {
  readonly name = 'RulePacks1763900000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE rule_pack (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, name text NOT NULL, content jsonb NOT NULL,
  status text NOT NULL DEFAULT 'proposed' CHECK (status IN ('proposed','in-force','withdrawn')), version int NOT NULL DEFAULT 1,
  prepared_by uuid NOT NULL REFERENCES app_user, accepted_by uuid REFERENCES app_user, created_at timestamptz NOT NULL, accepted_at timestamptz)`);
    await runner.query('CREATE INDEX rule_pack_by_firm ON rule_pack (firm_id, status, accepted_at)');
    await runner.query('GRANT SELECT, INSERT ON rule_pack TO zakat_app');
    await runner.query('GRANT UPDATE (status, version, accepted_by, accepted_at) ON rule_pack TO zakat_app');
    await runner.query('ALTER TABLE rule_pack ENABLE ROW LEVEL SECURITY');
    await runner.query(
      'CREATE POLICY own_firm ON rule_pack TO zakat_app USING (firm_id = current_firm()) WITH CHECK (firm_id = current_firm())',
    );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
