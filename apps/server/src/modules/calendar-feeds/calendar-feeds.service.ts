import { Inject, Injectable } from '@nestjs/common';
import type { CalendarFeedRow, MadeCalendarFeed, MakeCalendarFeed } from '@zakat/contract/calendar-feeds';
import { addDays } from '@zakat/core/calendar/local-date';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { CONFIG, type Config } from '../../config/config.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { notFound } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import type { Session } from '../identity/index.js';
import { LadderService } from '../ladder/index.js';
import { calendarFile, type DueEvent } from './calendar-file.js';

const DAYS_BACK = 31;
const DAYS_AHEAD = 120;
const MOST = 5000;
const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();

interface FeedOf {
  readonly firm_id: string;
  readonly user_id: string;
  readonly client_id: string | null;
}

/** Due dates for other calendars: an address with a secret, one for a user, or for a user and a client, ended at any time. */
@Injectable()
export class CalendarFeeds {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(LadderService) private readonly ladder: LadderService,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  list(actor: Session): Promise<CalendarFeedRow[]> {
    return this.database.run(actor, async (manager) => {
      const rows = (await manager.query(
        `SELECT f.id, f.created_at, c.legal_name FROM calendar_feed f LEFT JOIN client c ON c.id = f.client_id WHERE f.user_id = $1 AND f.ended_at IS NULL ORDER BY f.created_at`,
        [actor.userId],
      )) as { id: string; created_at: Date; legal_name: string | null }[];
      return rows.map((row) => ({ id: row.id, of: row.legal_name ?? '', madeAt: row.created_at.toISOString() }));
    });
  }

  /** Makes an address anew: the one before it ends. The secret is shown this once. */
  make(actor: Session, { clientId }: MakeCalendarFeed): Promise<MadeCalendarFeed> {
    // Somebody of a client has the client's alone.
    const of = actor.clientId ?? clientId;
    return this.database.run(actor, async (manager) => {
      if (of !== null) await findClient(manager, of);
      const now = await this.clock.now(manager);
      await manager.query(
        'UPDATE calendar_feed SET ended_at = $3 WHERE user_id = $1 AND client_id IS NOT DISTINCT FROM $2 AND ended_at IS NULL',
        [actor.userId, of, now],
      );
      const token = randomBytes(32).toString('base64url');
      const id = randomUUID();
      await manager.query(
        'INSERT INTO calendar_feed (id, firm_id, user_id, client_id, token_hash, created_at) VALUES ($1,$2,$3,$4,$5,$6)',
        [id, actor.firmId, actor.userId, of, hashOf(token), now],
      );
      await this.audit.record(
        manager,
        actor,
        'calendar.make',
        'user',
        actor.userId,
        of === null ? {} : { clientId: of },
      );
      return { id, address: `${this.config.publicUrl}/api/calendar/${token}.ics` };
    });
  }

  end(actor: Session, id: string): Promise<CalendarFeedRow[]> {
    return this.database
      .run(actor, async (manager) => {
        const [, count] = (await manager.query(
          'UPDATE calendar_feed SET ended_at = $3 WHERE id = $1 AND user_id = $2 AND ended_at IS NULL',
          [id, actor.userId, await this.clock.now(manager)],
        )) as [unknown, number];
        if (count === 0) throw notFound('calendar address');
        await this.audit.record(manager, actor, 'calendar.end', 'user', actor.userId);
      })
      .then(() => this.list(actor));
  }

  /** The file behind an address. An address that never was and one that has ended answer alike. */
  async file(token: string): Promise<string> {
    const [feed] = await this.database.runWithoutFirm(
      async (manager) => (await manager.query('SELECT * FROM calendar_feed_of($1)', [hashOf(token)])) as FeedOf[],
    );
    if (!feed) throw notFound('calendar');
    const actor: Actor = { firmId: feed.firm_id, userId: null, role: 'system' };
    await this.ladder.freshen(actor);
    return this.database.run(actor, async (manager) => {
      const today = await this.clock.today(manager);
      const rows = (await manager.query(
        `SELECT r.key, r.title, c.key AS client_key, r.send_by, r.due, r.move FROM agenda_rung r JOIN client c ON c.id = r.client_id
         WHERE r.send_by BETWEEN $1 AND $2 AND ($3::uuid IS NULL OR r.client_id = $3) ORDER BY r.send_by, c.key, r.key LIMIT ${MOST}`,
        [addDays(today, -DAYS_BACK), addDays(today, DAYS_AHEAD), feed.client_id],
      )) as { key: string; title: string; client_key: string; send_by: string; due: string | null; move: string }[];
      return calendarFile(
        'Zakat: due dates',
        rows.map((row): DueEvent => ({
          key: `${row.client_key} ${row.key}`,
          title: row.title,
          clientKey: row.client_key,
          sendBy: row.send_by,
          due: row.due,
          // Whose move it is inside the firm is nothing for the client's calendar.
          move: feed.client_id === null ? row.move : 'Your payroll service sends it',
        })),
        await this.clock.now(manager),
        this.config.publicUrl,
      );
    });
  }
}
