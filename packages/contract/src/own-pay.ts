import { Amount, Choice, Day, Flag, Id, List, Part, Text } from './field.js';

export const SIGN_IN_STATES = ['none', 'invited', 'open', 'closed'] as const;
export type SignInState = (typeof SIGN_IN_STATES)[number];

/** Whether somebody who is paid signs in for themselves. */
export class EmployeeSignIn {
  @Choice(SIGN_IN_STATES) state!: SignInState;
  @Text(200) email!: string;
  /** Until when the last link may be used; null where none is out. */
  @Text(40, { nullable: true }) linkUntil!: string | null;
}
export class InviteEmployee {
  @Text(200, { min: 1 }) email!: string;
}
/** The link, shown once: whoever has it sets the password. */
export class InvitedEmployee {
  @Text(400) address!: string;
  @Part(() => EmployeeSignIn) signIn!: EmployeeSignIn;
}
export class OpenSignIn {
  @Flag() isOpen!: boolean;
}
/** Whose link it is. */
export class WelcomeView {
  @Text() name!: string;
  @Text(200) email!: string;
  @Text() firmName!: string;
}
export class SetFirstPassword {
  @Text(200, { min: 1 }) password!: string;
}
export class OwnStatement {
  @Id() paycheckId!: string;
  @Day() checkDate!: string;
  @Day() periodStart!: string;
  @Day() periodEnd!: string;
  @Amount() gross!: number;
  @Amount() net!: number;
}
export class OwnWageStatement {
  @Id() filingId!: string;
  @Text(4) year!: string;
  @Choice(['W-2', 'W-2c']) form!: 'W-2' | 'W-2c';
}
export class OwnFact {
  @Text() label!: string;
  @Text(600) says!: string;
  @Day() from!: string;
}
/** The one page of somebody who is paid. */
export class OwnPay {
  @Text() name!: string;
  @Text() employer!: string;
  @List(() => OwnStatement) statements!: OwnStatement[];
  /** Forms W-2 that were filed, and what corrected them; shown once they are agreed to electronically. */
  @List(() => OwnWageStatement) wageStatements!: OwnWageStatement[];
  /** Agreed to Form W-2 and statements electronically, since when; null: on paper. */
  @Day({ nullable: true }) electronicSince!: string | null;
  @List(() => OwnFact) facts!: OwnFact[];
}
export class GiveConsent {
  @Flag() isElectronic!: boolean;
}
