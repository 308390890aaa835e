import {
  Body,
  Controller,
  Get,
  Header,
  HttpCode,
  Inject,
  Param,
  ParseIntPipe,
  ParseUUIDPipe,
  Post,
  Put,
  Query,
  StreamableFile,
} from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { Accepted } from '@zakat/contract/clients';
import {
  AnswerQuestions,
  CorrectionDue,
  CreateFiling,
  EnterAmounts,
  FilingRow,
  FilingView,
  EfileDuty,
  FormOwed,
  HandedOver,
  SignFiling,
  TakeInWageFile,
  TypeFiledStatements,
  TakenInWageFile,
  TypeBoxes,
  TypedBoxes,
  W2Copies,
  W2Page,
} from '@zakat/contract/filings';
import { DoneOfMany } from '@zakat/contract/due-deposits';
import { AtVersion } from '@zakat/contract/payrolls';
import { DepositView, ReleaseSlip } from '@zakat/contract/remittances';
import { ClearMark, MakeMark, WorkingPapersView } from '@zakat/contract/working-papers';
import { Answers } from '../../http/answers.js';
import { wholeFrom } from '../../http/whole.js';
import { ParseYearPipe } from '../../http/year-pipe.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { CorrectionsService } from './corrections.service.js';
import { FiledByOthers } from './filed-by-others.service.js';
import { FilingQueries } from './filing-queries.service.js';
import { FilingDrafts } from './filing-drafts.service.js';
import { FilingActs } from './filing-acts.service.js';
import { FilingRelease } from './filing-release.service.js';
import { FilingPapers } from './filing-papers.service.js';
import { HandOver } from './hand-over.js';
import { ReturnPayments } from './return-payments.js';
import { WageStatements } from './wage-statements.service.js';
import { WorkingPapers } from './working-papers.service.js';

@Controller()
export class FilingsController {
  constructor(
    @Inject(WorkingPapers) private readonly papersOfWork: WorkingPapers,
    @Inject(FilingQueries) private readonly queries: FilingQueries,
    @Inject(FilingDrafts) private readonly drafts: FilingDrafts,
    @Inject(FilingActs) private readonly acts: FilingActs,
    @Inject(FilingRelease) private readonly releases: FilingRelease,
    @Inject(FilingPapers) private readonly papers: FilingPapers,
    @Inject(CorrectionsService) private readonly corrections: CorrectionsService,
    @Inject(WageStatements) private readonly statements: WageStatements,
    @Inject(FiledByOthers) private readonly byOthers: FiledByOthers,
    @Inject(ReturnPayments) private readonly beside: ReturnPayments,
    @Inject(HandOver) private readonly handOver: HandOver,
  ) {}

