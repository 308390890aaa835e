import { Controller, Get, Inject, Query } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { Found } from '@zakat/contract/people';
import { FirmDatabase } from '../../database/firm-database.js';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';

const MOST = 12;

/** Finds clients and people of the firm by parts of a name, a key, a number or the tail of an identity number. */
@Controller('search')
export class SearchController {
  constructor(@Inject(FirmDatabase) private readonly database: FirmDatabase) {}

  @Get()
  @ApiQuery({ name: 'find', required: true })
  @Answers(Found, 'list')
  find(@CurrentSession() session: Session, @Query('find') find = ''): Promise<Found[]> {
    const words = find.trim().toLowerCase().slice(0, 60).split(/\s+/);
    if (words.join(' ').length < 2) return Promise.resolve([]);
    const patterns = words.map((word) => `%${word.replace(/[%_\\]/g, '\\$&')}%`);
    const longest = patterns.reduce((best, pattern) => (pattern.length > best.length ? pattern : best));
    const every = (text: string): string => patterns.map((_, index) => `${text} LIKE $${index + 2}`).join(' AND ');
    return this.database.run(session, async (manager) => {
      const rows = (await manager.query(
        `(SELECT 'client' AS kind, id, legal_name AS label, key AS detail FROM client
            WHERE ${every(`lower(legal_name || ' ' || trade_name || ' ' || key)`)} ORDER BY legal_name LIMIT $1::int)
         UNION ALL
         (SELECT 'person', id, label, client || ', number ' || number FROM search_people($${patterns.length + 2}::text[], $${patterns.length + 3}::text, $1::int))`,
        [MOST, ...patterns, patterns, longest],
      )) as Found[];
      return rows;
    });
  }
}
