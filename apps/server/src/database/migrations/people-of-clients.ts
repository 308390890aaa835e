import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How many people each client of a list has is read from an index alone. */
export class PeopleOfClients1784000000000 implements MigrationInterface {
  readonly name = 'PeopleOfClients1784000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('CREATE INDEX employee_of_client ON employee (client_id, firm_id) WHERE NOT is_withdrawn');
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
