import { Inject, Injectable } from '@nestjs/common';
import { DataSource, type EntityManager } from 'typeorm';

/** Who acts: a person of a firm, or the firm's own jobs (`userId` null). */
export interface Actor {
  readonly firmId: string;
  readonly userId: string | null;
  readonly role: 'preparer' | 'reviewer' | 'administrator' | 'client-contact' | 'employee' | 'system';
  /** Somebody of a client: the database shows that client's rows only. */
  readonly clientId?: string | null;
  /** Somebody who is paid: the database shows their own rows only. */
  readonly employeeId?: string | null;
}

/** The only door to the database: each piece of work is one transaction as the restricted role, confined to one firm. */
@Injectable()
export class FirmDatabase {
  constructor(@Inject(DataSource) private readonly dataSource: DataSource) {}

  run<T>(
    actor: Pick<Actor, 'firmId' | 'clientId' | 'employeeId'>,
    work: (manager: EntityManager) => Promise<T>,
  ): Promise<T> {
    return this.dataSource.transaction(async (manager) => {
      await manager.query(
        `SELECT set_config('role', 'zakat_app', true), set_config('zakat.firm_id', $1, true), set_config('zakat.client_id', $2, true), set_config('zakat.employee_id', $3, true)`,
        [actor.firmId, actor.clientId ?? '', actor.employeeId ?? ''],
      );
      return work(manager);
    });
  }

  /** One question before a firm is known, put to a function of the database that answers it for anybody; no transaction around it. */
  ask(question: string, values: readonly unknown[]): Promise<unknown> {
    return this.dataSource.query(question, [...values]);
  }

  /** Work before a firm is known (sign-in, the list of due outbox rows): sees no firm's rows. */
  runWithoutFirm<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    return this.dataSource.transaction(async (manager) => {
      await manager.query('SET LOCAL ROLE zakat_app');
      return work(manager);
    });
  }
}
