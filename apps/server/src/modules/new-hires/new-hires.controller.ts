import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { NewHireFile, NewHireRow, ReportNewHires } from '@zakat/contract/people';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { NewHiresService } from './new-hires.service.js';

@Controller('clients/:id/new-hires')
export class NewHiresController {
  constructor(@Inject(NewHiresService) private readonly newHires: NewHiresService) {}

  @Get()
  @Answers(NewHireRow, 'list')
  list(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<NewHireRow[]> {
    return this.newHires.list(session, id);
  }

  @Post()
  @HttpCode(200)
  @Answers(NewHireFile)
  report(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ReportNewHires,
  ): Promise<NewHireFile> {
    return this.newHires.report(session, id, body.state);
  }
}
