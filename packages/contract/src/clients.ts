import { PAY_FREQUENCIES } from '@zakat/core/calendar/pay-frequency';
import { CLIENT_FACT_KINDS } from '@zakat/core/facts/client-facts';
import { EMPLOYEE_FACT_KINDS } from '@zakat/core/facts/employee-facts';
import { Amount, Choice, Day, Flag, Id, Json, List, Part, Text, Texts, Whole } from './field.js';
import { ProblemDetail } from './problem.js';

export const KINDS_OF_EMPLOYER = ['F', 'S', 'T', 'Y', 'N'] as const;
export const WORKER_KINDS = ['employee', 'partner', 'contractor'] as const;
export const FACT_KINDS = EMPLOYEE_FACT_KINDS;

/** Identity of an employer: what returns and files carry. */
export class ClientIdentity {
  @Text(57, { min: 1 }) legalName!: string;
  @Text(57) tradeName!: string;
  /** Blank while it is applied for. */
  @Text(12) ein!: string;
  /** Blank: proposed from the legal name. */
  @Text(4) nameControl!: string;
  @Text(121) street!: string;
  @Text(22) city!: string;
  @Text(2) state!: string;
  @Text(5) zip!: string;
  @Text(15) phone!: string;
  @Text(40) email!: string;
  @Text(27) contactName!: string;
  @Text(35) signerName!: string;
  @Text(35) signerTitle!: string;
}
/** An effective-dated fact about a client, or among the firm's client defaults. */
export class ClientFact {
  @Choice(CLIENT_FACT_KINDS) kind!: string;
  @Day() from!: string;
  @Json() value!: Record<string, unknown>;
}
export class ClientFactView extends ClientFact {
  @Text(600) sentence!: string;
  @Flag() isInForce!: boolean;
  @Text() recordedBy!: string;
  @Text() recordedAt!: string;
}
export class CreateClient extends ClientIdentity {
  @Texts({ optional: true }) confirmed?: string[];
  @Text(12, { min: 2 }) key!: string;
  @Choice(KINDS_OF_EMPLOYER, { optional: true }) kindOfEmployer?: (typeof KINDS_OF_EMPLOYER)[number];
  @Choice(PAY_FREQUENCIES, { optional: true }) payFrequency?: (typeof PAY_FREQUENCIES)[number];
  @Amount({ optional: true }) lookbackAmount?: number;
  /** The EIN typed a second time; where it is given it must be the same. */
  @Text(12, { optional: true }) einAgain?: string;
  @List(() => ClientFact, { optional: true, most: 200 }) facts?: ClientFact[];
  /** `defaults`, or the id of a client whose rules (never people or history) the new one starts from. */
  @Text(36, { optional: true }) startFrom?: string;
}
export class UpdateClientIdentity extends ClientIdentity {
  @Texts({ optional: true }) confirmed?: string[];
  @Text(12, { optional: true }) einAgain?: string;
  @Whole({ min: 1 }) version!: number;
}
export class CreateTaxAccount {
  @Text(10, { min: 2 }) agency!: string;
  @Text(30) accountNumber!: string;
  @Text(12, { nullable: true }) unemploymentRate!: string | null;
  @Day() from!: string;
  /** The number is applied for: returns and deposits say so until it comes. */
  @Flag({ optional: true }) isApplied?: boolean;
  /** The number stands so on the agency's letter, whatever the usual format. */
  @Flag({ optional: true }) isAsPrinted?: boolean;
  @Text(20, { optional: true }) depositFrequency?: string;
}
export class TaxAccountView extends CreateTaxAccount {
  @Id() id!: string;
  @Text() agencyName!: string;
  @Text(200, { nullable: true }) rateInWords!: string | null;
}
export class CreateBankAccount {
  @Text(40, { min: 1 }) label!: string;
  @Text(40, { min: 1 }) bankName!: string;
  @Text(9, { min: 9 }) routing!: string;
  @Text(17, { min: 4 }) account!: string;
}
export class BankAccountView {
  @Id() id!: string;
  @Text() label!: string;
  @Text() bankName!: string;
  @Text() routing!: string;
  @Text() accountTail!: string;
  /** Checks of it that a reviewer or administrator prints carry the image of a signature. */
  @Flag() hasSignature!: boolean;
  /** Larger checks are signed by hand; null: none is too large. */
  @Amount({ nullable: true }) signatureMost!: number | null;
  /** The day on which the bank said that it reads a sample of blank stock; null: nobody has said so. */
  @Day({ nullable: true }) micrTestedOn!: string | null;
}
export class ClientRow {
  @Id() id!: string;
  @Text() key!: string;
  @Text() legalName!: string;
  @Text() tradeName!: string;
  @Text() einTail!: string;
  @Text() state!: string;
  /** How its federal taxes are deposited: `monthly`, `semiweekly`; blank where it is not known. */
  @Text(30) depositSchedule!: string;
  @Whole() people!: number;
}
export class ClientList {
  @List(() => ClientRow) rows!: ClientRow[];
  @Whole() total!: number;
}
export class ScheduledCheck {
  @Day() start!: string;
  @Day() end!: string;
  @Day() checkDate!: string;
  @Day({ nullable: true }) movedFrom!: string | null;
}
export class PaysFromTrust {
  @Id() id!: string;
  @Text() label!: string;
  @Text() accountTail!: string;
  /** Direct deposits too, not the taxes alone. */
  @Flag() paysPeople!: boolean;
}
export class ClientView extends ClientIdentity {
  @Id() id!: string;
  @Text() key!: string;
  @Text() kindOfEmployer!: string;
  @Text() payFrequency!: string;
  /** How its federal taxes are deposited: `monthly`, `semiweekly`; blank where it is not known. */
  @Text(30) depositSchedule!: string;
  @Text() depositScheduleWhy!: string;
  @Whole() version!: number;
  @List(() => TaxAccountView) taxAccounts!: TaxAccountView[];
  @List(() => BankAccountView) bankAccounts!: BankAccountView[];
  /** The firm's trust account, where it collects this client's taxes today. */
  @Part(() => PaysFromTrust, { nullable: true }) trustAccount!: PaysFromTrust | null;
  @List(() => ClientFactView) facts!: ClientFactView[];
  @List(() => ScheduledCheck) nextChecks!: ScheduledCheck[];
  /** States in which its people work or live, and its own. */
  @Texts() states!: string[];
}

