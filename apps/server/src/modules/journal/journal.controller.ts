import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Query, Res } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { ExportJournal, JournalView } from '@zakat/contract/journal';
import type { Response } from 'express';
import { Answers } from '../../http/answers.js';
import { refuseField } from '../../http/refusal.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { JournalService } from './journal.service.js';

@Controller()
export class JournalController {
  constructor(@Inject(JournalService) private readonly journal: JournalService) {}

  @Get('clients/:id/journal')
  @ApiQuery({ name: 'from' })
  @ApiQuery({ name: 'to' })
  @Answers(JournalView)
  view(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('from') from = '',
    @Query('to') to = '',
  ): Promise<JournalView> {
    return this.journal.view(session, id, from, to);
  }

  @Post('clients/:id/journal-exports')
  @HttpCode(200)
  @Answers(JournalView)
  export(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ExportJournal,
  ): Promise<JournalView> {
    return this.journal.export(session, id, body);
  }

  @Get('journal-exports/:file')
  async file(@CurrentSession() session: Session, @Param('file') file: string, @Res() response: Response) {
    const [, id, format] = /^([0-9a-f-]{36})\.(csv|journal)$/.exec(file) ?? [];
    if (id === undefined || format === undefined)
      throw refuseField('file', 'An export is a file of CSV or a plain-text journal.', 'Ask for .csv or .journal.');
    const { name, mediaType, content } = await this.journal.file(session, id, format as 'csv');
    response
      .type(mediaType)
      .setHeader('Content-Disposition', `attachment; filename="${name}"`)
      .setHeader('Cache-Control', 'no-store')
      .send(content);
  }
}
