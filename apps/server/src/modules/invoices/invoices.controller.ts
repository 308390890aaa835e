import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Query, Res } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { DoneOfMany } from '@zakat/contract/due-deposits';
import { InvoicePaid, InvoiceReason, InvoicesOfMonth, InvoiceView, IssueInvoices } from '@zakat/contract/invoices';
import type { Response } from 'express';
import { Answers } from '../../http/answers.js';
import { sendPdf } from '../../http/send-pdf.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { InvoicesService } from './invoices.service.js';

@Controller('invoices')
export class InvoicesController {
  constructor(@Inject(InvoicesService) private readonly invoices: InvoicesService) {}

  @Get()
  @ApiQuery({ name: 'month' })
  @Answers(InvoicesOfMonth)
  month(@CurrentSession() session: Session, @Query('month') month = ''): Promise<InvoicesOfMonth> {
    return this.invoices.month(session, month);
  }

  @Post()
  @HttpCode(200)
  @Answers(DoneOfMany, 'list')
  issue(@CurrentSession() session: Session, @Body() { month, clientIds }: IssueInvoices): Promise<DoneOfMany[]> {
    return this.invoices.issue(session, month, clientIds);
  }

  @Get(':id/invoice.pdf')
  async pdf(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Res() response: Response,
  ): Promise<void> {
    const { name, content } = await this.invoices.pdf(session, id);
    sendPdf(response, name, content);
  }

  @Post(':id/pay')
  @HttpCode(200)
  @Answers(InvoiceView)
  pay(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: InvoicePaid,
  ): Promise<InvoiceView> {
    return this.invoices.pay(session, id, body);
  }

  @Post(':id/unpay')
  @HttpCode(200)
  @Answers(InvoiceView)
  unpay(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: InvoiceReason,
  ): Promise<InvoiceView> {
    return this.invoices.unpay(session, id, body);
  }

  @Post(':id/void')
  @HttpCode(200)
  @Answers(InvoiceView)
  void(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: InvoiceReason,
  ): Promise<InvoiceView> {
    return this.invoices.void(session, id, body);
  }
}
