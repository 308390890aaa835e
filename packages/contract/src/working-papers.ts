import { TICK_MARKS, type TickMark } from '@zakat/core/filings/working-papers';
import { Amount, Choice, Flag, Id, List, Text, Texts } from './field.js';

export class MakeMark {
  @Text(40, { min: 1 }) line!: string;
  @Choice(TICK_MARKS) mark!: TickMark;
  /** What was looked at, or what is asked. */
  @Text(500) note!: string;
}
/** Takes a mark away; a question with its answer. */
export class ClearMark {
  @Text(500) answer!: string;
}
export class TickMarkView {
  @Id() id!: string;
  @Text(40) line!: string;
  @Choice(TICK_MARKS) mark!: TickMark;
  @Text(500) note!: string;
  @Text(200) by!: string;
  @Id() byId!: string;
  @Flag() isReviewer!: boolean;
  @Text(40) at!: string;
  /** What lay under it is not there any more. */
  @Flag() isCracked!: boolean;
}
export class WorkingLine {
  @Text(40) id!: string;
  @Text(300) label!: string;
  @Choice(['count', 'amount']) kind!: 'count' | 'amount';
  @Amount() value!: number;
  /** The period before, and the same one a year before; null: nothing is known of it. */
  @Amount({ nullable: true }) before!: number | null;
  @Amount({ nullable: true }) yearBefore!: number | null;
  @List(() => TickMarkView) marks!: TickMarkView[];
}
export class ReportedWagesView {
  /** The return that reports them. */
  @Text(200) title!: string;
  @Text(40) line!: string;
  @Text(300) label!: string;
  @Choice(['income-tax', 'medicare', 'unemployment']) of!: 'income-tax' | 'medicare' | 'unemployment';
  @Amount() wages!: number;
  @Flag() isFederal!: boolean;
  @Id({ nullable: true }) filingId!: string | null;
}
export class EffectiveRateView {
  @Text(40) tax!: string;
  @Text(200) label!: string;
  @Amount() wages!: number;
  @Amount() amount!: number;
  /** Percent with four decimals; blank without wages. */
  @Text(20) percent!: string;
  /** That of the period before; blank: there was none. */
  @Text(20) percentBefore!: string;
}
export class ExcessView {
  @Id() employeeId!: string;
  @Text(200) name!: string;
  @Amount() wages!: number;
  @Amount() excess!: number;
  @Amount() yearWages!: number;
  @Amount() yearTaxable!: number;
  /** What does not agree; blank: it does. */
  @Text(400) says!: string;
}
/** A return line by line with its marks, beside what it is to be compared with. */
export class WorkingPapersView {
  @Id() filingId!: string;
  @Text(200) title!: string;
  @Text(200) clientName!: string;
  @Id() clientId!: string;
  @Text(20) status!: string;
  @Text(20) periodBefore!: string;
  @Text(20) periodYearBefore!: string;
  @List(() => WorkingLine) lines!: WorkingLine[];
  @List(() => EffectiveRateView) rates!: EffectiveRateView[];
  /** Wages of the client's returns that end with the same quarter. */
  @List(() => ReportedWagesView) wages!: ReportedWagesView[];
  @List(() => ExcessView) excess!: ExcessView[];
  /** Lines that the firm wants marked; none where it does not ask for marks. */
  @Texts() toMark!: string[];
  /** What holds the release, in sentences. */
  @Texts() held!: string[];
  @Flag() mayMark!: boolean;
}
export class RequireMarks {
  @Flag() isRequired!: boolean;
  @Text(200, { min: 3 }) reason!: string;
}
