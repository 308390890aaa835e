import { HttpException, Logger } from '@nestjs/common';
import type { Problem, ProblemDetail } from '@zakat/contract/problem';
import { fix, sentence, type Issue } from '@zakat/core/issues/issue';

const logger = new Logger('core');

/** An issue as it leaves the house; a fault of ours is logged here, where every answer passes. */
export function detailOf(issue: Issue): ProblemDetail {
  if (issue.code === 'fault.ours') logger.error(`fault.ours ${issue.field} ${issue.parameters['what'] ?? ''}`);
  return {
    code: issue.code,
    field: issue.field,
    severity: issue.severity,
    sentence: sentence(issue),
    fix: fix(issue),
  };
}

/** A refusal as problem details (RFC 9457). The detail is for people; the code is for programs. */
export class Refusal extends HttpException {
  constructor(status: number, code: string, detail: string, problems: readonly ProblemDetail[] = []) {
    const body: Problem = {
      type: `urn:zakat:${code}`,
      title: TITLES[status] ?? 'Refused',
      status,
      detail,
      code,
      problems: [...problems],
    };
    super(body, status);
    // What it says is what it is called where many acts are answered together.
    this.message = detail;
  }
}
const TITLES: Readonly<Record<number, string>> = {
  400: 'Not understood',
  401: 'Sign in first',
  403: 'Not allowed',
  404: 'Not found',
  409: 'Changed meanwhile',
  422: 'Not acceptable as it is',
  429: 'Too many tries',
  500: 'Something broke here',
};

export const notFound = (what: string): Refusal =>
  new Refusal(404, 'not-found', `This ${what} does not exist, or belongs to another firm.`);
export const conflict = (detail: string): Refusal => new Refusal(409, 'conflict', detail);
export const refuse = (issues: readonly Issue[]): Refusal =>
  new Refusal(422, 'issues', issues.map(sentence).slice(0, 3).join(' '), issues.map(detailOf));
export const refuseField = (field: string, says: string, fixes: string): Refusal =>
  new Refusal(422, 'field', says, [{ code: 'field', field, severity: 'error', sentence: says, fix: fixes }]);
