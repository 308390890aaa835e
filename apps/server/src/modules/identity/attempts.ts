import { Inject, Injectable } from '@nestjs/common';
import { FirmDatabase } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { Refusal } from '../../http/refusal.js';

const WINDOW = '15 minutes';
const MOST_OF_ACCOUNT = 5;
/** A whole office may sit behind one address. */
const MOST_OF_ADDRESS = 40;

/** One guess at a secret: counted before it is looked at, so that many at once count as many. */
export interface Attempt {
  readonly succeeded: () => Promise<void>;
}

/** Guesses at passwords and codes, by account and by address. */
@Injectable()
export class Attempts {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Secrets) private readonly secrets: Secrets,
  ) {}

  /** Counts a guess, or refuses it where too many failed within a quarter of an hour. `address` null: only the account counts. */
  async begin(account: string, address: string | null): Promise<Attempt> {
    const accountMark = this.secrets.mark(`account ${account}`);
    const addressMark = this.secrets.mark(`address ${address ?? `of ${account}`}`);
    const id = await this.database.runWithoutFirm(async (manager) => {
      await manager.query('SELECT pg_advisory_xact_lock(hashtextextended($1, 0))', [accountMark.toString('hex')]);
      const failed = (await manager.query(
        `SELECT (SELECT count(*)::int FROM sign_in_attempt WHERE account_hash = $1 AND NOT succeeded AND at > now() - interval '${WINDOW}'
                   AND at > coalesce((SELECT max(at) FROM sign_in_attempt WHERE account_hash = $1 AND succeeded), '-infinity')) AS of_account,
                (SELECT count(*)::int FROM sign_in_attempt WHERE address_hash = $2 AND NOT succeeded AND at > now() - interval '${WINDOW}') AS of_address`,
        [accountMark, addressMark],
      )) as { of_account: number; of_address: number }[];
      const { of_account: ofAccount = 0, of_address: ofAddress = 0 } = failed[0] ?? {};
      if (ofAccount >= MOST_OF_ACCOUNT || ofAddress >= MOST_OF_ADDRESS)
        throw new Refusal(
          429,
          'sign-in-throttled',
          `Too many failed tries ${ofAccount >= MOST_OF_ACCOUNT ? 'for this account' : 'from this address'}. Try again in 15 minutes.`,
        );
      const made = (await manager.query(
        'INSERT INTO sign_in_attempt (account_hash, address_hash, succeeded) VALUES ($1, $2, false) RETURNING id',
        [accountMark, addressMark],
      )) as { id: string }[];
      return made[0]?.id;
    });
    return {
      succeeded: () =>
        this.database.runWithoutFirm(
          async (manager) =>
            void (await manager.query(
              'UPDATE sign_in_attempt SET succeeded = true, at = clock_timestamp() WHERE id = $1',
              [id],
            )),
        ),
    };
  }
}
