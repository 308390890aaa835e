import { MantineProvider } from '@mantine/core';
import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { correctionPath } from '../routes/filing/fields.js';
import { Figure } from './figure.js';
import { Problems } from './problems.js';
import { ReleaseSlip, type Slip } from './release-slip.js';
import { Status } from './status.js';
import { TieOutSheet, type TieRow } from './tie-out-sheet.js';
import { WorkingPane } from './working-pane.js';
import { WorkingProvider } from './working.js';

afterEach(() => {
  cleanup();
  localStorage.clear();
});
const show = (node: ReactNode) =>
  render(
    <MantineProvider env="test">
      <MemoryRouter>
        <WorkingProvider>
          {node}
          <WorkingPane />
        </WorkingProvider>
      </MemoryRouter>
    </MantineProvider>,
  );

describe('a figure', () => {
  it('always has cents, a true minus, and a dash for zero', () => {
    show(
      <>
        <Figure amount={123456} />
        <Figure amount={-5} />
        <Figure amount={0} />
      </>,
    );
    for (const text of ['1,234.56', '−0.05', '–']) expect(screen.getByText(text)).toBeTruthy();
  });
  it('opens its working with the source, and says what is not verified', () => {
    const parameter = {
      name: 'Wage base',
      value: '184,500.00',
      from: '2026-01-01',
      publication: 'Contribution and Benefit Base',
      edition: '2026',
      place: 'table',
      verified: false,
      doubt: 'Recalled.',
    };
    show(
      <Figure
        amount={6200}
        label="OASDI"
        working={() => ({
          title: 'OASDI of somebody',
          lines: [
            { label: 'Wage base', value: '184,500.00', parameter },
            { label: 'OASDI', value: '62.00', isResult: true },
          ],
        })}
      />,
    );
    fireEvent.click(screen.getByRole('button', { name: /OASDI 62.00/ }));
    const pane = within(screen.getByRole('complementary', { name: 'Tape' }));
    expect(pane.getByText(/Contribution and Benefit Base \(2026\)/)).toBeTruthy();
    expect(pane.getByText(/Not yet verified against the print. Recalled./)).toBeTruthy();
  });
});

describe('a status', () => {
  it('is a shape and a word', () => {
    const { container } = show(<Status word="rejected" />);
    expect(screen.getByText('rejected')).toBeTruthy();
    expect(container.querySelectorAll('.status svg').length).toBe(1);
  });
});

const slip: Slip = {
  title: 'Form 941 taxes',
  act: 'release',
  figures: [{ label: 'Settles', value: 'Mon, Nov 16, 2026' }],
  leaves: '1.00 leaves.',
  becomesImpossible: 'No calling back.',
  wayBack: 'Claim it.',
  checks: [{ label: 'The file adds up', isPassed: true, says: '' }],
  mayRelease: true,
  file: '101',
};
describe('the release slip', () => {
  it('acts once however often it is clicked', () => {
    const act = jest.fn(() => new Promise<void>(() => undefined));
    show(<ReleaseSlip slip={slip} actLabel="Release" isBusy={false} onAct={act} onClose={() => undefined} />);
    const button = screen.getByRole('button', { name: 'Release' });
    for (let click = 0; click < 5; click += 1) fireEvent.click(button);
    expect(act).toHaveBeenCalledTimes(1);
  });
  it('cannot act while a check fails, and says which', () => {
    show(
      <ReleaseSlip
        slip={{
          ...slip,
          mayRelease: false,
          checks: [{ label: 'The file adds up', isPassed: false, says: 'It does not.' }],
        }}
        actLabel="Release"
        isBusy={false}
        onAct={() => Promise.resolve()}
        onClose={() => undefined}
      />,
    );
    expect((screen.getByRole('button', { name: 'Release' }) as HTMLButtonElement).disabled).toBe(true);
    expect(screen.getByText('It does not.')).toBeTruthy();
  });
  it('says what leaves, what becomes impossible and the way back', () => {
    show(
      <ReleaseSlip
        slip={slip}
        actLabel="Release"
        isBusy={false}
        onAct={() => Promise.resolve()}
        onClose={() => undefined}
      />,
    );
    for (const text of [slip.leaves, slip.becomesImpossible, slip.wayBack]) expect(screen.getByText(text)).toBeTruthy();
  });
});

describe('the tie-out sheet', () => {
  const rows: TieRow[] = [
    {
      key: 'US-FIT',
      label: 'Federal income tax',
      stations: { register: 100, ledger: 100, deposits: 40, returns: null, 'wage-statements': null },
      differences: [{ from: 'ledger', to: 'deposits', amount: -60, cause: 'to-fix', says: 'not deposited, and due' }],
    },
    {
      key: 'US-HI',
      label: 'Medicare',
      stations: { register: null, ledger: 50, deposits: 0, returns: null, 'wage-statements': null },
      differences: [],
      pending: { amount: 50, says: 'not yet due' },
    },
  ];
  it('joins what agrees, breaks where it differs, and leaves what has no station', () => {
    show(<TieOutSheet rows={rows} cellWorking={() => ({ title: '', lines: [] })} />);
    expect(screen.getAllByRole('img', { name: 'agree' })).toHaveLength(1);
    expect(screen.getByRole('button', { name: /−0.60/ }).getAttribute('data-cause')).toBe('to-fix');
    expect(screen.getByText('not yet due')).toBeTruthy();
  });
  it('n goes to the next difference', () => {
    show(<TieOutSheet rows={rows} cellWorking={() => ({ title: '', lines: [] })} />);
    fireEvent.keyDown(document.documentElement, { key: 'n' });
    expect(document.activeElement?.textContent).toContain('−0.60');
  });
});

describe('a problem', () => {
  it('leads to its field and back', () => {
    show(
      <Problems
        title="Not yet"
        details={[
          { field: 'client.nameControl', severity: 'error', sentence: 'It does not match.', fix: 'Correct it.' },
        ]}
        route={(field) => correctionPath(field, 'c1', '/filings/f1')}
      />,
    );
    expect(screen.getByRole('link', { name: 'Go to the field' }).getAttribute('href')).toBe(
      '/clients/c1/facts?field=nameControl&back=%2Ffilings%2Ff1',
    );
  });
  it('of a person leads to the person', () =>
    expect(correctionPath('employee.00000000-0000-0000-0000-000000000001.ssn', 'c1', '/filings/f1')).toBe(
      '/employees/00000000-0000-0000-0000-000000000001?field=ssn&back=%2Ffilings%2Ff1',
    ));
});
