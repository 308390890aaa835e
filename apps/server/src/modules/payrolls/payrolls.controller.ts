import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put, Query } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { ClientHoursView, HoursFileView, ReadHoursFile } from '@zakat/contract/hours';
import { Accepted } from '@zakat/contract/clients';
import {
  AskDifference,
  AtVersion,
  CreatePayroll,
  CheckDifference,
  KeepSheetColumns,
  LatestPayroll,
  PayDifference,
  PayrollRow,
  PayrollSuggestion,
  PayrollView,
  PostPayroll,
  RecomputedView,
  ReviewPayroll,
  ReviewView,
  SavePayroll,
  SplitPayroll,
  WorkingView,
} from '@zakat/contract/payrolls';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { ClientHours } from './client-hours.service.js';
import { PayrollReviews } from './payroll-review.service.js';
import { HoursFiles } from './hours-files.service.js';
import { PayrollActs } from './payroll-acts.service.js';
import { PayrollEntries } from './payroll-entries.service.js';
import { PayrollQueries } from './payroll-queries.service.js';
import { Differences } from './differences.service.js';
import { RecomputedChecks } from './recomputed.service.js';

@Controller()
export class PayrollsController {
  constructor(
    @Inject(PayrollQueries) private readonly queries: PayrollQueries,
    @Inject(PayrollEntries) private readonly entries: PayrollEntries,
    @Inject(PayrollActs) private readonly acts: PayrollActs,
    @Inject(HoursFiles) private readonly hours: HoursFiles,
    @Inject(ClientHours) private readonly clientHours: ClientHours,
    @Inject(PayrollReviews) private readonly reviews: PayrollReviews,
    @Inject(Differences) private readonly differences: Differences,
    @Inject(RecomputedChecks) private readonly recomputedChecks: RecomputedChecks,
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
    return this.queries.list(session, id);
  }

  @Get('clients/:id/recomputed')
  @ApiQuery({ name: 'year' })
  @Answers(RecomputedView)
  recomputed(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('year') year = '',
  ): Promise<RecomputedView> {
    return this.recomputedChecks.ofYear(session, id, year);
  }

  @Get('clients/:id/next-payroll')
  @ApiQuery({ name: 'schedule', required: false })
  @Answers(PayrollSuggestion)
  suggest(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('schedule') schedule?: string,
  ): Promise<PayrollSuggestion> {
    return this.queries.suggest(session, id, schedule ?? '');
  }

  @Post('clients/:id/payrolls')
  @Answers(Accepted, 'one', 201)
  async create(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: CreatePayroll,
  ): Promise<Accepted> {
    return { ...(await this.entries.create(session, id, body)), warnings: [] };
  }

  @Get('payrolls/:id')
  @Answers(PayrollView)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<PayrollView> {
    return this.queries.view(session, id);
  }

  @Put('clients/:id/sheet-columns')
  @HttpCode(204)
  keepColumns(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: KeepSheetColumns,
  ): Promise<void> {
    return this.entries.keepColumns(session, id, body.columns);
  }

  @Get('payrolls/:id/latest')
  @Answers(LatestPayroll)
  latest(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<LatestPayroll> {
    return this.queries.latest(session, id);
  }

  @Post('payrolls/:id/split')
  @Answers(Accepted, 'one', 201)
  async split(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: SplitPayroll,
  ): Promise<Accepted> {
    return { ...(await this.entries.split(session, id, body)), warnings: [] };
  }

  @Post('payrolls/:id/difference')
  @HttpCode(200)
  @Answers(CheckDifference)
  difference(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AskDifference,
  ): Promise<CheckDifference> {
    return this.differences.view(session, id, body);
  }

  @Post('payrolls/:id/difference-payroll')
  @Answers(Accepted, 'one', 201)
  async payDifference(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PayDifference,
  ): Promise<Accepted> {
    return { ...(await this.differences.pay(session, id, body)), warnings: [] };
  }

  @Put('payrolls/:id')
  @Answers(PayrollView)
  save(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: SavePayroll,
  ): Promise<PayrollView> {
    return this.entries.save(session, id, body);
  }

  @Post('payrolls/:id/review')
  @HttpCode(200)
  @Answers(PayrollView)
  review(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ReviewPayroll,
  ): Promise<PayrollView> {
    return this.acts.review(session, id, body);
  }

  @Post('payrolls/:id/reopen')
  @HttpCode(200)
  @Answers(PayrollView)
  reopen(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<PayrollView> {
    return this.acts.reopen(session, id, body.version);
  }

  @Post('payrolls/:id/discard')
  @HttpCode(204)
  discard(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<void> {
    return this.entries.discard(session, id, body.version);
  }

  @Post('payrolls/:id/post')
  @HttpCode(200)
  @Answers(PayrollView)
  post(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PostPayroll,
  ): Promise<PayrollView> {
    return this.acts.post(session, id, body);
  }

  @Get('payrolls/:id/working/:employeeId')
  @Answers(WorkingView)
  working(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('employeeId', ParseUUIDPipe) employeeId: string,
    @Query('figure') figure: string,
  ): Promise<WorkingView> {
    return this.queries.working(session, id, employeeId, figure);
  }
}
