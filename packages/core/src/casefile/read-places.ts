import { type Issue, problem } from '../issues/issue.js';
import { rate, showRate } from '../money/rate.js';
import type { Localization, WorkPlace } from '../computation/input.js';
import { Reader } from './reader.js';

interface Places {
  readonly work: readonly WorkPlace[];
  readonly residenceState: string;
  readonly residenceLocalities: readonly string[];
}

/** A locality is a name or code, or a list of them (a municipality and a school district). */
function localitiesOf(reader: Reader | null, issues: Issue[]): string[] {
  if (!reader) return [];
  const given = reader.raw('locality');
  const names: string[] = [];
  const take = (name: unknown): void => {
    if (name === undefined || name === null) return;
    if (typeof name === 'string' && name.trim() !== '') names.push(name);
    else issues.push(problem('input.missing', `${reader.path}.locality`, { what: 'the name of the locality' }));
  };
  if (Array.isArray(given)) for (const name of given as unknown[]) take(name);
  else take(given);
  take(reader.raw('schoolDistrict'));
  return names;
}

export function readPlaces(employee: Reader, issues: Issue[]): Places {
  const residence = employee.object('residence');
  const residenceState = residence?.text('state') ?? '';
  residence?.only(['state', 'locality', 'schoolDistrict']);
  const readers = employee.list('work', true);
  if (readers.length === 0 && employee.has('work'))
    issues.push(problem('input.missing', 'employee.work', { what: 'a place of work' }));
  const work = readers.map((place): WorkPlace => {
    place.only(['state', 'locality', 'share', 'convenienceOf', 'reciprocityCertificate']);
    return {
      state: place.text('state') ?? '',
      localities: localitiesOf(place, issues),
      share: (place.has('share') ? place.decimal('share') : null) ?? (readers.length === 1 ? rate('1') : rate('0')),
      convenienceOf: place.has('convenienceOf') ? place.text('convenienceOf') : null,
      reciprocityCertificate: place.has('reciprocityCertificate') ? place.flag('reciprocityCertificate') : null,
    };
  });
  const whole = 10 ** 9;
  const sum = work.reduce((total, { share }) => total + Math.round((share.n * whole) / share.d), 0);
  if (work.length > 0 && sum !== whole)
    issues.push(problem('rule.shares', 'employee.work', { sum: showRate({ n: sum, d: whole }) }));
  return { work, residenceState, residenceLocalities: localitiesOf(residence, issues) };
}

/** What the tests of unemployment coverage ask, when the case answers them. */
export function readLocalization(reader: Reader | null): Localization | null {
  if (!reader) return null;
  reader.only(['localizedIn', 'baseOfOperations', 'directedFrom']);
  const state = (name: string): string | null => (reader.has(name) ? reader.text(name) : null);
  return {
    localizedIn: state('localizedIn'),
    baseOfOperations: state('baseOfOperations'),
    directedFrom: state('directedFrom'),
  };
}
