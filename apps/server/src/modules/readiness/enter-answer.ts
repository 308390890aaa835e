import { problem, type Issue } from '@zakat/core/issues/issue';
import { personIssues } from '@zakat/core/identity/person';
import { readTypedDate } from '@zakat/core/calendar/typed-date';
import type { LocalDate } from '@zakat/core/calendar/local-date';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { conflict, refuse } from '../../http/refusal.js';
import type { Audit } from '../audit/index.js';
import { Client, clientIssues, findClient } from '../clients/index.js';
import { Employee, findEmployee } from '../employees/index.js';

const OF_CLIENT = [
  'street',
  'city',
  'state',
  'zip',
  'phone',
  'email',
  'contactName',
  'signerName',
  'signerTitle',
] as const;
const OF_PERSON = ['street', 'city', 'state', 'zip', 'hiredOn', 'bornOn'] as const;
type ClientField = (typeof OF_CLIENT)[number];
type PersonField = (typeof OF_PERSON)[number];

export interface Answered {
  readonly client_id: string;
  readonly employee_id: string | null;
  readonly field: string;
  readonly answer: string;
}

/** Whether the answer to a question is one field of the record, so that accepting it enters it. */
export const entersItself = ({ employee_id, field }: Pick<Answered, 'employee_id' | 'field'>): boolean =>
  (employee_id === null ? (OF_CLIENT as readonly string[]) : (OF_PERSON as readonly string[])).includes(field);

const errorsIn = (issues: readonly Issue[], field: string): Issue[] =>
  issues.filter((issue) => issue.severity === 'error' && issue.field === field);

function valueOf(field: PersonField, answer: string): string {
  if (field !== 'hiredOn' && field !== 'bornOn') return field === 'state' ? answer.toUpperCase() : answer;
  const day = readTypedDate(answer);
  if (day === null) throw refuse([problem('input.not-a-date', field, { value: answer })]);
  return day;
}

const otherwise = (): ReturnType<typeof conflict> =>
  conflict('The record says something else by now. Withdraw the question, or correct the record by hand.');

/** Puts an accepted answer into the record it was asked for, under the checks that typing it would meet. */
export async function enterAnswer(
  manager: EntityManager,
  actor: Actor,
  audit: Audit,
  today: LocalDate,
  question: Answered,
): Promise<void> {
  const answer = question.answer.trim();
  if (question.employee_id === null) {
    const field = question.field as ClientField;
    const client = await findClient(manager, question.client_id);
    const value = field === 'state' ? answer.toUpperCase() : answer;
    if (client[field] === value) return;
    if (client[field] !== '') throw otherwise();
    const issues = errorsIn(clientIssues({ ...client, [field]: value }), field);
    if (issues.length > 0) throw refuse(issues);
    await manager.update(Client, { id: client.id }, { [field]: value, version: client.version + 1 });
    await audit.record(manager, actor, 'client.identity', 'client', client.id, { changed: [field], answered: true });
    return;
  }
  const field = question.field as PersonField;
  const person = await findEmployee(manager, question.employee_id);
  const value = valueOf(field, answer);
  if (person[field] === value) return;
  if ((person[field] ?? '') !== '') throw otherwise();
  const issues = errorsIn(personIssues({ ...person, [field]: value }, today), field);
  if (issues.length > 0) throw refuse(issues);
  await manager.update(Employee, { id: person.id }, { [field]: value, version: person.version + 1 });
  await audit.record(manager, actor, 'employee.identity', 'employee', person.id, { changed: [field], answered: true });
}
