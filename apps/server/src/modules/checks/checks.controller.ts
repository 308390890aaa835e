import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Inject,
  Param,
  ParseUUIDPipe,
  Post,
  Put,
  Query,
  Res,
} from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import {
  CHECK_STATUSES,
  CheckPrinter,
  CheckRow,
  EndCheck,
  PayrollChecks,
  PrintChecks,
  RecordCheck,
  ReadBankStatement,
  RunOutcome,
  MicrTest,
  NextCheckNumber,
  MicrTypefaceView,
  SaveMicrTypeface,
  SaveCheckPrinter,
  SaveSignature,
  SpoilStock,
  StatementView,
} from '@zakat/contract/checks';
import type { Response } from 'express';
import { Accepted } from '@zakat/contract/clients';
import { PrintAgencyCheck } from '@zakat/contract/remittances';
import { Answers } from '../../http/answers.js';
import { dayFrom } from '../../http/day.js';
import { refuseField } from '../../http/refusal.js';
import { sendPdf } from '../../http/send-pdf.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { sendTable } from '../tables/index.js';
import { BankStatements } from './bank-statements.service.js';
import { CHECK_LAYOUTS } from './check-page.js';
import { CheckPrinters } from './check-printers.service.js';
import { CheckPrinting } from './check-printing.service.js';
import { CheckRegister } from './check-register.service.js';
import { CheckSamples } from './check-samples.js';
import { CheckSignatures } from './check-signatures.js';
import { AgencyChecks } from './agency-checks.service.js';
import { MicrTypefaces } from './micr-typefaces.service.js';

const given = (text: string | undefined): string | undefined => (text === undefined || text === '' ? undefined : text);

@Controller()
export class ChecksController {
  constructor(
    @Inject(CheckSamples) private readonly samples: CheckSamples,
    @Inject(CheckPrinting) private readonly printing: CheckPrinting,
    @Inject(CheckRegister) private readonly register: CheckRegister,
    @Inject(BankStatements) private readonly statements: BankStatements,
    @Inject(CheckSignatures) private readonly signatures: CheckSignatures,
    @Inject(MicrTypefaces) private readonly typefaces: MicrTypefaces,
    @Inject(AgencyChecks) private readonly agencyChecks: AgencyChecks,
    @Inject(CheckPrinters) private readonly printers: CheckPrinters,
  ) {}

  @Put('bank-accounts/:id/signature')
  @HttpCode(204)
  saveSignature(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: SaveSignature,
  ): Promise<void> {
    return this.signatures.save(session, id, body);
  }

  @Delete('bank-accounts/:id/signature')
  @HttpCode(204)
  removeSignature(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.signatures.remove(session, id);
  }

  @Post('remittances/:id/check')
  @Answers(Accepted, 'one', 201)
  async printAgencyCheck(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PrintAgencyCheck,
  ): Promise<Accepted> {
    return { ...(await this.agencyChecks.print(session, id, body)), warnings: [] };
  }

