import { Inject, Injectable } from '@nestjs/common';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';

export interface Reached {
  readonly done: number;
  readonly total: number;
}

/** How far long work has come. Kept outside the work's own transaction: nothing of that is seen before it commits. */
@Injectable()
export class Progress {
  constructor(@Inject(FirmDatabase) private readonly database: FirmDatabase) {}

  report(actor: Actor, subjectId: string, { done, total }: Reached): Promise<void> {
    return this.database.run(actor, async (manager) => {
      await manager.query(
        'INSERT INTO work_progress (subject_id, firm_id, done, total) VALUES ($1, $2, $3, $4) ON CONFLICT (subject_id) DO UPDATE SET done = greatest(work_progress.done, EXCLUDED.done), total = EXCLUDED.total',
        [subjectId, actor.firmId, done, total],
      );
    });
  }

  /** Forgets the work, whether it was finished or failed. */
  end(actor: Actor, subjectId: string): Promise<void> {
    return this.database.run(actor, async (manager) => {
      await manager.query('DELETE FROM work_progress WHERE subject_id = $1', [subjectId]);
    });
  }

  of(actor: Actor, subjectId: string): Promise<Reached> {
    return this.database.run(actor, async (manager) => {
      const rows = (await manager.query('SELECT done, total FROM work_progress WHERE subject_id = $1', [
        subjectId,
      ])) as Reached[];
      return rows[0] ?? { done: 0, total: 0 };
    });
  }
}
