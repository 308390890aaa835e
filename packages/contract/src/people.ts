import { Fact } from './clients.js';
import { Amount, Choice, Day, Flag, Id, Json, List, Part, Text, Texts, Whole } from './field.js';
import { PayrollPerson } from './payrolls.js';
import { ProblemDetail } from './problem.js';

/** A trial paycheck: a person as stored, or not yet stored, with facts that are only being considered. Nothing is kept. */
export class AskTrial {
  @Id({ nullable: true }) employeeId!: string | null;
  @Day({ nullable: true }) checkDate!: string | null;
  @Day({ nullable: true }) bornOn!: string | null;
  @List(() => Fact, { most: 60 }) facts!: Fact[];
}
export class TrialView {
  @Day() checkDate!: string;
  @Text(300) why!: string;
  @Text() payFrequency!: string;
  @Part(() => PayrollPerson, { nullable: true }) person!: PayrollPerson | null;
  @Json() own!: Record<string, unknown>;
  @List(() => ProblemDetail) problems!: ProblemDetail[];
}
export class CrossingView {
  @Day() checkDate!: string;
  @Text() figure!: string;
  @Text() label!: string;
  @Amount() subject!: number;
  @Amount() below!: number;
  @Choice(['stops', 'starts']) what!: 'stops' | 'starts';
}

export class KeepProof {
  @Id() employeeId!: string;
  @Text(60, { min: 1 }) name!: string;
  @Day({ nullable: true }) checkDate!: string | null;
}
export class ProofFigure {
  @Text() figure!: string;
  @Text() label!: string;
  @Amount({ nullable: true }) expected!: number | null;
  @Amount({ nullable: true }) now!: number | null;
}
export class ProofView {
  @Id() id!: string;
  @Id() employeeId!: string;
  @Text() employeeName!: string;
  @Text() name!: string;
  @Day() checkDate!: string;
  @Day() computedFor!: string;
  @Text() agreedBy!: string;
  @Text() agreedAt!: string;
  @Flag() isMoved!: boolean;
  @List(() => ProofFigure) figures!: ProofFigure[];
  @List(() => ProblemDetail) problems!: ProblemDetail[];
}

/** A file of people as the browser read it: bytes in base64. */
export class UploadPeople {
  @Text(120, { min: 1 }) fileName!: string;
  @Text(8_000_000, { min: 1 }) content!: string;
}
export class ChooseMapping {
  @Whole({ min: 1 }) version!: number;
  /** A column name for each heading, blank where the column is not taken. */
  @Texts() mapping!: string[];
}
export class PeopleColumnView {
  @Text() name!: string;
  @Text() label!: string;
}
export class ChooseHeading {
  @Whole({ min: 1 }) version!: number;
  /** Counted from 1, as a spreadsheet shows it. */
  @Whole({ min: 1 }) row!: number;
}
export class SkipRow {
  @Whole({ min: 1 }) version!: number;
  @Whole({ min: 1 }) row!: number;
  @Flag() isSkipped!: boolean;
}
export class CorrectCell {
  @Whole({ min: 1 }) version!: number;
  @Whole({ min: 1 }) row!: number;
  /** Name of the column that the cell is taken for. */
  @Text(60, { min: 1 }) column!: string;
  @Text(200) value!: string;
}
export class CellProblem extends ProblemDetail {
  /** Name of the column whose cell can be corrected; blank where none is mapped. */
  @Text() column!: string;
  @Text() cell!: string;
}
export class ImportRowView {
  @Whole() row!: number;
  @Text() number!: string;
  /** As it was understood, also where the row is wrong. */
  @Text() name!: string;
  @Flag() isWrong!: boolean;
  @Texts() says!: string[];
  @List(() => CellProblem) problems!: CellProblem[];
}
export class SkippedRow {
  @Whole() row!: number;
  @Text() text!: string;
}
export class ImportView {
  @Id() id!: string;
  @Id() clientId!: string;
  @Text() fileName!: string;
  @Choice(['previewed', 'accepted', 'undone', 'discarded']) status!: string;
  @Whole() version!: number;
  @Texts() headings!: string[];
  @Texts() mapping!: string[];
  @Whole() headingRow!: number;
  /** What stands above the headings, row by row. */
  @Texts() above!: string[];
  @List(() => SkippedRow) skipped!: SkippedRow[];
  @List(() => PeopleColumnView) columns!: PeopleColumnView[];
  @List(() => ProblemDetail) problems!: ProblemDetail[];
  @Whole() people!: number;
  @Whole() wrong!: number;
  @List(() => ImportRowView) rows!: ImportRowView[];
  @Text() by!: string;
  @Text() at!: string;
}
/** How far the taking on of a file has come; zero of zero when none is under way. */
export class ProgressView {
  @Whole() done!: number;
  @Whole() total!: number;
}
export class ImportRow {
  @Id() id!: string;
  @Text() fileName!: string;
  @Text() status!: string;
  @Whole() people!: number;
  @Text() by!: string;
  @Text() at!: string;
}

