import { Modal, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
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

/** A client opens in several places; the first hit shows them all. */
const placesOf = (hit: Schemas['Found'], index: number): Place[] => {
  if (hit.kind === 'person') return [{ label: `${hit.label}, ${hit.detail}`, path: `/employees/${hit.id}` }];
  const shown = index === 0 ? CLIENT_PLACES : CLIENT_PLACES.slice(0, 1);
  return shown.map(([label, tail]) => ({ label: `${hit.label}: ${label}`, path: `/clients/${hit.id}${tail}` }));
};

/** Goes to any place by typing parts of its name. */
export function Palette({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }): ReactNode {
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState(0);
  const navigate = useNavigate();
  const { data: hits } = useQuery({ ...searchQuery(typed), enabled: isOpen && typed.trim().length >= 2 });
  const places: Place[] = [
    { label: 'Ladder', path: '/' },
    { label: 'Clients', path: '/clients' },
    { label: 'Rules', path: '/rules' },
    { label: 'Trail', path: '/trail' },
    { label: 'Firm', path: '/firm' },
    { label: 'Take on a client', path: '/clients/new' },
  ];
  const words = typed
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const known = places.filter((place) => words.every((word) => place.label.toLowerCase().includes(word)));
  const found = [...known, ...(typed.trim().length < 2 ? [] : (hits ?? []).flatMap(placesOf))].slice(0, 14);
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
    else if (event.key === 'Enter') go(found[chosen]);
    else return;
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
