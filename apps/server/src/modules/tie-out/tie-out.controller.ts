import { Controller, Get, Inject, Param, ParseIntPipe, ParseUUIDPipe, Query } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { LedgerEntryView, TieOutView } from '@zakat/contract/filings';
import { Answers } from '../../http/answers.js';
import { refuseField } from '../../http/refusal.js';
import { CurrentSession } from '../identity/guard.js';
import type { Session } from '../identity/sessions.js';
import { TieOutService } from './tie-out.service.js';

function quarterFrom(text: string | undefined): 1 | 2 | 3 | 4 | null {
  if (text === undefined || text === '') return null;
  if (!/^[1-4]$/.test(text))
    throw refuseField('quarter', 'A quarter is 1, 2, 3 or 4.', 'Correct it, or leave it out for the year.');
  return Number(text) as 1 | 2 | 3 | 4;
}

@Controller('clients/:id')
export class TieOutController {
  constructor(@Inject(TieOutService) private readonly tieOut: TieOutService) {}

  @Get('tie-out')
  @ApiQuery({ name: 'quarter', required: false })
  @Answers(TieOutView)
  view(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('year', ParseIntPipe) year: number,
    @Query('quarter') quarter?: string,
  ): Promise<TieOutView> {
    return this.tieOut.view(session, id, { year, quarter: quarterFrom(quarter) });
  }

  @Get('ledger')
  @ApiQuery({ name: 'quarter', required: false })
  @ApiQuery({ name: 'of', required: false, enum: ['liabilities', 'payments'] })
  @Answers(LedgerEntryView, 'list')
  entries(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('year', ParseIntPipe) year: number,
    @Query('group') group: string,
    @Query('quarter') quarter?: string,
    @Query('of') of?: 'liabilities' | 'payments',
  ): Promise<LedgerEntryView[]> {
    return this.tieOut.entries(session, id, { year, quarter: quarterFrom(quarter) }, group, of ?? null);
  }
}
