import { Inject, Injectable, Logger, type OnApplicationShutdown, type OnModuleInit } from '@nestjs/common';
import PgBoss from 'pg-boss';
import { CONFIG, type Config } from '../config/config.js';

const SWEEP = 'outbox-sweep';
const ATTEND = 'outbox-attend';

export interface AttendJob {
  readonly firmId: string;
  readonly outboxId: string;
}
/** What the worker does with an outbox row; answers how many seconds to wait before the next look, or null when done. */
export type Attend = (job: AttendJob) => Promise<number | null>;

/**
 * Jobs on PostgreSQL (pg-boss). The outbox table is the promise; a job only carries it out. A wake after each release
 * makes it prompt, a sweep every minute and at start makes it certain.
 */
@Injectable()
export class Jobs implements OnModuleInit, OnApplicationShutdown {
  private readonly logger = new Logger('jobs');
  private readonly boss: PgBoss;
  private due: (() => Promise<AttendJob[]>) | null = null;
  private attend: Attend | null = null;

  constructor(@Inject(CONFIG) config: Config) {
    this.boss = new PgBoss({
      connectionString: config.databaseUrl,
      schema: 'jobs',
      max: 4,
      application_name: 'zakat-jobs',
    } as ConstructorParameters<typeof PgBoss>[0]);
    // The database's code of what went wrong says enough; its words may hold values.
    this.boss.on('error', (error: Error & { code?: string }) => this.logger.error(`${error.name} ${error.code ?? ''}`));
  }

  register(due: () => Promise<AttendJob[]>, attend: Attend): void {
    this.due = due;
    this.attend = attend;
  }

  async onModuleInit(): Promise<void> {
    await this.boss.start();
    await this.boss.createQueue(SWEEP);
    await this.boss.createQueue(ATTEND);
    await this.boss.work(SWEEP, { pollingIntervalSeconds: 0.5 }, () => this.sweep());
    await this.boss.work<AttendJob>(ATTEND, { pollingIntervalSeconds: 0.5, batchSize: 20 }, async (jobs) => {
      for (const job of jobs) await this.attendOne(job.data);
    });
    await this.boss.schedule(SWEEP, '* * * * *');
    await this.wake();
  }

  /** Whoever works off a queue: one job at a time, tried again when it failed or its process was killed. */
  async work<Job extends object>(queue: string, work: (job: Job) => Promise<void>): Promise<void> {
    await this.boss.createQueue(queue);
    await this.boss.work<Job>(queue, { pollingIntervalSeconds: 0.5 }, async (jobs) => {
      for (const job of jobs) await work(job.data);
    });
  }

  /** Puts a job in a queue; one with the same key that waits already is enough. */
  async send(queue: string, job: object, key: string): Promise<void> {
    await this.boss.send(queue, job, { singletonKey: key, retryLimit: 5, retryDelay: 1, expireInSeconds: 120 });
  }

  async onApplicationShutdown(): Promise<void> {
    await this.boss.stop({ graceful: true, wait: true, timeout: 5000 });
  }

  /** Asks for a sweep now, and looks at once in this process too. Losing this call costs at most a minute. */
  async wake(): Promise<void> {
    try {
      await this.boss.send(SWEEP, {});
    } catch (error) {
      this.logger.warn(`wake failed: ${error instanceof Error ? error.name : 'unknown'}`);
    }
    setImmediate(() => void this.lookNow());
  }

  /** Attends to everything due, here and now; a job doing the same finds the rows locked or done. */
  async lookNow(): Promise<void> {
    try {
      for (const job of (await this.due?.()) ?? []) await this.attendOne(job);
    } catch (error) {
      this.logger.warn(`look failed: ${error instanceof Error ? error.name : 'unknown'}`);
    }
  }

  private async sweep(): Promise<void> {
    for (const job of (await this.due?.()) ?? []) await this.boss.send(ATTEND, job, { singletonKey: job.outboxId });
  }

  private async attendOne(job: AttendJob): Promise<void> {
    const wait = await this.attend?.(job);
    if (wait !== null && wait !== undefined)
      await this.boss.send(ATTEND, job, { startAfter: wait, singletonKey: `${job.outboxId} later` });
  }
}
