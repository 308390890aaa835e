import { Button, Modal } from '@mantine/core';
import { useEffect, useState, type ReactNode } from 'react';
import { onAsked, type Asked } from '../api/second-look.js';

/** What is legal but looks like a slip is read once more before it is saved. */
export function SecondLook(): ReactNode {
  const [asked, setAsked] = useState<Asked | null>(null);
  useEffect(() => onAsked(setAsked), []);
  return (
    <Modal
      opened={asked !== null}
      onClose={() => asked?.answer(false)}
      title="Look again before this is saved"
      centered
      withCloseButton={false}
      transitionProps={{ duration: 0 }}
    >
      <ul className="second-look">
        {asked?.details.map((detail, index) => (
          <li key={index}>
            {detail.sentence} <span>{detail.fix}</span>
          </li>
        ))}
      </ul>
      <div className="actions">
        <Button data-autofocus variant="outline" onClick={() => asked?.answer(false)}>
          Go back and correct it
        </Button>
        <Button onClick={() => asked?.answer(true)}>It is right: save it</Button>
      </div>
    </Modal>
  );
}