export class EmployeeIdentity {
  @Text(15, { min: 1 }) firstName!: string;
  @Text(15) middleName!: string;
  @Text(20, { min: 1 }) lastName!: string;
  @Text(4) suffix!: string;
  @Text(121) street!: string;
  @Text(22) city!: string;
  @Text(2) state!: string;
  /** ZIP code, or the postal code of another country. */
  @Text(15) zip!: string;
  /** Two letters, for an address outside the United States. */
  @Text(2, { optional: true }) country?: string;
  @Text(23, { optional: true }) province?: string;
}
export class Fact {
  @Choice(FACT_KINDS) kind!: (typeof FACT_KINDS)[number];
  @Day() from!: string;
  @Json() value!: Record<string, unknown>;
}
/** What was asked and looked at twice, by `askKey`: it is not asked again. */
const Confirmed = (): PropertyDecorator => Texts({ optional: true });

export class AddFact extends Fact {
  @Confirmed() confirmed?: string[];
}
export class CreateEmployee extends EmployeeIdentity {
  @Confirmed() confirmed?: string[];
  @Text(12, { min: 1 }) number!: string;
  @Text(11, { min: 9 }) ssn!: string;
  @Day({ nullable: true }) hiredOn!: string | null;
  @Day({ nullable: true }) bornOn!: string | null;
  @Choice(WORKER_KINDS) kind!: (typeof WORKER_KINDS)[number];
  @Flag() isRetirementPlan!: boolean;
  @List(() => Fact) facts!: Fact[];
}
export class UpdateEmployeeIdentity extends EmployeeIdentity {
  @Confirmed() confirmed?: string[];
  /** Blank leaves the number as it is. */
  @Text(11) ssn!: string;
  @Text(12, { optional: true, min: 1 }) number?: string;
  @Day({ optional: true, nullable: true }) hiredOn?: string | null;
  @Day({ optional: true, nullable: true }) bornOn?: string | null;
  @Choice(WORKER_KINDS, { optional: true }) kind?: (typeof WORKER_KINDS)[number];
  @Flag({ optional: true }) isRetirementPlan?: boolean;
  @Whole({ min: 1 }) version!: number;
}
export class EmployeeRow {
  @Id() id!: string;
  @Text() number!: string;
  @Text() name!: string;
  @Text() ssnTail!: string;
  @Text() workState!: string;
  @Text() paySentence!: string;
  @Choice(WORKER_KINDS) kind!: (typeof WORKER_KINDS)[number];
}
export class EmployeeList {
  @List(() => EmployeeRow) rows!: EmployeeRow[];
  @Whole() total!: number;
  /** The next free number. */
  @Text() nextNumber!: string;
}
export class FactView extends Fact {
  @Text(400) sentence!: string;
  @Flag() isInForce!: boolean;
}
export class EmployeeView extends EmployeeIdentity {
  @Id() id!: string;
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Text() number!: string;
  @Text() ssnTail!: string;
  @Day({ nullable: true }) hiredOn!: string | null;
  @Day({ nullable: true }) bornOn!: string | null;
  @Choice(WORKER_KINDS) kind!: (typeof WORKER_KINDS)[number];
  @Flag() isRetirementPlan!: boolean;
  @Whole() version!: number;
  @Day() on!: string;
  @List(() => FactView) facts!: FactView[];
  @Texts() certificateFields!: string[];
}
export class RevealedNumber {
  @Text() ssn!: string;
}
export class Accepted {
  @Id() id!: string;
  @List(() => ProblemDetail) warnings!: ProblemDetail[];
}