export class GapView {
  @Text() key!: string;
  @Id({ nullable: true }) personId!: string | null;
  @Text() who!: string;
  @Text(600) says!: string;
  @Text(600) fix!: string;
  @Texts() neededFor!: string[];
  @Day({ nullable: true }) by!: string | null;
  @Choice(['client', 'firm', 'agency']) move!: 'client' | 'firm' | 'agency';
  @Flag() blocksPaycheck!: boolean;
  @Text() field!: string;
  @Text(600, { nullable: true }) question!: string | null;
  /** Why a reviewer let it pass; null while nobody did. */
  @Text(300, { nullable: true }) passedBecause!: string | null;
}
export class LetterLine {
  @Text() about!: string;
  @Texts() asks!: string[];
  @Day({ nullable: true }) by!: string | null;
}
export class ReadinessView {
  @Day() on!: string;
  @List(() => GapView) gaps!: GapView[];
  @List(() => LetterLine) letter!: LetterLine[];
}
export class PassGap {
  @Text(80, { min: 1 }) key!: string;
  @Id({ nullable: true }) personId!: string | null;
  @Text(300, { min: 3 }) reason!: string;
}

export const QUESTION_STATUSES = ['asked', 'answered', 'accepted', 'withdrawn'] as const;
export class AskQuestions {
  @Day() chaseOn!: string;
}
export class AnswerQuestion {
  @Whole({ min: 1 }) version!: number;
  @Text(600, { min: 1 }) answer!: string;
}
export class QuestionView {
  @Id() id!: string;
  @Id({ nullable: true }) personId!: string | null;
  @Text() who!: string;
  @Text(600) asks!: string;
  @Choice(QUESTION_STATUSES) status!: (typeof QUESTION_STATUSES)[number];
  @Text(600) answer!: string;
  @Day() askedOn!: string;
  @Day() chaseOn!: string;
  @Text() field!: string;
  /** Accepting the answer enters it in the record. */
  @Flag() entersItself!: boolean;
  @Whole() version!: number;
}

export class NewHireRow {
  @Id() employeeId!: string;
  @Text() name!: string;
  @Text() state!: string;
  @Day() hiredOn!: string;
  @Day() due!: string;
  @Text(200) rule!: string;
  @Texts() missing!: string[];
  @Day({ nullable: true }) reportedOn!: string | null;
}
export class ReportNewHires {
  @Text(2, { min: 2 }) state!: string;
}
export class NewHireFile {
  @Text() fileName!: string;
  @Text(2_000_000) content!: string;
  @Whole() people!: number;
}

export class Found {
  @Choice(['client', 'person']) kind!: 'client' | 'person';
  @Id() id!: string;
  @Text() label!: string;
  @Text() detail!: string;
}

/** A change of the records of many people from a day on: of their pay, of where they work, of a recurring line. */
export class ChangeForMany {
  @Choice(['pay', 'work', 'standing']) is!: 'pay' | 'work' | 'standing';
  @Choice(['to', 'amount', 'percent'], { optional: true }) by?: 'to' | 'amount' | 'percent';
  @Choice(['department', 'location', 'costCentre', 'schedule'], { optional: true }) field?:
    'department' | 'location' | 'costCentre' | 'schedule';
  /** The amount, the percentage, or the name. */
  @Text(40, { optional: true }) value?: string;
  @Text(40, { optional: true }) item?: string;
  @Text(14, { optional: true }) amount?: string;
  @Text(14, { optional: true }) percent?: string;
}
export class ForeseeChanges {
  @Day() from!: string;
  @Part(() => ChangeForMany) change!: ChangeForMany;
}
/** What the change would do to one person. */
export class ForeseenChange {
  @Id() employeeId!: string;
  @Text() number!: string;
  @Text(200) name!: string;
  @Text() department!: string;
  @Text() location!: string;
  @Text() costCentre!: string;
  /** As it stands on the day, and as it would; in words. */
  @Text(300) was!: string;
  @Text(300) will!: string;
  /** Why nothing is changed; blank: it is. */
  @Text(200) why!: string;
}
export class SeenChange {
  @Id() employeeId!: string;
  @Text(300) was!: string;
}
/** Records it for these people, all or nobody: where what stands has moved since it was seen, nothing is. */
export class MakeChanges extends ForeseeChanges {
  @List(() => SeenChange, { most: 5000 }) people!: SeenChange[];
  @Texts({ optional: true }) confirmed?: string[];
}
