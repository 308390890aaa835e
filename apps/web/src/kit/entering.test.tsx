import { MantineProvider } from '@mantine/core';
import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { ColumnMapping } from './column-mapping.js';
import { EntryForm } from './entry-form.js';
import { FileChoice } from './file-choice.js';
import { LetPass } from './let-pass.js';

afterEach(cleanup);
const show = (node: ReactNode) =>
  render(
    <MantineProvider env="test">
      <MemoryRouter>{node}</MemoryRouter>
    </MantineProvider>,
  );
const COLUMNS = [
  { name: 'gross', label: 'Gross pay' },
  { name: 'net', label: 'Net pay' },
];

describe('the columns of a file', () => {
  it('a column taken twice moves to where it was chosen last', () => {
    const onChange = jest.fn();
    show(<ColumnMapping headings={['Total', '']} mapping={['gross', '']} columns={COLUMNS} onChange={onChange} />);
    fireEvent.change(screen.getByLabelText('Column 2'), { target: { value: 'gross' } });
    fireEvent.blur(screen.getByLabelText('Column 2'));
    expect(onChange).toHaveBeenCalledWith(['', 'gross']);
  });
  it('several may be left out', () => {
    const onChange = jest.fn();
    show(<ColumnMapping headings={['Total', 'Mood']} mapping={['gross', '']} columns={COLUMNS} onChange={onChange} />);
    fireEvent.change(screen.getByLabelText('Total'), { target: { value: '' } });
    fireEvent.blur(screen.getByLabelText('Total'));
    expect(onChange).toHaveBeenCalledWith(['', '']);
  });
});

describe('letting something pass', () => {
  it('asks for the reason first', () => {
    const onPass = jest.fn();
    show(<LetPass what="the birth date" because={null} error={null} onPass={onPass} />);
    fireEvent.click(screen.getByRole('button', { name: 'let it pass: the birth date' }));
    expect(onPass).not.toHaveBeenCalled();
    fireEvent.change(screen.getByLabelText('Reason'), { target: { value: 'it comes with the card' } });
    fireEvent.submit(screen.getByLabelText('Reason'));
    expect(onPass).toHaveBeenCalledWith('it comes with the card');
  });
  it('says why it was let pass, and cannot be done twice', () => {
    show(<LetPass what="it" because="the card is lost" error={null} onPass={() => undefined} />);
    expect(screen.getByText('let pass: the card is lost')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});

describe('a small form', () => {
  const form = (onSave: () => void, onClose: () => void, error: Error | null = null): ReactNode => (
    <EntryForm label="Bank account" act="Record" isBusy={false} error={error} onSave={onSave} onClose={onClose}>
      <input aria-label="Bank" />
    </EntryForm>
  );
  it('is saved by Enter and left by Escape', () => {
    const [onSave, onClose] = [jest.fn(), jest.fn()];
    show(form(onSave, onClose));
    fireEvent.submit(screen.getByRole('form', { name: 'Bank account' }));
    fireEvent.keyDown(screen.getByLabelText('Bank'), { key: 'Escape' });
    expect([onSave.mock.calls.length, onClose.mock.calls.length]).toEqual([1, 1]);
  });
  it('shows what was refused, and keeps what was typed', () => {
    const nothing = (): void => undefined;
    const { rerender } = show(form(nothing, nothing));
    fireEvent.change(screen.getByLabelText('Bank'), { target: { value: 'Harbor' } });
    rerender(
      <MantineProvider env="test">
        <MemoryRouter>{form(nothing, nothing, new Error('The server is not there.'))}</MemoryRouter>
      </MantineProvider>,
    );
    expect(screen.getByRole('alert').textContent).toBe('The server is not there.');
    expect((screen.getByLabelText('Bank') as HTMLInputElement).value).toBe('Harbor');
  });
});

describe('choosing a file', () => {
  const choose = (file: File): void => {
    const input = document.querySelector('input[type=file]');
    if (!input) throw new Error('there is no file input');
    fireEvent.change(input, { target: { files: [file] } });
  };
  it('hands on its bytes in base64', async () => {
    const onFile = jest.fn((_file: unknown) => Promise.resolve());
    show(<FileChoice label="Read a file" isBusy={false} onFile={onFile} />);
    choose(new File(['a,b\n1,2'], 'table.csv'));
    await waitFor(() =>
      expect(onFile).toHaveBeenCalledWith({
        fileName: 'table.csv',
        content: btoa('a,b\n1,2'),
      }),
    );
  });
  it('refuses one that is too large before anything is sent', async () => {
    const onFile = jest.fn((_file: unknown) => Promise.resolve());
    show(<FileChoice label="Read a file" isBusy={false} onFile={onFile} />);
    choose(new File([new Uint8Array(6_000_000)], 'huge.csv'));
    expect((await screen.findByRole('alert')).textContent).toBe('The file is larger than 5 MB. Split it into several.');
    expect(onFile).not.toHaveBeenCalled();
  });
});
