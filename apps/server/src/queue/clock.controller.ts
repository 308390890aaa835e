import { Body, Controller, Headers, HttpCode, Inject, Post } from '@nestjs/common';
import { MoveClock } from '@zakat/contract/session';
import { timingSafeEqual } from 'node:crypto';
import { DataSource } from 'typeorm';
import { CONFIG, type Config } from '../config/config.js';
import { dayFrom } from '../http/day.js';
import { Refusal } from '../http/refusal.js';
import { WorkQueue } from './work-queue.js';
import { Open } from '../modules/identity/index.js';
import { Clock } from '../modules/clock/index.js';

/** Moves a simulated clock forward. Does not exist where the clock is real. */
@Controller('clock')
export class ClockController {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(WorkQueue) private readonly queue: WorkQueue,
    @Inject(DataSource) private readonly dataSource: DataSource,
  ) {}

  @Post()
  @Open()
  @HttpCode(200)
  async move(@Body() body: MoveClock, @Headers('x-clock-token') token?: string): Promise<{ today: string }> {
    const given = Buffer.from(token ?? '');
    const wanted = Buffer.from(this.config.clockToken);
    if (this.config.clock !== 'simulated' || given.length !== wanted.length || !timingSafeEqual(given, wanted))
      throw new Refusal(404, 'not-found', 'There is nothing here.');
    await this.clock.move(dayFrom(body.today, 'today'));
    // Answers may be ready on the new day: look after everything under way now.
    await this.dataSource.query(`UPDATE outbox SET next_at = now(), attempts = 0 WHERE status <> 'answered'`);
    await this.queue.lookNow();
    return { today: await this.clock.today() };
  }
}
