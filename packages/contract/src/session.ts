import { Choice, Day, Flag, Id, Part, Text } from './field.js';

export const ROLES = ['preparer', 'reviewer', 'administrator'] as const;
export type Role = (typeof ROLES)[number];
/** Somebody of a client: confined to that client's questions and to what is filed and paid for it. */
export const CLIENT_CONTACT = 'client-contact';
/** Somebody who is paid: confined to their own pay. */
export const EMPLOYEE = 'employee';
export type AnyRole = Role | typeof CLIENT_CONTACT | typeof EMPLOYEE;

export class SignIn {
  @Text(200, { min: 1 }) email!: string;
  @Text(200, { min: 1 }) password!: string;
  /** Six digits, where the account has a second factor. */
  @Text(6, { optional: true }) code?: string;
}
export class UserView {
  @Id() id!: string;
  @Text() name!: string;
  @Text() email!: string;
  @Choice([...ROLES, CLIENT_CONTACT, EMPLOYEE]) role!: AnyRole;
}
export class SessionView {
  @Part(() => UserView) user!: UserView;
  @Text() firmName!: string;
  @Day() today!: string;
  @Flag() requiresSecondPerson!: boolean;
  @Flag() hasSecondFactor!: boolean;
}
export class MoveClock {
  @Day() today!: string;
}
