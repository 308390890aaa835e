import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put, Res } from '@nestjs/common';
import {
  ChooseHeading,
  ChooseMapping,
  CorrectCell,
  SkipRow,
  ImportRow,
  ImportView,
  ProgressView,
  UploadPeople,
} from '@zakat/contract/people';
import { AtVersion } from '@zakat/contract/payrolls';
import type { Response } from 'express';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { sendTable } from '../tables/index.js';
import { ExportPeople } from './export-people.js';
import { PeopleFiles } from './people-files.service.js';

@Controller()
export class PeopleFilesController {
  constructor(
    @Inject(PeopleFiles) private readonly files: PeopleFiles,
    @Inject(ExportPeople) private readonly exports: ExportPeople,
  ) {}

  @Get('clients/:id/people-files')
  @Answers(ImportRow, 'list')
  list(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ImportRow[]> {
    return this.files.list(session, id);
  }

  @Post('clients/:id/people-files')
  @Answers(ImportView, 'one', 201)
  upload(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: UploadPeople,
  ): Promise<ImportView> {
    return this.files.upload(session, id, body);
  }

  @Get('clients/:id/people.csv')
  async csv(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string, @Res() response: Response) {
    sendTable(response, 'csv', await this.exports.as(session, id, 'csv'));
  }

  @Get('clients/:id/people.xlsx')
  async xlsx(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string, @Res() response: Response) {
    sendTable(response, 'xlsx', await this.exports.as(session, id, 'xlsx'));
  }

  @Get('people-files/:id')
  @Answers(ImportView)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ImportView> {
    return this.files.view(session, id);
  }

  @Get('people-files/:id/progress')
  @Answers(ProgressView)
  progress(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ProgressView> {
    return this.files.progress(session, id);
  }

  @Put('people-files/:id/mapping')
  @Answers(ImportView)
  map(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ChooseMapping,
  ): Promise<ImportView> {
    return this.files.chooseMapping(session, id, body);
  }

  @Put('people-files/:id/heading')
  @Answers(ImportView)
  heading(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ChooseHeading,
  ): Promise<ImportView> {
    return this.files.chooseHeading(session, id, body);
  }

  @Put('people-files/:id/skip')
  @Answers(ImportView)
  skip(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: SkipRow,
  ): Promise<ImportView> {
    return this.files.skipRow(session, id, body);
  }

  @Put('people-files/:id/cell')
  @Answers(ImportView)
  cell(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: CorrectCell,
  ): Promise<ImportView> {
    return this.files.correctCell(session, id, body);
  }

  @Post('people-files/:id/accept')
  @HttpCode(200)
  @Answers(ImportView)
  accept(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<ImportView> {
    return this.files.accept(session, id, body.version);
  }

  @Post('people-files/:id/undo')
  @HttpCode(200)
  @Answers(ImportView)
  undo(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<ImportView> {
    return this.files.undo(session, id, body.version);
  }

  @Post('people-files/:id/discard')
  @HttpCode(204)
  discard(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<void> {
    return this.files.discard(session, id, body.version);
  }
}
