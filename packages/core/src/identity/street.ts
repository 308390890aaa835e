/**
 * Streets as people write them, in one or two lines, and as a file carries them. Abbreviations are those of USPS
 * Publication 28, appendices B (directions), C1 (suffixes) and C2 (units within a building); recalled, not yet compared
 * with the print.
 */
const WORDS: Readonly<Record<string, string>> = {
  north: 'N',
  south: 'S',
  east: 'E',
  west: 'W',
  northeast: 'NE',
  northwest: 'NW',
  southeast: 'SE',
  southwest: 'SW',
  alley: 'ALY',
  avenue: 'AVE',
  boulevard: 'BLVD',
  bridge: 'BRG',
  bypass: 'BYP',
  causeway: 'CSWY',
  center: 'CTR',
  circle: 'CIR',
  court: 'CT',
  crescent: 'CRES',
  crossing: 'XING',
  drive: 'DR',
  estates: 'ESTS',
  expressway: 'EXPY',
  extension: 'EXT',
  freeway: 'FWY',
  garden: 'GDN',
  gardens: 'GDNS',
  gateway: 'GTWY',
  grove: 'GRV',
  harbor: 'HBR',
  heights: 'HTS',
  highway: 'HWY',
  hill: 'HL',
  hills: 'HLS',
  island: 'IS',
  junction: 'JCT',
  landing: 'LNDG',
  lane: 'LN',
  manor: 'MNR',
  meadows: 'MDWS',
  mountain: 'MTN',
  parkway: 'PKWY',
  place: 'PL',
  plaza: 'PLZ',
  point: 'PT',
  ridge: 'RDG',
  river: 'RIV',
  road: 'RD',
  route: 'RTE',
  saint: 'ST',
  shore: 'SHR',
  spring: 'SPG',
  springs: 'SPGS',
  square: 'SQ',
  station: 'STA',
  street: 'ST',
  summit: 'SMT',
  terrace: 'TER',
  trail: 'TRL',
  turnpike: 'TPKE',
  valley: 'VLY',
  view: 'VW',
  village: 'VLG',
  apartment: 'APT',
  basement: 'BSMT',
  building: 'BLDG',
  department: 'DEPT',
  floor: 'FL',
  hangar: 'HNGR',
  lobby: 'LBBY',
  office: 'OFC',
  penthouse: 'PH',
  room: 'RM',
  space: 'SPC',
  suite: 'STE',
  trailer: 'TRLR',
};
const UNIT =
  /[,\s]+((?:apartment|apt|suite|ste|unit|floor|fl|room|rm|building|bldg|lot|space|spc|trailer|trlr|#)\.?\s*#?\s*(?:[\w-]*\d[\w-]*|[a-z]))$/i;

/** Most characters of each line as a person or a client is recorded. */
export const STREET_LINE_LENGTH = 60;

/** The two lines of a street; the second is blank where there is none. */
export function streetLines(street: string): readonly [street: string, unit: string] {
  const [first = '', ...rest] = street.split('\n').map((line) => line.trim());
  return [first, rest.filter((line) => line !== '').join(', ')];
}
export const streetOf = (first: string, second: string): string =>
  second.trim() === '' ? first : `${first.trim()}\n${second.trim()}`;
/** A street in one line, for a sentence or a column. */
export const streetInOneLine = (street: string): string =>
  streetLines(street)
    .filter((line) => line !== '')
    .join(', ');

/** A line with the words of the postal service shortened, from its end on, until it fits; whole where it fits already. */
function abbreviated(line: string, most: number): string {
  const plain = line.replace(/[.,]/g, '').replace(/\s+/g, ' ').trim();
  if (line.length <= most) return line;
  const words = plain.split(' ');
  for (let at = words.length - 1; at >= 0 && words.join(' ').length > most; at -= 1)
    words[at] = WORDS[(words[at] ?? '').toLowerCase()] ?? words[at] ?? '';
  return words.join(' ');
}

export interface StreetInFile {
  readonly delivery: string;
  /** Suite, room, apartment: the location line of a file; blank where there is none. */
  readonly location: string;
  /** Whether something does not fit even when it is abbreviated. */
  readonly isCut: boolean;
}
/** A street in two fields of `most` characters each: a unit at its end moves to the second, words are abbreviated. */
export function streetInFile(street: string, most: number): StreetInFile {
  const [first, second] = streetLines(street);
  const unit = second === '' && first.length > most ? UNIT.exec(first) : null;
  const delivery = abbreviated(unit ? first.slice(0, unit.index) : first, most);
  const location = abbreviated(unit?.[1] ?? second, most);
  return {
    delivery: delivery.slice(0, most).trimEnd(),
    location: location.slice(0, most).trimEnd(),
    isCut: delivery.length > most || location.length > most,
  };
}
