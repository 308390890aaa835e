import { Inject, Injectable } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { findClient } from './clients.service.js';

/** Records that keep a client: with one of them it was used. */
const USES: readonly (readonly [table: string, where: string, what: string])[] = [
  ['payroll', 'true', 'a payroll'],
  ['take_over', 'true', 'prior payroll'],
  ['filing', 'true', 'a return'],
  ['debit_enrollment', 'true', 'an enrollment with an agency'],
  ['agency_notice', 'true', 'a notice'],
  ['ledger_entry', 'true', 'entries in the ledger'],
  ['new_hire_report', 'true', 'a reported new hire'],
  ['proof_check', 'NOT is_withdrawn', 'a check in the proof set'],
  ['app_user', 'is_active', 'somebody who signs in'],
];

/** Takes away a client that was added by mistake. */
@Injectable()
export class ClientRemoval {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
  ) {}

  /** As long as nothing was done for it: then it is kept for ever, with everything that names it. */
  remove(actor: Actor, id: string, version: number): Promise<void> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, id);
      const uses = await this.usesOf(manager, id);
      if (uses.length > 0)
        throw conflict(
          `${client.legalName} has ${uses.join(', ')}, and stays. A client that has closed gets its last day of wages in its setup.`,
        );
      // Before it is gone: the trail is written in the view of who may still see it.
      await this.audit.record(manager, actor, 'client.remove', 'client', id, {
        key: client.key,
        legalName: client.legalName,
      });
      const [answer] = (await manager.query('SELECT withdraw_client($1, $2) AS is_done', [id, version])) as {
        is_done: boolean;
      }[];
      if (answer?.is_done !== true)
        throw conflict('Somebody changed this client meanwhile. Look again before you remove it.');
    });
  }

  private async usesOf(manager: EntityManager, id: string): Promise<string[]> {
    const parts = USES.map(
      ([table, where], index) => `EXISTS (SELECT 1 FROM ${table} WHERE client_id = $1 AND ${where}) AS u${index}`,
    );
    const [row] = (await manager.query(`SELECT ${parts.join(', ')}`, [id])) as Record<string, boolean>[];
    return USES.flatMap(([, , what], index) => (row?.[`u${index}`] ? [what] : []));
  }
}