  @Get('clients/:id/next-check-numbers')
  @Answers(NextCheckNumber, 'list')
  nextNumbers(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<NextCheckNumber[]> {
    return this.printing.nextNumbers(session, id);
  }

  @Get('check-printers')
  @Answers(CheckPrinter, 'list')
  printerList(@CurrentSession() session: Session): Promise<CheckPrinter[]> {
    return this.printers.list(session);
  }

  @Post('check-printers')
  @Answers(CheckPrinter, 'list', 201)
  addPrinter(@CurrentSession() session: Session, @Body() body: SaveCheckPrinter): Promise<CheckPrinter[]> {
    return this.printers.save(session, null, body);
  }

  @Put('check-printers/:id')
  @Answers(CheckPrinter, 'list')
  savePrinter(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: SaveCheckPrinter,
  ): Promise<CheckPrinter[]> {
    return this.printers.save(session, id, body);
  }

  @Delete('check-printers/:id')
  @Answers(CheckPrinter, 'list')
  removePrinter(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<CheckPrinter[]> {
    return this.printers.remove(session, id);
  }

  @Get('micr-typeface')
  @Answers(MicrTypefaceView)
  typeface(@CurrentSession() session: Session): Promise<MicrTypefaceView> {
    return this.typefaces.view(session);
  }

  @Put('micr-typeface')
  @Answers(MicrTypefaceView)
  saveTypeface(@CurrentSession() session: Session, @Body() body: SaveMicrTypeface): Promise<MicrTypefaceView> {
    return this.typefaces.save(session, body);
  }

  @Delete('micr-typeface')
  @Answers(MicrTypefaceView)
  removeTypeface(@CurrentSession() session: Session): Promise<MicrTypefaceView> {
    return this.typefaces.remove(session);
  }

  @Put('bank-accounts/:id/micr-test')
  @HttpCode(204)
  micrTest(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: MicrTest,
  ): Promise<void> {
    return this.typefaces.tested(session, id, body.testedOn);
  }

  @Post('clients/:id/bank-statements')
  @HttpCode(200)
  @Answers(StatementView)
  statement(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ReadBankStatement,
  ): Promise<StatementView> {
    return this.statements.read(session, id, body);
  }

  @Get('clients/:id/positive-pay.csv')
  @ApiQuery({ name: 'from' })
  @ApiQuery({ name: 'to' })
  async positivePay(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Res() response: Response,
    @Query('from') from = '',
    @Query('to') to = '',
  ) {
    sendTable(
      response,
      'csv',
      await this.statements.positivePay(session, id, dayFrom(from, 'from'), dayFrom(to, 'to')),
    );
  }

  @Get('clients/:id/check-sample.pdf')
  @ApiQuery({ name: 'layout', enum: CHECK_LAYOUTS })
  @ApiQuery({ name: 'printer', required: false })
  async sample(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('layout') asked: string,
    @Query('printer') printer: string | undefined,
    @Res() response: Response,
  ) {
    const layout = CHECK_LAYOUTS.find((one) => one === asked);
    if (!layout)
      throw refuseField(
        'layout',
        'A check stands at the top, in the middle or at the bottom.',
        'Ask for top, middle or bottom.',
      );
    sendPdf(response, `check-sample-${layout}.pdf`, await this.samples.draw(session, id, layout, given(printer)));
  }

  @Get('payrolls/:id/checks')
  @Answers(PayrollChecks)
  ofPayroll(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<PayrollChecks> {
    return this.printing.ofPayroll(session, id);
  }

  @Post('payrolls/:id/checks')
  @HttpCode(200)
  @Answers(PayrollChecks)
  print(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PrintChecks,
  ): Promise<PayrollChecks> {
    return this.printing.print(session, id, body);
  }

  @Post('payrolls/:id/handwritten-checks')
  @HttpCode(200)
  @Answers(PayrollChecks)
  handwritten(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: RecordCheck,
  ): Promise<PayrollChecks> {
    return this.printing.recordHandwritten(session, id, body);
  }

  @Get('payrolls/:id/statements.pdf')
  async payStatements(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Res() response: Response,
  ) {
    sendPdf(response, 'pay-statements.pdf', await this.printing.statements(session, id));
  }

  @Get('check-runs/:file')
  async run(@CurrentSession() session: Session, @Param('file') file: string, @Res() response: Response) {
    const id = /^([0-9a-f-]{36})\.pdf$/.exec(file)?.[1];
    if (!id) throw refuseField('file', 'This is no print run.', 'Open it from its payroll.');
    const { name, content } = await this.register.run(session, id);
    sendPdf(response, name, content);
  }

  @Post('check-runs/:id/outcome')
  @HttpCode(200)
  @Answers(CheckRow, 'list')
  outcome(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: RunOutcome,
  ): Promise<CheckRow[]> {
    return this.register.outcome(session, id, body.spoiled);
  }

  @Get('clients/:id/checks')
  @ApiQuery({ name: 'words', required: false })
  @ApiQuery({ name: 'status', required: false, enum: CHECK_STATUSES })
  @ApiQuery({ name: 'from', required: false })
  @ApiQuery({ name: 'to', required: false })
  @Answers(CheckRow, 'list')
  list(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('words') words?: string,
    @Query('status') status?: string,
    @Query('from') from?: string,
    @Query('to') to?: string,
  ): Promise<CheckRow[]> {
    const [asked, first, last] = [given(words), given(from), given(to)];
    return this.register.list(session, id, {
      ...(asked === undefined ? {} : { words: asked }),
      ...(given(status) === undefined ? {} : { status: given(status) ?? '' }),
      ...(first === undefined ? {} : { from: dayFrom(first, 'from') }),
      ...(last === undefined ? {} : { to: dayFrom(last, 'to') }),
    });
  }

  @Post('clients/:id/spoiled-stock')
  @HttpCode(200)
  @Answers(CheckRow, 'list')
  spoil(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: SpoilStock,
  ): Promise<CheckRow[]> {
    return this.register.spoil(session, id, body);
  }

  @Post('checks/:id/end')
  @HttpCode(200)
  @Answers(CheckRow)
  end(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: EndCheck,
  ): Promise<CheckRow> {
    return this.register.end(session, id, body);
  }

  @Get('checks/:id/image.pdf')
  async reprint(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string, @Res() response: Response) {
    const { name, content } = await this.register.reprint(session, id);
    sendPdf(response, name, content);
  }
}
