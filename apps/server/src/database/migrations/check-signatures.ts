import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The image is a document of the client: sealed, and kept when another one takes its place. */
const CHANGES = `
ALTER TABLE bank_account ADD COLUMN signature_id uuid REFERENCES document, ADD COLUMN signature_most bigint CHECK (signature_most > 0),
  ADD CONSTRAINT bank_account_signature CHECK (signature_id IS NOT NULL OR signature_most IS NULL);
`;

/** The image of a signature that an account's checks may carry. Forward only. */
export class CheckSignatures1796000000000 implements MigrationInterface {
  readonly name = 'CheckSignatures1796000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
