import { Modal, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { clientsQuery } from '../api/resources.js';

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
];

/** Goes to any place by typing parts of its name. */
export function Palette({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }): ReactNode {
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState(0);
  const navigate = useNavigate();
  const { data: clients } = useQuery({ ...clientsQuery, enabled: isOpen });
  const places: Place[] = [
    { label: 'Ladder', path: '/' },
    { label: 'Clients', path: '/clients' },
    { label: 'Rules', path: '/rules' },
    { label: 'Trail', path: '/trail' },
    ...(clients ?? []).flatMap((client) =>
      CLIENT_PLACES.map(([label, tail]) => ({
        label: `${client.legalName}: ${label}`,
        path: `/clients/${client.id}${tail}`,
      })),
    ),
  ];
  const words = typed
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const found = places.filter((place) => words.every((word) => place.label.toLowerCase().includes(word))).slice(0, 12);
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
        aria-label="Place or client"
        placeholder="a client, a place"
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
