import { Inject, Injectable, Logger, type OnApplicationShutdown, type OnModuleInit } from '@nestjs/common';
import type PgBoss from 'pg-boss';
import { CONFIG, type Config } from '../config/config.js';
import { QUEUES, openBoss, type QueueName } from './queues.js';

const { sweep: SWEEP, attend: ATTEND } = QUEUES;
/** How long a task that another process puts in a queue may wait here; one of this process begins at once. */
const POLL = { pollingIntervalSeconds: 2 };

export interface AttendTask {
  readonly firmId: string;
  readonly outboxId: string;
}
/** What the worker does with an outbox row; answers how many seconds to wait before the next look, or null when done. */
export type Attend = (task: AttendTask) => Promise<number | null>;

/**
 * Work that is put off, on PostgreSQL (pg-boss, in its schema `jobs`). The outbox table is the promise; a task only carries it
 * out. A wake after each release makes it prompt, a sweep every minute and at start makes it certain.
 */
@Injectable()
export class WorkQueue implements OnModuleInit, OnApplicationShutdown {
  private readonly logger = new Logger('queue');
  private readonly boss: PgBoss;
  private due: (() => Promise<AttendTask[]>) | null = null;
  private attend: Attend | null = null;
  private readonly workers = new Map<QueueName, string>();
  private readonly timers = new Set<NodeJS.Timeout>();

  constructor(@Inject(CONFIG) config: Config) {
    this.boss = openBoss(config.databaseUrl);
    // The database's code of what went wrong says enough; its words may hold values.
    this.boss.on('error', (error: Error & { code?: string }) => this.logger.error(`${error.name} ${error.code ?? ''}`));
  }

  register(due: () => Promise<AttendTask[]>, attend: Attend): void {
    this.due = due;
    this.attend = attend;
  }

  async onModuleInit(): Promise<void> {
    await this.boss.start();
    this.workers.set(SWEEP, await this.boss.work(SWEEP, POLL, () => this.sweep()));
    const attending = await this.boss.work<AttendTask>(ATTEND, { ...POLL, batchSize: 20 }, async (tasks) => {
      for (const task of tasks) await this.attendOne(task.data);
    });
    this.workers.set(ATTEND, attending);
    await this.boss.schedule(SWEEP, '* * * * *');
    await this.wake();
  }

  /** Whoever works off a queue: one task at a time, tried again when it failed or its process was killed. */
  async work<Task extends object>(queue: QueueName, work: (task: Task) => Promise<void>): Promise<void> {
    const worker = await this.boss.work<Task>(queue, POLL, async (tasks) => {
      for (const task of tasks) await work(task.data);
    });
    this.workers.set(queue, worker);
  }

  /** The worker of this process looks now, or after so many seconds. */
  private begin(queue: QueueName, after = 0): void {
    const timer = setTimeout(() => {
      this.timers.delete(timer);
      const worker = this.workers.get(queue);
      if (worker !== undefined) this.boss.notifyWorker(worker);
    }, after * 1000);
    this.timers.add(timer);
  }

  /** Puts a task in a queue; one with the same key that waits already is enough. */
  async send(queue: QueueName, task: object, key: string): Promise<void> {
    await this.boss.send(queue, task, { singletonKey: key, retryLimit: 5, retryDelay: 1, expireInSeconds: 120 });
    this.begin(queue);
  }

  async onApplicationShutdown(): Promise<void> {
    for (const timer of this.timers) clearTimeout(timer);
    await this.boss.stop({ graceful: true, wait: true, timeout: 5000 });
  }

  /** Asks for a sweep now, and looks at once in this process too. Losing this call costs at most a minute. */
  async wake(): Promise<void> {
    try {
      await this.boss.send(SWEEP, {});
      this.begin(SWEEP);
    } catch (error) {
      this.logger.warn(`wake failed: ${error instanceof Error ? error.name : 'unknown'}`);
    }
    setImmediate(() => void this.lookNow());
  }

  /** Attends to everything due, here and now; a task doing the same finds the rows locked or done. */
  async lookNow(): Promise<void> {
    try {
      for (const task of (await this.due?.()) ?? []) await this.attendOne(task);
    } catch (error) {
      this.logger.warn(`look failed: ${error instanceof Error ? error.name : 'unknown'}`);
    }
  }

  private async sweep(): Promise<void> {
    for (const task of (await this.due?.()) ?? []) await this.boss.send(ATTEND, task, { singletonKey: task.outboxId });
    this.begin(ATTEND);
  }

  private async attendOne(task: AttendTask): Promise<void> {
    const wait = await this.attend?.(task);
    if (wait === null || wait === undefined) return;
    await this.boss.send(ATTEND, task, { startAfter: wait, singletonKey: `${task.outboxId} later` });
    this.begin(ATTEND, wait);
  }
}
