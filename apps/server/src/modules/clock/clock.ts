import { Inject, Injectable } from '@nestjs/common';
import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { DataSource, type EntityManager } from 'typeorm';
import { CONFIG, type Config } from '../../config/config.js';

/** The one clock. In a simulated run the day comes from the database and is moved from outside; else it is the real day. */
@Injectable()
export class Clock {
  /** The day of each transaction: it is one day from its beginning to its end. */
  private readonly days = new WeakMap<EntityManager, LocalDate>();

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(DataSource) private readonly dataSource: DataSource,
  ) {}

  async today(manager?: EntityManager): Promise<LocalDate> {
    if (this.config.clock === 'real') return date(new Date().toISOString().slice(0, 10));
    const known = manager && this.days.get(manager);
    if (known) return known;
    const rows = (await (manager ?? this.dataSource).query(
      `SELECT to_char(today, 'YYYY-MM-DD') AS today FROM application_clock`,
    )) as { today: string }[];
    const row = rows[0];
    if (!row) throw new Error('the simulated clock has no day yet');
    const today = date(row.today);
    if (manager?.queryRunner?.isTransactionActive === true) this.days.set(manager, today);
    return today;
  }

  /** The moment for records: the application's day at the real time of day. */
  async now(manager?: EntityManager): Promise<Date> {
    const time = new Date().toISOString().slice(10);
    return new Date(`${await this.today(manager)}${time}`);
  }

  async move(today: LocalDate): Promise<void> {
    await this.dataSource.query(
      'INSERT INTO application_clock (today) VALUES ($1) ON CONFLICT (only_row) DO UPDATE SET today = EXCLUDED.today WHERE application_clock.today < EXCLUDED.today',
      [today],
    );
  }
}
