import { Inject, Injectable } from '@nestjs/common';
import {
  REPORT_GROUPS,
  type ReportGroup,
  type ReportListing,
  type ReportTotals,
  type ReportView,
} from '@zakat/contract/reports';
import { date, showShortDate } from '@zakat/core/calendar/local-date';
import { showLeaveHours } from '@zakat/core/leave/accrual';
import { cents, toDollars } from '@zakat/core/money/cents';
import type { Response } from 'express';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { notFound, refuseField } from '../../http/refusal.js';
import { findClient, type Client } from '../clients/index.js';
import { streamTable, type TableFormat } from '../tables/index.js';
import {
  GROUP_LABELS,
  PAGE,
  openReport,
  readPage,
  readTotals,
  type KindColumn,
  type PageOfRows,
  type ReportScope,
} from './report-kind.js';
import { REPORT_KINDS, findReport } from './report-kinds.js';
import { reportPdf } from './report-pdf.js';

export interface AskedReport {
  readonly code: string;
  readonly from: string;
  readonly to: string;
  readonly by: string;
  readonly employeeId: string | null;
  /** A group and one of its values: only what that row is made of. Both blank: everything. */
  readonly in: string;
  readonly of: string;
  readonly page: number;
}
/** A sheet of a workbook has 1,048,576 rows. */
const MOST_IN_TABLE = 1_000_000;
/** A PDF is laid out whole. */
const MOST_IN_PDF = 100_000;

/** Reports over posted checks: each one statement, on the screen by pages, whole as a file. */
@Injectable()
export class ReportsService {
  constructor(@Inject(FirmDatabase) private readonly database: FirmDatabase) {}

  list(): ReportListing[] {
    return REPORT_KINDS.map(({ code, label, says, groups }) => ({ code, label, says, groups: [...groups] }));
  }

  /** A page; the totals with it unless only the page is asked for. */
  view(actor: Actor, clientId: string, asked: AskedReport, isPageOnly: boolean): Promise<ReportView> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const { kind, by, scope } = scopeOf(clientId, asked);
      const page = await readPage(manager, kind, scope, { by, offset: asked.page * PAGE, limit: PAGE });
      const whole = isPageOnly ? null : await readTotals(manager, kind, scope, by);
      return {
        code: kind.code,
        label: kind.label,
        from: asked.from,
        to: asked.to,
        by: asked.by,
        columns: page.columns.map(({ key, label, cell }) => ({ key, label, cell })),
        rows: page.rows.map(({ cells, path }) => ({ cells: { ...cells }, path })),
        totals: whole && { ...whole.totals },
        count: whole && whole.count,
        page: asked.page,
        hasMore: page.hasMore,
      };
    });
  }

  totals(actor: Actor, clientId: string, asked: AskedReport): Promise<ReportTotals> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const { kind, by, scope } = scopeOf(clientId, asked);
      const { totals, count } = await readTotals(manager, kind, scope, by);
      return { totals: { ...totals }, count };
    });
  }

  /** The whole report as a table, sent while it is read: however long it is, a part of it is in memory. */
  table(actor: Actor, clientId: string, asked: AskedReport, format: TableFormat, response: Response): Promise<void> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const { kind, by, scope } = scopeOf(clientId, asked);
      const report = await openReport(manager, kind, scope, by);
      if (report.count > MOST_IN_TABLE)
        throw refuseField(
          'to',
          `The report has ${report.count} rows; a table takes ${MOST_IN_TABLE}.`,
          'Ask for a shorter span of days, or add it up by something.',
        );
      const { columns } = report;
      async function* rows(): AsyncGenerator<readonly (readonly string[])[]> {
        for await (const part of report.parts())
          yield part.map((cells) => columns.map((column) => shown(column, cells[column.key], 'plain')));
        yield [totalRow(report, 'plain')];
      }
      await streamTable(response, format, {
        name: nameOf(client, asked, format),
        columns: columns.map(({ label, cell }) => ({ label, isNumber: cell === 'amount' || cell === 'hours' })),
        rows: rows(),
      });
    });
  }

  /** The whole report as a PDF; the totals in its last row. */
  pdf(actor: Actor, clientId: string, asked: AskedReport): Promise<{ name: string; content: Buffer }> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const { kind, by, scope } = scopeOf(clientId, asked);
      const whole = await readTotals(manager, kind, scope, by);
      if (whole.count > MOST_IN_PDF)
        throw refuseField(
          'to',
          `The report has ${whole.count} rows; a PDF takes ${MOST_IN_PDF}.`,
          'Ask for a shorter span of days, add it up by something, or take it as CSV or XLSX.',
        );
      const page = { ...(await readPage(manager, kind, scope, { by, offset: 0, limit: MOST_IN_PDF })), ...whole };
      const content = await reportPdf({
        title: kind.label,
        client: client.legalName,
        span: `Checks of ${showShortDate(date(asked.from))} to ${showShortDate(date(asked.to))}`,
        columns: page.columns,
        table: tableOf(page, 'shown'),
      });
      return { name: nameOf(client, asked, 'pdf'), content };
    });
  }
}

