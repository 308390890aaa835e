import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put, Query } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { ClientHoursView, HoursFileView, ReadHoursFile } from '@zakat/contract/hours';
import { Accepted } from '@zakat/contract/clients';
import {
  AtVersion,
  CreatePayroll,
  PayrollRow,
  PayrollSuggestion,
  PayrollView,
  PostPayroll,
  ReviewPayroll,
  ReviewView,
  SavePayroll,
  WorkingView,
} from '@zakat/contract/payrolls';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { ClientHours } from './client-hours.service.js';
import { PayrollReviews } from './payroll-review.service.js';
import { HoursFiles } from './hours-files.service.js';
import { PayrollsService } from './payrolls.service.js';

@Controller()
export class PayrollsController {
  constructor(
    @Inject(PayrollsService) private readonly payrolls: PayrollsService,
    @Inject(HoursFiles) private readonly hours: HoursFiles,
    @Inject(ClientHours) private readonly clientHours: ClientHours,
    @Inject(PayrollReviews) private readonly reviews: PayrollReviews,
  ) {}

  @Get('payrolls/:id/review')
  @Answers(ReviewView)
  reviewed(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ReviewView> {
    return this.reviews.of(session, id);
  }

  @Get('payrolls/:id/client-hours')
  @Answers(ClientHoursView)
  sentHours(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ClientHoursView> {
    return this.clientHours.view(session, id);
  }

  @Post('payrolls/:id/client-hours/take')
  @HttpCode(200)
  @Answers(PayrollView)
  takeHours(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<PayrollView> {
    return this.clientHours.take(session, id, body.version);
  }

  @Post('payrolls/:id/hours-file')
  @HttpCode(200)
  @Answers(HoursFileView)
  hoursFile(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ReadHoursFile,
  ): Promise<HoursFileView> {
    return this.hours.read(session, id, body);
  }

  @Get('clients/:id/payrolls')
  @Answers(PayrollRow, 'list')
  list(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<PayrollRow[]> {
    return this.payrolls.list(session, id);
  }

  @Get('clients/:id/next-payroll')
  @ApiQuery({ name: 'schedule', required: false })
  @Answers(PayrollSuggestion)
  suggest(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('schedule') schedule?: string,
  ): Promise<PayrollSuggestion> {
    return this.payrolls.suggest(session, id, schedule ?? '');
  }

  @Post('clients/:id/payrolls')
  @Answers(Accepted, 'one', 201)
  async create(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: CreatePayroll,
  ): Promise<Accepted> {
    return { ...(await this.payrolls.create(session, id, body)), warnings: [] };
  }

  @Get('payrolls/:id')
  @Answers(PayrollView)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<PayrollView> {
    return this.payrolls.view(session, id);
  }

  @Put('payrolls/:id')
  @Answers(PayrollView)
  save(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: SavePayroll,
  ): Promise<PayrollView> {
    return this.payrolls.save(session, id, body);
  }

  @Post('payrolls/:id/review')
  @HttpCode(200)
  @Answers(PayrollView)
  review(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ReviewPayroll,
  ): Promise<PayrollView> {
    return this.payrolls.review(session, id, body);
  }

  @Post('payrolls/:id/reopen')
  @HttpCode(200)
  @Answers(PayrollView)
  reopen(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<PayrollView> {
    return this.payrolls.reopen(session, id, body.version);
  }

  @Post('payrolls/:id/discard')
  @HttpCode(204)
  discard(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<void> {
    return this.payrolls.discard(session, id, body.version);
  }

  @Post('payrolls/:id/post')
  @HttpCode(200)
  @Answers(PayrollView)
  post(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PostPayroll,
  ): Promise<PayrollView> {
    return this.payrolls.post(session, id, body);
  }

  @Get('payrolls/:id/working/:employeeId')
  @Answers(WorkingView)
  working(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('employeeId', ParseUUIDPipe) employeeId: string,
    @Query('figure') figure: string,
  ): Promise<WorkingView> {
    return this.payrolls.working(session, id, employeeId, figure);
  }
}
