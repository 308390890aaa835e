import { Choice, List, Text, Whole } from './field.js';

/** One thing that is wrong: where, what, and what to do about it. */
export class ProblemDetail {
  @Text() code!: string;
  @Text() field!: string;
  @Choice(['error', 'ask', 'warning']) severity!: 'error' | 'ask' | 'warning';
  @Text(500) sentence!: string;
  @Text(500) fix!: string;
}
/** Problem details (RFC 9457) with our codes. */
export class Problem {
  @Text() type!: string;
  @Text() title!: string;
  @Whole() status!: number;
  @Text(1000) detail!: string;
  @Text() code!: string;
  @List(() => ProblemDetail) problems!: ProblemDetail[];
}
