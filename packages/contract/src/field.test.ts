import { describe, expect, it } from '@jest/globals';
import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { CreateEmployee } from './clients.js';
import { wireClasses } from './field.js';
import { SavePayroll } from './payrolls.js';
import { SignIn } from './session.js';

const faults = (type: new () => object, value: unknown): string[] => {
  const walk = (errors: ReturnType<typeof validateSync>, path: string): string[] =>
    errors.flatMap((error) => [
      ...Object.values(error.constraints ?? {}).map((message) => `${path}${error.property} ${message}`),
      ...walk(error.children ?? [], `${path}${error.property}.`),
    ]);
  return walk(
    validateSync(plainToInstance(type, value) as object, { whitelist: true, forbidNonWhitelisted: true }),
    '',
  );
};

describe('wire shapes', () => {
  it('say what is wrong with a field', () =>
    expect(faults(SignIn, { email: '', password: 5 })).toEqual(
      expect.arrayContaining(['email is missing', 'password must be text']),
    ));
  it('look into lists', () =>
    expect(
      faults(SavePayroll, {
        version: 1,
        entries: [{ employeeId: 'x', isPaid: 'yes', earnings: [{ item: 'regular', hours: 8 }], deductions: [] }],
      }),
    ).toEqual(
      expect.arrayContaining([
        'entries.0.employeeId must be an identifier',
        'entries.0.isPaid must be true or false',
        'entries.0.earnings.0.hours must be text',
      ]),
    ));
  it('take nothing they do not know', () =>
    expect(faults(SignIn, { email: 'a@b', password: 'x', role: 'administrator' }).join(' ')).toMatch(/role/));
  it('days are days', () =>
    expect(faults(CreateEmployee, { hiredOn: '1/2/2026' }).join(' ')).toMatch(/hiredOn is not a calendar day/));
  it('every class has fields for the API’s description', () => {
    expect(wireClasses().size).toBeGreaterThan(40);
    for (const [owner, fields] of wireClasses()) expect([owner.name, fields.size]).not.toEqual([owner.name, 0]);
  });
});
