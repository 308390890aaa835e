import { describe, expect, it } from '@jest/globals';
import { readPaste } from './pasted.js';
import type { SheetRow } from './sheet-row.js';

const row = (number: string, name: string): SheetRow => ({ employeeId: `e${number}`, number, name }) as SheetRow;
const ROWS = [row('1', 'Rosalind M Quay'), row('2', 'Piet Lomax'), row('3', 'Calla J Ferreday')];
const take = (text: string, from = 0, rows = ROWS) =>
  readPaste(
    text.split('\n').map((line) => line.split('\t')),
    rows,
    from,
  );
const brief = (text: string, from = 0) =>
  take(text, from).cells.map((cell) => `${cell.employeeId} ${cell.across} ${cell.value}`);

describe('lines that are pasted', () => {
  it('without names go down from the cell, in their order', () =>
    expect(brief('80\n76.5\t2', 1)).toEqual(['e2 0 80', 'e3 0 76.5', 'e3 1 2']));
  it('without names stop at the last person, and say which lines are left', () =>
    expect(take('1\n2\n\n3', 2)).toEqual({
      cells: [{ employeeId: 'e3', across: 0, value: '1' }],
      unmatched: ['line 2', 'line 4'],
    }));
  it.each([
    ['by number', '3\t70\n1\t80'],
    ['by name', 'Calla J Ferreday\t70\nRosalind M Quay\t80'],
    ['by last name first', 'Ferreday, Calla\t70\nQUAY, ROSALIND M\t80'],
    ['by first and last name', 'Calla Ferreday\t70\nrosalind quay\t80'],
  ])('go to whom they name: %s', (_, text) => expect(brief(text, 2)).toEqual(['e3 0 70', 'e1 0 80']));
  it('say whom they name that is not here, and take nothing for that name', () =>
    expect(take('Calla Ferreday\t70\nRosalind Quay\t80\nNo Body\t8')).toMatchObject({
      unmatched: ['No Body'],
      cells: [{ employeeId: 'e3' }, { employeeId: 'e1' }],
    }));
  it('take a name that two people share for nobody', () => {
    const twins = [row('1', 'Ada Brine'), row('2', 'Ada Brine'), row('3', 'Piet Lomax')];
    expect(take('Ada Brine\t1\nPiet Lomax\t2\n3\t4', 0, twins)).toMatchObject({ unmatched: ['Ada Brine'] });
  });
  it('of two plain columns are values, not names', () => expect(brief('40\t2\n38\t1')).toHaveLength(4));
});
