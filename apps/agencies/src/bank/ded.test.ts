import { describe, expect, it } from '@jest/globals';
import { supportPart } from './ded.js';

const SOUND = 'DED*CS*CS0012345*261016*0000011500*899451001*N*QUILL,BAR*06037*Y\\';

describe('a payment of support, as its payee reads it', () => {
  it('takes what is sound, with and without what may be left out', () => {
    expect(supportPart(SOUND, 11_500)).toBe(SOUND.slice(0, -1));
    expect(supportPart('DED*CS*1*261016*11500*899451001*Y*FEATHERANN\\   ', 11_500)).toMatch(/FEATHERANN$/);
  });
  it.each([
    ['no end', SOUND.slice(0, -1)],
    ['another application', SOUND.replace('*CS*', '*XX*')],
    ['no case', SOUND.replace('CS0012345', '')],
    ['no day', SOUND.replace('261016', '261316')],
    ['another amount', SOUND.replace('0000011500', '0000011501')],
    ['a short number', SOUND.replace('899451001', '89945100')],
    ['no word on medical support', SOUND.replace('*N*', '**')],
    ['a whole name', SOUND.replace('QUILL,BAR', 'BARTHOLOMEW QUILL')],
    ['a county of four digits', SOUND.replace('06037', '0603')],
    ['a wrong end of employment', SOUND.replace('*Y\\', '*N\\')],
    ['too much', SOUND.replace('\\', '*1\\')],
  ])('refuses %s', (_, text) => expect(() => supportPart(text, 11_500)).toThrow());
});