/** What is read for what was asked; throws the refusal of what cannot be. */
function scopeOf(clientId: string, asked: AskedReport) {
  const kind = kindOf(asked);
  if (asked.to < asked.from) throw refuseField('to', 'The last day is before the first.', 'Put the days in order.');
  const by = groupOf(asked.by, 'by');
  if (by !== null && !kind.groups.includes(by))
    throw refuseField('by', `This report is not added up by ${GROUP_LABELS[by].toLowerCase()}.`, 'Choose another.');
  const within = groupOf(asked.in, 'in');
  if (within !== null && !kind.groups.includes(within))
    throw refuseField('in', `This report is not added up by ${GROUP_LABELS[within].toLowerCase()}.`, 'Choose another.');
  const scope: ReportScope = {
    clientId,
    from: asked.from,
    to: asked.to,
    employeeId: asked.employeeId,
    within: within === null ? null : { by: within, value: asked.of },
  };
  return { kind, by, scope };
}
const nameOf = ({ key }: Client, { code, from, to }: AskedReport, format: string): string =>
  `${key.toLowerCase()}-${code}-${from}-${to}.${format}`;

function kindOf({ code }: AskedReport) {
  const kind = findReport(code);
  if (!kind) throw notFound('report');
  return kind;
}
function groupOf(by: string, field: string): ReportGroup | null {
  if (by === '') return null;
  const group = REPORT_GROUPS.find((one) => one === by);
  if (!group)
    throw refuseField(field, 'A report is not added up by this.', `Choose one of ${REPORT_GROUPS.join(', ')}.`);
  return group;
}

/** A cell as text: amounts with two decimals, in files without separators. */
function shown(column: KindColumn, value: string | number | null | undefined, style: 'plain' | 'shown'): string {
  if (value === null || value === undefined) return '';
  if (column.cell === 'amount') {
    const plain = toDollars(cents(Number(value)));
    return style === 'plain' ? plain : plain.replace(/\B(?=(\d{3})+(?!\d)(?=\.))/g, ',');
  }
  if (column.cell === 'hours') return showLeaveHours(Number(value));
  if (column.cell === 'day') return showShortDate(date(String(value)));
  return String(value);
}

const tableOf = (page: PageOfRows, style: 'plain' | 'shown'): string[][] => [
  page.columns.map(({ label }) => label),
  ...page.rows.map(({ cells }) => page.columns.map((column) => shown(column, cells[column.key], style))),
  totalRow(page, style),
];
const totalRow = ({ columns, totals }: Pick<PageOfRows, 'columns' | 'totals'>, style: 'plain' | 'shown'): string[] =>
  columns.map((column, index) =>
    index === 0 ? 'Total' : column.isSummed ? shown(column, totals[column.key], style) : '',
  );
