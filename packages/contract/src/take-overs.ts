import { Amount, Choice, Day, Flag, Id, List, Text, Texts, Whole } from './field.js';
import { PeopleColumnView } from './people.js';
import { ProblemDetail } from './problem.js';

export const TAKE_OVER_STATUSES = ['open', 'accepted', 'taken back', 'discarded'] as const;
export type TakeOverStatus = (typeof TAKE_OVER_STATUSES)[number];

export class CreateTakeOver {
  @Whole({ min: 2000, max: 2199 }) year!: number;
}
/** A file of balances as the browser read it: bytes in base64. */
export class UploadBalances {
  @Whole({ min: 1 }) version!: number;
  @Text(120, { min: 1 }) fileName!: string;
  @Text(8_000_000, { min: 1 }) content!: string;
}
/** What the former provider filed or deposited for a quarter; blank (null) where it did not. */
export class ReportedFigureInput {
  @Whole({ min: 1 }) quarter!: number;
  @Text(40, { min: 1 }) code!: string;
  @Amount({ nullable: true }) amount!: number | null;
  @Day({ nullable: true }) day!: string | null;
}
export class SaveReported {
  @Whole({ min: 1 }) version!: number;
  @List(() => ReportedFigureInput, { most: 400 }) figures!: ReportedFigureInput[];
}
export class PassDifference {
  @Text(200, { min: 1 }) key!: string;
  @Text(300, { min: 3 }) reason!: string;
}
export class FigureView {
  @Whole() quarter!: number;
  @Text() code!: string;
  @Text() label!: string;
  @Choice(['line', 'filed', 'paid']) kind!: 'line' | 'filed' | 'paid';
  @Amount() balances!: number;
  @Amount({ nullable: true }) amount!: number | null;
  @Day({ nullable: true }) day!: string | null;
}
export class DifferenceView {
  @Text() key!: string;
  @Text() about!: string;
  @Amount() amount!: number;
  @Choice(['error', 'ask', 'warning']) severity!: 'error' | 'ask' | 'warning';
  @Text(600) sentence!: string;
  @Text(600) fix!: string;
  /** Why a reviewer let it pass; null while nobody did. */
  @Text(300, { nullable: true }) passedBecause!: string | null;
}
export class WrongRow {
  @Whole() row!: number;
  @Text() who!: string;
  @List(() => ProblemDetail) problems!: ProblemDetail[];
}
export class BroughtInDay {
  @Day() from!: string;
  @Day() day!: string;
  @Whole() people!: number;
  @Amount() gross!: number;
  @Amount() net!: number;
}
export class TakeOverRow {
  @Id() id!: string;
  @Whole() year!: number;
  @Choice(TAKE_OVER_STATUSES) status!: TakeOverStatus;
  @Text() fileName!: string;
  @Text() by!: string;
  @Text() at!: string;
}
export class TakeOverView extends TakeOverRow {
  @Id() clientId!: string;
  @Whole() version!: number;
  @Texts() headings!: string[];
  @Texts() mapping!: string[];
  @List(() => PeopleColumnView) columns!: PeopleColumnView[];
  @List(() => ProblemDetail) problems!: ProblemDetail[];
  @Whole() rows!: number;
  @Whole() wrong!: number;
  @List(() => WrongRow) wrongRows!: WrongRow[];
  @List(() => BroughtInDay) days!: BroughtInDay[];
  @List(() => FigureView) figures!: FigureView[];
  @List(() => DifferenceView) differences!: DifferenceView[];
  /** Whether it could be accepted as it stands. */
  @Flag() tiesOut!: boolean;
}
