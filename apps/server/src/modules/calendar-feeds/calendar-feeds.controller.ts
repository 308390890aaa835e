import { Body, Controller, Delete, Get, Inject, Param, ParseUUIDPipe, Post, Res } from '@nestjs/common';
import { CalendarFeedRow, MadeCalendarFeed, MakeCalendarFeed } from '@zakat/contract/calendar-feeds';
import type { Response } from 'express';
import { Answers } from '../../http/answers.js';
import { CurrentSession, Open, OpenToContacts, type Session } from '../identity/index.js';
import { CalendarFeeds } from './calendar-feeds.service.js';

@Controller()
export class CalendarFeedsController {
  constructor(@Inject(CalendarFeeds) private readonly feeds: CalendarFeeds) {}

  @Get('session/calendar-feeds')
  @OpenToContacts()
  @Answers(CalendarFeedRow, 'list')
  list(@CurrentSession() session: Session): Promise<CalendarFeedRow[]> {
    return this.feeds.list(session);
  }

  @Post('session/calendar-feeds')
  @OpenToContacts()
  @Answers(MadeCalendarFeed, 'one', 201)
  make(@CurrentSession() session: Session, @Body() body: MakeCalendarFeed): Promise<MadeCalendarFeed> {
    return this.feeds.make(session, body);
  }

  @Delete('session/calendar-feeds/:id')
  @OpenToContacts()
  @Answers(CalendarFeedRow, 'list')
  end(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<CalendarFeedRow[]> {
    return this.feeds.end(session, id);
  }

  /** For calendar programs, which have no session: whoever knows the address reads it. */
  @Get('calendar/:token.ics')
  @Open()
  async file(@Param('token') token: string, @Res() response: Response): Promise<void> {
    const content = await this.feeds.file(token);
    response.type('text/calendar').setHeader('Cache-Control', 'no-store').send(content);
  }
}
