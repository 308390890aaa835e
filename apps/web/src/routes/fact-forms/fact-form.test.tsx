import { MantineProvider } from '@mantine/core';
import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { EMPLOYEE_FACTS } from '@zakat/core/facts/employee-facts';
import { CLIENT_FACTS } from '@zakat/core/facts/client-facts';
import type { FactKinds } from '@zakat/core/facts/fact-kind';
import { MemoryRouter } from 'react-router';
import { Refused } from '../../api/client.js';
import { startAnew } from '../../testing/pages.js';
import { FactForm, type FormFact } from './fact-form.js';
import { forgetDrafts } from './use-draft.js';

afterEach(startAnew);

const TODAY = '2026-10-22';
interface Given {
  readonly kinds?: FactKinds;
  readonly initial?: Record<string, unknown>;
  readonly from?: string;
  readonly error?: Error | null;
  readonly draftKey?: string;
}
function show(
  name: string,
  { kinds = EMPLOYEE_FACTS, initial = {}, from = TODAY, error = null, draftKey = 'd' }: Given = {},
) {
  const kind = kinds.find(name);
  if (!kind) throw new Error(`no kind ${name}`);
  const onSave = jest.fn<(fact: FormFact, done: () => void) => void>();
  const onConsider = jest.fn<(fact: FormFact | null) => void>();
  const onClose = jest.fn();
  const page = render(
    <MantineProvider env="test">
      <MemoryRouter>
        <FactForm
          kind={kind}
          fields={kind.fields}
          initial={initial}
          today={TODAY}
          from={from}
          draftKey={draftKey}
          check={(value) => kinds.issues(name, value, 'value')}
          isSaving={false}
          error={error}
          onSave={onSave}
          onConsider={onConsider}
          onClose={onClose}
        />
      </MemoryRouter>
    </MantineProvider>,
  );
  return { onSave, onConsider, onClose, page };
}
const type = (label: string | RegExp, value: string): void =>
  void fireEvent.change(screen.getByLabelText(label), { target: { value } });
const record = (): void => void fireEvent.submit(screen.getByRole('form'));

