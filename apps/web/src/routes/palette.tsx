import { Modal, TextInput } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { useMatch, useNavigate } from 'react-router';
import type { Schemas } from '../api/client.js';
import { searchQuery } from '../api/resources.js';
import { CLIENT_PLACES, FIRM_PLACES, placesOfClient, type Place } from './palette-places.js';

const wordsOf = (typed: string): string[] =>
  typed
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
const hasAll = ({ label, words: also = '' }: Place, words: readonly string[]): boolean =>
  words.every((word) => `${label} ${also}`.toLowerCase().includes(word));
/** The words that name somebody: without those that begin the name of a place, unless nothing would be left. */
function nameWords(words: readonly string[]): readonly string[] {
  const names = words.filter(
    (word) =>
      !CLIENT_PLACES.some(([label, , also]) => `${label} ${also}`.split(' ').some((one) => one.startsWith(word))),
  );
  return names.join(' ').length < 2 ? words : names;
}

const placesOf = (hit: Schemas['Found']): Place[] =>
  hit.kind === 'person'
    ? [
        {
          label: `${hit.label}, ${hit.detail}`,
          path: `/employees/${hit.id}`,
          words: 'pay stub w-4 employee trial paycheck',
        },
      ]
    : placesOfClient(hit.id, `${hit.label} (${hit.detail})`);

/** A name that fits comes before what is only called so too. */
function ranked(places: readonly Place[], words: readonly string[]): Place[] {
  const rank = ({ label, path }: Place): number => (hasAll({ label, path }, words) ? 0 : 1);
  return [...places].sort((one, other) => rank(one) - rank(other));
}

/** All the places of one client, and a few beside them. */
const MOST_SHOWN = 24;
/** Goes to any place by typing parts of its name. */
export function Palette({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }): ReactNode {
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState(0);
  const navigate = useNavigate();
  const queries = useQueryClient();
  const words = wordsOf(typed);
  const sought = nameWords(words).join(' ');
  const { data: hits } = useQuery({ ...searchQuery(sought), enabled: isOpen && sought.length >= 2 });
  const clientId = useMatch('/clients/:clientId/*')?.params.clientId ?? null;
  const here = clientId !== null && clientId !== 'new' ? clientId : null;
  const law = useQuery({
    queryKey: ['palette-law'],
    queryFn: async () => (await import('./palette-law.js')).lawPlaces,
    enabled: isOpen && words.length > 0,
    staleTime: Infinity,
  });
  const places: Place[] = [
    ...(here === null ? [] : placesOfClient(here, 'This client')),
    ...FIRM_PLACES,
    ...(words.length > 0 && law.data ? law.data(here) : []),
  ];
  const known = places.filter((place) => hasAll(place, words));
  const reached = (sought.length < 2 ? [] : (hits ?? []).flatMap(placesOf)).filter((place) => hasAll(place, words));
  const found = ranked([...known, ...reached], words).slice(0, MOST_SHOWN);
  const go = (place: Place | undefined): void => {
    if (!place) return;
    onClose();
    setTyped('');
    setChosen(0);
    void navigate(place.path);
  };
  const key = (event: KeyboardEvent): void => {
    if (event.key === 'ArrowDown') setChosen((index) => Math.min(index + 1, found.length - 1));
    else if (event.key === 'ArrowUp') setChosen((index) => Math.max(index - 1, 0));
    else if (event.key === 'Enter') {
      if (found[chosen]) go(found[chosen]);
      // Pressed before the answer came: the first place it has is gone to.
      else if (sought.length >= 2)
        void queries.fetchQuery(searchQuery(sought)).then((answer) => {
          go(
            ranked(
              answer.flatMap(placesOf).filter((place) => hasAll(place, words)),
              words,
            )[0],
          );
        });
    } else return;
    event.preventDefault();
  };
  return (
    <Modal opened={isOpen} onClose={onClose} title="Go to">
      <TextInput
        aria-label="Place, client, employee, form or agency"
        placeholder="a client, an employee, a form, an agency, a place"
        value={typed}
        onChange={(event) => {
          setTyped(event.currentTarget.value);
          setChosen(0);
        }}
        onKeyDown={key}
        onFocus={(event) => event.currentTarget.select()}
        data-autofocus
      />
      <table className="ruled">
        <tbody>
          {found.map((place, index) => (
            <tr
              key={`${place.path} ${place.label}`}
              className="go"
              style={index === chosen ? { background: 'var(--paper-deep)' } : {}}
              onClick={() => go(place)}
            >
              <td>{place.label}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {found.length === 0 && <p className="empty">Nothing matches.</p>}
    </Modal>
  );
}
