import { Choice, Day, Flag, Json, List, Text, Texts, Whole } from './field.js';

/** How a column is shown: cents, ten-thousandths of an hour, a whole number, a day or words. */
export const REPORT_CELLS = ['text', 'day', 'amount', 'hours', 'count'] as const;
export type ReportCell = (typeof REPORT_CELLS)[number];
/** What the rows of a report may be added up by. */
export const REPORT_GROUPS = [
  'employee',
  'department',
  'location',
  'cost-center',
  'payroll',
  'month',
  'quarter',
] as const;
export type ReportGroup = (typeof REPORT_GROUPS)[number];

export class ReportColumn {
  @Text() key!: string;
  @Text() label!: string;
  @Choice(REPORT_CELLS) cell!: ReportCell;
}
export class ReportRow {
  /** A cell for each column: text, or a whole number in the unit of the column. */
  @Json() cells!: Record<string, string | number | null>;
  /** Where the row opens; blank where it stands for many. */
  @Text(200) path!: string;
}
export class ReportListing {
  @Text() code!: string;
  @Text() label!: string;
  @Text(300) says!: string;
  @Texts() groups!: string[];
}
export class ReportView {
  @Text() code!: string;
  @Text() label!: string;
  @Day() from!: string;
  @Day() to!: string;
  @Text() by!: string;
  @List(() => ReportColumn) columns!: ReportColumn[];
  @List(() => ReportRow) rows!: ReportRow[];
  /** Of the whole report, not of the page; null where the page alone was asked for. */
  @Json({ nullable: true }) totals!: Record<string, string | number | null> | null;
  @Whole({ nullable: true }) count!: number | null;
  @Whole() page!: number;
  @Flag() hasMore!: boolean;
}
/** What a report comes to: asked for beside its pages, since adding up takes longer than reading a page. */
export class ReportTotals {
  @Json() totals!: Record<string, string | number | null>;
  @Whole() count!: number;
}
