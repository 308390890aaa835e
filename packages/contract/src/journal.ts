import { Amount, Choice, Day, Flag, Id, List, Text, Texts, Whole } from './field.js';

export const JOURNAL_UNITS = ['entry', 'month'] as const;
export type JournalUnit = (typeof JOURNAL_UNITS)[number];

export class BookLineView {
  @Text() account!: string;
  @Flag() isMapped!: boolean;
  @Text() department!: string;
  @Text() detail!: string;
  @Amount() amount!: number;
}
export class BookEntryView {
  @Text() key!: string;
  @Day() day!: string;
  @Text() memo!: string;
  @Text(200) path!: string;
  /** The number of the export that took it; null while it waits. */
  @Whole({ nullable: true }) exportNumber!: number | null;
  @List(() => BookLineView) lines!: BookLineView[];
}
export class JournalExportRow {
  @Id() id!: string;
  @Whole() number!: number;
  @Day() upTo!: string;
  @Text() unit!: string;
  @Whole() entries!: number;
  @Text() by!: string;
  @Text() at!: string;
}
export class JournalView {
  @List(() => BookEntryView) entries!: BookEntryView[];
  /** What is booked to an account that the client has not said. */
  @Texts() unmapped!: string[];
  @List(() => JournalExportRow) exports!: JournalExportRow[];
  /** Entries that no export has taken, and the day of the last of them. */
  @Whole() waiting!: number;
  @Day({ nullable: true }) lastWaiting!: string | null;
}
export class ExportJournal {
  @Day() upTo!: string;
  @Choice(JOURNAL_UNITS) unit!: JournalUnit;
}
