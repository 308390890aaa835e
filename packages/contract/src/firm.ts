import { ClientFactView } from './clients.js';
import { Choice, Flag, Id, List, Text, Whole } from './field.js';
import { ROLES } from './session.js';

/** What the firm puts on every return and file it prepares. */
export class FirmFacts {
  @Text(57, { min: 1 }) name!: string;
  @Text(12, { min: 9 }) ein!: string;
  @Text(121) street!: string;
  @Text(22) city!: string;
  @Text(2) state!: string;
  @Text(5) zip!: string;
  @Text(15) phone!: string;
  @Text(40) email!: string;
  @Text(27) contactName!: string;
  @Text(35) preparerName!: string;
  @Text(9) preparerPtin!: string;
  @Text(8) efw2UserId!: string;
  @Text(6) efin!: string;
  @Whole() cushionDays!: number;
}
export class UpdateFirm extends FirmFacts {
  @Whole({ min: 1 }) version!: number;
}
export class FirmView extends FirmFacts {
  @Whole() version!: number;
  @Flag() requiresSecondPerson!: boolean;
  /** Returns need marks of both persons before they are released. */
  @Flag() requiresMarks!: boolean;
  /** Its PIN as reporting agent is entered; it stands in the files that it signs, and nowhere else. */
  @Flag() hasAgentPin!: boolean;
  @List(() => ClientFactView) defaults!: ClientFactView[];
}
export class SwitchSecondPerson {
  @Flag() isRequired!: boolean;
  @Text(200, { min: 3 }) reason!: string;
}
export class AgentPin {
  /** Five digits; blank: it is taken away. */
  @Text(5) pin!: string;
}
export class UserRow {
  @Id() id!: string;
  @Text() name!: string;
  @Text() email!: string;
  @Choice(ROLES) role!: (typeof ROLES)[number];
  @Flag() isActive!: boolean;
  @Flag() hasSecondFactor!: boolean;
  @Whole() sessions!: number;
}
export class CreateUser {
  @Text(60, { min: 1 }) name!: string;
  @Text(80, { min: 3 }) email!: string;
  @Choice(ROLES) role!: (typeof ROLES)[number];
  @Text(200, { min: 12 }) password!: string;
}
export class UpdateUser {
  @Text(60, { min: 1 }) name!: string;
  @Choice(ROLES) role!: (typeof ROLES)[number];
  @Flag() isActive!: boolean;
}
export class SecondFactorOffer {
  /** The key in base 32, for typing it in. */
  @Text() secret!: string;
  @Text(300) uri!: string;
  /** The same as a picture to be scanned, SVG. */
  @Text(20_000) picture!: string;
}
export class SecondFactorCode {
  @Text(6, { min: 6 }) code!: string;
}
export class ChangePassword {
  @Text(200, { min: 1 }) current!: string;
  @Text(200, { min: 12 }) next!: string;
  /** Of the second factor, where there is one. */
  @Text(6, { optional: true }) code?: string;
}
