import { Choice, Id, Text, Whole } from './field.js';

/** What a paper may be kept beside. */
export const ATTACHMENT_SUBJECTS = ['notice', 'correction-case', 'remittance', 'client'] as const;
export type AttachmentSubject = (typeof ATTACHMENT_SUBJECTS)[number];

export class AddAttachment {
  @Choice(ATTACHMENT_SUBJECTS) subject!: AttachmentSubject;
  @Id() subjectId!: string;
  @Text(120, { min: 1 }) fileName!: string;
  /** Base64 of a PDF, PNG or JPEG. */
  @Text(8_000_000, { min: 1 }) content!: string;
}
export class AttachmentRow {
  @Id() id!: string;
  @Text(120) name!: string;
  @Whole() bytes!: number;
  @Text() addedBy!: string;
  @Text(40) addedAt!: string;
}
