import { parseDate, showDate } from '../calendar/local-date.js';
import { ISSUE_TEXTS, type IssueCode } from './catalogue.js';

/** `error` holds; `ask` is legal but costs money or contradicts something, and is looked at twice; `warning` is worth knowing. */
export type Severity = 'error' | 'ask' | 'warning';

/** What a user got wrong or must know, as data. `field` is the path in what was given (`employee.federal.form`). */
export interface Issue {
  readonly code: IssueCode;
  readonly field: string;
  readonly severity: Severity;
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

export const ask = (code: IssueCode, field: string, parameters: Record<string, string> = {}): Issue => ({
  code,
  field,
  severity: 'ask',
  parameters,
});

/** What names an issue that somebody has looked at: the same one again is not asked twice. */
export const askKey = ({ code, field }: Pick<Issue, 'code' | 'field'>): string => `${code} ${field}`;

/** A day among the parameters is said as people say it. */
const said = (value: string): string => {
  const day = parseDate(value);
  return day === null ? value : showDate(day);
};
const fill = (text: string, parameters: Readonly<Record<string, string>>): string =>
  text.replace(/\{(\w+)\}/g, (_, name: string) => said(parameters[name] ?? `{${name}}`));

/** The sentence that says what is wrong. */
export function sentence(issue: Issue): string {
  const { says } = ISSUE_TEXTS[issue.code];
  const text = fill(says, issue.parameters);
  return says.startsWith('{what}') ? text.charAt(0).toUpperCase() + text.slice(1) : text;
}
/** The sentence that says what to do about it. */
export const fix = (issue: Issue): string => fill(ISSUE_TEXTS[issue.code].fix, issue.parameters);
