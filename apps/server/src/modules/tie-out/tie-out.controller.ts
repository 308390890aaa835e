import { Controller, Get, Inject, Param, ParseUUIDPipe, Query } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { LedgerEntryView, TieOutView } from '@zakat/contract/filings';
import { Answers } from '../../http/answers.js';
import { quarterFrom } from '../../http/period.js';
import { ParseYearPipe } from '../../http/year-pipe.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { TieOutService } from './tie-out.service.js';

@Controller('clients/:id')
export class TieOutController {
  constructor(@Inject(TieOutService) private readonly tieOut: TieOutService) {}

  @Get('tie-out')
  @ApiQuery({ name: 'quarter', required: false })
  @Answers(TieOutView)
  view(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('year', ParseYearPipe) year: number,
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
    @Query('year', ParseYearPipe) year: number,
    @Query('group') group: string,
    @Query('quarter') quarter?: string,
    @Query('of') of?: 'liabilities' | 'payments',
  ): Promise<LedgerEntryView[]> {
    return this.tieOut.entries(session, id, { year, quarter: quarterFrom(quarter) }, group, of ?? null);
  }
}
