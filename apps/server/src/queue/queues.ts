import PgBoss from 'pg-boss';

/** Every queue there is: each is a partition of the table of tasks. */
export const QUEUES = { sweep: 'outbox-sweep', attend: 'outbox-attend', copies: 'w2-copies' } as const;
export type QueueName = (typeof QUEUES)[keyof typeof QUEUES];

export const openBoss = (databaseUrl: string, more: PgBoss.ConstructorOptions = {}): PgBoss =>
  new PgBoss({
    connectionString: databaseUrl,
    schema: 'jobs',
    max: 4,
    application_name: 'zakat-jobs',
    ...more,
  } as PgBoss.ConstructorOptions);

/** Makes the tables of the tasks, before any process works them off: two that make the same queue wait for each other. */
export async function makeQueues(databaseUrl: string): Promise<void> {
  const boss = openBoss(databaseUrl, { supervise: false, schedule: false, max: 1 });
  await boss.start();
  for (const queue of Object.values(QUEUES)) await boss.createQueue(queue);
  await boss.stop({ graceful: false, wait: true });
}
