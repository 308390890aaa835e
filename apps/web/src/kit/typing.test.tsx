import { describe, expect, it } from '@jest/globals';
import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import fc from 'fast-check';
import { useState, type ReactNode } from 'react';
import { DateField } from './date-field.js';
import { linesOf } from './life-line.js';
import { titleOf } from './page-title.js';
import { TYPINGS, TypedField, type Typing } from './typed-field.js';

/** A field in a page that shows what is stored. */
function show(field: (value: string, set: (value: string) => void) => ReactNode, initial = ''): () => string {
  cleanup();
  function Page(): ReactNode {
    const [value, set] = useState(initial);
    return (
      <QueryClientProvider client={new QueryClient()}>
        <MantineProvider>
          {field(value, set)}
          <output>{value}</output>
        </MantineProvider>
      </QueryClientProvider>
    );
  }
  render(<Page />);
  return () => document.querySelector('output')?.textContent ?? '';
}
const field = (): HTMLInputElement => screen.getByLabelText('It');
function type(text: string): void {
  fireEvent.change(field(), { target: { value: text } });
  fireEvent.blur(field());
}

describe('a day that is typed', () => {
  const open = (initial = '') => show((value, set) => <DateField label="It" value={value} onChange={set} />, initial);
  it.each(['10/16/26', '101626', '10-16-2026', '16-Oct-26', 'Oct 16, 2026', '2026-10-16'])('%s', (text) => {
    const stored = open();
    type(text);
    expect([stored(), field().value]).toEqual(['2026-10-16', '10/16/2026']);
  });
  it('shows what is stored as it is written here', () => {
    open('2026-01-05');
    expect(field().value).toBe('01/05/2026');
  });
  it('that is none stays, and is told once the field is left', () => {
    const stored = open();
    fireEvent.change(field(), { target: { value: '2/30/2026' } });
    expect(screen.queryByText(/is not a calendar day/)).toBeNull();
    fireEvent.blur(field());
    expect([stored(), field().value]).toEqual(['2/30/2026', '2/30/2026']);
    expect(screen.getByText(/2\/30\/2026 is not a calendar day/)).toBeTruthy();
  });
  it('is picked from a calendar by the keyboard', async () => {
    const stored = open('2026-10-16');
    fireEvent.keyDown(field(), { key: 'ArrowDown', altKey: true });
    fireEvent.click(await screen.findByRole('button', { name: '22 October 2026', hidden: true }));
    expect([stored(), field().value]).toEqual(['2026-10-22', '10/22/2026']);
  });
});

describe('what is typed in the fields of the trade', () => {
  it.each<[keyof typeof TYPINGS, string, string, string]>([
    ['amount', '$1,250', '1250.00', '1,250.00'],
    ['amount', ' 1 250.5 ', '1250.50', '1,250.50'],
    ['amount', '12.345', '12.345', '12.345'],
    ['ssn', '899 34 5603', '899345603', '899-34-5603'],
    ['ssn', '899-34-560', '899-34-560', '899-34-560'],
    ['ein', '12 3456789', '123456789', '12-3456789'],
    ['phone', '(315) 555-0121', '3155550121', '315-555-0121'],
    ['phone', '+1 315.555.0121', '3155550121', '315-555-0121'],
    ['state', 'new york', 'NY', 'NY'],
    ['state', 'Atlantis', 'Atlantis', 'Atlantis'],
    ['zip', '19148-1234', '19148', '19148'],
    ['zip', 'K1A 0B1', 'K1A 0B1', 'K1A 0B1'],
  ])('%s %s', (kind, text, kept, shown) => {
    const typing: Typing = TYPINGS[kind];
    const stored = show((value, set) => <TypedField label="It" typing={typing} value={value} onChange={set} />);
    type(text);
    expect([stored(), field().value]).toEqual([kept, shown]);
  });
});

describe('the title of a page', () => {
  it('is the place of a client, its name, and ours', () => {
    const page = document.createElement('main');
    page.innerHTML =
      '<h1>Gannet Boatyard<small>Gannet</small></h1><nav class="places"><a>Ledger</a><a aria-current="page">Deposits</a></nav>';
    expect(titleOf(page)).toBe('Deposits · Gannet Boatyard · Zakat');
    page.innerHTML = '<h1>The ladder</h1>';
    expect(titleOf(page)).toBe('The ladder · Zakat');
  });
});

describe('the labels of a timeline', () => {
  it('stand on one line while they do not touch, and on the next free one where they would', () => {
    expect(
      linesOf([
        { from: 0, to: 100 },
        { from: 120, to: 200 },
      ]),
    ).toEqual([0, 0]);
    expect(
      linesOf([
        { from: 0, to: 100 },
        { from: 50, to: 160 },
        { from: 60, to: 170 },
        { from: 130, to: 220 },
      ]),
    ).toEqual([0, 1, 2, 0]);
  });
  it('never overlap, however many marks lie together', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(900), fc.nat(200)), { maxLength: 40 }), (marks) => {
        const labels = marks.map(([from, width]) => ({ from, to: from + width })).sort((a, b) => a.from - b.from);
        const lines = linesOf(labels);
        labels.forEach((one, index) =>
          labels.slice(index + 1).forEach((other, behind) => {
            if (lines[index] === lines[index + 1 + behind]) expect(other.from).toBeGreaterThan(one.to);
          }),
        );
      }),
    );
  });
});
