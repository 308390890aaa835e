import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables } from '../row-level-security.js';

const TABLES = `
-- An address that shows due dates to whoever knows it: only the hash of its secret is kept.
CREATE TABLE calendar_feed (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, user_id uuid NOT NULL REFERENCES app_user, client_id uuid REFERENCES client,
  token_hash bytea NOT NULL UNIQUE, created_at timestamptz NOT NULL, ended_at timestamptz);
CREATE UNIQUE INDEX calendar_feed_one ON calendar_feed (user_id, coalesce(client_id, firm_id)) WHERE ended_at IS NULL;
-- Asked before a firm is known, as a session is: by the hash alone, of an address that stands and a user who may still sign in.
CREATE FUNCTION calendar_feed_of(hash bytea) RETURNS TABLE (firm_id uuid, user_id uuid, client_id uuid) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ SELECT f.firm_id, f.user_id, coalesce(f.client_id, u.client_id) FROM calendar_feed f JOIN app_user u ON u.id = f.user_id WHERE f.token_hash = hash AND f.ended_at IS NULL AND u.is_active $$;
`;

/** Due dates as a calendar that other programs read. Forward only. */
export class CalendarFeeds1789000000000 implements MigrationInterface {
  readonly name = 'CalendarFeeds1789000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(TABLES);
    await secureTables(runner, [{ name: 'calendar_feed' }]);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
