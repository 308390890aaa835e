import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The list of clients is read from indexes alone: they have every column that the policies of the rows look at. */
export class CountedPeople1798000000000 implements MigrationInterface {
  readonly name = 'CountedPeople1798000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX employee_of_client');
    await runner.query('CREATE INDEX employee_of_client ON employee (client_id, firm_id, id) WHERE NOT is_withdrawn');
    await runner.query(
      `CREATE INDEX payroll_posted ON payroll (client_id, firm_id, check_date) WHERE status = 'posted'`,
    );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
