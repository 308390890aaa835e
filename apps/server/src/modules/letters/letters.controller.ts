import { Controller, Get, Inject, Param, ParseUUIDPipe, Query, Res } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import type { Response } from 'express';
import { dayFrom } from '../../http/day.js';
import { notFound } from '../../http/refusal.js';
import { sendPdf } from '../../http/send-pdf.js';
import { CurrentSession, OpenToContacts, type Session } from '../identity/index.js';
import { PaymentInstructions } from './payment-instructions.js';
import { ReturnedPayment } from './returned-payment.js';
import { TaxStatement } from './tax-statement.js';

/** Letters of the firm to a client, as PDF. */
@Controller()
export class LettersController {
  constructor(
    @Inject(TaxStatement) private readonly statement: TaxStatement,
    @Inject(PaymentInstructions) private readonly instructions: PaymentInstructions,
    @Inject(ReturnedPayment) private readonly returned: ReturnedPayment,
  ) {}

  @Get('clients/:id/tax-statement.pdf')
  @ApiQuery({ name: 'from' })
  @ApiQuery({ name: 'to' })
  async taxes(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('from') from = '',
    @Query('to') to = '',
    @Res() response: Response,
  ): Promise<void> {
    const { name, content } = await this.statement.letter(session, id, dayFrom(from, 'from'), dayFrom(to, 'to'));
    sendPdf(response, name, content);
  }

  @Get('own-client/tax-statement.pdf')
  @OpenToContacts()
  @ApiQuery({ name: 'from' })
  @ApiQuery({ name: 'to' })
  async ownTaxes(
    @CurrentSession() session: Session,
    @Query('from') from = '',
    @Query('to') to = '',
    @Res() response: Response,
  ): Promise<void> {
    if (session.clientId === null) throw notFound('client of your own');
    const days = [dayFrom(from, 'from'), dayFrom(to, 'to')] as const;
    const { name, content } = await this.statement.letter(session, session.clientId, ...days);
    sendPdf(response, name, content);
  }

  @Get('remittances/:id/instructions.pdf')
  async pay(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Res() response: Response,
  ): Promise<void> {
    const { name, content } = await this.instructions.letter(session, id);
    sendPdf(response, name, content);
  }

  @Get('remittances/:id/returned.pdf')
  async cameBack(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Res() response: Response,
  ): Promise<void> {
    const { name, content } = await this.returned.letter(session, id);
    sendPdf(response, name, content);
  }

  /** The same letter for somebody of the client, whose rows alone the transaction shows. */
  @Get('own-client/remittances/:id/returned.pdf')
  @OpenToContacts()
  async ownCameBack(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Res() response: Response,
  ): Promise<void> {
    const { name, content } = await this.returned.letter(session, id);
    sendPdf(response, name, content);
  }
}
