import { Choice, Day, Flag, Id, Part, Text } from './field.js';

export const ROLES = ['preparer', 'reviewer', 'administrator'] as const;
export type Role = (typeof ROLES)[number];

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
  @Choice(ROLES) role!: Role;
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
