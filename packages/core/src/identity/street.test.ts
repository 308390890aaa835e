import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { streetInFile, streetInOneLine, streetLines, streetOf } from './street.js';

describe('a street in the two fields of a file', () => {
  it.each([
    ['12 Pier Road', '12 Pier Road', ''],
    ['1425 North Delaware Avenue', '1425 N Delaware AVE', ''],
    ['1425 North Delaware Avenue Suite 200', '1425 N Delaware AVE', 'Suite 200'],
    ['1425 North Delaware Avenue, Apt. 4-B', '1425 N Delaware AVE', 'Apt. 4-B'],
    ['1425 North Delaware Avenue\nSuite 200', '1425 N Delaware AVE', 'Suite 200'],
    ['88 Martin Luther King Boulevard', '88 Martin Luther King', ''],
    ['4500 Saint Charles Street NW', '4500 ST Charles ST NW', ''],
    ['Warehouse on the First Floor Street', 'Warehouse on the First', ''],
    ['1 Commonwealth Esplanade # 12', '1 Commonwealth Esplana', '# 12'],
  ])('%j is %j and %j', (street, delivery, location) => {
    const found = streetInFile(street, 22);
    expect([found.delivery.startsWith(delivery), found.location]).toEqual([true, location]);
  });
  it('abbreviates no more than it must, from the end on', () => {
    expect(streetInFile('10 Northwest Harbor Road', 22).delivery).toBe('10 Northwest Harbor RD');
    expect(streetInFile('10 Northwest Harbor Terrace', 22).delivery).toBe('10 Northwest HBR TER');
  });
  it('says when something does not fit at all', () => {
    expect(streetInFile('10000 Massachusetts Commonwealth Promenade', 22)).toEqual({
      delivery: '10000 Massachusetts Co',
      location: '',
      isCut: true,
    });
    expect(streetInFile('12 Pier Road', 22).isCut).toBe(false);
  });
  it('never fills a field beyond its width', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), fc.string({ maxLength: 60 }), (first, second) => {
        const found = streetInFile(streetOf(first, second), 22);
        expect(Math.max(found.delivery.length, found.location.length)).toBeLessThanOrEqual(22);
      }),
    );
  });
});

describe('the lines of a street', () => {
  it('are one or two', () => {
    expect(streetLines('12 Pier Road')).toEqual(['12 Pier Road', '']);
    expect(streetLines(streetOf(' 12 Pier Road ', 'Unit 3'))).toEqual(['12 Pier Road', 'Unit 3']);
    expect(streetOf('12 Pier Road', ' ')).toBe('12 Pier Road');
    expect(streetInOneLine('12 Pier Road\nUnit 3')).toBe('12 Pier Road, Unit 3');
  });
});
