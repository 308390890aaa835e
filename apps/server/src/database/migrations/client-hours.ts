import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables } from '../row-level-security.js';

const CHANGES = `
-- Hours and notes that a client sends for an open payroll: they wait until somebody of the firm takes them.
CREATE TABLE client_hours (
  payroll_id uuid NOT NULL REFERENCES payroll, employee_id uuid NOT NULL REFERENCES employee, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client,
  lines jsonb NOT NULL, note text NOT NULL, sent_by uuid NOT NULL REFERENCES app_user, sent_at timestamptz NOT NULL, taken_at timestamptz,
  PRIMARY KEY (payroll_id, employee_id));
-- That a client approved the figures of a reviewed payroll: of these figures, no others.
CREATE TABLE payroll_approval (
  payroll_id uuid NOT NULL REFERENCES payroll, digest text NOT NULL, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, approved_by uuid NOT NULL REFERENCES app_user, approved_at timestamptz NOT NULL,
  CONSTRAINT payroll_approval_once PRIMARY KEY (payroll_id, digest));
`;

/** What a client sends for its payrolls. Forward only. */
export class ClientHours1781000000000 implements MigrationInterface {
  readonly name = 'ClientHours1781000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    await secureTables(runner, [
      { name: 'client_hours', mayDelete: true, isOfClients: true },
      { name: 'payroll_approval', isAppendOnly: true, isOfClients: true },
    ]);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