  @Get('clients/:id/filings')
  @Answers(FilingRow, 'list')
  list(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<FilingRow[]> {
    return this.queries.list(session, id);
  }

  @Get('clients/:id/forms')
  @Answers(FormOwed, 'list')
  owed(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('year', ParseYearPipe) year: number,
  ): Promise<FormOwed[]> {
    return this.queries.owed(session, id, year);
  }

  @Get('clients/:id/efile-duty')
  @Answers(EfileDuty)
  duty(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('year', ParseYearPipe) year: number,
  ): Promise<EfileDuty> {
    return this.queries.duty(session, id, year);
  }

  @Get('clients/:id/corrections')
  @Answers(CorrectionDue, 'list')
  toCorrect(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<CorrectionDue[]> {
    return this.corrections.view(session, id);
  }

  @Post('clients/:id/corrections')
  @HttpCode(200)
  @Answers(DoneOfMany, 'list')
  beginCorrections(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<DoneOfMany[]> {
    return this.corrections.begin(session, id);
  }

  @Post('clients/:id/filings')
  @Answers(Accepted, 'one', 201)
  async create(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: CreateFiling,
  ): Promise<Accepted> {
    return { ...(await this.drafts.create(session, id, body)), warnings: [] };
  }

  @Get('filings/:id/working-papers')
  @Answers(WorkingPapersView)
  workingPapers(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
  ): Promise<WorkingPapersView> {
    return this.papersOfWork.view(session, id);
  }

  @Post('filings/:id/marks')
  @HttpCode(200)
  @Answers(WorkingPapersView)
  mark(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: MakeMark,
  ): Promise<WorkingPapersView> {
    return this.papersOfWork.mark(session, id, body);
  }

  @Post('marks/:id/clear')
  @HttpCode(200)
  @Answers(WorkingPapersView)
  clearMark(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ClearMark,
  ): Promise<WorkingPapersView> {
    return this.papersOfWork.clear(session, id, body);
  }

  @Get('filings/:id')
  @Answers(FilingView)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<FilingView> {
    return this.queries.view(session, id);
  }

  @Get('filings/:id/slip')
  @Answers(ReleaseSlip)
  slip(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ReleaseSlip> {
    return this.queries.slip(session, id);
  }

  @Put('filings/:id/entered')
  @Answers(FilingView)
  enter(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: EnterAmounts,
  ): Promise<FilingView> {
    return this.drafts.enter(session, id, body);
  }

  @Put('filings/:id/answers')
  @Answers(FilingView)
  answer(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AnswerQuestions,
  ): Promise<FilingView> {
    return this.drafts.answer(session, id, body);
  }

  @Post('filings/:id/check')
  @HttpCode(200)
  @Answers(FilingView)
  check(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<FilingView> {
    return this.acts.check(session, id, body.version);
  }

  @Post('filings/:id/reopen')
  @HttpCode(200)
  @Answers(FilingView)
  reopen(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<FilingView> {
    return this.acts.reopen(session, id, body.version);
  }

  @Post('filings/:id/discard')
  @HttpCode(204)
  discard(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<void> {
    return this.drafts.discard(session, id, body.version);
  }

  @Post('filings/:id/sign')
  @HttpCode(200)
  @Answers(FilingView)
  sign(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: SignFiling,
  ): Promise<FilingView> {
    return this.acts.sign(session, id, body);
  }

  @Post('filings/:id/release')
  @HttpCode(200)
  @Answers(FilingView)
  release(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<FilingView> {
    return this.releases.release(session, id, body.version);
  }

  @Post('filings/:id/hand-over')
  @HttpCode(200)
  @Answers(FilingView)
  hand(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: HandedOver,
  ): Promise<FilingView> {
    return this.handOver.record(session, id, body);
  }

  @Get('filings/:id/paper')
  @Header('Cache-Control', 'no-store')
  async paper(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<StreamableFile> {
    const { content, mediaType, name } = await this.papers.returnPdf(session, id);
    return new StreamableFile(content, { type: mediaType, disposition: `inline; filename="${name}"` });
  }

  @Get('clients/:id/reporting-agent.pdf')
  @Header('Cache-Control', 'no-store')
  async agent(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<StreamableFile> {
    const { content, mediaType, name } = await this.papers.agentPdf(session, id);
    return new StreamableFile(content, { type: mediaType, disposition: `inline; filename="${name}"` });
  }

  @Get('filings/:id/authorization')
  @Header('Cache-Control', 'no-store')
  async authorization(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
  ): Promise<StreamableFile> {
    const { content, mediaType, name } = await this.papers.authorizationPdf(session, id);
    return new StreamableFile(content, { type: mediaType, disposition: `inline; filename="${name}"` });
  }

  @Post('clients/:id/filed-wage-files')
  @Answers(TakenInWageFile, 'one', 201)
  takeIn(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: TakeInWageFile,
  ): Promise<TakenInWageFile> {
    return this.byOthers.takeIn(session, id, body);
  }

  @Post('clients/:id/filed-statements')
  @Answers(TakenInWageFile, 'one', 201)
  typeFiled(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: TypeFiledStatements,
  ): Promise<TakenInWageFile> {
    return this.byOthers.typeFiled(session, id, body);
  }

  @Get('filings/:id/boxes/:employeeId')
  @Answers(TypedBoxes)
  boxes(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('employeeId', ParseUUIDPipe) employeeId: string,
  ): Promise<TypedBoxes> {
    return this.byOthers.boxes(session, id, employeeId);
  }

  @Put('filings/:id/boxes/:employeeId')
  @Answers(FilingView)
  typeBoxes(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('employeeId', ParseUUIDPipe) employeeId: string,
    @Body() body: TypeBoxes,
  ): Promise<FilingView> {
    return this.byOthers.type(session, id, employeeId, body);
  }

  @Get('filings/:id/payments')
  @Answers(DepositView, 'list')
  payments(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<DepositView[]> {
    return this.beside.of(session, id);
  }

  @Get('filings/:id/w2')
  @ApiQuery({ name: 'find', required: false })
  @ApiQuery({ name: 'from', required: false })
  @ApiQuery({ name: 'count', required: false })
  @Answers(W2Page)
  w2s(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('find') find?: string,
    @Query('from') from?: string,
    @Query('count') count?: string,
  ): Promise<W2Page> {
    return this.statements.page(session, id, {
      find: find ?? '',
      from: wholeFrom(from, 'from', 0),
      count: wholeFrom(count, 'count', 200),
    });
  }

  @Get('filings/:id/w2-copies')
  @Answers(W2Copies)
  copies(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<W2Copies> {
    return this.statements.copies(session, id);
  }

  @Post('filings/:id/w2-copies')
  @HttpCode(200)
  @Answers(W2Copies)
  makeCopies(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<W2Copies> {
    return this.statements.makeCopies(session, id);
  }

  @Get('filings/:id/w2-copies/:part')
  @Header('Cache-Control', 'no-store')
  async copiesPart(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('part', ParseIntPipe) part: number,
  ): Promise<StreamableFile> {
    const { content, mediaType, name } = await this.statements.part(session, id, part);
    return new StreamableFile(content, { type: mediaType, disposition: `inline; filename="${name}"` });
  }

  @Get('filings/:id/w2/:employeeId')
  @Header('Cache-Control', 'no-store')
  async w2(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('employeeId', ParseUUIDPipe) employeeId: string,
  ): Promise<StreamableFile> {
    const { content, mediaType, name } = await this.statements.pdf(session, id, employeeId);
    return new StreamableFile(content, { type: mediaType, disposition: `inline; filename="${name}"` });
  }

  @Get('filings/:id/w2c/:employeeId')
  @Header('Cache-Control', 'no-store')
  async w2c(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('employeeId', ParseUUIDPipe) employeeId: string,
  ): Promise<StreamableFile> {
    const { content, mediaType, name } = await this.papers.w2cPdf(session, id, employeeId);
    return new StreamableFile(content, { type: mediaType, disposition: `inline; filename="${name}"` });
  }

  @Get('filings/:id/file')
  @Header('Cache-Control', 'no-store')
  async file(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<StreamableFile> {
    const { content, mediaType, name } = await this.papers.file(session, id);
    return new StreamableFile(content, { type: mediaType, disposition: `attachment; filename="${name}"` });
  }
}
