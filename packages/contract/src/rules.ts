import { Amount, Choice, Day, Id, Json, List, Text, Whole } from './field.js';

export const RULE_PACK_STATUSES = ['proposed', 'in-force', 'withdrawn'] as const;
export type RulePackStatus = (typeof RULE_PACK_STATUSES)[number];

/** One dated row of one parameter. */
export class RuleRow {
  @Text() parameter!: string;
  @Text(300) label!: string;
  @Text() jurisdiction!: string;
  @Day() from!: string;
  @Day({ nullable: true }) until!: string | null;
  @Text(400) value!: string;
  @Text(400) publication!: string;
  @Text(400) place!: string;
  @Choice(['verified', 'recalled']) standing!: 'verified' | 'recalled';
  @Text(600, { nullable: true }) doubt!: string | null;
}
export class JurisdictionRow {
  @Text() code!: string;
  @Text() name!: string;
  @Whole() parameters!: number;
  @Whole() verified!: number;
  @Whole() doubted!: number;
}
export class RuleChangeRow {
  @Text() parameter!: string;
  @Text(300) label!: string;
  @Day() from!: string;
  @Text(400) path!: string;
  @Text(400) before!: string;
  @Text(400) after!: string;
}
/** What a pack does to the first payroll of a client on or after its first day, with everybody's usual pay. An amount is null where it cannot be computed. */
export class RuleEffectRow {
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Day() checkDate!: string;
  @Whole() people!: number;
  @Whole() moved!: number;
  @Amount({ nullable: true }) netBefore!: number | null;
  @Amount({ nullable: true }) netAfter!: number | null;
  @Amount({ nullable: true }) employerBefore!: number | null;
  @Amount({ nullable: true }) employerAfter!: number | null;
  /** Why there is no comparison: a rule is missing without (or with) the pack. */
  @Text(600, { nullable: true }) note!: string | null;
}
export class RulePackRow {
  @Id() id!: string;
  @Text() name!: string;
  @Choice(RULE_PACK_STATUSES) status!: RulePackStatus;
  @Whole() rules!: number;
  @Whole() places!: number;
  @Text() preparedBy!: string;
  @Text(200, { nullable: true }) acceptedBy!: string | null;
  @Text() createdAt!: string;
  @Whole() version!: number;
}
export class RulePackView extends RulePackRow {
  @List(() => RuleChangeRow) changes!: RuleChangeRow[];
  @List(() => RuleEffectRow) effects!: RuleEffectRow[];
}
export class ProposeRulePack {
  @Json() content!: Record<string, unknown>;
}
