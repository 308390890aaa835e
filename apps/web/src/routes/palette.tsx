import { Modal, TextInput } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../api/client.js';
import { searchQuery } from '../api/resources.js';

interface Place {
  readonly label: string;
  readonly path: string;
}
const CLIENT_PLACES: readonly (readonly [label: string, tail: string])[] = [
  ['tie-out', ''],
  ['people', '/people'],
  ['payrolls', '/payrolls'],
  ['deposits', '/deposits'],
  ['returns', '/returns'],
  ['facts', '/facts'],
  ['readiness', '/readiness'],
];

const wordsOf = (typed: string): string[] =>
  typed
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
const hasAll = (label: string, words: readonly string[]): boolean =>
  words.every((word) => label.toLowerCase().includes(word));
/** The words that name somebody: without those that begin the name of a place, unless nothing would be left. */
function nameWords(words: readonly string[]): readonly string[] {
  const names = words.filter((word) => !CLIENT_PLACES.some(([label]) => label.startsWith(word)));
  return names.join(' ').length < 2 ? words : names;
}

/** A client opens in several places. */
const placesOf = (hit: Schemas['Found']): Place[] => {
  if (hit.kind === 'person') return [{ label: `${hit.label}, ${hit.detail}`, path: `/employees/${hit.id}` }];
  return CLIENT_PLACES.map(([label, tail]) => ({
    label: `${hit.label} (${hit.detail}): ${label}`,
    path: `/clients/${hit.id}${tail}`,
  }));
};

/** Goes to any place by typing parts of its name. */
export function Palette({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }): ReactNode {
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState(0);
  const navigate = useNavigate();
  const queries = useQueryClient();
  const words = wordsOf(typed);
  const sought = nameWords(words).join(' ');
  const { data: hits } = useQuery({ ...searchQuery(sought), enabled: isOpen && sought.length >= 2 });
  const places: Place[] = [
    { label: 'Ladder', path: '/' },
    { label: 'Clients', path: '/clients' },
    { label: 'Rules', path: '/rules' },
    { label: 'Trail', path: '/trail' },
    { label: 'Firm', path: '/firm' },
    { label: 'Take on a client', path: '/clients/new' },
  ];
  const known = places.filter((place) => hasAll(place.label, words));
  const reached = (sought.length < 2 ? [] : (hits ?? []).flatMap(placesOf)).filter((place) =>
    hasAll(place.label, words),
  );
  const found = [...known, ...reached].slice(0, 14);
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
          go(answer.flatMap(placesOf).find((place) => hasAll(place.label, words)));
        });
    } else return;
    event.preventDefault();
  };
  return (
    <Modal opened={isOpen} onClose={onClose} title="Go to">
      <TextInput
        aria-label="Place, client or person"
        placeholder="a client, a person, a place"
        value={typed}
        onChange={(event) => {
          setTyped(event.currentTarget.value);
          setChosen(0);
        }}
        onKeyDown={key}
        data-autofocus
      />
      <table className="ruled">
        <tbody>
          {found.map((place, index) => (
            <tr
              key={place.path}
              className="go"
              style={index === chosen ? { background: 'var(--paper-deep)' } : {}}
              onClick={() => go(place)}
            >
              <td>{place.label}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {found.length === 0 && <p className="empty">Nothing has these words.</p>}
    </Modal>
  );
}
