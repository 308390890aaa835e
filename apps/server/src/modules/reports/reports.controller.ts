import { Controller, Get, Inject, Logger, Param, ParseUUIDPipe, Query, Res } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { ReportListing, ReportTotals, ReportView } from '@zakat/contract/reports';
import type { Response } from 'express';
import { Answers } from '../../http/answers.js';
import { dayFrom } from '../../http/day.js';
import { refuseField } from '../../http/refusal.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { ReportsService, type AskedReport } from './reports.service.js';

const ID = /^[0-9a-f-]{36}$/;
const MOST_PAGES = 1_000_000;

/** What is asked for in the address: days of checks, what to add up by, one person, a page. */
function askedOf(code: string, query: Readonly<Record<string, string | undefined>>): AskedReport {
  const { from = '', to = '', by = '', employee = '', page = '0', in: group = '', of = '' } = query;
  if (employee !== '' && !ID.test(employee))
    throw refuseField('employee', 'This is nobody.', 'Choose an employee of the client.');
  if (!/^\d{1,6}$/.test(page) || Number(page) > MOST_PAGES)
    throw refuseField('page', 'There is no such page.', 'Give the number of a page from 0 on.');
  return {
    code,
    from: dayFrom(from, 'from'),
    to: dayFrom(to, 'to'),
    by,
    employeeId: employee === '' ? null : employee,
    in: group,
    of,
    page: Number(page),
  };
}

@Controller()
export class ReportsController {
  private readonly log = new Logger('reports');

  constructor(@Inject(ReportsService) private readonly reports: ReportsService) {}

  @Get('reports')
  @Answers(ReportListing, 'list')
  list(): ReportListing[] {
    return this.reports.list();
  }

  @Get('clients/:id/reports/:code')
  @ApiQuery({ name: 'from' })
  @ApiQuery({ name: 'to' })
  @ApiQuery({ name: 'by', required: false })
  @ApiQuery({ name: 'employee', required: false })
  @ApiQuery({ name: 'in', required: false })
  @ApiQuery({ name: 'of', required: false })
  @ApiQuery({ name: 'page', required: false })
  @ApiQuery({ name: 'totals', required: false })
  @Answers(ReportView)
  view(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('code') code: string,
    @Query() query: Record<string, string>,
  ): Promise<ReportView> {
    return this.reports.view(session, id, askedOf(code, query), query['totals'] === 'no');
  }

  @Get('clients/:id/report-totals/:code')
  @ApiQuery({ name: 'from' })
  @ApiQuery({ name: 'to' })
  @ApiQuery({ name: 'by', required: false })
  @ApiQuery({ name: 'employee', required: false })
  @ApiQuery({ name: 'in', required: false })
  @ApiQuery({ name: 'of', required: false })
  @Answers(ReportTotals)
  totals(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('code') code: string,
    @Query() query: Record<string, string>,
  ): Promise<ReportTotals> {
    return this.reports.totals(session, id, askedOf(code, query));
  }

  @Get('clients/:id/report-files/:file')
  async file(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('file') file: string,
    @Query() query: Record<string, string>,
    @Res() response: Response,
  ) {
    const [, code, format] = /^([a-z-]{1,40})\.(csv|xlsx|pdf)$/.exec(file) ?? [];
    if (code === undefined || format === undefined)
      throw refuseField('file', 'A report is a file of CSV, XLSX or PDF.', 'Ask for .csv, .xlsx or .pdf.');
    const asked = askedOf(code, query);
    if (format !== 'pdf') {
      await this.reports.table(session, id, asked, format as 'csv', response).catch((error: unknown) => {
        // Half of it was sent: the connection is cut, and nobody takes it for the whole.
        if (!response.headersSent) throw error;
        this.log.warn(`a report was cut off while it was sent: ${error instanceof Error ? error.message : ''}`);
      });
      return;
    }
    const made = await this.reports.pdf(session, id, asked);
    response
      .type('application/pdf')
      .setHeader('Content-Disposition', `inline; filename="${made.name}"`)
      .setHeader('Cache-Control', 'no-store')
      .send(made.content);
  }
}
