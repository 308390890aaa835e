import { Choice, Day, Id, List, Text, Whole } from './field.js';

export const ENROLLMENT_STATUSES = ['asked', 'enrolled', 'refused', 'ended'] as const;
export type EnrollmentStatus = (typeof ENROLLMENT_STATUSES)[number];

/** That an agency takes payments from a client's account itself: asked of it, waited for, given. */
export class EnrollmentView {
  @Id() id!: string;
  @Text() agency!: string;
  @Text() agencyName!: string;
  @Id() bankAccountId!: string;
  /** The account that is debited, in words. */
  @Text() bankAccount!: string;
  @Choice(ENROLLMENT_STATUSES) status!: EnrollmentStatus;
  @Day() askedOn!: string;
  @Day({ nullable: true }) answeredOn!: string | null;
  @Day({ nullable: true }) endedOn!: string | null;
  /** Days since it was asked; null once it is answered. */
  @Whole({ nullable: true }) daysWaited!: number | null;
  @Text(200, { nullable: true }) reason!: string | null;
  @Whole() version!: number;
}
export class DebitAgencyView {
  @Text() agency!: string;
  @Text() agencyName!: string;
}
export class EnrollmentsView {
  @List(() => EnrollmentView) enrollments!: EnrollmentView[];
  /** Agencies that take debit instructions from the firm. */
  @List(() => DebitAgencyView) agencies!: DebitAgencyView[];
}
export class AskEnrollment {
  @Text(20, { min: 1 }) agency!: string;
  @Id() bankAccountId!: string;
  @Day() askedOn!: string;
}
export const ENROLLMENT_ACTS = ['enroll', 'refuse', 'end'] as const;
export type EnrollmentActName = (typeof ENROLLMENT_ACTS)[number];
/** The agency's answer, or the end of an enrollment. */
export class EnrollmentAct {
  @Choice(ENROLLMENT_ACTS) act!: EnrollmentActName;
  @Whole({ min: 1 }) version!: number;
  @Day() on!: string;
  /** With `enroll`: the PIN of the agency's letter; kept sealed and never shown. */
  @Text(8) pin!: string;
  /** With `refuse`: what the agency said. */
  @Text(200) reason!: string;
}