describe('the form of a fact', () => {
  it('asks only for what the answers so far make a question', () => {
    show('pay');
    expect(screen.queryByLabelText(/Hourly rate/)).toBeNull();
    type('Pay type', 'hourly');
    expect(screen.getByLabelText(/Hourly rate/)).toBeTruthy();
    expect(screen.queryByLabelText('Salary')).toBeNull();
    type('Pay type', 'salary');
    expect(screen.queryByLabelText(/Hourly rate/)).toBeNull();
    expect(screen.getByLabelText('Salary')).toBeTruthy();
  });
  it('proposes the localities of the state that is typed, and none where no locality taxes', () => {
    show('place');
    const proposed = (): string[] =>
      [...(screen.getByLabelText<HTMLInputElement>('Work locality').list?.options ?? [])].map((option) => option.value);
    expect(proposed()).toEqual([]);
    type('Work state', 'pennsylvania');
    expect(proposed()).toContain('Philadelphia');
    type('Work state', 'TX');
    expect(proposed()).toEqual([]);
  });
  it('says nothing wrong before it was tried, then names the field, and saves nothing', () => {
    const { onSave } = show('standing');
    expect(document.querySelectorAll('[aria-invalid="true"]').length).toBe(0);
    record();
    expect(onSave).not.toHaveBeenCalled();
    expect(document.querySelectorAll('[aria-invalid="true"]').length).toBeGreaterThan(0);
  });
  it('reads back what it will say as soon as it is whole', () => {
    show('standing');
    type(/Pay item/, '401k');
    expect(document.querySelector('.reads')).toBeNull();
    type(/or percent of gross/, '6');
    expect(document.querySelector('.reads')?.textContent).toBe('401(k) deferral 6% of gross');
  });
  it('records the value without its blanks, from the day given, and closes when it is stored', () => {
    const { onSave, onClose } = show('standing');
    type(/Pay item/, 'loan');
    type(/^Amount/, '90.00');
    type(/Remaining balance/, '700.00');
    type(/^From/, '2026-11-01');
    record();
    expect(onSave.mock.calls[0]?.[0]).toEqual({
      kind: 'standing',
      from: '2026-11-01',
      value: { item: 'loan', amount: '90.00', balance: '700.00' },
    });
    expect(onClose).not.toHaveBeenCalled();
    act(() => onSave.mock.calls[0]?.[1]());
    expect(onClose).toHaveBeenCalled();
  });
  it.each([
    ['2026-11-01', /Counts from then/],
    ['2026-10-01', /In the past/],
    [TODAY, /Counts from today/],
  ])('a day of %s says what it means', (from, words) => {
    show('employment', { from });
    expect(screen.getByText(words)).toBeTruthy();
  });
  it('a day that is none is told at its field, and keeps the form', () => {
    const { onSave } = show('employment', { initial: { standing: 'active' } });
    type(/^From/, 'soon');
    record();
    expect([screen.getByText('Type month, day and year, like 01/31/2026.'), onSave.mock.calls.length]).toEqual([
      expect.anything(),
      0,
    ]);
  });
  it('lets what is typed be considered while it is whole, and takes that back', () => {
    const { onConsider, page } = show('standing');
    type(/Pay item/, 'loan');
    expect(onConsider.mock.calls.at(-1)).toEqual([null]);
    type(/^Amount/, '90.00');
    expect(onConsider.mock.calls.at(-1)?.[0]).toMatchObject({ value: { item: 'loan', amount: '90.00' } });
    page.unmount();
    expect(onConsider.mock.calls.at(-1)).toEqual([null]);
  });
  it('keeps what was typed through a reload, apart from other forms, until it is given up or forgotten', () => {
    show('employment').page.unmount();
    const first = show('standing');
    type(/Pay item/, 'loan');
    first.page.unmount();
    const again = show('standing');
    expect(screen.getByLabelText<HTMLInputElement>(/Pay item/).value).toBe('loan');
    again.page.unmount();
    show('standing', { draftKey: 'other' }).page.unmount();
    const other = show('standing', { draftKey: 'other' });
    expect(screen.getByLabelText<HTMLInputElement>(/Pay item/).value).toBe('');
    other.page.unmount();
    forgetDrafts();
    show('standing');
    expect(screen.getByLabelText<HTMLInputElement>(/Pay item/).value).toBe('');
  });
  it.each([
    ['Escape', () => fireEvent.keyDown(screen.getByRole('form'), { key: 'Escape' })],
    ['the way out', () => fireEvent.click(screen.getByRole('button', { name: 'cancel' }))],
  ])('%s closes it', (_, leave) => {
    const { onClose, onSave } = show('standing');
    leave();
    expect([onClose.mock.calls.length, onSave.mock.calls.length]).toEqual([1, 0]);
  });
  it('shows what the server refused at the field it is about', () => {
    const error = new Refused({
      type: '',
      title: '',
      status: 422,
      detail: 'It cannot be recorded.',
      code: 'refused',
      problems: [
        {
          field: 'fact.value.amount',
          severity: 'error',
          sentence: 'Too much for this plan.',
          fix: 'Enter less.',
          code: 'x',
        },
      ],
    } as ConstructorParameters<typeof Refused>[0]);
    show('standing', { initial: { item: 'loan', amount: '90.00' }, error });
    const field = screen.getByLabelText(/^Amount/);
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(screen.getAllByText(/Too much for this plan\. Enter less\./).length).toBeGreaterThan(0);
  });
  it('takes rows in and out', () => {
    const { onSave } = show('pay', { initial: { basis: 'hourly', rate: '20.00' } });
    fireEvent.click(screen.getAllByRole('button', { name: 'Add' })[0] as HTMLElement);
    type('For', 'Night desk');
    type('Rate', '24.75');
    fireEvent.click(screen.getAllByRole('button', { name: 'Add' })[0] as HTMLElement);
    fireEvent.click(screen.getAllByRole('button', { name: 'take out' })[1] as HTMLElement);
    record();
    expect(onSave.mock.calls[0]?.[0].value).toMatchObject({ rates: [{ label: 'Night desk', rate: '24.75' }] });
  });
  it('a percentage is echoed in words', () => {
    show('own-rate', { kinds: CLIENT_FACTS });
    type(/^Percent/, '2.7');
    expect(screen.getByText(/27\.00 per 1,000/)).toBeTruthy();
  });
  it('a mark is on or off', () => {
    const { onSave } = show('worker', { initial: {} });
    type(/Social security wages last year/, '151000.00');
    record();
    expect(onSave.mock.calls[0]?.[0].value).toEqual({ priorYearWages: '151000.00' });
    startAnew();
    const federal = show('federal-certificate', { initial: { form: '2020', filingStatus: 'single' } });
    fireEvent.click(screen.getByLabelText(/Step 2\(c\)/));
    record();
    expect(federal.onSave.mock.calls[0]?.[0].value).toEqual({
      form: '2020',
      filingStatus: 'single',
      multipleJobs: true,
    });
  });
});
