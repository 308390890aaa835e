import { ISSUE_TEXTS, type IssueCode } from './catalogue.js';

/** What a user got wrong or must know, as data. `field` is the path in what was given (`employee.federal.form`). */
export interface Issue {
  readonly code: IssueCode;
  readonly field: string;
  readonly severity: 'error' | 'warning';
  readonly parameters: Readonly<Record<string, string>>;
}

export const problem = (code: IssueCode, field: string, parameters: Record<string, string> = {}): Issue => ({
  code,
  field,
  severity: 'error',
  parameters,
});
export const warning = (code: IssueCode, field: string, parameters: Record<string, string> = {}): Issue => ({
  code,
  field,
  severity: 'warning',
  parameters,
});

const fill = (text: string, parameters: Readonly<Record<string, string>>): string =>
  text.replace(/\{(\w+)\}/g, (_, name: string) => parameters[name] ?? `{${name}}`);

/** The sentence that says what is wrong. */
export const sentence = (issue: Issue): string => fill(ISSUE_TEXTS[issue.code].says, issue.parameters);
/** The sentence that says what to do about it. */
export const fix = (issue: Issue): string => fill(ISSUE_TEXTS[issue.code].fix, issue.parameters);
